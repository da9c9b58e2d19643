<script setup lang="ts">
import { KINDS } from '#core/knowledge/vocabulary'
import { DUE_DAYS, type PumpFilter } from '#core/pumps/pump-query'

/** Which machines are meant, as a sentence whose parts can be chosen; what is typed narrows the same. */
const { filter } = defineProps<{ filter: PumpFilter }>()
const query = defineModel<string>('query', { required: true })
const kind = defineModel<string>('kind', { required: true })

const AGES = [5, 8, 10, 15]
const VERDICTS: Readonly<Record<string, string>> = {
  sound: 'that last read sound',
  tired: 'that last read tired',
  failed: 'that last failed',
  'not checked': 'never checked',
}
const verdict = computed(() => (filter.verdict === 'none' ? 'not checked' : (filter.verdict ?? '')))
/** The typed line says it: one place where a search is kept, and an address that is the whole of it. */
function say(old: RegExp, words: string): void {
  query.value = `${query.value.replace(old, ' ')} ${words}`.replaceAll(/\s+/g, ' ').trim()
}
const value = (event: Event) => (event.target as HTMLSelectElement).value
</script>

<template>
  <p class="flex flex-wrap items-center gap-x-2 text-[1.02rem]">
    <span>Pumps of</span
    ><select v-model="kind" class="choice" aria-label="kind" data-testid="filter-kind">
      <option value="">any kind</option>
      <option v-for="(label, id) in KINDS" :key="id" :value="id">{{ label }}</option></select
    ><select
      class="choice"
      aria-label="age"
      data-testid="filter-age"
      :value="filter.overYears ?? ''"
      @change="say(/\bover \d{1,2} years?\b/i, value($event) ? `over ${value($event)} years` : '')"
    >
      <option value="">any age</option>
      <option v-for="years in AGES" :key="years" :value="years">over {{ years }} years</option>
      <option v-if="filter.overYears && !AGES.includes(filter.overYears)" :value="filter.overYears">
        over {{ filter.overYears }} years
      </option></select
    ><select
      class="choice"
      aria-label="due"
      data-testid="filter-due"
      :value="filter.dueWithin ? 'due' : ''"
      @change="say(/\bdue\b/i, value($event))"
    >
      <option value="">due or not</option>
      <option value="due">due within {{ DUE_DAYS }} days</option></select
    ><select
      class="choice"
      aria-label="last verdict"
      data-testid="filter-verdict"
      :value="verdict"
      @change="say(/\b(sound|tired|failed|not checked)\b/i, value($event))"
    >
      <option value="">whatever they last read</option>
      <option v-for="(label, id) in VERDICTS" :key="id" :value="id">{{ label }}</option>
    </select>
  </p>
</template>

<style scoped>
.choice {
  min-height: 48px;
  padding-inline: 0.2rem;
  border: 0;
  border-bottom: 2px solid var(--ink);
  background: var(--paper);
  max-width: 100%;
  /* As wide as what it says, where the browser can. */
  field-sizing: content;
}
</style>
