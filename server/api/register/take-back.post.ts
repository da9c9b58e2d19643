import { takeBackImport } from '../../services/register-import'
import { takeBackRequest } from '../../utils/import-request'
import { serverNow, useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { api } from '../../utils/problem'

/** Takes back what a file wrote; what was said of the same since stands. */
export default api(async (event) => {
  const asked = takeBackRequest(await readJson(event))
  return { takenBack: await takeBackImport(await useShopApp(), { ...asked, now: serverNow() }) }
})
