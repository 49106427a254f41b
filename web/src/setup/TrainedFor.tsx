import type { Schemas } from '../api/client';
import { useProtocolName } from '../field/boxes';
import { Check } from '../ui/Check';
import { ticked } from '../ui/toggled';

type Programme = Schemas['Programme'];

/** What somebody aboard must have been trained in within the year: of what the season takes. */
export function TrainedFor({
  programme,
  onChange,
}: {
  programme: Programme;
  onChange(trained: NonNullable<Programme['trained']>): void;
}) {
  const protocolName = useProtocolName();
  const trained = programme.trained ?? [];
  const planned = [...new Set((programme.season ?? []).map(({ protocol }) => protocol))];
  return planned.length === 0 ? null : (
    <fieldset className="mt-4">
      <legend className="font-bold text-sm">Somebody aboard is trained this year in</legend>
      <div className="flex flex-wrap gap-x-5">
        {planned.map((protocol) => (
          <Check key={protocol} checked={trained.includes(protocol)} onCheck={(on) => onChange(ticked(trained, protocol, on))}>
            {protocolName(protocol)}
          </Check>
        ))}
      </div>
    </fieldset>
  );
}
