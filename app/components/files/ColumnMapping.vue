<script setup lang="ts">
import {
  REGISTER_FIELD_IDS,
  REGISTER_FIELDS,
  type FieldMapping,
  type FieldSource,
  type RegisterFieldId,
} from '#core/pumps/register-fields'

/** Which column of a table says what, or one text for all lines. */
const { mapping, heads, samples } = defineProps<{ mapping: FieldMapping; heads: string[]; samples: string[][] }>()
const emit = defineEmits<{ change: [mapping: FieldMapping] }>()
/** What most tables say; the others are shown when they are asked for. */
const FIRST: readonly RegisterFieldId[] = ['customer', 'place', 'phone', 'machine', 'kind', 'volts']
const [NONE, TEXT] = ['', 'text']
const isOpen = ref(false)
const shown = computed(() =>
  REGISTER_FIELD_IDS.filter((id) => isOpen.value || FIRST.includes(id) || mapping[id] !== undefined),
)
function chosen(source: FieldSource | undefined): string {
  if (!source) return NONE
  return 'column' in source ? String(source.column) : TEXT
}
function sampleOf(source: FieldSource | undefined): string {
  return source && 'column' in source ? (samples[source.column] ?? []).filter(Boolean).join(' · ') : ''
}
function set(id: RegisterFieldId, source: FieldSource | undefined): void {
  const { [id]: _, ...others } = mapping
  emit('change', source ? { ...others, [id]: source } : others)
}
function choose(id: RegisterFieldId, value: string): void {
  set(id, value === NONE ? undefined : value === TEXT ? { text: '' } : { column: Number(value) })
}
</script>

<template>
  <section aria-labelledby="mapping-title" data-testid="mapping">
    <h2 id="mapping-title" class="text-[1.1rem]">Which column says what</h2>
    <ul class="mt-1">
      <li v-for="id in shown" :key="id" class="field-row">
        <label :for="`from-${id}`">{{ REGISTER_FIELDS[id].label }}</label>
        <select
          :id="`from-${id}`"
          class="field"
          :value="chosen(mapping[id])"
          :data-testid="`from-${id}`"
          @change="choose(id, ($event.target as HTMLSelectElement).value)"
        >
          <option :value="NONE">not in the file</option>
          <option :value="TEXT">the same for all lines</option>
          <option v-for="(head, column) in heads" :key="column" :value="String(column)">
            {{ head || `column ${column + 1}` }}
          </option>
        </select>
        <input
          v-if="chosen(mapping[id]) === TEXT"
          class="field"
          maxlength="200"
          :value="(mapping[id] as { text: string }).text"
          :aria-label="`${REGISTER_FIELDS[id].label}, the same for all lines`"
          :data-testid="`text-${id}`"
          @change="set(id, { text: ($event.target as HTMLInputElement).value })"
        /><span v-else class="truncate text-slate">{{ sampleOf(mapping[id]) }}</span>
      </li>
    </ul>
    <button type="button" class="button button-quiet" @click="isOpen = !isOpen">
      {{ isOpen ? 'Only what is in it' : 'All fields' }}
    </button>
  </section>
</template>

<style scoped>
.field-row {
  display: grid;
  grid-template-columns: 10rem 15rem minmax(0, 1fr);
  gap: 0.3rem 1rem;
  align-items: center;
  padding-block: 0.3rem;
  border-top: 1px solid var(--rule);
}
@media (max-width: 700px) {
  .field-row {
    grid-template-columns: 8rem minmax(0, 1fr);
  }
  .field-row > :nth-child(3) {
    grid-column: 2;
  }
}
</style>
