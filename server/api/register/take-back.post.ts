import { takeBackImport } from '../../services/register-import'
import { takeBackRequest } from '../../utils/import-request'
import { serverNow, useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { api } from '../../utils/problem'
import { writerOf } from '../../utils/signed-in'

/** Takes back what a file wrote; what was said of the same since stands. */
export default api('files', async (event) => {
  const { act, author } = takeBackRequest(await readJson(event))
  const writer = await writerOf(event, author)
  return { takenBack: await takeBackImport(await useShopApp(), { act, writer, now: serverNow() }) }
})
