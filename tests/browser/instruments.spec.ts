import { seriousOn } from './axe'
import { expect, fixClock, keptAt, say, test } from './shop'

test('a reading is taken from a simulated meter in a real visit, and nothing that was not taken is kept', async ({
  page,
  shop,
}) => {
  await fixClock(page)
  await page.goto(`${shop.url}/shop`)
  await page.getByTestId('to-instruments').click()
  await page.getByTestId('turn-stand-ins').click()
  await expect(page.getByTestId('stand-ins')).toContainText('They are on')
  expect(await seriousOn(page)).toEqual([])

  await page.goto(`${shop.url}/visits/${shop.lido}/call`)
  await page.getByRole('button', { name: 'hums, will not turn' }).click()
  await page.goto(`${shop.url}/visits/${shop.lido}/test`)
  const strip = page.getByTestId('instruments')
  // Seven of them show something; none of it is what the eyes are asked for.
  await expect(page.getByTestId('instrument-stand-in-multimeter')).toContainText('V')
  await expect(page.getByTestId('instrument-stand-in-logger')).toContainText('psi')
  await expect(page.getByTestId('offered')).toHaveCount(0)
  await say(page, 'weep hole dry')
  await say(page, 'shaft free')
  await expect(page.getByTestId('lamp-title')).toContainText('run capacitor')
  await expect(page.getByTestId('instrument-stand-in-capacitance')).toContainText('steady')
  await expect(page.getByTestId('offered')).toContainText('run capacitor')
  await expect(page.getByTestId('offered')).toContainText('capacitance meter (simulated), steady')
  expect(await seriousOn(page)).toEqual([])
  const before = await keptAt(shop.url, shop.lido, 'finding')
  await page.locator('#reading').focus()
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('journal')).toContainText('run capacitor')
  await expect.poll(async () => (await keptAt(shop.url, shop.lido, 'finding')).length).toBe(before.length + 1)
  const taken = (await keptAt(shop.url, shop.lido, 'finding')).at(-1)!.body
  expect(taken).toMatchObject({
    check: 'capacitance',
    part: 'run-capacitor',
    unit: 'uF',
    instrument: 'capacitance meter (simulated)',
  })
  expect((taken as { error?: number }).error).toBeGreaterThan(0)
  // The same can on the leads is no second reading.
  await expect(page.getByTestId('offered')).toHaveCount(0)

  // Turned off in the middle: nothing stands there any more, and the visit is as it was.
  await page.request.post(`${shop.url}/api/instruments/stand-ins`, { data: { on: false } })
  await expect(strip.getByRole('listitem')).toHaveCount(0)
  expect(await keptAt(shop.url, shop.lido, 'finding')).toHaveLength(before.length + 1)
})

test('the shop’s own are entered and kept; a far address is refused in a sentence', async ({ page, shop }) => {
  await page.goto(`${shop.url}/instruments`)
  await page.getByTestId('add-instrument').click()
  const own = page.getByTestId('own-instruments')
  await own.getByLabel('name').fill('bench meter')
  await own.getByLabel('address').fill('8.8.8.8')
  await page.getByTestId('keep-instruments').click()
  await expect(page.getByRole('alert')).toContainText('private network')
  await own.getByLabel('address').fill('127.0.0.1')
  await own.getByLabel('off by, percent').fill('1.5')
  await page.getByTestId('keep-instruments').click()
  await expect(own).toContainText('Kept.')
  await page.reload()
  await expect(own.getByLabel('name')).toHaveValue('bench meter')
  await expect(own.getByLabel('off by, percent')).toHaveValue('1.5')
  expect(await seriousOn(page)).toEqual([])
})
