import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterEach, describe, expect, it } from 'vitest'
import { readSpec } from '../../core/fits/read-spec'
import { FAMILIES } from '../../core/knowledge/fits/families'
import { readPriceList } from '../../core/shelf/papers/price-list'
import { fromUblDespatch, toUblOrder } from '../../core/shelf/papers/ubl'
import type { OrderPaper } from '../../core/shelf/papers/paper'
import { SupplierService } from '../../server/suppliers/service'
import { NO_SUPPLIER_TROUBLES, SupplierStandIn } from '../../server/suppliers/stand-in/stand-in'

const TODAY = new Date('2026-05-12T09:40:00Z')
const open: { stop: () => Promise<void> }[] = []
afterEach(async () => {
  for (const each of open.splice(0)) await each.stop()
})
async function standIn(troubles = NO_SUPPLIER_TROUBLES) {
  const supplier = await SupplierStandIn.start({ troubles: { ...troubles }, today: TODAY })
  open.push(supplier)
  return { supplier, service: new SupplierService('Wharf Supplies', supplier.address) }
}
const orderOf = (supplier: SupplierStandIn, number: string, count: number): OrderPaper => {
  const items = supplier.items.filter(({ stock }) => stock > 0).slice(0, 3)
  return {
    number,
    issuedOn: '2026-05-12',
    currency: 'USD',
    buyer: 'This shop',
    seller: 'Wharf Supplies',
    lines: items.map(({ code, name }, index) => ({ line: index + 1, code, name, count })),
  }
}
const sentOf = async (service: SupplierService, number: string) =>
  (await service.despatches(number)).map(fromUblDespatch)

describe('the made-up supplier', () => {
  it('sells some four hundred things of no make, and their names say what they are', async () => {
    const { supplier, service } = await standIn()
    expect(supplier.items.length).toBeGreaterThan(350)
    expect(new Set(supplier.items.map(({ code }) => code)).size).toBe(supplier.items.length)
    const { lines } = readPriceList(await service.prices(), 'USD')
    expect(lines.length).toBe(supplier.items.length)
    const readable = supplier.items.filter(({ name }) =>
      (Object.keys(FAMILIES) as (keyof typeof FAMILIES)[]).some(
        (family) => Object.keys(readSpec(family, name)).length > 0,
      ),
    )
    expect(readable.length / supplier.items.length).toBeGreaterThan(0.95)
  })

  it('confirms, sends what lies there in two days and the rest later; an order told twice is one', async () => {
    const { supplier, service } = await standIn()
    const paper = orderOf(supplier, '26-9', 500)
    const before = supplier.items.map(({ stock }) => stock)
    expect(await service.order(toUblOrder(paper))).toEqual({ state: 'confirmed', expectedOn: '2026-05-18', lines: [] })
    const after = supplier.items.map(({ stock }) => stock)
    expect(await service.order(toUblOrder(paper))).toMatchObject({ state: 'confirmed' })
    expect(
      supplier.items.map(({ stock }) => stock),
      'nothing is set aside twice',
    ).toEqual(after)
    expect(after).not.toEqual(before)
    expect(await sentOf(service, '26-9')).toEqual([])
    supplier.passDay()
    supplier.passDay()
    const [first] = await sentOf(service, '26-9')
    for (let day = 0; day < 4; day++) supplier.passDay()
    const [, rest] = await sentOf(service, '26-9')
    const sum = (line: number) =>
      [first, rest].reduce((all, note) => all + (note?.lines.find((each) => each.line === line)?.count ?? 0), 0)
    expect([1, 2, 3].map(sum)).toEqual([500, 500, 500])
  })

  it('says what it does not sell, and cancels an order of nothing else', async () => {
    const { supplier, service } = await standIn()
    const paper = orderOf(supplier, '26-10', 1)
    const odd = { line: 9, code: 'NO-1', name: 'hat', count: 1 }
    expect(await service.order(toUblOrder({ ...paper, lines: [...paper.lines, odd] }))).toMatchObject({
      lines: [{ line: 9, count: 0 }],
    })
    expect(await service.order(toUblOrder({ ...paper, number: '26-11', lines: [odd] }))).toMatchObject({
      state: 'cancelled',
    })
  })

  it('sends something else now and then, and comes late', async () => {
    const { supplier, service } = await standIn({ isAway: false, wrong: 1, late: 1 })
    const paper = orderOf(supplier, '26-12', 1)
    await service.order(toUblOrder(paper))
    for (let day = 0; day < 6; day++) supplier.passDay()
    expect(await sentOf(service, '26-12')).toEqual([])
    supplier.passDay()
    const [note] = await sentOf(service, '26-12')
    expect(note?.lines.every(({ line, code }) => code !== paper.lines.find((each) => each.line === line)?.code)).toBe(
      true,
    )
  })

  it('prices and stock move from day to day', async () => {
    const { supplier } = await standIn()
    const [prices, stock] = [
      JSON.stringify(supplier.items.map((each) => each.prices)),
      supplier.items.map((each) => each.stock),
    ]
    for (let day = 0; day < 5; day++) supplier.passDay()
    expect(JSON.stringify(supplier.items.map((each) => each.prices))).not.toBe(prices)
    expect(supplier.items.map((each) => each.stock)).not.toEqual(stock)
  })
})

describe('a supplier that is in trouble', () => {
  const said = (service: SupplierService) => service.prices().catch((error: Error) => error.message)
  async function serving(answer: Parameters<typeof createServer>[1]): Promise<SupplierService> {
    const server: Server = createServer(answer)
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
    open.push({
      stop: () => {
        server.closeAllConnections()
        return new Promise((resolve) => server.close(() => resolve()))
      },
    })
    return new SupplierService('Wharf Supplies', `http://127.0.0.1:${(server.address() as AddressInfo).port}`)
  }

  it('is away, refuses, sends without an end, breaks off, or leads elsewhere: a sentence, and nothing is taken', async () => {
    const { supplier, service } = await standIn()
    supplier.troubles.isAway = true
    expect(await said(service)).toBe('Wharf Supplies does not answer.')
    expect(await said(await serving((_, response) => response.writeHead(503).end()))).toBe(
      'Wharf Supplies answers with 503.',
    )
    const endless = await serving((_, response) => {
      const part = Buffer.alloc(1024 * 1024, 'a')
      const more = () => {
        while (response.write(part));
        response.once('drain', more)
      }
      more()
    })
    expect(await said(endless)).toBe('Wharf Supplies sends more than can be read.')
    const cut = await serving((_, response) => {
      response.writeHead(200, { 'content-length': '100' })
      response.write('code,price')
      setImmediate(() => response.destroy())
    })
    expect(await said(cut)).toMatch(/broke off in the middle|does not answer/)
    const away = await serving((_, response) => response.writeHead(302, { location: 'http://127.0.0.1:1/' }).end())
    expect(await said(away)).toBe('Wharf Supplies does not answer.')
    const odd = await serving((_, response) => response.end('{"state":"perhaps"}'))
    expect(await odd.order('<x/>').catch((error: Error) => error.message)).toBe(
      'Wharf Supplies answers something that is no confirmation.',
    )
  })
})
