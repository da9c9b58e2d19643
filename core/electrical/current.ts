import { CURRENT } from '../knowledge/electrical/limits'
import type { PlainJudgement } from '../judgement/judgement'
import { formatNumber } from '../quantity/format'

/**
 * Judges a running current against the plate.
 *
 * @param amps measured, A RMS
 * @param fullLoadAmps of the plate
 * @param serviceFactorAmps of the plate; without it a usual ratio is used and said
 * @source common practice: over service-factor amps is a fault, under about two thirds of full load is light
 */
export function judgeRunningCurrent(amps: number, fullLoadAmps: number, serviceFactorAmps?: number): PlainJudgement {
  const assumed = serviceFactorAmps === undefined
  const high = serviceFactorAmps ?? fullLoadAmps * CURRENT.serviceFactorAmpsRatio
  const low = fullLoadAmps * CURRENT.lowFraction
  const load = `${formatNumber((100 * amps) / fullLoadAmps)} % of full load`
  const base = { subject: 'running current', value: amps, unit: 'A' as const, low, high, basis: CURRENT.basis }
  if (amps > high) {
    const stalled = amps >= fullLoadAmps * CURRENT.lockedFraction[0]
    return {
      ...base,
      verdict: 'failed',
      margin: (high - amps) / high,
      because: stalled
        ? `${load}: the rotor is not turning`
        : `${load}, over the service-factor amps${assumed ? ' (assumed)' : ''} of ${formatNumber(high)} A`,
    }
  }
  const margin = Math.min((amps - low) / low, (high - amps) / high)
  if (amps < low)
    return {
      ...base,
      verdict: 'tired',
      margin,
      because: `${load}, light: dry, air-bound, throttled or turning with no load`,
    }
  if (amps > fullLoadAmps)
    return { ...base, verdict: 'tired', margin, because: `${load}: inside the service factor, above full load` }
  return {
    ...base,
    verdict: 'sound',
    margin,
    because: `${load}, between ${formatNumber(low)} and ${formatNumber(high)} A`,
  }
}

/**
 * Judges a locked-rotor current: 4 to 7 times full load is what a healthy stalled motor draws.
 *
 * @source common practice
 */
export function judgeLockedCurrent(amps: number, fullLoadAmps: number, lockedRotorAmps?: number): PlainJudgement {
  const [low, high] = lockedRotorAmps
    ? [lockedRotorAmps * CURRENT.lockedPlateShare[0], lockedRotorAmps * CURRENT.lockedPlateShare[1]]
    : [fullLoadAmps * CURRENT.lockedFraction[0], fullLoadAmps * CURRENT.lockedFraction[1]]
  const base = {
    subject: 'locked-rotor current',
    value: amps,
    unit: 'A' as const,
    low,
    high,
    margin: Math.min((amps - low) / low, (high - amps) / high),
    basis: CURRENT.basis,
  }
  if (amps > high)
    return { ...base, verdict: 'failed', because: `above ${formatNumber(high)} A: shorted turns are possible` }
  if (amps < low)
    return {
      ...base,
      verdict: 'unclear',
      because: `below ${formatNumber(low)} A: the rotor may have turned, or a winding is missing`,
    }
  return {
    ...base,
    verdict: 'unclear',
    because:
      `${formatNumber(amps / fullLoadAmps, 2)} times full load: ` +
      'the rotor is not turning, the winding takes current',
  }
}
