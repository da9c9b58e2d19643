/** Between what a figure can be; `above` is exclusive. Rules at the edge and forms go by the same. */
export interface Bounds {
  above?: number
  min?: number
  max?: number
}

/** The figures of a nameplate. */
export const PLATE_BOUNDS = {
  volts: { above: 0, max: 700 },
  otherVolts: { above: 0, max: 700 },
  horsepower: { above: 0, max: 100 },
  serviceFactor: { min: 0.5, max: 3 },
  fullLoadAmps: { above: 0, max: 500 },
  serviceFactorAmps: { above: 0, max: 500 },
  lockedRotorAmps: { above: 0, max: 3000 },
  poles: { min: 2, max: 12 },
  rpm: { above: 0, max: 20_000 },
  runCapacitorMicrofarads: { above: 0, max: 2000 },
  runCapacitorVolts: { above: 0, max: 2000 },
  startCapacitorVolts: { above: 0, max: 2000 },
  capacitorTolerancePercent: { above: 0, max: 50 },
} as const satisfies Record<string, Bounds>

/** Hertz of the mains. */
export const MAINS_HERTZ = [50, 60] as const

/** The figures of a place, in SI. */
export const PLACE_BOUNDS = {
  cableMetres: { above: 0 },
  cutInPsi: { min: 0, max: 300 },
  cutOutPsi: { min: 0, max: 300 },
  tankLitres: { above: 0 },
  liftMetres: { min: 0 },
  pitDiameterMetres: { above: 0 },
  wellDepthMetres: { above: 0 },
  dutyHoursPerDay: { min: 0, max: 24 },
} as const satisfies Record<string, Bounds>

/** Does a figure lie within its bounds? */
export function within(value: number, { above = -Infinity, min = -Infinity, max = Infinity }: Bounds): boolean {
  return Number.isFinite(value) && value > above && value >= min && value <= max
}
