import { convert } from 'convert'

/** The two ways a shop reads its numbers. */
export type UnitSystem = 'us' | 'metric'

interface Shown {
  unit: string
  perCore: number
  shift?: number
  significant?: number
}

const factor = (of: number) => Number(of.toPrecision(15))
/** A unit's factor by the conversion library: how many of it make one of ours. */
const metres = factor(convert(1, 'm').to('foot'))
const inches = factor(convert(1, 'mm').to('inch'))
const psi = factor(convert(1, 'kPa').to('psi'))
const gallons = factor(convert(1, 'liter').to('gallon'))
const pounds = factor(convert(1, 'kg').to('pound'))
const fahrenheit = 1.8
const plain = (unit: string): Record<UnitSystem, Shown> => ({ us: { unit, perCore: 1 }, metric: { unit, perCore: 1 } })

/** What core computes in, by kind of quantity, and how each system shows it. The first words name core's unit. */
export const MEASURES = {
  /** metres */ length: { us: { unit: 'ft', perCore: metres }, metric: { unit: 'm', perCore: 1 } },
  /** metres of water */ head: { us: { unit: 'ft', perCore: metres }, metric: { unit: 'm', perCore: 1 } },
  /** metres, of a pit */ level: {
    us: { unit: 'in', perCore: factor(convert(1, 'm').to('inch')) },
    metric: { unit: 'cm', perCore: 100 },
  },
  /** millimetres */ bore: { us: { unit: 'in', perCore: inches }, metric: { unit: 'mm', perCore: 1 } },
  /** millimetres, of what is named by them everywhere */ millimetres: plain('mm'),
  /** kilopascals, gauge */ pressure: { us: { unit: 'psi', perCore: psi }, metric: { unit: 'kPa', perCore: 1 } },
  /** litres a second */ flow: { us: { unit: 'gpm', perCore: gallons * 60 }, metric: { unit: 'L/s', perCore: 1 } },
  /** litres */ volume: { us: { unit: 'gal', perCore: gallons }, metric: { unit: 'L', perCore: 1 } },
  /** kilograms */ mass: { us: { unit: 'lb', perCore: pounds }, metric: { unit: 'kg', perCore: 1 } },
  /** kilograms a metre */ line: {
    us: { unit: 'lb/ft', perCore: pounds / metres },
    metric: { unit: 'kg/m', perCore: 1 },
  },
  /** degrees Celsius */ temperature: {
    us: { unit: '°F', perCore: fahrenheit, shift: 32 },
    metric: { unit: '°C', perCore: 1 },
  },
  /** metres a second */ velocity: { us: { unit: 'ft/s', perCore: metres }, metric: { unit: 'm/s', perCore: 1 } },
  /** square metres */ area: { us: { unit: 'ft²', perCore: metres ** 2 }, metric: { unit: 'm²', perCore: 1 } },
  /** watts */ power: plain('W'),
  /** horsepower */ horsepower: plain('hp'),
  seconds: plain('s'),
  minutes: plain('min'),
  hours: plain('h'),
  volts: plain('V'),
  amps: plain('A'),
  ohms: plain('Ω'),
  microfarads: plain('μF'),
  percent: plain('%'),
  perHour: plain('an hour'),
  money: plain(''),
  perKwh: plain('per kWh'),
  energy: plain('kWh'),
  years: plain('years'),
  count: plain(''),
  ratio: plain(''),
  rpm: plain('rpm'),
} as const satisfies Record<string, Record<UnitSystem, Shown>>
export type Measure = keyof typeof MEASURES

/** The unit a measure is written in. */
export function unitOf(measure: Measure, system: UnitSystem): string {
  return MEASURES[measure][system].unit
}

/** From core's unit to the one shown. */
export function toShown(value: number, measure: Measure, system: UnitSystem): number {
  const { perCore, shift = 0 }: Shown = MEASURES[measure][system]
  return value * perCore + shift
}

/** From the unit shown back to core's. */
export function fromShown(value: number, measure: Measure, system: UnitSystem): number {
  const { perCore, shift = 0 }: Shown = MEASURES[measure][system]
  return (value - shift) / perCore
}
