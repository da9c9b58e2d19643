import { ABBREVIATIONS } from '../knowledge/said/abbreviations'
import { spokenNumberAt } from './spoken-number'

/** One word, number or mark of a line, with where it stands in it. */
export interface Word {
  kind: 'word' | 'number' | 'mark'
  /** As it is looked up: lower case, denials as `not`. */
  text: string
  /** As it was typed. */
  raw: string
  start: number
  end: number
  /** Stands behind a hyphen, with the word or number before it: `b-y`, `o-ring`, `59-71`. */
  joined: boolean
  /** Stands against the number before it: `171uF`, `56Y`. */
  glued: boolean
  value?: number
  /** A single small number word: as likely a pronoun as a figure. */
  small?: boolean
  /** One number word: it can be part of a phrase, `across two leads`. */
  spoken?: boolean
}

const DASHES = /[\u2010-\u2015\u2212]/g
const QUOTES = /[\u2018\u2019\u00b4]/g

/**
 * The longest alternatives first: units that hold marks, numbers, words (with their apostrophes and digits), degrees,
 * inches, marks.
 */
const NUMBER = String.raw`(?<number>\d+(?:[.,]\d+)?|[.,]\d+)`
const WORD = String.raw`(?<word>[\p{L}\u2126](?:[\p{L}\p{N}]|['](?=\p{L}))*)`
const MARK = String.raw`(?<mark>[^\s])`
const PIECE = new RegExp(
  [
    String.raw`(?<unit>(?:m3|m\u00b3|l|gal|g)\/(?:min|s|h)\b|kpa-vacuum|\u00b0\s?[cf]\b)`,
    String.raw`(?<fraction>\d+\s\d\/\d+|\d+\/(?:2|3|4|8|16|32)(?!\d))`,
    NUMBER,
    String.raw`(?<glyph>[\u00bd\u00bc\u00be])`,
    WORD,
    MARK,
  ].join('|'),
  'giu',
)
/** The same for the many lines that have no fraction and no unit with a mark in it. */
const PLAIN_PIECE = new RegExp([WORD, NUMBER, MARK].join('|'), 'gu')
const NEEDS_ALL = /[/°½¼¾]|kpa-/i
const GLYPHS: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75 }

/** Words that carry a denial: with the verb before them they are one `not`. */
const DENIED_VERB =
  /^(?:do|does|did|is|are|was|were|has|have|had|will|wo|would|ca|can|could|should|ai|need)(?:n'?t|\snot)$/
const AUXILIARY: ReadonlySet<string> = new Set([
  'do',
  'does',
  'did',
  'is',
  'are',
  'was',
  'were',
  'has',
  'have',
  'had',
  'will',
  'would',
  'can',
  'could',
  'should',
])

/**
 * A line in words: numbers read (figures and number words, decimal comma, fractions), units split off their numbers,
 * hyphens and glue remembered, denials made one word.
 *
 * @param line as typed or dictated; nothing of it is lost: every character that is no space belongs to a word
 */
export function wordsOf(line: string): Word[] {
  return withSpokenNumbers(withDenials(pieces(line.replace(DASHES, '-').replace(QUOTES, "'"))))
}

function pieces(line: string): Word[] {
  const words: Word[] = []
  let hyphen: Word | undefined
  for (const match of line.matchAll(NEEDS_ALL.test(line) ? PIECE : PLAIN_PIECE)) {
    const raw = match[0]
    const start = match.index
    const end = start + raw.length
    const before = words.at(-1)
    const touching = before !== undefined && before.end === start
    const base = { raw, start, end, joined: false, glued: false }
    const groups = match.groups as Record<string, string | undefined>
    if (raw === '-') {
      hyphen = { ...base, kind: 'mark', text: '-' }
      const signs = !touching && /[\d.]/.test(line[end] ?? '')
      const joins = touching && /[\p{L}\p{N}.]/u.test(line[end] ?? '')
      if (!signs && !joins) {
        words.push(hyphen)
        hyphen = undefined
      }
      continue
    }
    const joined = hyphen !== undefined && before !== undefined && before.end === hyphen.start
    const negative = hyphen !== undefined && !joined
    const from = hyphen && negative ? hyphen.start : start
    hyphen = undefined
    if (groups['number'] || groups['fraction'] || groups['glyph']) {
      const value = groups['fraction'] ? fraction(raw) : (GLYPHS[raw] ?? Number(raw.replace(',', '.')))
      words.push({
        ...base,
        kind: 'number',
        text: raw,
        start: from,
        raw: line.slice(from, end),
        joined,
        glued: touching && !joined,
        value: negative ? -value : value,
      })
      continue
    }
    if (groups['mark']) {
      words.push({
        ...base,
        kind: raw === '"' || raw === '%' || raw === '°' || raw === "'" ? 'word' : 'mark',
        text: raw,
      })
      continue
    }
    const glued = touching && before.kind === 'number' && !joined
    if (glued && /^(?:st|nd|rd|th)$/i.test(raw)) {
      // "the 14th" is a day, or a place in a row.
      const { value: _, ...day } = before
      words[words.length - 1] = { ...day, kind: 'word', text: `${before.text}${raw}`, raw: `${before.raw}${raw}`, end }
      continue
    }
    const text = raw.toLowerCase().normalize('NFKC').replace(/\s/g, '')
    const stands = glued ? text : (ABBREVIATIONS[text] ?? text)
    // What is short for two words is read as two, both where the one stands.
    stands.split(' ').forEach((each, at) => {
      words.push({ ...base, raw: at === 0 ? raw : '', kind: 'word', text: each, joined: joined && at === 0, glued })
    })
  }
  return words
}

function fraction(raw: string): number {
  const [whole, part] = raw.includes(' ') ? raw.split(/\s/) : ['0', raw]
  const [over, under] = (part as string).split('/')
  return Number(whole) + Number(over) / Number(under)
}

/** `does not`, `won't`, `cannot` and the like become one `not` that spans them. */
function withDenials(words: readonly Word[]): Word[] {
  const out: Word[] = []
  for (const word of words) {
    const before = out.at(-1)
    if (word.text === 'cannot' || DENIED_VERB.test(word.text)) {
      out.push({ ...word, text: 'not' })
      continue
    }
    // "can not" may be the capacitor that does not leak: whoever reads the phrases decides by what follows.
    if (word.text === 'not' && before?.kind === 'word' && AUXILIARY.has(before.text) && before.text !== 'can') {
      out[out.length - 1] = { ...word, start: before.start, raw: `${before.raw} ${word.raw}` }
      continue
    }
    out.push(word)
  }
  return out
}

function withSpokenNumbers(words: readonly Word[]): Word[] {
  const texts = words.map(({ text }) => text)
  const out: Word[] = []
  for (let at = 0; at < words.length; at += 1) {
    const word = words[at] as Word
    const spoken = word.kind === 'word' ? spokenNumberAt(texts, at) : undefined
    const half = word.kind === 'number' && texts.slice(at + 1, at + 4).join(' ') === 'and a half'
    const decimals = word.kind === 'number' && texts[at + 1] === 'point' ? spokenNumberAt(texts, at + 1) : undefined
    if (spoken) {
      const last = words[at + spoken.words - 1] as Word
      out.push({
        ...word,
        kind: 'number',
        value: spoken.value,
        small: spoken.small,
        spoken: spoken.words === 1,
        text: texts.slice(at, at + spoken.words).join(' '),
        raw: words
          .slice(at, at + spoken.words)
          .map(({ raw }) => raw)
          .join(' '),
        end: last.end,
      })
      at += spoken.words - 1
    } else if (half) {
      out.push({ ...word, value: (word.value ?? 0) + 0.5, end: (words[at + 3] as Word).end })
      at += 3
    } else if (decimals) {
      const last = words[at + decimals.words] as Word
      out.push({
        ...word,
        value: (word.value ?? 0) + decimals.value,
        end: last.end,
        text: `${word.text} ${texts[at + 1]}`,
      })
      at += decimals.words
    } else if (word.text === 'half' || word.text === 'quarter') {
      const part = halfOf(word, words[at + 1])
      out.push(part)
      if (part.kind === 'number') at += 1
    } else out.push(word)
  }
  return out
}

/** `half a meg`, `half an inch`: a number before an article; `half shut` stays a word. */
function halfOf(word: Word, next: Word | undefined): Word {
  return next && (next.text === 'a' || next.text === 'an')
    ? { ...word, kind: 'number', value: word.text === 'half' ? 0.5 : 0.25, small: true, end: next.end }
    : word
}
