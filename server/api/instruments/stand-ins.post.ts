import { badField } from '../../../core/validation/input-error'
import { useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { api } from '../../utils/problem'

/** Turns the simulated instruments on or off: `{ "on": true }`. */
export default api('settings', async (event) => {
  const { on } = ((await readJson(event)) ?? {}) as { on?: unknown }
  if (typeof on !== 'boolean') throw badField('on', on, 'true or false')
  const { instruments } = await useShopApp()
  await instruments.turnStandIns(on)
  return { standIns: instruments.hasStandIns }
})
