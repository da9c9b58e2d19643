import { InputError } from '../../core/validation/input-error'

/** A supplier that answers: its price list, orders, and what it sent. */
export interface OrderAnswer {
  /** ISO date. */
  expectedOn?: string
  /** What it will not bring in full. */
  lines: { line: number; count: number }[]
  state: 'confirmed' | 'cancelled'
}

/** It does not answer, or says something that is none. Nothing was taken from it. */
export class SupplierTrouble extends Error {}

const PATIENCE = 10_000
const MOST_BYTES = 24 * 1024 * 1024
const DAY = /^\d{4}-\d{2}-\d{2}$/

/**
 * The catalogue of a supplier over HTTP: `GET /prices.csv`, `POST /orders` with UBL, `GET /orders/NUMBER/despatches`.
 * An order that is sent twice under its number is one order.
 */
export class SupplierService {
  constructor(
    private readonly name: string,
    private readonly base: string,
  ) {}

  prices = (): Promise<string> => this.ask('prices.csv')

  /** @param ubl the order as UBL */
  async order(ubl: string): Promise<OrderAnswer> {
    const said = await this.json('orders', {
      method: 'POST',
      headers: { 'content-type': 'application/xml' },
      body: ubl,
    })
    const { state, expectedOn, lines = [] } = said as Partial<OrderAnswer>
    if ((state !== 'confirmed' && state !== 'cancelled') || !Array.isArray(lines))
      throw this.trouble('answers something that is no confirmation')
    return {
      state,
      ...(typeof expectedOn === 'string' && DAY.test(expectedOn) ? { expectedOn } : {}),
      lines: lines.filter(({ line, count }) => Number.isInteger(line) && Number.isFinite(count) && count >= 0),
    }
  }

  /** Every delivery of an order so far, each as UBL. */
  async despatches(number: string): Promise<string[]> {
    const said = await this.json(`orders/${encodeURIComponent(number)}/despatches`)
    if (!Array.isArray(said) || said.some((each) => typeof each !== 'string'))
      throw this.trouble('answers something that are no deliveries')
    return said as string[]
  }

  private async json(path: string, init?: RequestInit): Promise<unknown> {
    const text = await this.ask(path, init)
    try {
      return JSON.parse(text)
    } catch {
      throw this.trouble('answers something that is no JSON')
    }
  }

  private async ask(path: string, init: RequestInit = {}): Promise<string> {
    const address = new URL(path, this.base.endsWith('/') ? this.base : `${this.base}/`)
    const response = await fetch(address, { ...init, redirect: 'error', signal: AbortSignal.timeout(PATIENCE) }).catch(
      () => undefined,
    )
    if (!response) throw this.trouble('does not answer')
    if (!response.ok) throw this.trouble(`answers with ${response.status}`)
    return this.read(response)
  }

  /** A supplier that never ends is cut off. */
  private async read(response: Response): Promise<string> {
    const body = response.body as AsyncIterable<Uint8Array> | null
    const parts: Uint8Array[] = []
    let size = 0
    try {
      for await (const part of body ?? []) {
        size += part.byteLength
        if (size > MOST_BYTES) throw this.trouble('sends more than can be read')
        parts.push(part)
      }
    } catch (error) {
      throw error instanceof SupplierTrouble ? error : this.trouble('broke off in the middle')
    }
    return Buffer.concat(parts).toString('utf8')
  }

  private trouble(what: string): SupplierTrouble {
    return new SupplierTrouble(`${this.name} ${what}.`)
  }
}

/** A supplier without an address is written to by hand. */
export function serviceOf(supplier: { name: string; service?: string } | undefined): SupplierService {
  if (!supplier?.service)
    throw new InputError([
      { field: 'supplier', value: supplier?.name, expected: 'a supplier with an address that answers' },
    ])
  return new SupplierService(supplier.name, supplier.service)
}
