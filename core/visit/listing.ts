import { STAGES, type Stage } from '../knowledge/vocabulary'
import { ratiosOf, type StepRatio } from '../takedown/own-times'
import type { Customer, Due, Entry, Machine } from './entry'
import { duesLeft } from './claim'
import { causeTaught, claimIn, confirmedCause, machineOf } from './fold'
import { machineAfter } from './fitted'
import { ledgerRowOf, type LedgerRow } from './ledger'
import { newestOf, ofKind } from './of-kind'
import { scheduleOf, togetherIn, type Schedule } from './schedule'
import { supersessionOf } from './supersession'

/** What lists need to know of a visit without judging a single reading of it. */
export interface VisitListing {
  id: string
  customer: Customer
  machine: Machine
  /** Was it this shop that said who and which, or a file that was taken in? */
  said: { customer: Saying; machine: Saying }
  schedule: Schedule
  /** The first visit of its journey, where that is another. */
  together?: string
  plannedMinutes: number
  callerSays: string
  complaints: string[]
  stage: Stage
  handedOver: boolean
  /** The cause that the closed visit teaches, and the entry that taught it. */
  cause?: { fault: string; entryId: string }
  /** What it left to come back for. */
  due: Due[]
  /** Its line in the ledger. */
  account?: LedgerRow
  /** How long its steps took, over their estimates. */
  paced: StepRatio[]
}

/** Who said it: the entry, whether it came from a file, and whether it only began with what was known. */
export interface Saying {
  entryId: string
  imported: boolean
  isCopy: boolean
}

/**
 * A visit as lists show it.
 *
 * @param entries of one visit, in any order
 * @returns undefined where no entry opens the visit
 */
export function listingOf(entries: readonly Entry[]): VisitListing | undefined {
  const { live } = supersessionOf(entries)
  const opened = newestOf(live, 'visit-opened')
  const machine = machineOf(live)
  if (!opened || !machine) return undefined
  const { customer, plannedMinutes, callerSays } = opened.body
  const call = newestOf(live, 'call')
  const done = new Set(ofKind(live, 'joint-done').map(({ body }) => body.joint))
  const machineSaid = ofKind(live, 'machine-set').findLast(({ body }) => body.machine.id === machine.id) ?? opened
  const handedOver = newestOf(live, 'handed-over')
  const dissected = newestOf(live, 'post-mortem')
  const fault = causeTaught({ handedOver, postMortem: dissected?.body, confirmed: confirmedCause(live) })
  const taughtBy = dissected ?? handedOver
  const told = handedOver ? { handedOver: { ...handedOver.body, at: handedOver.at, author: handedOver.author } } : {}
  const together = togetherIn(live)
  const account = ledgerRowOf({
    id: opened.visitId as string,
    ...(together ? { together } : {}),
    customer,
    machine,
    fitted: [],
    payments: ofKind(live, 'paid').map(({ id, body }) => ({ ...body, entryId: id })),
    ...told,
  })
  const saying = ({ id, imported, kind }: Entry): Saying => ({
    entryId: id,
    imported: imported === true,
    isCopy: kind === 'visit-opened',
  })
  return {
    id: opened.visitId as string,
    customer,
    machine: machineAfter(machine, live),
    said: { customer: saying(opened), machine: saying(newestOf(live, 'fitted') ?? machineSaid) },
    schedule: scheduleOf(live),
    ...(together ? { together } : {}),
    plannedMinutes,
    callerSays: call?.body.callerSays ?? callerSays,
    complaints: call?.body.complaints ?? [],
    stage: STAGES.find((stage) => !done.has(stage)) ?? 'hand-over',
    handedOver: handedOver !== undefined,
    ...(fault && taughtBy ? { cause: { fault, entryId: taughtBy.id } } : {}),
    due: duesLeft({ ...told, ...claimIn(live) }),
    ...(account ? { account } : {}),
    paced: ratiosOf(
      ofKind(live, 'step').map(({ at, body: { step, done: ticked, estimate } }) => ({
        step,
        at,
        done: ticked,
        ...(estimate === undefined ? {} : { estimate }),
      })),
    ),
  }
}
