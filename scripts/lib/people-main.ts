import { resolve, join } from 'node:path'
import { connect } from '../../server/database/connect'
import { startSentence } from '../../server/database/database-trouble'
import { NotSo, People } from '../../server/services/people/people'
import { PeopleFile } from '../../server/services/people/people-file'
import type { PeopleKeeper } from '../../server/services/people/people-keeper'
import { PeopleTable } from '../../server/services/people/people-table'
import { slowHash } from '../../server/services/people/slow-hash'
import { settingsIn } from '../../server/services/settings'

/** Whose word the invitation of the first owner is: nobody's of the shop. */
const COMMAND_LINE = '00000000-0000-7000-8000-000000000000'

/**
 * `owner NAME`: prints an invitation for the owner of a shop that has no people yet, for a server that is reached from
 * elsewhere; whoever can run this command can read the shop's data anyway.
 */
export async function main(
  [, name]: readonly (string | undefined)[],
  { root, env }: { root: string; env: NodeJS.ProcessEnv },
): Promise<number> {
  try {
    if (!name) throw new NotSo('owner needs a name', 'NAME')
    const settings = settingsIn({ ...env, PIKE_LAMP_DATA: resolve(root, env.PIKE_LAMP_DATA || 'data') })
    const { token, until } = await withKeeper(settings, root, async (keeper) => {
      const people = new People(keeper, slowHash)
      if (await people.isAnybody()) throw new NotSo('The shop has an owner already, who invites others.', 'NAME')
      return people.invite(COMMAND_LINE, { name, role: 'owner' })
    })
    console.log(JSON.stringify({ for: name, address: `/join#${token}`, until }, null, 2))
    return 0
  } catch (error) {
    const title = error instanceof NotSo ? error.message : startSentence(error)
    console.error(
      JSON.stringify({ title, problems: [{ field: 'NAME', value: name, expected: 'the owner’s name' }] }, null, 2),
    )
    return 2
  }
}

async function withKeeper<T>(
  { dataDir, databaseUrl }: ReturnType<typeof settingsIn>,
  root: string,
  work: (keeper: PeopleKeeper) => Promise<T>,
): Promise<T> {
  if (!databaseUrl) return work(new PeopleFile(dataDir))
  const connection = await connect({ dataDir, databaseUrl, migrationsDir: join(root, 'server/database/migrations') })
  try {
    return await work(new PeopleTable(connection))
  } finally {
    await connection.close()
  }
}
