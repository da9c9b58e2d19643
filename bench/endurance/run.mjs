// What is killed loses nothing that was acknowledged: the server, the database server, the browser, the machine. Each
// so many times under load, every acknowledged line read back after each. `npm run bench:endurance`, or fewer:
// `npm run bench:endurance -- 10` (a tenth of each).
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildIfNeeded, installPackages, needFreePort, needNode } from '../../scripts/lib/setup.mjs'
import { installSystemPackages } from '../../scripts/lib/system.mjs'
import { killedBrowser } from './browser.mjs'
import { killedDatabase } from './database.mjs'
import { endAll, whatServersSaid } from './load.mjs'
import { killedServer, lostPower } from './server.mjs'

needNode()
await installPackages()
await installSystemPackages()
await buildIfNeeded()
const share = Number(process.argv[2] ?? 100) / 100
const only = process.argv[3]
const port = Number(process.env.PORT ?? 4397)
await needFreePort('127.0.0.1', port)
const folder = mkdtempSync(join(tmpdir(), 'pike-lamp-endurance-'))
const rows = []

/** What is done, how often, and by what. Killed 500 times in all. */
const KINDS = [
  ['server killed', 250, killedServer],
  ['database server killed', 150, killedDatabase],
  ['browser killed', 100, killedBrowser],
  ['machine went down', 200, lostPower],
]
try {
  for (const [what, times, work] of KINDS) {
    if (only && !what.startsWith(only)) continue
    const turns = Math.max(1, Math.round(times * share))
    const data = join(folder, what.replaceAll(' ', '-'), 'data')
    mkdirSync(data, { recursive: true })
    const from = performance.now()
    const done = await work(turns, {
      data,
      port,
      tell: (round, acknowledged) => {
        if (round % 10 === 0) console.log(`${what}: ${round} of ${turns}, ${acknowledged} lines acknowledged`)
      },
    })
    rows.push({ what, times: turns, ...done, minutes: Math.round((performance.now() - from) / 6000) / 10 })
  }
} catch (error) {
  console.error(whatServersSaid())
  throw error
} finally {
  await endAll()
  rmSync(folder, { recursive: true, force: true })
}
console.table(rows)
