import { existsSync } from 'node:fs'
import { mkdir, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { needNode, installPackages, root, run } from './lib/setup.mjs'

needNode()
await installPackages()
process.env.NUXT_TELEMETRY_DISABLED = '1'
await rm(join(root, '.output'), { recursive: true, force: true })
await run('npx', ['nuxt', 'prepare'])
await run('npx', ['nuxt', 'build'])
await bundleCommandLine()
await makeTemplate()
await writeFile(join(root, '.output/built.json'), JSON.stringify({ node: process.versions.node }))

/** The command line as one file, so that it starts in a fraction of a second. */
async function bundleCommandLine() {
  const { lampBundle, backupBundle, peopleBundle } = await import('./lib/bundle.mjs')
  await lampBundle()
  await backupBundle()
  await peopleBundle()
}

/** A database made and migrated once here, so that a first start copies it instead of making one. */
async function makeTemplate() {
  const { bundle } = await import('./lib/bundle.mjs')
  await mkdir(join(root, '.cache'), { recursive: true })
  const made = await bundle('server/database/connect.ts', 'connect')
  const { connect } = await import(made)
  const work = join(root, '.output/template-work')
  const connection = await connect({ dataDir: work, migrationsDir: join(root, 'server/database/migrations') })
  await connection.close()
  const { rename } = await import('node:fs/promises')
  await rename(join(work, 'database'), join(root, '.output/template'))
  await rm(work, { recursive: true, force: true })
  if (!existsSync(join(root, '.output/template/PG_VERSION'))) throw new Error('The database template was not made.')
}
