import type { Basis } from '../../judgement/judgement'
import type { Telling } from '../../quantity/sentence'
import type { PracticeId } from '../shop/practices'
import type { Needs } from '../faults/model-types'
import type { Construction, Gate, Kind, Part, Standing } from '../vocabulary'
import type { OrderTag } from './order-rules'

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
export type Assembly = Construction | 'well-installation' | 'pressure-tee'

/** How a joint is brought home: in which order, in how many rounds, until what. */
export interface Tightening {
  pattern: 'star' | 'crosswise' | 'in order' | 'hand'
  rounds: number
  until: string
}

/** Where a joint or a work exists; where nothing is said, everywhere. */
export interface Only {
  /** What its motor has inside it, by its type. */
  motor?: Needs
  kinds?: readonly Kind[]
  standing?: readonly Standing[]
}

/** What is done about a joint before or after the deed that opens or closes it: each one act. */
export interface Act {
  id: string
  text: string
  minutes: Minutes
  tool?: string
  count?: number
  caution?: string
  orientation?: string
  tags?: readonly OrderTag[]
  materials?: readonly string[]
  /** The printed estimate, where the shop’s own times have taken over. */
  estimate?: number
}

/** What a step can find, and what follows from it: a finding, a part that is damaged, a job that is offered. */
export interface StepAnswer {
  id: string
  label: string
  finding?: { check: string; outcome: string; part?: Part }
  damaged?: Part
  offers?: string
}

/** What was measured that a step waits for. */
export type Deciding = 'bearingClearanceMm'

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
  /** The tool that closes it, where that is another; empty where a hand does. */
  backTool?: string
  gates?: readonly Gate[]
  /** Gates that hold once it is open: whoever shut them in Safe has opened it. */
  shuts?: readonly Gate[]
  /** Belongs to the place where the machine stands: on the bench it does not exist. */
  site?: true
  only?: Only
  tags?: Partial<Phased<readonly OrderTag[]>>
  /** Acts before the deed itself, in their order. */
  acts?: Partial<Phased<readonly Act[]>>
  /** Steps that its closing waits for, beside what it shuts in. */
  closesAfter?: readonly string[]
  /** Joints opened before it that need not wait for its closing: the way back is no mirror there. */
  loose?: readonly string[]
  /** It is closed once the power is on. */
  commissions?: true
  /** How it holds, where that is not its type’s usual way: chooses what is tried when it will not open. */
  holds?: StuckKind
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

/** How a joint can refuse to open, each with its own ladder. */
export type StuckKind =
  | 'bolt'
  | 'rusted-stud'
  | 'seized-screw'
  | 'thread'
  | 'galled-stainless'
  | 'glued-adapter'
  | 'stuck-plate'
  | 'press-fit'
  | 'pressed-cap'
  | 'union'
  | 'clamp-band'

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
  /** What the way back and the first power ask for, whatever was repaired. */
  finish?: readonly FinishStep[]
  basis: Basis
}

/** A check as a step of the work makes it, of the machine’s own part or of the new one in the hand. */
export interface Reads {
  check: string
  part?: Part
  setup?: 'motor-alone' | 'motor-and-cable'
  of?: 'new'
}

/** A step that no part asks for but the way back does: turning by hand, priming, the steady stream. */
export interface FinishStep extends WorkStep {
  part: Part
  phase: 'back' | 'commission'
  /** It is due where any of these joints was opened. */
  when: readonly string[]
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
  count?: number
  only?: Only
  tags?: readonly OrderTag[]
  /** Joints that are closed before it, though they lie on the way to its part: it is done on what they carry. */
  mounted?: readonly string[]
  /** Steps that come before it. */
  after?: readonly string[]
  /** Steps that it comes before. */
  before?: readonly string[]
  /** The part that must lie open for it, where that is not the job’s own. */
  at?: Part
  /** What it asks: it closes with one of these answers. */
  asks?: readonly StepAnswer[]
  /** The figure that decides what comes next: it does not close without it. */
  decides?: Deciding
  /** It falls away where this part is renewed in the same plan. */
  unless?: Part
  /** The part whose identity is read off here, as it comes out. */
  identifies?: Part
  /** The check whose reading it is: what was read stands beside it, what is said at it answers it. */
  reads?: Reads
  /** Pressing, pulling and curing are work for the bench. */
  bench?: true
  /** It is done before anything is opened. */
  early?: true
  /** On the way back, or once the power is on, rather than with the work itself. */
  phase?: 'back' | 'commission'
}
export interface PartWork {
  part: Part
  in?: readonly Assembly[]
  /** Parts that are done with it: disturbed is new. */
  brings?: readonly Part[]
  steps: readonly WorkStep[]
}
