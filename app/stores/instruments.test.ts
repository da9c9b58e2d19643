import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { InstrumentReading, InstrumentState } from '#core/instruments/reading'
import { useInstruments } from './instruments'

/** What the shop tells of its instruments, as a page hears it. */
class Source {
  static all: Source[] = []
  static get last(): Source {
    return Source.all.at(-1) as Source
  }
  readonly #heard = new Map<string, (event: { data: string }) => void>()
  isClosed = false
  onerror: () => void = () => undefined
  constructor(readonly url: string) {
    Source.all.push(this)
  }
  addEventListener(name: string, hear: (event: { data: string }) => void): void {
    this.#heard.set(name, hear)
  }
  close(): void {
    this.isClosed = true
  }
  tell(name: string, data: object): void {
    this.#heard.get(name)?.({ data: JSON.stringify(data) })
  }
  state(is: InstrumentState['is'] = 'connected'): void {
    this.tell('states', { states: [{ instrument: 'm', name: 'multimeter', is }] })
  }
  show(...values: number[]): void {
    for (const value of values) {
      at += 200
      const reading: InstrumentReading = {
        instrument: 'm',
        name: 'multimeter',
        function: 'VOLT:AC',
        unit: 'V',
        value,
        error: 1.5,
        at,
      }
      this.tell('readings', { readings: [reading] })
    }
  }
}
let at = 0
const STILL = [236, 236.1, 235.9, 236] as const
const volts = { check: 'supply-voltage' }

beforeEach(() => {
  Source.all = []
  vi.stubGlobal('EventSource', Source)
  setActivePinia(createPinia())
})

function listening() {
  const instruments = useInstruments()
  instruments.listen(volts)
  Source.last.state()
  return instruments
}

describe('instruments at a visit', () => {
  it('offer what stands still and is asked for, and ask for what it is read with', () => {
    const instruments = listening()
    expect(Source.last.url).toBe('/api/instruments/live?want=VOLT%3AAC')
    Source.last.show(12, 200, 236)
    expect(instruments.offered).toBeUndefined()
    Source.last.show(...STILL)
    expect(instruments.offered).toMatchObject({
      finding: { check: 'supply-voltage', value: 236, error: 1.5 },
      source: 'multimeter, steady',
    })
    instruments.stop()
    expect(Source.last.isClosed).toBe(true)
    expect(instruments.offered).toBeUndefined()
  })
  it('what was taken is not offered again, for the next check neither, until something else is on the leads', () => {
    const instruments = listening()
    Source.last.show(...STILL)
    instruments.settle()
    expect(instruments.offered).toBeUndefined()
    instruments.listen({ check: 'outlet-voltage' })
    Source.last.state()
    Source.last.show(...STILL)
    expect(instruments.offered).toBeUndefined()
    Source.last.show(0, 118, 118, 118.1, 118)
    expect(instruments.offered).toMatchObject({ finding: { check: 'outlet-voltage', value: 118 } })
  })
  it('what stood there before it was asked for is read anew', () => {
    const instruments = listening()
    Source.last.show(...STILL)
    instruments.listen({ check: 'outlet-voltage' })
    expect(instruments.offered).toBeUndefined()
    expect(Source.all[0]?.isClosed).toBe(true)
  })
  it('of another unit, away, or cut off, offer nothing', () => {
    const instruments = listening()
    instruments.listen({ check: 'capacitance', part: 'run-capacitor' })
    Source.last.state()
    Source.last.show(...STILL)
    expect(instruments.offered).toBeUndefined()
    instruments.listen(volts)
    Source.last.state()
    Source.last.show(...STILL)
    expect(instruments.offered).toBeDefined()
    Source.last.state('away')
    expect(instruments.offered).toBeUndefined()
    Source.last.state()
    Source.last.show(...STILL)
    Source.last.onerror()
    expect(instruments.offered).toBeUndefined()
    instruments.stop()
  })
})
