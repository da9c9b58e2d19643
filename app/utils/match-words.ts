import type { MatchVerdict } from '#core/motor/match'

export const MATCH_WORDS: Readonly<Record<MatchVerdict, string>> = {
  fits: 'fits',
  'fits-with': 'fits with',
  'does-not': 'does not fit',
  'not-read': 'not read',
}

/** The whole of it. */
export const MATCH_SENTENCES: Readonly<Record<MatchVerdict, string>> = {
  fits: 'Held against the old one it fits in every point.',
  'fits-with': 'It fits with what is said at its points.',
  'does-not': 'It does not fit.',
  'not-read': 'It fits as far as it is read.',
}
