import type { Browser, Page } from '@playwright/test'
import { post } from '../server/serve'
import { secretVisit, SECRET } from '../server/entries'
import { expect, fixClock, keptAt, NOW, say, test } from './shop'

/** Another device of the same shop. */
async function another(browser: Browser | null, address: string): Promise<Page> {
  const context = await (browser as Browser).newContext(test.info().project.use)
  const page = await context.newPage()
  await fixClock(page)
  await page.goto(address)
  return page
}

test('what another device writes stands here a moment later, on the visit and on the Day', async ({
  page,
  context,
  shop,
}) => {
  const address = `${shop.url}/visits/${shop.lido}/test`
  await page.goto(address)
  const other = await another(context.browser(), address)
  await expect(other.getByTestId('journal')).toBeVisible()
  await say(page, 'supply 236')
  await expect(other.getByTestId('journal')).toContainText('236')
  await say(other, 'shaft free')
  await expect(page.getByTestId('journal')).toContainText('shaft, by hand')
  await other.getByRole('link', { name: 'to the Day' }).click()
  await expect(other.getByTestId('day')).toBeVisible()
  const call = secretVisit()
  const { opened } = call
  const today = { ...opened, body: { ...opened.body, scheduledAt: NOW.toISOString() } }
  expect((await post(`${shop.url}/api/entries`, { entries: [today] })).status).toBe(200)
  await expect(other.getByTestId('day')).toContainText(SECRET)
  await expect.poll(() => keptAt(shop.url, shop.lido, 'finding')).toHaveLength(2)
  await other.context().close()
})

test('two who were out of each other’s sight: both stand, and one tap chooses for both', async ({
  page,
  context,
  standing,
}) => {
  const address = `${standing.url}/visits/${await standing.visit('filter pump 2')}/call`
  await page.goto(address)
  await page.getByRole('button', { name: 'hums, will not turn' }).click()
  const other = await another(context.browser(), address)
  await expect(other.getByTestId('suspect-run-capacitor-failed')).toBeVisible()
  await other.context().setOffline(true)
  for (const [device, verdict] of [
    // A stream that is open already goes on in the driver's tunnel: the one inside speaks first.
    [other, 'Not this'],
    [page, 'It was this'],
  ] as const) {
    await device.getByTestId('suspect-run-capacitor-failed').click()
    await device.getByRole('button', { name: verdict, exact: true }).first().click()
  }
  await other.context().setOffline(false)
  await expect(page.getByTestId('claim')).toHaveCount(2)
  await expect(other.getByTestId('claim')).toHaveCount(2)
  await other.getByTestId('claim').first().getByRole('button', { name: 'this one' }).click()
  for (const device of [page, other]) await expect(device.getByTestId('conflicts')).toHaveCount(0)
  await other.context().close()
})
