import { IsString, Length } from 'class-validator'
import { getRouterParam } from 'h3'
import { validated } from '../../../../core/validation/validated'
import { forgetCustomer, StillOpen } from '../../../services/forget'
import { serverNow, useShopApp } from '../../../utils/app'
import { readJson } from '../../../utils/body'
import { api, Problem } from '../../../utils/problem'
import { noteForgotten, writerOf } from '../../../utils/signed-in'
import { pathId } from '../../../utils/views'

/** Who asks for it, where nobody signs in. */
class ForgetRequest {
  @IsString() @Length(1, 80) author!: string
}

/** Removes the data of a customer for good. */
export default api('settings', async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'customer')
  const { author } = validated(ForgetRequest, await readJson(event))
  const app = await useShopApp()
  try {
    const removed = await forgetCustomer(app, id, { writer: await writerOf(event, author), now: serverNow() })
    if (!removed) throw new Problem(404, `There is no customer with the id ${id}, or their data were removed before.`)
    await noteForgotten(event)
    return removed
  } catch (error) {
    if (error instanceof StillOpen) throw new Problem(409, error.message)
    throw error
  }
})
