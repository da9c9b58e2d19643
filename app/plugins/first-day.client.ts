import { format, startOfDay } from 'date-fns'
import { askAhead } from '~/utils/ask'
import { spanOf } from '~/utils/day-hours'
import { mayHere, SESSION_KEY, type Session } from '~/utils/self'

/** Whoever opens the Day waits for it less: it is asked for before the page is put together. */
export default defineNuxtPlugin({
  name: 'first-day',
  // Before the router has fetched the page's own files, and before the stores.
  order: -40,
  setup() {
    if (location.pathname !== '/' || location.search || localStorage.getItem(SESSION_KEY) === null) return
    if (!mayHere(useLocalStorageRef<Session>(SESSION_KEY, { is: 'alone' }).value, 'look')) return
    const today = new Date()
    askAhead(`/api/day?${spanOf(startOfDay(today), format(today, 'yyyy-MM-dd'))}`)
  },
})
