import { compute } from '../field/core';
import { Worked } from '../ui/Worked';
import type { Profile } from './columns';

/** What follows from the levels; each opens to its working. */
export function ProfileFigures({ profile }: { profile: Profile }) {
  if (profile.figures.length === 0) {
    return null;
  }
  const ask = async (key: string) =>
    (await compute('profile', profile.asked)).figures.find((figure) => figure.key === key)?.working;
  return (
    <dl
      className="mt-5 grid grid-cols-2 gap-x-6 gap-y-3 border-rule border-t pt-3 sm:grid-cols-3"
      aria-label="What follows from the profile"
    >
      {profile.figures.map((figure) => (
        <div key={figure.key}>
          <dt className="text-dim text-sm">{figure.label}</dt>
          <dd>
            {figure.key === 'bottom-oxygen' ? (
              <span className="num text-lg">{figure.text}</span>
            ) : (
              <Worked title={figure.label} ask={() => ask(figure.key)} className="text-lg">
                {figure.text}
              </Worked>
            )}
          </dd>
        </div>
      ))}
    </dl>
  );
}
