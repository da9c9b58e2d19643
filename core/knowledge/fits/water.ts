import type { Basis } from '../../judgement/judgement'
import { MOTOR_MATCH } from '../mechanical/motor-fit'
import { choicesOf, type Family, type NumberRule } from './family'
import { END_BASIS, END_KINDS, PIPE_SIZE_NAMES } from './pipe-ends'

export const SWITCH_FIT = {
  /** A spring and a scale: so many kilopascals are the same setting. */
  kilopascals: 7,
  /** So far the nut goes. */
  adjustable: 105,
  basis: {
    kind: 'common-practice',
    name: 'a pressure switch by its range, set by its nut within about 15 psi; precharge follows the cut-in',
  } satisfies Basis,
}
export const TANK_FIT_BASIS: Basis = {
  kind: 'common-practice',
  name: 'a tank by what it gives between cut-in and cut-out, never less than the old one',
}
export const VALVE_FIT = {
  /** Of the cut-out: so far a gauge reads at least. */
  gaugeShare: 1.5,
  basis: {
    kind: 'common-practice',
    name: 'a relief valve opens below what the weakest part bears; a gauge has room above what it shows every day',
  } satisfies Basis,
}
export const DUTY_FIT = {
  /** More head than so many times what is asked at its flow: it runs far out on its curve. */
  mostHeadShare: 1.4,
  basis: { kind: 'common-practice', name: 'a pump is chosen by duty on its curve, not by horsepower' } satisfies Basis,
}
export const CEMENT_SHELF_BASIS: Basis = {
  kind: 'maker',
  name: 'cement, primer, grease and sealant: as printed; two or three years closed where nothing is',
}

const SIZES = PIPE_SIZE_NAMES.map((size) => ({ id: size, label: `${size} in` }))
const ENDS = Object.entries(END_KINDS).map(([id, { label }]) => ({ id, label }))
const adapter = { needs: 'an adapter', otherwise: '', basis: END_BASIS } as const
const size = (label: string) => ({ as: 'choice', label, choices: SIZES, rule: adapter }) as const
const end = (label: string) => ({ as: 'choice', label, choices: ENDS, rule: adapter }) as const
const set = (tooSmall: string, tooLarge: string): NumberRule => ({
  under: SWITCH_FIT.kilopascals,
  over: SWITCH_FIT.kilopascals,
  smaller: { within: SWITCH_FIT.adjustable, needs: 'set anew by its nut, and the precharge with it' },
  larger: { within: SWITCH_FIT.adjustable, needs: 'set anew by its nut, and the precharge with it' },
  tooSmall,
  tooLarge,
  basis: SWITCH_FIT.basis,
})

export const PRESSURE_SWITCH: Family = {
  name: 'pressure switch',
  parts: ['pressure-switch'],
  caution: 'Power off and proved dead; pressure off before it is screwed out.',
  fields: {
    cutIn: {
      as: 'number',
      label: 'Cuts in at',
      isEssential: true,
      measure: 'pressure',
      above: 0,
      max: 1500,
      rule: set('Its spring does not reach up to it.', 'Its spring does not go down to it.'),
    },
    cutOut: {
      as: 'number',
      label: 'Cuts out at',
      isEssential: true,
      measure: 'pressure',
      above: 0,
      max: 1500,
      rule: set('Its spring does not reach up to it.', 'Its spring does not go down to it.'),
    },
    horsepower: {
      as: 'number',
      label: 'Horsepower of its contacts',
      measure: 'horsepower',
      above: 0,
      max: 20,
      rule: {
        under: 0,
        over: Infinity,
        tooSmall: 'Its contacts burn: made for a smaller motor.',
        tooLarge: '',
        basis: SWITCH_FIT.basis,
      },
    },
    port: size('Port'),
    end: end('Its port ends in'),
    lowCutOff: {
      as: 'choice',
      label: 'Low-pressure cut-off',
      choices: choicesOf({ without: 'without', with: 'with a lever' }),
      rule: {
        bridges: {
          without: { with: 'the owner shown how its lever starts it' },
          with: { without: 'the owner told: nothing stops it any more when the well runs dry' },
        },
        otherwise: '',
        basis: SWITCH_FIT.basis,
      },
    },
  },
}
export const TANK: Family = {
  name: 'pressure tank',
  parts: ['tank'],
  caution: 'Precharge two psi below the cut-in, with the water off it.',
  fields: {
    litres: {
      as: 'number',
      label: 'Volume',
      isEssential: true,
      measure: 'volume',
      above: 0,
      max: 2000,
      rule: {
        under: 0,
        over: Infinity,
        tooSmall: 'It gives less between starts: the motor starts more often.',
        tooLarge: '',
        basis: TANK_FIT_BASIS,
      },
    },
    port: size('Port'),
    end: end('Its port ends in'),
    height: {
      as: 'number',
      label: 'Height',
      measure: 'level',
      above: 0,
      max: 3,
      rule: {
        under: Infinity,
        over: 0,
        larger: { within: 1, needs: 'room above it, measured first' },
        tooSmall: '',
        tooLarge: 'It does not go under the ceiling.',
        basis: TANK_FIT_BASIS,
      },
    },
  },
}
export const PUMP: Family = {
  name: 'pump',
  parts: ['pump', 'pump-end', 'backup-pump'],
  fields: {
    flow: { as: 'number', label: 'Flow', measure: 'flow', above: 0, max: 100 },
    head: { as: 'number', label: 'Head at that flow', measure: 'head', above: 0, max: 600 },
    shutOff: { as: 'number', label: 'Head at no flow', measure: 'head', above: 0, max: 800 },
    mostFlow: { as: 'number', label: 'Flow at no head', measure: 'flow', above: 0, max: 200 },
    volts: {
      as: 'number',
      label: 'Volts',
      measure: 'volts',
      above: 0,
      max: 1000,
      rule: {
        under: MOTOR_MATCH.voltsShare,
        over: MOTOR_MATCH.voltsShare,
        inShares: true,
        tooSmall: 'For fewer volts: it burns.',
        tooLarge: 'For more volts: it hums and heats.',
        basis: MOTOR_MATCH.basis,
      },
    },
    inlet: size('Inlet'),
    inletEnd: end('Inlet ends in'),
    outlet: size('Outlet'),
    outletEnd: end('Outlet ends in'),
  },
}
export const VALVE: Family = {
  name: 'check valve',
  parts: ['check-valve', 'foot-valve', 'union'],
  fields: { port: size('Size'), end: end('Ends in') },
}
export const RELIEF_VALVE: Family = {
  name: 'relief valve',
  parts: ['relief-valve'],
  caution: 'Pressure off before it is screwed out; nothing is ever set between it and the tank.',
  fields: {
    pressure: {
      as: 'number',
      label: 'Opens at',
      isEssential: true,
      measure: 'pressure',
      above: 0,
      max: 2000,
      rule: {
        under: 70,
        over: 0,
        tooSmall: 'It opens while all is well.',
        tooLarge: 'It opens too late: something else gives way first.',
        basis: VALVE_FIT.basis,
      },
    },
    port: size('Port'),
    end: end('Its port ends in'),
  },
}
export const GAUGE: Family = {
  name: 'pressure gauge',
  parts: ['pressure-gauge'],
  fields: {
    range: {
      as: 'number',
      label: 'Reads up to',
      isEssential: true,
      measure: 'pressure',
      above: 0,
      max: 4000,
      rule: {
        under: 0,
        over: Infinity,
        tooSmall: 'Its needle goes to the stop.',
        tooLarge: '',
        basis: VALVE_FIT.basis,
      },
    },
    port: size('Port'),
    end: end('Its port ends in'),
  },
}
/** A piece of pipe with two ends: what adapters are found among. */
export const FITTING: Family = {
  name: 'fitting',
  parts: ['adapter', 'hose-connector', 'tank-tee', 'conduit-fitting'],
  fields: { size: size('One end'), end: end('It is a'), otherSize: size('Other end'), otherEnd: end('It is a') },
}
