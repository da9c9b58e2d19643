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
    /** What a pump without a sheet makes with the outlet shut, over its cut-out, and how far it may lie from it. */
    overCutOut: 1.5,
    overCutOutSpread: 0.25,
    basis: { kind: 'common-practice', name: 'shut-off within about 15 % of the curve' } as Basis,
  },
  /** A jet pump's vacuum is its lift and the friction of its line: 5 ft of lift reads about 6 inHg. */
  jetVacuum: {
    inHgPerFoot: 0.883,
    frictionInHg: 1.6,
    toleranceInHg: 4,
    /** Where nobody knows the lift. */
    usualLiftFeet: 15,
    usualSpreadInHg: 5,
    /** Lifts beyond this are made by an ejector in the well on two pipes: then the suction reads near nothing. */
    twoPipeFromFeet: 26,
    twoPipeInHg: 2,
    basis: {
      kind: 'handbook',
      name: 'a foot of water is 0.883 inHg, and an inch or two of friction; two-pipe jets lift by pressure',
    } as Basis,
  },
  /** What a jet pump on one pipe can lift at sea level. */
  jetLift: { feet: 25, basis: { kind: 'common-practice', name: 'about 25 ft at sea level' } as Basis },
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
