/**
 * A new build takes over while a page of the earlier one stands, and with it goes from the device whatever that page had not
 * fetched yet. Everything written is in the database, so the page is loaded anew where it was, from the device.
 */
export function followNewBuild(container: ServiceWorkerContainer): void {
  let taken = false;
  container.addEventListener('controllerchange', () => {
    taken = true;
  });
  // Without a new build it is the network's fault, and loading anew would only lose the page.
  addEventListener('vite:preloadError', () => taken && location.reload());
}
