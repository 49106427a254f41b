import { useState } from 'react';
import type { Schemas } from '../api/client';
import { writeAshore } from '../field/entries';
import type { LedgerSample } from '../field/ledger';
import { byVisit } from '../ledger/byVisit';
import { useSession } from '../people/session';
import { Check } from '../ui/Check';
import { Choice } from '../ui/Choice';
import { TextField } from '../ui/TextField';

type ArrivedAs = Schemas['ReceivedBody']['as'];
const HOW: Record<ArrivedAs | 'missing', string> = {
  good: 'in good order',
  thawed: 'thawed',
  warm: 'warm',
  leaking: 'leaking or broken',
  unwrapped: 'not in foil',
  unlabelled: 'label missing or unreadable',
  missing: 'not in the box',
};

/** The laboratory takes in what arrived, notes its condition, and rejects with a reason. */
export function Receive({ manifest, samples }: { manifest: string; samples: LedgerSample[] }) {
  const { known } = useSession();
  const [how, setHow] = useState<Record<string, ArrivedAs | 'missing'>>({});
  const [rejected, setRejected] = useState<Record<string, string>>({});
  const [temperature, setTemperature] = useState('');
  const [whole, setWhole] = useState<boolean>();
  const [signature, setSignature] = useState(known?.name ?? '');
  const arrived = samples.filter(({ number }) => how[number] !== 'missing');
  const unreasoned = Object.values(rejected).some((why) => !why.trim());

  async function take() {
    const groups = new Map<ArrivedAs, LedgerSample[]>();
    for (const sample of arrived) {
      const as = (how[sample.number] ?? 'good') as ArrivedAs;
      groups.set(as, [...(groups.get(as) ?? []), sample]);
    }
    await writeAshore(
      ...[...groups].flatMap(([as, group]) =>
        byVisit(group).map(([visit, numbers]) => ({
          visit,
          kind: 'received' as const,
          body: {
            manifest,
            samples: numbers,
            as,
            signature: signature.trim(),
            ...(temperature.trim() && { temperatureC: temperature.trim() }),
            ...(whole !== undefined && { sealWhole: whole }),
          },
        })),
      ),
      ...arrived
        .filter(({ number }) => rejected[number] !== undefined)
        .map(({ visit, number }) => ({
          visit,
          kind: 'sample-rejected' as const,
          body: { samples: [number] },
          why: rejected[number]?.trim() ?? '',
        })),
    );
  }

  return (
    <form
      className="mt-8 panel"
      aria-label="Take in"
      onSubmit={(event) => {
        event.preventDefault();
        void take();
      }}
    >
      <h2 className="text-xl">Take in</h2>
      <ul className="mt-2 border-rule border-t">
        {samples.map(({ number, kin, water }) => (
          <li key={number} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-rule border-b py-2">
            <span className="num min-w-60 flex-1 break-all">
              {number}
              {kin === 'replicate' && <b> REP</b>} <span className="font-sans text-dim text-sm">{water}</span>
            </span>
            <select
              className="field w-auto"
              aria-label={`${number} arrived`}
              value={how[number] ?? 'good'}
              onChange={(event) => setHow({ ...how, [number]: event.target.value as ArrivedAs })}
            >
              {Object.entries(HOW).map(([key, words]) => (
                <option key={key} value={key}>
                  {words}
                </option>
              ))}
            </select>
            {how[number] !== 'missing' && (
              <Check
                checked={rejected[number] !== undefined}
                onCheck={(on) => {
                  const { [number]: _, ...rest } = rejected;
                  setRejected(on ? { ...rejected, [number]: '' } : rest);
                }}
              >
                reject<span className="sr-only"> {number}</span>
              </Check>
            )}
            {rejected[number] !== undefined && (
              <input
                className="field min-w-60 flex-1"
                aria-label={`Why ${number} is rejected`}
                placeholder="why"
                maxLength={200}
                value={rejected[number]}
                onChange={(event) => setRejected({ ...rejected, [number]: event.target.value })}
              />
            )}
          </li>
        ))}
      </ul>
      <div className="grid items-start gap-x-6 sm:grid-cols-3">
        <TextField label="In the box, °C" value={temperature} onChange={setTemperature} maxLength={8} />
        <Choice
          label="The seal"
          value={whole}
          options={[
            [true, 'whole'],
            [false, 'broken'],
          ]}
          onChoose={setWhole}
        />
        <TextField label="Signed, taking in" value={signature} onChange={setSignature} maxLength={80} autoComplete="name" />
      </div>
      <button type="submit" className="act act-next mt-4" disabled={arrived.length === 0 || !signature.trim() || unreasoned}>
        Take in {arrived.length} of {samples.length}
      </button>
      {unreasoned && <p className="mt-2 text-dim">A rejected sample needs its reason: the samplers learn from it.</p>}
    </form>
  );
}
