import type { Verdict } from '../judgement/judgement'
import { LIVES, TIRED_HAZARD, WEAR_OUT } from '../knowledge/faults/lives'
import type { EnteredRates } from '../knowledge/shop/rates'
import { partsPrice, type PricedFor } from '../diagnosis/part-price'
import type { Part } from '../knowledge/vocabulary'
import type { TakeDownPlan } from './plan'

/** A part that lies open anyway: what doing it now costs, and what leaving it is expected to. */
export interface WhileOpen {
  part: Part
  minutes: number
  now: number
  later: number
  chance: number
  worth: boolean
  verdict?: Verdict
}

/**
 * Chance that a part of an age fails within some years: Weibull about its usual life, given that it has lived so far.
 *
 * @param life the years between which it usually ends; its middle is the scale
 * @param hazardTimes how many times as readily it fails as its age alone says
 */
export function chanceOfFailing(
  life: readonly [number, number],
  ageYears: number,
  withinYears: number,
  hazardTimes = 1,
): number {
  const scale = (life[0] + life[1]) / 2
  const hazard = (years: number) => (years / scale) ** WEAR_OUT.shape
  return 1 - Math.exp(hazardTimes * (hazard(ageYears) - hazard(ageYears + withinYears)))
}

/**
 * Each part that lies open, with the sum that says do it or leave it: now it costs the part and its own minutes; left,
 * it costs with its chance a second journey, this take-down again, and the part. What reads failed is sure to; what
 * reads tired is the likelier. A part without a price or a usual life is left out.
 *
 * @param verdicts what this visit’s readings say of parts
 */
export function whileOpenSums(
  open: TakeDownPlan['whileOpen'],
  takeDownMinutes: number,
  ageYears: number,
  rates: EnteredRates,
  machine: PricedFor,
  verdicts: ReadonlyMap<string, Verdict> = new Map(),
): WhileOpen[] {
  return open
    .flatMap(({ part, minutes }): WhileOpen[] => {
      const [life, material] = [LIVES[part], partsPrice([part], rates, machine)]
      if (!life || material === 0) return []
      const verdict = verdicts.get(part)
      const chance =
        verdict === 'failed'
          ? 1
          : chanceOfFailing(life, ageYears, WEAR_OUT.horizonYears, verdict === 'tired' ? TIRED_HAZARD : 1)
      const now = material + (minutes / 60) * rates.hourly
      const later = chance * (rates.trip + ((takeDownMinutes + minutes) / 60) * rates.hourly + material)
      return [{ part, minutes, now, later, chance, worth: now < later, ...(verdict ? { verdict } : {}) }]
    })
    .sort((a, b) => b.later - b.now - (a.later - a.now))
}
