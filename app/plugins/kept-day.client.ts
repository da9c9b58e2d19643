import { startOfDay } from 'date-fns'
import { useDevice } from '~/stores/device'
import { dayPath } from '~/utils/day-hours'
import { opensWithDay } from '~/utils/opens-with-day'

/** A store that does not answer at once is not waited for, milliseconds. */
const PATIENCE = 200

/** The Day as it was left is read before the page is put together: it stands in the first picture of it. */
export default defineNuxtPlugin({
  name: 'kept-day',
  dependsOn: ['pinia'],
  async setup() {
    if (!opensWithDay()) return
    await Promise.race([
      useDevice().readOpening(dayPath(startOfDay(new Date()))),
      new Promise((done) => setTimeout(done, PATIENCE)),
    ])
  },
})
