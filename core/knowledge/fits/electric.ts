import type { Basis } from '../../judgement/judgement'
import { CAPACITOR } from '../electrical/limits'
import { WIRE_GAUGES } from '../electrical/wire'
import { choicesOf, type Family, type NumberRule } from './family'

export const ELECTRIC_FIT_BASIS: Basis = {
  kind: 'common-practice',
  name: 'volts and amps of a part never below the old one’s',
}
export const BODY_BASIS: Basis = { kind: 'common-practice', name: 'what holds a can: its body against its strap' }
export const CAN_SHELF_BASIS: Basis = {
  kind: 'common-practice',
  name: 'capacitors keep about five years on a shelf: measured before they go in',
}
export const START_CAN = {
  /** Of the middle of what the old one’s print says. */
  share: 0.1,
  /** A plate that gives one figure gives the lower one: −0/+20 %. */
  middleOfLow: 1.1,
  basis: { kind: 'common-practice', name: 'a start capacitor within a tenth of the old one’s' } satisfies Basis,
}
export const FLOAT_BASIS: Basis = {
  kind: 'common-practice',
  name: 'a float for its pump’s amps, in one piece up to its outlet',
}
export const SPLICE_BASIS: Basis = {
  kind: 'maker',
  name: 'a splice is made for the wires that are printed on it; under water only one made for it',
}

/** Wires down a well, their ground with them. */
export const SUBMERGED = {
  conductors: { 'well-two-wire': 3, 'well-three-wire': 4 },
  basis: { kind: 'common-practice', name: 'two or three wires down a well, and a ground' } satisfies Basis,
}

const noLess = (tooSmall: string, basis: Basis = ELECTRIC_FIT_BASIS): NumberRule => ({
  under: 0,
  over: Infinity,
  tooSmall,
  tooLarge: '',
  basis,
})
const roomFor = (what: string): NumberRule => ({
  under: Infinity,
  over: 1,
  larger: { within: Infinity, needs: `${what}: a cover that has room, fastened so that it cannot chafe` },
  tooSmall: '',
  tooLarge: '',
  basis: BODY_BASIS,
})
const CAN_BODY: Family['fields'] = {
  body: {
    as: 'choice',
    label: 'Body',
    choices: choicesOf({ round: 'round', oval: 'oval' }),
    rule: { needs: 'another strap: nothing may chafe', otherwise: '', basis: BODY_BASIS },
  },
  diameter: { as: 'number', label: 'Across', measure: 'millimetres', above: 0, max: 200, rule: roomFor('wider') },
  height: { as: 'number', label: 'Height', measure: 'millimetres', above: 0, max: 300, rule: roomFor('taller') },
}
const THINNEST_FIRST = WIRE_GAUGES.map((awg) => ({ id: awg, label: `${awg} AWG` }))

export const RUN_CAPACITOR: Family = {
  name: 'run capacitor',
  parts: ['run-capacitor'],
  shelfMonths: 60,
  caution: 'Discharge it by a resistor and prove it before you touch it. A start capacitor never stands in for it.',
  fields: {
    microfarads: {
      as: 'number',
      label: 'Capacitance',
      isEssential: true,
      measure: 'microfarads',
      above: 0,
      max: 2000,
      rule: {
        under: CAPACITOR.runTolerancePercent / 100,
        over: CAPACITOR.runTolerancePercent / 100,
        inShares: true,
        tooSmall: 'Too little: it starts badly and runs hot.',
        tooLarge: 'Too much: its start winding carries more than it is made for.',
        basis: CAPACITOR.runBasis,
      },
    },
    volts: {
      as: 'number',
      label: 'Volts',
      isEssential: true,
      measure: 'volts',
      above: 0,
      max: 1000,
      rule: noLess('Fewer volts than the old one: it would not last.'),
    },
    ...CAN_BODY,
  },
}
export const START_CAPACITOR: Family = {
  name: 'start capacitor',
  parts: ['start-capacitor'],
  shelfMonths: 60,
  caution: 'Discharge it by a resistor and prove it before you touch it. A run capacitor never stands in for it.',
  fields: {
    microfarads: {
      as: 'number',
      label: 'Middle of its print',
      isEssential: true,
      measure: 'microfarads',
      above: 0,
      max: 3000,
      rule: {
        under: START_CAN.share,
        over: START_CAN.share,
        inShares: true,
        tooSmall: 'Too little: it does not start under load.',
        tooLarge: 'Too much: the switch throws late, and the winding heats.',
        basis: START_CAN.basis,
      },
    },
    volts: {
      as: 'number',
      label: 'Volts',
      isEssential: true,
      measure: 'volts',
      above: 0,
      max: 1000,
      rule: noLess('Fewer volts than the old one: it bursts.'),
    },
    ...CAN_BODY,
  },
}
export const CONTROL_BOX: Family = {
  name: 'control box',
  parts: ['control-box', 'start-relay', 'start-module'],
  caution: 'Power off and proved dead before its cover comes off: it holds a charge.',
  fields: {
    horsepower: {
      as: 'number',
      label: 'Horsepower',
      isEssential: true,
      measure: 'horsepower',
      above: 0,
      max: 50,
      rule: {
        under: 0.001,
        over: 0.001,
        tooSmall: 'For a smaller motor: its capacitor and relay are too small.',
        tooLarge: 'For a larger motor: its capacitor is too large for this winding.',
        basis: ELECTRIC_FIT_BASIS,
      },
    },
    volts: {
      as: 'number',
      label: 'Volts',
      isEssential: true,
      measure: 'volts',
      above: 0,
      max: 1000,
      rule: {
        under: 0.05,
        over: 0.05,
        inShares: true,
        tooSmall: 'For another supply.',
        tooLarge: 'For another supply.',
        basis: ELECTRIC_FIT_BASIS,
      },
    },
  },
}
export const FLOAT_SWITCH: Family = {
  name: 'float switch',
  parts: ['float-switch', 'backup-float'],
  caution: 'The pump is unplugged before a hand goes into the pit.',
  fields: {
    amps: {
      as: 'number',
      label: 'Amps of its switch',
      isEssential: true,
      measure: 'amps',
      above: 0,
      max: 100,
      rule: noLess('Its contacts weld: made for fewer amps.', FLOAT_BASIS),
    },
    volts: {
      as: 'number',
      label: 'Volts',
      measure: 'volts',
      above: 0,
      max: 1000,
      rule: noLess('For fewer volts.', FLOAT_BASIS),
    },
    cord: {
      as: 'number',
      label: 'Cord',
      isEssential: true,
      measure: 'length',
      above: 0,
      max: 100,
      rule: noLess('Its cord does not reach, and under water none is joined.', FLOAT_BASIS),
    },
    plug: {
      as: 'choice',
      label: 'Plug',
      choices: choicesOf({ piggyback: 'piggyback', wired: 'wired in', control: 'for a control panel' }),
      rule: {
        bridges: { wired: { piggyback: 'an outlet for its plug beside the pit, above flood level' } },
        otherwise: 'Another way of wiring.',
        basis: FLOAT_BASIS,
      },
    },
    action: {
      as: 'choice',
      label: 'Closes',
      isEssential: true,
      choices: choicesOf({ 'pump-down': 'when it rises: pumps down', 'pump-up': 'when it sinks: fills up' }),
      rule: { otherwise: 'It switches the other way round: the pit floods.', basis: FLOAT_BASIS },
    },
    swing: {
      as: 'choice',
      label: 'Moves',
      choices: choicesOf({ tether: 'on a tether', vertical: 'up and down' }),
      rule: { needs: 'its heights set anew, free of the wall', otherwise: '', basis: FLOAT_BASIS },
    },
  },
}
export const SPLICE: Family = {
  name: 'splice kit',
  parts: ['splice', 'drop-cable-splice'],
  shelfMonths: 60,
  fields: {
    wire: {
      as: 'choice',
      label: 'Wire',
      isEssential: true,
      choices: THINNEST_FIRST,
      rule: { otherwise: 'Not for this wire: the crimp does not hold.', basis: SPLICE_BASIS },
    },
    conductors: {
      as: 'number',
      label: 'Conductors with ground',
      isEssential: true,
      measure: 'count',
      above: 0,
      max: 12,
      rule: noLess('For fewer conductors.', SPLICE_BASIS),
    },
    where: {
      as: 'choice',
      label: 'Made for',
      isEssential: true,
      choices: choicesOf({ dry: 'dry boxes', wet: 'wet places', submersible: 'under water' }),
      rule: { isAtLeast: true, otherwise: 'Not made for water: it leaks current.', basis: SPLICE_BASIS },
    },
  },
}
export const CABLE: Family = {
  name: 'cable',
  parts: ['cable', 'lead-connector'],
  fields: {
    wire: {
      as: 'choice',
      label: 'Wire',
      isEssential: true,
      choices: THINNEST_FIRST,
      rule: { isAtLeast: true, otherwise: 'Thinner than the old: it drops more volts.', basis: ELECTRIC_FIT_BASIS },
    },
    conductors: {
      as: 'number',
      label: 'Conductors with ground',
      isEssential: true,
      measure: 'count',
      above: 0,
      max: 12,
      rule: noLess('For fewer conductors.'),
    },
    where: {
      as: 'choice',
      label: 'Made for',
      isEssential: true,
      choices: choicesOf({ dry: 'dry places', wet: 'wet places', submersible: 'under water' }),
      rule: { isAtLeast: true, otherwise: 'Not made for water.', basis: SPLICE_BASIS },
    },
  },
}
