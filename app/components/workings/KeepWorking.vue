<script setup lang="ts">
import { format, startOfDay, addDays } from 'date-fns'
import type { DayVisit } from '#core/planning/day'
import { useVisit } from '~/stores/visit'

/** Whose machine it is asked at, and the line in its journal that keeps the answer. */
const {
  question,
  input,
  visitId = undefined,
  wrong,
} = defineProps<{ question: string; input: object; visitId?: string; wrong: boolean }>()
const emit = defineEmits<{ visit: [id: string | undefined] }>()
const visit = useVisit()
const { system } = useUnits()
const visits = ref<DayVisit[]>([])
onMounted(async () => {
  const today = startOfDay(new Date())
  try {
    const response = await ask(`/api/day?from=${today.toISOString()}&to=${addDays(today, 1).toISOString()}`)
    if (response.ok) visits.value = ((await response.json()) as { visits: DayVisit[] }).visits
  } catch {
    // Without the server a question is still answered; it can only not be hung on a visit that is not open here.
  }
})
const here = computed(() => (visitId && visit.visitId === visitId ? visit.state : undefined))
const others = computed(() => visits.value.filter(({ id }) => id !== visitId))
const kept = ref<{ entry: string; text: string }>()
watch([() => JSON.stringify(input), () => visitId, () => question], () => {
  kept.value = undefined
})
function keep(): void {
  if (here.value)
    kept.value = {
      entry: visit.append('working-kept', { question, input: { ...input }, units: system.value }).id,
      text: here.value.machine.name,
    }
}
function undo(): void {
  if (kept.value) visit.append('retracted', {}, kept.value.entry)
  kept.value = undefined
}
const copied = ref(false)
async function copy(): Promise<void> {
  await navigator.clipboard?.writeText(window.location.href)
  copied.value = true
  setTimeout(() => {
    copied.value = false
  }, 2500)
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2" data-testid="keep">
    <label class="min-w-0 flex-1 basis-44"
      ><span class="sr-only">the machine it is asked at</span>
      <select
        class="field"
        :value="visitId ?? ''"
        data-testid="at-visit"
        @change="emit('visit', ($event.target as HTMLSelectElement).value || undefined)"
      >
        <option value="">no machine: usual numbers</option>
        <option v-if="visitId" :value="visitId">
          {{ here ? `${here.machine.name}, ${here.customer.name}` : 'this visit' }}
        </option>
        <option v-for="each in others" :key="each.id" :value="each.id">
          {{ each.machine.name }}, {{ each.customer.name }}, {{ format(new Date(each.scheduledAt), 'H:mm') }}
        </option>
      </select>
    </label>
    <button v-if="here && !kept" type="button" class="button" :disabled="wrong" data-testid="keep-it" @click="keep">
      Keep in the visit
    </button>
    <button type="button" class="button button-quiet" data-testid="copy-link" @click="copy">
      {{ copied ? 'copied' : 'copy link' }}
    </button>
    <p v-if="kept" role="status" class="w-full border-l-4 border-river pl-3" data-testid="kept">
      Kept at {{ kept.text }}, and on its sheet.
      <button type="button" class="button button-quiet" @click="undo">Take it back</button
      ><NuxtLink class="button button-quiet" :to="`/visits/${visitId}`">to the visit</NuxtLink>
    </p>
  </div>
</template>
