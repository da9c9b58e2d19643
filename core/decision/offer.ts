import { faultLabel } from '../diagnosis/words/fault-label'
import type { Reasoning } from '../diagnosis/reasoning'
import { powerPerYear, motorWatts } from '../energy/motor-power'
import type { Verdict } from '../judgement/judgement'
import { WARRANTED } from '../knowledge/constructions/part-groups'
import { NEW_WARRANTY_YEARS } from '../knowledge/faults/lives'
import { DECIDING } from '../knowledge/faults/thresholds'
import type { EnteredRates } from '../knowledge/shop/rates'
import type { ActionRow } from '../knowledge/faults/model-types'
import type { Part } from '../knowledge/vocabulary'
import { completePlate, type CompletePlate, type Nameplate, type Pump } from '../motor/nameplate'
import { billOf, together, type Bill, type Pricing } from './bill'
import { lifeLeft, type LifeLeft } from './life'
import type { Option } from './options'

/** Who brings a way forward. */
export type WayFrom = 'lamp' | 'wish' | 'other'

/** What of its price a way’s new machine stands for by itself, months. */
export interface PartWarranty {
  months: number
  /** Neither its paper nor the shop says so: it is what is usual. */
  isUsual?: true
}

/** One way of mending it, as an owner weighs it. */
export interface Way {
  id: string
  label: string
  from: WayFrom
  /** Of this way alone, before journey and taxes. */
  price: number
  minutes: Option['minutes']
  /** The chance that it mends all that is wrong. */
  chance: number
  /** What may be wrong that it mends, likeliest first; and what it leaves. */
  cures: string[]
  leaves: string[]
  warranty?: PartWarranty
  life?: LifeLeft
  /** The price over the years it serves. */
  perYear?: number
  /** What its running costs a year. */
  powerPerYear?: number
  /** With all else that is agreed, as one plan. */
  bill?: Bill
}

/** What of a visit its ways hang on besides the jobs: plain, so that it can cross to a worker. */
export interface OfferGrounds {
  /** What the readings say of parts. */
  verdicts: Readonly<Record<string, Verdict>>
  /** New parts as they are in the hand. */
  inHand: readonly { part: Part; nameplate?: Nameplate; warrantyUntil?: string }[]
  /** ISO date on which it would be done. */
  today: string
  /** Amps as read while it ran. */
  amps?: number
}
export interface OfferScene {
  decision?: string
  /** Jobs that the customer asked for. */
  wished: readonly string[]
  agreed: readonly string[]
  grounds: OfferGrounds
  /** What was carried out before: it is in every sum. */
  before: readonly Bill[]
  /** What is agreed now comes to. */
  agreedBill?: Bill
}

/** As many as an owner weighs. */
export const MOST_WAYS = 3
const MONTHS_PER_YEAR = 12

/**
 * Up to three ways side by side: the lamp’s, what was chosen or wished for, and the next best.
 *
 * @param options least expected cost first
 */
export function waysOf(
  options: readonly Option[],
  { model, posterior, rates }: Pick<Reasoning, 'model' | 'posterior' | 'rates'>,
  pricing: Pricing,
  scene: OfferScene,
): Way[] {
  const actions = new Map(model.actions.map((action) => [action.id, action]))
  const ranked = options.filter(({ id }) => actions.has(id) && !isLeftAlone(actions.get(id) as ActionRow))
  const isAsked = ({ id }: Option) => id === scene.decision || scene.wished.includes(id)
  const first = ranked.slice(0, 1)
  const asked = ranked.slice(1).filter(isAsked)
  const others = ranked.slice(1).filter((option) => !isAsked(option) && option.chanceRight >= DECIDING.worthShowing)
  const shown = new Set([...first, ...asked, ...others].slice(0, MOST_WAYS))
  const causes = causesOf(model.hypotheses, posterior.probabilities)
  return ranked
    .filter((option) => shown.has(option))
    .map((option): Way => {
      const action = actions.get(option.id) as ActionRow
      const cured = new Set<string>(action.cures)
      const life = lifeLeft(option.parts, pricing.pump, pricing.plate.ageYears, scene.grounds.verdicts)
      const warranty = warrantyOf(option, rates, scene.grounds)
      const power = powerOf(option, pricing, scene.grounds)
      const whole = wholeBill(option, pricing, scene)
      const bill = together([...scene.before, ...(whole ? [whole] : [])])
      return {
        id: option.id,
        label: option.label,
        from: scene.wished.includes(option.id) ? 'wish' : option === ranked[0] ? 'lamp' : 'other',
        price: option.price,
        minutes: option.minutes,
        chance: option.chanceRight,
        cures: causes.filter((fault) => cured.has(fault)).map(faultLabel),
        leaves: causes.filter((fault) => !cured.has(fault)).map(faultLabel),
        ...(warranty ? { warranty } : {}),
        ...(life ? { life, perYear: option.price / Math.max(life.years, 1 / MONTHS_PER_YEAR) } : {}),
        ...(power === undefined ? {} : { powerPerYear: power }),
        ...(bill ? { bill } : {}),
      }
    })
}

/** What all comes to if it is this way. Plans take long: what was reckoned before is not reckoned again. */
function wholeBill(option: Option, pricing: Pricing, scene: OfferScene): Bill | undefined {
  if (option.id === scene.decision && scene.agreedBill) return scene.agreedBill
  if (option.isUnplanned) return undefined
  const jobs = jobsWith(option.id, scene)
  const { parts, minutes, phases, partsPrice, labourPrice, price, tools } = option
  const alone = { parts, minutes, phases, partsPrice, labourPrice, price, tools }
  return billOf(jobs, pricing, jobs[0] === option.id ? alone : undefined)
}

/** What would be agreed if it were this way: in the place of the one that was chosen. */
function jobsWith(id: string, { agreed, decision }: Pick<OfferScene, 'agreed' | 'decision'>): string[] {
  const instead = agreed.map((each) => (each === decision ? id : each))
  return [...new Set(instead.includes(id) ? instead : [id, ...instead])]
}

const isLeftAlone = ({ cures }: ActionRow) => cures.includes('nothing-wrong')

/** What may be wrong, likeliest first: each cause by itself, however it goes with others. */
function causesOf(
  hypotheses: Reasoning['model']['hypotheses'],
  probabilities: Reasoning['posterior']['probabilities'],
): string[] {
  const chances = new Map<string, number>()
  for (const [index, { faults }] of hypotheses.entries())
    for (const fault of faults) chances.set(fault, (chances.get(fault) ?? 0) + (probabilities[index] as number))
  return [...chances]
    .filter(([fault, chance]) => fault !== 'nothing-wrong' && chance >= DECIDING.worthShowing)
    .sort(([, a], [, b]) => b - a)
    .map(([fault]) => fault)
}

function warrantyOf(
  { parts }: Option,
  { partWarrantyMonths }: EnteredRates,
  { inHand, today }: OfferGrounds,
): PartWarranty | undefined {
  const warranted = parts.filter(({ part }) => WARRANTED.includes(part))
  if (warranted.length === 0) return undefined
  const until = warranted
    .flatMap(({ part }) => inHand.find((each) => each.part === part)?.warrantyUntil ?? [])
    .sort()[0]
  if (until !== undefined) return { months: monthsBetween(today, until) }
  return partWarrantyMonths === undefined
    ? { months: NEW_WARRANTY_YEARS * MONTHS_PER_YEAR, isUsual: true }
    : { months: partWarrantyMonths }
}

/** Whole months from one day to another, ISO dates; none where it is over. */
function monthsBetween(from: string, to: string): number {
  const [a, b] = [new Date(from), new Date(to)]
  const months =
    (b.getUTCFullYear() - a.getUTCFullYear()) * MONTHS_PER_YEAR +
    b.getUTCMonth() -
    a.getUTCMonth() +
    (b.getUTCDate() < a.getUTCDate() ? -1 : 0)
  return Math.max(0, months)
}

/** What a year of running costs after it; unknown without the price of power, or where its speed is still to be set. */
function powerOf(
  { id, parts }: Option,
  { plate, pump, rates }: Pricing,
  { inHand, amps }: OfferGrounds,
): number | undefined {
  if (rates.energyPrice === undefined) return undefined
  if (id !== 'replace-drive' && parts.some(({ part }) => part === 'drive-electronics')) return undefined
  const fitted = parts.flatMap(({ part }) => inHand.find((each) => each.part === part)?.nameplate ?? [])[0]
  const after: CompletePlate = fitted ? completePlate({ ...pump, nameplate: fitted } satisfies Pump) : plate
  return powerPerYear(motorWatts(after, fitted ? undefined : amps), plate.dutyHoursPerDay, rates.energyPrice)
}
