import { existsSync } from 'node:fs'
import { access, constants, mkdir } from 'node:fs/promises'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { connect, type Connection } from '../database/connect'
import { Repository } from '../database/repository'
import { lockDataFolder } from './data-lock'
import { Journal } from './journal'
import { JournalFile } from './journal-file'
import { PhotoStore } from './photo-store'

/** Everything a request needs, opened once. */
export interface ShopApp { repository: Repository; journal: Journal; photos: PhotoStore; kind: Connection['kind']; dataDir: string; close: () => Promise<void> }

export interface ShopAppOptions { dataDir: string; databaseUrl?: string; migrationsDir?: string; templateDir?: string }

/**
 * Opens a shop's data: lock, database, journal file, and the replay of what the database lacks.
 *
 * @throws DataFolderBusy, or an Error with one clear sentence
 */
export async function openShopApp({ dataDir, databaseUrl, migrationsDir = besideServer('migrations', '../database/migrations'), templateDir }: ShopAppOptions): Promise<ShopApp> {
  const folder = resolve(dataDir)
  await writable(folder)
  const embedded = !databaseUrl
  const release = embedded ? await lockDataFolder(folder) : () => undefined
  try {
    const connection = await connect({ dataDir: folder, databaseUrl, migrationsDir, templateDir: templateDir ?? besideServer('../template', '../../.output/template') })
    const repository = new Repository(connection.db)
    const file = embedded ? await JournalFile.open(folder) : undefined
    const journal = new Journal(repository, file)
    await journal.replay()
    await repository.backfillCauses()
    const close = async () => {
      await file?.close()
      await connection.close()
      release()
    }
    return { repository, journal, photos: new PhotoStore(join(folder, 'photos'), repository), kind: connection.kind, dataDir: folder, close }
  } catch (error) {
    release()
    throw error
  }
}

async function writable(folder: string): Promise<void> {
  try {
    await mkdir(folder, { recursive: true })
    await access(folder, constants.W_OK)
  } catch {
    throw new Error(`The data folder ${folder} cannot be written. Give it to the user that runs Pike Lamp, or choose another with PIKE_LAMP_DATA.`)
  }
}

/** A folder that travels with the built server, or its place in the sources. */
function besideServer(built: string, source: string): string {
  const here = dirname(fileURLToPath(import.meta.url))
  const candidates = [join(process.env.PIKE_LAMP_SERVER_DIR ?? join(process.cwd(), '.output/server'), built), join(here, built), join(here, source)]
  return candidates.find((path) => existsSync(path)) ?? join(here, source)
}
