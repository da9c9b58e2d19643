import type { Basis } from '../judgement/judgement'
import type { Complaint, Fault, Part } from './vocabulary'
import type { Check } from './checks'

/** What a motor must have for a fault to exist in it. */
export type Needs = 'run-capacitor' | 'start-capacitor' | 'start-switch' | 'start-winding' | 'electronics'

/** One fault of one kind: how often, how age shapes it, what the caller then says. */
export interface FaultRow {
  fault: Fault
  /** Failures per 1000 machine-years at the usual age and duty. */
  per1000: number
  /** Weibull shape: below 1 infant, 1 random, above 1 wear-out. */
  shape: number
  /** Age at which `per1000` holds, years. */
  atYears: number
  part?: Part
  needs?: Needs
  /** Probability of each complaint given this fault alone. */
  complaints: Partial<Record<Complaint, number>>
  basis: Basis
}

/** A table over outcomes; what is missing from 1 goes to the first state. */
export type Distribution = Readonly<Record<string, number>>

/** A seen check: noisy-max over ordered outcomes with a leak. */
export interface SeenRow {
  check: Check
  part?: Part
  needs?: Needs
  /** From normal to dominant; default the order of the check's outcomes. */
  order?: readonly string[]
  /** Outcomes that cannot tell and move nothing. */
  silent?: readonly string[]
  leak: Distribution
  effects: Partial<Record<Fault, Distribution>>
  basis: Basis
}

/** One piece of a measured likelihood, on the check's statistic. `sd: 'band'` takes the width of the maker's range. */
export type Component = { weight: number; mean: number; sd: number | 'band' } | { weight: number; open: true }

export type Statistic = 'supply-ratio' | 'load-ratio' | 'run-capacitor-ratio' | 'start-capacitor-ratio' | 'run-winding-ratio' | 'start-winding-ratio' | 'log-megohms' | 'plain'

/** A measured check: a density over a statistic, per fault. */
export interface MeasuredRow {
  check: Check
  part?: Part
  leads?: string
  needs?: Needs
  statistic: Statistic
  /** Standard deviation the instrument itself adds, in the statistic's own terms. */
  meterSd: number
  /** Bounds between the ranges that the lamp speaks about; those named are taken from the judgement's limits. */
  cuts: readonly (number | 'low' | 'high')[]
  normal: readonly Component[]
  /** Faults that decide the reading alone, whatever else is wrong: a rotor that stands draws what a standing rotor draws. */
  dominant?: readonly Fault[]
  effects: Partial<Record<Fault, readonly Component[]>>
  basis: Basis
}

/** Two faults that go together more often than chance. */
export interface PairRow { faults: readonly [Fault, Fault]; given: number; basis: Basis }

/** A repair: what it cures, what it takes. */
export interface ActionRow {
  id: string
  label: string
  cures: readonly Fault[]
  parts: readonly Part[]
  minutes: number
  tools: readonly string[]
  reason: string
  /** Offered only under warranty, or only when the machine has this. */
  onlyUnderWarranty?: boolean
  needs?: Needs
  /** The repair's step plan, where one is laid out. */
  plan?: 'capacitor' | 'shaft-seal' | 'motor-swap'
  basis: Basis
}

/** Everything the engine needs to know about a kind of machine. */
export interface KindKnowledge {
  faults: readonly FaultRow[]
  complaintLeak: number
  nothingWrong: { per1000: number; complaints: Partial<Record<Complaint, number>>; basis: Basis }
  pairs: readonly PairRow[]
  /** A replaced part lowers its own fault by `lowered` and raises these. */
  /** Share of the year in which a second, unrelated fault would stand unnoticed beside the first. */
  unnoticed: number
  /** Faults that take the power away: under them a live check shows nothing of any other fault. */
  blocking: readonly Fault[]
  /** With one of these complaints nothing turns, and a check that needs it turning is not offered. */
  standstill: { complaints: readonly Complaint[]; checks: readonly Check[]; basis: Basis }
  replacement: { lowered: number; raised: number; masks: Partial<Record<Part, readonly Fault[]>>; basis: Basis }
  seen: readonly SeenRow[]
  measured: readonly MeasuredRow[]
  actions: readonly ActionRow[]
}
