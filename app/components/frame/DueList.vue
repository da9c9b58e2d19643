<script setup lang="ts">
import { format } from 'date-fns'
import type { DueRow } from '#core/visit/due'

/** What visits have left to come back for, up to this day: second looks, readings, next visits. */
const { until, late } = defineProps<{ until: string; late: string }>()
const due = ref<DueRow[]>([])
watch(
  () => until,
  async (day) => {
    const response = await fetch(`/api/due?until=${day}`).catch(() => undefined)
    if (response?.ok) due.value = ((await response.json()) as { due: DueRow[] }).due
  },
  { immediate: true },
)
const day = (on: string) => format(new Date(`${on}T12:00:00`), 'EEE d MMM')
</script>

<template>
  <section v-if="due.length > 0" class="border-t border-rule px-5 py-4" aria-labelledby="due-title" data-testid="due">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2 id="due-title" class="text-[1.1rem]">Comes due</h2>
      <a class="button button-quiet" :href="`/api/due.ics?until=${until}`" download>As calendar file</a>
    </div>
    <ul>
      <li
        v-for="each in due"
        :key="each.visitId + each.on + each.what"
        class="flex flex-wrap items-baseline gap-x-4 border-t border-rule py-2"
      >
        <span class="number w-44 shrink-0" :class="each.on < late ? 'font-bold' : ''"
          >{{ day(each.on) }}<template v-if="each.on < late">, late</template></span
        ><NuxtLink class="min-w-0 grow" :to="`/visits/${each.visitId}/hand-over`"
          ><strong>{{ each.machine }}</strong
          >, {{ each.customer.name }}: {{ each.what }}</NuxtLink
        >
      </li>
    </ul>
  </section>
</template>
