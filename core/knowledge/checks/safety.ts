import type { Basis } from '../../judgement/judgement'
import type { Check } from './checks'

/** Why a check may not be lit, whatever it would tell. Each is said on the card while it holds. */
export const SAFETY = {
  tripped: {
    reason: 'No power and no reset until insulation has been read, dead: it has tripped.',
    basis: { kind: 'common-practice', name: 'after a trip, insulation first; one reset at most, after it passed' },
  },
  grounded: {
    reason: 'No power: it reads to ground. Split the fault off, dead, and read it again.',
    basis: { kind: 'common-practice', name: 'nothing that reads to ground is energised' },
  },
  seized: {
    reason: 'No power: the shaft is seized. A stalled motor burns in a minute.',
    basis: { kind: 'common-practice', name: 'nothing seized is energised' },
  },
  flooded: {
    reason: 'No power: there is water in it. Dry and read its insulation first.',
    basis: { kind: 'common-practice', name: 'nothing flooded is energised' },
  },
  lowVolts: {
    reason: 'No amps: the supply lies 14 % or more under the plate. Mend it first; meanwhile the motor cooks.',
    basis: { kind: 'common-practice', name: 'a motor is not loaded on volts 14 % low' },
  },
  wetFloor: {
    reason: 'Wet floor: the outlet and its ground first, from a dry place.',
    basis: { kind: 'common-practice', name: 'on a flooded floor power is judged from a dry place' },
  },
} as const satisfies Record<string, { reason: string; basis: Basis }>
export type SafetyRule = keyof typeof SAFETY

/** Amps that are not read on low volts. */
export const AMPS_CHECKS: ReadonlySet<string> = new Set<Check>(['running-current', 'locked-current', 'lead-current'])
/** Live, and yet the motor takes no part: at the outlet with its plug out, in the panel, on the drive’s own display. */
export const MOTOR_STAYS_OFF: ReadonlySet<string> = new Set<Check>(['outlet-voltage', 'breaker-voltage', 'drive-error'])
/** A hand here is in the space that holds the capacitor: the motor's rear or top cover, or the box of a 3-wire well. */
export const BESIDE_A_CAPACITOR: Readonly<Record<'motor' | 'box', ReadonlySet<string>>> = {
  motor: new Set<Check>([
    'capacitance',
    'capacitor-look',
    'wiring-look',
    'start-switch-look',
    'thermal-protector-continuity',
    'selector-setting',
    'winding-resistance',
    'winding-look',
    'insulation-resistance',
    'ground-ohmmeter',
    'fan-look',
    'shaft-turn',
    'shaft-rock',
    'conduit-look',
  ]),
  box: new Set<Check>([
    'capacitance',
    'capacitor-look',
    'relay-look',
    'wiring-look',
    'control-box-swap',
    'winding-resistance',
    'insulation-resistance',
    'ground-ohmmeter',
  ]),
}
