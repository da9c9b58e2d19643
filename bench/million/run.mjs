// A shop of ten thousand visits and a million lines: how long it takes to open, to show, to write, and what memory it
// holds. Prints each figure beside
// its aim. `npm run bench:million`, or with a smaller shop: `npm run bench:million -- 1000`.
import { createWriteStream, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { Readable } from 'node:stream'
import { bundle } from '../../scripts/lib/bundle.mjs'
import { buildIfNeeded, installPackages, needFreePort, needNode, startServer } from '../../scripts/lib/setup.mjs'

needNode()
await installPackages()
await buildIfNeeded()
const visits = Number(process.argv[2] ?? 10_000)
const linesEach = 100
const port = Number(process.env.PORT ?? 4394)
await needFreePort('127.0.0.1', port)
const folder = mkdtempSync(join(tmpdir(), 'pike-lamp-million-'))
const data = join(folder, 'data')
mkdirSync(data)
const figures = []
const known = []
const say = (what, value, unit, aim) => {
  figures.push({ what, value: Math.round(value * 10) / 10, unit, aim })
  console.log(`${what}: ${Math.round(value * 10) / 10} ${unit}${aim ? ` (aim ${aim})` : ''}`)
}
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]
/** Servers that are up: ended whatever happens to the measuring. */
const up = new Set()
const start = async (options) => {
  const server = await startServer({ port, dataDir: data, patience: 600_000, stdio: 'inherit', ...options })
  up.add(server.child)
  return server
}
const end = (child) =>
  new Promise((done) => {
    up.delete(child)
    child.once('exit', done)
    child.kill()
  })
const memory = (pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024
const peak = (pid) => Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024
const timed = async (work) => {
  const from = performance.now()
  await work()
  return performance.now() - from
}
async function repeated(times, work) {
  const took = []
  for (let turn = 0; turn < times; turn++) took.push(await timed(() => work(turn)))
  return took
}

try {
  const { shopJournal } = await import(await bundle('bench/million/shop.ts', 'million-shop'))
  const today = new Date()
  let lines = 0

  function* text() {
    for (const entry of shopJournal({ visits, linesEach, visitsPerMachine: 4 }, today)) {
      lines++
      if (entry.kind === 'visit-opened') known.push(entry.visitId)
      yield `${JSON.stringify(entry)}\n`
    }
  }
  await pipeline(Readable.from(text(), { highWaterMark: 1024 }), createWriteStream(join(data, 'journal.jsonl')))
  console.log(`${lines} lines, ${Math.round(statSync(join(data, 'journal.jsonl')).size / 1e6)} MB, ${visits} visits`)

  say(
    'reference: the same engine alone, rows put in one chunk after the other',
    await bareEngine(join(data, 'journal.jsonl')),
    's per million',
    '',
  )
  const first = await start()
  say('first start, the whole journal taken in', first.milliseconds / 1000, 's', '60 per million')
  say('memory at its highest then', peak(first.child.pid), 'MB', '')
  await end(first.child)
  const starts = []
  for (let turn = 0; turn < 3; turn++) {
    const again = await start({ stdio: 'ignore' })
    starts.push(again.milliseconds)
    if (turn < 2) await end(again.child)
    else await measure(again)
  }
  say('warm start, median of 3', median(starts) / 1000, 's', '3')
} finally {
  await Promise.all([...up].map(end))
  rmSync(folder, { recursive: true, force: true })
}
console.table(figures)

/**
 * What the embedded engine itself takes for rows of this shop, without a check, a list or a journal: what the first
 * start is to be compared with.
 */
async function bareEngine(journal) {
  const { PGlite } = await import('@electric-sql/pglite')
  const rows = readFileSync(journal, 'utf8').slice(0, 12_000_000).split('\n').slice(0, -1)
  const engine = await PGlite.create(join(folder, 'bare'))
  await engine.exec(
    'create table entries (id uuid primary key, arrival bigserial not null, visit_id uuid, kind text not null, ' +
      'entry jsonb not null); create unique index on entries (arrival); create index on entries (visit_id, arrival)',
  )
  const took = await timed(async () => {
    for (let from = 0; from < rows.length; from += 2000) {
      await engine.query(
        `insert into entries (id, visit_id, kind, entry) select (e->>'id')::uuid, (e->>'visitId')::uuid, ` +
          `e->>'kind', e from jsonb_array_elements($1::jsonb) e`,
        [`[${rows.slice(from, from + 2000).join(',')}]`],
      )
    }
  })
  await engine.close()
  return (took / 1000 / rows.length) * 1e6
}

async function measure({ child, address }) {
  const get = async (path) => {
    const response = await fetch(address + path)
    if (!response.ok) throw new Error(`${path} answered ${response.status}: ${await response.text()}`)
    return response.arrayBuffer()
  }
  const midnight = new Date(new Date().setHours(0, 0, 0, 0))
  const day = `/api/day?from=${midnight.toISOString()}&to=${new Date(midnight.getTime() + 86_400_000).toISOString()}`
  say('Day, first', await timed(() => get(day)), 'ms', '')
  say('Day, median of 9', median(await repeated(9, () => get(day))), 'ms', '150')
  const pick = (turn) => known[Math.floor(((turn + 0.5) * known.length) / 20)]
  say('a visit at the server, first', await timed(() => get(`/api/visits/${known.at(-1)}`)), 'ms', '')
  const opened = await repeated(20, (turn) => get(`/api/visits/${pick(turn)}`))
  say('a visit at the server, median of 20', median(opened), 'ms', '150')
  say('a visit at the server, worst of 20', Math.max(...opened), 'ms', '')
  say('Shop, first', await timed(() => get('/api/shop')), 'ms', '')
  say('Shop, median of 9', median(await repeated(9, () => get('/api/shop'))), 'ms', '150')
  say('PDF, first', await timed(() => get(`/api/visits/${pick(3)}/sheet.pdf`)), 'ms', '')
  say('PDF, median of 9', median(await repeated(9, (turn) => get(`/api/visits/${pick(turn)}/sheet.pdf`))), 'ms', '1000')
  const append = async (turn) => {
    const entry = {
      id: `0197b000-0009-7000-8000-${turn.toString(16).padStart(12, '0')}`,
      visitId: known.at(-1),
      kind: 'note',
      at: new Date().toISOString(),
      author: 'bench',
      body: { text: `note ${turn}`, seenAndLeft: false },
    }
    const response = await fetch(`${address}/api/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries: [entry] }),
    })
    if (!response.ok) throw new Error(await response.text())
  }
  const appended = await repeated(60, append)
  say('append, median of 60', median(appended), 'ms', '25')
  say('append, worst of 60', Math.max(...appended), 'ms', '')
  const waits = []
  let busy = true
  const watch = (async () => {
    while (busy) {
      waits.push(await timed(() => get('/api/health')))
      await new Promise((wait) => setTimeout(wait, 5))
    }
  })()
  const file = Buffer.from(await get(`/api/visits/${pick(1)}/visit.json`)).toString('utf8')
  await Promise.all([
    ...Array.from({ length: 6 }, (_, turn) => get(`/api/visits/${pick(turn)}/sheet.pdf`)),
    ...Array.from({ length: 4 }, () =>
      fetch(`${address}/api/visits/import`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: file,
      }),
    ),
    fetch(`${address}/api/workings/batch`, {
      method: 'POST',
      body: Array.from(
        { length: 400 },
        () =>
          '{"working":"diagnose","input":' +
          '{"pump":{"kind":"pool","nameplate":{"volts":230}},"complaints":["hums-no-start"]}}',
      ).join('\n'),
    }).then((answer) => answer.text()),
  ])
  busy = false
  await watch
  say('health during PDFs, imports and a batch, worst', Math.max(...waits), 'ms', '100')
  say('memory in use', memory(child.pid), 'MB', '')
  await end(child)
}
