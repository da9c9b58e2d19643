import { importRequest } from '../../utils/import-request'
import { importRegister } from '../../services/register-import'
import { serverNow, useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { api } from '../../utils/problem'
import { writerOf } from '../../utils/signed-in'

const MOST_FILE_BYTES = 16 * 1024 * 1024

/** Customers and machines from a table or from vCards: what a file would write, or, where it is asked to, writes. */
export default api('files', async (event) => {
  const { file, write, author } = importRequest(await readJson(event, MOST_FILE_BYTES))
  const writer = await writerOf(event, author)
  return importRegister(await useShopApp(), file, { write, writer, now: serverNow() })
})
