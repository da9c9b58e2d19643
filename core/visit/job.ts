import { withFound } from '../decision/found-extra'
import { jobOptions } from '../decision/job-options'
import { optionsFor, type Option } from '../decision/options'
import { diagnosisOf, type Diagnosis } from '../diagnosis/diagnose'
import type { DiagnosisModel } from '../diagnosis/model'
import { reasonOn } from '../diagnosis/reasoning'
import { prepare, type Preparation } from '../planning/preparation'
import type { UnitSystem } from '../quantity/measures'
import type { Pace } from '../takedown/as-here'
import { repairSteps, type Repair, type RepairOptions } from '../takedown/step-plan'
import { isOpening, jointOf } from '../takedown/step-ref'
import type { VisitState } from './fold'
import type { Shop } from './shop'

/** What the shop's own visits make of each fault's rate, as a multiple. */
export type Experience = Readonly<Record<string, number>>

/** What is thought of a visit before anything is decided: what is wrong, what to load, and what could be done. */
export interface Consideration {
  diagnosis: Diagnosis
  preparation: Preparation
  /** Repairs worth considering, least expected cost first. */
  options: Option[]
  /** Work that no fault asks for. */
  wishes: Option[]
}

/** Everything that follows from a visit: what is thought, what is being done about it, and what it costs. */
export interface Job extends Consideration {
  /** The option that was decided on, with what was found damaged on the way. */
  chosen?: Option
  /** The chosen repair's steps. */
  repair?: Repair
  /** What the customer pays, in the shop's currency: as it was handed over, else as the chosen option comes to. */
  price?: number
}

export type ConsideredState = Pick<VisitState, 'case' | 'earlier' | 'pump' | 'plate' | 'decision'>
export type DecidedState = Pick<
  VisitState,
  'machine' | 'decision' | 'spareFirst' | 'takeDownFound' | 'measured' | 'steps' | 'handedOver'
>

/**
 * The one place where options, repair and price come together. Screens, sheet, PDF and command line all show this, so
 * that no two of them can disagree.
 *
 * @param pace the shop's own times, as ratios to the estimate, by step
 */
export function jobOf(
  state: ConsideredState & DecidedState,
  shop: Shop,
  pace: Pace = {},
  experience: Experience = {},
): Job {
  const considered = considerationOf(state, shop, pace, experience, { system: shop.units })
  const chosen = chosenOf(considered, state, shop, pace)
  return { ...considered, chosen, repair: repairOf(state, shop, pace), price: priceOf(state, chosen) }
}

/**
 * The heavy half of a job, which the page has done in a worker: one model, one inference.
 *
 * @param system in whose units it is put into words
 * @param model this very machine's model, where it was built before
 */
export function considerationOf(
  state: ConsideredState,
  { rates, schools: practices }: Pick<Shop, 'rates' | 'schools'>,
  pace: Pace,
  experience: Experience,
  { system = 'us', model }: { system?: UnitSystem; model?: DiagnosisModel } = {},
): Consideration {
  const reasoning = reasonOn(state.case, { rates, experience, model })
  return {
    diagnosis: diagnosisOf(reasoning, { earlier: state.earlier, reader: { system, currency: rates.currency } }),
    preparation: prepare(reasoning),
    options: optionsFor(reasoning, state.decision),
    wishes: jobOptions(state.pump, state.plate, rates, { practices, pace }),
  }
}

/** What was decided on, with what was found damaged on the way. */
export function chosenOf(
  { options, wishes }: Pick<Consideration, 'options' | 'wishes'>,
  state: DecidedState,
  shop: Pick<Shop, 'rates' | 'schools'>,
  pace: Pace,
): Option | undefined {
  const option = state.decision && [...options, ...wishes].find(({ id }) => id === state.decision)
  if (!option) return undefined
  return withFound(option, state.machine, shop.rates, repairOptions(state, shop, pace))
}

/** The plan of what was decided on. */
export function repairOf(state: DecidedState, shop: Pick<Shop, 'schools'>, pace: Pace): Repair | undefined {
  if (state.decision === undefined) return undefined
  const { kind, construction } = state.machine
  return repairSteps(kind, construction, state.decision, repairOptions(state, shop, pace))
}

/** What the customer pays, in the shop's currency. */
export function priceOf(
  { handedOver }: Pick<DecidedState, 'handedOver'>,
  chosen: Option | undefined,
): number | undefined {
  return handedOver?.price ?? chosen?.price
}

/** What the repair of a visit is planned with. */
export function repairOptions(
  state: DecidedState,
  { schools: practices }: Pick<Shop, 'schools'>,
  pace: Pace,
): RepairOptions {
  return {
    machineCorrections: state.machine.joints,
    found: state.takeDownFound,
    conditions: state.measured,
    spareFirst: state.spareFirst,
    practices,
    pace,
    underway: underwayOf(state),
  }
}

/** Joints that this repair has opened, closed again or not: the way that was begun is the way that is finished. */
function underwayOf({ steps }: Pick<DecidedState, 'steps'>): string[] {
  return [...steps].flatMap(([id, { done }]) => (done && isOpening(id) ? (jointOf(id) ?? []) : []))
}
