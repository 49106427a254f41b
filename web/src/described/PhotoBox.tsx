import { useId, useState } from 'react';
import { newId } from '../field/entries';
import { store } from '../field/store';
import { storeTrouble } from '../field/trouble';
import { Problem } from '../ui/Problem';
import { smallPicture } from '../ui/smallPicture';
import type { FieldBoxProps } from './FieldBox';

/** A photograph: kept on this device before it is named, sent where there is a signal. */
export function PhotoBox({ field, next, onGiven, visit }: FieldBoxProps & { visit: string }) {
  const id = useId();
  const [problem, setProblem] = useState('');
  async function take(picture: File | undefined) {
    if (!picture) {
      return;
    }
    const file = await smallPicture(picture).catch(() => undefined);
    if (!file) {
      setProblem('This is not a picture that can be shown. Bring a JPEG or PNG.');
      return;
    }
    setProblem('');
    const photo = newId();
    try {
      await store.photos.put({ id: photo, picture: file });
      await store.files.put({ sha256: photo, visit, file, photo: true });
      await onGiven({ photo });
    } catch (error) {
      await Promise.all([store.files.delete(photo), store.photos.delete(photo)]);
      setProblem(`The photograph was not kept. ${storeTrouble(error as Error)}`);
    }
  }
  return (
    <div className="mt-3">
      <p className="font-bold text-sm">{field.label}</p>
      <label
        htmlFor={id}
        className={`act mt-1 min-h-14 cursor-pointer has-focus-visible:outline-3 has-focus-visible:outline-slate ${next ? 'act-next' : ''}`}
      >
        <input
          id={id}
          type="file"
          accept="image/*"
          capture="environment"
          aria-label={`${field.label}: take a photograph`}
          className="sr-only"
          onChange={(event) => {
            void take(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
        Take a photograph
      </label>
      <Problem words={problem} />
    </div>
  );
}
