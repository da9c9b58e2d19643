import type { Page } from '@playwright/test'
import { expect } from './shop'

/** Waits until the app and the shop's days are on this device: it opens and works without a server from then on. */
export async function kept(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await expect.poll(() => page.evaluate(windowIn), { timeout: 30_000 }).toBeGreaterThan(0)
}

/** How many visits the window has that is kept in this browser. */
function windowIn(): Promise<number> {
  return new Promise((done) => {
    const opening = indexedDB.open('pike-lamp.shop')
    opening.onsuccess = () => {
      const store = opening.result
      const asked = store.transaction('facts').objectStore('facts').get('window')
      asked.onsuccess = () => {
        store.close()
        done((asked.result as { visits: string[] } | undefined)?.visits.length ?? 0)
      }
    }
  })
}
