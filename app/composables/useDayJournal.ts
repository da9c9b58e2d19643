import { v7 as uuidv7 } from 'uuid'
import type { DayVisit } from '#core/planning/day'
import { apartFrom, openIn, visitsOf } from '#core/planning/stops'
import type { DueCall } from '#core/pumps/due-list'
import type { Entry, EntryBodies, EntryKind } from '#core/visit/entry'
import type { LineDraft } from '#core/pumps/corrections'
import { ask } from '~/utils/ask'
import type { CustomerView } from '~/utils/register-views'
import { draft, useDrafts } from './useDrafts'

/** So long are a caller's words kept. */
const MOST_SAID = 500

/** What becomes of a stop: its day, or none. */
export interface Planned {
  stop: DayVisit
  body: EntryBodies['planned']
}

/** What a second visit at the same machine is opened with. */
export interface Second {
  says: string
  /** Jobs that go over into it. */
  jobs?: readonly string[]
  /** An instant of its day; without one it waits. */
  at?: string
  minutes?: number
}

/** Writes what becomes of visits and of the order of a day. */
export function useDayJournal() {
  const drafts = useDrafts()
  const add = (lines: readonly LineDraft[]) => drafts.write(lines)
  /** What is decided of a stop is written in each of its visits that is still to be done. */
  const inEach = <K extends EntryKind>(stop: DayVisit, kind: K, body: EntryBodies[K]): LineDraft[] =>
    openIn(stop).map((id) => draft(id, kind, body))
  const ordered = (orders: readonly EntryBodies['day-order'][]) =>
    orders.map((order) => draft(null, 'day-order', order))

  /** What is kept of a visit, to go on from. */
  async function stateOf(visitId: string) {
    const response = await ask(`/api/visits/${visitId}`)
    if (!response.ok) throw new Error(response.statusText)
    // All that a journal can say is large: a page that shows a day begins without it.
    const { foldVisit } = await import('#core/visit/fold')
    const state = foldVisit(((await response.json()) as { entries: Entry[] }).entries)
    if (!state) throw new Error('This visit cannot be read.')
    return state
  }

  return {
    stateOf,
    plan: (stop: DayVisit, body: EntryBodies['planned']) => add(inEach(stop, 'planned', body)),
    planAll: (each: readonly Planned[]) => add(each.flatMap(({ stop, body }) => inEach(stop, 'planned', body))),
    /** What was promised holds for all machines of a stop; how long it takes is said of each. */
    arrange: (stop: DayVisit, body: EntryBodies['arranged'], minutes: Readonly<Record<string, number>>) =>
      add(
        openIn(stop).map((id) =>
          draft(id, 'arranged', { ...body, ...(minutes[id] === undefined ? {} : { minutes: minutes[id] }) }),
        ),
      ),
    cancel: (stop: DayVisit, why: string) => add(inEach(stop, 'cancelled', { why })),
    /** One machine of a stop has its journey for itself from now on. */
    setApart: (stop: DayVisit, visitId: string) =>
      add(
        apartFrom(
          visitsOf(stop).map(({ id }) => id),
          visitId,
        ).map(({ visit, with: first }) => draft(visit, 'together', first ? { with: first } : {})),
      ),
    order: (orders: readonly EntryBodies['day-order'][]) => add(ordered(orders)),
    /** Puts a call into a day, and the day in the order that it then has. */
    putIn: (stop: DayVisit, at: string, orders: readonly EntryBodies['day-order'][]) =>
      add([...inEach(stop, 'planned', { at }), ...ordered(orders)]),
    /** Ticks what was loaded, for each visit that wants it. */
    load: (each: readonly { visitId: string; item: string }[], loaded: boolean) =>
      add(each.map(({ visitId, item }) => draft(visitId, 'loaded', { item, loaded }))),
    /** Calls that wait for a day, one for each machine that comes due. */
    async openCalls(calls: readonly DueCall[]): Promise<string[]> {
      const opened = await Promise.all(
        calls.map(async ({ machineId, customerId, says, minutes }) => {
          const response = await ask(`/api/customers/${customerId}`)
          if (!response.ok) throw new Error(response.statusText)
          const { customer, machines } = (await response.json()) as CustomerView
          const machine = machines.find((each) => each.machine.id === machineId)?.machine
          if (!machine) throw new Error(`${customer.name} has this machine no more.`)
          const body: EntryBodies['visit-opened'] = {
            customer,
            machine,
            scheduledAt: new Date().toISOString(),
            plannedMinutes: minutes,
            callerSays: says.slice(0, MOST_SAID),
          }
          const visitId = uuidv7()
          return { visitId, lines: [draft(visitId, 'visit-opened', body), draft(visitId, 'planned', {})] }
        }),
      )
      // All or none: nothing is written before every machine is known.
      await add(opened.flatMap(({ lines }) => lines))
      return opened.map(({ visitId }) => visitId)
    },
    takeBackCalls: (visitIds: readonly string[]) =>
      add(visitIds.map((visitId) => draft(visitId, 'cancelled', { why: 'taken back' }))),
    /** Another visit at the same machine: what is left of this one, or a second look. */
    async openSecond(visitId: string, { says, jobs = [], at, minutes }: Second): Promise<string> {
      const { customer, machine, call } = await stateOf(visitId)
      const second = uuidv7()
      await add([
        draft(second, 'visit-opened', {
          customer,
          machine,
          scheduledAt: at ?? new Date().toISOString(),
          plannedMinutes: minutes ?? 60,
          callerSays: says,
        }),
        draft(second, 'call', { ...call, callerSays: says }),
        draft(second, 'planned', at ? { at } : {}),
        ...(minutes === undefined ? [] : [draft(second, 'arranged', { minutes })]),
        ...jobs.map((job) => draft(second, 'wish', { job })),
        ...jobs.map((job) => draft(visitId, 'job', { job, state: 'left', why: 'in a second visit' })),
      ])
      return second
    },
  }
}
