import { Problem } from './Problem';

/** In place of what is not there yet; or what stood in the way. */
export function Waiting({ problem, words = 'Asking the server…' }: { problem: string; words?: string }) {
  return problem ? (
    <Problem words={problem} />
  ) : (
    <p className="p-6 text-dim" aria-busy="true">
      {words}
    </p>
  );
}
