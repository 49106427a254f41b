import type { FieldSheet } from '../api/client';

/** Beside a clarity that the line's check corrects: what its marks alone would have given. */
export function AsRead({ sheet }: { sheet: FieldSheet }) {
  return (
    <p className="mt-3 text-dim">
      Corrected by the check of line {sheet.line?.code}; by the marks {sheet.clarity.result.asReadText}.
    </p>
  );
}
