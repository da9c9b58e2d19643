import type { Basis } from '../../judgement/judgement'

/** Run capacitors by preferred value as a van carries them; the shop writes its own over this. */
export const VAN_CAPACITORS: readonly { microfarads: number; volts: number }[] = [
  { microfarads: 5, volts: 440 },
  { microfarads: 7.5, volts: 440 },
  { microfarads: 10, volts: 440 },
  { microfarads: 15, volts: 440 },
  { microfarads: 20, volts: 440 },
  { microfarads: 25, volts: 440 },
  { microfarads: 35, volts: 440 },
  { microfarads: 40, volts: 370 },
  { microfarads: 50, volts: 370 },
]
export const VAN_BASIS: Basis = { kind: 'shop', name: 'run capacitors of the usual preferred values, shop estimate' }
/** Preferred values of run capacitors, μF. */
export const PREFERRED_MICROFARADS: readonly number[] = [
  3, 4, 5, 6, 7.5, 10, 12.5, 15, 17.5, 20, 25, 30, 35, 40, 45, 50, 55, 60, 70, 80,
]
