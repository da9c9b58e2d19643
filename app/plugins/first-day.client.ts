import { format, startOfDay } from 'date-fns'
import { useSelf } from '~/stores/self'
import { askAhead } from '~/utils/ask'
import { spanOf } from '~/utils/day-hours'

/** Whoever opens the Day waits for it less: it is asked for before the page is put together. */
export default defineNuxtPlugin(() => {
  const self = useSelf()
  if (location.pathname !== '/' || location.search || self.isNew || !self.may('look')) return
  const today = new Date()
  askAhead(`/api/day?${spanOf(startOfDay(today), format(today, 'yyyy-MM-dd'))}`)
})
