<script setup lang="ts">
/** In the place of a lamp that would rank the causes already: the way on. */
const { stage } = defineProps<{ stage: 'call' | 'prepare' }>()
const end = useStageEnd()
</script>

<template>
  <section class="border-b border-rule px-5 py-4">
    <p class="mb-3">
      {{
        stage === 'call'
          ? 'What was said, and what the plate says: is there anything in it that cannot be so?'
          : 'What is loaded now saves a second journey. What may it be?'
      }}
    </p>
    <button type="button" class="button w-full" data-testid="stage-end" @click="end(stage)">
      {{ stage === 'call' ? 'The call is taken' : 'On the way' }}
    </button>
  </section>
</template>
