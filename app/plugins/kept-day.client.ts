import { useDevice } from '~/stores/device'
import { firstDay } from '~/utils/first-day'

/** A store that does not answer at once is not waited for, milliseconds. */
const PATIENCE = 200

/** The Day as it was left is read before the page is put together: it stands in the first picture of it. */
export default defineNuxtPlugin({
  name: 'kept-day',
  dependsOn: ['pinia'],
  async setup() {
    const path = firstDay()
    if (!path) return
    await Promise.race([useDevice().readOpening(path), new Promise((done) => setTimeout(done, PATIENCE))])
  },
})
