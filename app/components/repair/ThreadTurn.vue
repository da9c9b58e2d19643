<script setup lang="ts">
/** The turn as an arrow and in words: a left-handed thread is where hands go wrong. */
const { turn, hand = 'right' } = defineProps<{ turn: 'clockwise' | 'counter-clockwise'; hand?: 'right' | 'left' }>()
</script>

<template>
  <div class="flex min-w-0 flex-1 items-center gap-3" data-testid="thread-turn">
    <svg
      viewBox="0 0 84 84"
      width="56"
      height="56"
      fill="none"
      stroke="currentColor"
      stroke-width="2"
      aria-hidden="true"
      :style="turn === 'counter-clockwise' ? { transform: 'scaleX(-1)' } : undefined"
    >
      <circle cx="42" cy="44" r="34" />
      <circle cx="42" cy="44" r="14" />
      <path d="m42 35 8 4.500v9l-8 4.500-8-4.500v-9Z" />
      <path d="M10 40A33 33 0 0 1 68 22" stroke-width="6" />
      <path d="M60 10 74 27 54 29Z" fill="currentColor" stroke="none" />
    </svg>
    <p>
      <strong class="text-lg">{{ turn }}</strong><br />{{ hand === 'left' ? 'left-handed' : 'right-handed' }}, seen from
      its head
    </p>
  </div>
</template>
