<script setup lang="ts">
import { COMPLAINTS, complaintFits, HOUSE_WATER, PARTS, type Complaint, type Part } from '#core/knowledge/vocabulary'

const { visit, state } = useVisitContext()
const says = ref(state.value.call.callerSays)
const since = ref(state.value.call.since ?? '')

/** Parts that somebody may already have replaced before the call, the usual ones first. */
const SURFACE: readonly Part[] = [
  'run-capacitor',
  'start-capacitor',
  'start-switch',
  'shaft-seal',
  'bearings',
  'impeller',
  'motor',
  'lid-o-ring',
  'housing-o-ring',
]
const WATER: readonly Part[] = [
  'pressure-switch',
  'tank',
  'check-valve',
  'foot-valve',
  'control-box',
  'cable',
  'motor',
  'pump-end',
  'run-capacitor',
  'start-capacitor',
]
const PIT: readonly Part[] = ['float-switch', 'check-valve', 'backup-pump', 'battery', 'pump']
const usual = computed(() =>
  state.value.machine.kind === 'sump' ? PIT : HOUSE_WATER.includes(state.value.machine.kind) ? WATER : SURFACE,
)
/** What this kind can do, and whatever was said already. */
const complaints = computed(() =>
  (Object.keys(COMPLAINTS) as Complaint[]).filter(
    (id) => complaintFits(id, state.value.machine.kind) || state.value.call.complaints.includes(id),
  ),
)
const call = computed(() => state.value.call)
function write(change: Partial<typeof call.value>): void {
  visit.append('call', {
    ...call.value,
    callerSays: says.value,
    ...(since.value ? { since: since.value } : {}),
    ...change,
  })
}
function toggled(list: readonly string[], id: string): string[] {
  return list.includes(id) ? list.filter((each) => each !== id) : [...list, id]
}
</script>

<template>
  <div class="space-y-5 p-5">
    <section aria-labelledby="caller">
      <h2 id="caller" class="mb-2 text-xl">What does the caller say?</h2>
      <div class="flex flex-wrap gap-2" data-testid="complaints">
        <button
          v-for="id in complaints"
          :key="id"
          type="button"
          class="toggle"
          :aria-pressed="call.complaints.includes(id)"
          @click="write({ complaints: toggled(call.complaints, id) })"
        >
          {{ COMPLAINTS[id] }}
        </button>
      </div>
    </section>
    <div class="grid gap-4 md:grid-cols-2">
      <label
        ><span class="label">In the caller’s words</span
        ><input v-model="says" class="field" maxlength="500" @change="write({})"
      /></label>
      <label
        ><span class="label">Since when</span
        ><input v-model="since" class="field" maxlength="120" placeholder="yesterday morning" @change="write({})"
      /></label>
    </div>
    <section aria-labelledby="replaced">
      <h3 id="replaced" class="mb-2">Already replaced</h3>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="part in usual"
          :key="part"
          type="button"
          class="toggle"
          :aria-pressed="call.alreadyReplaced.includes(part)"
          @click="write({ alreadyReplaced: toggled(call.alreadyReplaced, part) })"
        >
          {{ PARTS[part] }}
        </button>
        <button
          type="button"
          class="toggle"
          :aria-pressed="call.withoutWater === true"
          @click="write({ withoutWater: !call.withoutWater })"
        >
          somebody is without water
        </button>
      </div>
    </section>
    <MachineForm />
    <NuxtLink
      v-if="visit.order.length === 1 && !state.handedOver && !visit.isPractice"
      :to="{ path: '/visits/new', query: { with: state.id } }"
      class="button button-quiet"
      data-testid="another-machine"
      >Another machine on this visit</NuxtLink
    >
  </div>
</template>
