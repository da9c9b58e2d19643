import type { Basis } from '../../judgement/judgement'
import type { Kind } from '../vocabulary'

export const SEASON_JOBS = ['opening', 'closing', 'thaw'] as const
/** What a shop does once a year at machines of a kind: opens them, closes them, looks before the water comes. */
export type SeasonJob = (typeof SEASON_JOBS)[number]
/** The days of a shop's year, each as MM-DD. */
export type SeasonDays = Readonly<Record<SeasonJob, string>>

interface SeasonRow {
  kinds: readonly Kind[]
  what: string
  minutes: number
  /** A day as it is where the shop has not said its own, MM-DD. */
  usual: string
}

export const SEASONS: Readonly<Record<SeasonJob, SeasonRow>> = {
  opening: {
    kinds: ['pool', 'booster'],
    what: 'Open for the season: plugs in, prime, leaks, volts and amps',
    minutes: 60,
    usual: '04-15',
  },
  closing: {
    kinds: ['pool', 'booster'],
    what: 'Close for the winter: drained, plugs out, covered, power off',
    minutes: 50,
    usual: '10-01',
  },
  thaw: {
    kinds: ['sump'],
    what: 'Before the thaw: water poured in, float, check valve, backup',
    minutes: 35,
    usual: '03-01',
  },
}
export const SEASONS_BASIS: Basis = {
  kind: 'common-practice',
  name: 'pools opened in spring and closed in autumn, water poured in the pit each spring; the shop’s own days win',
}

/** Any visit so many days before or after the day serves for it; later nobody is asked any more. */
export const SEASON_SLACK = {
  before: 45,
  after: 60,
  basis: { kind: 'shop', name: 'a visit in the weeks about the day serves, shop estimate' } as Basis,
}

/** What coming back takes where nobody said otherwise, minutes. */
export const DUE_MINUTES = {
  'second-look': 20,
  reading: 30,
  visit: 45,
  claim: 5,
  crossing: 40,
  ahead: 45,
  basis: { kind: 'shop', name: 'usual minutes of what comes due, shop estimate' } as Basis,
}

/** From what day on a line that will meet its limit is told of, days. */
export const TREND_AHEAD = {
  days: 120,
  basis: { kind: 'shop', name: 'what meets its limit in a season is read again, shop estimate' } as Basis,
}
