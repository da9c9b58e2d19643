import type { Verdict } from '../judgement/judgement'
import { KINDS, type Kind } from '../knowledge/vocabulary'
import { askedWords } from './words'

/** Which machines are meant; what is left out is any. */
export interface PumpFilter {
  kind?: Kind
  /** Installed so many years ago or longer. */
  overYears?: number
  /** Something is due within so many days. */
  dueWithin?: number
  verdict?: Verdict | 'none'
  retired?: true
}

/** What was typed: the words to look for, and what narrows the machines. */
export interface PumpQuery {
  words: string[]
  filter: PumpFilter
}

/** How far ahead “due” looks, days. */
export const DUE_DAYS = 30
const VERDICTS: Readonly<Record<string, PumpFilter['verdict']>> = {
  sound: 'sound',
  tired: 'tired',
  failed: 'failed',
  'not checked': 'none',
}
/** In quotes a word is looked for, whatever it means else. */
const NARROWING =
  /"([^"]*)"|\b(?:(?<verdict>sound|tired|failed|not checked)|(?<due>due)|(?<retired>retired)|over (?<years>\d{1,2}) years?)\b/gi

/**
 * Reads a search as it is typed: `weir tired`, `over 8 years`, `due pool`.
 *
 * @example pumpQuery('weir tired') // { words: ['weir'], filter: { verdict: 'tired' } }
 */
export function pumpQuery(text: string): PumpQuery {
  const filter: PumpFilter = {}
  const rest = text.replace(NARROWING, (...match) => {
    const { verdict, due, retired, years } = match.at(-1) as Record<string, string | undefined>
    if (verdict) filter.verdict = VERDICTS[verdict.toLowerCase()]
    else if (due) filter.dueWithin = DUE_DAYS
    else if (retired) filter.retired = true
    else if (years) filter.overYears = Number(years)
    else return ` ${match[1] as string} `
    return ' '
  })
  return { words: askedWords(rest), filter }
}

/** Is this the id of a kind of pump? */
export const isKind = (value: unknown): value is Kind => typeof value === 'string' && Object.hasOwn(KINDS, value)
