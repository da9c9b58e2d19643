import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { serve, temporaryFolder } from '../server/serve'
import { called, type Call } from './called'
import { choose } from './repair-steps'
import { expect, fixClock, keptAt, say, test } from './shop'

const DRIPPING = {
  machine: {
    name: 'terrace booster',
    kind: 'booster',
    construction: 'bracket-booster',
    nameplate: { volts: 230, hertz: 60, horsepower: 0.75, motorType: 'permanent-split' },
  },
  complaints: ['leak-under-motor'],
  says: 'drips at the drain hole',
} satisfies Call

test('an empty shop is asked who it is, prints nothing it was not told, and keeps what it says', async ({
  page,
  problems,
}) => {
  const folder = temporaryFolder()
  const server = await serve(folder.path)
  const visit = await called(server.url, DRIPPING)
  // Nothing is printed for a shop that has not said what it charges.
  await page.goto(`${server.url}/visits/${visit}/decide`)
  await choose(page, 'replace-shaft-seal')
  await expect(page.getByTestId('one-plan')).toContainText('has not said what it charges')
  await page.goto(`${server.url}/visits/${visit}/hand-over`)
  await expect(page.getByTestId('sheet')).toContainText('still to be done')
  await expect(page.getByTestId('sheet')).not.toContainText('$')
  await expect(page.getByTestId('sheet')).not.toContainText('This shop')
  // Its first word on itself.
  await page.goto(`${server.url}/settings`)
  await page.getByTestId('settings-keep').click()
  await expect(page.getByRole('alert')).toContainText('name: the name that stands on every sheet')
  await page.getByTestId('settings-name').fill('Weir Lane Pumps')
  await page.getByTestId('settings-place').fill('Weir Lane 3')
  await page.getByTestId('settings-currency').fill('EUR')
  await page.getByTestId('settings-hourly').fill('60 an hour')
  await page.getByTestId('settings-keep').click()
  await expect(page.getByRole('alert')).toContainText('an hour: a number, such as 92 or 12.50')
  await page.getByTestId('settings-hourly').fill('60')
  await page.getByTestId('settings-trip').fill('35')
  await page.getByTestId('settings-journey').check()
  await page.getByTestId('settings-partsMarkup').fill('25')
  await page.getByTestId('settings-workWarrantyMonths').fill('12')
  await page.getByTestId('add-tax').click()
  await page.getByTestId('settings-tax-0-name').fill('VAT')
  await page.getByTestId('settings-tax-0-percent').fill('20')
  await page.getByTestId('settings-keep').click()
  await expect(page).toHaveURL(`${server.url}/`)
  // The account has the journey, the tax on its base, and asks for the prices that are not its own.
  await page.goto(`${server.url}/visits/${visit}/decide`)
  await expect(page.getByTestId('account')).toContainText('Journey')
  await expect(page.getByTestId('account')).toContainText(/VAT, 20 % of \d+\.\d\d for parts/)
  const guessed = page.getByTestId('guessed-shaft-seal')
  await guessed.locator('input').fill('30')
  await guessed.getByRole('button').click()
  await expect(guessed).toHaveCount(0)
  await expect(page.getByTestId('guessed-housing-o-ring')).toBeVisible()
  await page.goto(`${server.url}/visits/${visit}/hand-over`)
  await expect(page.getByTestId('sheet')).toContainText('Weir Lane Pumps')
  await expect(page.getByTestId('sheet')).toContainText('Shaft seal set of this pump€37.50')
  await expect(page.getByTestId('sheet')).toContainText('at the usual price')
  expect(problems).toEqual([])
  await server.kill('SIGTERM')
  folder.remove()
})

test(
  'a price list goes out and in: what would change is shown first, and a wrong line stops it',
  { tag: '@desk' },
  async ({ page, shop, problems }) => {
    const folder = temporaryFolder()
    await page.goto(`${shop.url}/prices`)
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('prices-out').click()])
    const file = join(folder.path, 'prices.csv')
    await download.saveAs(file)
    const list = readFileSync(file, 'utf8')
    expect(list.split('\r\n')[0]).toBe('part,kind,name,price')
    expect(list).toContain('shaft-seal,,shaft seal,32')
    writeFileSync(file, list.replace('shaft-seal,,shaft seal,32', 'shaft-seal,,shaft seal,dear'))
    await page.getByTestId('prices-in').setInputFiles(file)
    await expect(page.getByTestId('prices-trial')).toContainText('“dear”; a number from 0')
    await expect(page.getByTestId('prices-take')).toBeDisabled()
    writeFileSync(file, list.replace('shaft-seal,,shaft seal,32', 'shaft-seal,,shaft seal,"36,40"'))
    await page.getByTestId('prices-in').setInputFiles(file)
    await expect(page.getByTestId('prices-trial')).toContainText('1 prices change')
    await expect(page.getByTestId('prices-trial')).toContainText('$36.40')
    await page.getByTestId('prices-take').click()
    await expect(page.getByTestId('prices')).toContainText('shaft seal$36.40$45.50')
    folder.remove()
    expect(problems).toEqual([])
  },
)

test(
  'agreed by name; a discount and a part of the customer’s; another price than agreed says why',
  { tag: '@desk' },
  async ({ page, standing, problems }) => {
    await fixClock(page)
    const visit = await called(standing.url, DRIPPING)
    await page.goto(`${standing.url}/visits/${visit}/decide`)
    await choose(page, 'replace-shaft-seal')
    const price = page.getByTestId('plan-price')
    const before = await price.innerText()
    await page.getByTestId('account-changes').click()
    await page.getByTestId('change-own').selectOption('shaft-seal')
    await expect(price).not.toHaveText(before)
    await page.getByTestId('change-label').fill('old customer')
    await page.getByTestId('change-amount').fill('ten')
    await page.getByTestId('change-put').click()
    await expect(page.getByRole('alert')).toContainText('The amount is a number')
    await page.getByTestId('change-amount').fill('-10')
    await page.getByTestId('change-put').click()
    await expect(page.getByTestId('account')).toContainText('old customer')
    await page.getByTestId('agreed-by').fill('N. Harrow')
    const agreed = await price.innerText()
    await page.getByTestId('stage-end').click()
    await expect.poll(() => keptAt(standing.url, visit, 'price-agreed')).toHaveLength(1)
    await page.goto(`${standing.url}/visits/${visit}/prove`)
    for (const line of ['shaft free', 'loaded 233', 'running 6.3', 'weep dry', 'joints dry', 'quiet'])
      await say(page, line)
    await page.goto(`${standing.url}/visits/${visit}/hand-over`)
    const sheet = page.getByTestId('sheet')
    await expect(sheet).toContainText('brought by you$0.00')
    await expect(page.getByTestId('sheet-price')).toHaveText(agreed)
    await page.getByLabel('Price, where it is another').fill('150')
    await page.getByTestId('hand-over').click()
    await expect(page.getByRole('alert').first()).toContainText('why it is another price than was agreed')
    await page.getByTestId('price-why').locator('input').fill('It took half the time.')
    await page.getByTestId('hand-over').click()
    await expect(page.getByTestId('sheet-price')).toHaveText('$150.00')
    await expect(page.getByTestId('sheet-money')).toContainText(
      `N. Harrow agreed to ${agreed} before the work. It took half the time.`,
    )
    await expect(sheet).toContainText('Agreed otherwise')
    expect(problems).toEqual([])
  },
)
