import { join } from 'node:path'
import type { Repository } from '../../database/repository'
import { PictureBucket } from './picture-bucket'
import { PictureFolder } from './picture-folder'
import type { PictureKeeper } from './picture-keeper'
import { PictureTable } from './picture-table'

/** Where pictures are to lie, as it is set. */
export interface PictureSetting {
  /** `database`, or the address of a bucket; a folder of the shop’s data where it is left out. */
  at?: string
  key?: string
  secret?: string
  region?: string
}

const FIRST_REGION = 'us-east-1'

/** What the database has of pictures. */
export interface PictureRecords {
  /** The hashes of all pictures that the shop speaks of. */
  known: () => Promise<string[]>
  /** Where they may be kept in the database itself; an embedded one may be thrown away and built anew. */
  table?: Repository
}

/**
 * The keeper of a shop’s pictures.
 *
 * @throws Error with one sentence where it is set to something that cannot be; secrets are not repeated
 */
export function openPictures(
  dataDir: string,
  { at, key, secret, region = FIRST_REGION }: PictureSetting,
  { known, table }: PictureRecords,
): PictureKeeper {
  if (at === undefined) return new PictureFolder(join(dataDir, 'photos'))
  if (at === 'database') {
    if (!table) throw new Error('PIKE_LAMP_PHOTOS=database asks for a database server: say it with DATABASE_URL.')
    return new PictureTable(table)
  }
  if (!/^https?:\/\/[^/@]+\/[^/]+/.test(at) || !URL.canParse(at))
    throw new Error(
      'PIKE_LAMP_PHOTOS is no place for pictures. It is database, or a bucket’s address as https://host:port/bucket.',
    )
  if (!key || !secret)
    throw new Error('The store of pictures is signed in to with PIKE_LAMP_PHOTOS_KEY and PIKE_LAMP_PHOTOS_SECRET.')
  return new PictureBucket({ url: at, key, secret, region }, known)
}
