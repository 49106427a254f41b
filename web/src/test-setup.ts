import 'fake-indexeddb/auto';

Object.assign(globalThis, { location: new URL('http://localhost/') });
