<script setup lang="ts">
import type { Spec, SpecField } from '#core/knowledge/fits/family'
import { FAMILIES, type FamilyId } from '#core/knowledge/fits/families'
import { unitOf } from '#core/quantity/measures'

/** The measures of a family, in the reader’s units; what is left empty was not read. */
const { family, spec } = defineProps<{ family: FamilyId; spec: Spec }>()
const emit = defineEmits<{ change: [spec: Spec] }>()
const { system } = useUnits()
const fields = computed(() => Object.entries(FAMILIES[family].fields) as [string, SpecField][])
/** Typed and no measure: said at its field, and kept nowhere. */
const wrong = ref<Record<string, string>>({})
function set(name: string, value: number | string | undefined): void {
  const rest = Object.fromEntries(Object.entries(spec).filter(([other]) => other !== name))
  emit('change', value === undefined ? rest : { ...rest, [name]: value })
}
function type(name: string, field: SpecField, event: Event): void {
  const { value } = event.target as HTMLInputElement
  wrong.value = { ...wrong.value, [name]: '' }
  if (field.as !== 'number') return set(name, value.trim() || undefined)
  const read = readMeasure(value, field, system.value)
  const isWrong = read !== undefined && !(read > (field.above ?? -Infinity) && read <= field.max)
  if (isWrong) wrong.value = { ...wrong.value, [name]: `${value}: a number, such as 12.5 or 5/8` }
  else set(name, read)
}
const shown = (name: string, field: SpecField) => {
  const value = spec[name]
  return value === undefined ? '' : field.as === 'number' ? shownMeasure(Number(value), field, system.value) : value
}
const unit = (field: SpecField) => (field.as === 'number' ? unitOf(field.measure, system.value) : '')
</script>

<template>
  <div class="grid grid-cols-2 items-end gap-x-4 gap-y-2 lg:grid-cols-3" data-testid="spec-fields">
    <label v-for="[name, field] in fields" :key="name" class="block">
      <span class="label"
        >{{ field.label }}<template v-if="unit(field)">, {{ unit(field) }}</template></span
      >
      <select
        v-if="field.as === 'choice'"
        class="field"
        :value="spec[name] ?? ''"
        :data-testid="`spec-${name}`"
        @change="set(name, ($event.target as HTMLSelectElement).value || undefined)"
      >
        <option value="">not read</option>
        <option v-for="each in field.choices" :key="each.id" :value="each.id">{{ each.label }}</option>
      </select>
      <input
        v-else
        class="field number"
        :value="shown(name, field)"
        :inputmode="field.as === 'number' ? 'text' : undefined"
        autocomplete="off"
        :aria-invalid="wrong[name] ? 'true' : undefined"
        :data-testid="`spec-${name}`"
        @change="type(name, field, $event)"
      />
      <span v-if="wrong[name]" role="alert" class="text-rust">{{ wrong[name] }}</span>
    </label>
  </div>
</template>
