import type { Basis } from '../../judgement/judgement'
import { SUBMERGED, type Kind } from '../vocabulary'
import type { Check } from './checks'

/** What of a well pump can be looked at only once the string is up. */
export const WELL_CHECKS_OUT: ReadonlySet<string> = new Set<Check>([
  'shaft-turn',
  'connector-look',
  'motor-fill-look',
  'intake-look',
  'coupling-turn',
  'stack-look',
  'end-play',
  'shaft-height',
  'capacitance',
  'capacitor-look',
])
/** What of a sump pump can be looked at only out of the pit. */
export const SUMP_CHECKS_OUT: ReadonlySet<string> = new Set<Check>([
  'shaft-turn',
  'impeller-look',
  'connector-look',
  'motor-fill-look',
  'winding-smell',
  'intake-look',
])
/** Kinds that stand in their water, or in a closed loop that is full: nobody primes them. */
export const UNPRIMED: ReadonlySet<Kind> = new Set<Kind>([...SUBMERGED, 'circulation'])
/** Kinds with a box beside the motor whose electronics a megohmmeter would destroy. */
export const WITH_BOX: ReadonlySet<Kind> = new Set<Kind>(['well-three-wire'])

/** What belongs to the place and is left behind with it when the machine stands on a bench. */
export const SITE_CHECKS: ReadonlySet<string> = new Set<Check>([
  'supply-voltage',
  'outlet-voltage',
  'breaker-voltage',
  'battery-voltage',
  'load-side-voltage',
  'drop-test',
  'breaker',
  'gfci',
  'interlock',
  'conduit-look',
  'tank-look',
  'tank-air',
  'tank-precharge',
  'cut-in',
  'cut-out',
  'cycle-time',
  'pressure-switch-contacts',
  'switch-nipple',
  'relief-valve',
  'valve-position',
  'house-leak',
  'house-filter',
  'filter-pressure',
  'check-valve',
  'prime-hold',
  'pot-look',
  'air-leak-test',
  'air-hole',
  'suction-vacuum',
  'joint-look',
  'weep-hole',
  'basket-look',
  'water-level',
  'water-look',
  'static-water-level',
  'pumping-water-level',
  'well-recovery',
  'float-bypass',
  'float-run',
  'float-move',
  'float-heights',
  'pit-look',
])
/** What needs it running under water: on a bench only the barrel has that. */
export const BARREL_CHECKS: ReadonlySet<string> = new Set<Check>([
  'running-current',
  'supply-voltage-loaded',
  'discharge-pressure',
  'shutoff-pressure',
  'flow',
  'listen',
  'lead-current',
])
/** What can be read on a motor that lies there without its pump. */
export const MOTOR_ALONE_CHECKS: ReadonlySet<string> = new Set<Check>([
  'capacitance',
  'capacitor-look',
  'winding-resistance',
  'winding-look',
  'winding-smell',
  'thermal-protector-continuity',
  'insulation-resistance',
  'ground-ohmmeter',
  'start-switch-look',
  'selector-setting',
  'shaft-turn',
  'shaft-rock',
  'shaft-look',
  'shaft-runout',
  'bearing-fit',
  'end-play',
  'motor-alone-listen',
  'fan-look',
  'wiring-look',
  'drive-error',
])

/** Minutes to bring a submerged machine to hand. */
export const PULLING = {
  sumpMinutes: 8,
  /** Rigging, and each metre of drop pipe. */
  wellMinutes: 15,
  wellMinutesPerMetre: 0.6,
  /** A well whose depth nobody knows. */
  usualWellMetres: 40,
  basis: { kind: 'shop', name: 'minutes to pull a pump, by the metre of drop pipe, shop estimate' } as Basis,
}
