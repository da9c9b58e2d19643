import { readAsked, readSpec } from '../core/fits/read-spec'
import { familyOf } from '../core/knowledge/fits/families'
import type { Condition } from '../core/knowledge/shelf/moves'
import { DEFAULT_RATES } from '../core/knowledge/shop/rates'
import type { Idea } from '../core/knowledge/practice/harms'
import type { Construction, Gate, Kind, Part, Stage } from '../core/knowledge/vocabulary'
import { completePlate, type Installation, type Nameplate } from '../core/motor/nameplate'
import type { TakeDownStep } from '../core/takedown/plan'
import { repairSteps } from '../core/takedown/step-plan'
import {
  ENTRY_VERSION,
  type CourseSet,
  type Customer,
  type Entry,
  type EntryBodies,
  type EntryKind,
  type Machine,
  type NewPart,
  type PracticeTried,
  type Site,
} from '../core/visit/entry'
import { machineAfter } from '../core/visit/fitted'
import { pumpOf } from '../core/visit/fold'
import { understand } from '../core/language/understand'
import customersData from './data/customers.json'
import historyData from './data/history.json'
import machinesData from './data/machines.json'
import sitesData from './data/sites.json'
import practiceData from './data/practice.json'
import shelfData from './data/shelf.json'
import shopData from './data/shop.json'
import todayData from './data/today.json'
import waitingData from './data/waiting.json'

interface MachineRow {
  key: string
  customer: string
  name: string
  kind: Kind
  construction: Construction
  ageYears: number
  warrantyDays?: number
  plateUnreadable?: boolean
  nameplate: Nameplate
  installation: Installation
}
interface PracticeRows {
  course: Pick<CourseSet, 'title' | 'cases' | 'note'>
  tries: (Omit<PracticeTried, 'ended' | 'marks'> & {
    daysAgo: number
    by: string
    marks: Partial<Record<Idea, [right: number, of: number]>>
  })[]
}
interface ShelfRows {
  suppliers: {
    name: string
    service?: string
    freight?: number
    freeFrom?: number
    minimum?: number
    leadDays: number
    /** What it asks, as a multiple of what the shop reckons with; and of how many articles it sells one. */
    times: number
    sells: number
  }[]
  order: { daysAgo: number; comesIn: number; lines: Record<string, number> }
  articles: {
    name: string
    part?: Part
    price: number
    condition?: Condition
    note?: string
    /** Months until what lies is too old. */
    monthsLeft?: number
    /** By a van’s id, or a place. */
    at: Record<string, number>
  }[]
  counted: { name: string; van: string; counted: number }
}
interface Story {
  machine: string
  says: string
  complaints: string[]
  replaced?: string[]
  lines: string[]
  prove?: string[]
  option?: string
  confirmed?: string
  watch?: string
  price?: number
}
interface PastVisit extends Story {
  daysAgo: number
  /** New parts by what identifies them. */
  fitted?: NewPart[]
}
/** What was promised, as hours of a day so many days ahead. */
interface Promised {
  days?: number
  from?: string
  until?: string
  partsAt?: string
  people?: number
  minutes?: number
}
interface WaitingCall extends Pick<Story, 'machine' | 'says' | 'complaints'> {
  hoursAgo: number
  promised?: Promised
}
interface TodayVisit extends Story {
  time: string
  minutes: number
  /** Whose tour it is in. */
  van?: string
  promised?: Promised
  stages: Stage[]
  gates: Gate[]
  skips?: string[]
  stepsDone?: boolean
}

/** The made-up customers pay after so many days. */
const PAID_AFTER_DAYS = 12
const DAY = 24 * 3600 * 1000
const MINUTE = 60_000
/** When the made-up technicians were last at what they left half done: so long before midnight. */
const YESTERDAY_EVENING = 9 * 60
const AUTHOR = 'Lantern'

/**
 * The made-up shop's whole journal, its dates hung on the day of seeding.
 *
 * Histories are written in the reading line's own shorthand and understood by it, so the demo can hold nothing that a
 * technician could not type.
 *
 * @param today any instant of the day that is to be "today"; local midnight is taken from it
 */
export function demoEntries(today: Date): Entry[] {
  const writer = new Writer(today)
  writer.write(null, 'shop-set', writer.midnight - 6 * 365 * DAY, {
    ...(shopData as Omit<EntryBodies['shop-set'], 'rates'>),
    rates: { ...DEFAULT_RATES, ...(shopData.rates as EntryBodies['shop-set']['rates']) },
  })
  // Oldest first, so that each visit finds the machine as the one before left it.
  const past = (historyData as PastVisit[]).toSorted((a, b) => b.daysAgo - a.daysAgo)
  for (const visit of past) writer.past(visit)
  writer.sites(sitesData)
  for (const visit of todayData as unknown as TodayVisit[]) writer.today(visit)
  writer.orders()
  writer.practised(practiceData as unknown as PracticeRows)
  writer.shelves(shelfData as unknown as ShelfRows)
  for (const call of waitingData as WaitingCall[]) writer.waiting(call)
  // In the order in which they would have arrived.
  return writer.entries.sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1))
}

class Writer {
  readonly entries: Entry[] = []
  readonly midnight: number
  private readonly now: number
  private count = 0
  private readonly tours = new Map<string, string[]>()
  private readonly machines: Map<string, { machine: Machine; customer: Customer }>
  private readonly customers: Map<string, Customer>

  constructor(today: Date) {
    this.now = today.getTime()
    this.midnight = new Date(today.getFullYear(), today.getMonth(), today.getDate()).getTime()
    this.customers = new Map(
      (customersData as { key: string; name: string; place: string; phone: string }[]).map(
        ({ key, name, place, phone }, index): [string, Customer] => [
          key,
          { id: fixedId(1, index), name, place, phone },
        ],
      ),
    )
    this.machines = new Map(
      (machinesData as unknown as MachineRow[]).map((row, index) => {
        const customer = this.customers.get(row.customer) as Customer
        const { kind, construction, name, nameplate, installation, plateUnreadable } = row
        const machine: Machine = {
          id: fixedId(2, index),
          customerId: customer.id,
          name,
          kind,
          construction,
          nameplate,
          installation,
          installedOn: this.date(this.midnight - row.ageYears * 365 * DAY),
          ...(row.warrantyDays ? { warrantyUntil: this.date(this.midnight + row.warrantyDays * DAY) } : {}),
          ...(plateUnreadable ? { plateUnreadable } : {}),
        }
        return [row.key, { machine, customer }]
      }),
    )
  }

  private date(instant: number): string {
    return new Date(instant + 12 * 3600 * 1000).toISOString().slice(0, 10)
  }

  write<K extends EntryKind>(
    visitId: string | null,
    kind: K,
    at: number,
    body: EntryBodies[K],
    author: string = AUTHOR,
  ): void {
    this.entries.push({
      id: timedId(at, this.count++),
      v: ENTRY_VERSION,
      visitId,
      kind,
      at: new Date(at).toISOString(),
      author,
      body,
    } as unknown as Entry)
  }

  /** A visit of earlier years: looked at, perhaps repaired, handed over. */
  past(visit: PastVisit): void {
    let at = this.midnight - visit.daysAgo * DAY + 9 * 60 * MINUTE
    const next = () => (at += 4 * MINUTE)
    const { visitId, machine } = this.open(visit, at, 60, at - 2 * DAY)
    for (const line of visit.lines) this.line(visitId, machine, line, 'test', next())
    if (visit.confirmed) this.write(visitId, 'cause-said', next(), { fault: visit.confirmed, verdict: 'it-was-this' })
    if (visit.option) at = this.repair(visitId, machine, visit.option, next())
    for (const part of visit.fitted ?? []) this.fit(visitId, machine, part, next())
    for (const line of visit.prove ?? []) this.line(visitId, machine, line, 'prove', next())
    for (const stage of ['call', 'prepare', 'safe', 'test', 'decide', 'repair', 'prove', 'hand-over'] as const)
      this.write(visitId, 'joint-done', stage === 'call' ? at - 2 * DAY : next(), { joint: stage })
    const price = visit.option ? 210 : 96
    const { trip } = shopData.rates
    this.write(visitId, 'handed-over', next(), {
      watch: visit.watch ?? '',
      nextDate: this.date(at + 365 * DAY),
      price,
      lines: [
        { label: 'Work', amount: price - trip, kind: 'work' },
        { label: 'Journey', amount: trip, kind: 'journey' },
      ],
    })
    const paidAt = at + PAID_AFTER_DAYS * DAY
    if (paidAt < this.midnight)
      this.write(visitId, 'paid', paidAt, { amount: price, on: this.date(paidAt), how: 'transfer' })
  }

  /** What the made-up shop knows of the ways in, written down a year ago. */
  sites(rows: readonly (Omit<Site, 'id' | 'customerId'> & { customer: string })[]): void {
    for (const [index, { customer, ...known }] of rows.entries()) {
      const customerId = this.customers.get(customer)?.id
      if (!customerId) throw new Error(`no customer of the demo is called ${customer}`)
      const id = known.address === undefined ? customerId : fixedId(3, index)
      this.write(null, 'site-set', this.midnight - 365 * DAY + index * MINUTE, { site: { id, customerId, ...known } })
    }
  }

  /** A new part in its place: the next visit finds the machine with it. */
  private fit(visitId: string, machine: Machine, part: NewPart, at: number): void {
    this.write(visitId, 'fitted', at, part)
    const known = [...this.machines].find(([, each]) => each.machine.id === machine.id) as [
      string,
      { machine: Machine; customer: Customer },
    ]
    this.machines.set(known[0], {
      ...known[1],
      machine: machineAfter(known[1].machine, [this.entries.at(-1) as Entry]),
    })
  }

  /** A visit of today, at the stage where its work stands. */
  today(visit: TodayVisit): void {
    const [hours, minutes] = visit.time.split(':').map(Number) as [number, number]
    const scheduled = this.midnight + (hours * 60 + minutes) * MINUTE
    const isDone = visit.stages.includes('hand-over')
    // Whatever is half done was begun yesterday, and goes on today.
    const isBegun = visit.gates.length > 0 && !isDone
    const called = this.midnight - (isBegun ? 20 : 8) * 60 * MINUTE
    const { visitId, machine } = this.open(visit, scheduled - (isBegun ? DAY : 0), visit.minutes, called)
    this.tours.set(visit.van ?? 'van-1', [...(this.tours.get(visit.van ?? 'van-1') ?? []), visitId])
    this.arrange(visitId, called + 2 * MINUTE, visit.promised)
    // What is already written was written before now, whenever the demo is opened.
    const steps = 60
    const start = isBegun
      ? this.midnight - YESTERDAY_EVENING * MINUTE
      : Math.min(scheduled, this.now - steps * 2 * MINUTE)
    let turn = 0
    const next = () => start + Math.min(turn++, steps) * 2 * MINUTE
    const done = (stage: Stage) => {
      if (visit.stages.includes(stage))
        this.write(visitId, 'joint-done', stage === 'call' ? called + 5 * MINUTE : next(), { joint: stage })
    }
    done('call')
    done('prepare')
    for (const gate of visit.gates)
      this.write(visitId, 'gate', next(), {
        gate,
        shut: true,
        ...(gate === 'proved-dead'
          ? {
              lines: [
                { line: 'line 1 to ground', volts: 0 },
                { line: 'line 2 to ground', volts: 0 },
                { line: 'line to line', volts: 0.2 },
              ],
            }
          : {}),
      })
    done('safe')
    for (const line of visit.lines) this.line(visitId, machine, line, 'test', next())
    for (const check of visit.skips ?? []) this.write(visitId, 'check-skipped', next(), { check })
    done('test')
    if (visit.option) this.decide(visitId, machine, visit.option, next, visit.stepsDone === true)
    done('decide')
    done('repair')
    for (const line of visit.prove ?? []) this.line(visitId, machine, line, 'prove', next())
    done('prove')
    done('hand-over')
    if (isBegun) this.write(visitId, 'planned', next(), { at: new Date(scheduled).toISOString(), goesOn: true })
    if (isDone)
      this.write(visitId, 'handed-over', next(), {
        watch: visit.watch ?? '',
        nextDate: this.date(this.midnight + 180 * DAY),
        price: visit.price ?? 96,
      })
  }

  /** The tours of today, in the order in which they were written down yesterday. */
  orders(): void {
    for (const [van, visits] of this.tours)
      this.write(null, 'day-order', this.midnight - 60 * MINUTE, { on: this.date(this.midnight), van, visits })
  }

  /** What came of the tries of two of its people at practice pumps, and the course that is set. */
  practised({ course, tries }: PracticeRows): void {
    this.write(null, 'course-set', this.midnight - 35 * DAY, { course: fixedId(7, 1), for: [], ...course })
    for (const { daysAgo, by, marks, ...tried } of tries)
      this.write(
        null,
        'practice-tried',
        this.midnight - daysAgo * DAY + 17 * 60 * MINUTE,
        {
          ...tried,
          ended: 'handed-over',
          marks: (Object.keys(marks) as Idea[]).map((idea) => {
            const [right, of] = marks[idea] as [number, number]
            return { idea, right, of }
          }),
        },
        by,
      )
  }

  /** What lies in the bays and the vans, and a count that came out otherwise. */
  shelves({ articles, counted, suppliers, order }: ShelfRows): void {
    const received = this.midnight - 40 * DAY + 8 * 60 * MINUTE
    for (const [index, { name, part, price, condition, note, monthsLeft, at }] of articles.entries()) {
      const id = fixedId(8, index)
      const family = part === undefined ? readAsked(name)?.family : familyOf(part)
      const said = {
        id,
        name,
        ...(part ? { part } : {}),
        ...(condition ? { condition } : {}),
        ...(note ? { note } : {}),
      }
      this.write(null, 'article-set', received + index * MINUTE, {
        article: {
          ...said,
          ...(family ? { family } : {}),
          spec: family ? readSpec(family, name) : {},
          price: Math.round(price * 100),
          // Two of three were asked for lately.
          pricedOn: this.date(this.midnight - (index % 3 === 0 ? 140 : 30) * DAY),
        },
      })
      for (const [place, count] of Object.entries(at))
        this.write(null, 'stock-moved', received + (60 + index) * MINUTE, {
          article: id,
          count,
          from: condition ? 'machine' : 'supplier',
          to: place.startsWith('van-') ? `van:${place}` : (place as `bay:${string}`),
          why: condition ? 'kept' : 'received',
          ...(monthsLeft === undefined ? {} : { until: this.date(this.midnight + monthsLeft * 30 * DAY) }),
        })
    }
    const article = fixedId(
      8,
      articles.findIndex(({ name }) => name === counted.name),
    )
    this.write(null, 'stock-counted', this.midnight - 3 * DAY + 7 * 60 * MINUTE, {
      article,
      place: `van:${counted.van}`,
      counted: counted.counted,
    })
    this.buying(articles, suppliers, order)
  }

  /** Whom the shop buys from, what that costs, and an order that is under way. */
  private buying(articles: ShelfRows['articles'], suppliers: ShelfRows['suppliers'], order: ShelfRows['order']): void {
    const at = this.midnight - 30 * DAY
    const cents = (amount: number) => Math.round(amount * 100)
    const fresh = articles.flatMap(({ name, price, condition }, index) => (condition ? [] : [{ name, price, index }]))
    for (const [who, { name, service, freight, freeFrom, minimum, leadDays, times, sells }] of suppliers.entries()) {
      const supplier = fixedId(9, who)
      this.write(null, 'supplier-set', at, {
        supplier: {
          id: supplier,
          name,
          leadDays,
          ...(service ? { service } : {}),
          ...(freight ? { freight: cents(freight) } : {}),
          ...(freeFrom ? { freeFrom: cents(freeFrom) } : {}),
          ...(minimum ? { minimum: cents(minimum) } : {}),
        },
      })
      for (const { price, index } of fresh.filter((each) => each.index % sells === 0)) {
        const asked = cents(price * times)
        this.write(null, 'offer-set', at + (index + 1) * MINUTE, {
          offer: {
            article: fixedId(8, index),
            supplier,
            code: `${name.slice(0, 1)}-${String(101 + index)}`,
            prices: [
              { from: 1, price: asked },
              ...(price < 30 ? [{ from: 10, price: cents(price * times * 0.88) }] : []),
            ],
            pricedOn: this.date(at),
          },
        })
      }
    }
    const id = fixedId(9, suppliers.length)
    const placed = this.midnight - order.daysAgo * DAY + 16 * 60 * MINUTE
    this.write(null, 'order-placed', placed, {
      order: id,
      supplier: fixedId(9, 0),
      number: `${this.date(this.midnight).slice(2, 4)}-1`,
      lines: Object.entries(order.lines).map(([name, count], line) => {
        const { index, price } = fresh.find((each) => each.name === name) as (typeof fresh)[number]
        return { line: line + 1, article: fixedId(8, index), count, code: `W-${101 + index}`, price: cents(price) }
      }),
    })
    this.write(null, 'order-moved', placed + 20 * MINUTE, {
      order: id,
      to: 'confirmed',
      expectedOn: this.date(this.midnight + order.comesIn * DAY),
    })
  }

  /** A call that has no day yet. */
  waiting({ hoursAgo, promised, ...call }: WaitingCall): void {
    const called = this.now - hoursAgo * 60 * MINUTE
    const { visitId } = this.open({ ...call, lines: [] }, called, 60, called)
    this.write(visitId, 'planned', called + 2 * MINUTE, {})
    this.arrange(visitId, called + 3 * MINUTE, promised)
  }

  private arrange(visitId: string, at: number, promised?: Promised): void {
    if (!promised) return
    const { days = 0, from, until, partsAt, ...needs } = promised
    const hour = (text: string) => {
      const [hours, minutes] = text.split(':').map(Number) as [number, number]
      return new Date(this.midnight + days * DAY + (hours * 60 + minutes) * MINUTE).toISOString()
    }
    this.write(visitId, 'arranged', at, {
      ...(from ? { from: hour(from) } : {}),
      ...(until ? { until: hour(until) } : {}),
      ...(partsAt ? { partsAt: hour(partsAt) } : {}),
      ...needs,
    })
  }

  private open(
    visit: Story,
    scheduled: number,
    plannedMinutes: number,
    called: number,
  ): { visitId: string; machine: Machine } {
    const known = this.machines.get(visit.machine)
    if (!known) throw new Error(`no machine of the demo is called ${visit.machine}`)
    const visitId = timedId(called, this.count++)
    this.write(visitId, 'visit-opened', called, {
      ...known,
      scheduledAt: new Date(scheduled).toISOString(),
      plannedMinutes,
      callerSays: visit.says,
    })
    if (visit.complaints.length > 0)
      this.write(visitId, 'call', called + MINUTE, {
        complaints: visit.complaints,
        alreadyReplaced: visit.replaced ?? [],
        callerSays: visit.says,
      })
    return { visitId, machine: known.machine }
  }

  private decide(visitId: string, machine: Machine, option: string, next: () => number, stepsDone: boolean): void {
    this.write(visitId, 'decision', next(), { option })
    if (stepsDone) for (const step of stepsOf(machine, option)) this.step(visitId, step, next())
  }

  /** Ticked at the made-up shop's own pace, which differs from step to step as a person's does. */
  private repair(visitId: string, machine: Machine, option: string, from: number): number {
    this.write(visitId, 'decision', from, { option })
    return stepsOf(machine, option).reduce((at, step, index) => {
      const done = at + step.minutes * (0.75 + 0.13 * ((index * 7 + step.id.length * 3) % 6)) * MINUTE
      this.step(visitId, step, done)
      return done
    }, from)
  }

  private step(visitId: string, { id, count, estimate, asks }: TakeDownStep, at: number): void {
    this.write(visitId, 'step', at, {
      step: id,
      done: true,
      ...(count === undefined ? {} : { count }),
      ...(asks?.[0] ? { answer: asks[0].id } : {}),
      estimate,
    })
  }

  private line(visitId: string, machine: Machine, line: string, stage: 'test' | 'prove', at: number): void {
    const plate = completePlate(pumpOf(machine, new Date(at).toISOString()))
    const understood = understand(line, {
      kind: machine.kind,
      plate,
      printed: machine.nameplate,
      standing: 'installed',
      gates: new Set(),
    })
    const { findings, other, ask, note } = understood
    const left = other.find((each) => each.is === 'left')
    if (left?.is === 'left') this.write(visitId, 'note', at, { text: left.text, seenAndLeft: true })
    else if (note !== null && line.startsWith('note'))
      this.write(visitId, 'note', at, { text: note, seenAndLeft: false })
    else if (ask || findings.length === 0 || other.length > 0)
      throw new Error(`the demo line “${line}” is not understood: ${JSON.stringify(understood)}`)
    for (const finding of findings) this.write(visitId, 'finding', at, { ...finding, stage })
  }
}

function stepsOf(machine: Machine, option: string): readonly TakeDownStep[] {
  const { kind, construction } = machine
  const { motorType } = completePlate({ kind, construction, nameplate: machine.nameplate })
  return repairSteps(kind, construction, option, { motorType })?.steps ?? []
}

/** An id that is the same at every seeding. */
function fixedId(group: number, index: number): string {
  return `0197a000-000${group}-7000-8000-${index.toString(16).padStart(12, '0')}`
}

/** A UUIDv7 of an instant with a counter for its random part: the same day seeds the same ids. */
function timedId(at: number, index: number): string {
  const time = Math.floor(at).toString(16).padStart(12, '0')
  const hex = (number: number, digits: number) => number.toString(16).padStart(digits, '0')
  return `${time.slice(0, 8)}-${time.slice(8)}-7${hex(index % 4096, 3)}-8000-${hex(index, 12)}`
}
