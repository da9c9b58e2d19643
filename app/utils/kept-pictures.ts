/** Where the service worker keeps pictures, as `scripts/lib/service-worker.mjs` names it. */
const PICTURES = 'pictures'
/** So many of the newest are fetched ahead. */
const MOST = 150

/** Nothing of what was seen stays. */
export async function dropPictures(): Promise<void> {
  if ('caches' in globalThis) await caches.delete(PICTURES).catch(() => false)
}

/**
 * Fetches pictures that are not on this device yet, so that they can be seen without a signal. The service worker keeps
 * what is fetched; without one nothing is.
 *
 * @param hashes the newest first
 */
export async function keepPictures(hashes: readonly string[]): Promise<void> {
  if (!('caches' in globalThis) || !navigator.serviceWorker?.controller) return
  const cache = await caches.open(PICTURES)
  for (const hash of hashes.slice(0, MOST)) {
    const path = `/api/photos/${hash}`
    if (await cache.match(path)) continue
    const response = await fetch(path).catch(() => undefined)
    if (!response) return
    // Read to its end: only then it is kept.
    await response.arrayBuffer().catch(() => undefined)
  }
}
