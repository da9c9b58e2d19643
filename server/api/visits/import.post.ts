import type { Customer, Entry, Machine } from '../../../core/visit/entry'
import { differences } from '../../../core/visit/differences'
import { foldVisit } from '../../../core/visit/fold'
import { useShopApp } from '../../utils/app'
import { readJsonBytes } from '../../utils/body'
import { api } from '../../utils/problem'

const MOST_FILE_BYTES = 64 * 1024 * 1024

/**
 * Takes a `*.visit.json` in. Importing the same file twice is harmless; nothing is kept of one that is not whole. Where
 * the file knows the
 * customer otherwise than the shop, the shop's word stands and the answer says the difference.
 */
export default api('write', async (event) => {
  const bytes = await readJsonBytes(event, MOST_FILE_BYTES)
  const { work, journal, photos, repository } = await useShopApp()
  const { visitId, entries, pictures } = await work.run('visitFile', { bytes })
  const appended = await journal.append(
    entries,
    photos.coming(pictures.map(({ hash, type, bytes: picture }) => ({ hash, type, bytes: Buffer.from(picture) }))),
  )
  const { customer } = foldVisit(entries) as { customer: Customer; machine: Machine; entries: Entry[] }
  const known = await repository.customer(customer.id)
  return { visitId, ...appended, customer, differs: known ? differences(known, customer) : [] }
})
