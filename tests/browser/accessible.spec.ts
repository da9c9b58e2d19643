import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import type { Entry } from '../../core/visit/entry'
import { ofKind } from '../../core/visit/of-kind'
import { expect, fixClock, test, visitOf, type StandingShop } from './shop'

test.describe.configure({ mode: 'parallel' })

/** Screens by their address; `POOL` and `LIDO` stand for a visit of the demo, `MACHINE` and `CUSTOMER` for its own. */
const SCREENS = [
  '/',
  '/?day=2026-06-01',
  '/week',
  '/due?days=60',
  '/visits/new',
  '/shop',
  '/settings',
  '/prices',
  '/ledger',
  '/pumps?q=weir',
  '/pumps/MACHINE',
  '/pumps/MACHINE/label',
  '/pumps/customers/CUSTOMER',
  '/pumps/customers/new',
  '/pumps/files',
  '/workings',
  '/workings/sources',
  '/workings/which-sump-pump',
  '/workings/well-pressure',
  '/workings/tank-and-charge',
  ...['call', 'prepare', 'safe', 'test', 'decide', 'repair', 'prove', 'hand-over', 'plan'].map(
    (stage) => `/visits/POOL/${stage}`,
  ),
  '/visits/LIDO/test',
]

/** What axe finds that is serious, as words; the charts' own drawing is the library's. */
async function seriousOn(page: Page, rules?: string[]): Promise<string[]> {
  const axe = new AxeBuilder({ page }).exclude('.apexcharts-canvas')
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze()
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .slice(0, 3)
          .map(({ html, failureSummary }) => `${html.slice(0, 160)} ${failureSummary?.slice(0, 160)}`)
          .join(' | ')}`,
    )
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

for (const screen of SCREENS) {
  test(`axe finds nothing serious on ${screen}, and no weak contrast in the cellar`, async ({
    page,
    standing,
    problems,
  }) => {
    await page.emulateMedia({ reducedMotion: 'reduce', colorScheme: 'light' })
    await fixClock(page)
    const address = await addressOf(standing, screen)
    await page.goto(standing.url + address)
    await page.waitForLoadState('networkidle')
    await expect(page.locator('main')).toBeVisible()
    await page.evaluate(() => document.fonts.ready)
    expect(await seriousOn(page)).toEqual([])
    // Nothing is wider than the screen.
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
    // The cellar is the same page in other colours; a paper is a paper in any light.
    if (!screen.endsWith('/plan')) {
      await page.emulateMedia({ colorScheme: 'dark' })
      await expect(page.locator('html')).toHaveAttribute('data-scheme', 'cellar')
      expect(await seriousOn(page, ['color-contrast'])).toEqual([])
    }
    expect(problems).toEqual([])
  })
}

test('axe finds nothing serious on what is turned to the owner, in either light', async ({
  page,
  standing,
  problems,
}) => {
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
})
