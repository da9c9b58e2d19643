import { BEARINGS } from '../knowledge/mechanical/bearings'
import { MOTOR_MATCH } from '../knowledge/mechanical/motor-fit'
import { IDENTITIES, PLATED } from '../knowledge/repairs/identities'
import { isIdOf, PARTS, type Part } from '../knowledge/vocabulary'
import { matchMotor, type MatchPoint } from '../motor/match'
import { matchDuty, neededHead } from '../motor/match-duty'
import type { Repair } from '../takedown/step-plan'
import { isClosing } from '../takedown/step-ref'
import type { StepRecord } from '../takedown/tray'
import type { NewPart } from './entry'
import { identityOf } from './fitted'
import type { VisitState } from './fold'

/** A part that goes in with the agreed jobs: what is known of it, and whether it is in its place. */
export interface PartGoingIn {
  part: Part
  /** Its plate judges from when it is in. */
  plated: boolean
  /** Its work is done and the way back has begun over it. */
  isIn: boolean
  /** As it was read before it went in, or as it is fitted. */
  known?: NewPart
  isFitted: boolean
  /** What identified the one before. */
  before?: string
}

type Records = ReadonlyMap<string, Pick<StepRecord, 'done'>>

/**
 * The parts of a plan that have an identity, in the plan's order.
 *
 * @param records the ticks that count for the plan
 */
export function partsGoingIn(
  plan: Pick<Repair, 'steps' | 'consumables'>,
  records: Records,
  { newParts, fitted, machine }: Pick<VisitState, 'newParts' | 'fitted' | 'machine'>,
): PartGoingIn[] {
  const parts = plan.consumables.flatMap((each) =>
    'part' in each && isIdOf(PARTS, each.part) && IDENTITIES[each.part] ? [each.part] : [],
  )
  return [...new Set(parts)].map((part) => {
    const last = fitted.findLast((each) => each.part === part)
    const known = last ?? newParts.get(part)
    const before = identityOf(machine, part)
    return {
      part,
      plated: PLATED.has(part),
      isIn: isPartIn(part, plan.steps, records),
      isFitted: last !== undefined,
      ...(known ? { known } : {}),
      ...(before ? { before } : {}),
    }
  })
}

/** Is a part in its place: all that is done to it is done, and something has been closed after that? */
export function isPartIn(part: Part, steps: Repair['steps'], records: Records): boolean {
  const done = (id: string) => records.get(id)?.done === true
  const own = steps.filter(({ id }) => id.startsWith(`work:${part}:`))
  if (!own.every(({ id }) => done(id))) return false
  const last = steps.findLastIndex((step) => own.includes(step))
  return steps.slice(last + 1).some(({ id }) => isClosing(id) && done(id)) || steps.every(({ id }) => done(id))
}

/** What was read of new parts that are in by now, and that nobody has written as fitted yet. */
export function fittedByNow(parts: readonly PartGoingIn[]): NewPart[] {
  return parts.flatMap(({ isIn: inPlace, isFitted, known }) => (inPlace && !isFitted && known ? [known] : []))
}

/** What stood from line to line at rest: the supply that a new motor meets; undefined where it was not read. */
function supplyRead(findings: VisitState['findings']): number | undefined {
  const read = findings.findLast(
    ({ finding: { check, lead, value } }) =>
      check === 'supply-voltage' && lead === undefined && (value ?? 0) > MOTOR_MATCH.leastSupplyVolts,
  )
  return read?.finding.value ?? undefined
}

/** A new motor or pump against the one that is there, its supply and, of a pump, its duty; nothing without a plate. */
export function matchNewPart(
  { part, nameplate, duty }: NewPart,
  { machine, findings }: Pick<VisitState, 'machine' | 'findings'>,
): MatchPoint[] {
  if (!nameplate) return []
  const motor = matchMotor(machine.nameplate, nameplate, supplyRead(findings))
  return part === 'pump' ? [matchDuty(duty, neededHead(machine.kind, machine.installation)), ...motor] : motor
}

/**
 * The sizes of the bearings that an identity names, each once: what is ordered is held against what is measured.
 *
 * @param identity as it was written: `6203 2RS drive, 6204 far`
 * @source ISO 15
 */
export function bearingsNamed(identity: string): { number: string; millimetres: readonly number[] }[] {
  return [...new Set(identity.match(/\b6[0-3]\d{2}\b/g) ?? [])].flatMap((number) => {
    const millimetres = BEARINGS[number]
    return millimetres ? [{ number, millimetres }] : []
  })
}
