import { readFile } from 'node:fs/promises'
import { expect, fixClock, test } from './shop'

const TABLE = [
  'Owner;Street address;City;Mobile phone;Pump;Pump type;Installed;Dog',
  'Heronry Cottage;Reed Path 4;Lower Tarrow;0100 8801;pond pump;circulation pump;2018;Bran',
  'Heronry Cottage;Reed Path 4;Lower Tarrow;0100 8801;cellar pump;sump pump;2019-05-02;',
  'Otter Yard;Reed Path 6;Lower Tarrow;;yard pump;jet pump;03/04/2019;',
].join('\n')
const file = (name: string, type: string, text: string) => ({ name, mimeType: type, buffer: Buffer.from(text) })

test('a table is taken in with its bad line left out, is found, and is taken back', async ({
  page,
  standing,
  problems,
}) => {
  await fixClock(page)
  await page.goto(`${standing.url}/pumps/files`)
  await page.getByTestId('register-file').setInputFiles(file('pumps.csv', 'text/csv', TABLE))
  // No line says its volts: every machine stays out until they are said for all.
  await expect(page.getByTestId('lamp-title')).toHaveText('Nothing in pumps.csv is new')
  await page.getByTestId('from-volts').selectOption('text')
  await page.getByTestId('text-volts').fill('230')
  await page.getByTestId('text-volts').blur()
  await expect(page.getByTestId('lamp-title')).toHaveText('2 lines of pumps.csv can go in')
  await expect(page.getByTestId('take-in-lamp')).toContainText('1 new customer, 2 new machines')
  await expect(page.getByTestId('bad-count')).toHaveText('1 line stays out: see below.')
  const bad = page.getByTestId('import-lines').locator('[data-fate="bad"]')
  await expect(bad).toContainText('Otter Yard')
  await expect(bad).toContainText('installed on “03/04/2019”: a day as 2019-04-03')
  const found = async (q: string) =>
    ((await (await page.request.get(`${standing.url}/api/pumps?q=${q}`)).json()) as { groups: { label: string }[] })
      .groups.length
  expect(await found('heronry')).toBe(0)
  await page.getByTestId('take-in').click()
  await expect(page.getByTestId('taken-in')).toContainText('pumps.csv: 2 lines taken in')
  expect(await found('heronry')).toBeGreaterThan(0)
  expect(await found('otter+yard')).toBe(0)
  // The same file again says nothing new.
  await page.getByTestId('register-file').setInputFiles(file('pumps.csv', 'text/csv', TABLE))
  await page.getByTestId('from-volts').selectOption('text')
  await page.getByTestId('text-volts').fill('230')
  await page.getByTestId('text-volts').blur()
  await expect(page.getByTestId('take-in-lamp')).toContainText('2 known already')
  await page.getByRole('button', { name: 'Another file' }).click()
  const taken = page.getByTestId('taken-files').getByRole('listitem').filter({ hasText: 'pumps.csv' })
  await taken.getByTestId('take-back').click()
  await expect(taken).toContainText('taken back')
  expect(await found('heronry')).toBe(0)
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  expect(problems).toEqual([])
})

test(
  'cards go out and in, and a file dropped on any page is looked at',
  { tag: '@desk' },
  async ({ page, standing, problems }) => {
    await fixClock(page)
    await page.goto(`${standing.url}/pumps/files`)
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('out-vcf').click()])
    const cards = await readFile(await download.path(), 'utf8')
    expect(cards.match(/BEGIN:VCARD/g)?.length).toBeGreaterThan(20)
    await page.goto(`${standing.url}/workings`)
    const card = ['BEGIN:VCARD', 'VERSION:3.0', 'FN:Kestrel Loft', 'TEL;TYPE=CELL:0100 8817', 'END:VCARD'].join('\r\n')
    const data = await page.evaluateHandle((text) => {
      const held = new DataTransfer()
      held.items.add(new File([text], 'book.vcf', { type: 'text/vcard' }))
      return held
    }, card)
    await page.dispatchEvent('main', 'drop', { dataTransfer: data })
    await expect(page).toHaveURL(/\/pumps\/files$/)
    await expect(page.getByTestId('lamp-title')).toHaveText('1 line of book.vcf can go in')
    await page.getByRole('button', { name: 'Another file' }).click()
    await page.getByTestId('register-file').setInputFiles(file('all.vcf', 'text/vcard', cards))
    await expect(page.getByTestId('lamp-title')).toHaveText('Nothing in all.vcf is new')
    await page.getByRole('button', { name: 'Another file' }).click()
    await page.getByTestId('register-file').setInputFiles(file('nothing.csv', 'text/csv', 'no table at all'))
    await expect(page.getByTestId('file-problem')).toContainText('a table with a head and lines under it, or vCards')
    expect(problems.filter((problem) => !problem.includes('422'))).toEqual([])
  },
)
