import type { Basis } from '../../judgement/judgement'
import { BEARING_BASIS } from '../mechanical/bearings'
import { RING_BASIS } from './o-rings'
import { choicesOf, type ChoiceRule, type Family, type NumberRule } from './family'

export const BEARING_FIT = {
  /** A caliper’s tenth: between two standard sizes there is a millimetre at least. */
  millimetres: 0.1,
  basis: BEARING_BASIS,
}
export const BEARING_MAKE_BASIS: Basis = {
  kind: 'common-practice',
  name: 'sealed both sides in a motor beside water; more clearance where it runs hot',
}
export const RING_FIT = {
  /** Of its section, millimetres: what lies between tolerance and the next standard one. */
  sectionMillimetres: 0.15,
  /** Shares of its inside: stretched by at most so much on its place, never laid in wider. */
  insideShare: 0.01,
  stretchShare: 0.05,
  sectionBasis: RING_BASIS,
  insideBasis: {
    kind: 'common-practice',
    name: 'an O-ring is stretched by a twentieth at most, and never lies loose in its groove',
  } satisfies Basis,
}
export const RING_STUFF_BASIS: Basis = {
  kind: 'common-practice',
  name: 'what a ring is made of, by what it lies in: chlorine, salt, oil, heat',
}
export const SEAL_FIT = {
  shaftMillimetres: 0.05,
  seatMillimetres: 0.2,
  heightMillimetres: 0.5,
  basis: { kind: 'common-practice', name: 'a shaft seal by shaft, seat, head and working height' } satisfies Basis,
}
export const IMPELLER_FIT = {
  diameterMillimetres: 0.5,
  basis: { kind: 'common-practice', name: 'an impeller by diameter, hand and what it sits on' } satisfies Basis,
}
export const RUBBER_SHELF_BASIS: Basis = {
  kind: 'common-practice',
  name: 'rubber keeps about five years dark, cool and unstretched',
}
const RUBBER_MONTHS = 60
const STUFFS = { nitrile: 'nitrile', epdm: 'EPDM', fkm: 'FKM', silicone: 'silicone' } as const

const exact = (millimetres: number, basis: Basis, tooSmall: string, tooLarge: string): NumberRule => ({
  under: millimetres,
  over: millimetres,
  tooSmall,
  tooLarge,
  basis,
})
const bearing = (tooSmall: string, tooLarge: string) =>
  exact(BEARING_FIT.millimetres, BEARING_FIT.basis, tooSmall, tooLarge)
const stuff: ChoiceRule = {
  bridges: {
    nitrile: {
      epdm: 'no oil or petroleum grease near it',
      fkm: 'no steam and no hot water beyond its print',
      silicone: 'nothing that turns on it: it tears',
    },
    epdm: { fkm: 'hold its print to chlorine and salt', nitrile: 'looked at each season: chlorine hardens it' },
    silicone: { epdm: 'no oil or petroleum grease near it', nitrile: 'looked at each season' },
    fkm: { epdm: 'no oil or petroleum grease near it' },
  },
  otherwise: 'Made of what does not last there.',
  basis: RING_STUFF_BASIS,
}

export const BEARING: Family = {
  name: 'bearing',
  parts: ['bearings', 'thrust-bearing'],
  fields: {
    bore: {
      as: 'number',
      label: 'Bore',
      isEssential: true,
      measure: 'millimetres',
      above: 0,
      max: 200,
      rule: bearing('It does not go onto the shaft.', 'It turns on the shaft.'),
    },
    outside: {
      as: 'number',
      label: 'Outside',
      isEssential: true,
      measure: 'millimetres',
      above: 0,
      max: 400,
      rule: bearing('It turns in its seat.', 'It does not go into its seat.'),
    },
    width: {
      as: 'number',
      label: 'Width',
      isEssential: true,
      measure: 'millimetres',
      above: 0,
      max: 100,
      rule: bearing('The shaft stands off by the difference.', 'The bell does not close over it.'),
    },
    closure: {
      as: 'choice',
      label: 'Closed by',
      choices: choicesOf({ open: 'nothing', shields: 'shields', seals: 'rubber seals' }),
      rule: {
        isAtLeast: true,
        bridges: { seals: { shields: 'a dry place: water goes past shields' } },
        otherwise: 'Open: its grease runs out and water in.',
        basis: BEARING_MAKE_BASIS,
      },
    },
    clearance: {
      as: 'choice',
      label: 'Clearance',
      choices: choicesOf({ normal: 'normal', c3: 'C3' }),
      rule: {
        bridges: {
          c3: { normal: 'a cool motor: it tightens where the shaft is warmer than the bell' },
          normal: { c3: 'a little more noise' },
        },
        otherwise: '',
        basis: BEARING_MAKE_BASIS,
      },
    },
  },
}
export const O_RING: Family = {
  name: 'O-ring',
  parts: ['shaft-o-ring', 'housing-o-ring', 'diffuser-o-ring', 'lid-o-ring', 'lock-screw-gasket'],
  shelfMonths: RUBBER_MONTHS,
  caution: 'Silicone or PTFE lubricant only: petroleum grease swells it.',
  fields: {
    inside: {
      as: 'number',
      label: 'Inside',
      isEssential: true,
      measure: 'bore',
      above: 0,
      max: 1000,
      significant: 4,
      rule: {
        under: RING_FIT.insideShare,
        over: RING_FIT.insideShare,
        inShares: true,
        smaller: { within: RING_FIT.stretchShare, needs: 'stretched onto its place, not rolled or twisted' },
        tooSmall: 'Too small: stretched so far it is thin, and tears.',
        tooLarge: 'Too large: it lies loose and is pinched.',
        basis: RING_FIT.insideBasis,
      },
    },
    section: {
      as: 'number',
      label: 'Section',
      isEssential: true,
      measure: 'bore',
      above: 0,
      max: 20,
      significant: 3,
      rule: exact(
        RING_FIT.sectionMillimetres,
        RING_FIT.sectionBasis,
        'Too thin: it is not squeezed, and leaks.',
        'Too thick: its groove does not close over it.',
      ),
    },
    stuff: { as: 'choice', label: 'Made of', choices: choicesOf(STUFFS), rule: stuff },
  },
}
export const SHAFT_SEAL: Family = {
  name: 'shaft seal',
  parts: ['shaft-seal'],
  shelfMonths: RUBBER_MONTHS,
  caution: 'Clean hands: a fingerprint on a face leaks. Soapy water on the rubber, nothing on the faces.',
  fields: {
    shaft: {
      as: 'number',
      label: 'Shaft',
      isEssential: true,
      measure: 'bore',
      above: 0,
      max: 100,
      significant: 4,
      rule: exact(
        SEAL_FIT.shaftMillimetres,
        SEAL_FIT.basis,
        'It does not go onto the shaft.',
        'It turns loose on the shaft.',
      ),
    },
    seat: {
      as: 'number',
      label: 'Seat across',
      isEssential: true,
      measure: 'bore',
      above: 0,
      max: 150,
      significant: 4,
      rule: exact(SEAL_FIT.seatMillimetres, SEAL_FIT.basis, 'It lies loose in its seat.', 'It does not go in.'),
    },
    head: {
      as: 'number',
      label: 'Head across',
      measure: 'bore',
      above: 0,
      max: 150,
      significant: 4,
      rule: {
        under: Infinity,
        over: SEAL_FIT.seatMillimetres,
        tooSmall: '',
        tooLarge: 'Its head finds no room behind the impeller.',
        basis: SEAL_FIT.basis,
      },
    },
    height: {
      as: 'number',
      label: 'Working height',
      measure: 'bore',
      above: 0,
      max: 150,
      significant: 4,
      rule: exact(
        SEAL_FIT.heightMillimetres,
        SEAL_FIT.basis,
        'Its faces are not pressed together.',
        'Pressed too hard: it burns.',
      ),
    },
    faces: {
      as: 'choice',
      label: 'Faces',
      choices: choicesOf({
        carbon: 'carbon on ceramic',
        hard: 'carbon on silicon carbide',
        both: 'silicon carbide on both',
      }),
      rule: {
        isAtLeast: true,
        bridges: {
          hard: { carbon: 'fresh water without sand; looked at each season' },
          both: { hard: 'clean water', carbon: 'fresh water without sand; looked at each season' },
        },
        otherwise: 'Softer faces than the old.',
        basis: SEAL_FIT.basis,
      },
    },
    stuff: { as: 'choice', label: 'Rubber', choices: choicesOf(STUFFS), rule: stuff },
  },
}
export const IMPELLER: Family = {
  name: 'impeller',
  parts: ['impeller'],
  fields: {
    diameter: {
      as: 'number',
      label: 'Across',
      isEssential: true,
      measure: 'bore',
      above: 0,
      max: 500,
      significant: 4,
      rule: {
        under: IMPELLER_FIT.diameterMillimetres,
        over: IMPELLER_FIT.diameterMillimetres,
        smaller: { within: 15, needs: 'less water than before: flow goes with the diameter, head with its square' },
        tooSmall: 'Far smaller: another pump.',
        tooLarge: 'Larger: it rubs, or overloads the motor.',
        basis: IMPELLER_FIT.basis,
      },
    },
    hand: {
      as: 'choice',
      label: 'Turns, seen from the eye',
      isEssential: true,
      choices: choicesOf({ clockwise: 'clockwise', counter: 'counter-clockwise' }),
      rule: { otherwise: 'The other hand: it throws little water and screws itself off.', basis: IMPELLER_FIT.basis },
    },
    seat: {
      as: 'choice',
      label: 'Sits on',
      choices: choicesOf({
        threaded: 'a threaded shaft',
        keyed: 'a keyed shaft',
        splined: 'a splined shaft',
        pressed: 'a sleeve',
      }),
      rule: { otherwise: 'It does not go onto this shaft.', basis: IMPELLER_FIT.basis },
    },
    shaft: {
      as: 'number',
      label: 'Shaft',
      measure: 'bore',
      above: 0,
      max: 100,
      significant: 4,
      rule: exact(
        SEAL_FIT.shaftMillimetres,
        IMPELLER_FIT.basis,
        'It does not go onto the shaft.',
        'It wobbles on the shaft.',
      ),
    },
  },
}
/** Held against the old plate as a whole: see the match of motors. */
export const MOTOR: Family = {
  name: 'motor',
  parts: ['motor'],
  fields: {
    horsepower: { as: 'number', label: 'Horsepower', measure: 'horsepower', above: 0, max: 50 },
    serviceFactor: { as: 'number', label: 'Service factor', measure: 'ratio', above: 0, max: 3 },
    volts: { as: 'number', label: 'Volts, as delivered', measure: 'volts', above: 0, max: 1000 },
    otherVolts: { as: 'number', label: 'Other volts', measure: 'volts', above: 0, max: 1000 },
    hertz: { as: 'number', label: 'Hertz', measure: 'count', above: 0, max: 400 },
    rpm: { as: 'number', label: 'Speed', measure: 'rpm', above: 0, max: 10000, significant: 4 },
    frame: { as: 'text', label: 'Frame', most: 20 },
    flange: { as: 'choice', label: 'Flange', choices: choicesOf({ square: 'square', 'c-face': 'C-face, round' }) },
    serviceFactorAmps: { as: 'number', label: 'Amps at service factor', measure: 'amps', above: 0, max: 200 },
  },
}
