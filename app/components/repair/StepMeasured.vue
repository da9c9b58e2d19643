<script setup lang="ts">
import { readNumber } from '#core/quantity/read-number'
import { formatNumber } from '#core/quantity/format'
import { fromShown, toShown, unitOf, type Measure } from '#core/quantity/measures'
import { isMeasurable, type CONDITION_BOUNDS } from '#core/takedown/conditions'
import type { TakeDownStep } from '#core/takedown/plan'

/** What this step’s time or its next step hangs on, asked where it is met: the gap, the pipe, the cold, a hot shell. */
const { step } = defineProps<{ step: TakeDownStep }>()
const { visit, state } = useVisitContext()
type Measured = keyof typeof CONDITION_BOUNDS
const { system } = useUnits()
interface Field {
  label: string
  /** In which of the reader's units it is written; pipe goes by its nominal inches everywhere. */
  measure?: Measure
  usual: number
}
const FIELDS: Record<Measured, Field> = {
  bearingClearanceMm: { label: 'clearance on the shaft', measure: 'bore', usual: 0.05 },
  outletHigherMm: { label: 'new outlet higher by (− if lower)', measure: 'bore', usual: 38 },
  pipeInches: { label: 'pipe, nominal in', usual: 1.5 },
  celsius: { label: 'cold', measure: 'temperature', usual: 12 },
}
const inUnits = ({ measure }: Field, value: number) => (measure ? toShown(value, measure, system.value) : value)
const shown = (field: Field, value: number) => shortNumber(inUnits(field, value))
const hint = (field: Measured) => formatNumber(inUnits(FIELDS[field], FIELDS[field].usual))
const kept = ({ measure }: Field, value: number) => (measure ? fromShown(value, measure, system.value) : value)
const label = (field: Measured) => {
  const { label: words, measure } = FIELDS[field]
  return measure ? `${words}, ${unitOf(measure, system.value)}` : words
}
const asked = computed<Measured[]>(() =>
  step.id === 'work:bearings:fit-check'
    ? ['bearingClearanceMm']
    : step.id === 'work:pump:height'
      ? ['outletHigherMm', 'pipeInches', 'celsius']
      : step.joint === 'glued-pipe' || step.id === 'work:pump:outlet'
        ? ['pipeInches', 'celsius']
        : [],
)
/** What is so or not so: said by one press. */
const said = computed(() =>
  step.id === 'down:cool'
    ? { field: 'hot' as const, off: 'A hand cannot rest on it', on: 'It is hot: half an hour runs' }
    : step.id === 'work:bearings:pull-drive'
      ? { field: 'oneBearing' as const, off: 'Only one is bad', on: 'One only; the other stays' }
      : undefined,
)
/** What was measured already, as its field shows it. */
const before = (field: Measured) => {
  const value = state.value.measured[field]
  return value === undefined ? '' : shown(FIELDS[field], value)
}
const typed = ref<Partial<Record<Measured, string>>>({})
watch(
  [() => step.id, system],
  () => {
    typed.value = Object.fromEntries(asked.value.map((field) => [field, before(field)]))
  },
  { immediate: true },
)
const problem = ref('')
/** In core's unit; what stands there unchanged keeps its exact value. */
function read(field: Measured, text: string): number {
  const known = state.value.measured[field]
  return known !== undefined && text === before(field) ? known : kept(FIELDS[field], readNumber(text) ?? Number.NaN)
}
function write(): void {
  const numbers = asked.value.flatMap((field) => {
    const text = typed.value[field]?.trim()
    return text ? [[field, read(field, text)] as const] : []
  })
  const wrong = numbers.find(([field, value]) => !isMeasurable(field, value))
  problem.value = wrong
    ? `${label(wrong[0])}: a number such as ${hint(wrong[0])}.`
    : numbers.length === 0
      ? 'Write one of them.'
      : ''
  if (!problem.value) visit.append('take-down-measured', Object.fromEntries(numbers))
}
</script>

<template>
  <form v-if="asked.length > 0" class="grid gap-2" data-testid="step-measured" @submit.prevent="write">
    <div class="flex flex-wrap items-end gap-2">
      <label
        v-for="field in asked"
        :key="field"
        class="min-w-24 flex-1"
        :class="{ 'basis-full': field === 'outletHigherMm' }"
        ><span class="label">{{ label(field) }}</span
        ><input v-model="typed[field]" class="field number" inputmode="text" :placeholder="hint(field)" /></label
      ><button type="submit" class="button">Measured</button>
    </div>
    <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
  </form>
  <button
    v-else-if="said"
    type="button"
    class="toggle"
    :aria-pressed="state.measured[said.field] === true"
    data-testid="step-said"
    @click="visit.append('take-down-measured', { [said.field]: state.measured[said.field] !== true })"
  >
    {{ state.measured[said.field] ? said.on : said.off }}
  </button>
</template>
