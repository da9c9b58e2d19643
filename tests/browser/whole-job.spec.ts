import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { temporaryFolder } from '../server/serve'
import { expectSheet, hummingJob } from './humming-job'
import { expect, fixClock, keptAt, say, test } from './shop'

test('the humming pool pump, from the call to the sheet', { tag: '@desk' }, async ({ page, shop, problems }) => {
  await fixClock(page)
  await page.goto(shop.url)
  await hummingJob(page)
  // The paper is written from what is kept at the shop: the last line is waited for there, and the paper made once.
  await expect.poll(() => keptAt(shop.url, shop.lido, 'handed-over')).toHaveLength(1)
  const folder = temporaryFolder()
  const file = join(folder.path, 'sheet.pdf')
  writeFileSync(file, await (await page.request.get(`${shop.url}/api/visits/${shop.lido}/sheet.pdf`)).body())
  expectSheet(file)
  folder.remove()

  // The Day knows that it is done
  await page.goto(shop.url)
  await expect(page.getByTestId('day')).toContainText('done')
  expect(problems).toEqual([])
})

test('a technician who disagrees: not this, and the suspect is gone', async ({ page, standing }) => {
  await fixClock(page)
  await page.goto(`${standing.url}/visits/${await standing.visit('filter pump 2')}/call`)
  await page.getByRole('button', { name: 'hums, will not turn' }).click()
  await page.getByTestId('suspect-run-capacitor-failed').click()
  await page.getByRole('button', { name: 'Not this', exact: true }).first().click()
  await expect(page.getByTestId('suspect-run-capacitor-failed')).toHaveCount(0)
  await expect(page.getByTestId('suspects')).toContainText('Ruled out by you: run capacitor weak')
})

test('the lamp passes over a check that cannot be made here', { tag: '@desk' }, async ({ page, standing }) => {
  await fixClock(page)
  const visit = await standing.visit('filter pump 2')
  await page.goto(`${standing.url}/visits/${visit}/call`)
  await page.getByRole('button', { name: 'hums, will not turn' }).click()
  await page.goto(`${standing.url}/visits/${visit}/test`)
  const title = await page.getByTestId('lamp-title').innerText()
  await page.getByTestId('lamp-skip').click()
  await expect(page.getByTestId('lamp-title')).not.toHaveText(title)
})

test('tapping a part shows its readings, its history as a chart, and its checks', async ({ page, standing }) => {
  await fixClock(page)
  await page.goto(`${standing.url}/visits/${standing.lido}/test`)
  await expect(page.getByTestId('lamp-title')).toHaveText('Look at the weep hole')
  const part =
    page.viewportSize()?.width === 390
      ? page.getByRole('button', { name: /run capacitor$/ })
      : page.getByTestId('part-run-capacitor').locator('text').first()
  await part.first().click()
  const panel = page.getByTestId('part-panel')
  await expect(panel).toContainText('28.9 μF')
  await expect(panel.getByTestId('history-chart').locator('svg').first()).toBeVisible()
  await panel.getByRole('button', { name: 'write' }).first().click()
  await expect(page.getByLabel('a reading, a note')).toHaveValue('run cap ')
})

test('a correction replaces the line it corrects', { tag: '@desk' }, async ({ page, standing }) => {
  await fixClock(page)
  await page.goto(`${standing.url}/visits/${await standing.visit('filter pump 2')}/test`)
  await say(page, 'supply 226')
  await page.getByRole('button', { name: /correct: supply at rest/ }).click()
  await page.getByLabel('a reading, a note').fill('supply 236')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('journal-line').filter({ hasText: 'supply at rest' })).toHaveCount(1)
  await expect(page.getByTestId('journal')).toContainText('236 V')
})

test('what may not be done now stands on the card with its reason, until it may', async ({ page, standing }) => {
  await fixClock(page)
  await page.goto(`${standing.url}/visits/${await standing.visit('cellar sump')}/test`)
  await expect(page.getByTestId('lamp-title')).toHaveText('Prove the outlet')
  await expect(page.getByTestId('lamp-barred')).toContainText('Wet floor: the outlet and its ground first')
  await say(page, 'outlet 118')
  await expect(page.getByTestId('lamp-barred')).toHaveCount(0)
  await expect(page.getByTestId('lamp-title')).not.toHaveText('Prove the outlet')
  await say(page, 'meg 0.1')
  await expect(page.getByTestId('lamp-barred')).toContainText('No power: it reads to ground')
})

test('the shop prices the risk of a live check in the open', { tag: '@desk' }, async ({ page, shop }) => {
  await page.goto(`${shop.url}/shop`)
  await expect(page.getByTestId('live-risk')).toContainText('$5')
  await page.getByRole('radio', { name: 'much: dead first' }).click()
  await expect(page.getByTestId('live-risk')).toContainText('$20')
  await page.reload()
  await expect(page.getByTestId('live-risk')).toContainText('$20')
})
