import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/wght.css';
import './index.css';
import { RouterProvider } from '@tanstack/react-router';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { addressOf } from './api/home';
import { startDelivering } from './field/delivery';
import { lookForEmptied } from './field/outbox';
import { emptiedTrouble, setTrouble } from './field/trouble';
import { followNewBuild } from './newBuild';
import { router } from './routes';
import { startAppearance } from './ui/appearance';

startAppearance();
void lookForEmptied()
  .then((found) => found && setTrouble(emptiedTrouble(found)))
  .finally(startDelivering);
if ('serviceWorker' in navigator && import.meta.env.PROD) {
  followNewBuild(navigator.serviceWorker);
  // After the first screen, which it would otherwise delay by fetching everything for offline.
  addEventListener('load', () => setTimeout(() => void navigator.serviceWorker.register(addressOf('/sw.js')), 300));
}

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <RouterProvider router={router} />
    </StrictMode>,
  );
}
