import type { Entry } from '../../core/visit/entry'
import { ofKind } from '../../core/visit/of-kind'
import { watchRequests } from '../../scripts/lib/quiet.mjs'
import { seriousOn } from './axe'
import { expect, fixClock, test, visitOf, type StandingShop } from './shop'

test.describe.configure({ mode: 'parallel' })

/**
 * Screens by their address, those of one group one after the other in one page, which knows the program by then; `POOL`
 * and `LIDO` stand for a visit of the demo, `MACHINE` and `CUSTOMER` for its own.
 */
const SCREENS: Readonly<Record<string, readonly string[]>> = {
  'the Day': ['/', '/?day=2026-06-01', '/week', '/due?days=60', '/visits/new', '/visits/new?with=LIDO'],
  'the shop': ['/shop', '/settings', '/prices', '/ledger', '/people', '/sign-in'],
  Pumps: [
    '/pumps?q=weir',
    '/pumps/MACHINE',
    '/pumps/MACHINE/label',
    '/pumps/customers/CUSTOMER',
    '/pumps/customers/new',
    '/pumps/files',
  ],
  Workings: [
    '/workings',
    '/workings/sources',
    '/workings/which-sump-pump',
    '/workings/well-pressure',
    '/workings/tank-and-charge',
  ],
  'a visit before its work': ['call', 'prepare', 'safe', 'test', 'decide'].map((stage) => `/visits/POOL/${stage}`),
  'a visit at its work': [
    ...['repair', 'prove', 'hand-over', 'plan'].map((stage) => `/visits/POOL/${stage}`),
    '/visits/LIDO/test',
  ],
}

/** A screen's address with the ids of the demo. */
async function addressOf({ url, lido }: Pick<StandingShop, 'url' | 'lido'>, screen: string): Promise<string> {
  const withLido = screen.replace('LIDO', lido)
  if (!/POOL|MACHINE|CUSTOMER/.test(screen)) return withLido
  const pool = await visitOf(url, 'garden pool pump')
  const { entries } = (await (await fetch(`${url}/api/visits/${pool}`)).json()) as { entries: Entry[] }
  const machine = ofKind(entries, 'visit-opened')[0]?.body.machine
  return withLido
    .replace('POOL', pool)
    .replace('MACHINE', machine?.id ?? '')
    .replace('CUSTOMER', machine?.customerId ?? '')
}

/** Groups whose screens are built otherwise at that size; of the others only the width is looked at there. */
const ALSO_AT_PHONE_SIZE = /the Day|a visit at its work/

for (const [group, screens] of Object.entries(SCREENS)) {
  test(`axe finds nothing serious on ${group}, and no weak contrast in the cellar`, async ({
    page,
    standing,
    problems,
  }, { project }) => {
    await fixClock(page)
    const quiet = watchRequests(page)
    for (const screen of screens) {
      await page.emulateMedia({ reducedMotion: 'reduce', colorScheme: 'light' })
      await page.goto(standing.url + (await addressOf(standing, screen)))
      await quiet()
      await expect(page.locator('main')).toBeVisible()
      await page.evaluate(() => document.fonts.ready)
      if (project.name === 'desk' || ALSO_AT_PHONE_SIZE.test(group))
        expect.soft(await seriousOn(page), screen).toEqual([])
      // Nothing is wider than the screen.
      const beyond = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect.soft(beyond, screen).toBeLessThanOrEqual(0)
      // The cellar is the same page in other colours, which do not hang on its size; a paper is one in any light.
      if (project.name === 'desk' && !screen.endsWith('/plan')) {
        await page.emulateMedia({ colorScheme: 'dark' })
        await expect(page.locator('html')).toHaveAttribute('data-scheme', 'cellar')
        expect.soft(await seriousOn(page, ['color-contrast']), screen).toEqual([])
      }
      expect.soft(problems, screen).toEqual([])
    }
  })
}

test(
  'axe finds nothing serious on what is turned to the owner, in either light',
  { tag: '@desk' },
  async ({ page, standing, problems }) => {
    await page.emulateMedia({ reducedMotion: 'reduce', colorScheme: 'light' })
    await fixClock(page)
    const visit = await standing.visit('garden pool pump')
    await page.goto(`${standing.url}/visits/${visit}/decide`)
    await page.getByTestId('show-owner').click()
    await expect(page.getByTestId('owner-offer').locator('article').first()).toBeVisible()
    expect(await seriousOn(page)).toEqual([])
    await page.emulateMedia({ colorScheme: 'dark' })
    await expect(page.locator('html')).toHaveAttribute('data-scheme', 'cellar')
    expect(await seriousOn(page, ['color-contrast'])).toEqual([])
    await page.getByTestId('offer-mail').click()
    await expect(page.getByTestId('mail-dialog')).toBeVisible()
    expect(await seriousOn(page)).toEqual([])
    expect(problems).toEqual([])
  },
)
