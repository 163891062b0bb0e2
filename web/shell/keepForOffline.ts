/** Keeps the application in the browser, so that it opens without a network; where the browser can't, it goes without. */
export function keepForOffline(): void {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  window.addEventListener('load', () => {
    void navigator.serviceWorker.register('/sw.js', { scope: '/' }).catch(() => undefined);
  });
}

/** Asks the browser not to clear away what is kept for a site without a network. */
export const keepForLong = (): void => void navigator.storage?.persist?.().catch(() => undefined);
