<script setup lang="ts">
import { CONSTRUCTIONS, KIND_CONSTRUCTIONS, KINDS, MOTOR_TYPES, type MotorType } from '#core/knowledge/vocabulary'
import type { Nameplate } from '#core/motor/nameplate'
import type { Customer, Machine, Site } from '#core/visit/entry'
import { emptyToUndefined, PLATE_FIELDS, plateText, readPlate } from '~/utils/plate-form'

/** A machine put right: what it is, whose it is, where it stands, what its plate says. */
const { machine, customer, sites, open } = defineProps<{
  machine: Machine
  customer: Customer
  sites: readonly Site[]
  open: readonly string[]
}>()
const emit = defineEmits<{ saved: []; cancel: [] }>()
const register = useRegister()
const form = reactive({
  name: machine.name,
  kind: machine.kind,
  construction: machine.construction,
  siteId: machine.siteId ?? '',
  installedOn: machine.installedOn ?? '',
  warrantyUntil: machine.warrantyUntil ?? '',
  motorType: machine.nameplate.motorType ?? '',
})
const plate = reactive<Record<string, string>>(plateText(machine.nameplate))
const owner = ref<Customer>()
const moving = ref(false)
const problems = ref<Record<string, string>>({})
const trouble = ref('')
watch(
  () => form.kind,
  (kind) => {
    if (!KIND_CONSTRUCTIONS[kind].includes(form.construction as never))
      form.construction = KIND_CONSTRUCTIONS[kind][0] as Machine['construction']
  },
)

/** The machine as the form says it; what the form does not show stays. */
function asWritten(): Machine {
  const read = readPlate(plate)
  problems.value = read.problems
  const shown = new Set<string>([...PLATE_FIELDS.map(({ key }) => key), 'motorType'])
  const unshown = Object.fromEntries(Object.entries(machine.nameplate).filter(([key]) => !shown.has(key)))
  const { motorType, ...said } = form
  const nameplate = {
    ...unshown,
    ...read.plate,
    ...(motorType ? { motorType: motorType as MotorType } : {}),
  } as Nameplate
  // Another owner has other places.
  const siteId = owner.value ? '' : said.siteId
  return emptyToUndefined({ ...machine, ...said, siteId, name: said.name.trim(), nameplate })
}
async function save(): Promise<void> {
  trouble.value = ''
  const next = asWritten()
  if (Object.keys(problems.value).length > 0) return
  problems.value = Object.fromEntries(
    Object.entries(await register.checked('machine-set', { machine: next })).map(([path, expected]) => [
      path.split('.').at(-1) as string,
      path === 'machine.name' ? 'A name to find it by is needed.' : expected,
    ]),
  )
  if (Object.keys(problems.value).length > 0) return
  try {
    await register.correctMachine(machine, next, owner.value ?? customer, open)
    emit('saved')
  } catch {
    trouble.value = 'The server does not answer, and open visits have to be corrected with it. Nothing was changed.'
  }
}
</script>

<template>
  <form class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4" novalidate data-testid="machine-form" @submit.prevent="save">
    <TextField v-model="form.name" class="col-span-2" label="Called" :problem="problems.name" test="machine-name" />
    <label class="col-span-2"
      ><span class="label">Kind</span
      ><select v-model="form.kind" class="field" data-testid="machine-kind">
        <option v-for="(label, id) in KINDS" :key="id" :value="id">{{ label }}</option>
      </select></label
    >
    <label class="col-span-2"
      ><span class="label">Construction</span
      ><select v-model="form.construction" class="field">
        <option v-for="id in KIND_CONSTRUCTIONS[form.kind]" :key="id" :value="id">{{ CONSTRUCTIONS[id] }}</option>
      </select></label
    >
    <label class="col-span-2"
      ><span class="label">Stands at</span
      ><select v-model="form.siteId" class="field" :disabled="owner !== undefined">
        <option value="">{{ customer.place || 'the customer’s own address' }}</option>
        <option v-for="site in sites.filter(({ id }) => id !== customer.id)" :key="site.id" :value="site.id">
          {{ site.address }}
        </option>
      </select></label
    >
    <TextField v-model="form.installedOn" label="Installed on" type="date" :problem="problems.installedOn" />
    <TextField v-model="form.warrantyUntil" label="Warranty until" type="date" :problem="problems.warrantyUntil" />
    <label class="col-span-2"
      ><span class="label">Motor type</span
      ><select v-model="form.motorType" class="field">
        <option value="">cannot be read</option>
        <option v-for="(label, id) in MOTOR_TYPES" :key="id" :value="id">{{ label }}</option>
      </select></label
    >
    <TextField
      v-for="field in PLATE_FIELDS"
      :key="field.key"
      v-model="plate[field.key] as string"
      :label="field.label"
      :problem="problems[field.key]"
    />
    <div class="col-span-2 sm:col-span-4">
      <button v-if="!moving" type="button" class="button button-quiet" data-testid="move-owner" @click="moving = true">
        It belongs to somebody else now
      </button>
      <CustomerChoice v-else v-model="owner" label="Belongs to" />
      <p v-if="owner" class="mt-1" data-testid="new-owner">
        From {{ customer.name }} to <strong>{{ owner.name }}</strong>; earlier visits stay with whoever it was then.
      </p>
    </div>
    <p v-if="trouble" role="alert" class="col-span-full text-rust">{{ trouble }}</p>
    <p v-if="open.length > 0" class="col-span-full text-slate">
      {{ counted(open.length, 'open visit') }} will know it too; what was handed over stays as it was written.
    </p>
    <div class="col-span-full flex flex-wrap gap-2">
      <button type="submit" class="button" data-testid="save-machine">Write it down</button
      ><button type="button" class="button button-quiet" @click="emit('cancel')">Leave it</button>
    </div>
  </form>
</template>
