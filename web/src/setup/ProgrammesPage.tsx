import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { addressOf } from '../api/home';
import { usePulled } from '../api/usePulled';
import { Problem } from '../ui/Problem';
import { ProgrammeForm } from './ProgrammeForm';

type Programme = Schemas['Programme'];

/** The rules the group works by, version by version; a new group begins from a preset. */
export function ProgrammesPage() {
  const programmes = usePulled(() => api.GET('/api/programmes'));
  const presets = usePulled(() => api.GET('/api/programmes/presets'));
  const [open, setOpen] = useState<{ programme: Programme; isNew: boolean }>();
  const [choosing, setChoosing] = useState(false);
  const [problem, setProblem] = useState('');
  const none = programmes.data?.length === 0;

  async function bring(file: File | undefined) {
    if (!file) {
      return;
    }
    const text = await file.text();
    const { data, problem: refused } = await asked(() =>
      api.POST('/api/programmes/read', {
        body: text as unknown as Programme,
        bodySerializer: (body) => body as unknown as string,
      }),
    );
    setProblem(refused);
    setOpen(data && { programme: data, isNew: true });
  }

  if (open) {
    return (
      <ProgrammeForm
        given={open.programme}
        isNew={open.isNew}
        onKept={() => {
          setOpen(undefined);
          setChoosing(false);
          void programmes.again();
        }}
        onCancel={() => setOpen(undefined)}
      />
    );
  }
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <h1 className="flex-1 text-2xl sm:text-3xl">Programmes</h1>
        {!choosing && (
          <button type="button" className="act act-next" onClick={() => setChoosing(true)}>
            {none ? 'Choose the first programme' : 'Begin from a preset'}
          </button>
        )}
      </div>
      <Problem words={problem || programmes.problem} />
      {none && !choosing && (
        <p className="mt-4 max-w-prose">
          A programme says how a reading is made, when, and what is taken along. Begin from the preset that is nearest to how you
          work, and change what differs.
        </p>
      )}
      {choosing && (
        <section aria-label="Presets" className="mt-4 border border-ink bg-sheet p-4">
          <h2 className="text-xl">Which is nearest to how you work?</h2>
          <ul className="mt-2">
            {presets.data?.map(({ programme, for: suits }) => (
              <li key={programme.code} className="flex flex-wrap items-center gap-x-5 gap-y-1 border-rule border-b py-2.5">
                <p className="min-w-0 flex-1 basis-72">
                  <b className="text-lg">{programme.name}</b>
                  <span className="block text-dim">{suits}</span>
                </p>
                <button type="button" className="act" onClick={() => setOpen({ programme, isNew: true })}>
                  Look and take<span className="sr-only"> {programme.name}</span>
                </button>
              </li>
            ))}
          </ul>
          <label className="mt-4 block">
            <span className="font-bold text-sm">Or bring a programme’s file from another group</span>
            <input
              type="file"
              accept=".json,application/json"
              className="mt-1 block w-full text-sm"
              onChange={(event) => void bring(event.target.files?.[0])}
            />
          </label>
          <button type="button" className="act mt-4" onClick={() => setChoosing(false)}>
            Cancel
          </button>
        </section>
      )}
      <ul className="mt-4 border-ink border-t-[1.5px]">
        {programmes.data?.map(({ programme, stations }) => (
          <li key={programme.code} className="flex flex-wrap items-center gap-x-5 gap-y-1 border-rule border-b py-3">
            <div className="min-w-0 flex-1 basis-72">
              <h2 className="break-words text-xl">{programme.name}</h2>
              <p className="text-dim text-sm">
                Version {programme.version} ·{' '}
                {stations.length > 0 ? stations.join(', ') : 'no station follows it yet: choose it at a station'}
              </p>
            </div>
            <a
              className="act"
              href={addressOf(`/api/programmes/${programme.code}/${programme.version}`)}
              download={`${programme.code}-${programme.version}.json`}
            >
              File<span className="sr-only"> of {programme.name}</span>
            </a>
            <button type="button" className="act" onClick={() => setOpen({ programme, isNew: false })}>
              Change<span className="sr-only"> {programme.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
