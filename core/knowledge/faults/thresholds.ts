import type { Basis } from '../../judgement/judgement'

/** From where on the engine, and the words beside it, take a difference to be one. */
const SHOP: Basis = { kind: 'shop', name: 'from where on a probability is worth acting on or saying, shop estimate' }

export const LIKELIHOOD = {
  /** No observation is ever taken as impossible: tables are estimates and people slip. */
  floor: 0.002,
  /** How often an outcome in which a fault itself is seen shows without it: eyes and words slip. */
  falseSight: 0.0003,
  falseSightFloor: 0.0002,
  /** How often a figure is written with its decimal, or its prefix, in one certain wrong place. */
  slip: 0.003,
  basis: { kind: 'shop', name: 'room for slips of the hand and gaps of the tables, shop estimate' } as Basis,
}

/** When the look-ahead stops. */
export const LOOK_AHEAD = {
  /** Hypotheses that together hold less than this are left out of it (never out of the posterior). */
  negligible: 5e-4,
  /** Below this many bits a check tells next to nothing, and testing on is at its end. */
  worthAskingBits: 0.03,
  /** A free look that tells this share as much for its cost as the best check comes first. */
  nearlyAsTelling: 0.85,
  /** A check none of whose faults stands at least this likely is not worth a hand. */
  leastChance: 0.03,
  /** Where what is not there by chance holds less than this, the pairs that chance makes count too. */
  plainShare: 0.3,
  /** At least this likely some repair follows behind the same gates, whichever it will be. */
  someRepairFollows: 0.4,
  /** Checks behind the same gates share their minutes where each is worth this share of the loss at stake. */
  sharesFrom: 0.003,
  /** A check this quick, with no gate to turn, counts as free: for it the look-ahead goes one step further. */
  freeMinutes: 1.5,
  /** So many next checks are tried after it. */
  followers: 6,
  basis: SHOP,
}

export const DECIDING = {
  /** A repair this much less likely to be the cure than the likeliest one is no repair to make, however cheap. */
  likelyShare: 0.4,
  /** Below this chance of being the cure a repair is not made while some check still tells something. */
  sure: 0.8,
  /** A second repair is worth making with the first when what it cures stands this likely beside it. */
  beside: 0.5,
  /** Options less likely to be right than this are not put beside the others. */
  worthShowing: 0.08,
  /** Nothing less likely than this stands first, however cheap. */
  worthLeading: 0.05,
  mostOptions: 5,
  basis: SHOP,
}

/** Which pairs and how many suspects are put before a reader. */
export const LISTING = { worthPairing: 0.001, mostPairs: 10, mostSuspects: 12, basis: SHOP }

export const SAYING = {
  /** A log-likelihood ratio nearer to zero than this says nothing worth a sentence (about 1.35 to 1). */
  logRatio: 0.3,
  mostSentences: 3,
  /**
   * Logarithm of how unlikely, against each finding's own best explanation, two findings must be together before they
   * are called out (9 to 1).
   */
  disagreement: -2.2,
  /** Where the best explanation takes all that was found worse than this, nothing known does (about 400 to 1). */
  unexplained: -6,
  /** Outcomes rarer than this are not put on the card. */
  rareOutcome: 0.004,
  /** A check parts the faults that it is expected to move by more than this... */
  leastShift: 0.01,
  /** ...and that are likelier than this as things stand. */
  leastChance: 0.005,
  /** From here on an outcome is said to settle the matter. */
  settles: 0.85,
  /** A measured current this much beside the predicted one is worth a sentence, as a share. */
  currentApart: 0.12,
  basis: SHOP,
}

/** How many of the shop's own visits the printed estimate is worth: ten begin to matter, a hundred outweigh it. */
export const ESTIMATE_WEIGHT = {
  visits: 40,
  basis: { kind: 'shop', name: 'the estimate counts as forty visits; shop default' } as Basis,
}
