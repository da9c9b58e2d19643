import { stockFrom, type Stock } from '../../core/shelf/stock'
import { seriousOn } from './axe'
import type { Entry } from '../../core/visit/entry'
import { ofKind } from '../../core/visit/of-kind'
import { v7 as uuidv7 } from 'uuid'
import { post } from '../server/serve'
import { fromUblOrder } from '../../core/shelf/papers/ubl'
import { NO_SUPPLIER_TROUBLES, SupplierStandIn } from '../../server/suppliers/stand-in/stand-in'
import { closeStep, title } from './repair-steps'
import { expect, fixClock, keptAt, NOW, say, test } from './shop'

/** What the shop has of its shelves by now. */
async function shelvesOf(url: string): Promise<Stock> {
  const { lines } = (await (await fetch(`${url}/api/shelf`)).json()) as { lines: Parameters<typeof stockFrom>[0] }
  return stockFrom(lines)
}
const inVan = (stock: Stock, name: string, van: string) => {
  const article = [...stock.articles.values()].find((each) => each.name === name)
  return article && stock.at.get(`van:${van} ${article.id}`)?.count
}

test('a van is counted for the first time: known things, a new one, and a slip that is refused', async ({
  page,
  shop,
}) => {
  await fixClock(page)
  await page.goto(`${shop.url}/shelf`)
  await page.getByTestId('to-count').click()
  await page.getByTestId('place-van:van-2').click()
  const row = page.getByTestId('count--242 EPDM')
  await expect(row).toBeVisible()
  await row.getByRole('button', { name: 'one less of' }).click()
  const ptfe = page.getByRole('textbox', { name: 'how many PTFE tape' })
  await ptfe.fill('-3')
  await page.getByTestId('keep-count').click()
  await expect(page.getByTestId('count-problem')).toContainText('PTFE tape: “-3” is no count; a number from 0 on')
  expect(inVan(await shelvesOf(shop.url), '-242 EPDM', 'van-2')).toBe(2)
  await ptfe.fill('3')
  // What nobody had written down: its number says what it is.
  await page.getByTestId('count-search').fill('6205 2RS C3 spare')
  await page.getByTestId('count-new').click()
  await expect(page.getByRole('textbox', { name: 'how many 6205 2RS C3 spare' })).toHaveValue('1')
  await page.getByTestId('count-search').fill('6204')
  await page.getByTestId('count-search').press('Enter')
  await page.getByTestId('keep-count').click()
  await expect(page.getByTestId('count-kept')).toHaveText('The small van: 4 counted')
  await expect.poll(async () => inVan(await shelvesOf(shop.url), '-242 EPDM', 'van-2')).toBe(1)
  const stock = await shelvesOf(shop.url)
  expect(inVan(stock, '6204 2RS C3', 'van-2')).toBe(1)
  expect([...stock.articles.values()].find(({ name }) => name === '6205 2RS C3 spare')).toMatchObject({
    family: 'bearing',
    spec: { bore: 25, outside: 52, width: 15, closure: 'seals' },
  })
  // What was counted otherwise than written waits for its reason.
  const differences = page.getByTestId('differences')
  await expect(differences).toContainText('-242 EPDM, The small van: written 2, counted 1')
  await differences.getByRole('textbox', { name: 'why -242 EPDM was counted otherwise' }).fill('used at the weir')
  await differences.getByRole('textbox', { name: 'why -242 EPDM was counted otherwise' }).press('Enter')
  await expect(differences).not.toContainText('-242 EPDM')
  await expect
    .poll(async () => (await shelvesOf(shop.url)).differences.find(({ why }) => why === 'used at the weir')?.counted)
    .toBe(1)
})

test('a part that does not fit says why, point by point; what fits stands before it', async ({ page, standing }) => {
  await fixClock(page)
  await page.goto(`${standing.url}/shelf`)
  await page.getByTestId('shelf-query').fill('30 uF 440 V round')
  const answer = page.getByTestId('fit-answer')
  await expect(answer.getByTestId('fit-fits').first()).toContainText('30 μF 440 V round')
  const oval = answer.getByTestId('fit-does-not').filter({ hasText: '30 μF 370 V oval' })
  await expect(oval).toContainText('Fewer volts than the old one')
  await oval.locator('summary').click()
  await expect(oval.getByRole('row', { name: /Volts 440 V 370 V/ })).toContainText('never below the old one’s')
  await expect(answer.getByTestId('made-of')).toContainText('25 μF 440 V round + 5 μF 440 V round')
  // Another measure, another answer.
  await page.getByTestId('spec-volts').fill('370')
  await page.getByTestId('spec-volts').press('Tab')
  await expect(answer.getByTestId('fit-fits-with').first()).toContainText('another strap')
  await page.getByTestId('spec-microfarads').fill('much')
  await page.getByTestId('spec-microfarads').press('Tab')
  await expect(page.getByTestId('spec-fields').getByRole('alert')).toContainText('much: a number, such as 12.5 or 5/8')
  // Adapters are found among what lies there.
  await page.getByTestId('shelf-query').fill('gauge 100 psi 1/2 male')
  await expect(page.getByTestId('adapters')).toHaveText('1/2 male x 1/4 female')
  expect(await seriousOn(page)).toEqual([])
})

test('a machine asks for what is known of it', async ({ page, standing }) => {
  await fixClock(page)
  const [opened] = await keptAt(standing.url, standing.lido, 'visit-opened')
  await page.goto(`${standing.url}/pumps/${opened?.body.machine.id}`)
  await page.getByTestId('card-fits').click()
  await expect(page.getByTestId('machine-parts')).toContainText('filter pump 2')
  await page.getByTestId('wanted-run-capacitor').click()
  await expect(page.getByTestId('fit-answer')).toContainText('What fits, as a run capacitor')
  await expect(page.getByTestId('spec-microfarads')).toHaveValue('30')
})

test('what comes and goes is written, seen at once without a way to the shop, and taken back', async ({
  page,
  shop,
}) => {
  await fixClock(page)
  await page.goto(`${shop.url}/shelf`)
  await page.getByTestId('shelf-query').fill('tape')
  await page.getByText('PTFE tape').first().click()
  const lying = page.getByTestId('lying')
  await expect(lying).toContainText('12')
  await page.getByTestId('move-count').fill('0')
  await page.getByTestId('move').click()
  await expect(page.getByTestId('move-problem')).toContainText('count:')
  await page.getByTestId('move-why').selectOption('moved')
  await page.getByTestId('move-from').selectOption('bay:f')
  await page.getByTestId('move-to').selectOption('van:van-2')
  await page.getByTestId('move-count').fill('4')
  await page.context().setOffline(true)
  await page.getByTestId('move').click()
  await expect(lying.getByRole('listitem').filter({ hasText: 'The small van' })).toContainText('7')
  await page.context().setOffline(false)
  await expect.poll(async () => inVan(await shelvesOf(shop.url), 'PTFE tape', 'van-2'), { timeout: 30_000 }).toBe(7)
  await page.getByRole('button', { name: /take back: 4 moved/ }).click()
  await expect(lying.getByRole('listitem').filter({ hasText: 'The small van' })).toContainText('3')
  await expect.poll(async () => inVan(await shelvesOf(shop.url), 'PTFE tape', 'van-2')).toBe(3)
  expect(await seriousOn(page)).toEqual([])
})

test('a repair uses its parts: loaded by the list, taken out of the van by its ticks, put back when undone', async ({
  page,
  shop,
}) => {
  const CAN = '30 μF 370 V oval'
  const write = async (visitId: string | null, kind: string, body: object) => {
    const entry = { id: uuidv7(), visitId, kind, at: NOW.toISOString(), author: 'test', body }
    expect((await post(`${shop.url}/api/entries`, { entries: [entry] })).status).toBe(200)
  }
  const can = [...(await shelvesOf(shop.url)).articles.values()].find(({ name }) => name === CAN)
  await write(null, 'stock-moved', { article: can?.id, count: 1, from: 'van:van-1', to: 'nowhere', why: 'lost' })
  await write(shop.lido, 'decision', { option: 'replace-run-capacitor' })
  await fixClock(page)
  await page.goto(`${shop.url}/visits/${shop.lido}/prepare`)
  const thing = page.getByTestId('load-part:run-capacitor')
  await expect(thing.getByTestId('lies')).toHaveText(`1 from bay A: ${CAN}`)
  await thing.click()
  await expect.poll(async () => inVan(await shelvesOf(shop.url), CAN, 'van-1')).toBe(1)
  await thing.click()
  await expect(thing.getByTestId('lies')).toHaveText(`1 from bay A: ${CAN}`)
  await expect.poll(async () => inVan(await shelvesOf(shop.url), CAN, 'van-1')).toBe(0)
  await thing.click()
  await expect.poll(async () => inVan(await shelvesOf(shop.url), CAN, 'van-1')).toBe(1)

  await page.goto(`${shop.url}/visits/${shop.lido}/repair`)
  const used = page.getByTestId('used-parts')
  await expect(used.getByTestId('used-summary')).toHaveText('0 of 1 taken')
  await used.getByTestId('used-parts-open').click()
  await expect(used.getByTestId('take-run-capacitor')).toHaveText(CAN)
  for (let turn = 0; turn < 40 && (await title(page).innerText()) !== 'Everything is back'; turn++)
    await closeStep(page)
  await expect(used.getByTestId('use-run-capacitor')).toContainText(`1 × ${CAN}`)
  await expect.poll(async () => inVan(await shelvesOf(shop.url), CAN, 'van-1')).toBe(0)
  const { lines } = (await (await fetch(`${shop.url}/api/shelf`)).json()) as { lines: Entry[] }
  const taken = ofKind(lines, 'stock-moved').filter(({ body }) => body.why === 'used' && body.visit === shop.lido)
  expect(taken.map(({ body }) => [body.use, body.count, body.to])).toEqual([['run-capacitor', 1, 'machine']])
  await used.getByRole('button', { name: 'take back: run capacitor' }).click()
  await expect.poll(async () => inVan(await shelvesOf(shop.url), CAN, 'van-1')).toBe(1)
  await expect(used.getByTestId('take-run-capacitor')).toHaveText(CAN)
  await used.getByTestId('take-run-capacitor').click()
  await expect.poll(async () => inVan(await shelvesOf(shop.url), CAN, 'van-1')).toBe(0)
  // Another device ticks the same steps: the part went into the machine once.
  await write(null, 'stock-moved', taken[0]?.body as object)
  expect((await shelvesOf(shop.url)).twice).toHaveLength(1)
  expect(inVan(await shelvesOf(shop.url), CAN, 'van-1')).toBe(0)
  expect(await seriousOn(page)).toEqual([])
})

test('bays are the shop’s own: named, added, taken away when empty, and what lies there is found by them', async ({
  page,
  shop,
}) => {
  await fixClock(page)
  await page.goto(`${shop.url}/shelf/bays`)
  const bay = (id: string) => page.getByTestId(`bay:${id}`)
  await expect(bay('f')).toContainText('9 articles')
  await expect(bay('f').getByRole('button')).toHaveCount(0)
  await page.getByTestId('bay-mark').fill('K 1')
  await page.getByTestId('bay-holds').fill('floats and cords')
  await page.getByRole('button', { name: 'Add a bay' }).click()
  await expect(page.getByTestId('bay-problem')).toContainText('The mark: it must be small letters, digits and hyphens')
  await page.getByTestId('bay-mark').fill('f')
  await page.getByRole('button', { name: 'Add a bay' }).click()
  await expect(page.getByTestId('bay-problem')).toHaveText('Bay F is there already.')
  await page.getByTestId('bay-mark').fill('k')
  await page.getByRole('button', { name: 'Add a bay' }).click()
  await expect(bay('k').getByRole('textbox')).toHaveValue('floats and cords')
  await bay('f').getByRole('textbox').fill('pipe, tape, valves')
  await bay('f').getByRole('button', { name: 'Keep' }).click()
  await expect(bay('f').getByRole('button')).toHaveCount(0)
  expect(await seriousOn(page)).toEqual([])
  await expect.poll(async () => (await shelvesOf(shop.url)).bays.get('f')?.name).toBe('F, pipe, tape, valves')

  await bay('f').getByRole('link').click()
  await page.getByText('PTFE tape').first().click()
  await page.getByTestId('move-why').selectOption('moved')
  await page.getByTestId('move-from').selectOption('bay:f')
  await page.getByTestId('move-to').selectOption('bay:k')
  await page.getByTestId('move-count').fill('2')
  await page.getByTestId('move').click()
  await expect(
    page.getByTestId('lying').getByRole('listitem').filter({ hasText: 'K, floats and cords' }),
  ).toContainText('2')
  await page.goto(`${shop.url}/shelf/bays`)
  await expect(bay('k')).toContainText('1 article')
  await expect(bay('k').getByRole('button')).toHaveCount(0)
  await page.getByTestId('bay-mark').fill('M')
  await page.getByRole('button', { name: 'Add a bay' }).click()
  await bay('m').getByRole('button', { name: 'take away bay M' }).click()
  await expect(bay('m')).toHaveCount(0)
  await expect.poll(async () => [...(await shelvesOf(shop.url)).bays.keys()].includes('m')).toBe(false)
})

test('a van has its own room: what rides is asked by it', async ({ page, shop }) => {
  await fixClock(page)
  await page.goto(`${shop.url}/settings`)
  await page.getByTestId('settings-van-1-litres').fill('little')
  await page.getByTestId('settings-keep').click()
  await expect(page.getByTestId('settings').getByRole('alert').last()).toContainText('a number, such as')
  await page.getByTestId('settings-van-1-litres').fill('25')
  await page.getByTestId('settings-keep').click()
  await expect(page.getByRole('status').filter({ hasText: 'Kept.' })).toBeVisible()
  await page.goto(`${shop.url}/shelf/loads`)
  await expect(page.getByTestId('ride-van-1')).toContainText(/ of 160 litres/)
  await expect(page.getByTestId('ride-van-2')).toContainText(/van(?:1?\d|2[0-5]) of 25 litres/)
})

test('now or later: where the parts of each way of mending are, what fetching adds, and what does until then', async ({
  page,
  shop,
}) => {
  const CAN = '30 μF 370 V oval'
  await fixClock(page)
  await page.goto(`${shop.url}/visits/${shop.lido}/test`)
  await say(page, 'run cap 21')
  await page.goto(`${shop.url}/visits/${shop.lido}/decide`)
  const way = page.getByTestId('now-replace-run-capacitor')
  await expect(way).toContainText('can be finished now')
  // The last one in the van is gone.
  const can = [...(await shelvesOf(shop.url)).articles.values()].find(({ name }) => name === CAN)
  const body = { article: can?.id, count: 1, from: 'van:van-1', to: 'nowhere', why: 'lost' }
  const lost = { id: uuidv7(), visitId: null, kind: 'stock-moved', at: NOW.toISOString(), author: 'test', body }
  expect((await post(`${shop.url}/api/entries`, { entries: [lost] })).status).toBe(200)
  await expect(way).toContainText('not with what is in the van')
  await expect(way).toContainText(new RegExp(`bay A, 0:\\d\\d there and back: ${CAN}`))
  await expect(way).toContainText(/fetched meanwhile \$\d+\.\d\d, or another journey \$161\.00/)
  await expect(way.getByTestId('made-here')).toContainText(
    'Until then: 25 μF 440 V round + 5 μF 440 V round side by side, as much as it should be',
  )
  // The other van has nothing to make it of.
  await page.getByTestId('now-or-later').getByRole('button', { name: 'The small van' }).click()
  await expect(page.getByTestId('made-here')).toHaveCount(0)
  expect(await seriousOn(page)).toEqual([])
})

test('the Day knows when the parts of a visit that waits are there: promised, then come', async ({ page, shop }) => {
  const { articles } = await shelvesOf(shop.url)
  const can = [...articles.values()].find(({ name }) => name === '40 μF 370 V oval')
  const { lines } = (await (await fetch(`${shop.url}/api/shelf`)).json()) as { lines: Entry[] }
  const supplier = ofKind(lines, 'supplier-set')[0]?.body.supplier.id
  const order = uuidv7()
  await fixClock(page)
  await page.goto(shop.url)
  const call = page.getByTestId('waiting').getByRole('listitem').first()
  const visit = (await call.getAttribute('data-visit')) as string
  await expect(call).not.toContainText('parts')
  const body = { order, supplier, number: '26-9', lines: [{ line: 1, article: can?.id, count: 1, visits: [visit] }] }
  const placed = { id: uuidv7(), visitId: null, kind: 'order-placed', at: NOW.toISOString(), author: 'test', body }
  expect((await post(`${shop.url}/api/entries`, { entries: [placed] })).status).toBe(200)
  await page.goto(`${shop.url}/shelf/orders/${order}`)
  await page.getByTestId('expected-on').fill('2026-05-14')
  await page.getByTestId('confirm').click()
  await expect(page.getByTestId('order-state')).toHaveText('confirmed')
  await expect.poll(async () => (await keptAt(shop.url, visit, 'arranged')).at(-1)?.body.partsAt).toBeDefined()
  await page.goto(shop.url)
  const waiting = page.getByTestId('waiting').locator(`[data-visit="${visit}"]`)
  await expect(waiting).toContainText('parts Thu 12:00')
  // It came before: the visit may be driven to at once.
  await page.goto(`${shop.url}/shelf/orders/${order}`)
  await page.getByTestId('receive').click()
  await page.getByTestId('delivery-number').fill('D-1')
  await page.getByTestId('take-in').click()
  await expect(page.getByTestId('order-state')).toHaveText('all there')
  await expect
    .poll(async () => Date.parse((await keptAt(shop.url, visit, 'arranged')).at(-1)?.body.partsAt ?? ''))
    .toBeLessThan(NOW.getTime() + 3_600_000)
  await page.goto(shop.url)
  await expect(waiting).toBeVisible()
  await expect(waiting).not.toContainText('parts')
})

test('an order from the list to the shelf: the supplier away, one thing wrong that goes back, and the right one', async ({
  page,
  shop,
}) => {
  const CAN = '30 μF 370 V oval'
  const supplier = await SupplierStandIn.start({ troubles: { ...NO_SUPPLIER_TROUBLES }, today: NOW })
  try {
    const sold = supplier.items.find(({ name }) => name === CAN)
    if (sold) sold.stock = 100
    await fixClock(page)
    await page.goto(`${shop.url}/shelf/orders`)
    await page.getByRole('link', { name: 'Wharf Supplies', exact: true }).click()
    await page.getByTestId('supplier-service').fill('http://prices.example')
    await page.getByTestId('keep-supplier').click()
    await expect(page.getByTestId('supplier-problem')).toContainText('an address with https, or on this machine')
    await page.getByTestId('supplier-service').fill(supplier.address)
    await page.getByTestId('keep-supplier').click()
    await expect(page.getByTestId('supplier-problem')).toHaveCount(0)
    // Its prices are looked at before they count.
    supplier.troubles.isAway = true
    await page.getByTestId('ask-prices').click()
    await expect(page.getByTestId('price-trouble')).toHaveText('Wharf Supplies does not answer.')
    supplier.troubles.isAway = false
    await page.getByTestId('ask-prices').click()
    await expect(page.getByTestId('price-plan')).toContainText('Nothing is written yet')
    await page.getByTestId('keep-prices').click()
    await expect(page.getByTestId('prices-kept')).toContainText('prices kept')

    // The owner wants more of one thing than need says.
    await page.goto(`${shop.url}/shelf/levels`)
    await page.getByTestId('show-all').click()
    const level = page.getByTestId(`level-${CAN}`)
    await level.getByRole('textbox').fill('-4')
    await level.getByRole('button', { name: 'Fix' }).click()
    await expect(page.getByTestId('level-problem')).toContainText('is no count')
    await level.getByRole('textbox').fill('30')
    await level.getByRole('button', { name: 'Fix' }).click()
    await expect(level).toContainText('24 to order')

    // Away: the order stands all the same, and is told once more.
    await page.goto(`${shop.url}/shelf/orders`)
    const card = page.getByTestId('buy-Wharf Supplies')
    await expect(card).toContainText(CAN)
    for (const box of await card.getByRole('textbox').all())
      if ((await box.getAttribute('aria-label')) !== `how many ${CAN}`) await box.fill('0')
    supplier.troubles.isAway = true
    await card.getByTestId('order-Wharf Supplies').click()
    await expect(page.getByTestId('order-trouble')).toHaveText('Wharf Supplies does not answer.')
    Object.assign(supplier.troubles, { isAway: false, wrong: 1 })
    await page.getByTestId('open-orders').getByRole('link', { name: '26-2' }).click()
    await expect(page.getByTestId('order-state')).toHaveText('ordered')
    await page.getByTestId('send-order').click()
    await expect(page.getByTestId('order-state')).toHaveText('confirmed')
    await page.getByTestId('ask-deliveries').click()
    await expect(page.getByText('Nothing has left since.')).toBeVisible()
    supplier.passDay()
    supplier.passDay()

    // What lies beside it with them came.
    await page.getByTestId('ask-deliveries').click()
    await expect(page.getByTestId('came-wrong')).toContainText('30 μF 440 V round')
    expect(await seriousOn(page)).toEqual([])
    await page.getByTestId('take-in').click()
    await expect(page.getByTestId('order-state')).toHaveText('something wrong came')
    await expect(page.getByTestId('wrong-line')).toContainText('24 × 30 μF 440 V round came for it')
    await page.getByTestId('send-back-30 μF 440 V round').click()
    await expect(page.getByTestId('order-state')).toHaveText('confirmed')

    // The right one comes with a note that somebody reads off its paper.
    await page.getByTestId('receive').click()
    await page.getByTestId('take-in').click()
    await expect(page.getByTestId('delivery-problem')).toContainText('The number on the delivery note is missing')
    await page.getByTestId('delivery-number').fill('second')
    await page.getByTestId('take-in').click()
    await expect(page.getByTestId('order-state')).toHaveText('all there')
    const total = (stock: Stock, name: string) =>
      [...stock.at.values()].reduce(
        (sum, { article, count }) => (stock.articles.get(article)?.name === name ? sum + count : sum),
        0,
      )
    await expect.poll(async () => total(await shelvesOf(shop.url), CAN)).toBe(26)
    expect(total(await shelvesOf(shop.url), '30 μF 440 V round')).toBe(1)
    const xml = await page.request.get(`${page.url().replace('/shelf/orders', '/api/shelf/orders')}/order.xml`)
    expect(fromUblOrder(await xml.text())).toMatchObject({ number: '26-2', lines: [{ name: CAN, count: 24 }] })
  } finally {
    await supplier.stop()
  }
})
