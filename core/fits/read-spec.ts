import { readOf, type Spec } from '../knowledge/fits/family'
import type { FamilyId } from '../knowledge/fits/families'
import { PIPE_SIZE_NAMES } from '../knowledge/fits/pipe-ends'
import { BEARING_SUFFIXES, END_WORDS, FAMILY_WORDS } from '../knowledge/fits/spellings'
import { WIRE_GAUGES } from '../knowledge/electrical/wire'
import { bearingSize } from '../mechanics/bearing'
import type { Measure } from '../quantity/measures'
import { ringOf } from './rings'
import { possible } from './spec-rules'
import { asMeasure, numbersIn, plainText, type Written } from './written'

type Draft = Record<string, number | string>
type Reader = (text: string, numbers: readonly Written[]) => Spec

const BEARING_NUMBER = /(?<![\d.])(6[023]\d\d|6[02]\d(?!\d))/
const DASH = /(?:\bas\s?568\s*-?\s*|\bdash\s*|\bo-?\s?ring\s*-?\s*|(?:^|\s)-)(\d{1,3})\b(?!\s*(?:mm|in\b|"|x))/i
const FRAME = /\b(?:48|56|143|145|182|184)\s?[A-Z]{1,2}\b/i

/**
 * What a text says of a part of a family: a bearing's number as its three sizes, a dash number as a ring's two, ratings
 * with their units. What it does not say is absent, and so is a number that no such part has.
 */
export function readSpec(family: FamilyId, written: string): Spec {
  const text = plainText(written)
  return possible(family, READERS[family](text, numbersIn(text)))
}

/** What a text asks for: the family that it names, or that only its number can be of, and what it says of it. */
export function readAsked(written: string): { family: FamilyId; spec: Spec } | undefined {
  const text = plainText(written)
  const named = FAMILY_WORDS.find(({ written: word }) => word.test(text))?.family as FamilyId | undefined
  const family = named ?? familyByNumber(text)
  if (!family) return undefined
  const spec = readSpec(family, text)
  return Object.keys(spec).length > 0 || named ? { family, spec } : undefined
}

function familyByNumber(text: string): FamilyId | undefined {
  if (BEARING_NUMBER.test(text) && bearing(text).bore !== undefined) return 'bearing'
  if (DASH.test(text)) return 'o-ring'
  const numbers = numbersIn(text)
  const has = (measure: Measure) => numbers.some((number) => asMeasure(number, measure) !== undefined)
  if (has('microfarads')) return spanOf(text) ? 'start-capacitor' : 'run-capacitor'
  if (FRAME.test(text)) return 'motor'
  if (has('flow')) return 'pump'
  if (pair(text) && has('pressure')) return 'pressure-switch'
  if (has('volume')) return 'tank'
  if (END_WORDS.filter(({ written }) => written.test(text)).length > 0) return 'fitting'
  if (crossed(text, numbers) && has('bore')) return 'o-ring'
  if (/\bawg\b/i.test(text)) return 'cable'
  return undefined
}

/** Two numbers of one unit, as `30/50`. */
const PAIR = /([\d.,]+)\s*(?:\/|x|-|to)\s*([\d.,]+)\s*(mm|in\b|"|psi|kpa|bar|v\b)?/i
function pair(text: string): { a: number; b: number; unit: string } | undefined {
  const [, a, b, unit = ''] = PAIR.exec(text) ?? []
  return a === undefined || b === undefined
    ? undefined
    : { a: Number(a.replace(',', '.')), b: Number(b.replace(',', '.')), unit: unit.toLowerCase() }
}
/** Two sizes with a cross between them: `102 x 3.5 mm`. A fraction is one size, not two. */
function crossed(text: string, numbers: readonly Written[]): [Written, Written] | undefined {
  for (const [at, one] of numbers.entries()) {
    const other = numbers[at + 1]
    if (other && text.slice(one.end, other.start).trim().toLowerCase() === 'x') return [one, other]
  }
  return undefined
}
/** `88-108 µF`: what a start capacitor prints. */
function spanOf(text: string): number | undefined {
  const [, low, high] = /(\d+)\s*(?:-|to|–)\s*(\d+)\s*(?:[uμµ]f|mfd|mf)/i.exec(text) ?? []
  return low === undefined || high === undefined ? undefined : (Number(low) + Number(high)) / 2
}

const first = (numbers: readonly Written[], measure: Measure) =>
  numbers.map((number) => asMeasure(number, measure)).find((value) => value !== undefined)
const wordOf = (text: string, words: Readonly<Record<string, RegExp>>) =>
  Object.entries(words).find(([, written]) => written.test(text))?.[0]

const BODIES = { round: /\bround\b/i, oval: /\boval\b/i }
const STUFFS = { nitrile: /\b(?:nitrile|nbr|buna)/i, epdm: /\bepdm\b/i, fkm: /\bfkm\b/i, silicone: /\bsilicone\b/i }
const PLACES = { submersible: /\bsubmers|\bunder\s?water/i, wet: /\bwet\b/i, dry: /\bdry\b/i }

/** A size that stands before or behind a word: `5/8 in shaft`, `seat 1.25 in`. */
function sizeBy(text: string, numbers: readonly Written[], word: RegExp): number | undefined {
  const found = word.exec(text)
  if (!found) return undefined
  const [from, to] = [found.index, found.index + found[0].length]
  const gap = ({ start, end }: Written) => (end <= from ? from - end : start >= to ? start - to + 1 : Infinity)
  const nearest = numbers
    .filter((number) => asMeasure(number, 'bore') !== undefined && !text.slice(number.end, from).includes(','))
    .sort((a, b) => gap(a) - gap(b))[0]
  return nearest && asMeasure(nearest, 'bore')
}

function bearing(text: string): Draft {
  const number = BEARING_NUMBER.exec(text)?.[1]
  const draft: Draft = {}
  try {
    if (number !== undefined) {
      const { boreMillimetres, outsideMillimetres, widthMillimetres } = bearingSize(number)
      Object.assign(draft, { bore: boreMillimetres, outside: outsideMillimetres, width: widthMillimetres })
    }
  } catch {
    // A number that the table does not hold is no size.
  }
  for (const { written, field, says } of BEARING_SUFFIXES)
    if (draft[field] === undefined && written.test(text)) draft[field] = says
  const three = /([\d.,]+)\s*x\s*([\d.,]+)\s*x\s*([\d.,]+)/i.exec(text)
  if (number === undefined && three)
    ['bore', 'outside', 'width'].forEach((field, at) => {
      draft[field] = Number((three[at + 1] as string).replace(',', '.'))
    })
  return draft
}

function ring(text: string, numbers: readonly Written[]): Spec {
  const standard = ringOf(DASH.exec(text)?.[1] ?? 'none')
  const [one, other] = crossed(text, numbers) ?? []
  // Without a unit a section of more than the widest in inches is one in millimetres.
  const unit = other?.unit || one?.unit || ((other?.value ?? 0) > 0.5 ? 'mm' : 'in')
  return readOf({
    inside:
      standard?.insideMillimetres ??
      (one && asMeasure({ value: one.value, unit }, 'bore')) ??
      sizeBy(text, numbers, /inside/i),
    section:
      standard?.sectionMillimetres ??
      (other && asMeasure({ value: other.value, unit }, 'bore')) ??
      sizeBy(text, numbers, /section/i),
    stuff: wordOf(text, STUFFS),
  })
}

const can =
  (middle: (text: string) => number | undefined): Reader =>
  (text, numbers) =>
    readOf({
      microfarads: middle(text) ?? first(numbers, 'microfarads'),
      volts: first(numbers, 'volts'),
      body: wordOf(text, BODIES),
      diameter: first(numbers, 'millimetres'),
    })

/** Ends of pipe in the order in which they are written: `1 1/4 male x 1 female`. */
function ends(text: string, numbers: readonly Written[]): { size: string; end: string }[] {
  const words = END_WORDS.flatMap(({ written, kind }) =>
    [...text.matchAll(new RegExp(written.source, 'gi'))].map(({ index }) => ({ kind, index })),
  ).sort((a, b) => a.index - b.index)
  const sizes = numbers.filter(
    (number) => (PIPE_SIZE_NAMES as readonly string[]).includes(number.text) && /^(?:in.*|")?$/.test(number.unit),
  )
  return words.flatMap(({ kind, index }, at) => {
    const size = sizes.filter(({ end }) => end <= index).at(-1) ?? sizes[at] ?? sizes[0]
    return size ? [{ size: size.text, end: kind }] : []
  })
}
const port: Reader = (text, numbers) => {
  const end = ends(text, numbers)[0]
  return readOf({ port: end?.size, end: end?.end })
}

function wires(text: string, numbers: readonly Written[]): Spec {
  const gauge = /\b(\d\/0|\d{1,2})\s*(?:awg|ga)\b/i.exec(text)?.[1]
  return readOf({
    wire: gauge !== undefined && WIRE_GAUGES.includes(gauge) ? gauge : undefined,
    conductors: first(numbers, 'count'),
    where: wordOf(text, PLACES),
  })
}

/** `115/230 V`: as delivered, and the other. */
function volts(text: string, numbers: readonly Written[]): Spec {
  const [, low, high] = /(\d{2,3})\s*\/\s*(\d{2,3})\s*v/i.exec(text) ?? []
  return low === undefined || high === undefined
    ? readOf({ volts: first(numbers, 'volts') })
    : { volts: Number(high), otherVolts: Number(low) }
}

const READERS: Readonly<Record<FamilyId, Reader>> = {
  'run-capacitor': can(() => undefined),
  'start-capacitor': can(spanOf),
  bearing,
  'o-ring': ring,
  'shaft-seal': (text, numbers) =>
    readOf({
      shaft: sizeBy(text, numbers, /shaft/i),
      seat: sizeBy(text, numbers, /seat/i),
      head: sizeBy(text, numbers, /head/i),
      height: sizeBy(text, numbers, /height/i),
      stuff: wordOf(text, STUFFS),
    }),
  motor: (text, numbers) =>
    readOf({
      horsepower: first(numbers, 'horsepower'),
      ...volts(text, numbers),
      rpm: first(numbers, 'rpm'),
      frame: FRAME.exec(text)?.[0].replace(/\s/g, '').toUpperCase(),
    }),
  pump: (text, numbers) =>
    readOf({ flow: first(numbers, 'flow'), head: first(numbers, 'head'), volts: first(numbers, 'volts') }),
  impeller: (text, numbers) =>
    readOf({
      diameter: first(numbers, 'bore'),
      hand: wordOf(text, { counter: /\bccw\b|counter/i, clockwise: /\bcw\b|clockwise/i }),
    }),
  'pressure-switch': (text, numbers) => {
    const two = pair(text)
    const unit = two?.unit || 'psi'
    return readOf({
      cutIn: two && asMeasure({ value: two.a, unit }, 'pressure'),
      cutOut: two && asMeasure({ value: two.b, unit }, 'pressure'),
      horsepower: first(numbers, 'horsepower'),
      ...port(text, numbers),
    })
  },
  tank: (text, numbers) => readOf({ litres: first(numbers, 'volume'), ...port(text, numbers) }),
  'float-switch': (text, numbers) =>
    readOf({
      amps: first(numbers, 'amps'),
      volts: first(numbers, 'volts'),
      cord: first(numbers, 'length'),
      plug: wordOf(text, { piggyback: /piggyback/i, control: /\bcontrol\b/i, wired: /\bwired\b/i }),
      swing: wordOf(text, { vertical: /vertical/i, tether: /tether/i }),
    }),
  'control-box': (text, numbers) =>
    readOf({ horsepower: first(numbers, 'horsepower'), volts: first(numbers, 'volts') }),
  valve: port,
  'relief-valve': (text, numbers) => readOf({ pressure: first(numbers, 'pressure'), ...port(text, numbers) }),
  gauge: (text, numbers) => readOf({ range: first(numbers, 'pressure'), ...port(text, numbers) }),
  fitting: (text, numbers) => {
    const [one, other] = ends(text, numbers)
    return readOf({ size: one?.size, end: one?.end, otherSize: other?.size, otherEnd: other?.end })
  },
  splice: wires,
  cable: wires,
}
