import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { temporaryFolder } from '../server/serve'
import { called, type Call } from './called'
import { choose, title } from './repair-steps'
import { expect, fixClock, keptAt, say, test } from './shop'

const HUMMING = {
  machine: {
    name: 'pool pump of the lido',
    kind: 'pool',
    construction: 'band-clamp',
    nameplate: {
      volts: 230,
      hertz: 60,
      horsepower: 1,
      motorType: 'permanent-split',
      fullLoadAmps: 7,
      serviceFactorAmps: 8.2,
      runCapacitorMicrofarads: 30,
    },
  },
  complaints: ['hums-no-start'],
  says: 'hums',
} satisfies Call

const sheetText = async (page: Page, folder: string, url: string) => {
  const file = join(folder, 'sheet.pdf')
  writeFileSync(file, await (await page.request.get(url)).body())
  return execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })
}

test('a repair that does not prove goes back to Test with what is known, and is proved the second time', async ({
  page,
  standing,
  problems,
}) => {
  await fixClock(page)
  const visit = await called(standing.url, HUMMING)
  await page.goto(`${standing.url}/visits/${visit}/test`)
  await say(page, 'run cap 12')
  await page.goto(`${standing.url}/visits/${visit}/decide`)
  await choose(page, 'replace-run-capacitor')
  await page.goto(`${standing.url}/visits/${visit}/prove`)
  // Only what a new capacitor calls for: no pot, no drip.
  await expect(page.getByTestId('proof-amps')).toBeVisible()
  await expect(page.getByTestId('proof-drip')).toHaveCount(0)
  await say(page, 'loaded 234')
  await say(page, 'running 11.4')
  await expect(title(page)).toHaveText('It does not prove')
  await page.getByTestId('comeback').click()
  await expect(page).toHaveURL(/\/test$/)
  await expect(page.getByTestId('journal')).toContainText('not proved: back to Test')
  await page.goto(`${standing.url}/visits/${visit}/decide`)
  await choose(page, 'swap-motor')
  await page.goto(`${standing.url}/visits/${visit}/prove`)
  await expect(page.getByTestId('prove-round')).toContainText('Round 2')
  await say(page, 'shaft free')
  await say(page, 'pot full')
  await say(page, 'loaded 234')
  await say(page, 'running 6.6')
  await say(page, 'quiet')
  // What has to run first says from when its look counts.
  await expect(page.getByTestId('prove-wait')).toContainText('from')
  await say(page, 'weep dry')
  await say(page, 'joints dry')
  await expect(title(page)).toHaveText('It is proved')
  await page.goto(`${standing.url}/visits/${visit}/hand-over`)
  const sheet = page.getByTestId('sheet')
  for (const words of [
    'starts again.',
    'At first it did not prove: amps.',
    'The run capacitor was replaced.',
    'The motor was replaced.',
    'Current6.6 A',
  ])
    await expect(sheet).toContainText(words)
  expect(problems).toEqual([])
})

test(
  'handing over without a proof wants its reason; a correction makes a second issue, and the first stays',
  { tag: '@desk' },
  async ({ page, standing, problems }) => {
    await fixClock(page)
    const visit = await called(standing.url, HUMMING)
    await page.goto(`${standing.url}/visits/${visit}/decide`)
    await choose(page, 'replace-run-capacitor')
    await page.goto(`${standing.url}/visits/${visit}/prove`)
    await say(page, 'loaded 234')
    await page.getByTestId('stage-end').click()
    await page.getByTestId('hand-over').click()
    await expect(page.getByRole('alert').first()).toContainText('why it is handed over without these proofs')
    await page.getByTestId('unproved').locator('input').fill('the clamp meter is at the shop')
    await page.getByTestId('hand-over').click()
    const sheet = page.getByTestId('sheet')
    await expect(sheet).toContainText('Not proved: amps. The clamp meter is at the shop')
    await expect(page.getByTestId('sheet-issue')).toContainText('Sheet, issue 1')
    // The clamp meter was in the van after all.
    await page.goto(`${standing.url}/visits/${visit}/prove`)
    await say(page, 'running 6.6')
    await page.goto(`${standing.url}/visits/${visit}/hand-over`)
    await expect(page.getByTestId('sheet-issue')).toContainText('Not handed over yet')
    await page.getByTestId('hand-over').click()
    await expect(page.getByTestId('sheet-issue')).toContainText('Sheet, issue 2')
    await expect.poll(() => keptAt(standing.url, visit, 'handed-over')).toHaveLength(2)
    const folder = temporaryFolder()
    const paper = `${standing.url}/api/visits/${visit}/sheet.pdf`
    const [first, second] = [
      await sheetText(page, folder.path, `${paper}?issue=1`),
      await sheetText(page, folder.path, paper),
    ]
    expect(first).toContain('Not proved: amps')
    expect(first).toContain('Sheet, issue 1')
    expect(second).not.toContain('Not proved')
    expect(second).toMatch(/Sheet, issue 2/)
    expect(second).toContain('6.6 A')
    expect((await page.request.get(`${paper}?issue=3`)).status()).toBe(422)
    folder.remove()
    expect(problems).toEqual([])
  },
)

test('a second look comes due: on the sheet, on the Day and as a calendar file @desk', async ({ page, shop }) => {
  await fixClock(page)
  const visit = await called(shop.url, { ...HUMMING, complaints: ['leak-under-motor'], says: 'drips' })
  await page.goto(`${shop.url}/visits/${visit}/decide`)
  await choose(page, 'replace-shaft-seal')
  await page.goto(`${shop.url}/visits/${visit}/hand-over`)
  await expect(page.getByTestId('due-list').getByLabel('for what')).toHaveValue('Dry under the pump, and quiet?')
  await page.getByTestId('unproved').locator('input').fill('the pool is filled tomorrow')
  await page.getByTestId('hand-over').click()
  await expect(page.getByTestId('sheet')).toContainText('Wednesday 13 May 2026: Dry under the pump, and quiet?')
  await expect.poll(() => keptAt(shop.url, visit, 'handed-over')).toHaveLength(1)
  const calendar = await (await page.request.get(`${shop.url}/api/visits/${visit}/due.ics`)).text()
  expect(calendar).toMatch(/DTSTART;VALUE=DATE:20260513\r\nDTEND;VALUE=DATE:20260514/)
  await page.goto(shop.url)
  await expect(page.getByTestId('due')).toContainText('pool pump of the lido')
})
