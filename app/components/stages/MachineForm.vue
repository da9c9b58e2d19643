<script setup lang="ts">
import { CONSTRUCTIONS, KIND_CONSTRUCTIONS, KINDS, MOTOR_TYPES } from '#core/knowledge/vocabulary'
import type { Machine } from '#core/visit/entry'
import type { Nameplate } from '#core/motor/nameplate'
import { PLACE_FIELDS, placeLabel, placeText, readPlace } from '~/utils/place-form'
import { emptyToUndefined, PLATE_FIELDS, readPlate, plateText } from '~/utils/plate-form'

const { visit, state } = useVisitContext()
const machine = computed(() => state.value.machine)
const text = reactive<Record<string, string>>(plateText(machine.value.nameplate))
const { system: units } = useUnits()
const placeFields = computed(() => PLACE_FIELDS.filter(({ kinds }) => kinds.includes(machine.value.kind)))
const place = reactive<Record<string, string>>(placeText(machine.value.installation, units.value))
watch(units, () => Object.assign(place, placeText(machine.value.installation, units.value)))
const details = reactive({
  installedOn: machine.value.installedOn ?? '',
  warrantyUntil: machine.value.warrantyUntil ?? '',
})
const problems = ref<Record<string, string>>({})
const { problemsOf } = useEntryRules()

function write(change: Partial<Machine> = {}): void {
  const read = readPlate(text)
  const around = readPlace(place, machine.value.kind, units.value, machine.value.installation)
  problems.value = { ...read.problems, ...around.problems }
  if (Object.keys(problems.value).length > 0) return
  const installation = Object.keys(around.installation).length > 0 ? around.installation : undefined
  const shown = new Set<string>(PLATE_FIELDS.map(({ key }) => key))
  const unshown = Object.fromEntries(Object.entries(machine.value.nameplate).filter(([key]) => !shown.has(key)))
  const nameplate = { ...unshown, ...read.plate } as Nameplate
  const next = emptyToUndefined({ ...machine.value, ...details, nameplate, installation, ...change })
  if (JSON.stringify(next) === JSON.stringify(machine.value)) return
  const refused = Object.entries(problemsOf('machine-set', { machine: next }))
  problems.value = Object.fromEntries(refused.map(([path, expected]) => [fieldOf(path), expected]))
  if (refused.length === 0) visit.append('machine-set', { machine: next })
}
/** The field that a path of the line is written in; `other` where it is none of this form's. */
function fieldOf(path: string): string {
  return path.split('.').find((name) => name in text || name in place || name in details) ?? 'other'
}
function setMotorType(event: Event): void {
  const motorType = (event.target as HTMLSelectElement).value as Nameplate['motorType'] | ''
  const { motorType: _old, ...rest } = machine.value.nameplate
  write({ nameplate: motorType ? { ...rest, motorType } : rest })
}
</script>

<template>
  <section aria-labelledby="plate" class="border-t border-rule pt-4">
    <h2 id="plate" class="mb-1 text-xl">The machine and its plate</h2>
    <p class="mb-3 text-slate">{{ machine.name }} · {{ KINDS[machine.kind] }}</p>
    <div class="grid grid-cols-2 gap-3 lg:grid-cols-4">
      <label class="col-span-2"
        ><span class="label">Construction</span>
        <select
          class="field"
          :value="machine.construction"
          @change="write({ construction: ($event.target as HTMLSelectElement).value as Machine['construction'] })"
        >
          <option v-for="id in KIND_CONSTRUCTIONS[machine.kind]" :key="id" :value="id">{{ CONSTRUCTIONS[id] }}</option>
        </select>
      </label>
      <label class="col-span-2"
        ><span class="label">Motor type</span>
        <select class="field" :value="machine.nameplate.motorType ?? ''" @change="setMotorType">
          <option value="">cannot be read</option>
          <option v-for="(label, id) in MOTOR_TYPES" :key="id" :value="id">{{ label }}</option>
        </select>
      </label>
      <label v-for="field in PLATE_FIELDS" :key="field.key">
        <span class="label">{{ field.label }}</span>
        <input
          v-model="text[field.key]"
          class="field number"
          :inputmode="field.range ? 'text' : 'decimal'"
          :aria-invalid="problems[field.key] ? true : undefined"
          :placeholder="field.key === 'volts' ? '230' : 'not read'"
          @change="write()"
        />
        <span v-if="problems[field.key]" class="text-[0.9rem] text-rust" role="alert">{{ problems[field.key] }}</span>
      </label>
      <label
        ><span class="label">Installed on</span
        ><input v-model="details.installedOn" type="date" class="field" @change="write()" /><span
          v-if="problems.installedOn"
          class="text-[0.9rem] text-rust"
          role="alert"
          >{{ problems.installedOn }}</span
        ></label
      >
      <label
        ><span class="label">Warranty until</span
        ><input v-model="details.warrantyUntil" type="date" class="field" @change="write()" /><span
          v-if="problems.warrantyUntil"
          class="text-[0.9rem] text-rust"
          role="alert"
          >{{ problems.warrantyUntil }}</span
        ></label
      >
    </div>
    <p v-if="problems.other" class="mt-2 text-rust" role="alert">{{ problems.other }}</p>
    <h3 class="mt-4 mb-1 text-[1.05rem]">The place</h3>
    <div class="grid grid-cols-2 gap-3 lg:grid-cols-4" data-testid="place">
      <label v-for="field in placeFields" :key="field.key" :class="{ 'col-span-2': field.measure === 'curve' }">
        <span class="label">{{ placeLabel(field, units) }}</span>
        <input
          v-model="place[field.key]"
          class="field number"
          :inputmode="field.measure === 'curve' || field.measure === 'gauge' ? 'text' : 'decimal'"
          :aria-invalid="problems[field.key] ? true : undefined"
          :placeholder="field.measure === 'curve' ? '0 at 260, 10 at 180' : 'not known'"
          :data-testid="`place-${field.key}`"
          @change="write()"
        />
        <span v-if="problems[field.key]" class="text-[0.9rem] text-rust" role="alert">{{ problems[field.key] }}</span>
      </label>
    </div>
    <button
      type="button"
      class="toggle mt-3"
      :aria-pressed="machine.plateUnreadable === true"
      @click="write({ plateUnreadable: !machine.plateUnreadable })"
    >
      the plate cannot be read
    </button>
    <details class="mt-3" :open="state.plate.assumed.length > 0">
      <summary class="min-h-12 py-2 font-bold">
        Assumed, where the plate does not say ({{ state.plate.assumed.length }})
      </summary>
      <ul class="ml-5 list-disc text-[0.95rem]" data-testid="assumed">
        <li v-for="sentence in state.plate.assumed" :key="sentence">{{ sentence }}</li>
      </ul>
    </details>
  </section>
</template>
