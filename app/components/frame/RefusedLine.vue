<script setup lang="ts">
import { entryWords } from '#core/visit/describe'
import type { Refusal, WaitingLine } from '~/utils/waiting-lines'

/** A line that the shop refuses: what it says, why it is not kept, and what can be done. */
const { line } = defineProps<{ line: WaitingLine & { refusal: Refusal } }>()
const { reader } = useUnits()
const emit = defineEmits<{ change: []; drop: [] }>()
</script>

<template>
  <div class="notice bg-rust" data-testid="refused">
    <p class="min-w-0">
      <strong>Not kept at the shop: {{ entryWords(line.entry, reader) }}.</strong>
      {{ refusalWords(line.refusal.title, line.refusal.problems) }}
    </p>
    <button type="button" class="notice-act" data-testid="change-refused" @click="emit('change')">Change</button>
    <button type="button" class="notice-act" data-testid="drop-refused" @click="emit('drop')">Drop</button>
  </div>
</template>
