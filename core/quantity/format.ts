import { UNIT_LABELS, type Unit } from './units'

/**
 * A number as a technician would write it: three significant figures, no trailing noise, never exponent notation.
 *
 * @example formatNumber(41.2345) // '41.2'
 * @example formatNumber(0.0213) // '0.0213'
 */
export function formatNumber(value: number, significant = 3): string {
  if (value === 0) return '0'
  const magnitude = Math.floor(Math.log10(Math.abs(value)))
  const decimals = Math.max(0, Math.min(6, significant - 1 - magnitude))
  const text = value.toFixed(decimals)
  return text.includes('.') ? text.replace(/0+$/, '').replace(/\.$/, '') : text
}

/** A value with its printed unit. `null` is how a meter's over-range is kept: "open". */
export function formatQuantity(value: number | null, unit: Unit | undefined, significant?: number): string {
  if (value === null) return 'open'
  return unit ? `${formatNumber(value, significant)} ${UNIT_LABELS[unit]}` : formatNumber(value, significant)
}

/**
 * A probability as whole percent, with the ends kept honest: never "0 %" or "100 %" for what is not certain. The space
 * does not break.
 */
export function formatPercent(probability: number): string {
  if (probability <= 0) return '0\u00a0%'
  if (probability >= 1) return '100\u00a0%'
  if (probability < 0.01) return 'under 1\u00a0%'
  if (probability > 0.99) return 'over 99\u00a0%'
  return formatShare(probability)
}

/** A ratio as percent, of any size: half more is 50 %, four times as much 400 %. The space does not break. */
export function formatShare(ratio: number): string {
  return `${Math.round(ratio * 100)}\u00a0%`
}

/** Minutes as hours and minutes, `0:45`; `–:––`, which takes as much room, while they are not known yet. */
export function formatMinutes(minutes: number | undefined): string {
  if (minutes === undefined) return '–:––'
  const whole = Math.max(0, Math.round(minutes))
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}

/** Seconds for a wait: `4 s`, `2 min 10 s`. */
export function formatSeconds(seconds: number): string {
  const whole = Math.ceil(seconds)
  if (whole < 60) return `${whole} s`
  const rest = whole % 60
  return rest === 0 ? `${Math.floor(whole / 60)} min` : `${Math.floor(whole / 60)} min ${rest} s`
}
