import { REGISTER_SPELLINGS } from '../knowledge/said/register-spellings'

/** Runs of letters, and numbers with their decimals: `6203-2RS` is three words, `0.2` is one. */
const WORD = /\d+(?:[.,]\d+)?|\p{L}+/gu
/** A telephone number as one run of digits, however it is grouped. */
const GROUPED_DIGITS = /\+?\d[\d\s()/-]{4,}\d/g
const LEAST_PHONE = 6

/** Text as it is compared: no accents, no capitals, one kind of micro, the apostrophe left out. */
export function foldedText(text: string): string {
  return text.replaceAll(/[’']/g, '').normalize('NFKD').replaceAll(/\p{M}/gu, '').toLowerCase().replaceAll('ω', 'ohm')
}

/** Longer words are found by their beginning. */
const LONGEST_WORD = 60

/** The words of a text, in their order. */
function wordsOf(text: string): string[] {
  return (foldedText(text).match(WORD) ?? []).map((word) => word.replace(',', '.').slice(0, LONGEST_WORD))
}

/**
 * Every word by which a text is found: its own, other spellings of them, and a telephone number as one run of digits.
 *
 * @returns each once, in no order that means anything
 */
export function searchWords(...texts: readonly (string | undefined)[]): string[] {
  const found = new Set<string>()
  for (const text of texts) {
    if (!text) continue
    for (const word of wordsOf(text)) {
      found.add(word)
      for (const other of REGISTER_SPELLINGS.get(word) ?? []) found.add(other)
    }
    for (const digits of text.match(GROUPED_DIGITS) ?? []) {
      const run = digits.replaceAll(/\D/g, '')
      if (run.length >= LEAST_PHONE) found.add(run)
    }
  }
  return [...found]
}

/** The words that are asked for; each is the beginning of a word that must be there. */
export function askedWords(query: string): string[] {
  return [...new Set(wordsOf(query))]
}

/** Which parts of a text are what was asked for: pairs of where one begins and where it ends. */
export function matchedIn(text: string, asked: readonly string[]): [from: number, to: number][] {
  return [...text.matchAll(WORD)].flatMap((match): [number, number][] => {
    const word = foldedText(match[0]).replace(',', '.')
    const spellings = [word, ...(REGISTER_SPELLINGS.get(word) ?? [])]
    const best = asked
      .filter((each) => spellings.some((spelling) => spelling.startsWith(each)))
      .reduce((most, each) => Math.max(most, word.startsWith(each) ? each.length : match[0].length), 0)
    return best === 0 ? [] : [[match.index, match.index + Math.min(best, match[0].length)]]
  })
}

/** The street of an address, without its number: what several houses have in common. */
export function streetOf(address: string): string | undefined {
  const [first = '', ...rest] = address.split(',').map((part) => part.trim())
  const street = first.replace(/\s+\d+\s*\p{L}?$|^\d+\s*\p{L}?\s+/u, '').trim()
  if (street === '' || rest.length === 0) return undefined
  return [street, ...rest].join(', ')
}

/** An address as it is compared with another: its words in full, in their order. */
export function addressKey(address: string): string {
  return wordsOf(address)
    .map((word) => REGISTER_SPELLINGS.get(word)?.find((each) => each.length > word.length) ?? word)
    .join(' ')
}

/** A telephone number as it is compared: its last digits, whatever stands before them. */
export function phoneKey(phone: string | undefined): string | undefined {
  const digits = (phone ?? '').replaceAll(/\D/g, '')
  return digits.length >= LEAST_PHONE ? digits.slice(-9) : undefined
}
