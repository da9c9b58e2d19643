// A phone at a shop of a million lines: its first page on a processor slowed to a quarter, the days it keeps with how
// far they are, what changes afterwards, and what memory it holds. Each figure beside its aim. `npm run bench:device`,
// or with a smaller shop: `npm run bench:device -- 1000`.
import { createWriteStream, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { bundle } from '../../scripts/lib/bundle.mjs'
import { processesWhere } from '../../scripts/lib/processes.mjs'
import { buildIfNeeded, installPackages, needFreePort, needNode, startServer } from '../../scripts/lib/setup.mjs'
import { CHROMIUM_LAUNCH, installSystemPackages } from '../../scripts/lib/system.mjs'

needNode()
await installPackages()
await installSystemPackages()
await buildIfNeeded()
const visits = Number(process.argv[2] ?? 10_000)
const linesEach = 100
const port = Number(process.env.PORT ?? 4399)
await needFreePort('127.0.0.1', port)
const folder = mkdtempSync(join(tmpdir(), 'pike-lamp-device-'))
const data = join(folder, 'data')
mkdirSync(data)
/** A processor of a cheap phone beside this one. */
const SLOWED = 4
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, serviceWorkers: 'allow' }
const TURNS = 9
/** Visits that are planned for today. */
const OF_TODAY = 6
const figures = []
const loops = []
const say = (what, value, unit, aim = '') => {
  figures.push({ what, value: Math.round(value * 10) / 10, unit, aim })
  console.log(`${what}: ${Math.round(value * 10) / 10} ${unit}${aim ? ` (aim ${aim})` : ''}`)
}
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]
let server
let browser
try {
  const { shopJournal } = await import(await bundle('bench/million/shop.ts', 'million-shop'))
  const today = new Date()
  const opened = []
  function* text() {
    for (const entry of shopJournal({ visits, linesEach, visitsPerMachine: 4 }, today)) {
      if (entry.kind === 'visit-opened') opened.push(entry)
      yield `${JSON.stringify(entry)}\n`
    }
    for (const [index, entry] of opened.slice(0, OF_TODAY).entries()) {
      const id = `0197b000-0009-7000-8000-00000000aa${index.toString(16).padStart(2, '0')}`
      const scheduledAt = new Date(new Date(today).setHours(8 + index, 0, 0, 0)).toISOString()
      yield `${JSON.stringify({ ...entry, id, visitId: id, body: { ...entry.body, scheduledAt } })}\n`
    }
  }
  await pipeline(Readable.from(text(), { highWaterMark: 1024 }), createWriteStream(join(data, 'journal.jsonl')))
  server = await startServer({ port, dataDir: data, patience: 600_000, stdio: 'inherit' })
  const { address } = server
  await foundAll(address)
  const { chromium } = await import('@playwright/test')
  browser = await chromium.launch(CHROMIUM_LAUNCH)

  const [cold, second, warm] = [[], [], []]
  for (let turn = 0; turn < TURNS; turn++) {
    const context = await browser.newContext(PHONE)
    const page = await slowed(context)
    cold.push(await firstPage(page, address))
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await keptAt(page)
    // What a first visit fetches ahead is no part of the second.
    await closeAtRest(page)
    for (const figures of [second, warm]) {
      const again = await slowed(context)
      figures.push(await firstPage(again, address))
      await closeAtRest(again)
    }
    await context.close()
  }
  say('first page, cold, processor slowed to a quarter, median of 9', median(cold), 'ms', '2500')
  // The browser translates the scripts for good the second time that it reads them.
  say('the second time', median(second), 'ms')
  say('first page, warm, from the third time on', median(warm), 'ms', '1000')
  say('a loop of this machine between them, median', median(loops), 'ms')
  say('the same loop at its slowest', Math.max(...loops), 'ms')

  const context = await browser.newContext(PHONE)
  const page = await context.newPage()
  const steps = await watchProgress(page)
  const from = performance.now()
  await page.goto(address)
  await page.getByTestId('standing').click()
  await keptAt(page)
  say('a new device, until its days are on it whole', (performance.now() - from) / 1000, 's', '20')
  say('times it said how far it was', (await steps()).length, '', 'more than 1')
  say('what that was, as it came', await page.evaluate(lastCame), 'KB')
  say('visits it keeps', await page.evaluate(keptVisits), '')

  const before = await page.evaluate(windowAt)
  const visitId = '0197b000-0009-7000-8000-00000000aa01'
  await fetch(`${address}/api/entries`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      entries: [
        {
          id: '0197b000-0009-7000-8000-00000000dd01',
          visitId,
          kind: 'planned',
          at: new Date().toISOString(),
          author: 'bench',
          body: { at: new Date().toISOString() },
        },
      ],
    }),
  })
  const asked = performance.now()
  while ((await page.evaluate(windowAt)) === before) await new Promise((wait) => setTimeout(wait, 50))
  say('after one more line, until it is read anew (4 s of it are patience)', (performance.now() - asked) / 1000, 's')
  say('what that was, as it came', await page.evaluate(lastCame), 'KB')

  for (const path of [`/visits/${visitId}/test`, '/pumps', '/']) {
    await page.goto(address + path)
    await page.waitForLoadState('networkidle')
  }
  await page.goto(`${address}/visits/${visitId}/test`)
  await page.getByTestId('suspects').locator('li').first().waitFor()
  const session = await context.newCDPSession(page)
  await session.send('HeapProfiler.collectGarbage')
  const { metrics } = await session.send('Performance.enable').then(() => session.send('Performance.getMetrics'))
  say('memory of the page itself', metrics.find(({ name }) => name === 'JSHeapUsedSize').value / 1e6, 'MB')
  say('memory of the page’s process, its workers among it', renderers(), 'MB', '200')
  await context.close()
} finally {
  await browser?.close()
  if (server) {
    const ended = new Promise((done) => server.child.once('exit', done))
    server.child.kill()
    await ended
  }
  rmSync(folder, { recursive: true, force: true })
}
console.table(figures)

/** Until all that arrived is taken into what can be found: the server has nothing else to do from then on. */
async function foundAll(address) {
  const day = (ahead) => new Date(Date.now() + ahead * 86_400_000).toISOString()
  const body = JSON.stringify({ from: day(30), to: day(31), visits: [], machines: [], customers: [] })
  for (;;) {
    const answer = await fetch(`${address}/api/device`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    })
    const { since, arrival } = JSON.parse((await answer.text()).split('\n')[0])
    if (since === arrival) return
    await new Promise((wait) => setTimeout(wait, 1000))
  }
}

async function slowed(context) {
  const page = await context.newPage()
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED })
  return page
}

/**
 * From going there until the first words of the day are painted, milliseconds: as the page itself knows it, for what
 * drives the browser is slowed down with it. @source W3C Element Timing
 */
async function firstPage(page, address) {
  await page.addInitScript(() => {
    new PerformanceObserver((list) => {
      globalThis.dayAt ??= list.getEntries()[0].startTime
    }).observe({ type: 'element', buffered: true })
    new MutationObserver((_, observer) => {
      const day = document.querySelector('[data-testid=day]')
      if (!day) return
      observer.disconnect()
      for (const each of day.querySelectorAll('*')) each.setAttribute('elementtiming', 'day')
    }).observe(document, { subtree: true, childList: true })
  })
  loops.push(loop())
  await page.goto(address, { waitUntil: 'commit' })
  return (await page.waitForFunction(() => globalThis.dayAt)).jsonValue()
}

async function closeAtRest(page) {
  await page.waitForLoadState('networkidle')
  await page.close()
}

/** How long the same work takes here just now: what else this machine does can be seen by it. */
function loop() {
  const from = performance.now()
  let sum = 0
  for (let step = 0; step < 1e8; step++) sum = (sum + step) | 0
  return performance.now() - from
}

/** Until the days that a device keeps are on it whole. */
async function keptAt(page) {
  while ((await page.evaluate(windowAt)) === undefined) await new Promise((wait) => setTimeout(wait, 30))
}

/** When the window was read last. */
function windowAt() {
  return new Promise((done) => {
    const opening = indexedDB.open('pike-lamp.shop')
    opening.onsuccess = () => {
      const store = opening.result
      if (!store.objectStoreNames.contains('facts')) {
        store.close()
        return done(undefined)
      }
      const asked = store.transaction('facts').objectStore('facts').get('window')
      asked.onsuccess = () => {
        store.close()
        done(asked.result?.at)
      }
    }
  })
}
/** How much of the shop was read last, KB on the way. */
function lastCame() {
  const read = performance.getEntriesByType('resource').filter(({ name }) => name.endsWith('/api/device'))
  return read.at(-1).encodedBodySize / 1024
}
function keptVisits() {
  return new Promise((done) => {
    const opening = indexedDB.open('pike-lamp.shop')
    opening.onsuccess = () => {
      const store = opening.result
      const asked = store.transaction('visits').objectStore('visits').count()
      asked.onsuccess = () => {
        store.close()
        done(asked.result)
      }
    }
  })
}

/** Every word on how far the reading is, as the page shows it to whoever asks how things stand. */
async function watchProgress(page) {
  await page.addInitScript(() => {
    globalThis.heardSteps = new Set()
    addEventListener('DOMContentLoaded', () => {
      new MutationObserver(() => {
        const found = /Reading the shop: (\d+ of \d+)/.exec(document.body.textContent)
        if (found) globalThis.heardSteps.add(found[1])
      }).observe(document.documentElement, { subtree: true, childList: true, characterData: true })
    })
  })
  return () => page.evaluate(() => [...globalThis.heardSteps])
}

/** What the largest of the browser's page processes holds for itself alone and its share of what is shared, MB. */
function renderers() {
  const pages = processesWhere((folder) => readFileSync(`${folder}/cmdline`, 'utf8').includes('--type=renderer'))
  const kilobytes = (pid) => Number(/^Pss:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8'))[1])
  return Math.max(...pages.map(kilobytes)) / 1024
}
