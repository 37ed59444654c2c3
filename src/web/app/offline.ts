/** Event on the window: a newer version of the application is loaded and waits to be let in. */
export const UPDATE_READY = 'dune-sparrow-update-ready';

const ASKED_EVERY = 60 * 60 * 1000;

let waiting: ServiceWorker | null = null;

/** Keeps the application for when its server is away, where the browser can; a newer version asks before it takes over. */
export async function keepOffline(): Promise<void> {
  if (!import.meta.env.PROD || !isSecureContext || !('serviceWorker' in navigator)) return;
  try {
    const registration = await navigator.serviceWorker.register('/service-worker.js');
    const announceUpdate = (worker: ServiceWorker | null) => {
      // The first one is no update of anything.
      if (!worker || !navigator.serviceWorker.controller) return;
      waiting = worker;
      dispatchEvent(new CustomEvent(UPDATE_READY));
    };
    const watch = (installing: ServiceWorker | null) =>
      installing?.addEventListener('statechange', () => {
        if (installing.state === 'installed') announceUpdate(installing);
      });
    announceUpdate(registration.waiting);
    // The browser may have found one before this page listened.
    watch(registration.installing);
    registration.addEventListener('updatefound', () => watch(registration.installing));
    const ask = () => registration.update().catch(() => undefined);
    void ask();
    // A page that is open all day hears of a newer one too.
    setInterval(ask, ASKED_EVERY);
  } catch (error) {
    console.error('The application cannot be kept for work without its server:', error);
  }
}

/** Whether a newer version waits. */
export const updateWaits = (): boolean => waiting !== null;

/** Lets the newer version in: the page is loaded anew. */
export function takeUpdate(): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  waiting?.postMessage('take-over');
}
