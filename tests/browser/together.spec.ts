import type { Page } from '@playwright/test'
import { choose, title } from './repair-steps'
import { expect, fixClock, keptAt, test } from './shop'
import { drawSignature } from './signature'

const idOf = (page: Page) => new URL(page.url()).pathname.split('/')[2] as string
const line = (page: Page) => page.getByTestId('machines-line')
const stop = (page: Page, name: string) => page.getByTestId('day').locator('[data-visit]').filter({ hasText: name })
const amount = (text: string) => Number(text.replace(/[^\d.]/g, ''))

const head = (page: Page) => page.getByRole('heading', { level: 1 })
/** Goes to another stage of the visit without opening the page anew. */
const to = (page: Page, stage: RegExp) =>
  page.getByRole('navigation', { name: 'the joints of the visit' }).getByRole('link', { name: stage }).click()

/** Hands a machine over as it is, with the reason that its proofs want. */
async function handOver(page: Page): Promise<void> {
  await to(page, /Hand over/)
  await expect(page.getByTestId('hand-over')).toBeEnabled()
  await page.getByTestId('unproved').getByRole('textbox').fill('the pool is drained till Friday')
  await page.getByTestId('hand-over').click()
}

test('a first customer, a second machine, and a visit with both: one journey, one sheet, one signature', async ({
  page,
  shop,
  problems,
}) => {
  await fixClock(page)
  await page.goto(`${shop.url}/visits/new`)
  await page.getByTestId('new-machine').click()
  await page.getByLabel('Customer').fill('Teasel Hall')
  await page.getByLabel('What the machine is called').fill('teasel pump')
  await page.getByLabel('Not before').fill('13:00')
  await page.getByTestId('open-visit').click()
  await expect(head(page)).toHaveText('teasel pump, Teasel Hall')
  const first = idOf(page)
  // Its second machine is new too: whose it is, and the day, are known.
  await page.getByTestId('another-machine').click()
  await expect(page.getByTestId('along')).toContainText('It goes along with the teasel pump at Teasel Hall')
  await page.getByLabel('What the machine is called').fill('teasel booster')
  await page.getByLabel('Kind').selectOption('booster')
  await page.getByTestId('open-visit').click()
  await expect(head(page)).toHaveText('teasel booster, Teasel Hall')
  const second = idOf(page)
  expect(second).not.toBe(first)
  await expect(line(page).getByRole('link')).toHaveText([/teasel pump/, /teasel booster/, 'another'])
  await expect.poll(() => keptAt(shop.url, second, 'together')).toHaveLength(1)
  const [one] = await keptAt(shop.url, first, 'visit-opened')
  const [two] = await keptAt(shop.url, second, 'visit-opened')
  expect(two?.body.customer).toEqual(one?.body.customer)

  // The Day has one stop, its work summed; what is promised of one is promised of both.
  await page.getByRole('link', { name: 'to the Day' }).click()
  await expect(stop(page, 'Teasel Hall')).toHaveCount(1)
  await expect(stop(page, 'Teasel Hall')).toContainText('teasel pump, teasel booster')
  await expect(stop(page, 'Teasel Hall')).toContainText('from 13:00')
  await stop(page, 'Teasel Hall').getByRole('link').click()
  await expect(head(page)).toHaveText('teasel pump, Teasel Hall')

  // The pump bears the journey; the booster goes along, its account has none.
  await to(page, /Decide/)
  await choose(page, 'replace-shaft-seal')
  await expect(page.getByTestId('one-plan').getByText('Journey', { exact: true })).toHaveCount(1)
  await line(page)
    .getByRole('link', { name: /teasel booster/ })
    .click()
  await expect(head(page)).toHaveText('teasel booster, Teasel Hall')
  await to(page, /Decide/)
  await choose(page, 'replace-shaft-seal')
  await expect(page.getByTestId('goes-along')).toContainText('with the teasel pump')
  await expect(page.getByTestId('one-plan').getByText('Journey', { exact: true })).toHaveCount(0)

  // The one that bears the journey is handed over last.
  await line(page)
    .getByRole('link', { name: /teasel pump/ })
    .click()
  await expect(head(page)).toHaveText('teasel pump, Teasel Hall')
  await to(page, /Hand over/)
  await expect(page.getByTestId('sheet-part')).toHaveCount(2)
  await expect(page.getByTestId('hand-over')).toBeDisabled()
  await page.getByTestId('go-beside').click()
  await expect(head(page)).toHaveText('teasel booster, Teasel Hall')
  await handOver(page)
  await expect(title(page)).toHaveText('Handed over; the teasel pump is not yet')
  await expect(page.getByTestId('sheet-issue')).toContainText('Not handed over yet')
  await page.getByTestId('go-beside').click()
  await expect(head(page)).toHaveText('teasel pump, Teasel Hall')
  await handOver(page)
  await expect(page.getByTestId('sheet-issue')).toContainText('Sheet, issue 1')
  await expect(page.getByTestId('sheet-part').getByRole('heading', { level: 2 }).first()).toHaveText('teasel pump')
  const sums = (await page.getByTestId('sheet-price').allInnerTexts()).map(amount)
  expect(sums).toHaveLength(3)
  expect(sums[2]).toBeCloseTo((sums[0] as number) + (sums[1] as number), 2)
  await expect(page.getByTestId('sheet').getByText('Journey', { exact: true })).toHaveCount(1)

  // Signed once, under all of it, and paid once: whichever machine is on the screen.
  await page.getByTestId('sign').click()
  await drawSignature(page)
  await page.getByTestId('signature-keep').click()
  await expect(page.getByTestId('signature')).toContainText('Teasel Hall')
  await page.getByTestId('paid-keep').click()
  await expect(page.getByTestId('sheet-sum')).toContainText('Paid in full.')
  await expect.poll(() => keptAt(shop.url, first, 'paid')).toHaveLength(1)
  await page.goto(`${shop.url}/visits/${second}/hand-over`)
  await expect(page.getByTestId('signature')).toContainText('Teasel Hall')
  await expect(page.getByTestId('sheet-sum')).toContainText('Paid in full.')
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  expect(problems).toEqual([])
})

test(
  'two known machines on one call: planned, moved and parted as one stop',
  { tag: '@desk' },
  async ({ page, shop }) => {
    await fixClock(page)
    await page.goto(`${shop.url}/visits/new`)
    await page.getByRole('combobox', { name: 'Machine' }).fill('paddling')
    await page.getByRole('option', { name: /paddling pool pump/ }).click()
    await page.getByTestId('also').getByRole('button', { name: 'cleaner booster' }).click()
    await page.getByTestId('new-waits').click()
    await page.getByTestId('open-visit').click()
    const call = page.getByTestId('waiting').getByTestId('call').filter({ hasText: 'paddling pool pump' })
    await expect(call).toHaveCount(1)
    await expect(call).toContainText('paddling pool pump, cleaner booster')
    await call.click()
    await page.getByTestId('put-in').click()
    const both = stop(page, 'paddling pool pump, cleaner booster')
    await expect(both).toHaveCount(1)
    const [id] = await both.evaluateAll((rows) => rows.map((row) => row.getAttribute('data-visit') as string))
    await both.getByTestId('stop-more').click()
    await page.getByTestId('stop-until').fill('15:30')
    await page.getByTestId('stop-arrange').click()
    await expect(both).toContainText('by 15:30')
    await both.getByTestId('stop-more').click()
    // What becomes of the stop becomes of both.
    await page.getByTestId('stop-date').fill('2026-05-13')
    await page.getByTestId('stop-put').click()
    await expect(both).toHaveCount(0)
    await page.getByRole('link', { name: 'after' }).click()
    await expect(both).toHaveCount(1)
    await expect.poll(() => keptAt(shop.url, id as string, 'planned')).toHaveLength(3)
    await both.getByTestId('stop-more').click()
    await page.getByTestId('stop-apart').first().click()
    await expect(stop(page, 'paddling pool pump')).toHaveCount(1)
    await expect(stop(page, 'cleaner booster')).toHaveCount(1)
    await expect(both).toHaveCount(0)
  },
)

test(
  'a stop that goes to another day while the shop is slow does not open its dialog there',
  { tag: '@desk' },
  async ({ page, shop }) => {
    await fixClock(page)
    await page.goto(shop.url)
    const row = stop(page, 'filter pump 2')
    await expect(row).toHaveCount(1)
    let answer = () => {}
    const slow = new Promise<void>((done) => (answer = done))
    // The shop has it and tells everybody; its answer to this page is still on its way.
    await page.route('**/api/entries', async (route) => {
      const response = await route.fetch()
      await slow
      await route.fulfill({ response })
    })
    await row.getByTestId('stop-more').click()
    await page.getByTestId('stop-date').fill('2026-05-13')
    await page.getByTestId('stop-put').click()
    await expect(row).toHaveCount(0)
    await page.getByRole('link', { name: 'after' }).click()
    await expect(row).toHaveCount(1)
    await expect(page.getByTestId('stop-dialog')).toHaveCount(0)
    answer()
    await row.getByTestId('stop-more').click()
    await expect(page.getByTestId('stop-dialog')).toHaveCount(1)
  },
)
