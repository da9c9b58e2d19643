import { accountOf, type Account } from '../decision/account'
import { billOf, together, type Bill, type OptionPart, type Pricing } from '../decision/bill'
import { jobOptions } from '../decision/job-options'
import { waysOf, type Way } from '../decision/offer'
import { optionsFor, type Option } from '../decision/options'
import { diagnosisOf, type Diagnosis } from '../diagnosis/diagnose'
import type { DiagnosisModel } from '../diagnosis/model'
import { reasonOn, type Reasoning } from '../diagnosis/reasoning'
import { prepare, prepareAgreed, type Preparation } from '../planning/preparation'
import { isReturn } from '../knowledge/repairs/returns'
import { renewedParts } from '../knowledge/repairs/renews'
import type { Kind } from '../knowledge/vocabulary'
import type { UnitSystem } from '../quantity/measures'
import type { Pace } from '../takedown/as-here'
import type { TakeDownStep } from '../takedown/plan'
import { openedJoints } from '../takedown/progress'
import { repairSteps, type Repair, type RepairOptions } from '../takedown/step-plan'
import type { VisitState } from './fold'
import { shelfPriceOf } from '../diagnosis/part-price'
import { isGuessedPrice, type Shop } from './shop'

/** What the shop's own visits make of each fault's rate, as a multiple. */
export type Experience = Readonly<Record<string, number>>

/** What is thought of a visit: what is wrong, what to load, what could be done, and what the agreed jobs come to. */
export interface Consideration {
  diagnosis: Diagnosis
  preparation: Preparation
  /** Repairs worth considering, least expected cost first. */
  options: Option[]
  /** The ways of mending it, as the owner weighs them: three at most. */
  ways: Way[]
  /** Work that no fault asks for, and what was wished for. */
  wishes: Option[]
  /** All agreed jobs as one plan; none before one is agreed. */
  bill?: Bill
}

/** Everything that follows from a visit: what is thought, what is being done about it, and what it costs. */
export interface Job extends Consideration {
  /** The option that was decided on. */
  chosen?: Option
  /** The steps of all agreed jobs. */
  repair?: Repair
  /** The steps of what was carried out and closed before they were agreed. */
  before: TakeDownStep[]
  /** What the visit comes to, line by line, as the shop charges now. */
  account: Account
  /** What the customer pays, in the shop's currency: as it was handed over, else as the account comes to. */
  price?: number
}

export type DecidedState = Pick<
  VisitState,
  | 'machine'
  | 'decision'
  | 'agreed'
  | 'agreedStanding'
  | 'rounds'
  | 'workedOn'
  | 'spareFirst'
  | 'takeDownFound'
  | 'measured'
>
export type ConsideredState = Pick<VisitState, 'case' | 'earlier' | 'pump' | 'plate' | 'jobs' | 'wished' | 'grounds'> &
  DecidedState
export type WorkingState = DecidedState &
  Pick<VisitState, 'priceChanges' | 'journey' | 'plate' | 'standing' | 'steps' | 'carriedGates' | 'handedOver'>

/**
 * The one place where options, repair and price come together. Screens, sheet, PDF and command line all show this, so
 * that no two of them can disagree.
 *
 * @param pace the shop's own times, as ratios to the estimate, by step
 */
export function jobOf(
  state: ConsideredState & WorkingState,
  shop: Shop,
  pace: Pace = {},
  experience: Experience = {},
): Job {
  const considered = considerationOf(state, shop, pace, experience, { system: shop.units })
  const account = visitAccount(state, considered.bill, shop)
  return {
    ...considered,
    account,
    chosen: chosenOf(considered, state),
    repair: repairOf(state, shop, pace),
    before: stepsBefore(state, shop, pace),
    price: priceOf(state, account),
  }
}

/**
 * The heavy half of a job, which the page has done in a worker: one model, one inference, and the plans that price it.
 *
 * @param system in whose units it is put into words
 * @param model this very machine's model, where it was built before
 */
export function considerationOf(
  state: ConsideredState,
  shop: Pick<Shop, 'rates' | 'schools'>,
  pace: Pace,
  experience: Experience,
  { system = 'us', model }: { system?: UnitSystem; model?: DiagnosisModel } = {},
): Consideration {
  const { rates } = shop
  const reasoning = reasonOn(state.case, { rates, experience, model })
  const pricing: Pricing = { pump: state.pump, plate: state.plate, rates, here: pricedWith(state, shop, pace) }
  const options = optionsFor(reasoning, [...state.agreed, ...state.wished], pricing.here)
  const shown = new Set(options.map(({ id }) => id))
  const agreed = state.agreed.length > 0 ? billOf(state.agreed, pricing) : undefined
  const before = billsBefore(state, pricing)
  const bill = together([...before, ...(agreed ? [agreed] : [])])
  const loading = prepare(reasoning)
  return {
    diagnosis: diagnosisOf(reasoning, { earlier: state.earlier, reader: { system, currency: rates.currency } }),
    preparation: bill ? prepareAgreed(loading, bill) : loading,
    options,
    ways: waysOf(options, reasoning, pricing, { ...state, before, agreedBill: agreed }),
    wishes: jobOptions(
      pricing,
      state.jobs.map(({ id }) => id).filter((id) => !shown.has(id)),
      state.agreed,
      agreed,
    ).filter(({ id, parts }) => state.agreed.includes(id) || !isPointless(parts, bill, state.pump.kind)),
    ...(bill ? { bill } : {}),
  }
}

/** What is likely to be done and to be loaded, and nothing that only a screen of the visit shows. */
export interface Outlook extends Pick<Consideration, 'preparation' | 'bill'> {
  /** What it may come to, where nothing is agreed: each repair with the chance that it is the one. */
  likely: { chance: number; minutes: Option['minutes'] }[]
}

/** The part of a consideration that planning a day asks for: the ways, the wishes and the words are left out. */
export function outlookOf(
  state: ConsideredState,
  shop: Pick<Shop, 'rates' | 'schools'>,
  pace: Pace,
  experience: Experience,
): Outlook {
  const { rates } = shop
  const pricing: Pricing = { pump: state.pump, plate: state.plate, rates, here: pricedWith(state, shop, pace) }
  const reasoning = reasonOn(state.case, { rates, experience })
  const agreed = state.agreed.length > 0 ? billOf(state.agreed, pricing) : undefined
  const loading = prepare(reasoning)
  // What is agreed says how long it takes; what might have been done instead is not planned for it.
  return agreed
    ? { likely: [], preparation: prepareAgreed(loading, agreed), bill: agreed }
    : { likely: likelyRepairs(reasoning, optionsFor(reasoning, state.wished, pricing.here)), preparation: loading }
}

/** Once known, what is wrong is mended by the cheapest of what mends it; what nothing mends, by the likeliest. */
function likelyRepairs({ model, posterior }: Reasoning, options: readonly Option[]): Outlook['likely'] {
  const cures = new Map(model.actions.map(({ id, cures: faults }) => [id, new Set<string>(faults)]))
  const cheapest = [...options].sort((a, b) => a.price - b.price)
  const [first] = options
  const chances = new Map<Option, number>()
  for (const [index, { faults }] of model.hypotheses.entries()) {
    const option = cheapest.find(({ id }) => faults.every((fault) => cures.get(id)?.has(fault))) ?? first
    if (option) chances.set(option, (chances.get(option) ?? 0) + (posterior.probabilities[index] as number))
  }
  return [...chances].map(([{ minutes }, chance]) => ({ chance, minutes }))
}

/** What was carried out before this round: each round opened once. */
function billsBefore(state: DecidedState, pricing: Pricing): Bill[] {
  return state.rounds.flatMap(
    ({ jobs, found, standing }) =>
      billOf(jobs, { ...pricing, here: { ...pricing.here, found, standing, spareFirst: false } }) ?? [],
  )
}

/** Is all that a job would renew new with what is agreed? No bearings for a motor that goes into the bin. */
function isPointless(parts: readonly OptionPart[], bill: Bill | undefined, kind: Kind): boolean {
  if (!bill || parts.length === 0) return false
  const renewed = renewedParts(
    bill.parts.map(({ part }) => part),
    kind,
  )
  return parts.every(({ part }) => renewed.has(part))
}

/** The way that was chosen for what is wrong. */
export function chosenOf(
  { options, wishes }: Pick<Consideration, 'options' | 'wishes'>,
  state: Pick<DecidedState, 'decision'>,
): Option | undefined {
  return state.decision === undefined ? undefined : [...options, ...wishes].find(({ id }) => id === state.decision)
}

/** The one plan of all agreed jobs, from where things are. */
export function repairOf(state: WorkingState, shop: Pick<Shop, 'schools'>, pace: Pace): Repair | undefined {
  if (state.agreed.length === 0) return undefined
  const { kind, construction } = state.machine
  return repairSteps(kind, construction, state.agreed, repairOptions(state, shop, pace))
}

/** The steps of the rounds before this one, as they were planned. */
export function stepsBefore(
  state: Pick<VisitState, 'machine' | 'rounds' | 'plate' | 'measured'>,
  { schools: practices }: Pick<Shop, 'schools'>,
  pace: Pace,
): TakeDownStep[] {
  const { kind, construction, joints: machineCorrections } = state.machine
  return state.rounds.flatMap(
    ({ jobs, found, standing }) =>
      repairSteps(kind, construction, jobs, {
        machineCorrections,
        found,
        standing,
        conditions: state.measured,
        motorType: state.plate.motorType,
        practices,
        pace,
      })?.steps ?? [],
  )
}

/** The account of a visit: its jobs, what was put on it by hand, and what the shop charges besides. */
export function visitAccount(
  {
    priceChanges,
    journey,
    agreedStanding,
    pump,
  }: Pick<VisitState, 'priceChanges' | 'journey' | 'agreedStanding' | 'pump'>,
  bill: Bill | undefined,
  shop: Shop,
): Account {
  return accountOf(bill, shop.rates, {
    isAway: agreedStanding === 'installed',
    comesAgain: bill?.lines.some(({ id }) => isReturn(id)) ?? false,
    changes: priceChanges,
    isGuessed: (part) => shelfPriceOf(part, shop.rates, pump) === undefined && isGuessedPrice(shop, part, pump.kind),
    pricedOn: (part) =>
      shelfPriceOf(part, shop.rates, pump)
        ?.of.map(({ pricedOn }) => pricedOn)
        .sort()[0],
    ...journey,
  })
}

/** What the customer pays, in the shop's currency; nothing where there is nothing to pay for. */
export function priceOf({ handedOver }: Pick<VisitState, 'handedOver'>, { lines, total }: Account): number | undefined {
  return handedOver?.price ?? (lines.length > 0 ? total : undefined)
}

/** What the jobs of a visit are priced with: this machine, and what was met on it; not what is open by now. */
function pricedWith(
  state: DecidedState & Pick<VisitState, 'plate'>,
  { schools: practices }: Pick<Shop, 'schools'>,
  pace: Pace,
): RepairOptions {
  return {
    machineCorrections: state.machine.joints,
    found: state.takeDownFound,
    conditions: state.measured,
    spareFirst: state.spareFirst,
    motorType: state.workedOn,
    standing: state.agreedStanding,
    practices,
    pace,
  }
}

/** What the plan of a visit is worked out with: what Safe has shut, and what is open by now. */
export function repairOptions(state: WorkingState, shop: Pick<Shop, 'schools'>, pace: Pace): RepairOptions {
  return {
    ...pricedWith(state, shop, pace),
    standing: state.standing,
    gatesHeld: state.carriedGates,
    // The way that was begun is the way that is finished.
    underway: openedJoints(state.steps),
  }
}
