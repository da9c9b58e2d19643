import type { Basis } from '../../judgement/judgement'

export interface PipeFamily {
  label: string
  roughnessMillimetres: number
  hazenWilliamsC: number
  inside: Readonly<Record<string, number>>
  basis: Basis
}

const mm = (inches: Readonly<Record<string, number>>): Record<string, number> =>
  Object.fromEntries(Object.entries(inches).map(([size, inside]) => [size, inside * 25.4]))
const iron = {
  '0.5': 0.622,
  '0.75': 0.824,
  '1': 1.049,
  '1.25': 1.38,
  '1.5': 1.61,
  '2': 2.067,
  '2.5': 2.469,
  '3': 3.068,
  '4': 4.026,
}

/** Pipes by material and nominal size: inside millimetres, roughness and the usual C of Hazen and Williams. */
export const PIPE_FAMILIES = {
  'pvc-40': {
    label: 'PVC, schedule 40',
    roughnessMillimetres: 0.0015,
    hazenWilliamsC: 150,
    inside: mm(iron),
    basis: { kind: 'standard', name: 'ASTM D1785 schedule 40, nominal inside (from memory)' },
  },
  'pvc-80': {
    label: 'PVC, schedule 80',
    roughnessMillimetres: 0.0015,
    hazenWilliamsC: 150,
    inside: mm({
      '0.5': 0.546,
      '0.75': 0.742,
      '1': 0.957,
      '1.25': 1.278,
      '1.5': 1.5,
      '2': 1.939,
      '2.5': 2.323,
      '3': 2.9,
      '4': 3.826,
    }),
    basis: { kind: 'standard', name: 'ASTM D1785 schedule 80, nominal inside (from memory)' },
  },
  'pe-sidr': {
    label: 'polyethylene, by its inside (SIDR)',
    roughnessMillimetres: 0.0015,
    hazenWilliamsC: 150,
    inside: mm({ '0.5': 0.622, '0.75': 0.824, '1': 1.049, '1.25': 1.38, '1.5': 1.61, '2': 2.067 }),
    basis: { kind: 'standard', name: 'ASTM D2239 SIDR polyethylene (from memory)' },
  },
  'pe-sdr11': {
    label: 'polyethylene, metric SDR 11',
    roughnessMillimetres: 0.0015,
    hazenWilliamsC: 150,
    inside: { '25 mm': 20.4, '32 mm': 26.2, '40 mm': 32.6, '50 mm': 40.8, '63 mm': 51.4, '75 mm': 61.4, '90 mm': 73.6 },
    basis: { kind: 'standard', name: 'ISO 4427 SDR 11 polyethylene (from memory)' },
  },
  'copper-l': {
    label: 'copper, type L',
    roughnessMillimetres: 0.0015,
    hazenWilliamsC: 140,
    inside: mm({
      '0.5': 0.545,
      '0.75': 0.785,
      '1': 1.025,
      '1.25': 1.265,
      '1.5': 1.505,
      '2': 1.985,
      '2.5': 2.465,
      '3': 2.945,
    }),
    basis: { kind: 'standard', name: 'ASTM B88 type L (from memory)' },
  },
  galvanised: {
    label: 'galvanised steel',
    roughnessMillimetres: 0.15,
    hazenWilliamsC: 120,
    inside: mm(iron),
    basis: { kind: 'standard', name: 'ASME B36.10 schedule 40 (from memory); roughness 0.15 mm, new' },
  },
} as const satisfies Record<string, PipeFamily>
export type PipeFamilyId = keyof typeof PIPE_FAMILIES

/** Every nominal size of any family, for a choice that keeps its place when the material changes. */
export const PIPE_SIZES: readonly string[] = bySize([
  ...new Set(Object.values(PIPE_FAMILIES).flatMap(({ inside }) => Object.keys(inside))),
])

/** Nominal sizes as they lie on the shelf: inches first, each smallest first. */
export function bySize(sizes: readonly string[]): string[] {
  const isMetric = (size: string) => (size.endsWith('mm') ? 1 : 0)
  return [...sizes].sort((a, b) => isMetric(a) - isMetric(b) || Number.parseFloat(a) - Number.parseFloat(b))
}

/** Loss coefficients of fittings, by v²/2g. */
export const FITTINGS = {
  elbow: 0.9,
  'check-valve': 2.5,
  'foot-valve': 1.5,
  entrance: 0.5,
  exit: 1,
  'ball-valve': 0.05,
  'tee-branch': 1.8,
  union: 0.08,
  basis: { kind: 'handbook', name: 'usual K of threaded fittings (from memory)' } as Basis,
} as const
