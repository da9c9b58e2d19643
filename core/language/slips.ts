/** Words of a list by what is left of them when letters are lost: how a slip finds its word without trying them all. */
export interface SlipIndex {
  words: ReadonlySet<string>
  byRest: ReadonlyMap<string, readonly string[]>
}

/** How many slips a word of this length may hold: short words are too near each other. */
export function slipsAllowed(length: number): number {
  return length >= 8 ? 2 : length >= 4 ? 1 : 0
}

/** Every rest of a word after losing up to `count` letters, the word itself among them. */
function rests(word: string, count: number): Set<string> {
  const found = new Set([word])
  let last = [word]
  for (let lost = 0; lost < count; lost += 1) {
    last = last.flatMap((rest) => Array.from(rest, (_, at) => rest.slice(0, at) + rest.slice(at + 1)))
    for (const rest of last) found.add(rest)
  }
  return found
}

/**
 * Index by symmetric deletion: two words within n slips share a rest after at most n lost letters each.
 *
 * @source the symmetric delete method of spelling correction, from memory
 */
export function deletionIndex(words: readonly string[]): SlipIndex {
  const byRest = new Map<string, string[]>()
  for (const word of words)
    for (const rest of rests(word, slipsAllowed(word.length))) {
      const list = byRest.get(rest)
      if (list) list.push(word)
      else byRest.set(rest, [word])
    }
  return { words: new Set(words), byRest }
}

/**
 * Slips between two words: letters lost, added, changed or two neighbours swapped, each one.
 *
 * @source the restricted Damerau-Levenshtein distance
 */
export function slipsBetween(from: string, to: string): number {
  let twoBack: number[] = []
  let back = Array.from({ length: to.length + 1 }, (_, column) => column)
  for (let row = 1; row <= from.length; row += 1) {
    const now = [row]
    for (let column = 1; column <= to.length; column += 1) {
      const same = from[row - 1] === to[column - 1]
      let least = Math.min(
        (back[column] as number) + 1,
        (now[column - 1] as number) + 1,
        (back[column - 1] as number) + (same ? 0 : 1),
      )
      if (row > 1 && column > 1 && from[row - 1] === to[column - 2] && from[row - 2] === to[column - 1])
        least = Math.min(least, (twoBack[column - 2] as number) + 1)
      now.push(least)
    }
    twoBack = back
    back = now
  }
  return back[to.length] as number
}

/** A word with every doubled letter written once. */
const single = (word: string) => word.replace(/(.)\1/g, '$1')

/** The words of the index that are fewest slips away, as far as slips are allowed; the first letter counts. */
export function nearWords(word: string, index: SlipIndex): string[] {
  const allowed = slipsAllowed(word.length)
  if (allowed === 0 || !/^\p{L}+$/u.test(word)) return []
  let nearest: string[] = []
  let fewest = allowed + 1
  const tried = new Set<string>()
  for (const rest of rests(word, allowed))
    for (const candidate of index.byRest.get(rest) ?? []) {
      if (tried.has(candidate) || candidate[0] !== word[0]) continue
      tried.add(candidate)
      const slips = slipsBetween(word, candidate)
      if (slips > slipsAllowed(candidate.length) || slips > allowed) continue
      if (slips < fewest) {
        fewest = slips
        nearest = [candidate]
      } else if (slips === fewest) nearest.push(candidate)
    }
  return nearest
}

/** The same length and other letters: a key struck for its neighbour. */
const isStruck = (word: string, candidate: string) =>
  candidate.length === word.length && [...candidate].sort().join('') !== [...word].sort().join('')

/**
 * The word that was meant, or undefined when none is near or two are as near.
 *
 * The first letter counts: people seldom miss it, and a slip there makes another word. A letter written once instead of
 * twice is the commonest slip: it decides against a key struck for another.
 */
export function meantWord(word: string, index: SlipIndex): string | undefined {
  const nearest = nearWords(word, index)
  const doubled = nearest.filter((candidate) => single(candidate) === single(word))
  const left =
    doubled.length > 0 && nearest.every((candidate) => doubled.includes(candidate) || isStruck(word, candidate))
      ? doubled
      : nearest
  const stems = new Set(left.map((candidate) => candidate.replace(/(?:es|s|ed|ing)$/, '')))
  return stems.size === 1 ? left[0] : undefined
}
