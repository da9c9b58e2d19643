<script setup lang="ts">
import { VERDICT_WORDS, type Verdict } from '#core/judgement/judgement'

/** A part is a little tank: full, half, broken open, dotted. Never colour alone. */
const {
  verdict = undefined,
  size = 22,
  worded = false,
} = defineProps<{ verdict?: Verdict; size?: number; worded?: boolean }>()
const word = computed(() => (verdict ? VERDICT_WORDS[verdict] : 'not checked'))
const colour = computed(
  () =>
    ({
      sound: 'var(--moss)',
      tired: 'var(--ochre)',
      failed: 'var(--rust)',
      unclear: 'var(--slate)',
      none: 'var(--slate)',
    })[verdict ?? 'none'],
)
</script>

<template>
  <span class="inline-flex items-center gap-2 whitespace-nowrap" :style="{ color: colour }">
    <svg :width="size" :height="size" viewBox="0 0 22 22" fill="none" role="img" :aria-label="word" class="shrink-0">
      <template v-if="verdict === 'sound'">
        <circle cx="11" cy="11" r="9.500" fill="currentColor" />
        <path d="M6 7.500h10" stroke="var(--paper)" stroke-width="2" />
      </template>
      <template v-else-if="verdict === 'tired'">
        <circle cx="11" cy="11" r="8.700" stroke="currentColor" stroke-width="2" />
        <path d="M2.300 11a8.700 8.700 0 0 0 17.400 0Z" fill="currentColor" />
      </template>
      <template v-else-if="verdict === 'failed'">
        <path d="M15.500 3.600A8.700 8.700 0 1 0 19.500 9.200" stroke="currentColor" stroke-width="2.200" />
        <path d="m7 15 11.500-12" stroke="currentColor" stroke-width="2.200" />
      </template>
      <template v-else>
        <circle cx="11" cy="11" r="8.700" stroke="currentColor" stroke-width="2" stroke-dasharray="2.600 2.860" />
        <circle v-if="verdict === 'unclear'" cx="11" cy="11" r="2.600" fill="currentColor" />
      </template>
    </svg>
    <strong v-if="worded">{{ word }}</strong>
  </span>
</template>
