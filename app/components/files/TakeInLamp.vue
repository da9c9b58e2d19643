<script setup lang="ts">
import type { FileAnswer } from '~/composables/useTakeIn'

/** What taking a file in would do, and the one button that does it. */
const { name, answer, busy } = defineProps<{ name: string; answer: FileAnswer; busy: boolean }>()
const emit = defineEmits<{ write: []; drop: [] }>()
const good = computed(() => answer.counts.new + answer.counts.fills)
const would = computed(() =>
  [
    answer.customers > 0 ? counted(answer.customers, 'new customer') : '',
    answer.machines > 0 ? counted(answer.machines, 'new machine') : '',
    answer.counts.fills > 0 ? `${counted(answer.counts.fills, 'line')} that fill a gap` : '',
    answer.counts.known > 0 ? `${answer.counts.known} known already` : '',
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <section class="lamp-field p-4" aria-live="polite" data-testid="take-in-lamp">
    <h2 class="text-[1.35rem]" data-testid="lamp-title">
      {{ good === 0 ? `Nothing in ${name} is new` : `${counted(good, 'line')} of ${name} can go in` }}
    </h2>
    <p v-if="would">{{ would }}.</p>
    <p v-if="answer.counts.bad > 0" class="font-bold" data-testid="bad-count">
      {{ answer.counts.bad === 1 ? '1 line stays out' : `${answer.counts.bad} lines stay out` }}: see below.
    </p>
    <p v-if="good > 0">Nothing is written yet. What the shop knows stands; only gaps are filled.</p>
    <div class="mt-3 flex flex-wrap gap-3">
      <button
        v-if="good > 0"
        type="button"
        class="button button-lit"
        :disabled="busy"
        data-testid="take-in"
        @click="emit('write')"
      >
        Take in {{ counted(good, 'line') }}
      </button>
      <button type="button" class="button" @click="emit('drop')">Another file</button>
    </div>
  </section>
</template>
