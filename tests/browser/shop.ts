import { test as base, expect, type Page } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import type { Entry, EntryKind, EntryOf } from '../../core/visit/entry'
import { ofKind } from '../../core/visit/of-kind'
import { seedDemo } from '../../scripts/lib/seed.mjs'
import { post, serve, temporaryFolder, type Served } from '../server/serve'

/** The instant that the tests call now: a Tuesday in May, before the lido's visit. */
export const NOW = new Date(2026, 4, 12, 9, 40)

export interface Shop extends Served {
  lido: string
  /** Today's visit at a machine of the demo. */
  visit: (machine: string) => Promise<string>
  /** @param env what is otherwise than before */
  restart: (env?: Record<string, string>) => Promise<void>
  stop: () => Promise<void>
}

/** One shop for all tests of a worker: they only look, or write in a visit of their own. */
export interface StandingShop {
  url: string
  lido: string
  /** A machine of the demo once more, its customer, history and today's visit copied: what this test may write in. */
  visit: (machine: string) => Promise<string>
}

/**
 * The made-up shop on the production build, its clock fixed: `standing` for a test that keeps to visits of its own,
 * `shop` for one that stops the server, sets the shop, teaches it, or asks its Day.
 */
export const test = base.extend<{ shop: Shop; problems: string[] }, { seeded: string; standing: StandingShop }>({
  seeded: [
    // eslint-disable-next-line no-empty-pattern -- the runner reads the first parameter’s pattern
    async ({}, use) => {
      const folder = temporaryFolder()
      const entries = await seedDemo(NOW)
      mkdirSync(folder.path, { recursive: true })
      writeFileSync(
        join(folder.path, 'journal.jsonl'),
        entries.map((entry: object) => `${JSON.stringify(entry)}\n`).join(''),
      )
      const first = await serve(folder.path)
      // The day is looked at once: its minutes are kept, and are there in every copy.
      const midnight = new Date(NOW.getFullYear(), NOW.getMonth(), NOW.getDate())
      const next = new Date(midnight.getTime() + 86_400_000)
      await fetch(`${first.url}/api/plan?from=${midnight.toISOString()}&to=${next.toISOString()}&on=2026-05-12`)
      await first.kill('SIGTERM')
      await use(folder.path)
      folder.remove()
    },
    { scope: 'worker' },
  ],
  standing: [
    async ({ seeded }, use) => {
      const own = copyOf(seeded)
      const server = await serve(own.path, { PIKE_LAMP_NOW: NOW.toISOString() })
      await use({
        url: server.url,
        lido: await visitOf(server.url, 'filter pump 2'),
        visit: async (machine) => copyOfVisit(server.url, seeded, await visitOf(server.url, machine)),
      })
      await server.kill('SIGTERM')
      own.remove()
    },
    { scope: 'worker' },
  ],
  shop: async ({ seeded }, use) => {
    const own = copyOf(seeded)
    let server = await serve(own.path, { PIKE_LAMP_NOW: NOW.toISOString() })
    const port = new URL(server.url).port
    const shop = {
      get url() {
        return server.url
      },
      lido: '',
      visit: async (machine: string) => visitOf(server.url, machine),
      stop: async () => server.kill('SIGKILL'),
      restart: async (env = {}) => {
        server = await serve(own.path, { PIKE_LAMP_NOW: NOW.toISOString(), PORT: port, NITRO_PORT: port, ...env })
      },
    } as unknown as Shop
    shop.lido = await visitOf(server.url, 'filter pump 2')
    await use(shop)
    await server.kill('SIGTERM')
    own.remove()
  },
  // Each test is a new device. Those that are not about that keep nothing: reading the shop's days for each is the load
  // of a hundred phones.
  context: async ({ context, serviceWorkers }, use) => {
    if (serviceWorkers !== 'allow') await context.route('**/api/device', (route) => route.fulfill({ status: 204 }))
    await use(context)
  },
  /** Console errors and page errors; a test that expects none says so at its end. */
  problems: async ({ page }, use) => {
    const problems: string[] = []
    page.on('console', (message) => {
      if (message.type() === 'error') problems.push(message.text())
    })
    page.on('pageerror', (error) => problems.push(error.message))
    await use(problems)
  },
})
export { expect, type Page }

function copyOf(seeded: string): ReturnType<typeof temporaryFolder> {
  const own = temporaryFolder()
  // With its hours: a journal that was written since it was last read is read whole.
  execFileSync('cp', ['-Rp', `${seeded}/.`, own.path])
  return own
}

/** Away from the Day that other tests look at. */
export const ANOTHER_DAY = new Date(NOW.getFullYear(), NOW.getMonth(), NOW.getDate() + 15, 10)

/** Everything the demo knows of a visit's machine, written again under ids of its own, the visit on another day. */
async function copyOfVisit(url: string, seeded: string, visitId: string): Promise<string> {
  const entries = readFileSync(join(seeded, 'journal.jsonl'), 'utf8')
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Entry)
  const opened = ofKind(entries, 'visit-opened')
  const machine = opened.find((entry) => entry.visitId === visitId)?.body.machine
  const visits = new Set(opened.filter(({ body }) => body.machine.id === machine?.id).map((entry) => entry.visitId))
  const mine = entries.filter((entry) => visits.has(entry.visitId))
  const ids = [machine?.id, machine?.customerId, ...visits, ...mine.map(({ id }) => id)]
  const renamed = new Map(ids.map((id) => [id, uuidv7()]))
  const copies = (
    JSON.parse(JSON.stringify(mine), (_, value: unknown) => renamed.get(value as string) ?? value) as Entry[]
  ).map((entry) =>
    entry.kind === 'visit-opened' && entry.visitId === renamed.get(visitId)
      ? { ...entry, body: { ...entry.body, scheduledAt: ANOTHER_DAY.toISOString() } }
      : entry.kind === 'planned' && entry.body.at
        ? { ...entry, body: { ...entry.body, at: ANOTHER_DAY.toISOString() } }
        : entry,
  )
  expect((await post(`${url}/api/entries`, { entries: copies })).status).toBe(200)
  return renamed.get(visitId) as string
}

/** The lines of one kind that the shop has kept of a visit. */
export async function keptAt<K extends EntryKind>(url: string, visitId: string, kind: K): Promise<EntryOf<K>[]> {
  const { entries } = (await (await fetch(`${url}/api/visits/${visitId}`)).json()) as { entries: Entry[] }
  return ofKind(entries, kind)
}

export async function visitOf(url: string, machine: string): Promise<string> {
  const from = new Date(NOW.getFullYear(), NOW.getMonth(), NOW.getDate())
  const day = (await (
    await fetch(`${url}/api/day?from=${from.toISOString()}&to=${new Date(from.getTime() + 86_400_000).toISOString()}`)
  ).json()) as { visits: { id: string; machine: { name: string } }[] }
  return day.visits.find((visit) => visit.machine.name === machine)?.id ?? ''
}

export async function fixClock(page: Page): Promise<void> {
  await page.clock.install({ time: NOW })
}

/** Types a line and enters it, once its meaning is said. */
export async function say(page: Page, line: string): Promise<void> {
  await page.getByLabel('a reading, a note').fill(line)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('a reading, a note')).toHaveValue('')
}
