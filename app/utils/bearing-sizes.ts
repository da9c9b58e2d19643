import { bearingsNamed } from '#core/visit/new-parts'

/** What the numbers of an identity stand for, beside what is measured on a ring: bore, outside, width. */
export const bearingSizes = (identity: string): string[] =>
  bearingsNamed(identity).map(({ number, millimetres }) => `${number}: ${millimetres.join(' × ')} mm`)
