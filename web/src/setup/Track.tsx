import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { Problem } from '../ui/Problem';
import { Beside } from './findings';

/** A track of soundings proposes the deepest place that it has seen. */
export function Track({ onTake }: { onTake(point: Schemas['ScoutPoint']): void }) {
  const [typed, setTyped] = useState('');
  const [result, setResult] = useState<Schemas['ScoutResult']>();
  const [problem, setProblem] = useState('');

  async function read(text: string, type: string) {
    const { data, problem: refused } = await asked(() =>
      api.POST('/api/formats/track', { body: text, bodySerializer: (body) => body as string, headers: { 'Content-Type': type } }),
    );
    setResult(data);
    setProblem(refused);
  }

  return (
    <>
      <p className="mt-1 text-dim text-sm">
        A GPX file with depths, or soundings typed: latitude, longitude and metres on each line.
      </p>
      <input
        type="file"
        aria-label="Track as GPX"
        accept=".gpx,application/gpx+xml"
        className="mt-2 block w-full text-sm"
        onChange={(event) => void event.target.files?.[0]?.text().then((text) => read(text, 'application/gpx+xml'))}
      />
      <textarea
        className="field num mt-2 min-h-24 py-2"
        aria-label="Soundings, typed"
        placeholder={'51.9127 -21.4419 30.8\n51.9129 -21.4423 31.0'}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <button type="button" className="act mt-2" disabled={!typed.trim()} onClick={() => void read(typed, 'text/plain')}>
        Find the deepest place
      </button>
      <Problem words={problem} />
      <Beside field="track" findings={result?.findings ?? []} />
      {result?.deepest && (
        <div className="mt-2 border-slate border-l-4 pl-3">
          <p>
            Deepest of {result.soundings}: <b className="num text-slate">{result.deepest.depthM} m</b> at{' '}
            <span className="num">
              {result.deepest.latitudeDeg}, {result.deepest.longitudeDeg}
            </span>
          </p>
          <button type="button" className="act mt-2" onClick={() => result.deepest && onTake(result.deepest)}>
            Take this place and depth
          </button>
        </div>
      )}
    </>
  );
}
