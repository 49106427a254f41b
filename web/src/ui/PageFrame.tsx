import type { ReactNode } from 'react';

const WIDTHS = {
  form: 'max-w-3xl',
  page: 'max-w-[68rem]',
  table: 'max-w-[72rem]',
  chart: 'max-w-[78rem]',
  widest: 'max-w-[80rem]',
};

/** A page within its margins; on paper the printer has its own. */
export function PageFrame({ width = 'page', children }: { width?: keyof typeof WIDTHS; children: ReactNode }) {
  return (
    <div className={`mx-auto w-full ${WIDTHS[width]} px-4 py-5 sm:px-6 print:m-0 print:max-w-none print:p-0`}>{children}</div>
  );
}
