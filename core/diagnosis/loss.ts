import { BEING_WRONG, type Rates } from '../knowledge/shop/rates'
import type { ActionRow } from '../knowledge/faults/model-types'
import { livesOf, WEAR_OUT } from '../knowledge/faults/lives'
import { LIFE_LEFT, LOST_WITH_MOTOR, OPENS_MOTOR, STAKES, TWO_PEOPLE, WARRANTY_RETURN } from '../knowledge/shop/stakes'
import { WELLS } from '../knowledge/vocabulary'
import type { Pump } from '../motor/nameplate'
import { accessMinutes } from './gates'
import { partsPrice } from './part-price'
import type { DiagnosisModel, Hypothesis } from './model'

/** Minutes of a repair, with reaching the place unless it stands open already. */
export function actionMinutes(action: Pick<ActionRow, 'minutes' | 'access'>, pump: Pump, open = false): number {
  return action.minutes + (action.access && !open ? accessMinutes(pump) : 0)
}

/** Does bringing the pump up take two? */
export function needsTwo({ kind, installation }: Pick<Pump, 'kind' | 'installation'>): boolean {
  return WELLS.includes(kind) && (installation?.wellDepthMetres ?? 0) >= TWO_PEOPLE.fromMetres
}

/** What a repair costs the customer when it goes as planned: parts with the shop's markup, minutes, a second pair. */
export function actionCost(
  action: Pick<ActionRow, 'parts' | 'minutes' | 'access'>,
  pump: Pump,
  rates: Rates,
  open = false,
): number {
  const helped = action.access && !open && needsTwo(pump) ? accessMinutes(pump) : 0
  return (
    partsPrice(action.parts, rates, pump) +
    (actionMinutes(action, pump, open) / 60) * rates.hourly +
    (helped / 60) * rates.helperHourly
  )
}

/** What hangs on the pump, beside its own price. */
export interface LossScene {
  /** The wet end stands open, or the pump is out, already: what lies behind costs its own minutes only. */
  open?: boolean
  complaints?: readonly string[]
  /** Minutes of the working day that are left; what goes beyond costs more. */
  minutesLeft?: number
}

/** How many times the usual trouble it is when this pump stays down. */
export function stakesOf(pump: Pick<Pump, 'installation'>, complaints: readonly string[] = []): number {
  const { livestock, onlySupply } = pump.installation ?? {}
  return Math.max(
    1,
    livestock ? STAKES.livestock : 1,
    onlySupply ? STAKES.onlySupply : 1,
    complaints.includes('pit-flooded') ? STAKES.floodedCellar : 1,
  )
}

/** Cumulative hazard up to an age, years, by a Weibull law whose mean is the middle of the usual life. */
export function wearHazard([from, to]: readonly [number, number], ageYears: number): number {
  // The law's mean lies at 0.893 of its scale for this shape.
  const scale = (from + to) / 2 / 0.893
  return (ageYears / scale) ** WEAR_OUT.shape
}

/** The chance that what is this old ends within so many years. */
export function chanceOfEnding(life: readonly [number, number], ageYears: number, years: number): number {
  return 1 - Math.exp(wearHazard(life, ageYears) - wearHazard(life, ageYears + years))
}

/**
 * What of a repair's price is likely to be lost soon: with a motor that is at its end what was put into it is lost too;
 * a new one ends early once in a while, and most of that the warranty bears.
 */
export function lifeLoss(
  { parts }: Pick<ActionRow, 'parts'>,
  cost: number,
  { kind }: Pick<Pump, 'kind'>,
  ageYears: number,
): number {
  const { horizonYears, lostShare, earlyEnd, warrantyBears } = LIFE_LEFT
  if (parts.includes('motor') || parts.includes('pump')) return earlyEnd * (1 - warrantyBears) * cost
  if (!parts.some((part) => LOST_WITH_MOTOR.has(part))) return 0
  const life = livesOf(kind === 'sump' ? 'pump' : 'motor', kind)
  return life ? chanceOfEnding(life, ageYears, horizonYears) * lostShare * cost : 0
}

export interface LossTable {
  /** The row after the last action: testing on until the cause is known, then the right repair. */
  carryOn: number
  /** `table[a * hypotheses + h]`: cost of doing action `a` when `h` is true, mistakes included. */
  table: Float64Array
  actions: number
  hypotheses: number
  /** `cures[a * hypotheses + h]`: 1 where the action cures everything that is wrong under `h`. */
  cures: Uint8Array
}

/**
 * The loss of every action under every hypothesis.
 *
 * What an action leaves uncured is found out, usually in Prove while the van is still there, else on a second trip;
 * then it is put right by the cheapest repairs that cure it.
 *
 * @param scene what hangs on the pump, what stands open, and how much of the day is left
 */
export function lossTable(model: DiagnosisModel, rates: Rates, scene: LossScene = {}): LossTable {
  const { actions, hypotheses, pump } = model
  const downtime = rates.downtime * stakesOf(pump, scene.complaints)
  const costs = actions.map((action) => lossOfPrice(action, model, rates, scene, downtime))
  const dearest = Math.max(...costs)
  const cures = actions.map(({ cures: list }) => new Set<string>(list))
  const cheapestOf = (faults: readonly string[]): number => {
    let least = Infinity
    for (let a = 0; a < actions.length; a++) {
      const cured = cures[a] as Set<string>
      if ((costs[a] as number) < least && faults.every((fault) => cured.has(fault))) least = costs[a] as number
    }
    return least
  }
  // Faults by number: the table is made anew with every line that is written.
  const numbered = [...new Set(hypotheses.flatMap(({ faults }) => faults))]
  const numberOf = new Map(numbered.map((fault, index) => [fault, index]))
  const numberAt = (place: 0 | 1) =>
    Int16Array.from(hypotheses, ({ faults }) =>
      faults[place] === undefined ? -1 : (numberOf.get(faults[place]) as number),
    )
  const [firsts, seconds] = [numberAt(0), numberAt(1)]
  const alone = Float64Array.from(numbered, (fault) => {
    const least = cheapestOf([fault])
    return Number.isFinite(least) ? least : dearest
  })
  // What cures all of it at once, or each by itself.
  const whole = Float64Array.from(hypotheses, ({ faults }, h) => {
    const first = alone[firsts[h] as number] as number
    return faults.length === 1 ? first : Math.min(cheapestOf(faults), first + (alone[seconds[h] as number] as number))
  })
  const perMinute = rates.hourly / 60
  const wrong =
    BEING_WRONG.noticedOnSite * BEING_WRONG.onSiteMinutes * perMinute +
    (1 - BEING_WRONG.noticedOnSite) * (rates.trip + BEING_WRONG.laterMinutes * perMinute + downtime)
  // Leaving a faulty machine running is never noticed on site: it comes back as a call.
  const comeback = rates.trip + BEING_WRONG.laterMinutes * perMinute + downtime
  const count = hypotheses.length
  const table = new Float64Array((actions.length + 1) * count)
  const cured = new Uint8Array(actions.length * count)
  for (let a = 0; a < actions.length; a++) {
    const list = cures[a] as Set<string>
    const mends = Uint8Array.from(numbered, (fault) => (list.has(fault) ? 1 : 0))
    const found = list.has('nothing-wrong') ? comeback : wrong
    const cost = costs[a] as number
    for (let h = 0; h < count; h++) {
      const first = firsts[h] as number
      const second = seconds[h] as number
      // A repair of what was never wrong leaves the complaint as it was.
      const leavesFirst = mends[first] === 0
      const leavesSecond = second >= 0 && mends[second] === 0
      const at = a * count + h
      if (!leavesFirst && !leavesSecond) {
        cured[at] = 1
        table[at] = cost
      } else {
        const left = leavesFirst && (leavesSecond || second < 0) ? whole[h] : alone[leavesFirst ? first : second]
        table[at] = cost + found + (left as number)
      }
    }
  }
  for (let h = 0; h < count; h++)
    table[actions.length * count + h] = BEING_WRONG.carryOnMinutes * perMinute + (whole[h] as number)
  return { table, actions: actions.length + 1, hypotheses: count, carryOn: actions.length, cures: cured }
}

/** What a repair is reckoned to lose where it is the right one: its price, and what hangs on when and on what. */
function lossOfPrice(
  action: ActionRow,
  { pump, plate }: DiagnosisModel,
  rates: Rates,
  { open = false, minutesLeft }: LossScene,
  downtime: number,
): number {
  const beyond = minutesLeft === undefined ? 0 : Math.max(0, actionMinutes(action, pump, open) - minutesLeft)
  return (
    actionCost(action, pump, rates, open) +
    (beyond / 60) * rates.hourly * (rates.afterHours - 1) +
    // What may be lost is what was put in, however far the way in stands open already.
    lifeLoss(action, actionCost(action, pump, rates), pump, plate?.ageYears ?? 0) +
    (action.onlyUnderWarranty ? downtime * WARRANTY_RETURN.timesDowntime + rates.trip : 0) +
    (pump.underWarranty && action.parts.some((part) => OPENS_MOTOR.has(part))
      ? WARRANTY_RETURN.forfeitShare * partsPrice(['motor'], rates, pump)
      : 0)
  )
}

/** Probability that curing these faults cures everything that is wrong. */
export function cureChance(
  hypotheses: DiagnosisModel['hypotheses'],
  probabilities: Float64Array,
  cures: readonly string[],
): number {
  const cured = new Set(cures)
  let sum = 0
  for (let h = 0; h < hypotheses.length; h++) {
    const [first, second] = (hypotheses[h] as Hypothesis).faults as [string, string?]
    if (cured.has(first) && (second === undefined || cured.has(second))) sum += probabilities[h] as number
  }
  return sum
}

/** Expected loss of each action, then of testing on. */
export function expectedLosses({ table, actions, hypotheses }: LossTable, probabilities: Float64Array): Float64Array {
  const losses = new Float64Array(actions)
  for (let a = 0; a < actions; a++) {
    let sum = 0
    for (let h = 0; h < hypotheses; h++) sum += (probabilities[h] as number) * (table[a * hypotheses + h] as number)
    losses[a] = sum
  }
  return losses
}
