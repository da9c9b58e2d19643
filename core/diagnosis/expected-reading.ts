import type { Basis } from '../judgement/judgement'
import { PRESSURES } from '../knowledge/water/pressures'
import { RUNOUT_INCHES, SUBMERSIBLE_SHAFT } from '../knowledge/mechanical/limits'
import { BATTERY_VOLTS } from '../knowledge/electrical/limits'
import type { Pump } from '../motor/nameplate'
import { METRES_PER_FOOT, PSI_PER_METRE_OF_WATER } from '../quantity/conversions'

/** Between what a reading should lie, in the check's own unit. */
export interface ReadingBand {
  low?: number
  high?: number
  basis: Basis
}

/**
 * What the gauge should show with the outlet shut: the curve's head at no flow, less the lift to the gauge.
 *
 * @returns psi; undefined without a curve, or where the lift takes all of it
 */
export function shutoffPsi({ installation }: Pick<Pump, 'installation'>): number | undefined {
  const curve = installation?.pumpCurve
  if (!curve || curve.length === 0) return undefined
  const head = Math.max(...curve.map(({ headMetres }) => headMetres)) - (installation.liftMetres ?? 0)
  return head > 0 ? head * PSI_PER_METRE_OF_WATER : undefined
}

/**
 * What the suction gauge of a sound jet pump should show: its lift and its line's friction.
 *
 * @returns inHg, and how far it may lie from that where nobody knows the lift
 * @source a foot of water is 0.883 inHg
 */
export function jetVacuum({ installation }: Pick<Pump, 'installation'>): { inHg: number; spread: number } {
  const { inHgPerFoot, frictionInHg, usualLiftFeet, usualSpreadInHg, twoPipeFromFeet, twoPipeInHg } =
    PRESSURES.jetVacuum
  const metres = installation?.liftMetres
  if (metres === undefined) return { inHg: usualLiftFeet * inHgPerFoot + frictionInHg, spread: usualSpreadInHg }
  const feet = metres / METRES_PER_FOOT
  return { inHg: feet > twoPipeFromFeet ? twoPipeInHg : feet * inHgPerFoot + frictionInHg, spread: 0 }
}

/** Cells of a backup battery: 12 V unless it reads like 24. A dead one is never taken for a smaller one. */
export function batteryCells(volts: number): number {
  return volts > BATTERY_VOLTS.sixCellsUpTo ? 12 : 6
}

/** The band of a check that asks nothing of this machine but its kind and lift; undefined where there is none. */
export function plainBand(
  check: string,
  { kind, installation }: Pick<Pump, 'kind' | 'installation'>,
): ReadingBand | undefined {
  const { filterHighPsi, vacuum } = PRESSURES
  const { heightInches, endPlayInches } = SUBMERSIBLE_SHAFT
  switch (check) {
    case 'filter-pressure':
      return { high: filterHighPsi.value, basis: filterHighPsi.basis }
    case 'suction-vacuum': {
      if (kind !== 'jet') return { low: vacuum.lowInHg, high: vacuum.highInHg, basis: vacuum.basis }
      const { toleranceInHg, basis } = PRESSURES.jetVacuum
      const { inHg, spread } = jetVacuum({ installation })
      const half = toleranceInHg + spread
      return { low: Math.max(0, inHg - half), high: inHg + half, basis }
    }
    case 'shaft-height':
      return { low: heightInches[0], high: heightInches[1], basis: SUBMERSIBLE_SHAFT.basis }
    case 'end-play':
      return { low: endPlayInches[0], high: endPlayInches[1], basis: SUBMERSIBLE_SHAFT.basis }
    case 'shaft-runout':
      return { high: RUNOUT_INCHES.high, basis: RUNOUT_INCHES.basis }
    default:
      return undefined
  }
}
