import type { Schemas } from '../api/client';
import { clockTime } from '../ui/days';

/** The hours of the outing, with units. */
export function Weather({ hours, simulated }: { hours: readonly Schemas['ForecastHour'][]; simulated: boolean }) {
  if (hours.length === 0) {
    return null;
  }
  const rows: [string, (hour: Schemas['ForecastHour']) => string][] = [
    ['wind, m/s', (h) => h.windMs.toFixed(0)],
    ['gusts, m/s', (h) => h.gustMs.toFixed(0)],
    ['rain, mm', (h) => (h.rainMm === 0 ? '–' : h.rainMm.toFixed(1))],
    ['cloud, eighths', (h) => String(h.cloudEighths)],
    ['air, °C', (h) => h.airC.toFixed(0)],
  ];
  return (
    <div className="mt-3 overflow-x-auto">
      <table className="num w-full text-right text-sm">
        <caption className="sr-only">Forecast by the hour{simulated ? ', simulated' : ''}</caption>
        <thead>
          <tr className="border-rule border-b text-dim">
            <th scope="col" className="text-left font-normal">
              {simulated ? 'simulated' : ''}
            </th>
            {hours.map((hour) => (
              <th key={hour.at} scope="col" className="pl-2 font-normal">
                {clockTime(hour.at).slice(0, 2)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, show]) => (
            <tr key={name}>
              <th scope="row" className="whitespace-nowrap pr-1 text-left font-normal font-sans text-dim">
                {name}
              </th>
              {hours.map((hour) => (
                <td key={hour.at} className="pl-2">
                  {show(hour)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
