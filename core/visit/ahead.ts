import { needsTwo } from '../diagnosis/loss'
import { VISIT_MINUTES } from '../knowledge/shop/day'
import { wantsOf, type PartWant } from '../fits/for-part'
import { isIdOf, PARTS, WELLS } from '../knowledge/vocabulary'
import { later, spreadOf, workMoment } from '../planning/order/moment'
import type { Spread } from '../planning/order/stop'
import type { DayLoadOf } from '../planning/morning'
import type { LoadItem } from '../planning/preparation'
import { urgencyOf, type Urgency } from '../planning/urgency'
import type { Pace } from '../takedown/as-here'
import type { VisitState } from './fold'
import { outlookOf, repairOf, type Experience, type Outlook } from './job'
import type { Shop } from './shop'

/** What of a visit its day hangs on: how long, how urgent, by how many, and what to load for it. */
export interface Ahead {
  minutes: Spread
  urgency: Urgency
  people: number
  /** Its work is done outdoors over an open well. */
  byDaylight: boolean
  load: DayLoadOf
}

/** What a visit asks of its day, from what is known of it by now. */
export function aheadOf(state: VisitState, shop: Shop, pace: Pace, experience: Experience): Ahead {
  // What is done asks for nothing any more.
  const outlook: Outlook = state.handedOver
    ? { likely: [], preparation: { suspects: [], repairs: [], parts: [], tools: [] } }
    : outlookOf(state, shop, pace, experience)
  const { complaints, withoutWater } = state.call
  const { livestock, onlySupply } = state.machine.installation ?? {}
  const isHoisted = state.standing === 'installed' && needsTwo(state.pump)
  const { arranged } = state.schedule
  return {
    minutes: arranged.minutes === undefined ? minutesAhead(state, outlook, shop, pace) : byHand(arranged.minutes),
    urgency: urgencyOf({ kind: state.machine.kind, complaints, withoutWater, livestock, onlySupply }),
    people: arranged.people ?? (isHoisted ? 2 : 1),
    byDaylight: state.standing === 'installed' && WELLS.includes(state.machine.kind),
    load: {
      parts: outlook.preparation.parts.map((item) => ({ ...item, wants: partWants(state, item) })),
      tools: outlook.preparation.tools,
      repairs: outlook.preparation.repairs.map(({ probability, parts }) => ({
        probability,
        wants: parts.flatMap((part) => wantsOf(state.machine, part, state.newParts.get(part)?.identity)),
      })),
      loaded: [...state.loaded],
    },
  }
}

/** What a thing on the list is replaced by at this machine: nothing where it is no part of the vocabulary. */
export function partWants(
  { machine, newParts }: Pick<VisitState, 'machine' | 'newParts'>,
  { id }: Pick<LoadItem, 'id'>,
): PartWant[] {
  const part = id.replace(/^part:/, '')
  return isIdOf(PARTS, part) ? wantsOf(machine, part, newParts.get(part)?.identity) : []
}

/** Whoever says how long it takes is right half of the time, and seldom off by a third. */
const HAND_SPREAD = 1.3
const byHand = (minutes: number): Spread => ({ p50: minutes, p90: Math.round(minutes * HAND_SPREAD) })

/** Minutes that the rest of a visit takes: what is agreed from its plan, else each likely repair by its chance. */
function minutesAhead(state: VisitState, { bill, likely }: Outlook, shop: Shop, pace: Pace): Spread {
  if (state.handedOver) return { p50: 0, p90: 0 }
  const { arriving, testing, closing } = VISIT_MINUTES
  const { stagesDone, findings } = state
  const begun = findings.length > 0 || state.steps.size > 0
  // Whoever rides along is there when the first is, and the sheet is written once.
  const once = state.together === undefined
  const around = [
    ...(begun || !once ? [] : [arriving]),
    ...(stagesDone.has('test') || bill ? [] : [testing]),
    ...(once ? [closing] : []),
  ].map(workMoment)
  const base = around.reduce(later, { mean: 0, variance: 0 })
  if (bill) {
    const left = shareLeft(state, shop, pace)
    return spreadOf([{ weight: 1, moment: later(base, workMoment(scaled(bill.minutes, left))) }])
  }
  return spreadOf(
    likely.length === 0
      ? [{ weight: 1, moment: base }]
      : likely.map(({ minutes, chance }) => ({ weight: chance, moment: later(base, workMoment(minutes)) })),
  )
}

const scaled = ({ p50, p90 }: Spread, share: number): Spread => ({ p50: p50 * share, p90: p90 * share })

/** How much of what is agreed is still to be done, by the minutes of its steps. */
function shareLeft(state: VisitState, shop: Shop, pace: Pace): number {
  const steps = repairOf(state, shop, pace)?.steps ?? []
  const minutes = (of: typeof steps) => of.reduce((sum, step) => sum + step.minutes, 0)
  const whole = minutes(steps)
  return whole > 0 ? minutes(steps.filter(({ id }) => state.steps.get(id)?.done !== true)) / whole : 0
}
