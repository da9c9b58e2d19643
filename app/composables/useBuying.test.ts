import { createPinia, setActivePinia } from 'pinia'
import { v7 as uuidv7 } from 'uuid'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { ToldOfShelf } from '#core/shelf/told-of-shelf'
import type { Entry } from '#core/visit/entry'
import { ofKind } from '#core/visit/of-kind'
import { useShelf } from '~/stores/shelf'
import { freshBrowser } from '~/utils/browser.fixture'
import { useBuying } from './useBuying'

const [CAN, WHARF, VISIT] = [uuidv7(), uuidv7(), uuidv7()]
/** The shop with the lines it was sent, and its supplier; nobody answers for the supplier while it is away. */
const shop = { lines: [] as Entry[], isAway: false, told: 0 }
const opened = {
  id: uuidv7(),
  visitId: VISIT,
  kind: 'visit-opened',
  at: '2026-05-10T08:00:00.000Z',
  author: 'Ida',
  lamport: 1,
  body: {
    customer: { id: uuidv7(), name: 'Millrace Lido', place: 'Weir Lane' },
    machine: { id: uuidv7(), customerId: uuidv7(), name: 'filter pump', kind: 'pool', nameplate: { volts: 230 } },
    scheduledAt: '2026-05-12T08:00:00.000Z',
    plannedMinutes: 60,
    callerSays: 'hums',
  },
} as unknown as Entry
const arranged = {
  id: uuidv7(),
  visitId: VISIT,
  kind: 'arranged',
  at: '2026-05-10T08:01:00.000Z',
  author: 'Ida',
  lamport: 2,
  body: { people: 2 },
} as unknown as Entry

beforeEach(() => {
  freshBrowser()
  Object.assign(shop, { lines: [], isAway: false, told: 0 })
  vi.stubGlobal('fetch', async (url: string, init?: { body: string }) => {
    if (url === '/api/shelf')
      return Response.json({ lines: shop.lines, vans: [], currency: 'USD' } satisfies ToldOfShelf)
    if (url.startsWith(`/api/visits/${VISIT}`)) return Response.json({ entries: [opened, arranged] })
    if (url.endsWith('/send')) {
      if (shop.isAway) return Response.json({ title: 'Wharf Supplies does not answer.' }, { status: 502 })
      shop.told++
      return Response.json({ state: 'confirmed', expectedOn: '2026-05-15', lines: [] })
    }
    shop.lines.push(...(JSON.parse(init?.body ?? '{"entries":[]}') as { entries: Entry[] }).entries)
    return Response.json({ accepted: [] })
  })
  setActivePinia(createPinia())
})

async function begun() {
  const shelf = useShelf()
  await shelf.read()
  const buying = useBuying()
  await shelf.keepArticle({
    id: CAN,
    name: '30 μF 440 V',
    family: 'run-capacitor',
    spec: {},
    price: 1200,
    pricedOn: '2026-01-01',
  })
  await buying.keepSupplier({ id: WHARF, name: 'Wharf Supplies', service: 'http://127.0.0.1:4177' })
  return { shelf, buying, supplier: shelf.bought.suppliers.get(WHARF) as never }
}
const lines = [{ article: CAN, count: 2, code: 'W-1', price: 1100, visits: [VISIT] }]

describe('buying', () => {
  it('the Day knows when the parts of a visit are there: as confirmed, and when they came', async () => {
    const { shelf, buying, supplier } = await begun()
    const id = await buying.place({ supplier, lines, freight: 0 })
    expect(shelf.bought.orders[0]).toMatchObject({ state: 'confirmed', expectedOn: '2026-05-15' })
    const promised = ofKind(shop.lines, 'arranged').at(-1)
    expect(promised?.visitId).toBe(VISIT)
    expect(promised?.body.people, 'what was arranged besides stands').toBe(2)
    expect(promised?.body.partsAt?.slice(0, 10)).toBe('2026-05-15')
    const order = shelf.bought.orders.find((each) => each.order === id) as never
    const before = Date.now()
    await buying.takeIn(order, 'D1', [{ article: CAN, count: 2, line: 1, to: 'bay:a' }])
    expect(shelf.bought.orders[0]?.state).toBe('whole')
    expect(Date.parse(ofKind(shop.lines, 'arranged').at(-1)?.body.partsAt ?? '')).toBeGreaterThanOrEqual(before)
    expect(ofKind(shop.lines, 'stock-moved')[0]?.body.until, 'a capacitor may not lie for ever').toMatch(/^\d{4}-/)
  })

  it('while the supplier is away the order stands, says so, and is told again', async () => {
    const { shelf, buying, supplier } = await begun()
    shop.isAway = true
    const id = await buying.place({ supplier, lines, freight: 0 })
    expect([buying.trouble.value, shelf.bought.orders[0]?.state]).toEqual(['Wharf Supplies does not answer.', 'placed'])
    shop.isAway = false
    await buying.send(id)
    expect([buying.trouble.value, shelf.bought.orders[0]?.state, shop.told]).toEqual(['', 'confirmed', 1])
  })

  it('orders are numbered on, and a price that is kept is the least that anybody asks', async () => {
    const { shelf, buying, supplier } = await begun()
    await buying.place({ supplier, lines, freight: 0 })
    await buying.place({ supplier, lines, freight: 0 })
    const year = String(new Date().getFullYear()).slice(2)
    expect(shelf.bought.orders.map(({ number }) => number).sort()).toEqual([`${year}-1`, `${year}-2`])
    const offer = (of: string, price: number) => ({
      article: CAN,
      supplier: of,
      code: 'W-1',
      prices: [{ from: 1, price }],
      pricedOn: '2026-05-12',
    })
    await buying.keepPrices([{ article: CAN, offer: offer(WHARF, 900) }])
    await buying.keepPrices([{ article: CAN, offer: offer(uuidv7(), 1500) }])
    expect(shelf.stock.articles.get(CAN)).toMatchObject({ price: 900, pricedOn: '2026-05-12' })
    expect(shelf.bought.offers.get(CAN)).toHaveLength(2)
  })
})
