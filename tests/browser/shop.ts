import { test as base, expect, type Page } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Entry, EntryKind, EntryOf } from '../../core/visit/entry'
import { ofKind } from '../../core/visit/of-kind'
import { seedDemo } from '../../scripts/lib/seed.mjs'
import { serve, temporaryFolder, type Served } from '../server/serve'

/** The instant that the tests call now: a Tuesday in May, before the lido's visit. */
export const NOW = new Date(2026, 4, 12, 9, 40)

export interface Shop extends Served {
  lido: string
  restart: () => Promise<void>
  stop: () => Promise<void>
}

/**
 * The made-up shop on the production build, its clock fixed: `shop` is a test's own, `standing` is one for all tests of
 * a worker that only look.
 */
export const test = base.extend<
  { shop: Shop; problems: string[] },
  { seeded: string; standing: Pick<Shop, 'url' | 'lido'> }
>({
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
      await use({ url: server.url, lido: await visitOf(server.url, 'filter pump 2') })
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
      stop: async () => server.kill('SIGKILL'),
      restart: async () => {
        server = await serve(own.path, { PIKE_LAMP_NOW: NOW.toISOString(), PORT: port, NITRO_PORT: port })
      },
    } as unknown as Shop
    shop.lido = await visitOf(server.url, 'filter pump 2')
    await use(shop)
    await server.kill('SIGTERM')
    own.remove()
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
export { expect }

function copyOf(seeded: string): ReturnType<typeof temporaryFolder> {
  const own = temporaryFolder()
  execFileSync('cp', ['-R', `${seeded}/.`, own.path])
  return own
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
