import { useProtocolName } from '../field/boxes';
import { shortDay } from '../ui/days';
import type { Chosen } from './SeasonPage';
import { nextOf, type SeasonView } from './season';

/** On a narrow screen: station by station, the next date, and how far the season is. */
export function NextDates({ view, onChoose }: { view: SeasonView; onChoose(chosen: Chosen): void }) {
  const protocolName = useProtocolName();
  return (
    <ul className="border-ink border-t-[1.5px]">
      {view.plan.stations.map((plan, i) => {
        const station = view.stations[i]?.station;
        const next = nextOf(plan);
        const done = plan.dates.filter((date) => date.state === 'done').length;
        const missed = plan.dates.filter((date) => date.state === 'missed').length;
        return (
          <li key={plan.code} className="flex items-center gap-3 border-rule border-b py-3">
            <div className="min-w-0 flex-1">
              <h2 className="text-lg">
                {station?.water}, {station?.name}
              </h2>
              <p className="text-dim text-sm">
                {done} done{missed > 0 && `, ${missed} missed`}
                {next && ` · ${next.protocols.map((p) => protocolName(p)).join(', ')}`}
              </p>
            </div>
            {next ? (
              <button
                type="button"
                className={`act shrink-0 ${next.state === 'today' ? 'border-buoy text-buoy' : ''}`}
                onClick={() => onChoose({ station: plan.code, day: next.day })}
              >
                {next.state === 'today' ? 'today' : shortDay(next.day)}
              </button>
            ) : (
              <span className="text-dim">season over</span>
            )}
          </li>
        );
      })}
    </ul>
  );
}
