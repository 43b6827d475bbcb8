/** What this page has fetched so far that it needs again: its parts, and what the server said of its basin. */
function fetched(): string[] {
  const { origin } = window.location
  const needed = (path: string) => path.startsWith('/assets/') || path.startsWith('/api/')
  return performance
    .getEntriesByType('resource')
    .map(({ name }) => new URL(name))
    .filter((url) => url.origin === origin && needed(url.pathname))
    .map(({ href }) => href)
}

/** Lets what was opened once be opened without a network; a browser that can't do it goes on as before. */
export function workOffline(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return
  window.addEventListener('load', () => {
    void navigator.serviceWorker
      .register('/offline.js')
      .then(() => navigator.serviceWorker.ready)
      // The first page came before the worker was there: it is told what to keep.
      .then(({ active }) => active?.postMessage({ keep: ['/', ...fetched()] }))
      .catch(() => undefined)
  })
}
