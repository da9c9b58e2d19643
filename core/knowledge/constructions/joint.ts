import type { Basis } from '../../judgement/judgement'
import type { Telling } from '../../quantity/sentence'
import type { PracticeId } from '../shop/practices'
import type { Construction, Gate, Part } from '../vocabulary'

/** Low, likely, high: what a step takes, minutes. */
export type Minutes = readonly [low: number, likely: number, high: number]
export type JointType =
  | 'bolt'
  | 'screw'
  | 'clamp-band'
  | 'thread'
  | 'press-fit'
  | 'snap'
  | 'wire-terminal'
  | 'wire-splice'
  | 'cord-plug'
  | 'union'
  | 'glued-pipe'
  | 'o-ring-seat'
  | 'shims'
  | 'gate'
  | 'support'
export type Assembly = Construction | 'motor-bench' | 'well-installation' | 'pressure-tee'

/** How a joint is brought home: in which order, in how many rounds, until what. */
export interface Tightening {
  pattern: 'star' | 'crosswise' | 'in order' | 'hand'
  rounds: number
  until: string
}

/** How many of a joint’s pieces belong at one place of it: a corner, an end, the long ones. */
export interface JointPlace {
  place: string
  count: number
}

/** What holds two parts together, with all that its opening and closing asks. */
export interface Joint {
  id: string
  /** What it holds; what is out when it is open. */
  part: Part
  type: JointType
  /** What must be open before it: every entry, and of a list any one. */
  after: readonly (string | readonly string[])[]
  count?: number
  countNote?: string
  /** Where its pieces belong, where that is not all one: their counts add up to `count`. */
  places?: readonly JointPlace[]
  hand?: 'right' | 'left'
  /** The turn that opens it. */
  turn?: 'clockwise' | 'counter-clockwise'
  tool?: string
  gates?: readonly Gate[]
  caution?: string
  down: string
  /** Nothing closes a bleed or a cooling: they have no way back. */
  back?: string
  minutes: { down: Minutes; back: Minutes }
  /** Ways to hold what would turn with it, best first, each where it enters. */
  hold?: readonly string[]
  orientation?: string
  tighten?: Tightening
  lubricant?: string
  /** What its disturbance spends. */
  spends?: readonly Part[]
  /** Parts that lie open with it, at little or no more time. */
  exposes?: readonly Part[]
  /** Fitted on the way down, and to be gone at the end. */
  temporary?: true
  /** Two pairs of hands. */
  twoPeople?: true
  wait?: SelfRunning
  /** Materials that opening and closing it spends, beside parts. */
  materials?: Phased<readonly string[]>
  /** Practices that had a say in its words. */
  practices?: Phased<readonly PracticeId[]>
  /** The printed estimate, where the shop’s own times have taken over. */
  estimate?: Phased<number>
}

/** One thing for the way down and one for the way back. */
export interface Phased<T> {
  down: T
  back: T
}

/**
 * What runs by itself after a step: steps that want the gate, or close the joint, wait for it. `by` says what its
 * minutes hang on.
 */
export interface SelfRunning {
  minutes: number
  what: Telling
  gate?: Gate
  closes?: string
  by?: 'cement' | 'heat'
}

/** A machine as its joints, and by which of them each part is reached: any one of the lists, all of its joints. */
export interface ConstructionGraph {
  id: Assembly
  label: string
  joints: readonly Joint[]
  reach: Readonly<Partial<Record<Part, readonly (readonly string[])[]>>>
  basis: Basis
}

/** What is done at a part once it is reached. */
export interface WorkStep {
  id: string
  text: Telling
  tool?: string
  minutes: Minutes
  caution?: string
  orientation?: string
  spends?: readonly Part[]
  materials?: readonly string[]
  practices?: readonly PracticeId[]
  estimate?: number
  wait?: SelfRunning
}
export interface PartWork {
  part: Part
  in?: readonly Assembly[]
  steps: readonly WorkStep[]
}
