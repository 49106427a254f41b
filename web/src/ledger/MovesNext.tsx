import { Link } from '@tanstack/react-router';
import { useClocks, useLedger } from '../field/ledger';

/** What of the ledger presses, where people begin their day: nothing gets late in silence. */
export function MovesNext() {
  const { samples, door } = useLedger();
  const held = samples?.filter(({ hold }) => hold);
  const pressing = (useClocks(held, door) ?? []).filter(({ state }) => state === 'soon' || state === 'overdue');
  const [first, ...others] = pressing;
  if (!first) {
    return null;
  }
  const sample = held?.find(({ number, visit }) => number === first.number && visit === first.visit);
  return (
    <p className="mt-6 border border-buoy bg-sheet p-4">
      <b>
        {sample?.measures} of {sample?.water}, <span className="num">{first.number}</span>: {first.text}.
      </b>{' '}
      {first.moveText && first.state === 'soon' ? `It is to move: ${first.moveText}. ` : ''}
      {others.length > 0 && `${others.length} more press. `}
      <Link to={sample?.toFilter ? '/bench' : '/ledger'}>{sample?.toFilter ? 'To the bench' : 'To the ledger'}</Link>
    </p>
  );
}
