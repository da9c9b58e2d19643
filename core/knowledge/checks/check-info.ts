import type { Unit } from '../../quantity/units'
import type { Verdict } from '../../judgement/judgement'
import type { Gate, Kind, Part } from '../vocabulary'

/** One thing that can be measured or seen. */
export interface CheckInfo {
  label: string
  /** How the lamp asks for it. */
  ask: string
  unit?: Unit
  /** For checks that are seen: the outcomes in order from normal to abnormal, each with its verdict. */
  outcomes?: Readonly<Record<string, Verdict>>
  /** The part the finding is about, when it does not say so itself. */
  part?: Part
  /** The parts a finding of this check can be about, the first being usual. */
  parts?: readonly Part[]
  gates: readonly Gate[]
  /** Minutes for the check alone, gates not counted. Common practice. */
  minutes: number
  tool: string
  caution?: string
  /** History only: taken from the owner's words, never offered. */
  historyOnly?: boolean
  /** Heard out of a recording by the program: never asked for, and not said in words. */
  recorded?: boolean
  /** Plausible span of the value; beyond it the reading line asks. */
  plausible?: readonly [low: number, high: number]
  kinds?: readonly Kind[]
}
