import { useId, useState } from 'react';
import { asked } from '../api/asked';
import { api } from '../api/client';
import { Photo } from '../ui/Photo';
import { Problem } from '../ui/Problem';
import { smallPicture } from '../ui/smallPicture';

interface Props {
  label: string;
  water: string;
  photo: string | null | undefined;
  onChange(photo: string | null): void;
}

/** A photograph, made small before it is sent: it travels to every device that goes there. */
export function PhotoField({ label, water, photo, onChange }: Props) {
  const id = useId();
  const [problem, setProblem] = useState('');

  async function bring(file: File | undefined) {
    if (!file) {
      return;
    }
    const small = await smallPicture(file).catch(() => undefined);
    if (!small) {
      setProblem('This file is not a picture that can be shown. Bring a JPEG or PNG.');
      return;
    }
    const { data, problem: refused } = await asked(() =>
      api.POST('/api/waters/{water}/photos', {
        params: { path: { water } },
        body: small as unknown as string,
        bodySerializer: (body) => body as unknown as Blob,
        headers: { 'Content-Type': 'image/jpeg' },
      }),
    );
    setProblem(refused);
    if (data) {
      onChange(data.id);
    }
  }

  return (
    <div className="mt-2 flex flex-wrap items-center gap-3 text-sm">
      {photo && <Photo id={photo} words={label} className="h-20 w-28 object-cover" />}
      <div>
        <label htmlFor={id}>{label}</label>
        <input
          id={id}
          type="file"
          accept="image/*"
          className="block text-sm"
          onChange={(event) => void bring(event.target.files?.[0])}
        />
      </div>
      {photo && (
        <button type="button" className="act-quiet" onClick={() => onChange(null)}>
          Take it off
        </button>
      )}
      <Problem words={problem} />
    </div>
  );
}
