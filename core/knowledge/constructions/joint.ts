import type { Basis } from '../../judgement/judgement'
import type { Construction, Gate, Part } from '../vocabulary'

/** Low, likely, high: what a step takes, minutes. */
export type Minutes = readonly [low: number, likely: number, high: number]
export type JointType = 'bolt' | 'screw' | 'clamp-band' | 'thread' | 'press-fit' | 'snap' | 'wire-terminal' | 'wire-splice' | 'cord-plug' | 'union' | 'glued-pipe' | 'o-ring-seat' | 'shims' | 'gate' | 'support'
export type Assembly = Construction | 'motor-bench' | 'well-installation' | 'pressure-tee'

/** How a joint is brought home: in which order, in how many rounds, until what. */
export interface Tightening { pattern: 'star' | 'crosswise' | 'in order' | 'hand'; rounds: number; until: string }

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
  /** Runs by itself; steps that want the gate, or close the joint, wait for it. */
  wait?: { minutes: number; what: string; gate?: Gate; closes?: string }
}

/** A machine as its joints, and by which of them each part is reached: any one of the lists, all of its joints. */
export interface ConstructionGraph { id: Assembly; label: string; joints: readonly Joint[]; reach: Readonly<Partial<Record<Part, readonly (readonly string[])[]>>>; basis: Basis }

/** What is done at a part once it is reached. */
export interface WorkStep { id: string; text: string; tool?: string; minutes: Minutes; caution?: string; orientation?: string; spends?: readonly Part[] }
export interface PartWork { part: Part; in?: readonly Assembly[]; steps: readonly WorkStep[] }
