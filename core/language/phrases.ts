import { ORDINARY_WORDS } from '../knowledge/said/ordinary-words'
import { CALENDAR, SILENT } from '../knowledge/said/roles-said'
import { GROUND_SAID, LEADS_SAID } from '../knowledge/said/electrics-said'
import { PLATE_UNITS_SAID, VOLUMES_SAID } from '../knowledge/said/units-said'
import { readUnit } from '../quantity/units'
import { lexicon } from './lexicon'
import type { Role } from '../knowledge/said/roles-said'
import type { Sense } from './sense'
import { meantWord } from './slips'
import type { Word } from './words'

/** Words that belong together, with all that they can mean; or a number; or a mark. */
export interface Piece {
  kind: 'phrase' | 'number' | 'mark' | 'foreign' | 'silent'
  words: Word[]
  /** As it was looked up, slips mended. */
  text: string
  senses: readonly Sense[]
  /** Which clause of the line it stands in: commas and full stops part them. */
  clause: number
  /** Set by whoever used the piece for what was understood. */
  used: boolean
}

const BREAKS: ReadonlySet<string> = new Set([',', ';', '.', '!', '(', ')'])

/** The words of some pieces as they were typed, in the line’s order, each once. */
export function asTyped(pieces: readonly Piece[]): string {
  return [...new Set(pieces)]
    .flatMap(({ words }) => words)
    .sort((a, b) => a.start - b.start)
    .map(({ raw }) => raw)
    .filter(Boolean)
    .join(' ')
}

/** Does the piece do this in the line, among all that it can mean? */
export function playsRole(piece: Piece, role: Role): boolean {
  return piece.senses.some((sense) => sense.is === 'role' && sense.role === role)
}

/** What a word is looked up as: itself, without its plural, or the word it is a slip of. */
const MOST_REMEMBERED = 5000
/** A line is understood anew with each letter that is typed: its other words have been looked up before. */
const remembered = new Map<string, string | undefined>()

function known(word: Word): string | undefined {
  const key = `${word.text} ${word.raw}`
  if (remembered.has(key)) return remembered.get(key)
  const found = lookedUp(word)
  if (remembered.size >= MOST_REMEMBERED) remembered.clear()
  remembered.set(key, found)
  return found
}

function lookedUp(word: Word): string | undefined {
  const { words, slips } = lexicon()
  const { text } = word
  if (words.has(text)) return text
  const single = text.replace(/'s$/, '')
  if (single !== text && words.has(single)) return single
  if (/[^s]s$/.test(text) && text.length > 3 && words.has(text.slice(0, -1))) return text.slice(0, -1)
  if (readUnit(word.raw) || text === '°' || text === '%' || text === '"') return text
  if (ORDINARY_WORDS.has(text)) return undefined
  return meantWord(text, slips)
}

/** "can not" is a denial, unless what follows is said of a capacitor: there the can is meant. */
function deniedCan(words: readonly Word[]): Word[] {
  const out: Word[] = []
  words.forEach((word, at) => {
    const before = out.at(-1)
    const after = words[at + 1]
    const ofCapacitor =
      after !== undefined &&
      (lexicon().phrases.get(after.text) ?? []).some(
        (sense) => sense.is === 'outcome' && sense.check === 'capacitor-look',
      )
    if (word.text === 'not' && before?.text === 'can' && !ofCapacitor)
      out[out.length - 1] = { ...word, start: before.start, raw: `${before.raw} ${word.raw}` }
    else out.push(word)
  })
  return out
}

/**
 * The pieces of a line: the longest phrases that cover it best.
 *
 * Words that carry nothing are skipped inside a phrase (`swapped the control box`); marks and numbers part phrases.
 */
export function phrasesOf(line: readonly Word[]): Piece[] {
  const words = deniedCan(line)
  const pieces: Piece[] = []
  let clause = 0
  let run: { word: Word; text: string | undefined }[] = []
  const flush = () => {
    pieces.push(...covered(run, clause))
    run = []
  }
  for (const [at, word] of words.entries()) {
    if (word.kind === 'word' || word.spoken) {
      run.push({ word, text: word.kind === 'word' ? known(word) : word.text })
      continue
    }
    flush()
    if (word.kind === 'number') pieces.push(piece('number', [word], word.text, clause))
    else {
      pieces.push(piece('mark', [word], word.text, clause))
      // "no. 3": a full stop inside a line parts clauses like a comma does.
      if (BREAKS.has(word.text) && at > 0) clause += 1
    }
  }
  flush()
  return pieces
}

function piece(kind: Piece['kind'], words: Word[], text: string, clause: number, senses: readonly Sense[] = []): Piece {
  return { kind, words, text, senses, clause, used: kind === 'silent' || kind === 'mark' }
}

/** The best covering of a run of words: most words in phrases, and those in as long ones as can be. */
function covered(run: readonly { word: Word; text: string | undefined }[], clause: number): Piece[] {
  if (run.length === 0) return []
  const { phrases, longest } = lexicon()
  const best: { score: number; take: number; key?: string }[] = Array.from({ length: run.length + 1 }, () => ({
    score: 0,
    take: 1,
  }))
  for (let at = run.length - 1; at >= 0; at -= 1) {
    const first = run[at] as (typeof run)[number]
    let choice: { score: number; take: number; key?: string } = {
      score: (best[at + 1] as { score: number }).score,
      take: 1,
    }
    let key = ''
    let telling = 0
    for (let end = at; end < run.length && telling < longest; end += 1) {
      const { text } = run[end] as (typeof run)[number]
      if (text === undefined) break
      const silent = SILENT.has(text)
      if (silent && end === at && first.text !== undefined && !phrases.has(text)) break
      if (!silent || end === at) {
        key = key === '' ? text : `${key} ${text}`
        telling += 1
        if (phrases.has(key)) {
          const score = (best[end + 1] as { score: number }).score + telling ** 1.6
          if (score >= choice.score) choice = { score, take: end + 1 - at, key }
        }
      }
    }
    best[at] = choice
  }
  const pieces: Piece[] = []
  for (let at = 0; at < run.length;) {
    const { take, key } = best[at] as { take: number; key?: string }
    const words = run.slice(at, at + take).map(({ word }) => word)
    const { word, text } = run[at] as (typeof run)[number]
    if (word.kind === 'number' && take === 1) pieces.push(piece('number', words, word.text, clause))
    else if (key !== undefined) pieces.push(piece('phrase', words, key, clause, phrases.get(key)))
    else if (text !== undefined && SILENT.has(text)) pieces.push(piece('silent', words, text, clause))
    else if (text !== undefined && isOfAQuantity(word, text)) pieces.push(piece('phrase', words, text, clause))
    else pieces.push(piece('foreign', words, text ?? word.text, clause))
    at += take
  }
  return pieces
}

/** Leads, units and times mean nothing alone and something beside a number or another lead. */
function isOfAQuantity(word: Word, text: string): boolean {
  return (
    Object.hasOwn(LEADS_SAID, text) ||
    GROUND_SAID.has(text) ||
    CALENDAR.has(text) ||
    readUnit(word.raw) !== undefined ||
    Object.hasOwn(VOLUMES_SAID, text) ||
    Object.hasOwn(PLATE_UNITS_SAID, text) ||
    text === '°' ||
    text === '%' ||
    text === '"'
  )
}
