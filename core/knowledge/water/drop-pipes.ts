import type { Basis } from '../../judgement/judgement'

/** Density of what a drop pipe is made of, kg/m³. */
export const PIPE_MATERIALS = {
  pvc: 1400,
  polyethylene: 955,
  steel: 7850,
  galvanised: 7850,
  copper: 8960,
  stainless: 8000,
} as const
export type PipeMaterial = keyof typeof PIPE_MATERIALS
/**
 * Outside and inside diameters of iron-pipe-size pipe by nominal inches, millimetres: schedule 40 steel, and schedule
 * 80 plastic as drop pipes are threaded.
 */
export const DROP_PIPES: Readonly<
  Record<'steel' | 'plastic', Readonly<Record<string, readonly [outside: number, inside: number]>>>
> = {
  steel: { '0.75': [26.7, 20.9], '1': [33.4, 26.6], '1.25': [42.2, 35.1], '1.5': [48.3, 40.9], '2': [60.3, 52.5] },
  plastic: { '0.75': [26.7, 18.8], '1': [33.4, 24.3], '1.25': [42.2, 32.5], '1.5': [48.3, 38.1], '2': [60.3, 49.3] },
}
export const PIPE_BASIS: Basis = {
  kind: 'standard',
  name: 'ASME B36.10 schedule 40, ASTM D1785 schedule 80 (from memory); densities from handbooks',
}
