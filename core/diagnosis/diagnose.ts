import type { Judgement } from '../judgement/judgement'
import { SAFETY } from '../knowledge/checks/safety'
import { LISTING } from '../knowledge/faults/thresholds'
import type { Kind } from '../knowledge/vocabulary'
import { US_READER, type Reader } from '../quantity/sentence'
import { newestFindings, type DiagnosisCase } from './finding'
import { accessGateOf, type AccessGate } from './gates'
import { judgeFinding } from './judge-finding'
import type { Candidate } from './next-check'
import { bestRepair, nextCandidate, pairs, reasonOn, repairBeside, singles } from './reasoning'
import type { Reasoning, ReasoningOptions } from './reasoning'
import { readTogether, type Together } from './together'
import { describeNext, type DescribedCheck } from './words/describe-next'
import { explainFault, fightingWords, findDisagreement, type Disagreement } from './words/explain'
import { faultLabel } from './words/fault-label'

export interface Suspect {
  fault: string
  label: string
  probability: number
  because: string[]
}
export interface NextCheck extends DescribedCheck {
  /** What stands open or hangs out of the water and must go back before this check. */
  closeFirst?: AccessGate
}
export interface Diagnosis {
  judgements: Judgement[]
  suspects: Suspect[]
  pairs: { faults: [string, string]; probability: number }[]
  next: NextCheck | null
  settled: boolean
  assumed: string[]
  /** What to do now if no more is measured; absent where every cause has been set aside. */
  bestAction?: string
  /** The repair beside it, where a second fault shows as plainly. */
  alsoDo?: string
  disagreement?: Disagreement
  /** Why some checks may not be made now, whatever they would tell. */
  safety: string[]
  /** What several readings mean together through the motor's circuit. */
  together: Together[]
}

/** Newest earlier readings of a machine, for trends. */
export type Earlier = Readonly<Record<string, number>>
/** What a diagnosis is put into words with. */
export interface DiagnosisTelling {
  earlier?: Earlier
  /** In whose units it is said. */
  reader?: Reader
}
export type DiagnoseOptions = ReasoningOptions & DiagnosisTelling

/**
 * The whole diagnosis of one case: judgements, suspects, the next check worth making, and what was assumed.
 *
 * `settled` is true when no further check is worth its cost against acting now; then `next` is null.
 */
export function diagnose(input: DiagnosisCase, options: DiagnoseOptions = {}): Diagnosis {
  return diagnosisOf(reasonOn(input, options), options)
}

/** The diagnosis of a case that has been weighed already. */
export function diagnosisOf(reasoning: Reasoning, { earlier, reader = US_READER }: DiagnosisTelling = {}): Diagnosis {
  const { input, model, findings, posterior, held } = reasoning
  const { pump, complaints = [] } = input
  const { plate } = model
  const newest = newestFindings(input.findings ?? [])
  const read = {
    judgements: newest.map((finding) => judgeFinding(finding, { pump, plate, findings: newest, earlier })),
    together: readTogether(findings, complaints, pump, plate),
    assumed: plate.assumed,
    disagreement: reasoning.fight
      ? fightingWords(reasoning.fight, reader)
      : findDisagreement(model, posterior.weighed, reader),
    safety: reasoning.safety.rules.map((rule) => SAFETY[rule].reason),
  }
  // With every cause set aside there is nothing to repair and nothing to look for: that is said, and nothing is lit.
  if (!reasoning.explicable) return { ...read, suspects: [], pairs: [], next: null, settled: false }
  const repair = bestRepair(reasoning)
  const { action } = repair
  const chosen = nextCandidate(reasoning, repair)
  const beside = repairBeside(reasoning, action)
  return {
    ...read,
    settled: !chosen,
    suspects: singles(reasoning)
      .slice(0, LISTING.mostSuspects)
      .map(({ fault, probability }) => ({
        fault,
        label: faultLabel(fault),
        probability,
        because: explainFault(model, posterior, fault, reader),
      })),
    pairs: pairs(reasoning),
    next: chosen ? { ...describeNext(chosen, reasoning, reader), ...closeFirst(chosen, pump.kind, held) } : null,
    bestAction: action.id,
    ...(beside ? { alsoDo: beside.id } : {}),
  }
}

/** A live check with the wet end open, or the pump on the lawn: that goes back first. */
function closeFirst({ gates, check }: Candidate, kind: Kind, held: ReadonlySet<string>): Pick<NextCheck, 'closeFirst'> {
  const access = accessGateOf(kind)
  return gates.includes('power-on') && !gates.includes(access) && held.has(access) && !check.standings
    ? { closeFirst: access }
    : {}
}
