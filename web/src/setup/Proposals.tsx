import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { shortDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { Reason } from '../ui/Reason';
import { UNITS } from '../ui/units';

interface Props {
  proposals: readonly Schemas['Proposal'][];
  mayDecide: boolean;
  onLook(proposal: Schemas['Proposal']): void;
  onChanged(): void;
}

/** Stations that samplers propose; a coordinator looks, approves or declines with a reason. */
export function Proposals({ proposals, mayDecide, onLook, onChanged }: Props) {
  const [declining, setDeclining] = useState<string>();
  const [problem, setProblem] = useState('');
  return proposals.length === 0 ? null : (
    <section aria-label="Proposed stations" className="mt-4 border border-buoy bg-sheet p-4">
      <h2 className="text-lg">{mayDecide ? 'To be decided' : 'Proposed'}</h2>
      <ul>
        {proposals.map((proposal) => (
          <li
            key={proposal.id}
            className="flex flex-wrap items-center gap-x-4 gap-y-2 border-rule border-b py-2.5 last:border-b-0"
          >
            <p className="min-w-0 flex-1 basis-64">
              <b>{proposal.station.name}</b>, {proposal.station.knownDepth.written}{' '}
              {UNITS[proposal.station.knownDepth.unit ?? 'm'].short}: “{proposal.why}”
              <span className="block text-dim text-sm">
                {proposal.by}, {shortDay(proposal.at)}
              </span>
            </p>
            {mayDecide && declining !== proposal.id && (
              <>
                <button type="button" className="act act-next" onClick={() => onLook(proposal)}>
                  Look and approve
                </button>
                <button type="button" className="act" onClick={() => setDeclining(proposal.id)}>
                  Decline
                </button>
              </>
            )}
            {declining === proposal.id && (
              <Reason
                title="Why not?"
                suggestions={['too near another station', 'too shallow', 'not open water']}
                confirm="Decline it"
                onGiven={async (why) => {
                  const answer = await asked(() =>
                    api.POST('/api/proposals/{id}/decline', { params: { path: { id: proposal.id } }, body: { why } }),
                  );
                  setProblem(answer.problem);
                  setDeclining(undefined);
                  onChanged();
                }}
                onCancel={() => setDeclining(undefined)}
              />
            )}
          </li>
        ))}
      </ul>
      <Problem words={problem} />
    </section>
  );
}
