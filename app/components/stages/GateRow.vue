<script setup lang="ts">
import { readNumber } from '#core/quantity/read-number'
import { format } from 'date-fns'
import { BLEED } from '#core/knowledge/electrical/limits'
import type { Gate } from '#core/knowledge/vocabulary'
import { formatNumber, formatSeconds } from '#core/quantity/format'

const { gate } = defineProps<{ gate: Gate }>()
const { visit, state } = useVisitContext()
const { bleed, bleedOhms, info: infoOf } = useSafeGates()
const now = useVisitNow(1000)
const info = computed(() => infoOf(gate))
const holds = computed(() => state.value.gates.get(gate))
const lines = ref([
  { line: 'line 1 to ground', volts: '' },
  { line: 'line 2 to ground', volts: '' },
  { line: 'line to line', volts: '' },
])
const problem = ref('')

/** Timers run from a moment that is kept with the visit, so that a reload does not start them again. */
const startedAt = useLocalStorageRef<Record<string, number>>(`pike-lamp.timer.${state.value.id}`, {})
const wanted = computed(() =>
  gate === 'discharged'
    ? (bleed.value?.seconds ?? 0)
    : gate === 'cool'
      ? 30 * 60
      : gate === 'drive-discharged'
        ? 5 * 60
        : 0,
)
const running = computed(() => startedAt.value[gate])
const left = computed(() =>
  running.value === undefined ? wanted.value : Math.max(0, wanted.value - (now.value - running.value) / 1000),
)

function shut(): void {
  problem.value = ''
  if (gate === 'proved-dead') {
    const read = lines.value.map(({ line, volts }) => ({ line, volts: readNumber(volts) ?? Number.NaN }))
    if (read.some(({ volts }) => !Number.isFinite(volts) || volts < 0))
      problem.value = 'Each line needs its volts: 0 when it is dead.'
    else if (read.some(({ volts }) => volts > BLEED.safeVolts))
      problem.value =
        `${formatNumber(Math.max(...read.map(({ volts }) => volts)))} V is not dead. ` +
        'Find what feeds it before a hand goes in.'
    if (problem.value) return
    visit.append('gate', { gate, shut: true, lines: read })
  } else
    visit.append('gate', {
      gate,
      shut: true,
      ...(wanted.value > 0 && running.value !== undefined
        ? { seconds: Math.round((now.value - running.value) / 1000) }
        : {}),
    })
  forgetTimer()
}
function open(): void {
  visit.append('gate', { gate, shut: false })
}
function forgetTimer(): void {
  const { [gate]: _done, ...rest } = startedAt.value
  startedAt.value = rest
}
</script>

<template>
  <li
    class="grid gap-x-4 gap-y-2 py-3 md:grid-cols-[9.500rem_minmax(0,1fr)_auto] md:items-center"
    :data-testid="`gate-${gate}`"
  >
    <strong><GateHandle :shut="gate === 'power-on' ? !holds : !!holds" :label="info.label" /></strong>
    <div class="min-w-0">
      <p v-if="holds" class="number text-slate">
        since {{ format(new Date(holds.at), 'HH:mm')
        }}<template v-if="holds.lines">
          · {{ holds.lines.map(({ line, volts }) => `${line} ${volts} V`).join(', ') }}</template
        ><template v-if="holds.seconds"> · {{ formatSeconds(holds.seconds) }}</template>
      </p>
      <template v-else>
        <p>{{ info.action }}</p>
        <p v-if="gate === 'discharged' && bleed" class="number text-[0.95rem]" data-testid="bleed-time">
          {{ formatSeconds(bleed.seconds) }} through {{ bleedOhms / 1000 }} kΩ: {{ formatNumber(bleed.microfarads) }} μF
          from {{ formatNumber(bleed.volts) }} V to 5 V
        </p>
        <p v-if="info.caution" class="text-[0.92rem] text-rust"><CautionText :text="info.caution" /></p>
        <div v-if="gate === 'proved-dead'" class="mt-2 grid max-w-md grid-cols-3 gap-2">
          <label v-for="each in lines" :key="each.line" class="flex flex-col justify-end text-[0.88rem] leading-tight"
            >{{ each.line
            }}<input
              v-model="each.volts"
              class="field number mt-1"
              inputmode="decimal"
              placeholder="V"
              :aria-label="`${each.line}, volts`"
          /></label>
        </div>
        <p v-if="problem" class="font-bold text-rust" role="alert">{{ problem }}</p>
      </template>
    </div>
    <div class="flex gap-2">
      <button
        v-if="!holds && wanted > 0 && running === undefined"
        type="button"
        class="button"
        @click="startedAt = { ...startedAt, [gate]: now }"
      >
        Start {{ formatSeconds(wanted) }}
      </button>
      <span v-else-if="!holds && wanted > 0" class="number inline-flex min-h-12 items-center text-xl" role="timer">{{
        left > 0 ? formatSeconds(left) : 'time is up'
      }}</span>
      <button v-if="!holds" type="button" class="button" @click="shut">
        {{
          gate === 'power-on'
            ? 'Power is on'
            : gate === 'proved-dead'
              ? 'Proved dead'
              : gate === 'primed'
                ? 'Primed'
                : 'Done'
        }}
      </button>
      <button v-else type="button" class="button" @click="open">
        {{ gate === 'power-on' ? 'Off again' : 'No longer' }}
      </button>
    </div>
  </li>
</template>
