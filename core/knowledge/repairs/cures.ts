import type { Basis } from '../../judgement/judgement'

/**
 * Minutes before pressure on a solvent-cemented PVC joint: by the pipe’s nominal size, inches, and the coldest of air
 * and pipe, °C.
 */
export const CEMENT_CURE: {
  basis: Basis
  damp: { factor: number; abovePercent: number }
  sizes: readonly { upToInches: number; minutes: readonly { fromCelsius: number; minutes: number }[] }[]
} = {
  basis: {
    kind: 'common-practice',
    name: 'usual table for medium PVC cement below 160 psi, from memory: the can’s own table wins',
  },
  damp: { factor: 1.5, abovePercent: 60 },
  sizes: [
    {
      upToInches: 1.25,
      minutes: [
        { fromCelsius: 16, minutes: 15 },
        { fromCelsius: 5, minutes: 20 },
        { fromCelsius: -18, minutes: 30 },
      ],
    },
    {
      upToInches: 2,
      minutes: [
        { fromCelsius: 16, minutes: 30 },
        { fromCelsius: 5, minutes: 45 },
        { fromCelsius: -18, minutes: 60 },
      ],
    },
    {
      upToInches: 3,
      minutes: [
        { fromCelsius: 16, minutes: 60 },
        { fromCelsius: 5, minutes: 90 },
        { fromCelsius: -18, minutes: 120 },
      ],
    },
    {
      upToInches: 8,
      minutes: [
        { fromCelsius: 16, minutes: 120 },
        { fromCelsius: 5, minutes: 240 },
        { fromCelsius: -18, minutes: 480 },
      ],
    },
  ],
}
/** What stands where nobody measured. */
export const USUAL_JOINT = { pipeInches: 1.5, celsius: 12 }

/**
 * A retaining compound between a bearing and a worn shaft: the diametral clearance that it fills, mm, and its minutes
 * until it may be handled and loaded.
 */
export const RETAINING_COMPOUND = {
  snugMm: 0.005,
  fillsMm: 0.1,
  handleMinutes: 30,
  loadHours: 24,
  basis: {
    kind: 'common-practice',
    name: 'usual limit of a retaining compound for a worn fit: its own sheet wins',
  } as Basis,
}
/** A motor shell that a hand cannot rest on: minutes until it can. Common practice. */
export const COOLING_MINUTES = 30
