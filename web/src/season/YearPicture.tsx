import { useProtocolName } from '../field/boxes';
import { daysBetween, shortDay } from '../ui/days';
import type { Chosen } from './SeasonPage';
import type { SeasonDate, SeasonView } from './season';

const LEFT = 210;
const WIDTH = 1240;
const HEAD = 34;

interface Props {
  view: SeasonView;
  chosen: Chosen | undefined;
  onChoose(chosen: Chosen): void;
}

const STATES: Record<SeasonDate['state'], string> = { done: 'done', missed: 'missed', today: 'due today', planned: 'planned' };

/** Stations down, weeks across: done, missed, due, to come with its alternate, and what fills a bottle. */
export function YearPicture({ view, chosen, onChoose }: Props) {
  const protocolName = useProtocolName();
  const days = daysBetween(view.from, view.until) + 1;
  const row = view.stations.length > 14 ? 40 : 72;
  const height = HEAD + view.stations.length * row + 8;
  const x = (day: string) => LEFT + ((daysBetween(view.from, day) + 0.5) / days) * (WIDTH - LEFT - 10);
  const mondays = Array.from({ length: days }, (_, i) => dayAt(view.from, i)).filter(
    (day) => new Date(`${day}T00:00Z`).getUTCDay() === 1,
  );
  const firsts = Array.from({ length: days }, (_, i) => dayAt(view.from, i)).filter((day) => day.endsWith('-01'));
  return (
    <figure>
      <div className="overflow-x-auto">
        {/* biome-ignore lint/a11y/useSemanticElements: a group of marks in a drawing */}
        <svg
          viewBox={`0 0 ${WIDTH} ${height}`}
          className="w-full min-w-[62rem]"
          role="group"
          aria-label={`The season of ${view.plan.year}, station by station`}
        >
          {mondays.map((day) => (
            <line key={day} x1={x(day)} x2={x(day)} y1={HEAD} y2={height - 6} stroke="var(--rule)" strokeWidth="0.6" />
          ))}
          {view.shared.map((day) => (
            <g key={day}>
              <line x1={x(day)} x2={x(day)} y1={HEAD - 4} y2={height - 6} stroke="var(--water1)" strokeWidth="4" opacity="0.55" />
              <text x={x(day) + 5} y={HEAD - 4} fontSize="12" fill="var(--dim)">
                shared day
              </text>
            </g>
          ))}
          {firsts.map((day) => (
            <text key={day} x={x(day)} y="16" fontSize="13" fontWeight="700" letterSpacing="1" fill="var(--dim)">
              {new Date(`${day}T00:00Z`).toLocaleDateString('en-GB', { month: 'short', timeZone: 'UTC' }).toUpperCase()}
            </text>
          ))}
          {view.stations.map(({ station }, i) => {
            const top = HEAD + i * row;
            return (
              <g key={station.code}>
                <text x="0" y={top + row / 2 - (row > 50 ? 8 : 3)} fontSize="16" fontWeight="700" fill="var(--ink)">
                  {clip(station.water, 24)}
                </text>
                <text x="0" y={top + row / 2 + 12} fontSize="13" fill="var(--dim)">
                  {clip(`${station.name}, ${station.code}`, 30)}
                </text>
                <line x1="0" x2={WIDTH} y1={top + row} y2={top + row} stroke="var(--rule)" strokeWidth="1" />
              </g>
            );
          })}
          <g>
            <line x1={x(view.today)} x2={x(view.today)} y1={HEAD - 12} y2={height - 6} stroke="var(--buoy)" strokeWidth="1.8" />
            <text x={x(view.today) + 5} y={HEAD - 8} fontSize="13" fontWeight="700" fill="var(--buoy)">
              today
            </text>
          </g>
          {view.plan.stations.map((plan, i) =>
            plan.dates.map((date) => {
              const name = view.stations[i]?.station;
              const words = `${name?.water}, ${name?.name}, ${shortDay(date.day)}: ${STATES[date.state]}, ${date.protocols.map((p) => protocolName(p)).join(', ')}`;
              return (
                // biome-ignore lint/a11y/useSemanticElements: a mark in a drawing that opens its date
                <g
                  key={`${date.state}${date.day}${date.protocols.join()}`}
                  transform={`translate(${x(date.day)} ${HEAD + i * row + row / 2 - (row > 50 ? 10 : 4)})`}
                  role="button"
                  tabIndex={0}
                  aria-label={words}
                  aria-pressed={chosen?.station === plan.code && chosen.day === date.day}
                  className="cursor-pointer"
                  onClick={() => onChoose({ station: plan.code, day: date.day })}
                  onKeyDown={(event) => {
                    if (event.key === 'Enter' || event.key === ' ') {
                      event.preventDefault();
                      onChoose({ station: plan.code, day: date.day });
                    }
                  }}
                >
                  <DateMark date={date} chosen={chosen?.station === plan.code && chosen.day === date.day} tail={tail(date, x)} />
                </g>
              );
            }),
          )}
        </svg>
      </div>
      <figcaption className="mt-2 flex flex-wrap gap-x-6 text-dim text-sm">
        <span>● done</span>
        <span>✕ missed</span>
        <span>◌ planned, the dots reach to its alternate</span>
        <span>▾ a bottle goes to the lab or the freezer</span>
        {view.passesSimulated && <span>Satellite passes are simulated.</span>}
      </figcaption>
    </figure>
  );
}

function tail(date: SeasonDate, x: (day: string) => number): number {
  return date.alternate ? x(date.alternate) - x(date.day) : 0;
}

function DateMark({ date, chosen, tail: alternate }: { date: SeasonDate; chosen: boolean; tail: number }) {
  const done = date.state === 'done';
  return (
    <>
      <rect x="-13" y="-14" width="26" height="44" fill="transparent" />
      {chosen && <circle r="15" fill="none" stroke="var(--ink)" strokeWidth="1.5" />}
      {alternate !== 0 && date.ahead && (
        <line
          x1={Math.sign(alternate) * 10}
          x2={Math.sign(alternate) * Math.max(14, Math.abs(alternate))}
          y1="0"
          y2="0"
          stroke="var(--dim)"
          strokeWidth="1.4"
          strokeDasharray="2 3"
        />
      )}
      {done && (
        <>
          <circle r="9" fill="var(--reed)" />
          <path d="M-4 0L-1 3.4L4.4 -3" fill="none" stroke="var(--sheet)" strokeWidth="2" />
        </>
      )}
      {date.state === 'missed' && <path d="M-7 -7L7 7M7 -7L-7 7" stroke="var(--madder)" strokeWidth="2.4" />}
      {date.state === 'today' && <circle r="11" fill="var(--buoy)" stroke="var(--ink)" strokeWidth="1.6" />}
      {date.state === 'planned' && (
        <circle r="8.5" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.6" strokeDasharray="3 2.4" />
      )}
      {date.bottled && (
        <path
          d="M-5.5 15H5.5L3.6 28H-3.6Z"
          fill={done ? 'var(--reed)' : date.state === 'missed' ? 'none' : 'var(--sheet)'}
          stroke={date.state === 'missed' ? 'var(--madder)' : 'var(--ink)'}
          strokeWidth="1.1"
        />
      )}
    </>
  );
}

function clip(text: string, most: number): string {
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}

function dayAt(from: string, days: number): string {
  return new Date(Date.parse(`${from}T00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}
