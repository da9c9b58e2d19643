<script setup lang="ts">
/** Another order would be better: what it is better by, taken or left. Nothing moves before somebody says so. */
const { words, isProved } = defineProps<{ words: string[]; isProved: boolean }>()
const emit = defineEmits<{ take: []; leave: [] }>()
</script>

<template>
  <section
    class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule bg-sheet px-4 py-2"
    data-testid="better"
  >
    <p class="min-w-0 grow basis-72">
      <strong>{{ isProved ? 'The best order' : 'A better order' }}: {{ words.slice(0, 2).join(', ') }}. </strong>
      <span v-if="words.length > 2" class="text-slate"> {{ words.slice(2).join('; ') }}.</span>
    </p>
    <span class="flex gap-2"
      ><button type="button" class="button" data-testid="take-best" @click="emit('take')">Put it so</button
      ><button type="button" class="button button-quiet" data-testid="leave-order" @click="emit('leave')">
        Leave it
      </button></span
    >
  </section>
</template>
