<script setup lang="ts">
const { lit = undefined } = defineProps<{ lit?: string }>()
const emit = defineEmits<{ part: [part: string]; correct: [entryId: string, line: string]; photo: [entryId: string] }>()
</script>

<template>
  <div class="px-5 pt-3 pb-4">
    <PumpCutaway :lit="lit" @part="(part) => emit('part', part)" />
    <JournalList @correct="(id, line) => emit('correct', id, line)" @photo="(id) => emit('photo', id)" />
  </div>
</template>
