import { Problem } from './Problem';

/** In place of what the server has not answered yet; or what stood in the way. */
export function Waiting({ problem }: { problem: string }) {
  return problem ? (
    <Problem words={problem} />
  ) : (
    <p className="p-6 text-dim" aria-busy="true">
      Asking the server…
    </p>
  );
}
