import { useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'

/** The shop’s instruments, how it stands with each, and whether the simulated ones are on. */
export default api('write', async () => {
  const { instruments } = await useShopApp()
  return {
    instruments: await instruments.settings(),
    states: await instruments.states(),
    standIns: instruments.hasStandIns,
  }
})
