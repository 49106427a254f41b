import { useSyncExternalStore } from 'react';
import { currentTrouble, setTrouble, watchTrouble } from '../field/trouble';

/** On every page, when this device could not keep what was written. */
export function Trouble() {
  const words = useSyncExternalStore(watchTrouble, currentTrouble);
  return words ? (
    <div role="alert" className="sticky top-0 z-40 flex items-center gap-3 border-madder border-b-2 bg-sheet px-4 py-2 sm:px-6">
      <p className="flex-1">
        <b>{words}</b>
      </p>
      <button type="button" className="act" onClick={() => setTrouble('')}>
        Understood
      </button>
    </div>
  ) : null;
}
