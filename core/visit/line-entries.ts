import type { Finding } from '../diagnosis/finding'
import type { Other, Understanding } from '../language/understanding'
import type { Part } from '../knowledge/vocabulary'
import type { Nameplate } from '../motor/nameplate'
import type { EntryBodies, EntryKind } from './entry'
import type { VisitState } from './fold'

/** One line of the journal that an understood line becomes. */
export type Draft = { [K in EntryKind]: { kind: K; body: EntryBodies[K] } }[EntryKind]

/** What is needed of a visit to write into it. */
type Here = Pick<VisitState, 'call' | 'machine' | 'pump' | 'standing' | 'fitted'>

/**
 * What an understood line becomes in the journal: a finding for each reading, and every other thing where it belongs.
 *
 * @param stage whether the readings are taken to find the fault or to prove the repair
 * @throws never for an understanding without a question; one that asks keeps nothing
 */
export function draftsOf({ findings, other, ask, note }: Understanding, here: Here, stage: 'test' | 'prove'): Draft[] {
  if (ask) return []
  const stood = other.find((each) => each.is === 'standing')
  const standing = stood?.is === 'standing' ? stood.at : here.standing
  return [
    ...other.flatMap((each): Draft[] => plainDraft(each)),
    ...callDraft(other, here),
    ...plateDraft(other, here),
    ...findings.map((finding): Draft => ({
      kind: 'finding',
      body: { ...ofItsMotor(placed(finding, standing), here), stage },
    })),
    ...(note ? [{ kind: 'note', body: { text: note, seenAndLeft: false } } as Draft] : []),
  ]
}

/** A reading away from the place where the machine belongs says where it was taken. */
function placed(finding: Finding, standing: VisitState['standing']): Finding {
  return standing === 'bench' || standing === 'barrel' ? { ...finding, where: standing } : finding
}

/** A motor younger than this is a new one itself, years. */
const NEW_FOR = 0.5
const HOLDS_MOTOR: ReadonlySet<Part> = new Set(['motor', 'pump'])

/** What is said of "the new motor" is none of the machine’s, unless the machine’s own is new. */
function ofItsMotor(finding: Finding, { pump, standing, call, fitted }: Here): Finding {
  if (finding.ageState !== 'new' || finding.of !== undefined) return finding
  const isNew =
    standing === 'in-box' ||
    (pump.ageYears ?? Infinity) < NEW_FOR ||
    [...call.alreadyReplaced, ...fitted.map(({ part }) => part)].some((part) => HOLDS_MOTOR.has(part as Part))
  return isNew ? finding : { ...finding, of: 'new' }
}

function plainDraft(other: Other): Draft[] {
  switch (other.is) {
    case 'gate':
      return [{ kind: 'gate', body: { gate: other.gate, shut: other.shut } }]
    case 'left':
      return [{ kind: 'note', body: { text: other.text, seenAndLeft: true } }]
    case 'standing':
      return [{ kind: 'standing', body: { at: other.at } }]
    case 'wish':
      return [{ kind: 'wish', body: { job: other.job } }]
    default:
      return []
  }
}

/** Complaints and replaced parts belong to the call: all of one line are one correction of it. */
function callDraft(other: readonly Other[], { call }: Here): Draft[] {
  const complaints = other.flatMap((each) => (each.is === 'complaint' ? [each.id as string] : []))
  const replaced = other.flatMap((each) => (each.is === 'replaced' ? [each.part as string] : []))
  if (complaints.length + replaced.length === 0) return []
  return [
    {
      kind: 'call',
      body: {
        ...call,
        complaints: [...new Set([...call.complaints, ...complaints])],
        alreadyReplaced: [...new Set([...call.alreadyReplaced, ...replaced])],
      },
    },
  ]
}

/** What is read off the plate is written on the machine. */
function plateDraft(other: readonly Other[], { machine }: Here): Draft[] {
  const read = other.flatMap((each) => (each.is === 'plate' ? [[each.field, each.value] as const] : []))
  if (read.length === 0) return []
  const nameplate = { ...machine.nameplate, ...Object.fromEntries(read) } as Nameplate
  return [{ kind: 'machine-set', body: { machine: { ...machine, nameplate } } }]
}
