import { useState } from 'react';
import { nowLocal } from '../field/clock';
import { deliverSoon } from '../field/delivery';
import { asFile, bringIn, fromFile } from '../field/outbox';
import type { KeptEntry } from '../field/store';
import { saveText } from '../record/saveText';

const LARGEST = 64 * 1024 * 1024;

/** For the worst day: what waits goes out as a file, and comes in again, here or on another device. */
export function SavedOutbox({ kept }: { kept: KeptEntry[] }) {
  const [said, setSaid] = useState('');

  async function take(file: File) {
    const read = file.size > LARGEST ? undefined : fromFile(await file.text());
    if (!read) {
      setSaid(`${file.name} is no file of waiting entries. Choose one that “Save what waits” wrote.`);
      return;
    }
    const fresh = await bringIn(read);
    setSaid(
      fresh === 0
        ? `Everything in ${file.name} is here already.`
        : `${fresh} of ${read.length} came in, to be sent once whoever wrote them is signed in.`,
    );
    deliverSoon();
  }

  return (
    <div className="mt-3 border-rule border-t pt-3">
      <div className="flex flex-wrap gap-2">
        {kept.length > 0 && (
          <button
            type="button"
            className="act"
            onClick={() => saveText(`upper-still-waiting-${nowLocal().slice(0, 10)}.json`, 'application/json', asFile(kept))}
          >
            Save what waits
          </button>
        )}
        <label className="act cursor-pointer font-normal">
          Bring in a saved file…
          <input
            type="file"
            accept="application/json,.json"
            className="sr-only"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              if (file) {
                void take(file).catch((error: Error) => setSaid(`It could not be brought in: ${error.message}`));
              }
              event.target.value = '';
            }}
          />
        </label>
      </div>
      <p role="status" className="mt-1">
        {said}
      </p>
    </div>
  );
}
