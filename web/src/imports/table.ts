import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { rawFile } from '../api/rawFile';
import { askSession } from '../people/session';

export type Look = Schemas['HistoricLook'];
export type Mapping = Schemas['HistoricMapping'];
export type Column = Schemas['HistoricColumn'];
export type Answer = Schemas['HistoricAnswer'];

/** What the columns of a file seem to be. */
export function lookAt(file: File) {
  return asked(async () => {
    // A file may be chosen before the page knows its session.
    await askSession();
    return api.POST('/api/imports/look', rawFile(file));
  });
}

/** A field that somebody looked at: it is brought in as it stands. */
export interface Field {
  line: number;
  column: number;
}

/** What would come of it, or has come. */
export function read(file: File, mapping: Mapping, stand: readonly Field[], keep: boolean, signal?: AbortSignal) {
  return asked(() =>
    api.POST('/api/imports', {
      params: {
        query: {
          mapping: JSON.stringify(mapping),
          name: file.name,
          stand: stand.map(({ line, column }) => `${line}.${column}`).join(','),
          keep,
        },
      },
      ...rawFile(file),
      ...(signal ? { signal } : {}),
    }),
  );
}
