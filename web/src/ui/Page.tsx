import { Outlet } from '@tanstack/react-router';
import { Header } from './Header';

export function Page() {
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-sheet focus:p-3">
        To the page
      </a>
      <Header />
      <main id="main" className="flex min-h-0 flex-1 flex-col">
        <Outlet />
      </main>
    </div>
  );
}
