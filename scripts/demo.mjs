import { existsSync } from 'node:fs'
import { mkdir, rename, rm, writeFile } from 'node:fs/promises'
import { join, resolve } from 'node:path'
import { buildIfNeeded, fail, installPackages, needFreePort, needNode, root, startServer } from './lib/setup.mjs'

needNode()
const host = process.env.HOST ?? '127.0.0.1'
const port = process.env.PORT ?? '4173'
const dataDir = resolve(root, process.env.PIKE_LAMP_DATA ?? 'data/demo')
await needFreePort(host, port)
await mkdir(dataDir, { recursive: true }).catch(() =>
  fail(`The data folder ${dataDir} cannot be written. Give it to this user, or choose another with PIKE_LAMP_DATA.`),
)
await installPackages()
await buildIfNeeded()
const { seedDemo } = await import('./lib/seed.mjs')
const fresh = process.argv.includes('--fresh')
if (fresh) {
  if (existsSync(join(dataDir, 'server.lock'))) {
    // A living server on this folder says so itself when it is asked to share it; nothing is deleted under it.
    const { lockDataFolder } = await import(
      await (await import('./lib/bundle.mjs')).bundle('server/services/data-lock.ts', 'data-lock')
    )
    const release = await lockDataFolder(dataDir).catch((error) => fail(error.message))
    release()
  }
  // Only what Pike Lamp itself put there: a wrong PIKE_LAMP_DATA must not cost somebody a folder.
  for (const name of ['database', 'journal.jsonl', 'photos', 'outlet', 'instruments', 'server.lock'])
    await rm(join(dataDir, name), { recursive: true, force: true })
}
if (!existsSync(join(dataDir, 'journal.jsonl'))) {
  const entries = await seedDemo(new Date())
  await writeFile(join(dataDir, 'journal.seeding'), entries.map((entry) => `${JSON.stringify(entry)}\n`).join(''))
  await rename(join(dataDir, 'journal.seeding'), join(dataDir, 'journal.jsonl'))
  console.log(`The made-up shop is written down: ${entries.length} journal entries.`)
}
const { child, address } = await startServer({ host, port, dataDir }).catch((error) =>
  fail(error.code === 1 ? 'The demo did not start; the sentence above says why.' : error.message),
)
console.log(`The demo is open at ${address}`)
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => child.kill(signal))
child.once('exit', (code) => process.exit(code ?? 0))
