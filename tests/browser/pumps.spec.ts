import jsQR from 'jsqr'
import sharp from 'sharp'
import type { Page } from '@playwright/test'
import { called, type Call } from './called'
import { PLACES } from '../../app/utils/places'
import { expect, fixClock, keptAt, test } from './shop'

const boiler = (name: string, customer: Call['customer']): Call => ({
  machine: {
    name,
    kind: 'pool',
    construction: 'band-clamp',
    nameplate: { volts: 230, horsepower: 1, motorType: 'permanent-split', frame: '56Y' },
    installedOn: '2016-05-12',
  },
  complaints: ['noise-whine'],
  says: 'whines since the frost',
  ...(customer ? { customer } : {}),
})
const query = (page: Page) => page.getByTestId('pumps-query')
const machineOf = async (url: string, visit: string): Promise<{ id: string; customerId: string }> => {
  const { entries } = (await (await fetch(`${url}/api/visits/${visit}`)).json()) as {
    entries: { kind: string; body: { machine: { id: string; customerId: string } } }[]
  }
  return (entries.find(({ kind }) => kind === 'visit-opened') as (typeof entries)[number]).body.machine
}

test('a first customer, two machines, what one must know there, and a visit at one of them', async ({
  page,
  standing,
  problems,
}) => {
  await fixClock(page)
  await page.goto(`${standing.url}/pumps`)
  await page.getByRole('link', { name: 'New customer' }).click()
  await page.getByTestId('save-customer').click()
  await expect(page.getByText('A name is needed.')).toBeVisible()
  await page.getByLabel('Name').fill('Thistle Byre')
  await page.getByLabel('Address').fill('Byre Track 2, Upper Tarrow')
  await page.getByLabel('Telephone').fill('0100 4711')
  await page.getByTestId('save-customer').click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Thistle Byre')
  for (const name of ['byre well', 'trough pump']) {
    await page.getByTestId('new-machine-here').click()
    await page.getByTestId('save-machine').click()
    await expect(page.getByText('A name to find it by is needed.')).toBeVisible()
    await page.getByTestId('machine-name').fill(name)
    await page.getByTestId('machine-kind').selectOption('jet')
    await page.getByTestId('save-machine').click()
    await expect(page.getByTestId('machine-row').filter({ hasText: name })).toBeVisible()
  }
  await page.getByTestId('site').getByRole('button', { name: 'Write it down' }).click()
  await page.getByTestId('site-gate').fill('green gate, code 4711')
  await page.getByTestId('site-dog').fill('one, keep it in')
  await page.getByTestId('save-site').click()
  await expect(page.getByTestId('site')).toContainText('gate green gate, code 4711 · dog one, keep it in')
  await page.getByTestId('new-visit-here').click()
  await page
    .getByTestId('their-machines')
    .getByRole('button', { name: /trough pump/ })
    .click()
  await page.getByTestId('open-visit').click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('trough pump, Thistle Byre')
  // What one must know there goes along.
  await page.getByRole('navigation', { name: 'the joints of the visit' }).getByRole('link', { name: /Safe/ }).click()
  await expect(page.getByTestId('site-note')).toContainText('gate green gate, code 4711')
  // The shop finds both by the one gate, and the way back to the visit stands among the places.
  await page.getByTestId('find').click()
  await page.getByLabel('find', { exact: true }).fill('thistle')
  await expect(page.getByTestId('found').filter({ hasText: 'byre well' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('navigation', { name: 'places' }).getByRole('link', { name: 'Pumps' }).click()
  await query(page).fill('green gate')
  await expect(page.getByTestId('found-place')).toContainText('Byre Track 2, Upper Tarrow')
  await page.getByRole('link', { name: 'the open visit: trough pump, Thistle Byre' }).click()
  await expect(page).toHaveURL(/\/visits\//)
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  expect(problems).toEqual([])
})

test('the register finds by name, street, telephone, part, plate, note and finding', async ({ page, shop }) => {
  // A shop of its own: others write machines of the same names into the standing one.
  await fixClock(page)
  await page.goto(`${shop.url}/pumps`)
  for (const [asked, what, text] of [
    ['lido', 'customer', 'Millrace Lido'],
    ['01001019', 'customer', 'Sluice House'],
    ['6203', 'part', 'bearings 6203-2RS both ends'],
    ['88 106', 'plate', '88–106 μF'],
    ['weir keeper', 'note', 'key with the weir keeper'],
    ['skimmer', 'note', 'skimmer weir flap stuck'],
    ['196 meg', 'finding', '196'],
    ['dairy', 'place', 'Saltlick Track'],
  ] as const) {
    await query(page).fill(asked)
    await expect(page.getByTestId(`found-${what}`).first()).toContainText(text)
  }
  await query(page).fill('shuttle')
  await expect(page.getByTestId('found-street')).toHaveText(/Shuttle Street, Tarrow Mill\s*2 machines/)
  await query(page).fill('zzzz')
  await expect(page.getByTestId('pumps-none')).toBeVisible()
  await query(page).fill('lido')
  await page.getByTestId('filter-verdict').selectOption('tired')
  await expect(query(page)).toHaveValue('lido tired')
  await expect(page.getByTestId('found-machine')).toHaveCount(2)
  await page.getByTestId('filter-kind').selectOption('booster')
  await expect(page.getByTestId('pumps-none')).toBeVisible()
  // The address is the whole search: a link to it finds the same.
  await page.reload()
  await expect(query(page)).toHaveValue('lido tired')
  await expect(page.getByTestId('filter-kind')).toHaveValue('booster')
})

test('by keyboard alone: down, enter, and back', { tag: '@desk' }, async ({ page, standing }) => {
  await fixClock(page)
  await page.goto(`${standing.url}/pumps`)
  await query(page).fill('filter pump')
  await expect(page.getByTestId('found-machine').first()).toHaveClass(/is-lit/)
  await query(page).press('ArrowDown')
  await expect(page.getByTestId('found-machine').nth(1)).toHaveClass(/is-lit/)
  await query(page).press('Enter')
  await expect(page.getByTestId('card-title')).toContainText('filter pump 2, Millrace Lido')
  await page.keyboard.press('/')
  await expect(page.getByLabel('find', { exact: true })).toBeFocused()
  await page.keyboard.type('ledg')
  await expect(page.getByTestId('found').first()).toContainText('Ledger')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/ledger$/)
  await page.goBack()
  await expect(page.getByTestId('card-title')).toContainText('filter pump 2')
})

test('the card tells a machine’s life, and is put right with its open visit', async ({ page, standing, problems }) => {
  await fixClock(page)
  const visit = await standing.visit('garden pool pump')
  const { id } = await machineOf(standing.url, visit)
  await page.goto(`${standing.url}/pumps/${id}`)
  await expect(page.getByTestId('card-lamp')).toContainText('A visit is open')
  const row = page.getByTestId('card-row-start-capacitor')
  await expect(row).toContainText('92 μF')
  await expect(row).toContainText('88 to 106 μF')
  await expect(page.getByTestId('card-row-bearings')).toContainText('rocks')
  await expect(page.getByTestId('card-visit')).toHaveCount(4)
  await expect(page.getByTestId('card-counts')).toContainText('through-bolts')
  await page.getByTestId('card-correct').click()
  await page.getByTestId('machine-name').fill('walled garden pump')
  await page.getByTestId('save-machine').click()
  await expect(page.getByTestId('card-title')).toContainText('walled garden pump')
  await expect.poll(async () => (await keptAt(standing.url, visit, 'machine-set')).length).toBe(1)
  await page.getByTestId('card-lit').click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('walled garden pump')
  expect(problems).toEqual([])
})

test(
  'a machine gets another owner, is retired with what the bench found, and is put back',
  { tag: '@desk' },
  async ({ page, standing }) => {
    await fixClock(page)
    const [first, second] = [
      await called(standing.url, boiler('vat house pump', { name: 'Vat House', place: 'Dye Lane 1, Tarrow Mill' })),
      await called(standing.url, boiler('mangle pump', { name: 'Mangle Cottage', place: 'Dye Lane 7, Tarrow Mill' })),
    ]
    const machine = await machineOf(standing.url, first)
    await page.goto(`${standing.url}/pumps/${machine.id}`)
    await page.getByTestId('card-correct').click()
    await page.getByTestId('move-owner').click()
    await page.getByTestId('customer-choice').fill('mangle')
    await page.getByRole('option', { name: /Mangle Cottage/ }).click()
    await expect(page.getByTestId('new-owner')).toContainText('From Vat House to Mangle Cottage')
    await page.getByTestId('save-machine').click()
    await expect(page.getByTestId('card-title')).toContainText('vat house pump, Mangle Cottage')
    // Its open visit is the new owner’s; the other one’s is untouched.
    await page.goto(`${standing.url}/visits/${first}/call`)
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('vat house pump, Mangle Cottage')
    await page.goto(`${standing.url}/visits/${second}/call`)
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('mangle pump, Mangle Cottage')

    await page.goto(`${standing.url}/pumps/${machine.id}`)
    await page.getByTestId('card-end-open').click()
    await page.getByTestId('retire-why').fill('replaced by a new one')
    await page.getByTestId('retire').click()
    await expect(page.getByTestId('card-end')).toContainText('replaced by a new one')
    await expect(page.getByTestId('card-quiet')).toContainText('It is no longer there.')
    await page.getByTestId('undo-note').getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByTestId('card-lamp')).toContainText('A visit is open')
  },
)

test(
  'two records of one customer are shown, merged, parted again, and kept apart',
  { tag: '@desk' },
  async ({ page, standing }) => {
    await fixClock(page)
    await called(standing.url, boiler('mill race pump', { name: 'Tenter Croft', place: 'Tenter Hill 5, Tarrowside' }))
    const other = await called(
      standing.url,
      boiler('croft sump', { name: 'The croft on the hill', place: 'Tenter Hill 5 Tarrowside' }),
    )
    await page.goto(`${standing.url}/pumps?q=tenter`)
    const twins = page.getByTestId('twins')
    await expect(twins).toContainText('one house')
    await twins.getByTestId('merge').click()
    await expect(page.getByTestId('undo-note')).toContainText('is now')
    await expect(page.getByTestId('found-customer')).toHaveCount(1)
    await expect(twins).toHaveCount(0)
    const { customerId } = await machineOf(standing.url, other)
    // An old link leads to the one that stands for both.
    await page.goto(`${standing.url}/pumps/customers/${customerId}`)
    await expect(page.getByTestId('machine-row')).toHaveCount(2)
    await page.getByTestId('part').click()
    await expect(page.getByTestId('machine-row')).toHaveCount(1)
    await page.goto(`${standing.url}/pumps?q=tenter`)
    await expect(page.getByTestId('found-customer')).toHaveCount(2)
    await page.getByTestId('keep-apart').click()
    await expect(page.getByTestId('undo-note')).toContainText('stay two')
    await expect(twins).toHaveCount(0)
  },
)

test('a known customer’s second pump makes no second customer', { tag: '@desk' }, async ({ page, standing }) => {
  await fixClock(page)
  await called(standing.url, boiler('loom shed pump', { name: 'Loom Shed', place: 'Heddle Street 3, Tarrow Mill' }))
  await page.goto(`${standing.url}/visits/new`)
  await page.getByTestId('new-machine').click()
  await page.getByLabel('Customer').fill('loom')
  await page.getByTestId('alike-customer').first().click()
  await expect(page.getByTestId('known-customer')).toContainText('For Loom Shed, Heddle Street 3, Tarrow Mill')
  await page.getByLabel('What the machine is called').fill('loom shed sump')
  await page.getByTestId('open-visit').click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('loom shed sump, Loom Shed')
  await page.goto(`${standing.url}/pumps?q=heddle`)
  await expect(page.getByTestId('found-customer')).toHaveCount(1)
  await expect(page.getByTestId('found-machine')).toHaveCount(2)
})

test('the label’s code opens the card', { tag: '@desk' }, async ({ page, standing }) => {
  await fixClock(page)
  const visit = await called(
    standing.url,
    boiler('fulling mill pump', { name: 'Fulling Mill', place: 'Stocks 1, Tarrow' }),
  )
  const { id } = await machineOf(standing.url, visit)
  await page.goto(`${standing.url}/pumps/${id}`)
  await page.getByTestId('card-label').click()
  await expect(page.getByTestId('label')).toContainText('fulling mill pump')
  const code = page.getByTestId('label-code')
  await expect(code).toBeVisible()
  const { data, info } = await sharp(await code.screenshot())
    .ensureAlpha()
    .resize({ width: 480 })
    .raw()
    .toBuffer({ resolveWithObject: true })
  const read = jsQR(new Uint8ClampedArray(data), info.width, info.height)
  expect(read?.data).toBe(`${standing.url}/pumps/${id}`)
  await page.goto(read?.data as string)
  await expect(page.getByTestId('card-title')).toContainText('fulling mill pump, Fulling Mill')
})

test('all places and all eight stages are on the screen at once', async ({ page, standing }) => {
  await fixClock(page)
  await page.goto(`${standing.url}/visits/${standing.lido}/test`)
  await expect(page.getByTestId('lamp')).toBeVisible()
  const width = page.viewportSize()?.width as number
  for (const name of ['the joints of the visit', 'places']) {
    const links = page.getByRole('navigation', { name }).getByRole('link')
    // At the desk the open visit is named in the head, and not among the places once more.
    expect(await links.count()).toBe(name !== 'places' ? 8 : width > 900 ? PLACES.length : PLACES.length + 1)
    for (const link of await links.all()) {
      const box = await link.boundingBox()
      expect(box?.x).toBeGreaterThanOrEqual(0)
      expect((box?.x ?? 0) + (box?.width ?? 0)).toBeLessThanOrEqual(width)
      expect(box?.height).toBeGreaterThanOrEqual(48)
    }
  }
  // Their names are whole, too.
  const cut = await page.evaluate(
    () =>
      [...document.querySelectorAll('nav .name')].filter((name) => {
        const { left, right } = name.getBoundingClientRect()
        return left < -0.5 || right > window.innerWidth + 0.5
      }).length,
  )
  expect(cut).toBe(0)
})
