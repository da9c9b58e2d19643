import type { Chance } from '../quantity/random'

/** An instrument: what share of the reading and how much beside it may be wrong, and the steps of its display. */
export interface Instrument {
  share: number
  floor: number
  step: number
}

export const INSTRUMENTS = {
  volts: { share: 0.006, floor: 0.3, step: 0.1 },
  amps: { share: 0.015, floor: 0.05, step: 0.01 },
  inrush: { share: 0.05, floor: 0.2, step: 0.1 },
  ohms: { share: 0.008, floor: 0.06, step: 0.1 },
  microfarads: { share: 0.01, floor: 0.1, step: 0.1 },
  megohms: { share: 0.05, floor: 0.001, step: 0.001 },
  psi: { share: 0.01, floor: 0.4, step: 0.5 },
  vacuum: { share: 0.02, floor: 0.3, step: 0.5 },
  inches: { share: 0, floor: 0.0012, step: 0.0005 },
  feeler: { share: 0, floor: 0.0008, step: 0.001 },
  seconds: { share: 0.03, floor: 0.5, step: 1 },
  feet: { share: 0.005, floor: 0.3, step: 1 },
  gpm: { share: 0.05, floor: 0.1, step: 0.1 },
  batteryVolts: { share: 0.003, floor: 0.01, step: 0.01 },
} as const satisfies Record<string, Instrument>

/** A reading of a true value: normal error of accuracy/2, then the display's step; never below zero. */
export function read(instrument: Instrument, value: number, chance: Chance): number {
  const wrong = Math.hypot(instrument.share * value, instrument.floor) / 2
  const shown = Math.round(Math.max(0, chance.normal(value, wrong)) / instrument.step) * instrument.step
  return Number(shown.toFixed(5))
}

/** How seldom eyes, ears and hands take one thing for another. */
export const SLIP = 0.012
