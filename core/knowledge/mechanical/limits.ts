import type { Basis } from '../../judgement/judgement'

export const SUBMERSIBLE_SHAFT = {
  heightInches: [1.498, 1.508] as const,
  endPlayInches: [0.01, 0.045] as const,
  basis: { kind: 'standard', name: 'NEMA 4-inch flange (from memory)' } as Basis,
}
export const RUNOUT_INCHES = {
  high: 0.004,
  basis: { kind: 'shop', name: 'shaft runout at the seal, shop estimate' } as Basis,
}
