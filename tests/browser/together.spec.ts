import type { Page } from '@playwright/test'
import { choose, title } from './repair-steps'
import { expect, fixClock, keptAt, test } from './shop'
import { drawSignature } from './signature'

const idOf = (page: Page) => new URL(page.url()).pathname.split('/')[2] as string
const line = (page: Page) => page.getByTestId('machines-line')
const stop = (page: Page, name: string) => page.getByTestId('day').locator('[data-visit]').filter({ hasText: name })
const amount = (text: string) => Number(text.replace(/[^\d.]/g, ''))

/** Hands a machine over as it is, with the reason that its proofs want. */
async function handOver(page: Page, url: string, visit: string): Promise<void> {
  await page.goto(`${url}/visits/${visit}/hand-over`)
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
  await page.getByLabel('Customer').fill('Sluice House')
  await page.getByLabel('What the machine is called').fill('sluice pump')
  await page.getByLabel('Not before').fill('13:00')
  await page.getByTestId('open-visit').click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('sluice pump, Sluice House')
  const first = idOf(page)
  // Its second machine is new too: whose it is, and the day, are known.
  await page.getByTestId('another-machine').click()
  await expect(page.getByTestId('along')).toContainText('It goes along with the sluice pump at Sluice House')
  await page.getByLabel('What the machine is called').fill('sluice booster')
  await page.getByLabel('Kind').selectOption('booster')
  await page.getByTestId('open-visit').click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('sluice booster, Sluice House')
  const second = idOf(page)
  expect(second).not.toBe(first)
  await expect(line(page).getByRole('link')).toHaveText([/sluice pump/, /sluice booster/, 'another'])

  // The Day has one stop, its work summed; what is promised of one is promised of both.
  await page.goto(shop.url)
  await expect(stop(page, 'Sluice House')).toHaveCount(1)
  await expect(stop(page, 'Sluice House')).toContainText('sluice pump, sluice booster')
  await expect(stop(page, 'Sluice House')).toContainText('from 13:00')
  await stop(page, 'Sluice House').getByRole('link').click()
  await expect(page).toHaveURL(new RegExp(`/visits/${first}/`))
  await line(page)
    .getByRole('link', { name: /sluice booster/ })
    .click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('sluice booster, Sluice House')

  // The booster goes along: its account has no journey, the pump's has it.
  await page.goto(`${shop.url}/visits/${second}/decide`)
  await choose(page, 'replace-shaft-seal')
  await expect(page.getByTestId('goes-along')).toContainText('with the sluice pump')
  await expect(page.getByTestId('one-plan').getByText('Journey', { exact: true })).toHaveCount(0)
  await page.goto(`${shop.url}/visits/${first}/decide`)
  await choose(page, 'replace-shaft-seal')
  await expect(page.getByTestId('one-plan').getByText('Journey', { exact: true })).toHaveCount(1)

  // The one that bears the journey is handed over last.
  await page.goto(`${shop.url}/visits/${first}/hand-over`)
  await expect(page.getByTestId('sheet-part')).toHaveCount(2)
  await expect(page.getByTestId('hand-over')).toBeDisabled()
  await page.getByTestId('go-beside').click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('sluice booster, Sluice House')
  await handOver(page, shop.url, second)
  await expect(title(page)).toHaveText('Handed over; the sluice pump is not yet')
  await expect(page.getByTestId('sheet-issue')).toContainText('Not handed over yet')
  await handOver(page, shop.url, first)
  await expect(page.getByTestId('sheet-issue')).toContainText('Sheet, issue 1')
  const parts = page.getByTestId('sheet-part')
  await expect(parts.getByRole('heading', { level: 2 }).first()).toHaveText('sluice pump')
  const sums = (await page.getByTestId('sheet-price').allInnerTexts()).map(amount)
  expect(sums).toHaveLength(3)
  expect(sums[2]).toBeCloseTo((sums[0] as number) + (sums[1] as number), 2)
  await expect(page.getByTestId('sheet').getByText('Journey', { exact: true })).toHaveCount(1)

  // Signed once, under all of it, and paid once.
  await page.getByTestId('sign').click()
  await drawSignature(page)
  await page.getByTestId('signature-keep').click()
  await expect(page.getByTestId('signature')).toContainText('Sluice House')
  await page.getByTestId('paid-keep').click()
  await expect(page.getByTestId('sheet-sum')).toContainText('Paid in full.')
  await expect.poll(() => keptAt(shop.url, first, 'paid')).toHaveLength(1)
  await page.goto(`${shop.url}/visits/${second}/hand-over`)
  await expect(page.getByTestId('signature')).toContainText('Sluice House')
  await expect(page.getByTestId('sheet-sum')).toContainText('Paid in full.')
  await page.goto(`${shop.url}/ledger`)
  const account = page.getByTestId('ledger-row').filter({ hasText: 'sluice pump' })
  await expect(account).toHaveCount(1)
  await expect(account).toContainText('sluice booster')
  await expect(account).toContainText(`${sums[2]}`)
  await page.goto(`${shop.url}/pumps?q=sluice+house`)
  await expect(page.getByTestId('found-customer').filter({ hasText: 'Sluice House' })).toHaveCount(1)
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
