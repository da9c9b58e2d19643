import {
  INSULATION,
  INSULATION_RULES,
  INSULATION_TREND_FALL,
  type InsulationSetup,
  INSULATION_TEST,
} from '../knowledge/electrical/limits'
import type { PlainJudgement, Verdict } from '../judgement/judgement'
import { badField } from '../validation/input-error'
import { formatNumber } from '../quantity/format'

export type InsulationRule = keyof typeof INSULATION_RULES

/**
 * Insulation resistance brought to another temperature.
 *
 * @param megohms as read, MΩ
 * @param rule `halving`: halves for every 10 °C. `thermosetting`: the milder exponentials of IEEE 43-2013
 * @returns MΩ at `toCelsius`
 * @source IEEE 43
 */
export function correctInsulation(
  megohms: number,
  celsius: number,
  toCelsius = 40,
  rule: InsulationRule = 'halving',
): number {
  if (rule === 'halving') return megohms * 2 ** ((celsius - toCelsius) / 10)
  return (megohms * toForty(celsius)) / toForty(toCelsius)
}

/** The thermosetting factor that takes a reading at `celsius` to 40 °C. */
function toForty(celsius: number): number {
  const { lowExponent, highExponent } = INSULATION_RULES.thermosetting
  const exponent = celsius > 40 ? highExponent : lowExponent
  return Math.exp(-exponent * (1 / (celsius + 273) - 1 / 313))
}

/** A caution when a correction leaves the range its rule was made for. */
export function correctionCaution(celsius: number, toCelsius: number, rule: InsulationRule): string | undefined {
  const [low, high] = INSULATION_RULES[rule].validCelsius
  const outside = [celsius, toCelsius].find((temperature) => temperature < low || temperature > high)
  return outside === undefined
    ? undefined
    : `${formatNumber(outside)} °C lies outside ${low} to ${high} °C, where the ${rule} rule was made: treat the ` +
        'figure as a hint'
}

export interface InsulationReading {
  megohms: number
  setup: InsulationSetup
  celsius?: number
  testVolts?: number
  ageState?: 'new' | 'used'
  /** The last reading of this machine in the same setup, for the trend. */
  earlierMegohms?: number
}

/** Was it read on less than the least test voltage? Then it can condemn a winding, and says nothing for one. */
export function testedTooLow(testVolts: number | undefined): testVolts is number {
  return testVolts !== undefined && testVolts < INSULATION_TEST.leastVolts
}

/**
 * Judges insulation by the setup it was read in. Only `surface-motor` is compared at 40 °C; the others as read.
 *
 * @source IEEE 43 for surface motors; common practice for submersibles
 */
export function judgeInsulation(reading: InsulationReading): PlainJudgement & { megohmsAt40?: number } {
  const { megohms, setup, celsius, testVolts, ageState, earlierMegohms } = reading
  const limits = INSULATION[setup]
  const corrected =
    limits.correctedTo === undefined || celsius === undefined
      ? undefined
      : correctInsulation(megohms, celsius, limits.correctedTo)
  const compared = corrected ?? megohms
  const newLimit = ageState === 'new' ? limits.newMegohms : undefined
  const sound = newLimit ?? limits.soundMegohms
  const at =
    corrected === undefined
      ? ''
      : ` at 40 °C (read ${formatNumber(megohms)} MΩ at ${formatNumber(celsius as number)} °C)`
  const fallen = earlierMegohms !== undefined && earlierMegohms / megohms >= INSULATION_TREND_FALL

  let verdict: Verdict =
    compared < limits.failedMegohms || (newLimit !== undefined && compared < newLimit)
      ? 'failed'
      : compared < sound
        ? 'tired'
        : 'sound'
  let because =
    newLimit !== undefined && verdict === 'failed'
      ? `${formatNumber(compared)} MΩ${at}: a new one below ${newLimit} MΩ goes back`
      : verdict === 'failed'
        ? `${formatNumber(compared)} MΩ${at}, below the limit of ${limits.failedMegohms} MΩ`
        : verdict === 'tired'
          ? `${formatNumber(compared)} MΩ${at}: above ${limits.failedMegohms} MΩ, under the ${limits.soundMegohms} ` +
            'MΩ of a sound one'
          : `${formatNumber(compared)} MΩ${at}, sound above ${sound} MΩ`
  if (verdict === 'sound' && fallen) {
    verdict = 'tired'
    because =
      `above its limit, but ${formatNumber(earlierMegohms / megohms)} times lower than last time ` +
      `(${formatNumber(earlierMegohms)} MΩ)`
  }
  if (verdict !== 'failed' && testedTooLow(testVolts)) {
    verdict = 'unclear'
    because =
      `read at ${formatNumber(testVolts)} V: weak insulation shows only at ${INSULATION_TEST.usualVolts} V. Use the ` +
      'megohmmeter'
  }
  return {
    subject: `insulation, ${setup.replaceAll('-', ' ')}`,
    value: megohms,
    unit: 'Mohm',
    verdict,
    low: limits.failedMegohms,
    margin: (compared - limits.failedMegohms) / limits.failedMegohms,
    because,
    basis: limits.basis,
    ...(corrected === undefined
      ? {}
      : {
          megohmsAt40: corrected,
          corrected: { value: corrected, to: '40 °C', rule: INSULATION_RULES.halving.basis.name },
        }),
  }
}

/**
 * What the motor alone must be when the whole and the cable are known: 1/R = 1/Rm + 1/Rc.
 *
 * @throws InputError when the cable alone leaks more than the whole, which no motor can explain
 */
export function splitInsulation(totalMegohms: number, cableMegohms: number): number {
  if (cableMegohms <= totalMegohms) {
    throw badField(
      'cableMegohms',
      cableMegohms,
      `more than the whole, ${formatNumber(totalMegohms)} MΩ: the cable alone cannot leak more than cable and ` +
        'motor together. Measure both again with the splice cut',
    )
  }
  return 1 / (1 / totalMegohms - 1 / cableMegohms)
}

/**
 * Between what the motor alone must lie when both readings may be off by a share. The upper end is absent where the two
 * bands overlap: then the motor may be anything.
 */
export function splitRange(
  totalMegohms: number,
  cableMegohms: number,
  error: number,
): { lowestMegohms: number; highestMegohms?: number } {
  const motor = (total: number, cable: number) => 1 / (1 / total - 1 / cable)
  const [worstTotal, worstCable] = [totalMegohms * (1 + error), cableMegohms * (1 - error)]
  return {
    lowestMegohms: motor(totalMegohms * (1 - error), cableMegohms * (1 + error)),
    ...(worstCable > worstTotal ? { highestMegohms: motor(worstTotal, worstCable) } : {}),
  }
}
