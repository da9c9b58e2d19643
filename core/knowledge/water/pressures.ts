import type { Basis } from '../../judgement/judgement'

/** Pressures, levels and cycles of the water side. What a machine’s own card says wins over every row here. */
export const PRESSURES = {
  precharge: {
    belowCutInPsi: 2,
    tolerancePsi: 2,
    failedBelowPsi: 8,
    basis: { kind: 'common-practice', name: 'precharge a little below cut-in, tank empty of water' } as Basis,
  },
  cutTolerancePsi: {
    value: 3,
    basis: { kind: 'common-practice', name: 'how closely a pressure switch repeats' } as Basis,
  },
  filterHighPsi: {
    value: 25,
    basis: { kind: 'common-practice', name: 'a filter above about 25 psi wants cleaning or is throttled' } as Basis,
  },
  /** Start to start. */
  cycleSeconds: {
    low: 60,
    sumpLow: 30,
    basis: { kind: 'common-practice', name: 'at least a minute from start to start; half a minute in a pit' } as Basis,
  },
  shutoff: {
    soundFraction: 0.85,
    basis: { kind: 'common-practice', name: 'shut-off within about 15 % of the curve' } as Basis,
  },
  jetVacuum: {
    lowInHg: 8,
    highInHg: 22,
    basis: { kind: 'shop', name: 'suction vacuum of a lifting jet pump, shop estimate' } as Basis,
  },
  waterOverIntake: {
    lowFraction: 0.08,
    basis: {
      kind: 'shop',
      name: 'water over the intake while pumping, share of the well’s depth, shop estimate',
    } as Basis,
  },
  /** What a switch is set to when nobody knows: the middle one of the three usual pairs. */
  usualSwitch: {
    cutInPsi: 30,
    cutOutPsi: 50,
    basis: { kind: 'common-practice', name: 'switches of 20/40, 30/50 and 40/60 psi' } as Basis,
  },
  vacuum: {
    lowInHg: 1,
    highInHg: 12,
    basis: { kind: 'shop', name: 'suction vacuum of a pool pump, shop estimate' } as Basis,
  },
}
