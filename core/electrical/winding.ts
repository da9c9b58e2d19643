import { METALS, WINDING } from '../knowledge/electrical/limits'
import type { Basis, PlainJudgement, Verdict } from '../judgement/judgement'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { formatNumber } from '../quantity/format'

export type Metal = keyof typeof METALS

/**
 * Resistance of a conductor brought to another temperature: R₂ = R₁ · (1 + α(T₂−20)) / (1 + α(T₁−20)).
 *
 * @source IEC 60028, annealed copper
 * @throws InputError when either temperature is at or below the point where the law reaches zero resistance
 */
export function correctResistance(
  ohms: number,
  celsius: number,
  toCelsius: number,
  material: Metal = 'copper',
): number {
  const alpha = METALS[material].alphaPer20
  const factor = (temperature: number, field: string): number => {
    const value = 1 + alpha * (temperature - 20)
    if (value <= 0)
      throw badField(field, temperature, say`above ${q(20 - 1 / alpha, 'temperature')}, where the law still holds`)
    return value
  }
  return (ohms * factor(toCelsius, 'toCelsius')) / factor(celsius, 'celsius')
}

export interface WindingRange {
  low: number
  high: number
  basis: Basis
}

/** Judges one winding's ohms at 20 °C against a range; `null` is an open reading. */
export function judgeWinding(subject: string, ohms: number | null, range: WindingRange): PlainJudgement {
  const base = { subject, value: ohms, unit: 'ohm' as const, low: range.low, high: range.high, basis: range.basis }
  if (ohms === null || ohms >= WINDING.openOhms)
    return {
      ...base,
      value: null,
      verdict: 'failed',
      because:
        'open: burnt open, an open joint, or a thermal protector that is still hot (let it cool and measure again)',
    }
  const margin = Math.min((ohms - range.low) / range.low, (range.high - ohms) / range.high)
  const limits = `${formatNumber(range.low)} to ${formatNumber(range.high)} Ω`
  // The meter itself cannot tell values apart that are nearer than its own error.
  if (ohms < range.low - WINDING.meterOhms) {
    const verdict: Verdict = ohms < range.low * (1 - WINDING.shortedFraction) ? 'failed' : 'tired'
    return {
      ...base,
      verdict,
      margin,
      because: `below ${limits}: shorted turns${verdict === 'tired' ? ' are possible' : ''}`,
    }
  }
  if (ohms > range.high + WINDING.meterOhms) {
    const verdict: Verdict = ohms > range.high * (1 + WINDING.shortedFraction) ? 'failed' : 'tired'
    return { ...base, verdict, margin, because: `above ${limits}: a bad joint, or a hot winding` }
  }
  return { ...base, verdict: 'sound', margin, because: `inside ${limits}` }
}

export interface ThreeLeads {
  common?: string
  run?: string
  start?: string
  runOhms?: number
  startOhms?: number
  sumErrorPercent?: number
  openLead?: string
  remainingOhms?: number
  verdict: Verdict
  because: string
}

/**
 * Names the leads of a two-winding motor from its three pair readings.
 *
 * The largest pair is run + start in series; the lead not in it is common; of the other two pairs the larger is start.
 *
 * @param pairs ohms by pair of lead names joined with `-`; null where the meter reads open
 * @param options.cableOhms resistance of the loop, taken off every pair
 * @param options.tolerancePercent how far the largest may miss the sum of the other two; default 8
 * @throws InputError when there are not exactly three pairs over three names, or a reading is not above the cable's
 */
export function identifyLeads(
  pairs: Readonly<Record<string, number | null>>,
  options: { cableOhms?: number; tolerancePercent?: number } = {},
): ThreeLeads {
  const { cableOhms = 0, tolerancePercent = WINDING.sumTolerancePercent } = options
  const readings = Object.entries(pairs).map(([name, ohms]) => {
    const leads = name.split('-')
    if (leads.length !== 2 || !leads[0] || !leads[1] || leads[0] === leads[1])
      throw badField(`ohms.${name}`, ohms, 'pairs of two different lead names joined by a hyphen, such as "1-2"')
    if (ohms !== null && (!Number.isFinite(ohms) || ohms - cableOhms <= 0))
      throw badField(
        `ohms.${name}`,
        ohms,
        `a resistance above ${cableOhms > 0 ? `the cable's ${cableOhms}` : '0'} Ω, or null for open`,
      )
    return { name, leads: leads as [string, string], ohms: ohms === null ? null : ohms - cableOhms }
  })
  const names = [...new Set(readings.flatMap(({ leads }) => leads))]
  if (readings.length !== 3 || names.length !== 3)
    throw badField('ohms', pairs, 'three pairs over three leads: "1-2", "2-3" and "1-3"')

  const open = readings.filter(({ ohms }) => ohms === null)
  if (open.length > 0) return openPattern(readings, names, open.length)

  const sorted = [...readings].sort((a, b) => (b.ohms as number) - (a.ohms as number))
  const [largest, middle, smallest] = sorted as [
    (typeof readings)[number],
    (typeof readings)[number],
    (typeof readings)[number],
  ]
  const rest = (middle.ohms as number) + (smallest.ohms as number)
  const sumErrorPercent = (100 * ((largest.ohms as number) - rest)) / rest
  if (Math.abs(sumErrorPercent) > tolerancePercent) {
    return {
      sumErrorPercent,
      verdict: 'failed',
      because:
        `the largest pair misses the sum of the other two by ${formatNumber(Math.abs(sumErrorPercent))} %: a ` +
        'shorted winding, a bad joint, or a reading to repeat',
    }
  }
  const common = names.find((lead) => !largest.leads.includes(lead)) as string
  const other = (pair: (typeof readings)[number]): string => pair.leads.find((lead) => lead !== common) as string
  const apart = (100 * ((middle.ohms as number) - (smallest.ohms as number))) / (smallest.ohms as number)
  if (apart < WINDING.apartPercent) {
    return {
      common,
      sumErrorPercent,
      verdict: 'unclear',
      because: `the two windings are within ${formatNumber(apart)} % of each other: ohms cannot tell run from start`,
    }
  }
  return {
    common,
    run: other(smallest),
    start: other(middle),
    runOhms: smallest.ohms as number,
    startOhms: middle.ohms as number,
    sumErrorPercent,
    verdict: 'sound',
    because:
      `${common} is common, ${other(smallest)} run, ${other(middle)} start; the sum agrees within ` +
      `${formatNumber(Math.abs(sumErrorPercent))} %`,
  }
}

function openPattern(
  readings: readonly { leads: [string, string]; ohms: number | null }[],
  names: readonly string[],
  openCount: number,
): ThreeLeads {
  if (openCount === 2) {
    const remaining = readings.find(({ ohms }) => ohms !== null)
    const openLead = names.find((lead) => !remaining?.leads.includes(lead)) as string
    return {
      openLead,
      remainingOhms: remaining?.ohms as number,
      verdict: 'failed',
      because: `lead ${openLead} is open: its winding, its joint or its wire`,
    }
  }
  if (openCount === 3)
    return {
      verdict: 'failed',
      because: 'every pair reads open: the common lead, the cable, or a thermal protector that is still hot',
    }
  return {
    verdict: 'unclear',
    because: 'one pair alone cannot be open while the other two carry: repeat the reading with clean probes',
  }
}
