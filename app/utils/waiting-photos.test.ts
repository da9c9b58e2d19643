import { IDBObjectStore } from 'fake-indexeddb'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { freshBrowser } from './browser.fixture'
import { WaitingPhotos } from './waiting-photos'

/** SHA-256 of “abc”. @source FIPS 180-4, example B.1 of its first edition */
const ABC = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad'
const picture = () => new Blob(['abc'], { type: 'image/jpeg' })

beforeEach(() => {
  freshBrowser()
})

describe('pictures that were taken here', () => {
  it('are kept under the hash of their bytes over a new start, until the shop has them', async () => {
    const first = new WaitingPhotos(() => undefined)
    expect(await first.keep(picture())).toEqual({ hash: ABC, type: 'image/jpeg', bytes: 3 })
    const changed = vi.fn()
    const again = new WaitingPhotos(changed)
    await vi.waitFor(() => expect(again.urlOf(ABC)).toMatch(/^blob:/))
    expect(changed).toHaveBeenCalled()
    expect((await again.waiting(ABC))?.size).toBe(3)
    await again.sent(ABC)
    // It is shown as long as the page is open, and gone from the store.
    expect(again.urlOf(ABC)).toMatch(/^blob:/)
    expect(await new WaitingPhotos(() => undefined).waiting(ABC)).toBeUndefined()
  })

  it('that the device will not take are known to be on the page alone', async () => {
    const put = IDBObjectStore.prototype.put
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError')
    }
    const photos = new WaitingPhotos(() => undefined)
    await photos.keep(picture()).finally(() => {
      IDBObjectStore.prototype.put = put
    })
    expect(photos.onlyHere).toBe(1)
    expect((await photos.waiting(ABC))?.size).toBe(3)
    await photos.sent(ABC)
    expect(photos.onlyHere).toBe(0)
  })
})
