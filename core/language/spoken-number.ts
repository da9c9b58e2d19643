/** Numbers as they are said: `two thirty six`, `one oh five`, `twelve point six`, `half a meg`. */

const UNITS: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
}
const TEENS: Readonly<Record<string, number>> = {
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
}
const TENS: Readonly<Record<string, number>> = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
}
const NOTHING: ReadonlySet<string> = new Set(['zero', 'oh', 'nought', 'naught'])
const MULTIPLES: Readonly<Record<string, number>> = { hundred: 100, thousand: 1000 }

/** Every word that can be part of a number that is said. */
export const NUMBER_WORDS: ReadonlySet<string> = new Set([
  ...Object.keys(UNITS),
  ...Object.keys(TEENS),
  ...Object.keys(TENS),
  ...Object.keys(MULTIPLES),
  'zero',
  'nought',
  'naught',
  'point',
])

/** A number found in the words: how many of them it took, and whether it is more than one small word. */
export interface SpokenNumber {
  value: number
  words: number
  /** One small word alone, such as `one` or `two`: as likely a pronoun as a figure. */
  small: boolean
}

function digitOf(word: string | undefined): number | undefined {
  if (word === undefined) return undefined
  if (NOTHING.has(word)) return 0
  return UNITS[word] ?? (/^\d$/.test(word) ? Number(word) : undefined)
}

/** Two figures said as one: `thirty six`, `nineteen`, `oh five`. */
function pairAt(words: readonly string[], at: number): { value: number; words: number } | undefined {
  const first = words[at] ?? ''
  const next = words[at + 1] ?? ''
  if (TENS[first] !== undefined) {
    const unit = UNITS[next]
    return unit === undefined ? { value: TENS[first], words: 1 } : { value: TENS[first] + unit, words: 2 }
  }
  if (TEENS[first] !== undefined) return { value: TEENS[first], words: 1 }
  if (NOTHING.has(first) && UNITS[next] !== undefined) return { value: UNITS[next], words: 2 }
  return undefined
}

/** The whole part: hundreds and thousands multiply, and what follows is said beside them: `two thirty six`. */
function wholeAt(words: readonly string[], start: number): { value: number; words: number } | undefined {
  let at = start
  let value: number | undefined
  let thousands = 0
  if (words[at] === 'a' && MULTIPLES[words[at + 1] ?? '']) {
    value = 1
    at += 1
  }
  for (;;) {
    const word = words[at] ?? ''
    const multiple = MULTIPLES[word]
    if (multiple !== undefined && value !== undefined) {
      if (multiple === 1000) {
        thousands = value * 1000
        value = 0
      } else value *= multiple
      at += 1
      // "two hundred and thirty"
      if (words[at] === 'and' && (pairAt(words, at + 1) || UNITS[words[at + 1] ?? '']) && value % 100 === 0) at += 1
      const rest =
        pairAt(words, at) ??
        (UNITS[words[at] ?? ''] ? { value: UNITS[words[at] ?? ''] as number, words: 1 } : undefined)
      if (rest && MULTIPLES[words[at + rest.words] ?? ''] === undefined) {
        value += rest.value
        at += rest.words
        break
      }
      if (rest && thousands > 0) {
        value += rest.value
        at += rest.words
      }
      continue
    }
    if (value === undefined) {
      const pair = pairAt(words, at)
      const digit = digitOf(/^\d/.test(word) ? undefined : word)
      if (pair && !NOTHING.has(word)) {
        value = pair.value
        at += pair.words
      } else if (digit !== undefined && word !== 'oh') {
        value = digit
        at += 1
      } else return undefined
      continue
    }
    // "two thirty six", "thirty four fifty": the next two figures stand behind the ones before.
    const beside = value > 0 ? pairAt(words, at) : undefined
    if (beside && value < 100 && thousands === 0) {
      value = value * 100 + beside.value
      at += beside.words
      continue
    }
    break
  }
  return at === start || value === undefined ? undefined : { value: value + thousands, words: at - start }
}

/**
 * The number that is said at `at`, if one is.
 *
 * `half` is none of its own: whoever knows what follows (a unit) says whether a half is a quantity.
 */
export function spokenNumberAt(words: readonly string[], at: number): SpokenNumber | undefined {
  const whole = wholeAt(words, at)
  let end = at + (whole?.words ?? 0)
  let value = whole?.value ?? 0
  if (words[end] === 'point' && digitOf(words[end + 1]) !== undefined) {
    let decimals = ''
    end += 1
    for (let digit = digitOf(words[end]); digit !== undefined; digit = digitOf(words[end])) {
      decimals += String(digit)
      end += 1
    }
    value = Number(`${value}.${decimals}`)
    return { value, words: end - at, small: false }
  }
  if (whole && words[end] === 'and' && words[end + 1] === 'a' && words[end + 2] === 'half')
    return { value: value + 0.5, words: end + 3 - at, small: false }
  if (!whole) return undefined
  return { value, words: whole.words, small: whole.words === 1 && value < 10 && words[at] !== 'zero' }
}
