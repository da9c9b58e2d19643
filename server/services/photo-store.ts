import { createHash, randomUUID } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, open, readFile, rename, rm } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import type { Repository } from '../database/repository'
import type { ComingPictures } from './journal'
import { photoType, type Picture } from './pictures'

export const MOST_PHOTO_BYTES = 12 * 1024 * 1024

export interface StoredPhoto {
  hash: string
  type: string
  bytes: number
}

export const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

/**
 * Pictures, content-addressed: the SHA-256 of the bytes is the name, so one picture is kept once and can never be
 * another.
 */
export class PhotoStore {
  constructor(
    private readonly folder: string,
    private readonly repository: Repository,
  ) {}

  /** Keeps a picture that was found keepable. The same one twice, or twice at once, is kept once. */
  async add({ bytes, type }: Picture): Promise<StoredPhoto> {
    const photo = { hash: hashOf(bytes), type, bytes: bytes.length }
    await this.write(photo.hash, bytes)
    await this.repository.addFile(photo)
    return photo
  }

  /** The picture's bytes and type, or undefined. */
  async get(hash: string): Promise<(StoredPhoto & { content: Buffer }) | undefined> {
    if (!/^[0-9a-f]{64}$/.test(hash)) return undefined
    const content = await readFile(this.pathOf(hash)).catch(() => undefined)
    // The database may be older than the folder; the bytes say themselves what they are.
    const type = content && ((await this.repository.fileOf(hash))?.type ?? (await photoType(content)))
    return content && type ? { hash, type, bytes: content.length, content } : undefined
  }

  /** Is it here, whatever the database remembers? */
  async has(hash: string): Promise<boolean> {
    return /^[0-9a-f]{64}$/.test(hash) && existsSync(this.pathOf(hash))
  }

  /** Where pictures lie, for those who read them elsewhere. */
  pathOf(hash: string): string {
    return join(this.folder, hash.slice(0, 2), hash)
  }

  /**
   * Pictures that come with a visit file: kept only if its entries are, and those that are new dropped again if not.
   */
  coming(pictures: readonly { hash: string; type: string; bytes: Buffer }[]): ComingPictures {
    const fresh: string[] = []
    return {
      hashes: new Set(pictures.map(({ hash }) => hash)),
      keep: async () => {
        for (const { hash, bytes } of pictures) if (await this.write(hash, bytes)) fresh.push(hash)
      },
      dropFresh: async () => {
        for (const hash of fresh) await rm(this.pathOf(hash), { force: true })
      },
    }
  }

  /** @returns whether it was new */
  private async write(hash: string, bytes: Uint8Array): Promise<boolean> {
    const path = this.pathOf(hash)
    if (existsSync(path)) return false
    await mkdir(dirname(path), { recursive: true })
    // A name of its own for each writer: two who keep the same picture at once do not take each other's file away.
    const aside = `${path}.${randomUUID()}.tmp`
    try {
      const handle = await open(aside, 'wx')
      try {
        await handle.writeFile(bytes)
        await handle.sync()
      } finally {
        await handle.close()
      }
      await rename(aside, path)
    } catch (error) {
      await rm(aside, { force: true })
      throw error
    }
    return true
  }
}
