import { SUPPLY } from '../knowledge/electrical/limits'
import { judgeRange, worstVerdict, type PlainJudgement } from '../judgement/judgement'
import { badField } from '../validation/input-error'
import { formatNumber } from '../quantity/format'

export interface SupplyWindow {
  lowVolts: number
  highVolts: number
}

/** Permitted supply at the motor terminals: nameplate ±10 % (NEMA MG 1). Volts in, volts out. */
export function supplyWindow(nameplateVolts: number): SupplyWindow {
  return {
    lowVolts: nameplateVolts * (1 - SUPPLY.toleranceFraction),
    highVolts: nameplateVolts * (1 + SUPPLY.toleranceFraction),
  }
}

/** Fall from rest to load as a percentage of the resting volts. */
export function dropPercent(restVolts: number, loadedVolts: number): number {
  if (restVolts <= 0) throw badField('restVolts', restVolts, 'a supply above 0 V is needed to speak of a drop')
  return (100 * (restVolts - loadedVolts)) / restVolts
}

/**
 * Judges one voltage at the motor terminals against the nameplate.
 *
 * @param nameplateVolts the plate's volts
 * @param volts measured, V RMS
 * @param subject what people call the reading
 * @source NEMA MG 1, voltage variation ±10 %
 */
export function judgeSupply(nameplateVolts: number, volts: number, subject = 'supply at rest'): PlainJudgement {
  const { lowVolts: low, highVolts: high } = supplyWindow(nameplateVolts)
  const { verdict, margin } = judgeRange(volts, { low, high, tiredFraction: SUPPLY.tiredFraction })
  const deviation = (100 * (volts - nameplateVolts)) / nameplateVolts
  const side = deviation < 0 ? 'under' : 'over'
  const limits = `${formatNumber(low)} to ${formatNumber(high)} V`
  const because =
    volts < nameplateVolts * SUPPLY.absentFraction
      ? `no supply to speak of: ${formatNumber(volts)} V where ${limits} is wanted`
      : verdict === 'failed'
        ? `${formatNumber(Math.abs(deviation))} % ${side} the ${nameplateVolts} V plate, outside ${limits}`
        : verdict === 'tired'
          ? `inside ${limits}, with little margin left`
          : `within ${limits} for a ${nameplateVolts} V plate`
  return { subject, value: volts, unit: 'V', verdict, low, high, margin, because, basis: SUPPLY.basis }
}

/**
 * Judges the supply under load: the window, and the fall from rest. More than 5 % points at wire size, length or a poor
 * joint.
 *
 * @param restVolts the newest reading at rest, when there is one
 */
export function judgeLoadedSupply(nameplateVolts: number, loadedVolts: number, restVolts?: number): PlainJudgement {
  const window = judgeSupply(nameplateVolts, loadedVolts, 'supply under load')
  if (restVolts === undefined || restVolts <= 0) return window
  const drop = dropPercent(restVolts, loadedVolts) / 100
  const dropVerdict = drop > SUPPLY.dropFraction ? 'failed' : drop > SUPPLY.tiredDropFraction ? 'tired' : 'sound'
  const verdict = worstVerdict([window.verdict, dropVerdict]) ?? 'sound'
  if (dropVerdict === 'sound' || window.verdict === 'failed') return window
  return {
    ...window,
    verdict,
    because:
      `falls ${formatNumber(drop * 100)} % from ${formatNumber(restVolts)} V at rest; over ` +
      `${SUPPLY.dropFraction * 100} % points at wire size, length or a poor joint`,
    basis: SUPPLY.dropBasis,
  }
}
