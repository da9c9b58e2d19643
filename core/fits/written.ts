import { FRACTION_SIGNS } from '../knowledge/fits/spellings'
import { fromShown, type Measure } from '../quantity/measures'

/** A number as it is written on a part, with the unit behind it, in small letters; empty where there is none. */
export interface Written {
  value: number
  unit: string
  /** The number as it was written, which names a pipe size: `1 1/4`. */
  text: string
  start: number
  end: number
}

const NUMBER = String.raw`(?:\d+[\s-]\d+\/\d+|\d+\/\d+|\d+(?:[.,]\d+)?|[.,]\d+)`
const UNIT = `(?:${[
  '[uμµ]fd?',
  'mfd',
  'mf',
  'volts?',
  'vac',
  'v',
  'amps?',
  'a',
  'hp',
  'psi',
  'kpa',
  'bar',
  'gpm',
  'l/s',
  'gal(?:lons?)?',
  'litres?',
  'liters?',
  'l',
  'mm',
  'cm',
  'm',
  'inch(?:es)?',
  'in',
  '"',
  'ft',
  'feet',
  "'",
  'rpm',
  'hz',
  'awg',
  'ga',
  'conductors?',
  'wires?',
].join('|')})`
const WRITTEN = new RegExp(String.raw`(?<![\d.,/])(${NUMBER})\s*(${UNIT})?(?![a-z\d])`, 'gi')

/** A text in which fractions that have a sign are written out, `1¼` as `1 1/4`, and sizes stand apart: `4 x 3`. */
export function plainText(text: string): string {
  return text
    .replace(
      /(\d)?([¼½¾⅛⅜⅝⅞])/g,
      (_, whole: string | undefined, sign: string) =>
        `${whole === undefined ? '' : `${whole} `}${FRACTION_SIGNS[sign]}`,
    )
    .replace(/[×✕]/g, 'x')
    .replace(/(?<=[\d"])\s*x\s*(?=[\d.,])/gi, ' x ')
}

/** The numbers of a text, as they follow each other. */
export function numbersIn(text: string): Written[] {
  return [...text.matchAll(WRITTEN)].map(({ 0: all, 1: number = '', 2: unit = '', index }) => ({
    value: valueOf(number),
    unit: unit.toLowerCase(),
    text: number.replace('-', ' '),
    start: index,
    end: index + all.length,
  }))
}

function valueOf(number: string): number {
  const [, whole = '0', over, under] = /^(?:(\d+)[\s-])?(\d+)\/(\d+)$/.exec(number) ?? []
  return over === undefined ? Number(number.replace(',', '.')) : Number(whole) + Number(over) / Number(under)
}

const UNITS: Readonly<
  Record<string, { measures: readonly Measure[]; toCore: (value: number, measure: Measure) => number }>
> = {
  microfarads: own(['microfarads']),
  volts: own(['volts']),
  amps: own(['amps']),
  horsepower: own(['horsepower']),
  rpm: own(['rpm']),
  count: own(['count']),
  inches: {
    measures: ['bore', 'millimetres', 'level'],
    toCore: (value, measure) => fromShown(value, measure === 'level' ? 'level' : 'bore', 'us'),
  },
  millimetres: {
    measures: ['bore', 'millimetres', 'level'],
    toCore: (value, measure) => (measure === 'level' ? value / 1000 : value),
  },
  centimetres: {
    measures: ['level', 'bore'],
    toCore: (value, measure) => (measure === 'level' ? value / 100 : value * 10),
  },
  feet: { measures: ['length', 'head'], toCore: (value) => fromShown(value, 'length', 'us') },
  metres: { measures: ['length', 'head', 'level'], toCore: (value) => value },
  psi: { measures: ['pressure'], toCore: (value) => fromShown(value, 'pressure', 'us') },
  kilopascals: { measures: ['pressure'], toCore: (value) => value },
  bar: { measures: ['pressure'], toCore: (value) => value * 100 },
  gallonsAMinute: { measures: ['flow'], toCore: (value) => fromShown(value, 'flow', 'us') },
  litresASecond: { measures: ['flow'], toCore: (value) => value },
  gallons: { measures: ['volume'], toCore: (value) => fromShown(value, 'volume', 'us') },
  litres: { measures: ['volume'], toCore: (value) => value },
}
function own(measures: readonly Measure[]) {
  return { measures, toCore: (value: number) => value }
}

const SPELLED: readonly [written: RegExp, unit: keyof typeof UNITS][] = [
  [/^(?:[uμµ]fd?|mfd|mf)$/, 'microfarads'],
  [/^v(?:olts?|ac)?$/, 'volts'],
  [/^a(?:mps?)?$/, 'amps'],
  [/^hp$/, 'horsepower'],
  [/^rpm$/, 'rpm'],
  [/^(?:conductors?|wires?)$/, 'count'],
  [/^(?:in|inch|inches|")$/, 'inches'],
  [/^mm$/, 'millimetres'],
  [/^cm$/, 'centimetres'],
  [/^(?:ft|feet|')$/, 'feet'],
  [/^m$/, 'metres'],
  [/^psi$/, 'psi'],
  [/^kpa$/, 'kilopascals'],
  [/^bar$/, 'bar'],
  [/^gpm$/, 'gallonsAMinute'],
  [/^l\/s$/, 'litresASecond'],
  [/^gal(?:lons?)?$/, 'gallons'],
  [/^l(?:itres?|iters?)?$/, 'litres'],
]

/** A written number in core's unit of a measure; undefined where its unit is of another. */
export function asMeasure({ value, unit }: Pick<Written, 'value' | 'unit'>, measure: Measure): number | undefined {
  const known = UNITS[SPELLED.find(([written]) => written.test(unit))?.[1] ?? '']
  return known?.measures.includes(measure) ? known.toCore(value, measure) : undefined
}
