<script setup lang="ts">
import { FUNCTIONS } from '#core/instruments/functions'
import type { InstrumentSetting } from '#core/instruments/settings'
import type { InstrumentState } from '#core/instruments/reading'
import { useInstruments } from '~/stores/instruments'
import { useSelf } from '~/stores/self'
import { SerialMeter } from '~/utils/serial-meter'
import { told } from '~/utils/told'

/** What of the shop measures and says so itself: where it is heard, and how well it can be believed. */
const [instruments, self] = [useInstruments(), useSelf()]
const own = ref<InstrumentSetting[]>([])
const states = ref<readonly InstrumentState[]>([])
const standIns = ref(false)
const problem = ref('')
const isKept = ref(false)
const isTurning = ref(false)
const maySet = computed(() => self.may('settings'))
const isRead = ref(false)
async function look(): Promise<readonly InstrumentSetting[] | undefined> {
  const view = await instruments.look()
  if (!view) {
    problem.value = NO_WAY
    return undefined
  }
  states.value = view.states
  standIns.value = view.standIns
  return view.instruments
}
/** What is being entered is written over by nothing but what was kept. */
async function read(): Promise<void> {
  const kept = await look()
  if (!kept) return
  own.value = kept.map((each) => ({ ...each }))
  isRead.value = true
}
onMounted(read)
function add(): void {
  const known = own.value.map(({ id }) => Number(/^meter-(\d+)$/.exec(id)?.[1] ?? 0))
  own.value.push({ id: `meter-${Math.max(0, ...known) + 1}`, name: '', by: 'scpi', host: 'localhost', port: 5025 })
}
const numberIn = (event: Event): number | undefined => {
  const { value } = event.target as HTMLInputElement
  return value.trim() === '' ? undefined : Number(value)
}
async function keep(): Promise<void> {
  isKept.value = false
  // A field that was emptied is not said.
  const list = own.value.map((each) =>
    Object.fromEntries(Object.entries(each).filter(([, value]) => value !== undefined && value !== '')),
  )
  const made = await told<object>('/api/instruments', 'PUT', { instruments: list })
  problem.value = 'problem' in made ? made.problem : ''
  if ('problem' in made) return
  isKept.value = true
  await read()
}
async function turn(): Promise<void> {
  isTurning.value = true
  const made = await told<object>('/api/instruments/stand-ins', 'POST', { on: !standIns.value })
  problem.value = 'problem' in made ? made.problem : ''
  isTurning.value = false
  await look()
}
useHead({ title: 'Instruments · Pike Lamp' })
</script>

<template>
  <div>
    <PlaceHeader title="Instruments" />
    <main class="mx-auto grid max-w-3xl gap-6 p-5 max-sm:p-3">
      <p class="max-w-[68ch]">
        A meter that talks says what it shows by itself. While a visit is measured it stands above the reading line;
        once it stands still and is what the lit check asks for, Enter or a tap takes it. What is not taken is kept
        nowhere.
        <HandbookLink page="order" />
      </p>
      <p v-if="problem" role="alert" class="font-bold text-rust">{{ problem }}</p>
      <section v-if="SerialMeter.isPossible()" aria-labelledby="cable">
        <h2 id="cable" class="border-b border-ink pb-1 text-xl">On a cable of this device</h2>
        <p class="py-2">
          {{ instruments.isByCable ? 'A meter is connected.' : 'Lines as in IEEE 488.2, at 9600 bits a second.' }}
        </p>
        <button v-if="!instruments.isByCable" type="button" class="button" @click="instruments.connectCable">
          Choose a cable
        </button>
        <p v-if="instruments.trouble" role="alert" class="text-rust">{{ instruments.trouble }}</p>
      </section>
      <section aria-labelledby="own" data-testid="own-instruments">
        <h2 id="own" class="border-b border-ink pb-1 text-xl">The shop’s own</h2>
        <p v-if="!isRead" class="py-2 text-slate">Reading the shop</p>
        <p v-else-if="own.length === 0" class="py-2 text-slate">None yet.</p>
        <fieldset
          v-for="(each, index) in own"
          :key="each.id"
          class="grid gap-x-3 gap-y-2 border-b border-rule py-3 sm:grid-cols-[2fr_1fr_2fr_1fr]"
          :disabled="!maySet"
        >
          <legend class="sr-only">{{ each.name || `instrument ${index + 1}` }}</legend>
          <label><span class="label">name</span><input v-model="each.name" class="field" maxlength="60" /></label>
          <label
            ><span class="label">speaks by</span
            ><select v-model="each.by" class="field">
              <option value="scpi">network, SCPI</option>
              <option value="csv">a file, CSV</option>
            </select></label
          >
          <template v-if="each.by === 'scpi'">
            <label><span class="label">address</span><input v-model="each.host" class="field number" /></label>
            <label
              ><span class="label">port</span
              ><input :value="each.port" class="field number" inputmode="numeric" @input="each.port = numberIn($event)"
            /></label>
          </template>
          <template v-else>
            <label
              ><span class="label">file in the folder “instruments” of the server’s data</span
              ><input v-model="each.file" class="field number" placeholder="log.csv"
            /></label>
            <label
              ><span class="label">its last column</span
              ><select v-model="each.function" class="field">
                <option v-for="(set, id) in FUNCTIONS" :key="id" :value="id">{{ set.label }}</option>
              </select></label
            >
          </template>
          <label
            ><span class="label">off by, percent</span
            ><input
              :value="each.accuracyPercent"
              class="field number"
              inputmode="decimal"
              placeholder="the usual"
              @input="each.accuracyPercent = numberIn($event)"
          /></label>
          <label
            ><span class="label">test volts</span
            ><input
              :value="each.testVolts"
              class="field number"
              inputmode="decimal"
              placeholder="none"
              @input="each.testVolts = numberIn($event)"
          /></label>
          <label class="flex min-h-12 items-center gap-2 self-end"
            ><input v-model="each.turns" type="checkbox" class="h-5 w-5" />its dial is turned from here</label
          >
          <button
            type="button"
            class="button button-quiet self-end"
            :aria-label="`without ${each.name || each.id}`"
            @click="own.splice(index, 1)"
          >
            without it
          </button>
        </fieldset>
        <div v-if="maySet && isRead" class="mt-3 flex flex-wrap items-center gap-3">
          <button type="button" class="button" data-testid="add-instrument" @click="add">One more</button>
          <button type="button" class="button" data-testid="keep-instruments" @click="keep">Keep them</button>
          <span v-if="isKept" role="status">Kept.</span>
        </div>
      </section>
      <section aria-labelledby="simulated" data-testid="stand-ins">
        <h2 id="simulated" class="border-b border-ink pb-1 text-xl">Simulated ones</h2>
        <p class="py-2">
          A multimeter, a clamp, a capacitance meter, an insulation tester, a pressure gauge, a thermometer and a
          logger, on a virtual pool pump that hums. They drop out, run over range, run flat and say nonsense now and
          then, as instruments do.
          {{ standIns ? 'They are on: a reading of theirs is of that pump, and of no customer’s.' : '' }}
        </p>
        <button
          v-if="maySet"
          type="button"
          class="button"
          data-testid="turn-stand-ins"
          :disabled="isTurning"
          @click="turn"
        >
          {{ standIns ? 'Turn them off' : 'Turn them on' }}
        </button>
        <ul v-if="states.length > 0" class="ruled mt-3">
          <li v-for="each in states" :key="each.instrument" class="flex min-h-10 items-center gap-4">
            <span class="min-w-0 flex-1">{{ each.name }}</span><span class="text-slate">{{
              each.is === 'off' ? 'heard once a visit is measured' : (each.says ?? each.is)
            }}</span>
          </li>
        </ul>
      </section>
    </main>
  </div>
</template>
