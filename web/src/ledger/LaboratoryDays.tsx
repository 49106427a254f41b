import type { LabDoor, LedgerSample } from '../field/ledger';
import { clockTime, longDay, shortDay } from '../ui/days';

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const OPEN_SHOWN = 10;

/** The laboratory's calendar: turn-in dates with what waits for each, the next days of intake, the days of shipping. */
export function LaboratoryDays({ door, samples, now }: { door: LabDoor; samples: LedgerSample[]; now: string }) {
  const ahead = (at: string) => Date.parse(at) > Date.parse(now);
  const turnIns = door.turnIns.filter(ahead);
  const open = door.open.filter(({ until }) => ahead(until));
  const frozen = samples.filter(({ hold }) => hold?.turnIn);
  return (
    <details className="mt-1">
      <summary className="inline-flex min-h-(--target) cursor-pointer items-center text-sm underline">
        the laboratory’s days
      </summary>
      <div className="grid max-w-3xl gap-x-10 gap-y-3 border border-rule bg-sheet p-4 sm:grid-cols-2">
        <div>
          <h2 className="caps">Turn-in, frozen, before noon</h2>
          {turnIns.length === 0 && <p className="text-dim">No date is left this season.</p>}
          <ul>
            {turnIns.map((date, i) => (
              <li key={date} className="border-rule border-b py-1">
                {longDay(date)}
                {i === 0 && frozen.length > 0 && (
                  <span className="text-dim">, {frozen.length === 1 ? '1 sample waits' : `${frozen.length} samples wait`}</span>
                )}
              </li>
            ))}
          </ul>
          {door.turnInPlace && <p className="mt-1 text-dim text-sm">{door.turnInPlace}</p>}
          {door.shippingDays && (
            <p className="mt-2 text-sm">
              Ultra-clean samples are shipped on {door.shippingDays.map((day) => DAYS[day]).join(', ')}.
            </p>
          )}
          {door.noDryIce && <p className="mt-1 text-sm">No dry ice.</p>}
        </div>
        <div>
          <h2 className="caps">Takes samples in</h2>
          <ul>
            {open.slice(0, OPEN_SHOWN).map(({ from, until }) => (
              <li key={from} className="flex justify-between border-rule border-b py-1">
                {shortDay(from)}
                <span className="num">
                  {clockTime(from)}–{clockTime(until)}
                </span>
              </li>
            ))}
          </ul>
        </div>
      </div>
    </details>
  );
}
