import { v7 as uuidv7 } from 'uuid'
import type { Entry, EntryKind, EntryBodies, Writer } from '../../core/visit/entry'
import { nextLamport } from '../../core/visit/entry'
import { validEntry } from '../../core/visit/entry-rules'
import { REMOVED } from '../../core/visit/forgotten'
import { dropDatabaseAside } from '../database/connect'
import type { Left } from '../database/forgetting'
import type { Repository } from '../database/repository'
import { LEFT, type Journal } from './journal'
import { keptText } from './kept-text'
import type { MailOutlet } from './mail/mail-outlet'
import type { PhotoStore } from './photos/photo-store'
import type { Reconciled } from './reconcile'
import { RejectedFile } from './rejected-file'
import type { ShopApp } from './shop-app'

/** The customer has a visit that is not done: what is still to be done at somebody's is not nobody's. */
export class StillOpen extends Error {}

/** Up to which arrival all that was to be removed has been, wherever this shop keeps it. */
const FORGOTTEN_UP_TO = 'forgotten-up-to'

/** What keeps something of customers. */
export interface Keepers {
  repository: Repository
  journal: Pick<Journal, 'forget'>
  photos: Pick<PhotoStore, 'forget'>
  outlet: Pick<MailOutlet, 'forget'>
  dataDir: string
}

/**
 * Removes the data of a customer for good: names, addresses, what was said and written of them, pictures, signatures,
 * mails that left. What was measured and charged stays, of nobody. Their machines are retired.
 *
 * @param now ISO instant
 * @returns how much it was; nothing where there is no such customer, or they were removed before
 * @throws StillOpen
 */
export async function forgetCustomer(
  app: Keepers & Pick<ShopApp, 'register'>,
  customerId: string,
  { writer, now }: { writer: Writer; now: string },
): Promise<{ visits: number; machines: number; pictures: number } | undefined> {
  const customer = await app.register.customer(customerId)
  const { forgotten } = await app.repository.forgotten()
  if (!customer || forgotten.customers.has(customer.id)) return undefined
  const records = await app.repository.recordsOf(customer.id)
  const open = await Promise.all(records.customers.map((id) => app.register.openVisitsOf(id)))
  const count = open.flat().length
  if (count > 0)
    throw new StillOpen(
      `${count === 1 ? 'A visit is' : `${count} visits are`} not done yet: hand over or call off, then remove it all.`,
    )
  const lamport = nextLamport((await app.repository.shopEntries()).map(({ entry }) => entry))
  const line = <K extends EntryKind>(kind: K, body: EntryBodies[K]): Entry =>
    validEntry({ id: uuidv7(), visitId: null, kind, at: now, ...writer, lamport, body })
  const standing = (await app.register.machinesOf(records.customers)).filter(({ retired }) => !retired)
  const { pictures } = await app.journal.forget([
    line('customer-forgotten', records),
    // What nobody owns comes due for nothing.
    ...standing.map(({ machine }) =>
      line('machine-retired', { machineId: machine.id, on: now.slice(0, 10), why: REMOVED }),
    ),
  ])
  await dropWhatIsLeft(app)
  return { visits: records.visits.length, machines: records.machines.length, pictures: pictures.length }
}

/**
 * At opening: what a server that was killed, a backup of before, or an older file that was put back left undone.
 *
 * @param report how the journal file was found; nothing where a database server keeps the journal
 */
export async function carryOutForgetting(app: Keepers, report: Reconciled | undefined): Promise<void> {
  const { arrival } = await app.repository.forgotten()
  if (arrival === 0) return
  const isDone = (await app.repository.meta<number>(FORGOTTEN_UP_TO)) === arrival
  if (isDone && !report?.whole && !report?.takenIn && !report?.filled) return
  await app.journal.forget()
  await dropWhatIsLeft(app)
}

/** Pictures and mails lie elsewhere than the lines: what is to be dropped is known until it is. */
async function dropWhatIsLeft({ repository, photos, outlet, dataDir }: Keepers): Promise<void> {
  const { arrival } = await repository.forgotten()
  const forgotten = await repository.allForgotten()
  const left = await repository.meta<Left>(LEFT)
  if (left) {
    await photos.forget(await repository.picturesOfNobody(left.pictures))
    await outlet.forget(left.mails)
  }
  await dropDatabaseAside(dataDir)
  const rejected = await RejectedFile.open(dataDir)
  await rejected.change((text) => keptText(text, forgotten))
  await repository.setMeta(LEFT, { pictures: [], mails: [] } satisfies Left)
  await repository.setMeta(FORGOTTEN_UP_TO, arrival)
}
