import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { serve, temporaryFolder } from '../server/serve'
import { expect, say, test } from './shop'

test('a shop that starts empty is invited to its first machine and visit', async ({ page, problems }) => {
  const folder = temporaryFolder()
  const server = await serve(folder.path)
  await page.goto(server.url)
  await expect(page.getByTestId('invitation')).toContainText('Write down the first machine')
  await page.getByRole('link', { name: 'First machine and visit' }).click()
  await page.getByTestId('open-visit').click()
  await expect(page.getByText('Whose pump is it? A name is needed.')).toBeVisible()
  await page.getByLabel('Customer').fill('A household with a very long name at the far end of the upper valley road')
  await page.getByLabel('What the machine is called').fill('the pump behind the wooden shed with the ivy on it')
  await page.getByLabel('Volts').fill('two hundred')
  await page.getByTestId('open-visit').click()
  await expect(page.getByText('a number above 0 and up to 700, such as 230')).toBeVisible()
  await page.getByLabel('Volts').fill('230')
  await page.getByRole('button', { name: 'trips the GFCI' }).click()
  await page.getByTestId('open-visit').click()
  await expect(page).toHaveURL(/\/visits\/.*\/call$/)
  await expect(page.getByTestId('assumed')).toContainText('full load 8 A')
  await page.goto(page.url().replace('/call', '/test'))
  await say(page, 'meg 0.3 22c')
  await expect(page.getByTestId('suspects')).toContainText('Winding to ground')
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  expect(problems).toEqual([])
  await server.kill('SIGTERM')
  folder.remove()
})

test('a visit for a machine that is known, found by typing', { tag: '@desk' }, async ({ page, standing }) => {
  await page.goto(`${standing.url}/visits/new`)
  await page.getByRole('combobox', { name: 'Machine' }).fill('school')
  await page.getByRole('option', { name: /swimming hall pump/ }).click()
  await page.getByLabel('In the caller’s words').fill('whines')
  await page.getByTestId('open-visit').click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('swimming hall pump, Tarrow Mill school')
})

test('a visit file is taken out and in again', { tag: '@desk' }, async ({ page, standing }) => {
  const folder = temporaryFolder()
  const upper = await (await fetch(`${standing.url}/api/visits/${standing.lido}/visit.json`)).text()
  const file = join(folder.path, 'lido.visit.json')
  writeFileSync(file, upper)
  const own = temporaryFolder()
  const elsewhere = await serve(own.path)
  await page.goto(elsewhere.url)
  await page
    .getByTestId('import-file')
    .setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"other"}') })
  await expect(page.getByRole('alert')).toContainText('this is not a visit file')
  await page.getByTestId('import-file').setInputFiles(file)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('filter pump 2, Millrace Lido')
  await elsewhere.kill('SIGTERM')
  folder.remove()
  own.remove()
})
