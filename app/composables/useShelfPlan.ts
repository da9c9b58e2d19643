import { format, startOfDay } from 'date-fns'
import { computed } from 'vue'
import { NEED_AHEAD } from '#core/knowledge/shelf/keeping'
import type { ShelfPlan } from '#core/shelf/levels/plan'
import { spanOf } from '~/utils/day-hours'
import { useServed } from './useServed'

/** How much to keep and what to load, as the shop reckons it for today and the days that follow. */
export function useShelfPlan() {
  const today = startOfDay(new Date())
  const { view, problem, load } = useServed<ShelfPlan>(
    () => `/api/shelf/plan?${spanOf(today, format(today, 'yyyy-MM-dd'), NEED_AHEAD.plannedDays)}`,
  )
  return {
    plan: view,
    problem,
    load,
    levels: computed(() => new Map(view.value?.levels.map((each) => [each.article, each]))),
  }
}
