import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import type { DBSchema, IDBPDatabase } from 'idb'
import { openStore } from './open-store'

/** A picture that was taken here, under the hash of its bytes, as the shop will keep it. */
export interface TakenPhoto {
  hash: string
  type: string
  bytes: number
}
interface PhotoStore extends DBSchema {
  pictures: { key: string; value: { hash: string; blob: Blob } }
}

const NAME = 'pike-lamp.photos'

/** Pictures that the shop does not have yet. One leaves this device's store once the shop has it. */
export class WaitingPhotos {
  private readonly opened: Promise<IDBPDatabase<PhotoStore> | undefined> = openStore<PhotoStore>(
    NAME,
    (store) => void store.createObjectStore('pictures', { keyPath: 'hash' }),
  )
  /** Where they can be shown from, by hash; also those that the store would not take. */
  private readonly shown = new Map<string, { url: string; blob: Blob }>()
  private readonly unkept = new Set<string>()

  constructor(private readonly changed: () => void) {
    void this.read()
  }

  /** @returns what a journal says of it */
  async keep(blob: Blob): Promise<TakenPhoto> {
    const hash = bytesToHex(sha256(new Uint8Array(await blob.arrayBuffer())))
    this.show(hash, blob)
    const isKept = await (await this.opened)?.put('pictures', { hash, blob }).catch(() => undefined)
    if (!isKept) this.unkept.add(hash)
    this.changed()
    return { hash, type: blob.type, bytes: blob.size }
  }

  /** How many are only on this page, because the device's store would not take them. */
  get onlyHere(): number {
    return this.unkept.size
  }

  urlOf(hash: string): string | undefined {
    return this.shown.get(hash)?.url
  }

  /** The picture, while the shop does not have it. */
  async waiting(hash: string): Promise<Blob | undefined> {
    return this.shown.get(hash)?.blob ?? (await (await this.opened)?.get('pictures', hash).catch(() => undefined))?.blob
  }

  /** The shop has it. It is shown from here as long as the page is open. */
  async sent(hash: string): Promise<void> {
    this.unkept.delete(hash)
    this.changed()
    await (await this.opened)?.delete('pictures', hash).catch(() => undefined)
  }

  private async read(): Promise<void> {
    const kept = (await (await this.opened)?.getAll('pictures').catch(() => [])) ?? []
    for (const { hash, blob } of kept) if (!this.shown.has(hash)) this.show(hash, blob)
  }
  private show(hash: string, blob: Blob): void {
    this.shown.set(hash, { url: URL.createObjectURL(blob), blob })
    this.changed()
  }
}
