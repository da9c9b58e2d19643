import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, open, readFile, rename } from 'node:fs/promises'
import { join } from 'node:path'
import { fileTypeFromBuffer } from 'file-type'
import { InputError } from '../../core/validation/input-error'
import type { Repository } from '../database/repository'

export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const
export const MOST_PHOTO_BYTES = 12 * 1024 * 1024

export interface StoredPhoto { hash: string; type: string; bytes: number }

/** Pictures, content-addressed: the SHA-256 of the bytes is the name, so one picture is kept once and can never be another. */
export class PhotoStore {
  constructor(private readonly folder: string, private readonly repository: Repository) {}

  /**
   * Keeps a picture.
   *
   * @throws InputError when the bytes are not a JPEG, PNG or WebP, whatever their name or declared type says
   */
  async add(bytes: Buffer): Promise<StoredPhoto> {
    const found = await fileTypeFromBuffer(bytes)
    if (!found || !(PHOTO_TYPES as readonly string[]).includes(found.mime)) throw new InputError([{ field: 'body', value: found?.mime ?? `${bytes.length} bytes of unknown type`, expected: 'a JPEG, PNG or WebP picture' }])
    const photo = { hash: createHash('sha256').update(bytes).digest('hex'), type: found.mime, bytes: bytes.length }
    const path = this.pathOf(photo.hash)
    if (!existsSync(path)) await this.write(path, bytes)
    await this.repository.addFile(photo)
    return photo
  }

  /** The picture's bytes and type, or undefined. */
  async get(hash: string): Promise<(StoredPhoto & { content: Buffer }) | undefined> {
    if (!/^[0-9a-f]{64}$/.test(hash)) return undefined
    const content = await readFile(this.pathOf(hash)).catch(() => undefined)
    if (!content) return undefined
    // The database may be older than the folder; the bytes say themselves what they are.
    const row = (await this.repository.fileOf(hash)) ?? (await this.add(content))
    return { ...row, content }
  }

  private pathOf(hash: string): string {
    return join(this.folder, hash.slice(0, 2), hash)
  }

  private async write(path: string, bytes: Buffer): Promise<void> {
    await mkdir(join(path, '..'), { recursive: true })
    const aside = `${path}.${process.pid}.tmp`
    const handle = await open(aside, 'w')
    try {
      await handle.writeFile(bytes)
      await handle.sync()
    } finally {
      await handle.close()
    }
    await rename(aside, path)
  }
}
