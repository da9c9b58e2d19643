import { createHash } from 'node:crypto'
import type { Repository } from '../../database/repository'
import type { ComingPictures } from '../journal'
import { keptType, type Picture } from '../pictures'
import { isHash, type PictureKeeper } from './picture-keeper'

export const MOST_PHOTO_BYTES = 12 * 1024 * 1024

export interface StoredPhoto {
  hash: string
  type: string
  bytes: number
}

/** Pictures’ bytes by their hash. */
export type PictureBytes = Readonly<Record<string, Uint8Array>>

export const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

/**
 * Pictures, content-addressed: the SHA-256 of the bytes is the name, so one picture is kept once and can never be
 * another.
 */
export class PhotoStore {
  constructor(
    private readonly keeper: PictureKeeper,
    private readonly repository: Repository,
  ) {}

  /** Keeps a picture that was found keepable. The same one twice, or twice at once, is kept once. */
  async add({ bytes, type }: Picture): Promise<StoredPhoto> {
    const photo = { hash: hashOf(bytes), type, bytes: bytes.length }
    await this.keeper.keep(photo.hash, bytes)
    await this.repository.addFile(photo)
    return photo
  }

  /** The picture's bytes and type, or undefined. */
  async get(hash: string): Promise<(StoredPhoto & { content: Buffer }) | undefined> {
    const content = await this.bytesOf(hash)
    // The database may be older than what is kept; the bytes say themselves what they are.
    const type = content && ((await this.repository.fileOf(hash))?.type ?? (await keptType(content)))
    return content && type ? { hash, type, bytes: content.length, content } : undefined
  }

  async bytesOf(hash: string): Promise<Buffer | undefined> {
    return isHash(hash) ? this.keeper.get(hash) : undefined
  }

  /** Those of these that are here. */
  async bytesOfAll(hashes: readonly string[]): Promise<PictureBytes> {
    const found = await Promise.all([...new Set(hashes)].map(async (hash) => [hash, await this.bytesOf(hash)] as const))
    return Object.fromEntries(found.flatMap(([hash, bytes]) => (bytes ? [[hash, bytes]] : [])))
  }

  /** Is it here, whatever the database remembers? */
  async has(hash: string): Promise<boolean> {
    return isHash(hash) && this.keeper.has(hash)
  }

  /** Removes pictures for good. */
  async forget(hashes: readonly string[]): Promise<void> {
    for (const hash of hashes) if (isHash(hash)) await this.keeper.forget(hash)
  }

  /** Where they lie, in words for whoever started the server. */
  get place(): string {
    return this.keeper.place
  }

  /**
   * Pictures that come with a visit file: kept only if its entries are, and those that are new dropped again if not.
   */
  coming(pictures: readonly { hash: string; type: string; bytes: Buffer }[]): ComingPictures {
    const fresh: string[] = []
    return {
      hashes: new Set(pictures.map(({ hash }) => hash)),
      keep: async (wanted) => {
        for (const { hash, bytes } of pictures)
          if (wanted.has(hash) && (await this.keeper.keep(hash, bytes))) fresh.push(hash)
      },
      dropFresh: async () => {
        for (const hash of fresh) await this.keeper.drop(hash)
      },
    }
  }
}
