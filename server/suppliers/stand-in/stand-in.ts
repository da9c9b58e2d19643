import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'
import Papa from 'papaparse'
import type { DespatchPaper, OrderPaper } from '../../../core/shelf/papers/paper'
import { fromUblOrder, toUblDespatch } from '../../../core/shelf/papers/ubl'
import { chance } from '../../../core/quantity/random'
import { InputError } from '../../../core/validation/input-error'
import { catalogue, type CatalogueItem } from './catalogue'

/** What can go wrong with it. */
export interface SupplierTroubles {
  /** Nobody answers. */
  isAway: boolean
  /** So many of all lines bring something else. */
  wrong: number
  /** So many of all orders come days later than was said. */
  late: number
}
export const SUPPLIER_TROUBLES: SupplierTroubles = { isAway: false, wrong: 0.08, late: 0.2 }
export const NO_SUPPLIER_TROUBLES: SupplierTroubles = { isAway: false, wrong: 0, late: 0 }

interface Taken {
  order: OrderPaper
  expectedOn: string
  /** Days from the first, on which each part of it leaves. */
  parts: { day: number; paper: Omit<DespatchPaper, 'issuedOn'> }[]
}

const DAY = 86_400_000
const MOST_BODY = 4_000_000
/** Days from an order until what lies there leaves, and until what does not lie there comes. */
const [SOON, LATER, DELAY] = [2, 6, 5]

export interface SupplierOptions {
  port?: number
  troubles?: SupplierTroubles
  seed?: number
  /** The day on which it begins. */
  today?: Date
}

/** A made-up supplier on this machine: its prices and its stock move from day to day, deliveries are late or wrong. */
export class SupplierStandIn {
  readonly items: CatalogueItem[] = catalogue()
  private readonly orders = new Map<string, Taken>()
  private readonly random
  private readonly begun: number
  private day = 0

  private constructor(
    private readonly server: Server,
    readonly address: string,
    readonly troubles: SupplierTroubles,
    { seed = 1, today = new Date() }: SupplierOptions,
  ) {
    this.random = chance(seed)
    this.begun = today.getTime()
  }

  static async start(options: SupplierOptions = {}): Promise<SupplierStandIn> {
    const server = createServer()
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject)
      server.listen(options.port ?? 0, '127.0.0.1', resolve)
    })
    const { port } = server.address() as AddressInfo
    const troubles = { ...(options.troubles ?? SUPPLIER_TROUBLES) }
    const standIn = new SupplierStandIn(server, `http://127.0.0.1:${port}`, troubles, options)
    server.on('request', (request, response) => void standIn.answer(request, response))
    return standIn
  }

  stop(): Promise<void> {
    this.server.closeAllConnections()
    return new Promise((resolve) => this.server.close(() => resolve()))
  }

  /** A day passes: others buy, some of it comes in again, some prices change. */
  passDay(): void {
    this.day++
    for (const item of this.items) {
      item.stock = Math.max(0, item.stock + Math.round(this.random.between(-3, 3)))
      if (this.random.hit(0.01)) {
        const by = this.random.between(0.95, 1.08)
        item.prices = item.prices.map(({ from, price }) => ({ from, price: Math.round(price * by) }))
      }
    }
  }

  private dayIn(days: number): string {
    return new Date(this.begun + (this.day + days) * DAY).toISOString().slice(0, 10)
  }

  private async answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
    if (this.troubles.isAway) {
      request.socket.destroy()
      return
    }
    const { pathname } = new URL(request.url ?? '/', this.address)
    const say = (status: number, type: string, text: string) => {
      response.writeHead(status, { 'content-type': `${type}; charset=utf-8` }).end(text)
    }
    try {
      if (request.method === 'GET' && pathname === '/prices.csv') return say(200, 'text/csv', this.priceList())
      if (request.method === 'POST' && pathname === '/orders')
        return say(200, 'application/json', JSON.stringify(this.take(await bodyOf(request))))
      const number = /^\/orders\/([^/]+)\/despatches$/.exec(pathname)?.[1]
      const taken = number === undefined ? undefined : this.orders.get(decodeURIComponent(number))
      if (request.method === 'GET' && taken) return say(200, 'application/json', JSON.stringify(this.sent(taken)))
      say(404, 'application/json', '{"title":"There is no such thing here."}')
    } catch (error) {
      const isInput = error instanceof InputError
      say(isInput ? 400 : 500, 'application/json', JSON.stringify({ title: isInput ? error.message : 'broken' }))
    }
  }

  private priceList(): string {
    const rows = this.items.flatMap(({ code, name, prices, pack }) =>
      prices.map(({ from, price }) => ({
        code,
        name,
        from,
        price: (price / 100).toFixed(2),
        currency: 'USD',
        pack: pack ?? '',
      })),
    )
    return Papa.unparse(rows)
  }

  /** An order that comes twice under its number is the first one. */
  private take(ubl: string): { state: 'confirmed' | 'cancelled'; expectedOn?: string; lines: object[] } {
    const order = fromUblOrder(ubl)
    const taken = this.orders.get(order.number) ?? this.taken(order)
    const short = order.lines.filter(({ code }) => !this.items.some((item) => item.code === code))
    if (short.length === order.lines.length)
      return { state: 'cancelled', lines: short.map(({ line }) => ({ line, count: 0 })) }
    this.orders.set(order.number, taken)
    return { state: 'confirmed', expectedOn: taken.expectedOn, lines: short.map(({ line }) => ({ line, count: 0 })) }
  }

  private taken(order: OrderPaper): Taken {
    const late = this.random.hit(this.troubles.late) ? DELAY : 0
    const [soon, later]: DespatchPaper['lines'][] = [[], []]
    for (const { line, code, count } of order.lines) {
      const item = this.items.find((each) => each.code === code)
      if (!item) continue
      const at = this.items.indexOf(item)
      // What lies beside it is taken by mistake.
      const sent = this.random.hit(this.troubles.wrong) ? (this.items[at + 1] ?? item) : item
      const here = Math.min(count, item.stock)
      item.stock -= here
      if (here > 0) soon?.push({ line, code: sent.code, name: sent.name, count: here })
      if (count > here) later?.push({ line, code: item.code, name: item.name, count: count - here })
    }
    const parts = [
      { lines: soon ?? [], days: SOON },
      { lines: later ?? [], days: LATER },
    ].filter(({ lines }) => lines.length > 0)
    const last = parts.at(-1)?.days ?? SOON
    return {
      order,
      expectedOn: this.dayIn(last),
      parts: parts.map(({ lines, days }, index) => ({
        day: this.day + days + late,
        paper: { id: `${order.number}-${index + 1}`, order: order.number, lines },
      })),
    }
  }

  /** What has left by today. */
  private sent({ parts }: Taken): string[] {
    return parts
      .filter(({ day }) => day <= this.day)
      .map(({ day, paper }) =>
        toUblDespatch({ ...paper, issuedOn: new Date(this.begun + day * DAY).toISOString().slice(0, 10) }),
      )
  }
}

async function bodyOf(request: IncomingMessage): Promise<string> {
  const parts: Buffer[] = []
  let size = 0
  for await (const part of request) {
    size += (part as Buffer).length
    if (size > MOST_BODY) throw new InputError([{ field: 'body', value: `${size} bytes`, expected: 'a shorter order' }])
    parts.push(part as Buffer)
  }
  return Buffer.concat(parts).toString('utf8')
}
