import type { FieldSheet, Schemas } from '../api/client';
import { useProtocolName } from '../field/boxes';
import { write } from '../field/entries';
import { Check } from '../ui/Check';

/** What else was taken at this station: the season counts it. */
export function TakenAlong({ sheet, season }: { sheet: FieldSheet; season: readonly Schemas['ProtocolPlan'][] }) {
  const protocolName = useProtocolName();
  const others = season.map((plan) => plan.protocol).filter((protocol) => protocol !== 'clarity');
  if (others.length === 0) {
    return null;
  }
  return (
    <fieldset className="mt-4">
      <legend className="caps">Taken along</legend>
      {others.map((protocol) => {
        const taken = sheet.takenEntries.find((entry) => entry.protocol === protocol);
        return (
          <Check
            key={protocol}
            className="border-rule border-b"
            checked={taken !== undefined}
            onCheck={() =>
              void (taken
                ? write({ visit: sheet.visit, kind: 'strike', body: {}, strikes: taken.entry, why: 'ticked by mistake' })
                : write({ visit: sheet.visit, kind: 'taken', body: { protocol } }))
            }
          >
            {protocolName(protocol)}
          </Check>
        );
      })}
    </fieldset>
  );
}
