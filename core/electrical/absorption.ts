import { ABSORPTION, type ThermalClass } from '../knowledge/electrical/wire'
import type { Verdict } from '../judgement/judgement'
import { formatNumber } from '../quantity/format'

export interface Absorption {
  absorptionRatio?: number
  polarizationIndex?: number
  indexMinimum: number
  meaningful: boolean
  verdict: Verdict
  because: string
}

/**
 * Absorption ratio (60 s / 30 s) and polarization index (10 min / 1 min) of an insulation reading that climbs.
 *
 * Above 5 GΩ at one minute the current is too small for the ratios to mean anything.
 *
 * @param readings MΩ at each time
 * @source IEEE 43
 */
export function absorption({
  megohms30s,
  megohms60s,
  megohms600s,
  thermalClass = 'B',
}: {
  megohms30s?: number
  megohms60s: number
  megohms600s?: number
  thermalClass?: ThermalClass
}): Absorption {
  const absorptionRatio = megohms30s === undefined ? undefined : megohms60s / megohms30s
  const polarizationIndex = megohms600s === undefined ? undefined : megohms600s / megohms60s
  const indexMinimum = ABSORPTION.indexMinimum[thermalClass]
  const meaningful = megohms60s <= ABSORPTION.meaningfulMegohms
  const given = {
    ...(absorptionRatio === undefined ? {} : { absorptionRatio }),
    ...(polarizationIndex === undefined ? {} : { polarizationIndex }),
    indexMinimum,
    meaningful,
  }
  if (!meaningful)
    return {
      ...given,
      verdict: 'unclear',
      because:
        `above ${formatNumber(ABSORPTION.meaningfulMegohms / 1000)} GΩ the ratios say nothing: the insulation is ` +
        'judged by its megohms',
    }
  if (polarizationIndex !== undefined) {
    const verdict: Verdict = polarizationIndex >= indexMinimum ? 'sound' : polarizationIndex >= 1 ? 'tired' : 'failed'
    return {
      ...given,
      verdict,
      because:
        `polarization index ${formatNumber(polarizationIndex)}, ${verdict === 'sound' ? 'at least' : 'below'} ` +
        `${formatNumber(indexMinimum)}${verdict === 'sound' ? '' : ': damp or dirty'}`,
    }
  }
  if (absorptionRatio === undefined)
    return { ...given, verdict: 'unclear', because: 'one reading alone has no ratio: read again at 30 s or at 10 min' }
  const verdict: Verdict =
    absorptionRatio >= ABSORPTION.ratioSound ? 'sound' : absorptionRatio >= ABSORPTION.ratioFailed ? 'tired' : 'failed'
  return {
    ...given,
    verdict,
    because:
      'absorption ratio ' +
      formatNumber(absorptionRatio) +
      (verdict === 'sound' ? ', it climbs as dry insulation does' : ': it hardly climbs, damp or dirty'),
  }
}
