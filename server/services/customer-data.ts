import { toVisitFile } from '../../core/visit/visit-file'
import { attachedIn } from '../../core/visit/attached'
import type { ShopApp } from './shop-app'

/** What a file of one customer's data begins with. */
const FORMAT = { format: 'pike-lamp-customer', version: 1 } as const

/**
 * Everything that the shop has of one customer, as the text of one JSON file, piece by piece: who they are, places,
 * machines, the register's lines of them, and each visit as a visit file with its pictures.
 *
 * @param now ISO instant
 * @returns nothing where there is no such customer
 */
export async function customerData(
  { repository, register, photos }: Pick<ShopApp, 'repository' | 'register' | 'photos'>,
  customerId: string,
  now: string,
): Promise<AsyncGenerator<string> | undefined> {
  const customer = await register.customer(customerId)
  if (!customer) return undefined
  const records = await repository.recordsOf(customer.id)
  const lines = await repository.linesAbout({
    customers: new Set(records.customers),
    machines: new Set(records.machines),
    visits: new Set(),
  })
  const head = {
    ...FORMAT,
    writtenAt: now,
    customer,
    sites: await register.sitesOf(customer.id),
    machines: (await register.machinesOf(records.customers)).map(({ machine }) => machine),
    register: lines,
  }
  return (async function* () {
    yield `${JSON.stringify(head).slice(0, -1)},"visits":[`
    for (const [index, visitId] of records.visits.entries()) {
      const entries = await repository.entriesOfVisit(visitId)
      const pictures = []
      for (const hash of attachedIn(entries)) {
        const picture = await photos.get(hash)
        if (picture) pictures.push({ hash, type: picture.type, base64: picture.content.toString('base64') })
      }
      yield `${index > 0 ? ',' : ''}${JSON.stringify(toVisitFile(visitId, entries, pictures))}`
    }
    yield ']}\n'
  })()
}
