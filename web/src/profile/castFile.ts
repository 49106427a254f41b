import type { Schemas } from '../api/client';
import { callDoor } from '../field/core';
import { newId, write } from '../field/entries';
import { readSetting, store, writeSetting } from '../field/store';
import type { Profile } from './columns';

type Column = Schemas['CastColumn'];

const HEAD_BYTES = 64 * 1024;
const CHUNK_BYTES = 1024 * 1024;

/** A chosen file, and how it is laid out: columns as they were taken for the last time this header was seen. */
export interface LookedAt {
  file: File;
  layout: Schemas['CastLayout'];
}

/** Columns are remembered by what the meter calls them: another meter has another header. */
function nameOf(columns: Column[]): string {
  return `cast columns ${columns.map(({ header }) => header).join('|')}`;
}

export async function lookAt(file: File): Promise<LookedAt> {
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  const layout: Schemas['CastLayout'] = JSON.parse(await callDoor('CastLayoutOf', head));
  const columns = await readSetting(nameOf(layout.columns), layout.columns);
  return { file, layout: { ...layout, columns } };
}

/** Reads the whole file in pieces and gives a level for each that is still to be read. */
export async function readCast({ file, layout }: LookedAt, profile: Profile): Promise<Schemas['CastResult']> {
  const request: Schemas['CastRequest'] = {
    separator: layout.separator,
    decimalComma: layout.decimalComma,
    firstRow: layout.firstRow,
    columns: layout.columns,
    levels: profile.toRead.filter(({ wanted }) => wanted === 'planned').map(({ depth, depthM }) => ({ depth, depthM })),
  };
  await callDoor('CastBegin', JSON.stringify(request));
  for (let from = 0; from < file.size; from += CHUNK_BYTES) {
    await callDoor('CastPush', new Uint8Array(await file.slice(from, from + CHUNK_BYTES).arrayBuffer()));
  }
  return JSON.parse(await callDoor('CastFinish'));
}

/** Writes the cast and its levels, all or none; the file is kept first, so that no entry names one that is not there. */
export async function writeCast(visit: string, { file, layout }: LookedAt, result: Schemas['CastResult']): Promise<void> {
  const bytes = await file.arrayBuffer();
  const sha256 = [...new Uint8Array(await crypto.subtle.digest('SHA-256', bytes))]
    .map((byte) => byte.toString(16).padStart(2, '0'))
    .join('');
  await store.files.put({ sha256, visit, file: new Blob([bytes], { type: 'text/csv' }) });
  const cast = newId();
  try {
    await write(
      {
        id: cast,
        visit,
        kind: 'logged-cast',
        body: {
          file: file.name.slice(0, 200),
          sha256,
          bytes: file.size,
          rows: result.rows,
          used: result.used,
          wayUp: result.wayUp,
          columns: Object.fromEntries(
            layout.columns
              .filter(({ quantity }) => quantity !== 'none')
              .map(({ quantity, header, unit }) => [quantity, unit ? `${header}, ${unit}` : header]),
          ),
        },
      },
      ...result.levels.map(({ body, rows }) => ({
        visit,
        kind: 'level' as const,
        body: { ...body, from: 'logged' as const, cast, rows },
      })),
    );
  } catch (error) {
    await store.files.delete(sha256);
    throw error;
  }
  await writeSetting(nameOf(layout.columns), layout.columns);
}
