/// <reference lib="webworker" />
import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope;

// Everything that the application is made of, WebAssembly included, is on the device before the first trip.
precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();
const api = new URL('api/', self.registration.scope).pathname;
registerRoute(
  ({ request, url }) => request.mode === 'navigate' && !url.pathname.startsWith(api),
  createHandlerBoundToURL('index.html'),
);

// Entries wait in the database, not in the page, so a new release may take over at once.
self.skipWaiting();
clientsClaim();
