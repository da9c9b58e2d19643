import type { EnteredRates } from '../knowledge/shop/rates'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import type { Part } from '../knowledge/vocabulary'
import type { CompletePlate, Pump } from '../motor/nameplate'
import { needsTwo } from '../diagnosis/loss'
import { partsPrice } from '../diagnosis/part-price'
import { jobRow, repairSteps, type Repair, type RepairOptions } from '../takedown/step-plan'
import { minutesOf } from '../takedown/clock'
import type { StepPhase } from '../takedown/plan'
import { cents, sumOfCents } from '../quantity/money'
import { partLabel } from './part-label'

export interface OptionPart {
  part: Part
  label: string
  price: number
}
/** Half and nine tenths, whole minutes. */
export interface Spread {
  p50: number
  p90: number
}
/**
 * What doing something comes to: its parts, its minutes and the sum of both, from one plan. Every amount is in whole
 * cents, and the sums are sums of these.
 */
export interface Reckoning {
  parts: OptionPart[]
  minutes: Spread
  /** The half-way minutes by what they are spent on: whole, and together all of them. */
  phases: Readonly<Record<StepPhase, number>>
  partsPrice: number
  labourPrice: number
  price: number
  tools: readonly string[]
}
/** One job of several in a bill: what it adds to those before it. */
export interface BillLine {
  id: string
  label: string
  minutes: number
  price: number
  /** The parts that it adds. */
  parts: Part[]
}
/** All agreed jobs as one: opened once, and the sum of its lines. */
export interface Bill extends Reckoning {
  lines: BillLine[]
}

/** The machine that is priced, and the shop that prices it. */
export interface Pricing {
  pump: Pump
  plate: CompletePlate
  rates: EnteredRates
  /** This machine’s own joints, what was met on it, the shop’s practices and pace. */
  here?: RepairOptions
}

/**
 * What jobs come to when they are done as one plan. It is the price that was agreed: what Safe has shut and what is
 * open by now make the work that is left shorter, not the bill.
 *
 * @returns undefined where none of them can be planned on this machine where it stands
 */
export function reckoningOf(jobs: readonly string[], pricing: Pricing): Reckoning | undefined {
  const { pump, plate, rates, here = {} } = pricing
  if (!pump.construction) return undefined
  const { gatesHeld: _, opened: __, underway: ___, ...asAgreed } = here
  const plan = repairSteps(pump.kind, pump.construction, jobs, { motorType: plate.motorType, ...asAgreed })
  if (!plan) return undefined
  const spread = minutesOf(plan.steps, plan.waits)
  const minutes = { p50: Math.round(spread.p50), p90: Math.round(spread.p90) }
  const damaged = new Set(
    (asAgreed.found ?? []).flatMap(({ part, what }) => (what === 'damaged' && part ? [part] : [])),
  )
  const parts = plan.consumables.flatMap((each): OptionPart[] =>
    'part' in each
      ? [
          {
            part: each.part,
            label: `${partLabel(each.part, plate)}${damaged.has(each.part) ? ', found damaged' : ''}`,
            price: cents(partsPrice([each.part], rates, pump)),
          },
        ]
      : [],
  )
  const materials = sumOfCents(parts.map(({ price }) => price))
  const labour = cents((minutes.p50 / 60) * rates.hourly + helpPrice(plan, pump, rates))
  return {
    parts,
    minutes,
    phases: phasesOf(plan, minutes.p50),
    partsPrice: materials,
    labourPrice: labour,
    price: sumOfCents([materials, labour]),
    tools: plan.tools,
  }
}

const PHASES: readonly StepPhase[] = ['down', 'work', 'back', 'commission']

/** Minutes shared out as the likely ones of the steps are: whole, and adding up, what is cut off with the largest. */
function phasesOf({ steps }: Repair, minutes: number): Reckoning['phases'] {
  const likely = (phase: StepPhase) =>
    steps.filter((step) => step.phase === phase).reduce((sum, step) => sum + step.minutes, 0)
  const whole = PHASES.reduce((sum, phase) => sum + likely(phase), 0)
  const shares = PHASES.map((phase) => ({
    phase,
    minutes: whole > 0 ? Math.floor((minutes * likely(phase)) / whole) : 0,
  }))
  const left = minutes - shares.reduce((sum, share) => sum + share.minutes, 0)
  const largest = shares.reduce((most, share) => (share.minutes > most.minutes ? share : most))
  return Object.fromEntries(
    shares.map(({ phase, minutes: share }) => [phase, phase === largest.phase ? share + left : share]),
  ) as Reckoning['phases']
}

/** A second pair of hands, for the steps that need it. */
function helpPrice(plan: Repair, pump: Pump, { helperHourly = DEFAULT_RATES.helperHourly }: EnteredRates): number {
  if (!needsTwo(pump)) return 0
  const helped = plan.steps.filter(({ twoPeople }) => twoPeople).reduce((sum, { minutes }) => sum + minutes, 0)
  return (helped / 60) * helperHourly
}

/**
 * The bill of the agreed jobs, in the order in which they were agreed: each line is what it adds.
 *
 * @param alone what the first of them comes to by itself, where that was reckoned before
 */
export function billOf(jobs: readonly string[], pricing: Pricing, alone?: Reckoning): Bill | undefined {
  const { pump } = pricing
  if (!pump.construction) return undefined
  const lines: BillLine[] = []
  let so: Reckoning | undefined
  for (const [index, id] of jobs.entries()) {
    const next = index === 0 && alone ? alone : reckoningOf(jobs.slice(0, index + 1), pricing)
    if (!next) continue
    lines.push({
      id,
      label: jobRow(pump.kind, pump.construction, id)?.label ?? id.replaceAll('-', ' '),
      minutes: next.minutes.p50 - (so?.minutes.p50 ?? 0),
      price: sumOfCents([next.price, -(so?.price ?? 0)]),
      parts: addedParts(so?.parts ?? [], next.parts),
    })
    so = next
  }
  if (!so) return undefined
  return { ...so, lines }
}

/** What is in the second list and not in the first, as often as it is there. */
function addedParts(before: readonly OptionPart[], after: readonly OptionPart[]): Part[] {
  const left = before.map(({ part }) => part)
  return after.flatMap(({ part }) => {
    const known = left.indexOf(part)
    if (known >= 0) left.splice(known, 1)
    return known >= 0 ? [] : [part]
  })
}

/** Bills of jobs that were done one after the other, as one. */
export function together(bills: readonly Bill[]): Bill | undefined {
  const [first, ...others] = bills
  return others.reduce(
    (sum, bill): Bill | undefined =>
      sum && {
        lines: [...sum.lines, ...bill.lines],
        parts: [...sum.parts, ...bill.parts],
        minutes: { p50: sum.minutes.p50 + bill.minutes.p50, p90: sum.minutes.p90 + bill.minutes.p90 },
        phases: Object.fromEntries(
          PHASES.map((phase) => [phase, sum.phases[phase] + bill.phases[phase]]),
        ) as Reckoning['phases'],
        partsPrice: sumOfCents([sum.partsPrice, bill.partsPrice]),
        labourPrice: sumOfCents([sum.labourPrice, bill.labourPrice]),
        price: sumOfCents([sum.price, bill.price]),
        tools: [...new Set([...sum.tools, ...bill.tools])],
      },
    first,
  )
}
