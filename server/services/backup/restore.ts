import { existsSync } from 'node:fs'
import { cp, mkdir, readdir, readFile, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import type { Repository } from '../../database/repository'
import { lockDataFolder } from '../data-lock'
import { JournalFile, JOURNAL_NAME } from '../journal-file'
import { readLines } from '../journal-lines'
import { restorePeople } from '../people/people-backup'
import { PeopleFile } from '../people/people-file'
import type { PeopleKeeper } from '../people/people-keeper'
import type { PictureKeeper } from '../photos/picture-keeper'
import type { StoredPhoto } from '../photos/photo-store'
import { keptType } from '../pictures'
import { reconcile } from '../reconcile'
import { RejectedFile } from '../rejected-file'
import { flush } from '../whole-file'
import { OUTLET, PEOPLE_PART, PHOTOS } from './backup-parts'
import { unpackBackup } from './read-backup'

/** There is a shop already where one is to be restored: it is never written over. */
export class NotEmpty extends Error {}

export interface Restored {
  lines: number
  pictures: number
  /** Lines that are no entries of this program, and were set aside. */
  setAside: number
}

const UNPACKED = '.restoring'

/**
 * Restores a shop into a data folder, for the embedded database: it is built from the journal at the next start.
 *
 * @throws NotEmpty, NoBackup, DataFolderBusy; the folder then has nothing new
 */
export async function restoreToFolder(file: string, dataDir: string, keeper: PictureKeeper): Promise<Restored> {
  await mkdir(dataDir, { recursive: true })
  const { release } = await lockDataFolder(dataDir)
  try {
    for (const name of [JOURNAL_NAME, 'database'])
      if (existsSync(join(dataDir, name)))
        throw new NotEmpty(`There is a shop in ${dataDir} already. Choose an empty folder with PIKE_LAMP_DATA.`)
    const unpacked = join(dataDir, UNPACKED)
    const manifest = await unpackBackup(file, unpacked)
    const pictures = await keepPictures(unpacked, keeper)
    await moveMails(unpacked, dataDir)
    await keepPeople(unpacked, new PeopleFile(dataDir))
    // Last, and at once: where the journal stands, all that it speaks of does.
    await flush(join(unpacked, JOURNAL_NAME))
    await rename(join(unpacked, JOURNAL_NAME), join(dataDir, JOURNAL_NAME))
    await flush(dataDir)
    await rm(unpacked, { recursive: true, force: true })
    return { lines: manifest.lines, pictures, setAside: 0 }
  } finally {
    release()
  }
}

/** A database server that a shop is restored into. */
export interface ServerTarget {
  repository: Repository
  pictures: PictureKeeper
  people: PeopleKeeper
  /** Where mails that left and what cannot be taken in are put. */
  dataDir: string
}

/**
 * Restores a shop into the empty database of a server: all of its lines, or none.
 *
 * @throws NotEmpty, NoBackup
 */
export async function restoreToServer(
  file: string,
  { repository, pictures: keeper, people, dataDir }: ServerTarget,
): Promise<Restored> {
  if ((await repository.newestArrival()) > 0)
    throw new NotEmpty('There is a shop in this database already. Choose an empty one with DATABASE_URL.')
  const unpacked = join(dataDir, UNPACKED)
  const manifest = await unpackBackup(file, unpacked)
  const journal = await JournalFile.open(unpacked)
  const rejected = await RejectedFile.open(dataDir)
  try {
    const pictures = await keepPictures(unpacked, keeper, async (picture) => repository.addFile(picture))
    await keepPeople(unpacked, people)
    await repository.transaction(async (transaction) => {
      await transaction.holdAppends()
      const read = async (bytes: Uint8Array) => readLines(bytes)
      await reconcile({ file: journal, rejected, repository: transaction, read })
      await transaction.tellArrival()
    })
    await moveMails(unpacked, dataDir)
    return { lines: manifest.lines - rejected.lines.length, pictures, setAside: rejected.lines.length }
  } finally {
    await journal.close()
    await rm(unpacked, { recursive: true, force: true })
  }
}

/** @param kept told of each that the bytes say is a picture, to be noted where the database does not do so itself */
async function keepPictures(
  unpacked: string,
  keeper: PictureKeeper,
  kept: (picture: StoredPhoto) => Promise<void> = async () => undefined,
): Promise<number> {
  const names = await readdir(join(unpacked, PHOTOS)).catch(() => [])
  for (const hash of names) {
    const bytes = await readFile(join(unpacked, PHOTOS, hash))
    await keeper.keep(hash, bytes)
    const type = await keptType(bytes)
    if (type) await kept({ hash, type, bytes: bytes.length })
  }
  return names.length
}

async function keepPeople(unpacked: string, keeper: PeopleKeeper): Promise<void> {
  const file = join(unpacked, PEOPLE_PART)
  if (existsSync(file)) await restorePeople(await readFile(file, 'utf8'), keeper)
}

async function moveMails(unpacked: string, dataDir: string): Promise<void> {
  if (existsSync(join(unpacked, OUTLET)))
    await cp(join(unpacked, OUTLET), join(dataDir, OUTLET), { recursive: true, force: false })
}
