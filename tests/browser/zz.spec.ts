import { fixClock, test } from './shop'
test('shots', async ({ page, standing }) => {
  await fixClock(page)
  const name = page.viewportSize()?.width === 390 ? 'p' : 'd'
  for (const path of ['levels', 'loads', 'orders']) {
    await page.goto(`${standing.url}/shelf/${path}`)
    await page.getByTestId(path === 'levels' ? 'levels' : path === 'loads' ? 'ride-van-1' : 'open-orders').waitFor({ state: 'attached' })
    await page.getByText(/Reckoning/).waitFor({ state: 'detached' })
    await page.screenshot({ path: `/tmp/shots/${name}-${path}.png` })
  }
  await page.goto(`${standing.url}`)
  await page.getByTestId('morning').waitFor()
  await page.getByTestId('morning').screenshot({ path: `/tmp/shots/${name}-morning.png` })
})
