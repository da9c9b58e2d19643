import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ENTRY_VERSION, type Entry, type EntryBodies, type EntryKind } from './entry'
import { foldVisit } from './fold'
import { liftJournal } from './lift'
import { opened } from './test-journal'
import { TestDevice } from './test-device'

const DEVICES = 3

/** What happens in a history, told by small numbers, so that what fails can be made shorter. */
type Happening =
  | { is: 'writes'; device: number; what: number; on: number }
  /** Lines reach the shop; the answer may be lost on the way back, and they are sent again. */
  | { is: 'sends'; device: number; most: number; answered: boolean }
  /** Some of what the shop has reaches the device, in any order, some of it twice. */
  | { is: 'hears'; device: number; skip: number; most: number }
  /** What was not kept is gone: the page, not the device's store. */
  | { is: 'breaks'; device: number }

const SAID: ((on: number) => { [K in EntryKind]: [K, EntryBodies[K]] }[EntryKind])[] = [
  (on) => ['finding', { check: 'supply-voltage', value: 220 + on, unit: 'V', stage: 'test' }],
  (on) => ['decision', { option: on % 2 ? 'run-capacitor-replace' : 'motor-replace' }],
  (on) => ['gate', { gate: 'power-off', shut: on % 2 === 0 }],
  (on) => ['step', { step: on % 2 ? 'down:volute' : 'back:volute', done: true, count: 6 + (on % 3) }],
  (on) => ['cause-said', { fault: 'bearings-worn', verdict: on % 2 ? 'not-this' : 'it-was-this' }],
  (on) => ['job', { job: 'run-capacitor-replace', state: on % 2 ? 'agreed' : 'left' }],
  (on) => ['note', { text: `note ${on}`, seenAndLeft: false }],
  (on) => ['arranged', { minutes: 30 + on }],
]
/** Beside plain lines: the newest finding corrected, taken back, a conflict settled. */
const ACTS = SAID.length + 3

/** The shop's server: it takes a line once, and keeps it. */
class Shop {
  arrived: Entry[]
  constructor(first: Entry) {
    this.arrived = [first]
  }
  accept(lines: readonly Entry[]): void {
    const known = new Set(this.arrived.map(({ id }) => id))
    this.arrived = [...this.arrived, ...lines.filter(({ id }) => !known.has(id))]
  }
}

class Phone {
  private page: TestDevice
  /** What its own store holds: the journal as it was known, and what the shop has not acknowledged. */
  private readonly stored: Map<string, Entry>
  readonly waiting = new Map<string, Entry>()
  readonly kept: Entry[] = []

  constructor(
    private readonly name: string,
    first: Entry,
    private readonly offBy: number,
  ) {
    this.stored = new Map([[first.id, first]])
    this.page = new TestDevice(name, [first], offBy)
  }
  get journal(): readonly Entry[] {
    return this.page.journal
  }
  writes(what: number, on: number): void {
    for (const entry of this.said(what, on)) {
      this.kept.push(entry)
      this.stored.set(entry.id, entry)
      this.waiting.set(entry.id, entry)
    }
  }
  private said(what: number, on: number): Entry[] {
    const plain = SAID[what]
    if (plain) return [this.page.write(...(plain(on) as ['note', EntryBodies['note']]))]
    const state = foldVisit(this.journal)
    if (what === SAID.length + 2) {
      const [conflict] = state?.conflicts ?? []
      const chosen = conflict?.claims[on % conflict.claims.length]
      if (!conflict || !chosen || chosen.takenBack) return []
      const others = conflict.claims.filter((claim) => claim !== chosen).map(({ entry }) => entry)
      return [this.page.write(chosen.entry.kind, chosen.entry.body as never, chosen.entry, others)]
    }
    const newest = state?.entries.findLast(({ kind }) => kind === 'finding')
    if (!newest) return []
    return what === SAID.length
      ? [this.page.write('finding', { check: 'supply-voltage', value: 200 + on, unit: 'V', stage: 'test' }, newest)]
      : [this.page.write('retracted', {}, newest)]
  }
  sends(shop: Shop, most: number, answered: boolean): void {
    const batch = [...this.waiting.values()].slice(0, most)
    shop.accept(batch)
    if (answered) for (const { id } of batch) this.waiting.delete(id)
  }
  hears(shop: Shop, skip: number, most: number): void {
    const lines = liftJournal(shop.arrived).slice(skip, skip + most)
    const heard = [...lines.toReversed(), ...lines.slice(0, 1)]
    for (const entry of heard) this.stored.set(entry.id, entry)
    this.page.take(heard)
  }
  breaks(): void {
    this.page = new TestDevice(this.name, [...this.stored.values()], this.offBy)
  }
}

const device = fc.nat(DEVICES - 1)
const happening: fc.Arbitrary<Happening> = fc.oneof(
  {
    weight: 5,
    arbitrary: fc.record({ is: fc.constant('writes' as const), device, what: fc.nat(ACTS - 1), on: fc.nat(9) }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      is: fc.constant('sends' as const),
      device,
      most: fc.integer({ min: 1, max: 6 }),
      answered: fc.boolean(),
    }),
  },
  { weight: 2, arbitrary: fc.record({ is: fc.constant('hears' as const), device, skip: fc.nat(6), most: fc.nat(12) }) },
  { weight: 1, arbitrary: fc.record({ is: fc.constant('breaks' as const), device }) },
)

/** A state as text: its maps and sets by their order, which is part of what is equal. */
const asText = (value: unknown) =>
  JSON.stringify(value, (_, each: unknown) => (each instanceof Map || each instanceof Set ? [...each] : each))

describe('devices that write without seeing each other', () => {
  it('are all equal in the end, with every line that one of them kept, once, in 10,000 histories', () => {
    let conflicts = 0
    fc.assert(
      fc.property(
        fc.array(happening, { minLength: 4, maxLength: 24 }),
        fc.array(fc.integer({ min: -30, max: 30 }), { minLength: DEVICES, maxLength: DEVICES }),
        (history, clocks) => {
          const first = opened()
          const shop = new Shop({ ...first, v: ENTRY_VERSION, lamport: 1, seen: [] } as Entry)
          const phones = clocks.map((offBy, index) => new Phone(`phone ${index}`, shop.arrived[0] as Entry, offBy))
          for (const each of history) {
            const phone = phones[each.device] as Phone
            if (each.is === 'writes') phone.writes(each.what, each.on)
            else if (each.is === 'sends') phone.sends(shop, each.most, each.answered)
            else if (each.is === 'hears') phone.hears(shop, each.skip, each.most)
            else phone.breaks()
          }
          for (const phone of phones) phone.sends(shop, phone.waiting.size, true)
          for (const phone of phones) phone.hears(shop, 0, shop.arrived.length)
          const atShop = liftJournal(shop.arrived)
          expect(new Set(atShop.map(({ id }) => id)).size).toBe(atShop.length)
          expect(atShop.map(({ id }) => id)).toEqual(
            expect.arrayContaining(phones.flatMap(({ kept }) => kept.map(({ id }) => id))),
          )
          const state = foldVisit(atShop)
          conflicts += state?.conflicts.length ?? 0
          const text = asText(state)
          for (const phone of phones) expect(asText(foldVisit(phone.journal))).toBe(text)
        },
      ),
      { numRuns: 10_000 },
    )
    // Histories without a disagreement would show nothing.
    expect(conflicts).toBeGreaterThan(1_000)
  })
})
