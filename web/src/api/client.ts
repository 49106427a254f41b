import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

/** The server, typed by its own description. */
export const api = createClient<paths>({ baseUrl: location.origin, fetch: (request) => fetch(request) });

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
