<script setup lang="ts">
import { readNumber } from '#core/quantity/read-number'
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
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
import { firstOf } from '#core/planning/stops'
import type { Customer, Entry, Machine } from '#core/visit/entry'
import { foldVisit, type VisitState } from '#core/visit/fold'
import { PLATE_BOUNDS, within } from '#core/motor/plate-bounds'
import { instantAt } from '~/utils/day-hours'
import type { CardView, CustomerView } from '~/utils/register-views'

interface Known {
  machine: Machine
  customer: Customer
}
const journal = useShopJournal()
const route = useRoute()
/** How many machines are known; undefined until the register has said. */
const machines = ref<number>()
const chosen = ref<Known>()
const fresh = ref(false)
const whose = ref<Customer>()
/** The machines of the customer from whose page it is opened. */
const theirs = ref<Machine[]>([])
const who = ref({ name: '', place: '', phone: '' })
const now = new Date()
const form = reactive({
  name: '',
  kind: 'pool' as Kind,
  construction: 'band-clamp' as Construction,
  volts: '230',
  installedOn: '',
  day: format(now, 'yyyy-MM-dd'),
  /** It waits for a day. */
  waits: false,
  from: '',
  until: '',
  /** 0 where the program is to reckon them. */
  minutes: 0,
  says: '',
})
const complaints = ref<string[]>([])
const problems = ref<Record<string, string>>({})
const rules = useEntryRules()
/** What stands in the line where nobody says how long it takes. */
const USUAL_MINUTES = 60
/** Where a field of the lines goes by another name in this form. */
const FIELD_OF: Readonly<Record<string, string>> = {
  'customer.name': 'customer',
  'machine.name': 'name',
  'machine.nameplate.volts': 'volts',
  scheduledAt: 'day',
  plannedMinutes: 'day',
}
/** The visit that it goes along with: same customer, same day, one journey and one sheet. */
const along = ref<VisitState>()
/** Machines of the same customer at the same place: what else is looked at on the same visit. */
const around = ref<Machine[]>([])
const also = ref<string[]>([])
const placeOf = ({ siteId, customerId }: Machine) => siteId ?? customerId
const machinesOf = (view: CustomerView) => view.machines.filter(({ retired }) => !retired).map((each) => each.machine)

async function openBeside(id: string): Promise<void> {
  const response = await ask(`/api/visits/${id}`).catch(() => undefined)
  if (!response?.ok) return
  const view = (await response.json()) as { entries: Entry[]; journey: { entries: Entry[] }[] }
  const state = foldVisit(view.entries)
  if (!state) return
  along.value = state
  whose.value = state.customer
  form.waits = state.schedule.waits
  const taken = new Set([
    state.machine.id,
    ...view.journey.flatMap(({ entries }) => foldVisit(entries)?.machine.id ?? []),
  ])
  const known = await ask(`/api/customers/${state.customer.id}`).catch(() => undefined)
  if (known?.ok)
    theirs.value = machinesOf((await known.json()) as CustomerView).filter(
      (each) => !taken.has(each.id) && placeOf(each) === placeOf(state.machine),
    )
  fresh.value = theirs.value.length === 0
}
watch(
  () => chosen.value?.machine.id,
  async (id) => {
    also.value = []
    around.value = []
    const known = chosen.value
    if (!known || along.value) return
    const response = await ask(`/api/customers/${known.customer.id}`).catch(() => undefined)
    if (!response?.ok) return
    const all = machinesOf((await response.json()) as CustomerView)
    if (id === chosen.value?.machine.id)
      around.value = all.filter((each) => each.id !== id && placeOf(each) === placeOf(known.machine))
  },
)
/** Opened from a machine's card, from its customer, or from a visit to another machine of theirs. */
onMounted(async () => {
  const { machine, customer, with: beside } = route.query
  if (typeof machine === 'string') {
    const response = await ask(`/api/machines/${machine}/card`).catch(() => undefined)
    if (response?.ok) chosen.value = ((await response.json()) as CardView).card
  } else if (typeof beside === 'string') await openBeside(beside)
  else if (typeof customer === 'string') {
    const response = await ask(`/api/customers/${customer}`).catch(() => undefined)
    if (!response?.ok) return
    const view = (await response.json()) as CustomerView
    whose.value = view.customer
    theirs.value = machinesOf(view)
    const [only, ...others] = theirs.value
    if (only && others.length === 0) chosen.value = { machine: only, customer: view.customer }
    fresh.value = only === undefined
  }
})
function countedMachines(count: number): void {
  machines.value = count
  if (count === 0) fresh.value = true
}
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
function machineAndCustomer(): Known | undefined {
  if (!fresh.value) {
    if (!chosen.value) problems.value.machine = 'Choose a machine, or write down a new one.'
    return chosen.value
  }
  const volts = readNumber(form.volts) ?? Number.NaN
  if (!whose.value && !who.value.name.trim()) problems.value.customer = 'Whose pump is it? A name is needed.'
  if (!form.name.trim()) problems.value.name = 'A name to find it by, such as “filter pump”.'
  if (!within(volts, PLATE_BOUNDS.volts))
    problems.value.volts = `Volts of the plate or the supply: ${boundsWords(PLATE_BOUNDS.volts)}, such as 230.`
  if (Object.keys(problems.value).length > 0) return undefined
  const customer: Customer = whose.value ?? {
    id: uuidv7(),
    name: who.value.name.trim(),
    place: who.value.place.trim(),
    ...(who.value.phone.trim() ? { phone: who.value.phone.trim() } : {}),
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
      ...(along.value?.machine.siteId ? { siteId: along.value.machine.siteId } : {}),
      ...(form.installedOn ? { installedOn: form.installedOn } : {}),
    },
  }
}

const open = oneAtATime(async () => {
  problems.value = {}
  const both = machineAndCustomer()
  const day = form.waits ? new Date() : new Date(`${form.day}T${form.from || '12:00'}`)
  if (Number.isNaN(day.getTime())) problems.value.day = 'A day is needed, or let it wait for one.'
  if (!both || Object.keys(problems.value).length > 0) return
  const visitId = uuidv7()
  const callerSays = form.says.trim()
  const opened = {
    ...both,
    scheduledAt: along.value?.scheduledAt ?? day.toISOString(),
    plannedMinutes: form.minutes || USUAL_MINUTES,
    callerSays,
  }
  const promised = along.value
    ? { from: along.value.schedule.arranged.from, until: along.value.schedule.arranged.until }
    : { from: instantAt(form.day, form.from), until: instantAt(form.day, form.until) }
  const window = Object.fromEntries(Object.entries(promised).filter(([, value]) => value !== undefined))
  const arranged = { ...window, ...(form.minutes > 0 ? { minutes: form.minutes } : {}) }
  for (const [path, expected] of Object.entries(await rules.checked('visit-opened', opened)))
    problems.value[FIELD_OF[path] ?? 'machine'] = expected
  for (const expected of Object.values(await rules.checked('arranged', arranged)))
    problems.value.day = `Promised: ${expected}`
  if (Object.keys(problems.value).length > 0) return
  const { waits } = form
  const first = along.value && firstOf(along.value)
  await journal.openVisits([
    {
      visitId,
      opened,
      ...(complaints.value.length > 0
        ? { call: { complaints: complaints.value, alreadyReplaced: [], callerSays } }
        : {}),
      arranged,
      waits,
      ...(first ? { together: first } : {}),
    },
    ...around.value
      .filter(({ id }) => also.value.includes(id))
      .map((machine) => ({
        visitId: uuidv7(),
        opened: { ...opened, machine, callerSays: '' },
        arranged: window,
        waits,
        together: visitId,
      })),
  ])
  await navigateTo(waits && !first ? '/' : `/visits/${visitId}`)
})
useHead({ title: 'New visit · Pike Lamp' })
</script>

<template>
  <div>
    <PlaceHeader :title="along ? 'Another machine' : 'New visit'" />
    <main>
      <p v-if="along" class="mx-auto max-w-4xl px-5 pt-5 text-slate" data-testid="along">
        It goes along with the {{ along.machine.name }} at {{ along.customer.name }}: one journey, one sheet.
      </p>
      <form class="mx-auto grid max-w-4xl gap-6 p-5" novalidate @submit.prevent="open">
        <section class="grid gap-3">
          <RadioGroup v-model="fresh" class="flex flex-wrap gap-2" aria-label="which machine"
            ><RadioGroupOption
              v-slot="{ checked }"
              :value="false"
              :disabled="machines === 0 || (along !== undefined && theirs.length === 0)"
              as="template"
              ><button type="button" class="toggle" :aria-checked="checked">a machine we know</button></RadioGroupOption
            ><RadioGroupOption v-slot="{ checked }" :value="true" as="template"
              ><button type="button" class="toggle" :aria-checked="checked" data-testid="new-machine">
                a new machine
              </button></RadioGroupOption
            ></RadioGroup
          >
          <div v-if="!fresh && whose && theirs.length > 0" class="flex flex-wrap gap-2" data-testid="their-machines">
            <button
              v-for="machine in theirs"
              :key="machine.id"
              type="button"
              class="toggle"
              :aria-pressed="chosen?.machine.id === machine.id"
              @click="chosen = { machine, customer: whose }"
            >
              {{ machine.name }}, {{ whose.name }}
            </button>
          </div>
          <p v-if="!fresh && along && problems.machine" role="alert" class="text-rust">{{ problems.machine }}</p>
          <MachineChoice
            v-if="!fresh && !along"
            v-model="chosen"
            :problem="problems.machine"
            @counted="countedMachines"
          />
          <fieldset v-if="!fresh && around.length > 0" data-testid="also">
            <legend class="label">Also on this visit: one journey, one sheet</legend>
            <div class="flex flex-wrap gap-2">
              <button
                v-for="machine in around"
                :key="machine.id"
                type="button"
                class="toggle"
                :aria-pressed="also.includes(machine.id)"
                @click="
                  also = also.includes(machine.id) ? also.filter((each) => each !== machine.id) : [...also, machine.id]
                "
              >
                {{ machine.name }}
              </button>
            </div>
          </fieldset>
          <div v-if="fresh" class="grid gap-3 sm:grid-cols-2">
            <WhoseMachine v-if="!along" v-model:form="who" v-model:known="whose" :problem="problems.customer" />
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
        <section class="grid gap-3 sm:grid-cols-4">
          <div v-if="!along" class="flex flex-wrap gap-2 sm:col-span-4">
            <button
              v-for="[waits, words] in [
                [false, 'on a day'],
                [true, 'waits for a day'],
              ] as const"
              :key="words"
              type="button"
              class="toggle"
              :aria-pressed="form.waits === waits"
              :data-testid="waits ? 'new-waits' : 'new-on-a-day'"
              @click="form.waits = waits"
            >
              {{ words }}
            </button>
          </div>
          <template v-if="!along"
            ><label
              ><span class="label">{{ form.waits ? 'Promised for' : 'Day' }}</span
              ><input v-model="form.day" type="date" class="field" /><span
                v-if="problems.day"
                role="alert"
                class="text-rust"
                >{{ problems.day }}</span
              ></label
            >
            <label><span class="label">Not before</span><input v-model="form.from" type="time" class="field" /></label>
            <label
              ><span class="label">Not after</span
              ><input v-model="form.until" type="time" class="field" data-testid="new-until" /></label
          ></template>
          <label
            ><span class="label">Minutes</span
            ><select v-model.number="form.minutes" class="field">
              <option :value="0">as reckoned</option>
              <option v-for="minutes in [15, 30, 45, 60, 90, 120, 180, 240]" :key="minutes" :value="minutes">
                {{ minutes }}
              </option>
            </select></label
          >
          <label class="sm:col-span-4"
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
          {{ form.waits && !along ? 'Write the call down' : 'Open the visit' }}
        </button>
      </form>
    </main>
  </div>
</template>
