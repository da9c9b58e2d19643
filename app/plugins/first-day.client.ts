import { askAhead } from '~/utils/ask'
import { firstDay } from '~/utils/first-day'

/** Whoever opens the Day waits for it less: it is asked for before the page is put together. */
export default defineNuxtPlugin({
  name: 'first-day',
  // Before the router has fetched the page's own files, and before the stores.
  order: -40,
  setup() {
    const path = firstDay()
    if (path) askAhead(path)
  },
})
