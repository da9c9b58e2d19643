import { isIdOf, KINDS, type Kind } from '../vocabulary'

/** How hard a case is, and by what. */
export const HARDNESS = {
  one: 'one fault',
  two: 'two faults',
  foreign: 'a foreign plate',
  redone: 'a repair done badly before',
  misled: 'a misleading caller',
} as const
export type Hardness = keyof typeof HARDNESS

/** What names a case: the same code is the same pump with the same fault, for everybody and everywhere. */
export interface CaseCode {
  kind: Kind
  hardness: Hardness
  seed: number
}

/** Seeds that a code can hold. */
export const MOST_SEED = 36 ** 5

/** A case as it stands in its link: kind, hardness and a number, such as `jet.two.1k9f`. */
export function writeCode({ kind, hardness, seed }: CaseCode): string {
  return `${kind}.${hardness}.${seed.toString(36)}`
}

/**
 * Reads a code.
 *
 * @returns undefined where it is none: an unknown kind or hardness, or a number that is no number
 */
export function readCode(code: string): CaseCode | undefined {
  const [kind, hardness, number, ...more] = code.split('.')
  if (more.length > 0 || !isIdOf(KINDS, kind) || !isIdOf(HARDNESS, hardness)) return undefined
  if (!number || !/^[0-9a-z]{1,5}$/.test(number)) return undefined
  return { kind, hardness, seed: Number.parseInt(number, 36) }
}
