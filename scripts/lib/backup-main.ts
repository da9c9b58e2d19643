import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { connect, type Connection } from '../../server/database/connect'
import { startSentence } from '../../server/database/database-trouble'
import { Repository } from '../../server/database/repository'
import { NoBackup } from '../../server/services/backup/backup-parts'
import { restoreToFolder, restoreToServer, type Restored } from '../../server/services/backup/restore'
import {
  linesOfFile,
  linesOfServer,
  picturesNamedIn,
  writeBackup,
  type BackupMade,
} from '../../server/services/backup/write-backup'
import { JOURNAL_NAME } from '../../server/services/journal-file'
import { peopleToKeep } from '../../server/services/people/people-backup'
import { PeopleFile } from '../../server/services/people/people-file'
import type { PeopleKeeper } from '../../server/services/people/people-keeper'
import { PeopleTable } from '../../server/services/people/people-table'
import { openPictures } from '../../server/services/photos/open-pictures'
import type { PictureKeeper } from '../../server/services/photos/picture-keeper'
import { settingsIn } from '../../server/services/settings'

type Settings = ReturnType<typeof settingsIn>
/** A refusal that says its field and what would be right. */
class Refused extends Error {
  constructor(
    title: string,
    readonly problem: { field: string; value: unknown; expected: string },
  ) {
    super(title)
  }
}

/**
 * `backup FILE` and `restore FILE`: prints what was done as JSON, or the same problem as HTTP and exits 2.
 *
 * @param root of the project, where the migrations lie
 */
export async function main(
  [command, file]: readonly (string | undefined)[],
  { root, env, now }: { root: string; env: NodeJS.ProcessEnv; now: string },
): Promise<number> {
  try {
    if (!file)
      throw new Refused(`${command} needs a file`, { field: 'FILE', value: file, expected: 'the path of a backup' })
    const settings = settingsIn({ ...env, PIKE_LAMP_DATA: resolve(root, env.PIKE_LAMP_DATA || 'data') })
    const path = resolve(env.INIT_CWD ?? process.cwd(), file)
    const done = command === 'backup' ? await backup(path, settings, root, now) : await restore(path, settings, root)
    console.log(JSON.stringify(done, null, 2))
    return 0
  } catch (error) {
    console.error(JSON.stringify(described(error, file), null, 2))
    return 2
  }
}

async function backup(file: string, settings: Settings, root: string, now: string): Promise<BackupMade> {
  const { dataDir, databaseUrl } = settings
  if (existsSync(file))
    throw new Refused('There is a file of that name already', {
      field: 'FILE',
      value: file,
      expected: 'a name that no file has: a backup is never written over',
    })
  const outlet = join(dataDir, 'outlet')
  if (databaseUrl)
    return withServer(settings, root, async ({ repository, pictures, people }) => {
      const kept = await peopleToKeep(people)
      return repository.snapshot((moment) =>
        writeBackup(file, { lines: linesOfServer(moment), pictures, people: kept, outlet }, now),
      )
    })
  if (!existsSync(join(dataDir, JOURNAL_NAME)))
    throw new Refused('There is no shop to back up', {
      field: 'PIKE_LAMP_DATA',
      value: dataDir,
      expected: `a data folder with ${JOURNAL_NAME}`,
    })
  const people = await peopleToKeep(new PeopleFile(dataDir))
  return writeBackup(file, { lines: linesOfFile(dataDir), pictures: picturesBeside(settings), people, outlet }, now)
}

function restore(file: string, settings: Settings, root: string): Promise<Restored> {
  const { dataDir } = settings
  if (!settings.databaseUrl) return restoreToFolder(file, dataDir, picturesBeside(settings))
  return withServer(settings, root, (opened) => restoreToServer(file, { ...opened, dataDir }))
}

/** Pictures of an embedded shop, whose database a running server may hold: the journal names them too. */
function picturesBeside({ dataDir, pictures = {} }: Settings): PictureKeeper {
  return openPictures(dataDir, pictures, { known: () => picturesNamedIn(linesOfFile(dataDir)) })
}

async function withServer<T>(
  { dataDir, databaseUrl, pictures = {} }: Settings,
  root: string,
  work: (opened: { repository: Repository; pictures: PictureKeeper; people: PeopleKeeper }) => Promise<T>,
): Promise<T> {
  let connection: Connection | undefined
  try {
    connection = await connect({ dataDir, databaseUrl, migrationsDir: join(root, 'server/database/migrations') })
    const repository = new Repository(connection.db)
    const records = { known: () => repository.fileHashes(), table: repository }
    const people = new PeopleTable(connection)
    return await work({ repository, people, pictures: openPictures(dataDir, pictures, records) })
  } finally {
    await connection?.close()
  }
}

function described(error: unknown, file: string | undefined): { title: string; problems: object[] } {
  if (error instanceof Refused) return { title: error.message, problems: [error.problem] }
  if (error instanceof NoBackup)
    return {
      title: `This is no backup that can be restored. ${error.message}`,
      problems: [{ field: 'FILE', value: file, expected: 'a file that lamp backup has made, whole' }],
    }
  if ((error as NodeJS.ErrnoException).code === 'ENOENT')
    return {
      title: `${file} cannot be read`,
      problems: [{ field: 'FILE', value: file, expected: 'the path of a backup' }],
    }
  return { title: startSentence(error), problems: [] }
}
