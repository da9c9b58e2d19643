import type { Basis } from '../../judgement/judgement'
import type { Complaint, Construction, Fault, Gate, Kind, MotorType, Part, Standing } from '../vocabulary'
import type { Check } from '../checks/checks'
import type { InsulationSetup } from '../electrical/limits'

/** What a motor must have for a fault to exist in it. */
export type Needs = 'run-capacitor' | 'start-capacitor' | 'capacitor' | 'start-switch' | 'start-winding' | 'electronics'

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
  /** Where the motor type makes the caller say something else. */
  complaintsByType?: Partial<Record<MotorType, Partial<Record<Complaint, number>>>>
  basis: Basis
}

/** A table over outcomes; what is missing from 1 goes to the first state. */
export type Distribution = Readonly<Record<string, number>>

/** Where a row holds. Without a line it holds everywhere. */
export interface Applies {
  kinds?: readonly Kind[]
  constructions?: readonly Construction[]
  needs?: Needs
  /** Only while the machine stands there. */
  standings?: readonly Standing[]
}

/** A seen check: noisy-max over ordered outcomes with a leak. */
export interface SeenRow extends Applies {
  check: Check
  part?: Part
  /** Which half is turned; without it the whole machine. */
  half?: 'motor' | 'pump-end'
  /** From normal to dominant; default the order of the check's outcomes. */
  order?: readonly string[]
  /** Outcomes in which the fault itself is seen: they hardly ever show without it. */
  shows?: Readonly<Partial<Record<string, Fault>>>
  /** Outcomes that cannot tell and move nothing. */
  silent?: readonly string[]
  leak: Distribution
  effects: Partial<Record<Fault, Distribution>>
  /** What takes the place of an effect on one motor type. */
  byType?: Partial<Record<MotorType, Partial<Record<Fault, Distribution>>>>
  basis: Basis
}

/** One piece of a measured likelihood, on the check's statistic. `sd: 'band'` takes the width of the maker's range. */
export type Component = { weight: number; mean: number; sd: number | 'band' } | { weight: number; open: true }

/** The number a measured likelihood speaks about. Each is a reading over, or less, what this machine should show. */
export type Statistic =
  | 'supply-ratio'
  | 'load-ratio'
  | 'run-capacitor-ratio'
  | 'start-capacitor-ratio'
  | 'run-winding-ratio'
  | 'start-winding-ratio'
  | 'log-megohms'
  | 'precharge-gap'
  | 'cut-in-gap'
  | 'cut-out-gap'
  | 'log-seconds'
  | 'shutoff-ratio'
  | 'battery-cell'
  | 'water-over-intake'
  | 'static-level'
  | 'jet-vacuum'
  | 'volts-share'
  | 'plain'

/** A measured check: a density over a statistic, per fault. */
export interface MeasuredRow extends Applies {
  check: Check
  part?: Part
  leads?: string
  setup?: InsulationSetup
  /** Read at the motor's own leads, past the cable. */
  half?: 'motor'
  statistic: Statistic
  /** Standard deviation the instrument itself adds, in the statistic's own terms. */
  meterSd: number
  /** Bounds between the ranges that the lamp speaks about; those named are taken from the judgement's limits. */
  cuts: readonly (number | 'low' | 'high')[]
  /**
   * The same reading beside another that is its measure, where that was taken: volts under load over volts at rest.
   */
  besideRest?: { normal: readonly Component[]; effects: Partial<Record<Fault, readonly Component[]>> }
  /** What it reads when nothing turns, whatever else is wrong. */
  still?: readonly Component[]
  /** How the lamp's card names a reading that gives no figure. */
  openLabel?: string
  normal: readonly Component[]
  /**
   * Faults that decide the reading alone, whatever else is wrong: a rotor that stands draws what a standing rotor
   * draws.
   */
  dominant?: readonly Fault[]
  effects: Partial<Record<Fault, readonly Component[]>>
  /** What takes the place of an effect on one motor type. */
  byType?: Partial<Record<MotorType, Partial<Record<Fault, readonly Component[]>>>>
  basis: Basis
}

/** Two faults that go together more often than chance. */
export interface PairRow {
  faults: readonly [Fault, Fault]
  given: number
  basis: Basis
}

/** A repair: what it cures, what it takes. */
export interface ActionRow extends Applies {
  id: string
  label: string
  cures: readonly Fault[]
  parts: readonly Part[]
  /** Minutes of the work itself; reaching the place is `access`. */
  minutes: number
  /** What must be open or out before the work, beyond making safe. */
  access?: Extract<Gate, 'pulled' | 'wet-end-open'>
  /** Offered only where a reading of this check was taken. */
  onlyAfter?: Check
  tools: readonly string[]
  reason: string
  /** Offered only under warranty. */
  onlyUnderWarranty?: boolean
  basis: Basis
}

/** What a part that was replaced makes of the faults. */
export interface Replacement {
  /** What is left of the rate of a renewed part's own faults. */
  lowered: number
  /** How much likelier becomes what such a replacement masks. */
  raised: number
  masks: Partial<Record<Part, readonly Fault[]>>
  /** Faults that come with the work itself, per 1000 such replacements. */
  brings: Partial<Record<Part, Partial<Record<Fault, number>>>>
  basis: Basis
}

/** Everything the engine needs to know about a kind of machine. */
export interface KindKnowledge {
  faults: readonly FaultRow[]
  /** How often a complaint is made without any of its causes. */
  complaintLeak: { usual: number } & Partial<Record<Complaint, number>>
  nothingWrong: { per1000: number; complaints: Partial<Record<Complaint, number>>; basis: Basis }
  pairs: readonly PairRow[]
  /** Share of the year in which a second, unrelated fault would stand unnoticed beside the first. */
  unnoticed: number
  /** Faults that take the power away: under them a live check shows nothing of any other fault. */
  blocking: readonly Fault[]
  replacement: Replacement
  seen: readonly SeenRow[]
  measured: readonly MeasuredRow[]
  actions: readonly ActionRow[]
}
