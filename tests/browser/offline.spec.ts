import { expect, fixClock, keptAt, say, test } from './shop'

test('an offline server: one quiet word, the entry kept and sent later', { tag: '@desk' }, async ({ page, shop }) => {
  await page.goto(`${shop.url}/visits/${shop.lido}/test`)
  await say(page, 'supply 236')
  await expect.poll(() => keptAt(shop.url, shop.lido, 'finding')).toHaveLength(1)
  await shop.stop()
  await say(page, 'shaft free')
  await expect(page.getByTestId('standing')).toHaveText('1 here only')
  await page.getByTestId('standing').click()
  await expect(page.getByTestId('standing-panel')).toContainText('No way to the shop just now. 1 line kept here')
  await expect(page.getByTestId('journal')).toContainText('shaft, by hand')
  await shop.restart()
  await expect(page.getByTestId('standing')).toHaveAttribute('aria-label', 'how things stand: at the shop')
  await page.reload()
  await expect(page.getByTestId('journal-line').filter({ hasText: 'shaft, by hand' })).toHaveCount(1)
})

test(
  'an entry typed while the server is away survives closing the page',
  { tag: '@desk' },
  async ({ page, context, shop }) => {
    await page.goto(`${shop.url}/visits/${shop.lido}/test`)
    await expect(page.getByTestId('journal')).toBeVisible()
    await shop.stop()
    await say(page, 'weep dripping')
    await expect(page.getByTestId('standing')).toHaveText('1 here only')
    await page.close()
    await shop.restart()
    const again = await context.newPage()
    await again.goto(`${shop.url}/visits/${shop.lido}/test`)
    await expect(again.getByTestId('journal-line').filter({ hasText: 'weep hole' })).toHaveCount(1)
    await expect.poll(() => keptAt(shop.url, shop.lido, 'finding')).toHaveLength(1)
  },
)

test('two tabs on one visit see each other’s lines', { tag: '@desk' }, async ({ page, context, standing }) => {
  const visit = `${standing.url}/visits/${await standing.visit('filter pump 2')}/test`
  await page.goto(visit)
  const other = await context.newPage()
  await other.goto(visit)
  await expect(other.getByTestId('journal')).toBeVisible()
  await say(page, 'basket clogged')
  await expect(other.getByTestId('journal')).toContainText('basket')
})

test(
  'a visit that is not there, and a server that is away, are said in words',
  { tag: '@desk' },
  async ({ page, standing }) => {
    await fixClock(page)
    await page.goto(`${standing.url}/visits/0197a000-0009-7000-8000-000000000099/test`)
    await expect(page.getByText('There is no visit with the id')).toBeVisible()
    await page.route('**/api/day**', (route) => route.abort())
    await page.goto(standing.url)
    await expect(page.getByText('No way to the shop just now, and this is not kept on this device.')).toBeVisible()
  },
)
