import type { SessionPerson } from '../people/session';

/** A place of the application, and whom it is for. */
export interface Place {
  to: '/' | '/season' | '/prepare' | '/bench' | '/ledger' | '/record' | '/review' | '/workings' | '/setup';
  name: string;
  owns(path: string): boolean;
  opensTo(person: SessionPerson): boolean;
}

export const PLACES: readonly Place[] = [
  { to: '/season', name: 'Season', owns: (path) => path.startsWith('/season'), opensTo: () => true },
  { to: '/prepare', name: 'Prepare', owns: (path) => path.startsWith('/prepare'), opensTo: (person) => person.works },
  {
    to: '/',
    name: 'On the water',
    owns: (path) => path === '/' || path.startsWith('/visit') || path.startsWith('/start'),
    opensTo: () => true,
  },
  { to: '/bench', name: 'Bench', owns: (path) => path.startsWith('/bench'), opensTo: (person) => person.works },
  { to: '/ledger', name: 'Ledger', owns: (path) => path.startsWith('/ledger'), opensTo: () => true },
  { to: '/record', name: 'Record', owns: (path) => path.startsWith('/record'), opensTo: () => true },
  { to: '/review', name: 'Review', owns: (path) => path.startsWith('/review'), opensTo: (person) => person.works },
  { to: '/workings', name: 'Workings', owns: (path) => path.startsWith('/workings'), opensTo: () => true },
  { to: '/setup', name: 'Set-up', owns: (path) => path.startsWith('/setup'), opensTo: (person) => person.works },
];
