import type { FieldSheet } from '../api/client';
import { ProfileFigures } from '../profile/ProfileFigures';

/** The field sheet of a visit that has ended: one page, for the binder and for whoever asks. */
export function ClosedSheet({ sheet }: { sheet: FieldSheet }) {
  const { arrival, remarks, profile, bottles } = sheet;
  const head = [arrival.anchored?.text, ...arrival.boxes.map(({ text }) => text)].filter(Boolean).join(' · ');
  const disc = [
    remarks.now.side && `read in the ${remarks.now.side}`,
    remarks.now.tube != null && (remarks.now.tube ? 'through a tube' : 'without a tube'),
    remarks.colourText && `colour ${remarks.colourText}`,
    ...remarks.opinions.map(({ question, answer, words }) =>
      answer == null ? `opinion: ${words}` : `opinion of ${question} ${answer} of 5`,
    ),
  ]
    .filter(Boolean)
    .join(' · ');
  const filled = (bottles?.places ?? []).flatMap((place) =>
    place.bottles.filter(({ entry }) => entry).map((bottle) => ({ place, bottle })),
  );
  return (
    <section aria-label="Field sheet" className="mt-5 text-sm">
      {head && (
        <>
          <h3 className="caps mt-3">The day</h3>
          <p>{head}</p>
        </>
      )}
      {disc && (
        <>
          <h3 className="caps mt-3">The disc</h3>
          <p>{disc}</p>
        </>
      )}
      {profile && profile.levels.length > 0 && (
        <>
          <h3 className="caps mt-3">Profile</h3>
          <p className="text-dim">{profile.meter.text}</p>
          <table className="num mt-1 w-full max-w-lg border-collapse">
            <thead>
              <tr className="border-ink border-b text-left">
                <th scope="col">depth</th>
                <th scope="col">°C</th>
                <th scope="col">mg/L O₂</th>
                <th scope="col">% sat.</th>
                {profile.columns.includes('salinity') && <th scope="col">salinity</th>}
              </tr>
            </thead>
            <tbody>
              {profile.levels.map((level) => (
                <tr key={level.entry} className="border-rule border-b">
                  <th scope="row" className="text-left font-normal">
                    {level.depthText}
                  </th>
                  <td>{level.temperatureC?.toFixed(1)}</td>
                  <td>{level.mgLText}</td>
                  <td>{level.percent}</td>
                  {profile.columns.includes('salinity') && <td>{level.salinity}</td>}
                </tr>
              ))}
            </tbody>
          </table>
          <ProfileFigures profile={profile} />
        </>
      )}
      {filled.length > 0 && (
        <>
          <h3 className="caps mt-3">Bottles</h3>
          <ul>
            {filled.map(({ place, bottle }) => (
              <li key={bottle.number}>
                <span className="num">{bottle.number}</span>, {place.title.toLowerCase()}
                {place.text ? ` at ${place.text}` : place.place === 'composite' ? ` 0 to ${sheet.composite.text}` : ''}:{' '}
                {bottle.type.measures}, {bottle.text}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
