import type { Browser, BrowserContext, Page } from '@playwright/test'
import type { Role } from '../../core/people/roles'
import type { Entry } from '../../core/visit/entry'
import { seriousOn } from './axe'
import { expect, fixClock, say, test, type Shop } from './shop'

const PASSPHRASES = { owner: 'otter lantern gravel nine', other: 'seven herons by the weir' }

/** The shop has an owner, who is signed in on this page. */
async function owned(page: Page, shop: Shop): Promise<void> {
  await page.goto(`${shop.url}/people`)
  await page.getByTestId('own').click()
  await page.getByLabel('Name').fill('Ada Weir')
  await page.getByLabel('A passphrase').fill(PASSPHRASES.owner)
  await page.getByTestId('sign-in').click()
  await expect(page.getByRole('navigation', { name: 'places' })).toBeVisible()
}
/** A browser of somebody whom the owner invites. */
async function joined(browser: Browser, shop: Shop, owner: Page, name: string, role: Role): Promise<BrowserContext> {
  const made = await owner.request.post(`${shop.url}/api/people/invitations`, { data: { name, role } })
  const { token } = (await made.json()) as { token: string }
  const context = await browser.newContext(test.info().project.use)
  const data = { token, passphrase: PASSPHRASES.other }
  expect((await context.request.post(`${shop.url}/api/session/join`, { data })).status()).toBe(200)
  return context
}
async function findings(page: Page, shop: Shop): Promise<Entry[]> {
  const response = await page.request.get(`${shop.url}/api/visits/${shop.lido}`)
  const { entries } = (await response.json()) as { entries: Entry[] }
  return entries.filter(({ kind }) => kind === 'finding')
}
async function shutOut(page: Page, shop: Shop, name: string): Promise<void> {
  await page.goto(`${shop.url}/people`)
  await page.getByTestId('person').filter({ hasText: name }).getByTestId('shut-out').click()
  await page.getByTestId('people-yes').click()
  await expect(page.getByTestId('audit')).toContainText(`Ada Weir shut out a device of ${name}`)
}

test('a shop gets its owner, somebody joins by an invitation and works, and a lost phone is out', async ({
  page,
  browser,
  shop,
}) => {
  await owned(page, shop)
  await page.goto(`${shop.url}/people`)
  const somebody = page.getByRole('region', { name: 'Somebody new' })
  await somebody.getByLabel('Name').fill('Bo Heddle')
  await page.getByTestId('invite').click()
  await expect(page.getByRole('img', { name: 'code of For Bo Heddle' })).toBeVisible()
  const address = await page.getByTestId('invitation-address').innerText()

  const context = await browser.newContext(test.info().project.use)
  const phone = await context.newPage()
  await phone.goto(`${shop.url}/visits/${shop.lido}/test`)
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await phone.goto(address)
  await expect(phone.getByRole('heading', { name: 'Welcome, Bo Heddle' })).toBeVisible()
  await phone.getByLabel('A passphrase').fill('bo heddle bo heddle')
  await phone.getByTestId('join').click()
  await expect(phone.getByRole('alert')).toContainText('guessed too soon')
  await phone.getByLabel('A passphrase').fill(PASSPHRASES.other)
  await phone.getByTestId('join').click()
  await expect(phone.getByRole('navigation', { name: 'places' })).toBeVisible()
  expect(phone.url()).not.toContain('#')
  await phone.goto(`${shop.url}/visits/${shop.lido}/test`)
  await say(phone, 'supply 236')
  await expect.poll(async () => (await findings(page, shop)).map(({ author }) => author)).toEqual(['Bo Heddle'])

  await shutOut(page, shop, 'Bo Heddle')
  expect(await seriousOn(page)).toEqual([])
  await phone.reload()
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await phone.getByLabel('Name').fill('bo heddle')
  await phone.getByLabel('Passphrase').fill('something else entirely')
  await phone.getByTestId('sign-in').click()
  await expect(phone.getByRole('alert')).toHaveText('Nobody of that name with that passphrase.')
  await phone.getByLabel('Passphrase').fill(PASSPHRASES.other)
  await phone.getByTestId('sign-in').click()
  // Back to where it was.
  await expect(phone.getByTestId('journal')).toContainText('supply')
  // What was on the screen is no more on the device once it is signed out.
  await phone.getByTestId('standing').click()
  await phone.getByTestId('to-me').click()
  await phone.getByTestId('sign-out').click()
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  expect(await phone.evaluate(() => localStorage.getItem('pike-lamp.open-visit'))).toBe('{}')

  // The passphrase is forgotten: the owner gives a way in, and another is said.
  await page.getByRole('button', { name: 'Bo Heddle has forgotten the passphrase' }).click()
  await expect(page.getByTestId('invitation')).toContainText('For Bo Heddle')
  await expect(page.getByTestId('invitation-address')).not.toHaveText(address)
  await phone.goto(await page.getByTestId('invitation-address').innerText())
  await phone.getByLabel('A passphrase').fill('brass kettle under ivy')
  await phone.getByTestId('join').click()
  await expect(phone.getByRole('navigation', { name: 'places' })).toBeVisible()
  await context.close()
})

test(
  'a line that waits on a phone is sent by whoever wrote it, once they are in again',
  { tag: '@desk' },
  async ({ page, browser, shop }) => {
    await owned(page, shop)
    const context = await joined(browser, shop, page, 'Bo Heddle', 'technician')
    const phone = await context.newPage()
    await phone.goto(`${shop.url}/visits/${shop.lido}/test`)
    await expect(phone.getByTestId('journal')).toBeVisible()
    await context.setOffline(true)
    await say(phone, 'supply 237')
    await expect(phone.getByTestId('standing')).toHaveText('1 here only')
    await shutOut(page, shop, 'Bo Heddle')
    await context.setOffline(false)
    await expect(phone.getByText('1 line waits on this device')).toBeVisible()
    expect(await findings(page, shop)).toEqual([])
    await phone.getByLabel('Name').fill('Bo Heddle')
    await phone.getByLabel('Passphrase').fill(PASSPHRASES.other)
    await phone.getByTestId('sign-in').click()
    await expect.poll(async () => (await findings(page, shop)).map(({ author }) => author)).toEqual(['Bo Heddle'])
    await context.close()
  },
)

test(
  'the office reads what is done at the pump and does not write it; a learner has workings and practice alone',
  { tag: '@desk' },
  async ({ page, browser, shop }) => {
    await fixClock(page)
    await owned(page, shop)
    const office = await joined(browser, shop, page, 'Cy Flume', 'office')
    const desk = await office.newPage()
    await desk.goto(`${shop.url}/visits/${shop.lido}/test`)
    await expect(desk.getByTestId('reads-only')).toBeVisible()
    await expect(desk.getByRole('textbox', { name: 'a reading, a note' })).toBeDisabled()
    await desk.goto(`${shop.url}/visits/${shop.lido}/call`)
    await expect(desk.getByRole('main').getByRole('button').first()).toBeEnabled()
    await desk.goto(`${shop.url}/shop`)
    await expect(desk.getByTestId('to-files')).toBeVisible()
    await expect(desk.getByTestId('to-ledger')).toHaveCount(0)
    await desk.goto(`${shop.url}/ledger`)
    await expect(desk).toHaveURL(`${shop.url}/`)

    const learner = await joined(browser, shop, page, 'Di Sluice', 'learner')
    const bench = await learner.newPage()
    await bench.goto(shop.url)
    await expect(bench).toHaveURL(`${shop.url}/workings`)
    await expect(bench.getByRole('navigation', { name: 'places' }).getByRole('link')).toHaveText([
      'Workings',
      'Practice',
    ])
    // Whoever may not see the shop’s rates practises with the usual ones.
    await bench.goto(`${shop.url}/practice/case/sump.one.1`)
    await bench.getByTestId('begin-case').click()
    await expect(bench.getByTestId('practice-spent')).toContainText('65')
    await office.close()
    await learner.close()
  },
)

test(
  'a calendar is given an address of its own, which is shut out like a device',
  { tag: '@desk' },
  async ({ page, shop, playwright }) => {
    await owned(page, shop)
    await page.goto(`${shop.url}/week`)
    await page.getByTestId('feed').click()
    const [address = ''] = /http\S+$/.exec(await page.getByTestId('feed-address').innerText()) ?? []
    const calendar = await playwright.request.newContext()
    expect((await calendar.get(address)).status()).toBe(200)
    expect((await calendar.get(address.replace(/.$/, ''))).status()).toBe(401)
    await page.goto(`${shop.url}/people`)
    await page.getByRole('button', { name: 'shut out A calendar of Ada Weir' }).click()
    await page.getByTestId('people-yes').click()
    await expect(page.getByTestId('audit')).toContainText('Ada Weir shut out a device of Ada Weir')
    expect((await calendar.get(address)).status()).toBe(401)
    await calendar.dispose()
  },
)
