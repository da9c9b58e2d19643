import type { Browser, BrowserContext, Page } from '@playwright/test'
import { join } from 'node:path'
import type { Entry } from '../../core/visit/entry'
import { v7 as uuidv7 } from 'uuid'
import { SECRET, secretVisit } from '../server/entries'
import { post, temporaryFolder } from '../server/serve'
import { kept } from './device'
import { expectSheet, hummingJob } from './humming-job'
import { nextBuild } from './next-build'
import { expect, fixClock, keptAt, NOW, say, test } from './shop'

test.use({ serviceWorkers: 'allow' })

async function opened(context: BrowserContext, address: string): Promise<Page> {
  const page = await context.newPage()
  await fixClock(page)
  await page.goto(address)
  return page
}
const standing = (page: Page) => page.getByTestId('standing')

test(
  'a whole visit without a server, from a cold start to the PDF; then it is at the shop',
  { tag: '@phone' },
  async ({ page, context, shop }) => {
    await fixClock(page)
    await page.goto(shop.url)
    await kept(page)
    await page.close()
    await shop.stop()

    const cellar = await opened(context, shop.url)
    await hummingJob(cellar)
    await expect(standing(cellar)).toHaveAttribute('aria-label', /here only/)
    const folder = temporaryFolder()
    const file = join(folder.path, 'sheet.pdf')
    const written = cellar.waitForEvent('download')
    await cellar.getByTestId('pdf').click()
    await (await written).saveAs(file)
    expectSheet(file)
    folder.remove()
    await cellar.goto(shop.url)
    await expect(cellar.getByTestId('day')).toContainText('done')
    await cellar.close()

    await shop.restart()
    const above = await opened(context, shop.url)
    await expect.poll(() => keptAt(shop.url, shop.lido, 'handed-over')).toHaveLength(1)
    await expect(standing(above)).toHaveAttribute('aria-label', /at the shop/)
    const [photo] = await keptAt(shop.url, shop.lido, 'photo')
    expect((await fetch(`${shop.url}/api/photos/${photo?.body.hash}`)).status).toBe(200)
    const { entries } = (await (await fetch(`${shop.url}/api/visits/${shop.lido}`)).json()) as { entries: Entry[] }
    expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length)
  },
)

test(
  'a new customer, a new pump, a new visit without a server; two devices on one visit agree afterwards',
  { tag: '@desk' },
  async ({ page, context, shop }) => {
    const other = await (context.browser() as Browser).newContext({
      ...test.info().project.use,
      serviceWorkers: 'allow',
    })
    const devices = [page, await opened(other, shop.url)] as const
    await fixClock(page)
    await page.goto(shop.url)
    for (const device of devices) await kept(device)
    await shop.stop()
    for (const device of devices) await device.goto(`${shop.url}/visits/${shop.lido}/call`)
    await page.getByRole('button', { name: 'hums, will not turn' }).click()
    await devices[1].getByRole('button', { name: 'hums, will not turn' }).click()
    for (const [device, reading, verdict] of [
      [devices[0], 'supply 236', 'It was this'],
      [devices[1], 'shaft free', 'Not this'],
    ] as const) {
      await device.getByTestId('suspect-run-capacitor-failed').click()
      await device.getByRole('button', { name: verdict, exact: true }).first().click()
      await device.goto(`${shop.url}/visits/${shop.lido}/test`)
      await say(device, reading)
    }

    await page.goto(`${shop.url}/visits/new`)
    await page.getByTestId('new-machine').click()
    await page.getByLabel('Customer').fill('Otter Weir House')
    await page.getByLabel('What the machine is called').fill('cellar pump')
    await page.getByTestId('open-visit').click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('cellar pump, Otter Weir House')
    await page.reload()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('cellar pump, Otter Weir House')

    await shop.restart()
    for (const device of devices) {
      await device.goto(`${shop.url}/visits/${shop.lido}/test`)
      await expect(standing(device)).toHaveAttribute('aria-label', /at the shop/)
      await expect(device.getByTestId('claim')).toHaveCount(2)
      await expect(device.getByTestId('journal')).toContainText('236')
      await expect(device.getByTestId('journal')).toContainText('shaft, by hand')
    }
    await expect.poll(() => keptAt(shop.url, shop.lido, 'finding')).toHaveLength(2)
    await other.close()
  },
)

test(
  'a newer app waits until the visit is left, and is taken by itself then',
  { tag: '@desk' },
  async ({ page, shop }) => {
    await fixClock(page)
    await page.goto(shop.url)
    await kept(page)
    await page.goto(`${shop.url}/visits/${shop.lido}/test`)
    const newer = nextBuild()
    await shop.stop()
    await shop.restart({ PIKE_LAMP_SERVER_DIR: newer.serverDir })
    await say(page, 'supply 236')
    await expect.poll(() => keptAt(shop.url, shop.lido, 'finding')).toHaveLength(1)
    await page.evaluate(() => navigator.serviceWorker.getRegistration().then((own) => own?.update()))
    await page.evaluate(() => Object.assign(window, { isOldPage: true }))
    await standing(page).click()
    await expect(page.getByTestId('standing-panel')).toContainText('A newer Pike Lamp is here.')
    await say(page, 'shaft free')
    expect(await page.evaluate(() => 'isOldPage' in window)).toBe(true)
    await page.getByRole('link', { name: 'to the Day' }).click()
    // At once, or where the browser finds the older worker busy after half a minute of rest.
    await page.waitForFunction(() => !('isOldPage' in window), undefined, { timeout: 90_000 })
    await expect(page.getByTestId('day')).toBeVisible()
    await expect.poll(() => keptAt(shop.url, shop.lido, 'finding')).toHaveLength(2)
    newer.remove()
  },
)

test('the Day stands as the shop said it last until it answers', { tag: '@phone' }, async ({ page, context, shop }) => {
  await fixClock(page)
  await page.goto(shop.url)
  await kept(page)
  await page.close()
  let answer: () => void = () => undefined
  const held = new Promise<void>((done) => (answer = done))
  await context.route('**/api/day?*', async (route) => {
    await held
    await route.continue()
  })
  const again = await context.newPage()
  // No moment passes: this device does not come to give an answer of its own.
  await again.clock.install({ time: NOW.getTime() - 1000 })
  await again.clock.pauseAt(NOW)
  await again.goto(shop.url)
  await expect(again.getByTestId('day')).toContainText('Lido')
  const { opened: call } = secretVisit()
  const today = { ...call, body: { ...call.body, scheduledAt: NOW.toISOString() } }
  expect((await post(`${shop.url}/api/entries`, { entries: [today] })).status).toBe(200)
  await expect(again.getByTestId('day')).not.toContainText(SECRET)
  answer()
  await expect(again.getByTestId('day')).toContainText(SECRET)
})

test('all that is kept of a customer: not while a visit is open, as a file, removed for good, from a device too', async ({
  page,
  context,
  shop,
}) => {
  const [opening] = await keptAt(shop.url, shop.lido, 'visit-opened')
  const { id, name } = (opening as NonNullable<typeof opening>).body.customer
  await fixClock(page)
  await page.goto(shop.url)
  await kept(page)
  expect(await page.evaluate(keptHere)).toContain(name)

  const owner = await opened(context, `${shop.url}/pumps/customers/${id}`)
  await owner.getByTestId('ask-forget').click()
  await expect(owner.getByTestId('still-open')).toContainText('not done yet')
  await owner.keyboard.press('Escape')
  const { open } = (await (await fetch(`${shop.url}/api/customers/${id}`)).json()) as { open: string[] }
  const entries = open.map((visitId) => ({
    id: uuidv7(),
    visitId,
    kind: 'cancelled',
    at: new Date().toISOString(),
    author: 'test',
    body: { why: 'they moved away' },
  }))
  expect((await post(`${shop.url}/api/entries`, { entries })).status).toBe(200)

  // What was called off is heard here: nothing is open any more.
  await expect(owner.getByTestId('customer-visits')).toContainText('called off')
  const file = owner.waitForEvent('download')
  await owner.getByTestId('customer-data').click()
  expect((await file).suggestedFilename()).toBe(`${id.slice(0, 8)}.customer.json`)
  await owner.getByTestId('ask-forget').click()
  await owner.getByTestId('forget-name').fill('somebody else')
  await expect(owner.getByTestId('forget')).toBeDisabled()
  await owner.getByTestId('forget-name').fill(name)
  await owner.getByTestId('forget').click()
  await expect(owner.getByTestId('is-forgotten')).toBeVisible()
  await expect(owner.getByTestId('new-visit-here')).toHaveCount(0)
  await expect(owner.getByRole('heading', { level: 1 })).toHaveText('Former customer')
  await expect.poll(() => page.evaluate(keptHere)).not.toContain(name)
})

/** Everything that this browser keeps of the shop, as text. */
function keptHere(): Promise<string> {
  return new Promise((done) => {
    const opening = indexedDB.open('pike-lamp.shop')
    opening.onsuccess = () => {
      const store = opening.result
      const transaction = store.transaction(['visits', 'machines', 'customers', 'facts'])
      const all = [...store.objectStoreNames].map((each) => transaction.objectStore(each).getAll())
      transaction.oncomplete = () => {
        store.close()
        done(JSON.stringify(all.map(({ result }) => result as unknown)))
      }
    }
  })
}
