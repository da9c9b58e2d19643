import { checkTitle } from '../diagnosis/words/check-title'
import { judgeFinding } from '../diagnosis/judge-finding'
import { checkKey, pickAsked, type Asked } from '../diagnosis/finding'
import { IDEA_OF_CHECK, SPLIT_SETUPS } from '../knowledge/practice/ideas'
import type { Idea } from '../knowledge/practice/harms'
import type { Verdict } from '../judgement/judgement'
import { completePlate, type Pump } from '../motor/nameplate'
import type { Reader } from '../quantity/sentence'
import { valueText } from '../visit/describe'
import { findingOf } from './readings'
import type { TryActs } from './try'

/** One step of a way through a case, whoever went it. */
export interface WayStep {
  /** The same for the same thing done, so that ways can be laid beside each other. */
  key: string
  title: string
  minutes: number
  /** What it told. */
  told: string
  verdict?: Verdict
  idea?: Idea
}
/** A way from the call to the proof. */
export interface Way {
  steps: WayStep[]
  minutes: number
  price: number
  /** It cures all that was wrong. */
  cures: boolean
}

export const ARRIVING = 'arriving'
export const PROVING = 'proving'
export const jobKey = (id: string): string => `job:${id}`

/** The idea that a check is of. */
export function ideaOf({ check, setup }: Asked): Idea {
  if (setup && SPLIT_SETUPS.has(setup)) return 'splitting'
  return IDEA_OF_CHECK[check] ?? 'order'
}

/** A reading as a step: what was asked, and what it told. */
export function readStep(
  { question, answer }: Pick<TryActs['read'], 'question' | 'answer'>,
  minutes: number,
  pump: Pump,
  reader: Reader,
): WayStep {
  const asked = pickAsked(question as Asked)
  const judgement = judgeFinding(findingOf({ question, answer }), { pump, plate: completePlate(pump), findings: [] })
  const title = checkTitle(asked)
  return {
    key: checkKey(asked),
    title,
    minutes,
    told: `${judgement.subject}: ${valueText({ judgement }, reader)}`,
    verdict: judgement.verdict,
    idea: ideaOf(asked),
  }
}
