import type { Basis } from '../../judgement/judgement'

/** Default limits. A maker's figure entered on the nameplate wins over every row here. */

export interface SupplyLimits {
  toleranceFraction: number
  tiredFraction: number
  dropFraction: number
  /** Below this share of the plate there is no supply to speak of. */
  absentFraction: number
  tiredDropFraction: number
  /** More than this share of the plate lost from end to end of one joint is a poor joint. */
  jointDropFraction: number
  /** Where the supply lies so far under the plate no amps are read: the motor stalls and cooks meanwhile. */
  noAmpsBelowFraction: number
  basis: Basis
  dropBasis: Basis
}
export const SUPPLY: SupplyLimits = {
  toleranceFraction: 0.1,
  tiredFraction: 0.2,
  dropFraction: 0.05,
  absentFraction: 0.1,
  tiredDropFraction: 0.03,
  jointDropFraction: 0.02,
  noAmpsBelowFraction: 0.86,
  basis: { kind: 'standard', name: 'NEMA MG 1: ±10 % of nameplate volts at rated frequency' },
  dropBasis: { kind: 'standard', name: 'NEC informational note: 3 % on a branch, 5 % in all; local code decides' },
}

export const CURRENT = {
  /** Below this share of full load with the motor turning: dry, air-bound, throttled or uncoupled. */
  lowFraction: 2 / 3,
  /** Locked rotor, as multiples of full load. */
  lockedFraction: [4, 7] as const,
  /** Locked rotor, as shares of the plate's own locked-rotor amps where it gives them. */
  lockedPlateShare: [0.8, 1.2] as const,
  /** Assumed ratio of service-factor to full-load amps when the plate gives neither. */
  serviceFactorAmpsRatio: 1.15,
  basis: {
    kind: 'common-practice',
    name: 'full-load and service-factor amps of the plate; under two thirds is light',
  } as Basis,
}

export const CAPACITOR = {
  runTolerancePercent: 6,
  startHighFraction: 1.2,
  /** Share of the half-band next to the lower limit that counts as tired. */
  tiredFraction: 0.35,
  /** Below this share of the rating the can is open, above it shorted or mislabelled. */
  openFraction: 0.05,
  shortedFraction: 3,
  runBasis: { kind: 'common-practice', name: 'printed tolerance; ±6 % where none can be read' } as Basis,
  startBasis: { kind: 'common-practice', name: 'start type −0/+20 % of the lower printed figure' } as Basis,
  lookBasis: { kind: 'handbook', name: 'a bulged, leaking or burnt can is failed whatever it reads' } as Basis,
}

export const WINDING = {
  /** Largest pair against the sum of the other two. */
  sumTolerancePercent: 8,
  /** Two windings nearer than this cannot be told apart by ohms. */
  apartPercent: 8,
  /** Band round a maker's or modelled value when only one figure is known. */
  bandFraction: 0.15,
  /** Extra width where the figure is modelled from horsepower, not read. */
  modelBandFraction: 0.4,
  shortedFraction: 0.3,
  /** Meter resolution and lead error, ohms. */
  meterOhms: 0.1,
  openOhms: 1e5,
  basis: { kind: 'maker', name: 'maker’s range for this winding, at 20 °C' } as Basis,
  modelBasis: { kind: 'common-practice', name: 'typical winding for this horsepower and voltage, estimated' } as Basis,
}

/** Copper: temperature coefficient at 20 °C as inferred zero, and the constant of the resistance method. */
export const METALS = {
  copper: {
    alphaPer20: 0.00393,
    constant: 234.5,
    /** kg/m³ and J/(kg·K). */
    density: 8930,
    specificHeat: 385,
    basis: { kind: 'standard', name: 'IEC 60028: 0.00393 per K at 20 °C' } as Basis,
  },
  aluminium: {
    alphaPer20: 0.00403,
    constant: 228.1,
    basis: { kind: 'standard', name: 'IEC 60121, conductor aluminium: 0.00403 per K at 20 °C (from memory)' } as Basis,
  },
} as const

export type InsulationSetup = 'motor-alone' | 'motor-and-cable' | 'cable-alone' | 'surface-motor'
export interface InsulationLimits {
  soundMegohms: number
  failedMegohms: number
  correctedTo?: number
  newMegohms?: number
  basis: Basis
}
export const INSULATION: Record<InsulationSetup, InsulationLimits> = {
  'motor-alone': {
    soundMegohms: 20,
    failedMegohms: 10,
    newMegohms: 200,
    basis: { kind: 'common-practice', name: 'submersible motor out of the well, as read' },
  },
  'motor-and-cable': {
    soundMegohms: 2,
    failedMegohms: 0.5,
    basis: { kind: 'common-practice', name: 'motor and cable in the well, as read' },
  },
  'cable-alone': { soundMegohms: 100, failedMegohms: 10, basis: { kind: 'shop', name: 'cable alone, shop estimate' } },
  'surface-motor': {
    // IEEE 43 asks 100 MΩ of form-wound machines alone; a small random-wound one is sound far below that.
    soundMegohms: 20,
    failedMegohms: 5,
    newMegohms: 100,
    correctedTo: 40,
    basis: {
      kind: 'standard',
      name: 'IEEE 43: 5 MΩ at 40 °C for random-wound below 1 kV; the trade wants 20 of a used one, 100 of a new one',
    },
  },
}
/** Below the least, weak insulation does not show; the usual is what a reading should be repeated at. */
export const INSULATION_TEST = {
  leastVolts: 250,
  usualVolts: 500,
  basis: { kind: 'standard', name: 'IEEE 43: 500 V DC for windings rated below 1,000 V' } as Basis,
}
/** Ten-fold lower than the last reading is a warning even above the limit. */
export const INSULATION_TREND_FALL = 10

/**
 * Insulation temperature rules. `halving`: the resistance halves for every 10 °C.
 * `thermosetting`: exp(−4230·(1/(T+273) − 1/313)) between 40 and 85 °C and exp(−1245·(1/(T+273) − 1/313)) between 10
 * and 40 °C.
 */
export const INSULATION_RULES = {
  halving: {
    validCelsius: [0, 85] as const,
    basis: { kind: 'standard', name: 'IEEE 43, older thermoplastic insulation: halving per 10 °C' } as Basis,
  },
  thermosetting: {
    validCelsius: [10, 85] as const,
    lowExponent: 1245,
    highExponent: 4230,
    basis: { kind: 'standard', name: 'IEEE 43-2013, thermosetting insulation (from memory)' } as Basis,
  },
}

/** Voltage below which a capacitor may be touched with a meter proving it, and the bleed resistor taught here. */
export const BLEED = {
  ohms: 20_000,
  safeVolts: 5,
  watts: 5,
  basis: { kind: 'handbook', name: 'bleed resistor 20 kΩ 5 W, then prove below 5 V' } as Basis,
}

export const BATTERY_VOLTS = {
  perSix: { low: 2.05, failed: 1.95 },
  /** Up to this many volts it is taken for six cells, above it for twelve. */
  sixCellsUpTo: 18,
  basis: { kind: 'common-practice', name: 'lead-acid, volts per cell at rest' } as Basis,
}

/** So far outside an assumed limit a reading is plain whatever the plate would say, as multiples of the limit. */
export const PLAIN_WHATEVER = {
  underLow: 0.3,
  overHigh: 2.5,
  basis: { kind: 'shop', name: 'machines of one kind differ less than this, shop estimate' } as Basis,
}
