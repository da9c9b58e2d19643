import { checkInfo, outcomeLabel } from '../../knowledge/checks/checks'
import { SAYING } from '../../knowledge/faults/thresholds'
import { COMPLAINTS, isIdOf, PARTS } from '../../knowledge/vocabulary'
import { formatReading } from '../../quantity/reading'
import type { Reader } from '../../quantity/sentence'
import type { DiagnosisModel } from '../model'
import { sortedLeads, type Finding } from '../finding'
import type { Posterior, Weighed } from '../inference'
import type { Fight } from '../standstill'

/** Leads by what they are read as a winding, by colour as they are. */
function windingName(leads: string): string {
  const names: Readonly<Record<string, string>> = {
    'common-run': 'run winding',
    'common-start': 'start winding',
    'run-start': 'run and start winding',
  }
  return names[sortedLeads(leads)] ?? `winding ${leads}`
}

/** A finding in a few words: "run capacitor 27 μF", "shaft, by hand: free". */
export function describeFinding(finding: Finding, { system }: Reader): string {
  const info = checkInfo(finding.check)
  const about =
    finding.part && isIdOf(PARTS, finding.part)
      ? PARTS[finding.part]
      : finding.leads && finding.check === 'winding-resistance'
        ? windingName(finding.leads)
        : (info?.label ?? finding.check)
  if (finding.outcome !== undefined) return `${about}: ${outcomeLabel(finding.outcome)}`
  return `${about} ${formatReading(finding.value ?? null, info?.unit, system)}`
}

/**
 * Log-likelihood ratio of one piece of evidence for a fault against everything else, weighed by the complaint's
 * posterior.
 */
export function logRatio(
  { holding }: Pick<DiagnosisModel, 'holding'>,
  weights: Float64Array,
  likelihood: Float64Array,
  fault: string,
): number {
  let all = 0,
    mass = 0
  for (let h = 0; h < weights.length; h++) {
    all += (weights[h] as number) * (likelihood[h] as number)
    mass += weights[h] as number
  }
  let withFault = 0,
    withMass = 0
  for (const h of holding.get(fault) ?? []) {
    withFault += (weights[h] as number) * (likelihood[h] as number)
    withMass += weights[h] as number
  }
  if (withMass <= 0 || mass - withMass <= 0) return 0
  return Math.log(withFault / withMass) - Math.log((all - withFault) / (mass - withMass))
}

/**
 * Why a fault stands where it stands: the three pieces of evidence that moved it most, for or against, as sentences.
 */
export function explainFault(model: DiagnosisModel, posterior: Posterior, fault: string, reader: Reader): string[] {
  const fromFindings = posterior.weighed.map(({ finding, likelihood }) => ({
    text: describeFinding(finding, reader),
    ratio: logRatio(model, posterior.fromComplaint, likelihood, fault),
  }))
  const fromComplaints = posterior.complaints.map(({ complaint, likelihood }) => ({
    text: isIdOf(COMPLAINTS, complaint) ? `the caller says: ${COMPLAINTS[complaint]}` : complaint,
    ratio: logRatio(model, model.priors, likelihood, fault),
  }))
  return [...fromFindings, ...fromComplaints]
    .filter(({ ratio }) => Math.abs(ratio) > SAYING.logRatio)
    .sort((a, b) => Math.abs(b.ratio) - Math.abs(a.ratio))
    .slice(0, SAYING.mostSentences)
    .map(({ text, ratio }) => `${text} ${ratio > 0 ? 'speaks for it' : 'speaks against it'}, ${odds(ratio)}`)
}

function odds(ratio: number): string {
  const times = Math.exp(Math.abs(ratio))
  return times > 100
    ? 'more than 100 to 1'
    : times >= 10
      ? `${Math.round(times / 5) * 5} to 1`
      : `${times < 3 ? times.toFixed(1) : Math.round(times)} to 1`
}

export interface Disagreement {
  findings: [Finding, Finding]
  because: string
}

/** Two findings that cannot both be true, said as such. */
export function fightingWords({ dead, live }: Fight, reader: Reader): Disagreement {
  const turning = live[0] as Finding
  return {
    findings: [turning, dead],
    because:
      `These two readings disagree: ${describeFinding(turning, reader)}, and ${describeFinding(dead, reader)}. Both ` +
      'cannot be true, so neither counts. Prove the instrument, then make the dead one again.',
  }
}

/**
 * The two findings that no hypothesis explains together, when there are such: one of them wants repeating, or its
 * instrument proving.
 */
export function findDisagreement(
  model: DiagnosisModel,
  weighed: readonly Weighed[],
  reader: Reader,
): Disagreement | undefined {
  const best = weighed.map(({ likelihood }) => Math.log(Math.max(...likelihood)))
  let worst: { log: number; pair: [Weighed, Weighed] } | undefined
  weighed.forEach((first, i) => {
    weighed.slice(i + 1).forEach((second, offset) => {
      const j = i + 1 + offset
      let together = -Infinity
      for (let h = 0; h < model.hypotheses.length; h++) {
        together = Math.max(
          together,
          Math.log(first.likelihood[h] as number) + Math.log(second.likelihood[h] as number),
        )
      }
      const log = together - (best[i] as number) - (best[j] as number)
      if (log < SAYING.disagreement && (!worst || log < worst.log)) worst = { log, pair: [first, second] }
    })
  })
  if (!worst) return undefined
  // How well the best single explanation takes all that was found, against each finding's own best.
  let whole = -Infinity
  for (let h = 0; h < model.hypotheses.length; h++)
    whole = Math.max(
      whole,
      weighed.reduce((sum, { likelihood }) => sum + Math.log(likelihood[h] as number), 0),
    )
  const unexplained = whole - best.reduce((sum, log) => sum + log, 0) < SAYING.unexplained
  const [first, second] = worst.pair.map(({ finding }) => finding) as [Finding, Finding]
  return {
    findings: [first, second],
    because:
      (unexplained ? 'Nothing known explains all of this. ' : '') +
      `These two readings disagree: ${describeFinding(first, reader)}, and ${describeFinding(second, reader)}. ` +
      'Prove the instrument, then repeat the cheaper one.',
  }
}
