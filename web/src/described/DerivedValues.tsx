import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Worked } from '../ui/Worked';

const FEW = 4;

type Derived = Schemas['SheetDerived'];

/** What follows from what was recorded, each number with its working; those of single kinds, depths and points are folded together. */
export function DerivedValues({ derived }: { derived: readonly Derived[] }) {
  const whole = derived.filter(({ item }) => item == null);
  const single = derived.filter(({ item }) => item != null);
  // Opened by a person alone: it does not open or close as numbers come.
  const [open, setOpen] = useState(single.length > 0 && single.length < FEW);
  return (
    <>
      {whole.map((one) => (
        <p key={one.parameter + one.name} className="mt-2">
          {one.name} <Value derived={one} large />
        </p>
      ))}
      {single.length > 0 && (
        <details className="mt-2" open={open} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
          <summary className="flex min-h-(--target) cursor-pointer items-center font-bold">
            {single.length === 1 ? 'One by one: 1 number' : `One by one: ${single.length} numbers`}
          </summary>
          <table className="w-full max-w-xl text-left">
            <tbody>
              {single.map((one) => (
                <tr key={one.parameter + (one.item ?? '') + one.name} className="border-rule border-t">
                  <th scope="row" className="py-1.5 pr-3 font-normal">
                    {one.name}
                  </th>
                  <td className="py-1.5 text-right">
                    <Value derived={one} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      )}
    </>
  );
}

function Value({ derived, large = false }: { derived: Derived; large?: boolean }) {
  if (derived.value == null) {
    return <span className="text-dim">{derived.text}</span>;
  }
  const text = `${derived.about ? 'about ' : ''}${derived.text}`;
  const size = large ? 'font-bold text-xl' : '';
  return derived.working ? (
    <Worked working={derived.working} className={size}>
      {text}
    </Worked>
  ) : (
    <b className={`num ${size}`}>{text}</b>
  );
}
