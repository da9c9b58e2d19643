import { jobLabel, STANDING_LABELS } from '../language/other-words'
import { conditionText } from '../takedown/conditions'
import type { Finding } from '../diagnosis/finding'
import type { Verdict } from '../judgement/judgement'
import { checkInfo, outcomeLabel } from '../knowledge/checks/checks'
import { COMPLAINTS, GATES, isIdOf, STAGE_LABELS, PARTS } from '../knowledge/vocabulary'
import { causeChain, faultLabel } from '../diagnosis/words/fault-label'
import { CLAIM_MOVES } from '../knowledge/repairs/returns'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { formatSeconds } from '../quantity/format'
import { formatMoney, inNumberStyle } from '../quantity/number-style'
import { formatReading } from '../quantity/reading'
import { render, type Reader } from '../quantity/sentence'
import { bearingWords, waterWords } from '../sound/words'
import { isUnit, type Unit } from '../quantity/units'
import { PRACTICE_KINDS, REGISTER_KINDS, SHELF_KINDS, type Entry } from './entry'
import type { JudgedFinding, VisitState } from './fold'
import { lineOf } from './line-subject'
import { keptAnswer } from './kept-working'

/** One line of the journal as people read it. */
export interface JournalLine {
  id: string
  at: string
  text: string
  detail?: string
  value?: string
  verdict?: Verdict
  entry: Entry
}

/** The journal as lines, newest first. */
export function journalLines(state: VisitState, reader: Reader): JournalLine[] {
  const judged = judgedById(state)
  return state.entries
    .filter(({ kind }) => !UNLISTED.has(kind))
    .map((entry) => journalLine(entry, judged, reader))
    .reverse()
}

/** Seen, and told from its like by nothing that the check’s own line does not say. */
const isPlainlySeen = ({ outcome, lead, side, at, of }: Finding) =>
  outcome !== undefined && !lead && !side && !at && of !== 'new'

/** A line of the journal as it would be said again: for changing it in place. */
export function saidAgain({ entry, text, value }: JournalLine): string {
  if (entry.kind === 'note') return `${entry.body.seenAndLeft ? 'left:' : 'note'} ${entry.body.text}`
  if (entry.kind === 'recording' || isHeard(entry)) return ''
  if (entry.kind === 'finding' && isPlainlySeen(entry.body)) return lineOf(entry.body, { outcome: entry.body.outcome })
  if (entry.kind === 'finding')
    return `${text.replace(/, by hand|, look/g, '')} ${value ?? ''}`.replace('Ω', 'ohm').trim()
  // What several lines have added to is said anew, not again.
  return entry.kind === 'call' || entry.kind === 'machine-set' ? '' : text
}

/** A finding that came out of a recording: it stands and falls with it. */
export function isHeard(entry: Entry): boolean {
  return entry.kind === 'finding' && checkInfo(entry.body.check)?.recorded === true
}

const UNLISTED: ReadonlySet<Entry['kind']> = new Set<Entry['kind']>([
  'visit-opened',
  'shop-set',
  'shop-forget',
  'day-order',
  'customer-forgotten',
  ...REGISTER_KINDS.filter((kind) => kind !== 'machine-set'),
  ...PRACTICE_KINDS,
  ...SHELF_KINDS,
])

/** Which instrument sent it, and how far it may be off. */
function sentBy({ instrument, error, unit }: Finding, reader: Reader): string | undefined {
  if (!instrument) return undefined
  return error !== undefined && isUnit(unit)
    ? `${instrument}, ± ${formatReading(error, unit, reader.system, 2)}`
    : instrument
}

/** One entry of a visit as people read it. */
export function journalLine(entry: Entry, judged: ReadonlyMap<string, JudgedFinding>, reader: Reader): JournalLine {
  return { id: entry.id, at: entry.at, entry, ...describeEntry(entry, judged.get(entry.id), reader) }
}

/** The judged findings of a visit by their entry, those in conflict too. */
export function judgedById({
  findings,
  contested,
}: Pick<VisitState, 'findings' | 'contested'>): Map<string, JudgedFinding> {
  return new Map([...findings, ...contested].map((judged) => [judged.entryId, judged]))
}

/** An entry that belongs to no folded visit, in words: what waits or was refused. */
export function entryWords(entry: Entry, reader: Reader): string {
  if (entry.kind === 'finding') {
    const { check, part, leads, value, unit, outcome } = entry.body
    return [
      checkInfo(check)?.label ?? check,
      part && isIdOf(PARTS, part) ? PARTS[part] : undefined,
      leads,
      outcome
        ? outcomeLabel(outcome)
        : value === undefined
          ? undefined
          : formatReading(value, unit as Unit | undefined, reader.system, 4),
    ]
      .filter(Boolean)
      .join(' ')
  }
  if (entry.kind === 'visit-opened') return `visit opened: ${entry.body.customer.name}, ${entry.body.machine.name}`
  if (entry.kind === 'retracted') return 'a line taken back'
  const { text, detail } = describeEntry(entry, undefined, reader)
  return [text.replaceAll('-', ' '), detail].filter(Boolean).join(': ')
}

/** A judgement's value as printed: number with unit, or the outcome in words. */
export function valueText({ judgement }: Pick<JudgedFinding, 'judgement'>, { system, numbers }: Reader): string {
  const { value, unit } = judgement
  return typeof value === 'string' ? outcomeLabel(value) : inNumberStyle(formatReading(value, unit, system, 4), numbers)
}

const PROOF_WORDS = { holds: 'proved', fails: 'failed its proof', left: 'proof left' } as const

function describeEntry(
  entry: Entry,
  found: JudgedFinding | undefined,
  reader: Reader,
): Pick<JournalLine, 'text' | 'detail' | 'value' | 'verdict'> {
  switch (entry.kind) {
    case 'finding': {
      if (!found) return { text: entry.body.check }
      return {
        text: found.judgement.subject,
        detail: [entry.body.hedge, render(found.judgement.because, reader), sentBy(entry.body, reader)]
          .filter(Boolean)
          .join(' · '),
        value: valueText(found, reader),
        verdict: found.judgement.verdict,
      }
    }
    case 'call':
      return {
        text: 'the call',
        detail:
          entry.body.complaints.map((id) => (isIdOf(COMPLAINTS, id) ? COMPLAINTS[id] : id)).join(', ') ||
          entry.body.callerSays,
      }
    case 'machine-set':
      return { text: 'machine and nameplate written down' }
    case 'planned':
      return {
        text: entry.body.goesOn ? 'goes on on another day' : entry.body.at ? 'planned' : 'waits for a day',
        ...(entry.body.at ? { value: entry.body.at.slice(0, 10) } : {}),
        ...(entry.body.why ? { detail: entry.body.why } : {}),
      }
    case 'arranged':
      return { text: 'arranged with the caller' }
    case 'cancelled':
      return { text: 'cancelled', detail: entry.body.why }
    case 'together':
      return { text: entry.body.with ? 'one journey with another machine' : 'a journey of its own' }
    case 'loaded':
      return {
        text:
          `${entry.body.loaded ? 'loaded' : 'unloaded'}: ` +
          `${entry.body.item.replace(/^(part|tool):/, '').replaceAll('-', ' ')}`,
      }
    case 'gate':
      return describeGate(entry.body)
    case 'note':
      return { text: entry.body.seenAndLeft ? `seen and left: ${entry.body.text}` : entry.body.text }
    case 'standing':
      return { text: `the machine stands: ${STANDING_LABELS[entry.body.at]}` }
    case 'wish':
      return { text: `wished for: ${jobLabel(entry.body.job)}` }
    case 'photo':
      return { text: entry.body.caption ? `photo: ${entry.body.caption}` : `photo: ${entry.body.name}` }
    case 'recording': {
      const { seconds, side, heard } = entry.body
      return {
        text: `recorded: ${Math.round(seconds)} s at the ${side === 'motor' ? 'motor' : 'wet end'}`,
        detail: `${bearingWords(heard.bearing)} ${waterWords(heard.water)}`,
      }
    }
    case 'check-skipped':
      return { text: `passed over: ${entry.body.check.replaceAll('-', ' ')}` }
    case 'cause-said':
      return {
        text:
          `${entry.body.verdict === 'not-this' ? 'not this' : 'it was this'}: ` +
          `${faultLabel(entry.body.fault).toLowerCase()}`,
      }
    case 'post-mortem':
      return {
        text: `at the bench: ${causeChain(entry.body).toLowerCase()}`,
        detail: [entry.body.why, entry.body.keeping ? `keep: ${entry.body.keeping}` : ''].filter(Boolean).join(' · '),
      }
    case 'working-kept': {
      const { title, answer, verdict } = keptAnswer(entry.body, reader)
      return { text: title, detail: answer, verdict }
    }
    case 'job':
      return {
        text: `${entry.body.state}: ${jobLabel(entry.body.job)}`,
        ...(entry.body.why ? { detail: entry.body.why } : {}),
      }
    case 'decision':
      return {
        text: `decided: ${entry.body.option.replaceAll('-', ' ')}${entry.body.spareFirst ? ', a spare in first' : ''}`,
      }
    case 'step':
      return {
        text:
          `${entry.body.done ? 'done' : 'undone'}: ` +
          `${entry.body.step.replace(/^(down|work|back):/, '').replace(/[-.:]/g, ' ')}`,
        ...(entry.body.count === undefined ? {} : { value: `${entry.body.count}` }),
        ...(entry.body.reason ? { detail: entry.body.reason } : {}),
      }
    case 'take-down-found':
      return {
        text:
          `${entry.body.what === 'stuck' ? 'will not open' : 'found damaged'}: ` +
          `${(entry.body.joint ?? entry.body.part ?? '').replaceAll('-', ' ')}`,
      }
    case 'take-down-measured':
      return { text: 'measured for the repair', value: conditionText(entry.body, reader) }
    case 'new-part':
      return {
        text: `new part read: ${PARTS[entry.body.part]}`,
        ...(entry.body.identity ? { detail: entry.body.identity } : {}),
      }
    case 'fitted':
      return {
        text: `fitted: ${PARTS[entry.body.part]}`,
        ...(entry.body.identity ? { detail: entry.body.identity } : {}),
      }
    case 'joint-done':
      return { text: `${STAGE_LABELS[entry.body.joint]} done` }
    case 'proof':
      return {
        text: `${PROOF_WORDS[entry.body.outcome]}: ${entry.body.proof.replaceAll('-', ' ')}`,
        ...(entry.body.why ? { detail: entry.body.why } : {}),
      }
    case 'price-change':
      return { text: `on the account: ${entry.body.label}` }
    case 'price-agreed':
      return {
        text: `agreed by ${entry.body.by}`,
        value: formatMoney(entry.body.price, reader.currency ?? DEFAULT_RATES.currency),
      }
    case 'comeback':
      return {
        text: 'not proved: back to Test',
        ...(entry.body.failed.length > 0
          ? { detail: entry.body.failed.map((id) => id.replaceAll('-', ' ')).join(', ') }
          : {}),
      }
    case 'handed-over':
      return { text: 'handed over', ...(entry.body.nextDate ? { detail: `next ${entry.body.nextDate}` } : {}) }
    case 'signed':
      return { text: `signed by ${entry.body.by}` }
    case 'mailed':
      return { text: `${entry.body.paper} mailed to ${entry.body.to}` }
    case 'paid':
      return {
        text: entry.body.amount < 0 ? 'paid back' : 'paid',
        value: formatMoney(Math.abs(entry.body.amount), reader.currency ?? DEFAULT_RATES.currency),
        ...(entry.body.how ? { detail: entry.body.how } : {}),
      }
    case 'claim':
      return { text: `claim written: ${PARTS[entry.body.part]}`, detail: entry.body.complaint }
    case 'claim-moved':
      return {
        text: `the claim: ${CLAIM_MOVES[entry.body.to]}`,
        ...(entry.body.note ? { detail: entry.body.note } : {}),
      }
    case 'visit-opened':
    case 'shop-set':
    case 'shop-forget':
    case 'day-order':
    case 'practice-tried':
    case 'course-set':
    case 'article-set':
    case 'stock-moved':
    case 'stock-counted':
    case 'bay-set':
    case 'level-set':
    case 'keeping-set':
    case 'supplier-set':
    case 'offer-set':
    case 'order-placed':
    case 'order-moved':
    case 'retracted':
      return { text: entry.kind }
    case 'customer-set':
      return { text: `customer: ${entry.body.customer.name}` }
    case 'site-set':
      return { text: `place: ${entry.body.site.address ?? 'the customer’s own'}` }
    case 'machine-retired':
      return { text: 'machine retired', ...(entry.body.why ? { detail: entry.body.why } : {}) }
    case 'merged':
      return { text: `two ${entry.body.what}s are one` }
    case 'kept-apart':
      return { text: `two ${entry.body.what}s stay two` }
    case 'customer-forgotten':
      return { text: 'a customer’s data removed' }
  }
}

function describeGate(body: {
  gate: keyof typeof GATES
  shut: boolean
  lines?: { line: string; volts: number }[]
  seconds?: number
}): Pick<JournalLine, 'text' | 'detail'> {
  const lines = body.lines?.map(({ line, volts }) => `${line} ${volts} V`).join(', ')
  const waited = body.seconds === undefined ? undefined : `after ${formatSeconds(body.seconds)}`
  const detail = [lines, waited].filter(Boolean).join(' · ')
  return { text: `${GATES[body.gate].label}${body.shut ? '' : ': no longer'}`, ...(detail ? { detail } : {}) }
}
