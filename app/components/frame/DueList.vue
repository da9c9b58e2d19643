<script setup lang="ts">
import type { DueItem } from '#core/pumps/due-list'

/** What comes due up to this day, the first of it: second looks, readings, next visits, the year's round. */
const { until, late } = defineProps<{ until: string; late: string }>()
const MOST = 6
const { view } = useServed<{ items: DueItem[]; count: number }>(() => `/api/due?until=${until}&today=${late}`)
const due = computed(() => view.value?.items.slice(0, MOST) ?? [])
</script>

<template>
  <section v-if="due.length > 0" class="border-t border-rule px-5 py-4" aria-labelledby="due-title" data-testid="due">
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
