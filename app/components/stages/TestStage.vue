<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import type { NextCheck } from '#core/diagnosis/diagnose'

const { lit = undefined, litCheck = undefined } = defineProps<{ lit?: string; litCheck?: NextCheck }>()
const emit = defineEmits<{
  part: [part: string]
  ask: [line: string]
  correct: [entryId: string, line: string]
  photo: [entryId: string]
}>()
const VIEWS = { section: 'Section', wiring: 'Wiring' } as const
const view = ref<keyof typeof VIEWS>('section')
</script>

<template>
  <div class="px-5 pt-3 pb-4">
    <RadioGroup v-model="view" class="flex gap-2" aria-label="how the machine is shown">
      <RadioGroupOption v-for="(label, id) in VIEWS" :key="id" v-slot="{ checked }" :value="id" as="template"
        ><button type="button" class="toggle" :aria-checked="checked" :data-testid="`show-${id}`">
          {{ label }}
        </button></RadioGroupOption
      >
    </RadioGroup>
    <PumpCutaway v-if="view === 'section'" :lit="lit" @part="(part) => emit('part', part)" />
    <WiringView v-else class="mt-3" :lit="litCheck" @ask="(line) => emit('ask', line)" />
    <JournalList @correct="(id, line) => emit('correct', id, line)" @photo="(id) => emit('photo', id)" />
  </div>
</template>
