import type { Page } from '@playwright/test'
import { appendFileSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import { post, serve, temporaryFolder } from '../server/serve'
import { testVisit } from '../server/entries'
import { expect, fixClock, keptAt, NOW, say, test } from './shop'

/** A line that this device wrote and the server will not take. */
const refusedLine = (visitId: string, value: number) => ({
  id: uuidv7(),
  v: 2,
  lamport: 500,
  visitId,
  kind: 'finding',
  at: '2026-05-12T09:40:00.000Z',
  author: 'test',
  body: { check: 'supply-voltage', value, unit: 'V', stage: 'test' },
})
const leave = (page: Page, ...lines: { id: string }[]) =>
  page.evaluate((waiting) => {
    for (const entry of waiting) localStorage.setItem(`pike-lamp.waiting.${entry.id}`, JSON.stringify({ entry }))
  }, lines)

test(
  'a refused line is kept over a reload, holds nothing up, and is changed or dropped',
  { tag: '@desk' },
  async ({ page, standing }) => {
    const visit = await standing.visit('filter pump 2')
    await page.goto(`${standing.url}/visits/${visit}/test`)
    await leave(page, refusedLine(visit, -3), refusedLine(visit, -4))
    await page.reload()
    await page.getByRole('button', { name: '1 more not kept: show all' }).click()
    await expect(page.getByTestId('refused')).toHaveCount(2)
    await expect(page.getByTestId('refused').first()).toContainText('Not kept at the shop: supply at rest')
    await expect(page.getByTestId('refused').first()).toContainText('cannot be below 0 V')
    await say(page, 'shaft free')
    await expect.poll(() => keptAt(standing.url, visit, 'finding')).toHaveLength(1)
    await page.reload()
    await expect(page.getByRole('button', { name: '1 more not kept: show all' })).toBeVisible()
    await page.getByTestId('change-refused').first().click()
    await page.getByTestId('refused-dialog').getByLabel('value').fill('236')
    await page.getByTestId('send-again').click()
    await expect(page.getByRole('button', { name: 'more not kept' })).toHaveCount(0)
    await expect(page.getByTestId('refused')).toHaveCount(1)
    await expect
      .poll(async () =>
        (await keptAt(standing.url, visit, 'finding')).map(({ body }) => (body as { value?: number }).value),
      )
      .toContain(236)
    await page.getByTestId('drop-refused').click()
    await expect(page.getByTestId('refused')).toHaveCount(0)
    await page.getByTestId('dropped').getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByTestId('refused')).toHaveCount(1)
    await page.getByTestId('drop-refused').click()
    await page.reload()
    await expect(page.getByTestId('journal')).toContainText('236')
    await expect(page.getByTestId('refused')).toHaveCount(0)
  },
)

test('a server that answers and cannot keep is not one that is away', { tag: '@desk' }, async ({ page, standing }) => {
  const visit = await standing.visit('filter pump 2')
  await fixClock(page)
  await page.goto(`${standing.url}/visits/${visit}/test`)
  await expect(page.getByTestId('journal')).toBeVisible()
  await page.route('**/api/entries', (route) =>
    route.fulfill({
      status: 507,
      contentType: 'application/problem+json',
      body: JSON.stringify({ title: 'The disk is full: nothing of this was kept.', problems: [] }),
    }),
  )
  await say(page, 'shaft free')
  await expect(page.getByTestId('standing')).toHaveText('1 here only')
  await page.getByTestId('standing').click()
  const panel = page.getByTestId('standing-panel')
  await expect(panel).toContainText('The shop answers and cannot keep lines just now: The disk is full')
  await expect(panel).toContainText('1 line kept here, and tried again.')
  // It tries by itself too: with its clock standing still only the button does.
  // One try is still under way, or begins as the clock is set: it is over before the way is free.
  const tried = page.waitForResponse('**/api/entries')
  await page.clock.pauseAt(new Date(NOW.getTime() + 3_600_000))
  await tried
  await expect(panel).toContainText('1 line kept here')
  await page.unroute('**/api/entries')
  await page.getByRole('button', { name: 'Try now' }).click()
  await expect(page.getByTestId('standing')).toHaveAttribute('aria-label', 'how things stand: at the shop')
  await expect.poll(() => keptAt(standing.url, visit, 'finding')).toHaveLength(1)
})

test(
  'what waits in all tabs is counted, and a device without room says so truly',
  { tag: '@desk' },
  async ({ page, context, shop }) => {
    await page.goto(`${shop.url}/visits/${shop.lido}/test`)
    const other = await context.newPage()
    await other.goto(`${shop.url}/visits/${shop.lido}/test`)
    await expect(other.getByTestId('journal')).toBeVisible()
    await expect(page.getByTestId('journal')).toBeVisible()
    await shop.stop()
    await say(page, 'shaft free')
    await say(other, 'basket clear')
    for (const tab of [page, other]) await expect(tab.getByTestId('standing')).toHaveText('2 here only')
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('no room', 'QuotaExceededError')
      }
    })
    await say(page, 'weep dry')
    await expect(page.getByTestId('storage-full')).toContainText('This device has no room left.')
    await expect(page.getByTestId('storage-full')).toContainText(
      '1 line is on this page alone: leave it open until it is sent',
    )
    await shop.restart()
    await expect(page.getByTestId('storage-full')).toHaveCount(0, { timeout: 30_000 })
    await expect.poll(() => keptAt(shop.url, shop.lido, 'finding')).toHaveLength(3)
  },
)

test('two devices that corrected one reading: both stand until one is chosen', async ({ page, standing }) => {
  const visit = testVisit()
  const first = {
    ...visit.write('finding', { check: 'supply-voltage', value: 23.6, unit: 'V', stage: 'test' }),
    lamport: 2,
  }
  const corrected = (value: number) => ({
    ...visit.write('finding', { check: 'supply-voltage', value, unit: 'V', stage: 'test' }, first.id),
    lamport: 3,
  })
  expect(
    (
      await post(`${standing.url}/api/entries`, {
        entries: [{ ...visit.opened, lamport: 1 }, first, corrected(236), corrected(190)],
      })
    ).status,
  ).toBe(200)
  await page.goto(`${standing.url}/visits/${visit.visitId}/test`)
  await expect(page.getByTestId('claim')).toHaveCount(2)
  await expect(page.getByTestId('journal-line').filter({ hasText: 'said in two ways, not settled' })).toHaveCount(2)
  await page.getByTestId('claim').filter({ hasText: '236' }).getByRole('button', { name: 'this one' }).click()
  await expect(page.getByTestId('conflicts')).toHaveCount(0)
  await expect(page.getByTestId('journal-line')).toHaveCount(1)
  await expect(page.getByTestId('journal-line')).toContainText('236')
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('claim')).toHaveCount(2)
})

test(
  'lines set aside are told on the Shop page; a file that knows the customer otherwise asks',
  { tag: '@desk' },
  async ({ page }) => {
    const own = temporaryFolder()
    const visit = testVisit()
    const file = join(own.path, 'journal.jsonl')
    writeFileSync(file, `${JSON.stringify(visit.opened)}\n`)
    appendFileSync(
      file,
      JSON.stringify({ ...visit.write('note', { text: 'x', seenAndLeft: false }), at: '2026-02-30T10:00:00Z' }) +
        '\nnot json\n',
    )
    const elsewhere = await serve(own.path)
    await page.goto(`${elsewhere.url}/shop`)
    await expect(page.getByTestId('journal-found')).toContainText('2 lines of journal.jsonl could not be taken in')
    await expect(page.getByTestId('set-aside')).toHaveText([
      /line 2.*at: it must be an ISO instant that exists/,
      /line 3.*not JSON/,
    ])
    expect(readFileSync(join(own.path, 'journal.rejected.jsonl'), 'utf8').trim().split('\n')).toHaveLength(2)
    const body = visit.opened.body as { customer: object }
    const other = testVisit()
    const taken = {
      format: 'pike-lamp-visit',
      version: 2,
      visitId: other.visitId,
      entries: [{ ...other.opened, body: { ...body, customer: { ...body.customer, phone: '555 0199' } } }],
      photos: [],
    }
    await page
      .getByTestId('import-file')
      .setInputFiles({ name: 'x.visit.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(taken)) })
    await expect(page.getByTestId('import-differs')).toContainText('here nothing, in the file 555 0199')
    await page.getByRole('button', { name: 'Take the file’s' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Millrace Lido')
    await expect
      .poll(
        async () =>
          (
            (await (await fetch(`${elsewhere.url}/api/machines`)).json()) as {
              machines: { customer: { phone?: string } }[]
            }
          ).machines[0]?.customer.phone,
      )
      .toBe('555 0199')
    await elsewhere.kill('SIGTERM')
    own.remove()
  },
)
