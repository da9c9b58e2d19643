<script setup lang="ts">
import {
  Combobox,
  ComboboxButton,
  ComboboxInput,
  ComboboxLabel,
  ComboboxOption,
  ComboboxOptions,
  RadioGroup,
  RadioGroupOption,
} from '@headlessui/vue'
import { ChevronDown } from '@lucide/vue'
import { format } from 'date-fns'
import { v7 as uuidv7 } from 'uuid'
import {
  COMPLAINTS,
  complaintFits,
  CONSTRUCTIONS,
  KIND_CONSTRUCTIONS,
  KINDS,
  type Complaint,
  type Construction,
  type Kind,
} from '#core/knowledge/vocabulary'
import type { Customer, Machine } from '#core/visit/entry'
import { PLATE_BOUNDS, within } from '#core/motor/plate-bounds'

interface Known {
  machine: Machine
  customer: Customer
}
const journal = useShopJournal()
const known = ref<Known[]>([])
const query = ref('')
const chosen = ref<Known | null>(null)
const fresh = ref(false)
const now = new Date()
const form = reactive({
  customer: '',
  place: '',
  phone: '',
  name: '',
  kind: 'pool' as Kind,
  construction: 'band-clamp' as Construction,
  volts: '230',
  installedOn: '',
  day: format(now, 'yyyy-MM-dd'),
  time: format(now, 'HH:mm'),
  minutes: 60,
  says: '',
})
const complaints = ref<string[]>([])
const problems = ref<Record<string, string>>({})
const { problemsOf } = useEntryRules()
/** Where a field of the lines goes by another name in this form. */
const FIELD_OF: Readonly<Record<string, string>> = {
  'customer.name': 'customer',
  'machine.name': 'name',
  'machine.nameplate.volts': 'volts',
  scheduledAt: 'day',
  plannedMinutes: 'day',
}
onMounted(async () => {
  const response = await fetch('/api/machines').catch(() => undefined)
  if (response?.ok) known.value = ((await response.json()) as { machines: Known[] }).machines
  if (known.value.length === 0) fresh.value = true
})
watch(
  () => form.kind,
  (kind) => {
    form.construction = KIND_CONSTRUCTIONS[kind][0] as Construction
  },
)
const kind = computed(() => (fresh.value ? form.kind : chosen.value?.machine.kind))
const fitting = computed(() =>
  (Object.keys(COMPLAINTS) as Complaint[]).filter((id) => !kind.value || complaintFits(id, kind.value)),
)
const label = (item: Known | null) => (item ? `${item.customer.name}, ${item.machine.name}` : '')
const matches = computed(() =>
  known.value
    .filter((item) =>
      `${label(item)} ${item.customer.place} ${KINDS[item.machine.kind]}`
        .toLowerCase()
        .includes(query.value.toLowerCase()),
    )
    .slice(0, 30),
)

function machineAndCustomer(): Known | undefined {
  if (!fresh.value) {
    if (!chosen.value) problems.value.machine = 'Choose a machine, or write down a new one.'
    return chosen.value ?? undefined
  }
  const volts = readNumber(form.volts) ?? Number.NaN
  if (!form.customer.trim()) problems.value.customer = 'Whose pump is it? A name is needed.'
  if (!form.name.trim()) problems.value.name = 'A name to find it by, such as “filter pump”.'
  if (!within(volts, PLATE_BOUNDS.volts))
    problems.value.volts = `Volts of the plate or the supply: ${boundsWords(PLATE_BOUNDS.volts)}, such as 230.`
  if (Object.keys(problems.value).length > 0) return undefined
  const customer: Customer = {
    id: uuidv7(),
    name: form.customer.trim(),
    place: form.place.trim(),
    ...(form.phone.trim() ? { phone: form.phone.trim() } : {}),
  }
  return {
    customer,
    machine: {
      id: uuidv7(),
      customerId: customer.id,
      name: form.name.trim(),
      kind: form.kind,
      construction: form.construction,
      nameplate: { volts },
      ...(form.installedOn ? { installedOn: form.installedOn } : {}),
    },
  }
}

async function open(): Promise<void> {
  problems.value = {}
  const both = machineAndCustomer()
  const scheduled = new Date(`${form.day}T${form.time}`)
  if (Number.isNaN(scheduled.getTime())) problems.value.day = 'A day and a time are needed.'
  if (!both || Object.keys(problems.value).length > 0) return
  const visitId = uuidv7()
  const callerSays = form.says.trim()
  const opened = { ...both, scheduledAt: scheduled.toISOString(), plannedMinutes: form.minutes, callerSays }
  for (const [path, expected] of Object.entries(problemsOf('visit-opened', opened)))
    problems.value[FIELD_OF[path] ?? 'machine'] = expected
  if (Object.keys(problems.value).length > 0) return
  await journal.openVisit(
    visitId,
    opened,
    complaints.value.length > 0 ? { complaints: complaints.value, alreadyReplaced: [], callerSays } : undefined,
  )
  await navigateTo(`/visits/${visitId}`)
}
useHead({ title: 'New visit · Pike Lamp' })
</script>

<template>
  <div>
    <OutboxBanner />
    <header class="flex min-h-16 items-center gap-5 border-b border-rule px-5">
      <NuxtLink to="/" aria-label="to the Day" class="inline-flex min-h-12 items-center"><LampLogo /></NuxtLink>
      <h1 class="text-[1.25rem]">New visit</h1>
      <SchemeSwitch class="ml-auto" />
    </header>
    <main>
      <form class="mx-auto grid max-w-4xl gap-6 p-5" novalidate @submit.prevent="open">
        <section class="grid gap-3">
          <RadioGroup v-model="fresh" class="flex flex-wrap gap-2" aria-label="which machine"
            ><RadioGroupOption v-slot="{ checked }" :value="false" :disabled="known.length === 0" as="template"
              ><button type="button" class="toggle" :aria-checked="checked">a machine we know</button></RadioGroupOption
            ><RadioGroupOption v-slot="{ checked }" :value="true" as="template"
              ><button type="button" class="toggle" :aria-checked="checked" data-testid="new-machine">
                a new machine
              </button></RadioGroupOption
            ></RadioGroup
          >
          <Combobox v-if="!fresh" v-model="chosen" nullable as="div" class="relative">
            <ComboboxLabel class="label">Machine</ComboboxLabel>
            <div class="relative">
              <ComboboxInput
                class="field pr-12"
                autocomplete="off"
                placeholder="a name, a place, a kind"
                :display-value="(item) => label(item as Known | null)"
                @change="query = $event.target.value"
              /><ComboboxButton
                class="absolute inset-y-0 right-0 inline-flex min-w-12 items-center justify-center"
                aria-label="all machines"
                ><ChevronDown :size="20" aria-hidden="true"
              /></ComboboxButton>
            </div>
            <ComboboxOptions class="absolute z-10 max-h-80 w-full overflow-auto border border-ink bg-sheet"
              ><ComboboxOption
                v-for="item in matches"
                :key="item.machine.id"
                v-slot="{ active }"
                :value="item"
                as="template"
                ><li
                  class="flex min-h-12 items-center justify-between gap-3 px-3 py-1"
                  :class="{ 'bg-ink text-on-ink': active }"
                >
                  <span>{{ label(item) }}</span><span class="text-[0.9rem]"
                    >{{ KINDS[item.machine.kind] }}, {{ item.customer.place }}</span
                  >
                </li></ComboboxOption
              >
              <li v-if="matches.length === 0" class="px-3 py-3">
                No machine of that name. Write down a new one.
              </li></ComboboxOptions
            >
            <p v-if="problems.machine" role="alert" class="text-rust">{{ problems.machine }}</p>
          </Combobox>
          <div v-else class="grid gap-3 sm:grid-cols-2">
            <label
              ><span class="label">Customer</span
              ><input v-model="form.customer" class="field" maxlength="120" autocomplete="off" /><span
                v-if="problems.customer"
                role="alert"
                class="text-rust"
                >{{ problems.customer }}</span
              ></label
            >
            <label
              ><span class="label">Place</span
              ><input v-model="form.place" class="field" maxlength="200" autocomplete="off"
            /></label>
            <label
              ><span class="label">Telephone</span
              ><input v-model="form.phone" class="field" type="tel" maxlength="40" autocomplete="off"
            /></label>
            <label
              ><span class="label">What the machine is called</span
              ><input
                v-model="form.name"
                class="field"
                maxlength="120"
                placeholder="filter pump"
                autocomplete="off"
              /><span v-if="problems.name" role="alert" class="text-rust">{{ problems.name }}</span></label
            >
            <label
              ><span class="label">Kind</span
              ><select v-model="form.kind" class="field">
                <option v-for="(text, id) in KINDS" :key="id" :value="id">{{ text }}</option>
              </select></label
            >
            <label
              ><span class="label">Construction</span
              ><select v-model="form.construction" class="field">
                <option v-for="id in KIND_CONSTRUCTIONS[form.kind]" :key="id" :value="id">
                  {{ CONSTRUCTIONS[id] }}
                </option>
              </select></label
            >
            <label
              ><span class="label">Volts</span
              ><input v-model="form.volts" class="field number" inputmode="decimal" /><span
                v-if="problems.volts"
                role="alert"
                class="text-rust"
                >{{ problems.volts }}</span
              ></label
            >
            <label
              ><span class="label">Installed on, if known</span
              ><input v-model="form.installedOn" type="date" class="field"
            /></label>
          </div>
        </section>
        <section class="grid gap-3 sm:grid-cols-3">
          <label
            ><span class="label">Day</span><input v-model="form.day" type="date" class="field" /><span
              v-if="problems.day"
              role="alert"
              class="text-rust"
              >{{ problems.day }}</span
            ></label
          >
          <label><span class="label">Time</span><input v-model="form.time" type="time" class="field" /></label>
          <label
            ><span class="label">Minutes planned</span
            ><select v-model.number="form.minutes" class="field">
              <option v-for="minutes in [15, 30, 45, 60, 90, 120, 180, 240]" :key="minutes" :value="minutes">
                {{ minutes }}
              </option>
            </select></label
          >
          <label class="sm:col-span-3"
            ><span class="label">In the caller’s words</span><input v-model="form.says" class="field" maxlength="500"
          /></label>
        </section>
        <section>
          <h2 class="mb-2 text-base">What does it do?</h2>
          <div class="flex flex-wrap gap-2">
            <button
              v-for="id in fitting"
              :key="id"
              type="button"
              class="toggle"
              :aria-pressed="complaints.includes(id)"
              @click="
                complaints = complaints.includes(id) ? complaints.filter((each) => each !== id) : [...complaints, id]
              "
            >
              {{ COMPLAINTS[id] }}
            </button>
          </div>
        </section>
        <button type="submit" class="button button-lit justify-self-start" data-testid="open-visit">
          Open the visit
        </button>
      </form>
    </main>
  </div>
</template>
