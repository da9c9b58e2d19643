import { formatNumber } from './format'
import { toShown, unitOf, type Measure, type UnitSystem } from './measures'

/** A number in a sentence that does not know yet in which units it will be read. */
export interface Amount {
  value: number
  measure: Measure
  significant?: number
}
/** Words and amounts in their order. */
export type Sentence = readonly (string | Amount)[]

/** An amount for a sentence: `q(0.6, 'flow')`. */
export function q(value: number, measure: Measure, significant?: number): Amount {
  return { value, measure, ...(significant === undefined ? {} : { significant }) }
}

/** A long sentence is broken in the source; a reader sees one space there. */
const LINE_BREAK = /\s*\n\s*/g

/**
 * A sentence as a template: amounts stay amounts, plain numbers and words become text.
 *
 * @example render(say`It moves ${q(0.63, 'flow')}.`, { system: 'us' }) // 'It moves 9.99 gpm.'
 */
export function say(words: TemplateStringsArray, ...parts: (string | number | Amount | Sentence)[]): Sentence {
  return words.flatMap((text, index): (string | Amount)[] => {
    const part = parts[index]
    const told =
      part === undefined
        ? []
        : typeof part === 'number'
          ? [formatNumber(part)]
          : Array.isArray(part)
            ? (part as (string | Amount)[])
            : [part as string | Amount]
    return [text.replace(LINE_BREAK, ' '), ...told]
  })
}

/** How a reader shows amounts: in which units, and money in which currency. */
export interface Reader {
  system: UnitSystem
  currency?: string
}

/** One amount as it is read. */
export function renderAmount({ value, measure, significant }: Amount, { system, currency }: Reader): string {
  if (measure === 'money' && currency)
    return new Intl.NumberFormat('en-US', {
      style: 'currency',
      currency,
      maximumFractionDigits: Math.abs(value) < 10 ? 2 : 0,
    }).format(value)
  const unit = unitOf(measure, system)
  return `${formatNumber(toShown(value, measure, system), significant)}${unit ? ` ${unit}` : ''}`
}

/** The sentence as somebody reads it. */
export function render(sentence: Sentence, reader: Reader): string {
  return sentence.map((part) => (typeof part === 'string' ? part : renderAmount(part, reader))).join('')
}
