import type { KeptVisit } from '#core/pumps/device-window'
import { orderDay } from '#core/planning/day'
import { asStops, journeyAround } from '#core/planning/stops'
import { cardOf } from '#core/pumps/card'
import { customerLines, machineLines, SEARCH_GROUPS, type SearchLine } from '#core/pumps/search-lines'
import { askedWords } from '#core/pumps/words'
import { groupedBy } from '#core/quantity/grouped'
import type { Entry } from '#core/visit/entry'
import { mergedJournal } from '#core/visit/merged'
import { machineStates } from '#core/visit/machine-states'
import { ofKind } from '#core/visit/of-kind'
import { ordersOf } from '#core/visit/schedule'
import { liveEntries } from '#core/visit/supersession'
import { DAY_LISTS, dayVisitOf, listsOf, toldVisitOf, type VisitRow } from '#core/visit/visit-row'
import { partOf, shopOf } from '#core/visit/visit-view'
import type { DeviceStore } from './device-store'
import { openedHere, withLines } from './kept-visit'
import type { PumpsFound } from './pumps-found'
import type { CardView, CustomerView, MachineView } from './register-views'

/** What the shop would say, worked out from what this device keeps and from what waits on it. */
export class DeviceAnswers {
  /** Lines that what was read of the shop may not have, in the order of their journals. */
  private waiting: readonly Entry[] = []

  /** @param pending lines that the shop has not acknowledged */
  constructor(
    private readonly store: DeviceStore,
    private readonly pending: () => readonly Entry[],
    private readonly now: () => string,
  ) {}

  /**
   * An answer to what would be asked of the shop.
   *
   * @param path with what is asked
   * @returns nothing where that is not on this device
   */
  async answer(path: string): Promise<object | undefined> {
    const { pathname, searchParams } = new URL(path, 'http://shop')
    this.waiting = mergedJournal(await this.store.sent(), this.pending())
    const [what = '', id, of] = pathname.replace(/^\/api\//, '').split('/')
    if (what === 'visits' && id && !of) return this.visit(id)
    if (what === 'day' && !id) return this.day(Object.fromEntries(searchParams))
    if (what === 'plan') return this.store.fact<object>(`plan:${searchParams.get('on')}`)
    if (what === 'machines' && id && of === 'card') return this.card(id)
    if (what === 'customers' && id && !of) return this.customer(id)
    if (what === 'pumps') return this.pumps(searchParams.get('q') ?? '', searchParams.get('what') ?? undefined)
    if (what === 'shop') return this.shopPage()
    return undefined
  }

  private async visit(id: string): Promise<object | undefined> {
    const all = await this.all()
    const own = all.find(({ row }) => row.id === id)
    if (!own) return undefined
    const journey = journeyAround(
      own.row,
      all.map(({ row }) => row).filter(({ customer }) => customer.id === own.row.customer.id),
    )
    const part = (kept: KeptVisit) => partOf({ ...kept, visitId: kept.row.id })
    return {
      ...part(own),
      shop: await this.shop(),
      ...(own.site ? { site: own.site } : {}),
      journey: journey
        .filter((row) => row.id !== id)
        .flatMap((row) => {
          const kept = all.find((each) => each.row.id === row.id)
          return kept ? [part(kept)] : []
        }),
    }
  }

  private async day({
    from = '',
    to = '',
    on = from.slice(0, 10),
  }: Record<string, string>): Promise<object | undefined> {
    const window = await this.store.window()
    const span = { from: new Date(from).toISOString(), to: new Date(to).toISOString() }
    // A day of which nothing is known is not an empty one.
    if (!window || span.from < window.from || span.to > window.to) return undefined
    const all = (await this.all()).sort(
      (a, b) => (a.row.scheduledAt < b.row.scheduledAt ? -1 : 1) || (a.row.id < b.row.id ? -1 : 1),
    )
    const [visits = [], waiting = [], left = []] = DAY_LISTS.map((list) =>
      all
        .filter(({ row }) => listsOf(row, span).includes(list))
        .map(({ row, lastReadings }) => dayVisitOf(row, lastReadings)),
    )
    return {
      visits: orderDay(asStops(visits)),
      waiting: asStops(waiting),
      left: orderDay(asStops(left)),
      orders: ordersOf(liveEntries(await this.shopLines()), on),
      shop: await this.shop(),
      now: this.now(),
      empty: false,
    }
  }

  /** A machine's card: as the shop last told it, or of what was opened here; with what was corrected here. */
  private async card(id: string): Promise<object | undefined> {
    const written = this.register()
    const told = (await this.store.card(id)) as CardView | undefined
    const view = told ?? (await this.cardHere(id))
    if (!view) return undefined
    const { card, others } = view
    return {
      ...view,
      card: {
        ...card,
        machine: written.machines.get(card.machine.id) ?? card.machine,
        customer: written.customers.get(card.customer.id) ?? card.customer,
      },
      others: others.map((other) => ({ ...other, machine: written.machines.get(other.machine.id) ?? other.machine })),
    }
  }
  private async cardHere(id: string): Promise<CardView | undefined> {
    const own = (await this.all()).filter(({ row }) => row.machineId === id)
    const last = own.at(-1)?.row
    if (!last) return undefined
    const { machine, customer } = last
    return {
      card: cardOf({ machine, customer, states: machineStates(own.map(({ entries }) => entries)), now: this.now() }),
      sites: [],
      merged: [],
      others: [],
      open: own.filter(({ row }) => isOpen(row)).map(({ row }) => row.id),
      shop: await this.shop(),
      now: this.now(),
    }
  }

  private async customer(id: string): Promise<object | undefined> {
    const told = (await this.store.customer(id)) as CustomerView | undefined
    const view = told ?? this.customerHere(id, await this.all())
    return view && this.withWritten(view)
  }
  private withWritten(view: CustomerView): CustomerView {
    const written = this.register()
    return {
      ...view,
      customer: written.customers.get(view.customer.id) ?? view.customer,
      machines: view.machines.map((each) => ({
        ...each,
        machine: written.machines.get(each.machine.id) ?? each.machine,
      })),
    }
  }
  /** Somebody whom the shop has not told of: what visits and lines that wait here say of them. */
  private customerHere(id: string, all: readonly KeptVisit[]): CustomerView | undefined {
    const rows = all.map(({ row }) => row).filter(({ customer }) => customer.id === id)
    const customer = rows.at(-1)?.customer ?? this.register().customers.get(id)
    if (!customer) return undefined
    const machines = [...groupedBy(rows, ({ machineId }) => machineId).values()].flatMap((own): MachineView[] => {
      const last = own.at(-1)
      return last ? [{ machine: last.machine, customerId: id, visits: own.length, lastVisit: last.scheduledAt }] : []
    })
    return {
      customer,
      sites: [],
      machines,
      twins: [],
      merged: [],
      open: rows.filter(isOpen).map((row) => row.id),
      visits: rows.toReversed().map(toldVisitOf),
    }
  }

  /** What was said of customers and machines here, and what was read of the shop may not have. */
  private register() {
    const { waiting } = this
    return {
      machines: new Map(ofKind(waiting, 'machine-set').map(({ body }) => [body.machine.id, body.machine] as const)),
      customers: new Map(ofKind(waiting, 'customer-set').map(({ body }) => [body.customer.id, body.customer] as const)),
    }
  }

  private async pumps(q: string, what?: string): Promise<PumpsFound> {
    const views = await this.customers()
    const words = askedWords(q)
    const lines = views.flatMap(({ customer, sites, machines }) => [
      ...customerLines(customer, sites),
      ...machines.flatMap(({ machine }) => {
        const site = sites.find(({ id }) => id === (machine.siteId ?? customer.id))
        return machineLines(machine, customer, site?.address ?? customer.place)
      }),
    ])
    const isFound = (line: SearchLine) => words.every((asked) => line.words.some((word) => word.startsWith(asked)))
    const found = groupedBy(
      words.length === 0 ? [] : lines.filter((line) => isFound(line) && (!what || line.what === what)),
      (line) => line.what,
    )
    return {
      customers: views.length,
      machines: views.reduce((sum, { machines }) => sum + machines.length, 0),
      words,
      filter: {},
      groups: SEARCH_GROUPS.flatMap((group) => {
        const own = found.get(group)
        return own ? [{ what: group, count: own.length, lines: own }] : []
      }),
      isCut: false,
      streets: [],
      twins: [],
      behind: 0,
    }
  }

  /** Everybody who is known here. */
  private async customers(): Promise<CustomerView[]> {
    const told = (await this.store.customers()) as CustomerView[]
    const all = await this.all()
    const known = new Set(told.map(({ customer }) => customer.id))
    const here = new Set([...all.map(({ row }) => row.customer.id), ...this.register().customers.keys()])
    const others = [...here].flatMap((id) => (known.has(id) ? [] : (this.customerHere(id, all) ?? [])))
    return [...told, ...others].map((view) => this.withWritten(view))
  }

  private async shopPage(): Promise<object | undefined> {
    const page = await this.store.fact<object>('shop')
    return page && { ...page, shop: await this.shop() }
  }
  private async shop() {
    return shopOf(await this.shopLines())
  }
  private async shopLines(): Promise<readonly Entry[]> {
    const { shop = [] } = (await this.store.window()) ?? {}
    return mergedJournal(
      shop,
      this.waiting.filter(({ visitId }) => visitId === null),
    )
  }

  /** Every visit that is kept or was opened here, as it stands with what waits. */
  private async all(): Promise<KeptVisit[]> {
    const kept = await this.store.visits()
    const waiting = groupedBy(
      this.waiting.filter(({ visitId }) => visitId !== null),
      ({ visitId }) => visitId as string,
    )
    const known = new Set(kept.map(({ row }) => row.id))
    return [
      ...kept.map((visit) => withLines(visit, waiting.get(visit.row.id) ?? [])),
      ...[...waiting].flatMap(([id, lines]) => (known.has(id) ? [] : (openedHere(lines, kept) ?? []))),
    ]
  }
}

function isOpen({ handedOver, cancelled }: VisitRow): boolean {
  return !handedOver && cancelled === undefined
}
