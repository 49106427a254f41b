import createClient from 'openapi-fetch';
import { home } from './home';
import type { components, paths } from './schema';

const SOON_MS = 20_000;
const LONG_MS = 300_000;
// Files and whole records take their time, also over a harbour's network.
const LONG = /\/api\/(import|imports|results|export|waters\/[^/]+\/photos|visits\/[^/]+\/casts|photos)\b/;

/** Gives up on a connection that is open and dead: what waits is sent again by itself. */
function inTime(request: Request): Promise<Response> {
  const most = AbortSignal.timeout(LONG.test(new URL(request.url).pathname) ? LONG_MS : SOON_MS);
  return fetch(new Request(request, { signal: AbortSignal.any([request.signal, most]) }));
}

/** The server, typed by its own description. */
export const api = createClient<paths>({ baseUrl: home.href, fetch: inTime });

let token = '';

/** The session's token goes with every write, so that no other site can make it. */
export function bearToken(next: string): void {
  token = next;
}

api.use({
  onRequest({ request }) {
    if (token && request.method !== 'GET') {
      request.headers.set('X-Upper-Still', token);
    }
  },
});

export type Schemas = components['schemas'];
export type Entry = Schemas['Entry'];
export type Finding = Schemas['Finding'];
export type FieldSheet = Schemas['FieldSheet'];
export type StationRecord = Schemas['StationRecord'];
export type ClarityPoint = Schemas['ClarityPoint'];
export type LengthUnit = NonNullable<Schemas['LengthUnit']>;
export type ReaderUnit = Schemas['ReaderUnit'];
export type Working = Schemas['Working'];

type OperationPath = Extract<keyof paths, `/api/core/${string}`>;
export type OperationName = OperationPath extends `/api/core/${infer Name}` ? Name : never;
type Post<Name extends OperationName> = paths[`/api/core/${Name}`] extends { post: infer P } ? P : never;
export type OperationRequest<Name extends OperationName> =
  Post<Name> extends { requestBody: { content: { 'application/json': infer Body } } } ? Body : never;
export type OperationResponse<Name extends OperationName> =
  Post<Name> extends { responses: { 200: { content: { 'application/json': infer Body } } } } ? Body : never;
