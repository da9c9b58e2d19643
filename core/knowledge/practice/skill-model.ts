import type { Basis } from '../../judgement/judgement'
import type { LampHelp } from './lamp-help'

/** How a try becomes an estimate of skill. */
export const SKILL_MODEL = {
  /** Nothing known: every skill from none to whole is as likely. */
  prior: { right: 1, wrong: 1 },
  /**
   * How alike the answers within one try are: whoever sees what is wrong gets all of them right. A try of many
   * questions says little more than one of a few.
   */
  alikeWithinTry: 0.4,
  /** What a try counts by how much of the lamp was seen: what the lamp said is not known by heart. */
  countsWithLamp: { off: 1, hint: 0.6, on: 0.2 } as Readonly<Record<LampHelp, number>>,
  /** After so many later tries in the same idea one counts half: what was is not what is. */
  halfAfterTries: 12,
  /** The share of what could be true that a span holds. */
  span: 0.8,
  basis: {
    kind: 'handbook',
    name: 'beta-binomial estimate with a uniform prior (Bayes 1763), answers of one try as a cluster (Kish 1965)',
  } as Basis,
} as const

/** When an idea is due again, by how much of it was right. */
export const SPACING = {
  /** From which share on it is remembered: with difficulty, well, easily. */
  hardFrom: 0.5,
  goodFrom: 0.75,
  easyFrom: 0.95,
  /** It is due when the chance of getting it right has fallen to this. */
  retention: 0.9,
  basis: {
    kind: 'handbook',
    name: 'FSRS: a stochastic shortest path algorithm for optimizing spaced repetition scheduling (Ye, Su, Cao 2022)',
  } as Basis,
} as const

/** From which estimate on a case may be harder than one plain fault. */
export const HARDER_FROM = 0.75
