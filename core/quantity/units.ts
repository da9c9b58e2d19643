import { convert } from 'convert'
import type { Length, Pressure, Temperature } from 'convert'

/** The canonical units of the vocabulary: what readings are kept and judged in. */
export type Unit = 'V' | 'A' | 'uF' | 'ohm' | 'Mohm' | 'psi' | 'inHg' | 'in' | 'ft' | 'gpm' | 's' | 'celsius' | 'dB'

/** How each unit is printed for people. */
export const UNIT_LABELS: Record<Unit, string> = {
  V: 'V',
  A: 'A',
  uF: 'μF',
  ohm: 'Ω',
  Mohm: 'MΩ',
  psi: 'psi',
  inHg: 'inHg',
  in: 'in',
  ft: 'ft',
  gpm: 'gpm',
  s: 's',
  celsius: '°C',
  dB: 'dB',
}

export function isUnit(unit: string | undefined): unit is Unit {
  return unit !== undefined && Object.hasOwn(UNIT_LABELS, unit)
}

type Conversion =
  | { to: Unit; decade: number }
  | { to: Unit; pressure: Pressure }
  | { to: Unit; length: Length; per?: number }
  | { to: 's'; seconds: number }
  | { to: Unit; temperature: Temperature }
  | { to: 'gpm'; volume: 'gallon' | 'liter' | 'm3'; perSeconds: number }

/**
 * Every spelling the reading line accepts, lower-cased except where case carries the meaning (m, M).
 * Electrical prefixes are decades by definition; everything else goes through the conversion library.
 */
const SPELLINGS: Record<string, Conversion> = {
  v: { to: 'V', decade: 0 },
  volt: { to: 'V', decade: 0 },
  volts: { to: 'V', decade: 0 },
  vac: { to: 'V', decade: 0 },
  vdc: { to: 'V', decade: 0 },
  mv: { to: 'V', decade: -3 },
  kv: { to: 'V', decade: 3 },
  a: { to: 'A', decade: 0 },
  amp: { to: 'A', decade: 0 },
  amps: { to: 'A', decade: 0 },
  ampere: { to: 'A', decade: 0 },
  amperes: { to: 'A', decade: 0 },
  ma: { to: 'A', decade: -3 },
  milliamp: { to: 'A', decade: -3 },
  milliamps: { to: 'A', decade: -3 },
  uf: { to: 'uF', decade: 0 },
  mfd: { to: 'uF', decade: 0 },
  mfds: { to: 'uF', decade: 0 },
  mf: { to: 'uF', decade: 0 },
  mike: { to: 'uF', decade: 0 },
  mikes: { to: 'uF', decade: 0 },
  ufd: { to: 'uF', decade: 0 },
  nf: { to: 'uF', decade: -3 },
  f: { to: 'uF', decade: 6 },
  farad: { to: 'uF', decade: 6 },
  microfarad: { to: 'uF', decade: 0 },
  microfarads: { to: 'uF', decade: 0 },
  ohm: { to: 'ohm', decade: 0 },
  ohms: { to: 'ohm', decade: 0 },
  ω: { to: 'ohm', decade: 0 },
  k: { to: 'ohm', decade: 3 },
  kilohm: { to: 'ohm', decade: 3 },
  kilohms: { to: 'ohm', decade: 3 },
  kohm: { to: 'ohm', decade: 3 },
  kohms: { to: 'ohm', decade: 3 },
  kω: { to: 'ohm', decade: 3 },
  M: { to: 'Mohm', decade: 0 },
  meg: { to: 'Mohm', decade: 0 },
  megs: { to: 'Mohm', decade: 0 },
  megohm: { to: 'Mohm', decade: 0 },
  megohms: { to: 'Mohm', decade: 0 },
  mohm: { to: 'Mohm', decade: 0 },
  mohms: { to: 'Mohm', decade: 0 },
  mω: { to: 'Mohm', decade: 0 },
  gohm: { to: 'Mohm', decade: 3 },
  gig: { to: 'Mohm', decade: 3 },
  gigs: { to: 'Mohm', decade: 3 },
  gigohm: { to: 'Mohm', decade: 3 },
  gigohms: { to: 'Mohm', decade: 3 },
  gω: { to: 'Mohm', decade: 3 },
  psi: { to: 'psi', pressure: 'psi' },
  pounds: { to: 'psi', pressure: 'psi' },
  pound: { to: 'psi', pressure: 'psi' },
  lbs: { to: 'psi', pressure: 'psi' },
  lb: { to: 'psi', pressure: 'psi' },
  kpa: { to: 'psi', pressure: 'kPa' },
  bars: { to: 'psi', pressure: 'bar' },
  bar: { to: 'psi', pressure: 'bar' },
  inhg: { to: 'inHg', pressure: 'inHg' },
  'kpa-vacuum': { to: 'inHg', pressure: 'kPa' },
  in: { to: 'in', length: 'inch' },
  inch: { to: 'in', length: 'inch' },
  inches: { to: 'in', length: 'inch' },
  '"': { to: 'in', length: 'inch' },
  mm: { to: 'in', length: 'mm' },
  millimetres: { to: 'in', length: 'mm' },
  millimeters: { to: 'in', length: 'mm' },
  cm: { to: 'in', length: 'cm' },
  thou: { to: 'in', length: 'inch', per: 1000 },
  thousandths: { to: 'in', length: 'inch', per: 1000 },
  mil: { to: 'in', length: 'inch', per: 1000 },
  mils: { to: 'in', length: 'inch', per: 1000 },
  ft: { to: 'ft', length: 'foot' },
  feet: { to: 'ft', length: 'foot' },
  foot: { to: 'ft', length: 'foot' },
  metres: { to: 'ft', length: 'm' },
  meters: { to: 'ft', length: 'm' },
  m: { to: 'ft', length: 'm' },
  gpm: { to: 'gpm', volume: 'gallon', perSeconds: 60 },
  gph: { to: 'gpm', volume: 'gallon', perSeconds: 3600 },
  'gal/min': { to: 'gpm', volume: 'gallon', perSeconds: 60 },
  'gal/h': { to: 'gpm', volume: 'gallon', perSeconds: 3600 },
  'l/h': { to: 'gpm', volume: 'liter', perSeconds: 3600 },
  lpm: { to: 'gpm', volume: 'liter', perSeconds: 60 },
  'l/min': { to: 'gpm', volume: 'liter', perSeconds: 60 },
  'l/s': { to: 'gpm', volume: 'liter', perSeconds: 1 },
  'm3/h': { to: 'gpm', volume: 'm3', perSeconds: 3600 },
  s: { to: 's', decade: 0 },
  sec: { to: 's', decade: 0 },
  secs: { to: 's', decade: 0 },
  second: { to: 's', decade: 0 },
  seconds: { to: 's', decade: 0 },
  min: { to: 's', seconds: 60 },
  mins: { to: 's', seconds: 60 },
  minute: { to: 's', seconds: 60 },
  minutes: { to: 's', seconds: 60 },
  '°c': { to: 'celsius', temperature: 'C' },
  c: { to: 'celsius', temperature: 'C' },
  celsius: { to: 'celsius', temperature: 'C' },
  degrees: { to: 'celsius', temperature: 'C' },
  fahrenheit: { to: 'celsius', temperature: 'F' },
  '°f': { to: 'celsius', temperature: 'F' },
}

/**
 * Reads a unit as trades write it.
 *
 * @param spelling as typed: `uF`, `mfd`, `µF`, `k`, `M`, `meg`, `kPa`
 * @param wanted the unit the check is kept in, which decides between vacuum and pressure for `kPa`
 * @returns the canonical unit and a function from the written value to it, or undefined when no such unit is known
 */
export function readUnit(
  spelling: string,
  wanted?: Unit,
): { unit: Unit; toCanonical: (value: number) => number } | undefined {
  const conversion = findConversion(spelling)
  if (!conversion) return undefined
  if ('decade' in conversion) {
    const { to, decade } = conversion
    // k and M are ohms; a megohm written in ohms and an ohm reading in megohms are the same quantity.
    if (to === 'ohm' && wanted === 'Mohm') return { unit: 'Mohm', toCanonical: (value) => value * 10 ** (decade - 6) }
    if (to === 'Mohm' && wanted === 'ohm') return { unit: 'ohm', toCanonical: (value) => value * 10 ** (decade + 6) }
    return { unit: to, toCanonical: (value) => (decade === 0 ? value : value * 10 ** decade) }
  }
  if ('pressure' in conversion) {
    const unit: Unit = wanted === 'inHg' ? 'inHg' : wanted === 'psi' ? 'psi' : conversion.to
    return { unit, toCanonical: (value) => pressure(value, conversion.pressure, unit === 'inHg' ? 'inHg' : 'psi') }
  }
  if ('length' in conversion) {
    const unit: Unit = wanted === 'in' || wanted === 'ft' ? wanted : conversion.to
    const { length, per = 1 } = conversion
    return { unit, toCanonical: (value) => convert(value / per, length).to(unit === 'in' ? 'inch' : 'foot') }
  }
  if ('seconds' in conversion) return { unit: 's', toCanonical: (value) => value * conversion.seconds }
  if ('temperature' in conversion)
    return { unit: 'celsius', toCanonical: (value) => convert(value, conversion.temperature).to('C') }
  return {
    unit: 'gpm',
    toCanonical: (value) =>
      (convert(value, conversion.volume === 'gallon' ? 'gallon' : conversion.volume === 'liter' ? 'liter' : 'm3').to(
        'gallon',
      ) *
        60) /
      conversion.perSeconds,
  }
}

/**
 * Pressure in the unit asked for. The library knows inches of mercury only by pascals, so that step is made through
 * them.
 */
function pressure(value: number, from: Pressure, to: 'psi' | 'inHg'): number {
  if (from === to) return value
  return convert(value, from).to(to)
}

function findConversion(spelling: string): Conversion | undefined {
  const micro = spelling
    .normalize('NFKC')
    .replace(/[\u03bc\u00b5]/g, 'u')
    .replace(/\u2126/g, '\u03c9')
  if (micro === 'M' || micro === 'm') return SPELLINGS[micro]
  if (micro === 'mΩ' || micro === 'mω') return undefined // milliohm and megohm differ by 10⁹; this one is never guessed
  const known = micro.toLowerCase()
  return Object.hasOwn(SPELLINGS, known) ? SPELLINGS[known] : undefined
}
