<script setup lang="ts">
import { BLEED } from '#core/knowledge/electrical/limits'
import { GATES, type Gate } from '#core/knowledge/vocabulary'
import { formatNumber } from '#core/quantity/format'
import { linesRead } from '#core/practice/acting'
import { usePractice } from '~/stores/practice'

/** The gates of the bench as handles: turned in a line, each with its minutes, and proved by the meter itself. */
const { visit, state } = useVisitContext()
const practice = usePractice()
const { order } = useSafeGates()
const ELECTRONICS: Gate = 'electronics-disconnected'
const gates = computed<Gate[]>(() => {
  const { kind } = state.value.machine
  const off = kind === 'well-three-wire' || practice.state?.machine.motorType === 'electronic'
  return [
    ...order.value.filter((gate) => gate !== 'cool'),
    ...(off ? [ELECTRONICS] : []),
    ...(kind.startsWith('well') ? (['string-secured'] as const) : []),
    'power-on',
    ...(kind.startsWith('well') || kind === 'sump' || kind === 'circulation' ? [] : (['primed'] as const)),
  ]
})
const LABELS: Partial<Record<Gate, string>> = { 'electronics-disconnected': 'leads off the electronics' }
function turn(gate: Gate): void {
  const isShut = state.value.gates.has(gate)
  if (gate !== 'proved-dead' || isShut) return void visit.append('gate', { gate, shut: !isShut })
  if (!practice.state) return
  const lines = linesRead(practice.state)
  const most = Math.max(...lines.map(({ volts }) => volts))
  if (most > BLEED.safeVolts)
    return visit.refuse(`${formatNumber(most)} V at the terminals: it is live. Find what feeds it.`)
  visit.append('gate', { gate, shut: true, lines })
}
</script>

<template>
  <div class="mb-2 flex flex-wrap gap-x-1" role="group" aria-label="gates" data-testid="gate-strip">
    <button
      v-for="gate in gates"
      :key="gate"
      type="button"
      class="inline-flex min-h-12 items-center rounded-md px-2 hover:underline"
      :class="{ 'font-bold': state.gates.has(gate) }"
      :aria-pressed="state.gates.has(gate)"
      :data-testid="`turn-${gate}`"
      @click="turn(gate)"
    >
      <GateHandle
        :shut="gate === 'power-on' ? !state.gates.has(gate) : state.gates.has(gate)"
        :label="LABELS[gate] ?? GATES[gate].label"
      />
    </button>
  </div>
</template>
