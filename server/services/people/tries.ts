import type { Tries } from './book'

/**
 * So many tries are free; each after them waits twice as long as the one before. Of one name from one address few are;
 * of a name or from an address alone more, so that whoever guesses does not keep out whoever knows, nor those behind
 * the same proxy.
 *
 * @source OWASP ASVS 4.0.3, 2.2.1: no more than 100 failed attempts an hour on a single account
 */
const FREE = { both: 5, name: 20, address: 40 } as const
const FIRST_WAIT = 2
const LONGEST_WAIT = 15 * 60
/** A try counts for so long, seconds. */
const FORGOTTEN = 24 * 3_600
/** So many names and addresses are remembered. */
const MOST = 2_000

const age = ({ at }: Tries, now: Date) => Math.max(0, (now.getTime() - Date.parse(at)) / 1_000)
const freeOf = (of: string) => FREE[of.slice(0, of.indexOf(' ')) as keyof typeof FREE] ?? FREE.both

/** Under what a try of a name from an address is counted. */
export const triesOf = (name: string, address: string): readonly string[] =>
  [`both ${name} ${address}`, `name ${name}`, `address ${address}`].map((of) => of.slice(0, 200))

/** How long the next try of any of these is not looked at, seconds; 0 where it is. */
export function waitOf(tries: readonly Tries[], of: readonly string[], now: Date): number {
  const waits = tries
    .filter((each) => of.includes(each.of) && each.count >= freeOf(each.of))
    .map((each) => Math.min(FIRST_WAIT * 2 ** (each.count - freeOf(each.of)), LONGEST_WAIT) - age(each, now))
  return Math.max(0, Math.ceil(Math.max(0, ...waits)))
}

/** One more try failed, of a name and from an address. */
export function noteFailure(tries: readonly Tries[], of: readonly string[], now: Date): Tries[] {
  const still = tries.filter((each) => age(each, now) < FORGOTTEN)
  const noted = of.map((name) => ({
    of: name,
    count: (still.find((each) => each.of === name)?.count ?? 0) + 1,
    at: now.toISOString(),
  }))
  return [...still.filter((each) => !of.includes(each.of)), ...noted].slice(-MOST)
}

/** Somebody was let in: what was tried before is forgotten. */
export function withoutTries(tries: readonly Tries[], of: readonly string[]): Tries[] {
  return tries.filter((each) => !of.includes(each.of))
}
