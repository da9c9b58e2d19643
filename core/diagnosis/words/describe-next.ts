import { checkInfo, outcomeLabel } from '../../knowledge/checks/checks'
import { SAYING } from '../../knowledge/faults/thresholds'
import type { Gate } from '../../knowledge/vocabulary'
import { formatPercent } from '../../quantity/format'
import { formatRange, formatReading } from '../../quantity/reading'
import type { Reader } from '../../quantity/sentence'
import type { Unit } from '../../quantity/units'
import { pickAsked, type Asked } from '../finding'
import type { CheckState } from '../model'
import { outcomesOf, type Candidate } from '../next-check'
import { bestRepair, marginals, type Reasoning } from '../reasoning'
import type { Slip } from '../slip'
import { checkTitle } from './check-title'
import { describeFinding } from './explain'
import { faultLabel } from './fault-label'

export interface NextOutcome {
  if: string
  then: string
  probability: number
}
export interface DescribedCheck extends Asked {
  title: string
  tool: string
  caution?: string
  minutes: number
  gates: Gate[]
  missingGates: Gate[]
  because: string
  outcomes: NextOutcome[]
}

/** The next check as the card says it: what to do, why, and what each outcome would come to. */
export function describeNext(
  { check, gates, missingGates, minutes, again }: Candidate,
  reasoning: Reasoning,
  reader: Reader,
): DescribedCheck {
  const probabilities = again?.without ?? reasoning.posterior.probabilities
  const info = checkInfo(check.check)
  const all = outcomesOf(check, probabilities).map((outcome) => ({
    ...outcome,
    then: whatItSays(reasoning, outcome.posterior),
  }))
  const likely = <T extends { probability: number }>(outcomes: readonly T[]) =>
    outcomes.filter(({ probability }) => probability > SAYING.rareOutcome).sort((a, b) => b.probability - a.probability)
  const told = likely(info?.unit ? mergeRanges(all) : all).slice(0, 3)
  return {
    ...pickAsked(check),
    title: checkTitle(check),
    tool: info?.tool ?? '',
    caution: info?.caution,
    minutes,
    gates,
    missingGates,
    because: again ? whyAgain(again, reader) : whyThisCheck(reasoning, likely(all), minutes),
    outcomes: told.map(({ state, probability, then }) => ({
      if: stateWords(state, info?.unit, reader),
      probability,
      then,
    })),
  }
}

/** "Read it once more: running current 48 A fits nothing else that was found, 4.8 A would." */
function whyAgain({ finding, check, likely }: Slip, reader: Reader): string {
  const would = formatReading(likely, checkInfo(check.check)?.unit, reader.system)
  return `Read it once more: ${describeFinding(finding, reader)} fits nothing else that was found, ${would} would.`
}

/** "Parts run capacitor weak (62 %) from start switch stuck (21 %) for four minutes' work." */
function whyThisCheck(
  { model, posterior: { probabilities } }: Reasoning,
  outcomes: readonly { probability: number; posterior: Float64Array }[],
  minutes: number,
): string {
  const now = marginals(model, probabilities)
  const moved = new Map<string, number>()
  for (const { probability, posterior } of outcomes) {
    for (const [fault, value] of marginals(model, posterior))
      moved.set(fault, (moved.get(fault) ?? 0) + probability * Math.abs(value - (now.get(fault) ?? 0)))
  }
  const parted = [...moved]
    .sort((a, b) => b[1] - a[1])
    .slice(0, 3)
    .filter(([fault, shift]) => shift > SAYING.leastShift && (now.get(fault) ?? 0) > SAYING.leastChance)
  const names = parted.map(([fault]) => `${faultLabel(fault).toLowerCase()} (${formatPercent(now.get(fault) ?? 0)})`)
  const work = minutes === 1 ? 'one minute' : `${minutes} minutes`
  if (names.length < 2) return `It settles ${names[0] ?? 'the leading suspect'} for ${work} of work.`
  return `It parts ${names[0]} from ${names.slice(1).join(' and ')} for ${work} of work.`
}

/** "under 22 psi", "22 to 28 psi", "open", "dripping". */
function stateWords({ id, range, open }: CheckState, unit: Unit | undefined, { system }: Reader): string {
  if (!range) return open ?? outcomeLabel(id)
  const { from, to } = range
  const amount = (value: number) => formatReading(value, unit, system)
  if (from === undefined) return to === undefined ? 'any reading' : `under ${amount(to)}`
  if (to === undefined) return `over ${amount(from)}`
  return formatRange({ low: from, high: to }, unit, system)
}

/** Ranges side by side that say the same are one range to the reader. The percentage may differ by a little. */
function mergeRanges<T extends { state: CheckState; probability: number; then: string }>(outcomes: readonly T[]): T[] {
  const plain = (then: string) => then.replace(/(?:over |under )?\d+\u00a0%/g, '%')
  return outcomes.reduce<T[]>((merged, outcome) => {
    const last = merged.at(-1)
    if (!last?.state.range || !outcome.state.range || plain(last.then) !== plain(outcome.then))
      return [...merged, outcome]
    const { from } = last.state.range
    const { to } = outcome.state.range
    const range = { ...(from === undefined ? {} : { from }), ...(to === undefined ? {} : { to }) }
    const likelier = last.probability >= outcome.probability ? last : outcome
    const probability = last.probability + outcome.probability
    return [...merged.slice(0, -1), { ...likelier, state: { ...likelier.state, range }, probability }]
  }, [])
}

function whatItSays(reasoning: Reasoning, posterior: Float64Array): string {
  const [top, second] = [...marginals(reasoning.model, posterior)].sort((a, b) => b[1] - a[1])
  if (!top) return ''
  const name = `${faultLabel(top[0]).toLowerCase()}, ${formatPercent(top[1])}`
  if (top[1] >= SAYING.settles) {
    const { action, undecided } = bestRepair(reasoning, posterior)
    return undecided ? name : `${name}: ${action.label.charAt(0).toLowerCase()}${action.label.slice(1)}`
  }
  return second ? `${name}; ${faultLabel(second[0]).toLowerCase()}, ${formatPercent(second[1])}` : name
}
