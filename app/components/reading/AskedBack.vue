<script setup lang="ts">
import type { Ask } from '#core/language/understanding'

/** The question that a line raises: its answers are numbered, for a digit or a tap. */
const { ask, insisted } = defineProps<{ ask: Ask; insisted: boolean }>()
const emit = defineEmits<{ choose: [index: number] }>()
</script>

<template>
  <div role="group" :aria-label="ask.question" data-testid="asked">
    <p :class="{ 'font-bold': insisted }">{{ ask.question }}</p>
    <p class="mt-1 flex flex-wrap gap-2">
      <button
        v-for="(choice, index) in ask.choices"
        :key="choice.label"
        type="button"
        class="button"
        @click="emit('choose', index)"
      >
        <span v-if="index < 9" class="number text-[0.82rem] text-slate" aria-hidden="true">{{ index + 1 }}</span>{{
          choice.label
        }}
      </button>
    </p>
    <p v-if="insisted" class="mt-1 text-[0.82rem] text-slate">
      Nothing is kept before it is answered: tap one, or press its digit.
    </p>
  </div>
</template>
