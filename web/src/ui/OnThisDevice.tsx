import { useLiveQuery } from 'dexie-react-hooks';
import { Popover } from 'radix-ui';
import { useSyncExternalStore } from 'react';
import { currentReach, deliverSoon, watchReach } from '../field/delivery';
import { deliverForOthers, outbox } from '../field/outbox';
import { lookAtRoom, type Room } from '../field/room';
import { store } from '../field/store';
import { useSession } from '../people/session';
import { longDay } from './days';
import { SavedOutbox } from './SavedOutbox';

const UNKNOWN: Room = { lasting: undefined, little: undefined };
const EMPTY = { mine: [], others: [], refused: [] };
const entriesOf = (count: number) => (count === 1 ? '1 entry' : `${count} entries`);

const HINDERED = {
  signal: 'Keep it dry and safe until they are sent. They are sent by themselves when there is a signal.',
  role: 'Your role does not write here: ask the coordinator for one that does. Nothing is lost meanwhile.',
  room: 'The server has no room left: tell whoever runs it. Keep this device safe; they are sent by themselves once it has.',
};

/** How many entries are on this device only: on every page. */
export function OnThisDevice() {
  const reach = useSyncExternalStore(watchReach, currentReach);
  const { known } = useSession();
  // Until it is read nothing is said: never “all sent” of what was not looked at.
  const read = useLiveQuery(outbox, [known?.id]);
  const box = read ?? EMPTY;
  const files = useLiveQuery(() => store.files.filter(({ sent }) => !sent).toArray(), []) ?? [];
  const here = box.mine.length + box.others.length + box.refused.length + files.length;
  const problems = [...box.refused, ...files].map(({ problem }) => problem).filter(Boolean);
  const names = [...new Set(box.others.map(({ entry }) => entry.by))].join(' and ');
  // Looked at again with each entry.
  const room = useLiveQuery(() => store.entries.count().then(lookAtRoom), []) ?? UNKNOWN;
  return (
    <>
      {reach.demoDay && (
        <span className="hidden text-dim text-sm md:inline">
          Demo day <b className="text-ink">{longDay(reach.demoDay)}</b>
        </span>
      )}
      <Popover.Root>
        <Popover.Trigger className="flex min-h-12 items-center gap-1.5 text-sm" aria-label="Entries on this device">
          <span role="status" className="text-right leading-tight max-sm:max-w-28 max-sm:text-xs max-sm:leading-[1.1]">
            {here > 0 ? (
              <>
                <b className="num text-base max-sm:text-sm">{here}</b> on this device only
              </>
            ) : read ? (
              'all sent'
            ) : (
              '…'
            )}
            {reach.server === false && <span className="block text-dim text-xs">no signal</span>}
            {room.little !== undefined && <b className="block text-madder text-xs">little room left</b>}
          </span>
          <span
            className={`size-2.5 shrink-0 rounded-full border border-ink ${here > 0 ? 'bg-buoy' : 'bg-reed'}`}
            aria-hidden="true"
          />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            aria-label="Entries on this device"
            align="end"
            sideOffset={4}
            className="z-20 w-80 max-w-[92vw] panel text-sm shadow-lg"
          >
            {read && here === 0 && <p>Every entry made on this device is on the server.</p>}
            {box.mine.length > 0 && (
              <p>
                <b>
                  {entriesOf(box.mine.length)} {box.mine.length === 1 ? 'is' : 'are'} on this device only.
                </b>{' '}
                {HINDERED[reach.hindered ?? 'signal']}
              </p>
            )}
            {box.others.length > 0 && (
              <p className="mt-2">
                <b>
                  {entriesOf(box.others.length)} of {names} {box.others.length === 1 ? 'waits' : 'wait'} for their sign-in on this
                  device.
                </b>{' '}
                Nothing is sent in somebody else’s name.
              </p>
            )}
            {known?.coordinates && box.others.some(({ broughtIn, through }) => broughtIn && !through) && (
              <p className="mt-2">
                They came out of a saved file. A coordinator can deliver them; the record says so.
                <button type="button" className="act mt-2 block" onClick={() => void deliverForOthers().then(deliverSoon)}>
                  Deliver them for {names}
                </button>
              </p>
            )}
            {files.length > 0 && (
              <p className="mt-2">
                <b>
                  {files.length === 1 ? 'The file of a logged cast is' : `${files.length} files of logged casts are`} on this
                  device only.
                </b>{' '}
                It follows its entries.
              </p>
            )}
            {problems.length > 0 && (
              <div className="mt-2 border-madder border-l-4 pl-3">
                <p>
                  <b>{problems.length} could not be taken.</b> They stay here.
                </p>
                {[...new Set(problems)].map((problem) => (
                  <p key={problem} className="mt-1">
                    {problem}
                  </p>
                ))}
                <button
                  type="button"
                  className="act mt-3"
                  onClick={async () => {
                    await store.entries.where('state').equals('refused').modify({ state: 'waiting' });
                    await store.files.toCollection().modify({ problem: undefined });
                    deliverSoon();
                  }}
                >
                  Send again
                </button>
              </div>
            )}
            {room.little !== undefined && (
              <p className="mt-2">
                <b>Room for {Math.max(0, Math.floor(room.little / 1_000_000))} MB is left.</b> A visit needs about 1 MB. Delete
                photos or other pages’ data before you cast off.
              </p>
            )}
            {room.lasting === false && (
              <p className="mt-2 text-dim">
                This browser may clear what it keeps when it needs room. Put Upper Still on the home screen, and it keeps it.
              </p>
            )}
            <SavedOutbox kept={[...box.mine, ...box.others, ...box.refused]} />
            {reach.server === false && (
              <p className="mt-2 text-dim">No signal, or the server is not running. Everything works without it.</p>
            )}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </>
  );
}
