import { startOfDay } from 'date-fns'
import { askAhead } from '~/utils/ask'
import { dayPath } from '~/utils/day-hours'
import { opensWithDay } from '~/utils/opens-with-day'

/** Whoever opens the Day waits for it less: it is asked for before the page is put together. */
export default defineNuxtPlugin({
  name: 'first-day',
  // Before the router has fetched the page's own files, and before the stores.
  order: -40,
  setup() {
    if (opensWithDay()) askAhead(dayPath(startOfDay(new Date())))
  },
})
