<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import type { NextCheck } from '#core/diagnosis/diagnose'
import { SURFACE } from '#core/knowledge/vocabulary'

const { lit = undefined, litCheck = undefined } = defineProps<{ lit?: string; litCheck?: NextCheck }>()
const emit = defineEmits<{
  part: [part: string]
  ask: [line: string]
  correct: [entryId: string, line: string]
  photo: [entryId: string]
}>()
const VIEWS = { section: 'Section', bench: 'Bench', wiring: 'Wiring', sound: 'Sound', log: 'Log' } as const
const { visit, state } = useVisitContext()
/** A real machine has no bench in the program, a pump for practice no logger and no microphone at it. */
const NOT_AT: Readonly<Record<'practice' | 'visit', readonly string[]>> = {
  practice: ['wiring', 'sound', 'log'],
  visit: ['bench'],
}
/** What stands in the ground or in water cannot be listened to with a telephone. */
const views = computed(() =>
  Object.entries(VIEWS).filter(
    ([id]) =>
      !NOT_AT[visit.isPractice ? 'practice' : 'visit'].includes(id) &&
      (id !== 'sound' || SURFACE.includes(state.value.machine.kind)),
  ),
)
const view = defineModel<keyof typeof VIEWS>('view', { required: true })
</script>

<template>
  <div class="px-5 pt-3 pb-4">
    <RadioGroup v-model="view" class="flex gap-2" aria-label="how the machine is shown">
      <RadioGroupOption v-for="[id, label] in views" :key="id" v-slot="{ checked }" :value="id" as="template"
        ><button type="button" class="toggle" :aria-checked="checked" :data-testid="`show-${id}`">
          {{ label }}
        </button></RadioGroupOption
      >
    </RadioGroup>
    <PumpCutaway v-if="view === 'section'" :lit="lit" @part="(part) => emit('part', part)" />
    <LazyBenchView v-else-if="view === 'bench'" class="mt-3" :lit="litCheck" />
    <LazySoundView v-else-if="view === 'sound'" stage="test" />
    <LazyLogView v-else-if="view === 'log'" stage="test" />
    <WiringView v-else class="mt-3" :lit="litCheck" @ask="(line) => emit('ask', line)" />
    <JournalList @correct="(id, line) => emit('correct', id, line)" @photo="(id) => emit('photo', id)" />
  </div>
</template>
