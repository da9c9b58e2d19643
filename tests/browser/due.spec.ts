import { expect, fixClock, test } from './shop'

test('what comes due on one road becomes calls that wait for a day, and back again', async ({
  page,
  shop,
  problems,
}) => {
  await fixClock(page)
  await page.goto(`${shop.url}/due`)
  const lamp = page.getByTestId('due-lamp')
  const road = page.getByTestId('due-road').first()
  await expect(page.getByTestId('lamp-title')).toHaveText((await road.getByRole('heading').textContent()) ?? '')
  const [first] = await road.getByRole('checkbox').all()
  const name = ((await first?.locator('strong').textContent()) ?? '').split(', ')[1] ?? ''
  await page.getByTestId('choose-lit').click()
  await expect(road.getByRole('checkbox', { checked: false })).toHaveCount(0)
  await expect(lamp).toContainText('of driving in one round from the shop')
  // Another road says how far it is from what is chosen.
  await expect(page.getByTestId('due-road').nth(1)).toContainText('from what is chosen')
  const calls = Number(((await page.getByTestId('lamp-title').textContent()) ?? '').split(' ')[0])
  await page.getByTestId('write-calls').click()
  await expect(page.getByTestId('calls-written')).toContainText(`${calls} call`)
  await expect(page.getByTestId('due-roads')).not.toContainText(name)
  await page.getByTestId('calls-written').getByRole('link').click()
  const waiting = page.getByTestId('waiting')
  await expect(waiting.getByTestId('call').filter({ hasText: name })).toHaveCount(1)
  await page.goBack()
  await expect(page.getByTestId('due-roads')).not.toContainText(name)
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  expect(problems).toEqual([])
})

test(
  'calls that were written down are taken back at once; what may fail is chosen like what is due',
  { tag: '@desk' },
  async ({ page, shop, problems }) => {
    await fixClock(page)
    await page.goto(`${shop.url}/due?days=14`)
    const forecast = page.getByTestId('forecast')
    await expect(forecast).toContainText('12 May to 1 October')
    await expect(forecast.getByTestId('forecast-total')).toHaveText(/^\d/)
    const likely = forecast.getByTestId('ahead').first()
    const name = ((await likely.locator('strong').textContent()) ?? '').split(', ')[1] ?? ''
    await likely.click()
    await page.getByTestId('write-calls').click()
    await expect(page.getByTestId('calls-written')).toContainText('1 call')
    const waiting = async () =>
      (
        (await (
          await page.request.get(`${shop.url}/api/day?from=2026-05-11T22:00:00Z&to=2026-05-12T22:00:00Z`)
        ).json()) as { waiting: { customer: { name: string }; callerSays: string }[] }
      ).waiting.filter(({ customer, callerSays }) => customer.name === name && callerSays.startsWith('Look at it'))
    await expect.poll(waiting).toHaveLength(1)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect.poll(waiting).toHaveLength(0)
    await expect(page.getByTestId('calls-written')).toHaveCount(0)
    expect(problems).toEqual([])
  },
)
