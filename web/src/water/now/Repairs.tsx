import type { Repair } from './repairs';

/** Ways to mend, one touch each. */
export function Repairs({ repairs }: { repairs: Repair[] }) {
  return repairs.map(({ label, run }) => (
    <button key={label} type="button" className="act" onClick={run}>
      {label}
    </button>
  ));
}
