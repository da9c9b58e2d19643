<script setup lang="ts">
import { addDays, format, parseISO } from 'date-fns'
import type { DueItem } from '#core/pumps/due-list'

/**
 * What visits have left to come back for about this day: second looks, readings, next visits, claims. The rest of it,
 * what is long past and the year's round stand in their own place.
 */
const { until, late } = defineProps<{ until: string; late: string }>()
const [MOST, BACK_DAYS] = [10, 30]
// Read when the page is: what comes due does not change within the hour, and takes long to gather.
const { view } = useServed<{ items: DueItem[]; count: number }>(() => `/api/due?until=${until}&today=${late}`, {
  isFresh: false,
})
const since = computed(() => format(addDays(parseISO(late), -BACK_DAYS), 'yyyy-MM-dd'))
const due = computed(
  () => view.value?.items.filter(({ on, kind }) => on >= since.value && isLeftByVisit(kind)).slice(0, MOST) ?? [],
)
</script>

<template>
  <section
    v-if="view && view.count > 0"
    class="border-t border-rule px-5 py-4"
    aria-labelledby="due-title"
    data-testid="due"
  >
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2 id="due-title" class="text-[1.1rem]">Comes due</h2>
      <NuxtLink class="button button-quiet" to="/due">All that is due</NuxtLink>
    </div>
    <ul>
      <li v-for="each in due" :key="each.key" class="flex flex-wrap items-baseline gap-x-4 border-t border-rule py-2">
        <span class="number w-44 shrink-0" :class="each.on < late ? 'font-bold' : ''"
          >{{ dueDay(each.on, late) }}<template v-if="each.on < late">, late</template></span
        ><NuxtLink
          class="min-w-0 grow"
          :to="each.visitId ? `/visits/${each.visitId}/hand-over` : `/pumps/${each.machineId}`"
          ><strong>{{ each.machine.name }}</strong
          >, {{ each.customer.name }}: {{ each.what }}</NuxtLink
        >
      </li>
    </ul>
    <p v-if="view && view.count > due.length" class="text-slate">and {{ view.count - due.length }} more</p>
  </section>
</template>
