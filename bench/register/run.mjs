// A shop of ten thousand customers, twelve thousand machines and ten thousand visits: how long its register takes to be
// searched, a card to be opened, the Day to be read, what to keep to be reckoned. Each figure beside its aim.
// `npm run bench:register`, or smaller: `npm run bench:register -- 500`.
import { createWriteStream, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { bundle } from '../../scripts/lib/bundle.mjs'
import { buildIfNeeded, installPackages, needFreePort, needNode, startServer } from '../../scripts/lib/setup.mjs'

needNode()
await installPackages()
await buildIfNeeded()
const customers = Number(process.argv[2] ?? 10_000)
const size = { customers, machines: Math.round(customers * 1.2), visits: customers }
const port = Number(process.env.PORT ?? 4395)
await needFreePort('127.0.0.1', port)
const folder = mkdtempSync(join(tmpdir(), 'pike-lamp-register-'))
const data = join(folder, 'data')
mkdirSync(data)
const figures = []
const say = (what, value, unit, aim = '') => figures.push({ what, value: Math.round(value * 10) / 10, unit, aim })
const sorted = (values) => [...values].sort((a, b) => a - b)
const median = (values) => sorted(values)[Math.floor(values.length / 2)]
const up = new Set()
const timed = async (work) => {
  const from = performance.now()
  await work()
  return performance.now() - from
}

try {
  const { registerJournal } = await import(await bundle('bench/register/shop.ts', 'register-shop'))
  const { shelfJournal } = await import(await bundle('bench/register/shelves.ts', 'register-shelves'))
  const today = new Date()
  function* text() {
    for (const entry of registerJournal(size, today)) yield `${JSON.stringify(entry)}\n`
    for (const entry of shelfJournal(today)) yield `${JSON.stringify(entry)}\n`
  }
  await pipeline(Readable.from(text(), { highWaterMark: 1024 }), createWriteStream(join(data, 'journal.jsonl')))
  const { child, address, milliseconds } = await startServer({
    port,
    dataDir: data,
    patience: 600_000,
    stdio: 'inherit',
  })
  up.add(child)
  say('first start, the whole journal taken in', milliseconds / 1000, 's')
  const get = async (path) => {
    const response = await fetch(address + path)
    if (!response.ok) throw new Error(`${path} answered ${response.status}: ${await response.text()}`)
    return response.json()
  }
  const from = performance.now()
  for (;;) {
    const { behind } = await get('/api/pumps?q=weir')
    if (behind === 0) break
    await new Promise((wait) => setTimeout(wait, 500))
  }
  say('until everything can be found, once', (performance.now() - from) / 1000, 's')
  const asked = [
    'weir',
    'weir street 12',
    '6204',
    '0.2 meg',
    'al',
    'alder house tired',
    'yearly 4711',
    '01000',
    'w',
    '',
  ]
  for (const query of asked) {
    const path = `/api/pumps?q=${encodeURIComponent(query)}`
    const { groups } = await get(path)
    const answers = groups.reduce((sum, { count }) => sum + count, 0)
    const took = []
    for (let turn = 0; turn < 9; turn++) took.push(await timed(() => get(path)))
    say(`search “${query}”, ${answers} answers, median of 9`, median(took), 'ms', '50')
  }
  const machine = (index) => `0197a000-0002-7000-8000-${index.toString(16).padStart(12, '0')}`
  const cards = []
  for (let turn = 0; turn < 20; turn++) cards.push(await timed(() => get(`/api/machines/${machine(turn * 7)}/card`)))
  say('a card, median of 20', median(cards), 'ms', '150')
  say('a card, worst of 20', Math.max(...cards), 'ms', '')
  const midnight = new Date(new Date().setHours(0, 0, 0, 0))
  const day = `/api/day?from=${midnight.toISOString()}&to=${new Date(midnight.getTime() + 86_400_000).toISOString()}`
  const days = []
  for (let turn = 0; turn < 9; turn++) days.push(await timed(() => get(day)))
  say('Day, median of 9', median(days), 'ms', '100')
  const dues = []
  for (let turn = 0; turn < 9; turn++)
    dues.push(await timed(() => get(`/api/due?until=${today.toISOString().slice(0, 10)}`)))
  say('what is due, median of 9', median(dues), 'ms', '')
  const day0 = today.toISOString().slice(0, 10)
  say('what the season may bring, the first time', await timed(() => get(`/api/forecast?today=${day0}`)), 'ms', '')
  say('what the season may bring, again', await timed(() => get(`/api/forecast?today=${day0}`)), 'ms', '')
  const week = new Date(midnight.getTime() + 7 * 86_400_000).toISOString()
  const plan = `/api/shelf/plan?from=${midnight.toISOString()}&to=${week}&on=${day0}`
  say(`how much to keep, ${size.machines} machines, the first time`, await timed(() => get(plan)), 'ms', '')
  say('how much to keep, again', await timed(() => get(plan)), 'ms', '')
  say('what lies where', await timed(() => get('/api/shelf')), 'ms', '')
  const out = async () => (await fetch(`${address}/api/register.csv`)).text()
  say('the register as a table', await timed(out), 'ms', '')
  const table = await out()
  const taking = async () => {
    const response = await fetch(`${address}/api/register/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'register.csv', text: table, write: false }),
    })
    if (!response.ok) throw new Error(await response.text())
    const { counts } = await response.json()
    if (counts.new + counts.fills + counts.bad > 0) throw new Error(JSON.stringify(counts))
  }
  say(`a dry run of that table, ${table.split('\n').length - 1} lines`, await timed(taking), 'ms', '')
  const appended = []
  for (let turn = 0; turn < 40; turn++)
    appended.push(
      await timed(async () => {
        const entry = {
          id: `0197b000-0009-7000-8000-${turn.toString(16).padStart(12, '0')}`,
          visitId: null,
          kind: 'customer-set',
          at: new Date().toISOString(),
          author: 'bench',
          body: { customer: { id: '0197a000-0001-7000-8000-000000000005', name: `renamed ${turn}`, place: '' } },
        }
        const response = await fetch(`${address}/api/entries`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ entries: [entry] }),
        })
        if (!response.ok) throw new Error(await response.text())
      }),
    )
  say('a correction of a customer, median of 40', median(appended), 'ms', '25')
  say('and found under the new name at once', await timed(() => get('/api/pumps?q=renamed%2039')), 'ms', '')
  await new Promise((done) => {
    child.once('exit', done)
    child.kill()
  })
  up.delete(child)
} finally {
  for (const child of up) child.kill()
  rmSync(folder, { recursive: true, force: true })
}
console.table(figures)
