import type { Basis } from '../../judgement/judgement'
import type { Kind, MotorType } from '../vocabulary'

/** Full-load amps of single-phase motors at 230 V by horsepower; at other voltages they go inversely. */
export const FULL_LOAD_AMPS_230: readonly (readonly [horsepower: number, amps: number])[] = [
  [1 / 6, 2.2],
  [1 / 4, 2.9],
  [1 / 3, 3.6],
  [1 / 2, 4.9],
  [3 / 4, 6.9],
  [1, 8],
  [1.5, 10],
  [2, 12],
  [3, 17],
  [5, 28],
  [7.5, 40],
  [10, 50],
]
/** Three phases at 230 V. */
export const FULL_LOAD_AMPS_230_THREE_PHASE: readonly (readonly [horsepower: number, amps: number])[] = [
  [1 / 2, 2.2],
  [3 / 4, 3.2],
  [1, 4.2],
  [1.5, 6],
  [2, 6.8],
  [3, 9.6],
  [5, 15.2],
  [7.5, 22],
  [10, 28],
]
/** The table's other columns as multiples of the 230 V one; any other voltage goes inversely. */
export const FULL_LOAD_COLUMNS: readonly { volts: readonly [number, number]; multiple: number }[] = [
  { volts: [110, 120], multiple: 2 },
  { volts: [200, 200], multiple: 1.15 },
  { volts: [208, 208], multiple: 1.1 },
  { volts: [220, 240], multiple: 1 },
]
export const FULL_LOAD_BASIS: Basis = { kind: 'standard', name: 'NEC table 430.248, single phase (from memory)' }

/** Usual run capacitor by horsepower at 230 V, microfarads. */
export const RUN_CAPACITOR_230: readonly (readonly [horsepower: number, microfarads: number])[] = [
  [1 / 3, 10],
  [1 / 2, 15],
  [3 / 4, 20],
  [1, 30],
  [1.5, 35],
  [2, 40],
  [3, 50],
  [5, 70],
]
/** Usual start capacitor by horsepower at 230 V, the printed range in microfarads. */
export const START_CAPACITOR_230: readonly (readonly [horsepower: number, low: number, high: number])[] = [
  [1 / 3, 43, 53],
  [1 / 2, 59, 71],
  [3 / 4, 86, 103],
  [1, 105, 126],
  [1.5, 108, 130],
  [2, 124, 149],
  [3, 161, 193],
  [5, 270, 324],
]
export const CAPACITOR_MODEL_BASIS: Basis = { kind: 'shop', name: 'usual capacitor for this horsepower, shop estimate' }

/**
 * Run winding of a 1 hp motor at 230 V, ohms at 20 °C; goes with volts² and inversely with horsepower. Start winding as
 * a multiple.
 */
export const WINDING_MODEL = {
  runOhmsOneHorsepower230: 2.1,
  startMultiple: {
    'split-phase': 4,
    'capacitor-start': 2.6,
    'permanent-split': 2,
    'capacitor-start-run': 2.2,
    electronic: 1,
  } satisfies Record<MotorType, number>,
  /** A 3-wire submersible, whose capacitor sits in its box: 3.5 to 4.5 times the main winding. */
  startMultipleOfBox: 4,
  basis: { kind: 'common-practice', name: 'typical winding by horsepower and voltage, estimated' } as Basis,
}

/**
 * How far a guessed figure may lie from the real one, as a share of it: what is read against it tells the less. A start
 * can of a dual-voltage motor is also met at twice the value: the winding half that it feeds is a 115 V one.
 */
export const GUESS_SPREAD = {
  fullLoadAmps: 0.15,
  runCapacitor: 0.3,
  startCapacitor: 0.2,
  startCapacitorAlsoTimes: 2,
  runWinding: 0.28,
  startWinding: 0.3,
  pressureSwitchPsi: 7,
  basis: { kind: 'shop', name: 'how machines of one horsepower differ, shop estimate' } as Basis,
}

/** What else is taken where the plate is silent. */
export const PLATE_FILLING = {
  hertz: 60,
  /** Above these volts of the motor a run capacitor is of the higher class. */
  runCapacitor: { above: 150, volts: 370, belowVolts: 250 },
  ageYears: 6,
  basis: { kind: 'shop', name: 'what a silent plate most likely means, shop estimate' } as Basis,
}

/** What a machine most often is when the plate cannot be read. */
export interface UsualMotor {
  motorType: MotorType
  horsepower: number
  serviceFactor: number
  dutyHoursPerDay: number
}
export const USUAL_MOTOR: Record<Kind, UsualMotor> = {
  pool: { motorType: 'capacitor-start-run', horsepower: 1, serviceFactor: 1.25, dutyHoursPerDay: 8 },
  booster: { motorType: 'capacitor-start', horsepower: 0.75, serviceFactor: 1.5, dutyHoursPerDay: 3 },
  spa: { motorType: 'permanent-split', horsepower: 1.5, serviceFactor: 1, dutyHoursPerDay: 4 },
  'well-two-wire': { motorType: 'permanent-split', horsepower: 0.5, serviceFactor: 1.6, dutyHoursPerDay: 2 },
  'well-three-wire': { motorType: 'capacitor-start', horsepower: 1, serviceFactor: 1.4, dutyHoursPerDay: 2 },
  jet: { motorType: 'capacitor-start', horsepower: 0.75, serviceFactor: 1.5, dutyHoursPerDay: 2 },
  sump: { motorType: 'permanent-split', horsepower: 1 / 3, serviceFactor: 1, dutyHoursPerDay: 0.5 },
  circulation: { motorType: 'permanent-split', horsepower: 0.5, serviceFactor: 1, dutyHoursPerDay: 24 },
  utility: { motorType: 'permanent-split', horsepower: 0.5, serviceFactor: 1, dutyHoursPerDay: 8 },
}
export const USUAL_BASIS: Basis = { kind: 'shop', name: 'most machines of this kind, shop estimate' }

/**
 * The largest share of capacitor voltage over line voltage that the bleed time reckons with (a run capacitor sees about
 * 1.6 × the line).
 */
export const CAPACITOR_WORKING_RATIO = 1.6

/** Watts of one volt-ampere at full load. */
export const POWER_FACTORS: Readonly<Record<MotorType, number>> = {
  'split-phase': 0.68,
  'capacitor-start': 0.7,
  'capacitor-start-run': 0.93,
  'permanent-split': 0.93,
  electronic: 0.95,
}
export const POWER_FACTORS_BASIS: Basis = {
  kind: 'common-practice',
  name: 'from memory: power factor of small single-phase motors at full load, by type; the meter of the house wins',
}
