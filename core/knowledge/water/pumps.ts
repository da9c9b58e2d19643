import type { Basis } from '../../judgement/judgement'

export interface PumpPoint {
  flowLitresPerSecond: number
  headMetres: number
  efficiency?: number
}
export interface ShelfPump {
  id: string
  label: string
  horsepower: number
  points: readonly PumpPoint[]
}

const curve = (...points: readonly (readonly [flow: number, head: number])[]): PumpPoint[] =>
  points.map(([flowLitresPerSecond, headMetres]) => ({ flowLitresPerSecond, headMetres }))

/**
 * Nobody's machines: round curves such as pumps of that size have, to think with until the maker's own curve is
 * entered.
 */
export const MADE_UP_BASIS: Basis = {
  kind: 'shop',
  name: 'made-up curve of the usual size: enter the curve of the pump itself',
}

/** Sump pumps by size, smallest first. */
export const SUMP_PUMPS: readonly ShelfPump[] = [
  {
    id: 'sump-quarter',
    label: 'quarter horsepower',
    horsepower: 0.25,
    points: curve([0, 6], [0.8, 5.1], [1.6, 3], [2.1, 1]),
  },
  {
    id: 'sump-third',
    label: 'third of a horsepower',
    horsepower: 0.33,
    points: curve([0, 7.6], [1.2, 6.2], [2.4, 3.4], [3, 1.2]),
  },
  { id: 'sump-half', label: 'half horsepower', horsepower: 0.5, points: curve([0, 9.4], [1.6, 7.6], [3.2, 4], [4, 1]) },
  {
    id: 'sump-three-quarter',
    label: 'three quarters of a horsepower',
    horsepower: 0.75,
    points: curve([0, 12.2], [2, 9.9], [4, 5.4], [5, 2]),
  },
]

export interface StageFamily {
  id: string
  label: string
  ratedLitresPerSecond: number
  from: number
  to: number
  stage: readonly PumpPoint[]
}
/** One stage of a 4-inch well pump, by the flow it is made for; `from` and `to` bound where it may run for long. */
export const STAGE_FAMILIES: readonly StageFamily[] = [
  {
    id: 'well-5',
    label: 'the 0.3 L/s (5 gpm) family',
    ratedLitresPerSecond: 0.32,
    from: 0.08,
    to: 0.44,
    stage: [
      { flowLitresPerSecond: 0, headMetres: 8.6, efficiency: 0 },
      { flowLitresPerSecond: 0.16, headMetres: 8, efficiency: 0.36 },
      { flowLitresPerSecond: 0.32, headMetres: 6.3, efficiency: 0.5 },
      { flowLitresPerSecond: 0.44, headMetres: 4.2, efficiency: 0.44 },
      { flowLitresPerSecond: 0.57, headMetres: 1.2, efficiency: 0.2 },
    ],
  },
  {
    id: 'well-10',
    label: 'the 0.6 L/s (10 gpm) family',
    ratedLitresPerSecond: 0.63,
    from: 0.19,
    to: 0.88,
    stage: [
      { flowLitresPerSecond: 0, headMetres: 8.8, efficiency: 0 },
      { flowLitresPerSecond: 0.32, headMetres: 8.1, efficiency: 0.42 },
      { flowLitresPerSecond: 0.63, headMetres: 6.5, efficiency: 0.57 },
      { flowLitresPerSecond: 0.88, headMetres: 4.3, efficiency: 0.5 },
      { flowLitresPerSecond: 1.1, headMetres: 1.6, efficiency: 0.26 },
    ],
  },
  {
    id: 'well-20',
    label: 'the 1.3 L/s (20 gpm) family',
    ratedLitresPerSecond: 1.26,
    from: 0.44,
    to: 1.77,
    stage: [
      { flowLitresPerSecond: 0, headMetres: 9, efficiency: 0 },
      { flowLitresPerSecond: 0.63, headMetres: 8, efficiency: 0.45 },
      { flowLitresPerSecond: 1.26, headMetres: 6.1, efficiency: 0.61 },
      { flowLitresPerSecond: 1.77, headMetres: 3.6, efficiency: 0.52 },
      { flowLitresPerSecond: 2.1, headMetres: 1.4, efficiency: 0.28 },
    ],
  },
  {
    id: 'well-35',
    label: 'the 2.2 L/s (35 gpm) family',
    ratedLitresPerSecond: 2.2,
    from: 0.95,
    to: 2.85,
    stage: [
      { flowLitresPerSecond: 0, headMetres: 8.4, efficiency: 0 },
      { flowLitresPerSecond: 1.1, headMetres: 7.3, efficiency: 0.5 },
      { flowLitresPerSecond: 2.2, headMetres: 5.2, efficiency: 0.64 },
      { flowLitresPerSecond: 2.85, headMetres: 3.2, efficiency: 0.55 },
      { flowLitresPerSecond: 3.4, headMetres: 1, efficiency: 0.25 },
    ],
  },
]
/** Submersible motors as they are sold, horsepower, and the service factor small ones carry. */
export const WELL_MOTORS = {
  horsepower: [0.5, 0.75, 1, 1.5, 2, 3, 5, 7.5, 10] as const,
  serviceFactor: (horsepower: number) =>
    horsepower <= 0.5
      ? 1.6
      : horsepower <= 0.75
        ? 1.5
        : horsepower <= 1
          ? 1.4
          : horsepower <= 1.5
            ? 1.3
            : horsepower <= 2
              ? 1.25
              : 1.15,
  basis: { kind: 'standard', name: 'NEMA MG 1 service factors of small submersible motors (from memory)' } as Basis,
}

/** A filter pump of one horsepower on a pool, at full speed. */
export const POOL_PUMP: ShelfPump = {
  id: 'pool-one',
  label: 'one horsepower filter pump',
  horsepower: 1,
  points: curve([0, 19.5], [2.2, 18], [4.4, 13.4], [6, 7.2]),
}
export const WELL_PUMP_STAGES = 12
