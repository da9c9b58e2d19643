import { existsSync } from 'node:fs'
import { readdir, readFile, rm } from 'node:fs/promises'
import { basename, join } from 'node:path'
import { writeWhole } from '../whole-file'
import { isHash, type PictureKeeper } from './picture-keeper'

/** Pictures as files of a folder. */
export class PictureFolder implements PictureKeeper {
  constructor(private readonly folder: string) {}

  get place(): string {
    return `in the folder ${this.folder}`
  }

  get(hash: string): Promise<Buffer | undefined> {
    return readFile(this.pathOf(hash)).catch(() => undefined)
  }

  async has(hash: string): Promise<boolean> {
    return existsSync(this.pathOf(hash))
  }

  async all(): Promise<string[]> {
    const names = await readdir(this.folder, { recursive: true }).catch(() => [])
    return names.map((name) => basename(name)).filter(isHash)
  }

  async keep(hash: string, bytes: Uint8Array): Promise<boolean> {
    const path = this.pathOf(hash)
    if (existsSync(path)) return false
    await writeWhole(path, bytes)
    return true
  }

  async drop(hash: string): Promise<void> {
    await rm(this.pathOf(hash), { force: true })
  }

  forget(hash: string): Promise<void> {
    return this.drop(hash)
  }

  private pathOf(hash: string): string {
    return join(this.folder, hash.slice(0, 2), hash)
  }
}
