import type { Repository } from '../../database/repository'
import type { PictureKeeper } from './picture-keeper'

/** Pictures in the database server, where every server of the shop finds them. */
export class PictureTable implements PictureKeeper {
  readonly place = 'in the database'

  constructor(private readonly repository: Repository) {}

  get(hash: string): Promise<Buffer | undefined> {
    return this.repository.pictureOf(hash)
  }

  has(hash: string): Promise<boolean> {
    return this.repository.hasPicture(hash)
  }

  all(): Promise<string[]> {
    return this.repository.pictureHashes()
  }

  keep(hash: string, bytes: Uint8Array): Promise<boolean> {
    return this.repository.addPicture(hash, Buffer.from(bytes))
  }

  async drop(): Promise<void> {
    // Another server may have been given the same one meanwhile; one that nobody speaks of does no harm.
  }

  forget(hash: string): Promise<void> {
    return this.repository.dropPicture(hash)
  }
}
