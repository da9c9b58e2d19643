// A phone's browser that is killed while lines wait on it: what it kept is at the shop after its next start.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { killAtOnce, processesWhere } from '../../scripts/lib/processes.mjs'
import { seedDemo } from '../../scripts/lib/seed.mjs'
import { CHROMIUM_LAUNCH } from '../../scripts/lib/system.mjs'
import { between, end, pause, start } from './load.mjs'

/** Killed so many times with all its processes, half of them without a way to the shop. */
export async function killedBrowser(times, { data, port, tell }) {
  const { chromium } = await import('@playwright/test')
  const entries = await seedDemo(new Date())
  mkdirSync(data, { recursive: true })
  writeFileSync(join(data, 'journal.jsonl'), entries.map((entry) => `${JSON.stringify(entry)}\n`).join(''))
  const { visitId } = entries
    .filter(({ kind, body }) => kind === 'visit-opened' && body.machine.name === 'filter pump 2')
    .at(-1)
  const { child, address } = await start({ port, dataDir: data })
  const profile = join(data, '..', 'profile')
  const kept = new Set()
  const notesAtShop = async () => {
    const { entries: lines } = await (await fetch(`${address}/api/visits/${visitId}`)).json()
    const ids = lines.map(({ id }) => id)
    if (new Set(ids).size !== ids.length) throw new Error('A line is there twice.')
    return new Set(ids)
  }
  try {
    for (let round = 1; round <= times; round++) {
      const context = await chromium.launchPersistentContext(profile, { ...CHROMIUM_LAUNCH, serviceWorkers: 'allow' })
      const page = context.pages()[0] ?? (await context.newPage())
      await page.goto(`${address}/visits/${visitId}/test`)
      const line = page.getByLabel('a reading, a note')
      await line.waitFor()
      await arrived(notesAtShop, kept)
      await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
      if (round % 2 === 0) await context.setOffline(true)
      for (let count = between(2, 6), note = 0; note < count; note++) {
        await line.fill(`note round ${round} line ${note}`)
        await page.keyboard.press('Enter')
        await page.waitForFunction(() => document.querySelector('#reading').value === '')
      }
      await pause(between(0, 30))
      // What waits is in the store of the browser: that is what it has promised to keep.
      for (const id of await page.evaluate(waiting)) kept.add(id)
      killAtOnce(processesOf(profile))
      await context.close().catch(() => undefined)
      while (processesOf(profile).length > 0) await pause(20)
      tell(round, kept.size)
    }
    const context = await chromium.launchPersistentContext(profile, { ...CHROMIUM_LAUNCH, serviceWorkers: 'allow' })
    await context.pages()[0]?.goto(`${address}/visits/${visitId}/test`)
    await arrived(notesAtShop, kept)
    await context.close()
    return { acknowledged: kept.size, held: kept.size }
  } finally {
    await end(child)
  }
}

/** Until all that was kept is at the shop. */
async function arrived(atShop, kept) {
  for (let tries = 0; tries < 600; tries++) {
    const there = await atShop()
    const lacking = [...kept].filter((id) => !there.has(id))
    if (lacking.length === 0) return
    if (tries === 599) throw new Error(`${lacking.length} lines that the browser had kept did not arrive.`)
    await pause(50)
  }
}

/** Ids of the lines that wait in this browser's store. */
function waiting() {
  return new Promise((done) => {
    const opening = indexedDB.open('pike-lamp')
    opening.onsuccess = () => {
      const store = opening.result
      const asked = store.transaction('waiting').objectStore('waiting').getAllKeys()
      asked.onsuccess = () => {
        store.close()
        done(asked.result)
      }
    }
  })
}

const processesOf = (profile) => processesWhere((folder) => readFileSync(`${folder}/cmdline`, 'utf8').includes(profile))
