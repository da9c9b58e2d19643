<script setup lang="ts">
import type { Verdict } from '#core/judgement/judgement'
import { monthWords } from '#core/quantity/day'
import { historyText } from '#core/visit/history'
import { pathOf } from '~/composables/useFound'
import type { FoundLine } from '~/utils/pumps-found'

/** One thing that was found, with what of it was asked for. */
const { line, words, lit } = defineProps<{ line: FoundLine; words: readonly string[]; lit: boolean }>()
const { reader } = useUnits()
const label = computed(() => {
  if (line.reading) return historyText(line.reading, reader.value)
  return line.what === 'note' ? `“${line.label}”` : line.label
})
const when = computed(() => (line.on ? monthWords(line.on) : ''))
</script>

<template>
  <NuxtLink :to="pathOf(line)" class="row" :class="{ 'is-lit': lit }" :data-testid="`found-${line.what}`"
    ><strong class="truncate"><MatchedText :text="label" :words="words" /></strong
    ><span class="truncate about"><MatchedText :text="line.about" :words="words" /></span
    ><span class="number when">{{ when }}</span
    ><StateMark v-if="line.what === 'machine' || line.what === 'finding'" :verdict="line.verdict as Verdict" :size="20"
  /></NuxtLink>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 4fr) minmax(0, 6fr) auto 22px;
  gap: 0 1rem;
  align-items: center;
  min-height: 52px;
  padding-inline: 0.7rem;
  color: inherit;
  text-decoration: none;
  border-bottom: 1px solid var(--rule);
}
.row:hover {
  background: color-mix(in srgb, var(--metal) 45%, transparent);
}
.is-lit {
  outline: 3px solid var(--river);
  outline-offset: -3px;
}
.about {
  color: var(--slate);
}
.when {
  text-align: right;
  color: var(--slate);
  font-size: 0.9rem;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: minmax(0, 1fr) auto;
    padding-block: 0.4rem;
  }
  .about {
    grid-row: 2;
  }
}
</style>
