import { formatNumber } from './format'
import { toShown, unitOf, type Measure, type UnitSystem } from './measures'
import { inNumberStyle, NUMBER_STYLES, type NumberStyle } from './number-style'
import { formatReading, shownReading } from './reading'
import type { Unit } from './units'

/** A number in a sentence that does not know yet in which units it will be read. */
export interface Amount {
  value: number
  measure: Measure
  significant?: number
}
/** A reading in a sentence, in the unit its check is kept in. */
export interface ReadingAmount {
  value: number
  unit: Unit
  significant?: number
  /** Without its unit, which another number beside it has. */
  bare?: true
}
/** Words and amounts in their order. */
export type Sentence = readonly (string | Amount | ReadingAmount)[]
/** What somebody is told: a sentence, or words in which no reader's units matter. */
export type Telling = string | Sentence

/** An amount for a sentence: `q(0.6, 'flow')`. */
export function q(value: number, measure: Measure, significant?: number): Amount {
  return { value, measure, ...(significant === undefined ? {} : { significant }) }
}

/** A reading for a sentence: `r(28, 'psi')`. */
export function r(value: number, unit: Unit, significant?: number): ReadingAmount {
  return { value, unit, ...(significant === undefined ? {} : { significant }) }
}

/** The lower end of a range of readings, whose unit stands at the upper. */
export function rFrom(value: number, unit: Unit): ReadingAmount {
  return { value, unit, bare: true }
}

/** A long sentence is broken in the source; a reader sees one space there. */
const LINE_BREAK = /\s*\n\s*/g

/**
 * A sentence as a template: amounts stay amounts, plain numbers and words become text.
 *
 * @example render(say`It moves ${q(0.63, 'flow')}.`, { system: 'us' }) // 'It moves 9.99 gpm.'
 */
export function say(
  words: TemplateStringsArray,
  ...parts: (string | number | Amount | ReadingAmount | Sentence)[]
): Sentence {
  return words.flatMap((text, index): Sentence => {
    const part = parts[index]
    const told: Sentence =
      part === undefined
        ? []
        : typeof part === 'number'
          ? [formatNumber(part)]
          : Array.isArray(part)
            ? (part as Sentence)
            : [part as string | Amount | ReadingAmount]
    return [text.replace(LINE_BREAK, ' '), ...told]
  })
}

/** How a reader shows amounts: in which units, and money in which currency. */
export interface Reader {
  system: UnitSystem
  currency?: string
  /** How numbers are written; with a point where nothing is said. */
  numbers?: NumberStyle
}

/** Who reads where nobody chose: the units in which readings are kept. */
export const US_READER: Reader = { system: 'us' }

/** Who reads core's own numbers: the command line and HTTP. */
export const METRIC_READER: Reader = { system: 'metric' }

/** One amount as it is read. */
export function renderAmount({ value, measure, significant }: Amount, { system, currency, numbers }: Reader): string {
  if (measure === 'money' && currency)
    return new Intl.NumberFormat(NUMBER_STYLES[numbers ?? 'point'].locale, {
      style: 'currency',
      currency,
      maximumFractionDigits: Math.abs(value) < 10 ? 2 : 0,
    }).format(value)
  const unit = unitOf(measure, system)
  return inNumberStyle(
    `${formatNumber(toShown(value, measure, system), significant)}${unit ? ` ${unit}` : ''}`,
    numbers,
  )
}

function renderReading({ value, unit, significant, bare }: ReadingAmount, { system, numbers }: Reader): string {
  return inNumberStyle(
    bare
      ? formatNumber(shownReading(value, unit, system).value, significant)
      : formatReading(value, unit, system, significant),
    numbers,
  )
}

/** What is told as somebody reads it. */
export function render(told: Telling, reader: Reader): string {
  if (typeof told === 'string') return told
  return told
    .map((part) =>
      typeof part === 'string' ? part : 'unit' in part ? renderReading(part, reader) : renderAmount(part, reader),
    )
    .join('')
}
