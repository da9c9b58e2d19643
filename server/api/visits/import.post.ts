import { createHash } from 'node:crypto'
import { InputError } from '../../../core/validation/input-error'
import { readVisitFile } from '../../../core/visit/visit-file'
import { useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { api } from '../../utils/problem'

const MOST_FILE_BYTES = 64 * 1024 * 1024

/** Takes a `*.visit.json` in. Importing the same file twice is harmless; nothing is kept of one that is not whole. */
export default api(async (event) => {
  const file = readVisitFile(await readJson(event, MOST_FILE_BYTES))
  const app = await useShopApp()
  const pictures = file.photos.map(({ hash, base64 }, index) => {
    const bytes = Buffer.from(base64, 'base64')
    if (createHash('sha256').update(bytes).digest('hex') !== hash) throw new InputError([{ field: `photos.${index}.hash`, value: hash, expected: 'the SHA-256 of the picture itself' }])
    return bytes
  })
  for (const bytes of pictures) await app.photos.add(bytes)
  return { visitId: file.visitId, ...(await app.journal.append(file.entries)) }
})
