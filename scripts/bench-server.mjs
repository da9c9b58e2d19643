// Measures what a technician waits for, on the production build: server start, first page, opening a long visit, Enter
// to a moved lamp, the command line.
import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { buildIfNeeded, installPackages, needNode, root, startServer } from './lib/setup.mjs'
import { CHROMIUM_LAUNCH } from './lib/system.mjs'
import { watchRequests } from './lib/quiet.mjs'
import { seedDemo } from './lib/seed.mjs'

needNode()
await installPackages()
await buildIfNeeded()
const port = Number(process.env.PORT ?? 4391)
const folder = mkdtempSync(join(tmpdir(), 'pike-lamp-bench-'))
const figures = []
const say = (name, value, unit, aim) => figures.push({ name, value: Math.round(value * 10) / 10, unit, aim })
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]
const end = (child) =>
  new Promise((done) => {
    child.once('exit', done)
    child.kill()
  })

const fresh = await startServer({ port, dataDir: join(folder, 'empty'), stdio: 'ignore' })
say('first start, empty data folder', fresh.milliseconds, 'ms', 'under 5000')
await end(fresh.child)

const entries = await seedDemo(new Date())
const data = join(folder, 'demo')
execFileSync('mkdir', ['-p', data])
const lido = entries.find(
  (entry) =>
    entry.kind === 'visit-opened' &&
    entry.body.machine.name === 'filter pump 2' &&
    entry.body.callerSays.startsWith('hums'),
)
const long = Array.from({ length: 500 }, (_, index) => ({
  id: `0197a000-00cc-7000-8000-${index.toString(16).padStart(12, '0')}`,
  visitId: lido.visitId,
  kind: 'note',
  at: new Date(Date.now() - 3_600_000 + index * 1000).toISOString(),
  author: 'bench',
  body: { text: `note ${index}`, seenAndLeft: false },
}))
writeFileSync(join(data, 'journal.jsonl'), [...entries, ...long].map((entry) => `${JSON.stringify(entry)}\n`).join(''))
const seeded = await startServer({ port, dataDir: data, stdio: 'ignore' })
say(`first start with a journal of ${entries.length + long.length} entries to take in`, seeded.milliseconds, 'ms', '')
await end(seeded.child)
const starts = []
for (let turn = 0; turn < 5; turn++) {
  const again = await startServer({ port, dataDir: data, stdio: 'ignore' })
  starts.push(again.milliseconds)
  await end(again.child)
}
say('start with existing data, median of 5', median(starts), 'ms', 'under 2000')

const { child, address } = await startServer({ port, dataDir: data, stdio: 'ignore' })
const { chromium } = await import('@playwright/test')
const browser = await chromium.launch(CHROMIUM_LAUNCH)
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
const quiet = watchRequests(page)
const scripts = new Map()
page.on('response', async (response) => {
  if (/\.js($|\?)/.test(response.url()) && !response.url().includes('builds'))
    scripts.set(response.url(), gzipSync(await response.body().catch(() => Buffer.alloc(0))).length)
})
let from = performance.now()
await page.goto(address)
await page.getByTestId('day').waitFor()
say('first page, cold, to the day on the screen', performance.now() - from, 'ms', '')
await quiet()
say(
  'script of the first page, compressed',
  [...scripts.values()].reduce((sum, bytes) => sum + bytes, 0) / 1024,
  'KB',
  'under 250',
)

const api = []
for (let turn = 0; turn < 10; turn++) {
  from = performance.now()
  await (await fetch(`${address}/api/visits/${lido.visitId}`)).text()
  api.push(performance.now() - from)
}
say('a visit of 500 entries from the server, median of 10', median(api), 'ms', '')
from = performance.now()
await page.goto(`${address}/visits/${lido.visitId}/test`)
await page.getByTestId('journal-line').first().waitFor()
say('opening a visit with 500 entries, to its journal on the screen', performance.now() - from, 'ms', '')

const other = entries
  .filter((entry) => entry.kind === 'visit-opened' && entry.body.machine.name === 'garden pool pump')
  .at(-1)
await page.goto(`${address}/visits/${other.visitId}/test`)
await page.getByTestId('suspects').locator('li').first().waitFor()
await page.waitForTimeout(800)
/** From the key to the changed suspects, in the page's own clock. */
const moves = []
for (const line of [
  'supply 236',
  'shaft seized',
  'shaft free',
  'weep dripping',
  'weep dry',
  'listen hum',
  'listen quiet',
  'run cap 12',
  'run cap 25',
]) {
  await page.getByLabel('a reading, a note').fill(line)
  moves.push(
    await page.evaluate(
      () =>
        new Promise((done) => {
          const before = document.querySelector('[data-testid=suspects]').textContent
          const started = performance.now()
          const observer = new MutationObserver(() => {
            if (document.querySelector('[data-testid=suspects]').querySelector('ol')?.textContent === before) return
            if (document.querySelector('[data-testid=suspects]').textContent === before) return
            observer.disconnect()
            done(performance.now() - started)
          })
          observer.observe(document.querySelector('aside'), { subtree: true, childList: true, characterData: true })
          document.querySelector('#reading').form.requestSubmit()
        }),
    ),
  )
  await page.waitForTimeout(150)
}
say('Enter to judged line and moved lamp, median of 9', median(moves), 'ms', 'under 100')
say('Enter to judged line and moved lamp, worst of 9', Math.max(...moves), 'ms', '')
await browser.close()

const appends = []
for (let turn = 0; turn < 40; turn++) {
  const entry = { ...long[0], id: `0197a000-00dd-7000-8000-${turn.toString(16).padStart(12, '0')}` }
  from = performance.now()
  await fetch(`${address}/api/entries`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ entries: [entry] }),
  })
  appends.push(performance.now() - from)
}
say(
  'appending an entry: checked, on the disk, in the database, acknowledged; median of 40, visit of 500 entries',
  median(appends),
  'ms',
  '',
)
await end(child)

const lamps = []
writeFileSync(
  join(folder, 'case.json'),
  JSON.stringify({ pump: { kind: 'pool', nameplate: { volts: 230 } }, complaints: ['hums-no-start'] }),
)
for (let turn = 0; turn < 5; turn++) {
  from = performance.now()
  spawnSync('node', ['scripts/lamp.mjs', 'diagnose', join(folder, 'case.json')], { cwd: root })
  lamps.push(performance.now() - from)
}
say('command line: one diagnosis from start to end, median of 5', median(lamps), 'ms', 'well under 1000')
rmSync(folder, { recursive: true, force: true })
console.table(figures)
