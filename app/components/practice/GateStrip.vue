<script setup lang="ts">
import { BLEED } from '#core/knowledge/electrical/limits'
import { GATES, SURFACE, type Gate } from '#core/knowledge/vocabulary'
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
    ...(SURFACE.includes(kind) ? (['guards-on'] as const) : []),
  ]
})
const LABELS: Partial<Record<Gate, string>> = { 'electronics-disconnected': 'leads off' }
/** The power is on until somebody has turned it off, whether that was written down or not. */
const holds = (gate: Gate): boolean =>
  gate === 'power-on' ? practice.state?.hands.power === true : state.value.gates.has(gate)
function turn(gate: Gate): void {
  const isShut = holds(gate)
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
  <div class="strip" role="group" aria-label="gates" data-testid="gate-strip">
    <button
      v-for="gate in gates"
      :key="gate"
      type="button"
      class="handle"
      :class="{ 'is-shut': holds(gate) }"
      :aria-pressed="holds(gate)"
      :data-testid="`turn-${gate}`"
      @click="turn(gate)"
    >
      <svg width="44" height="20" viewBox="0 0 44 20" aria-hidden="true" stroke="currentColor">
        <path d="M0 12h44" stroke-width="2" />
        <path v-if="holds(gate) !== (gate === 'power-on')" d="M22 1v18" stroke-width="5" />
        <path v-else d="M13 5h18" stroke-width="5" />
      </svg>
      {{ LABELS[gate] ?? GATES[gate].label }}
    </button>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 0.25rem;
}
.handle {
  display: inline-flex;
  flex-direction: column;
  align-items: center;
  min-height: 48px;
  padding: 2px 4px;
  border-radius: 6px;
  font-size: 0.88rem;
  line-height: 1.2;
}
.handle:hover {
  text-decoration: underline;
}
.is-shut {
  font-weight: 700;
}
</style>
