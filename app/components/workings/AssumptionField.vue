<script setup lang="ts">
import type { Field } from '#core/questions/fields'
import { unitOf } from '#core/quantity/measures'

/** One assumption, changed where it stands. */
const {
  field,
  value,
  source = undefined,
  refused = undefined,
} = defineProps<{ field: Field; value: unknown; source?: string; refused?: string }>()
const emit = defineEmits<{ set: [value: unknown]; misread: [problem: string] }>()
const { system } = useUnits()
const text = ref('')
const problem = ref('')
const writing = ref(false)
watch(
  [() => value, system, () => field],
  () => {
    if (writing.value) return
    text.value = fieldText(field, value, system.value)
    problem.value = ''
  },
  { immediate: true },
)
// However it came or went: written, pulled in the picture, read in other units.
watch(problem, (now) => emit('misread', now))
function read(): void {
  const found = readField(field, text.value, system.value)
  problem.value = found.problem ?? ''
  if (!found.problem) emit('set', found.value)
}
function settle(): void {
  writing.value = false
  if (!problem.value) text.value = fieldText(field, value, system.value)
}
const unit = computed(() =>
  field.as === 'number'
    ? unitOf(field.measure, system.value)
    : field.as === 'curve'
      ? `${unitOf('flow', system.value)} at ${unitOf('head', system.value)}`
      : '',
)
const said = computed(() => problem.value || refused)
</script>

<template>
  <label
    class="row"
    :class="{ 'is-long': field.as === 'curve' || field.as === 'stock' }"
    :data-testid="`assume-${field.name}`"
  >
    <span class="name"
      >{{ field.label }}<span v-if="source" class="block text-[0.85rem] text-river">{{ source }}</span
      ><span v-else-if="field.hint" class="block text-[0.85rem] text-slate">{{ field.hint }}</span></span
    >
    <select
      v-if="field.as === 'choice'"
      :value="String(value)"
      class="field entry"
      @change="emit('set', ($event.target as HTMLSelectElement).value)"
    >
      <option v-for="choice in field.choices" :key="choice.id" :value="choice.id">{{ choice.label }}</option>
    </select>
    <span v-else class="entry flex items-center gap-2"
      ><input
        v-model="text"
        class="field number"
        :class="{ 'is-wrong': said }"
        :inputmode="field.as === 'number' ? 'decimal' : 'text'"
        :aria-invalid="said ? true : undefined"
        autocomplete="off"
        @focus="writing = true"
        @input="read"
        @blur="settle"
        @keydown.enter="($event.target as HTMLInputElement).blur()"
      /><span class="number w-16 shrink-0 text-[0.9rem] text-slate" :class="{ 'sr-only': field.as !== 'number' }">{{
        unit
      }}</span></span
    >
    <span v-if="said" class="said" role="alert">{{ said }}</span>
  </label>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 13rem);
  align-items: center;
  gap: 0.2rem 0.8rem;
  padding: 4px 0;
}
.is-long {
  grid-template-columns: minmax(0, 1fr);
}
.name {
  line-height: 1.2;
}
.said {
  grid-column: 1 / -1;
  color: var(--rust);
  font-weight: 700;
  font-size: 0.92rem;
}
.is-wrong {
  border-color: var(--rust);
  border-width: 2.5px;
}
select.field {
  padding-right: 0.3rem;
}
</style>
