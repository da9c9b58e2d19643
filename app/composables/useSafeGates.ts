import { computed } from 'vue'
import { safeGates } from '#core/diagnosis/gates'
import { capacitorBleed } from '#core/electrical/capacitor'
import { worstCapacitorVolts, MOTOR_HAS } from '#core/motor/nameplate'
import { gateInfo, type Gate } from '#core/knowledge/vocabulary'
import { BLEED } from '#core/knowledge/electrical/limits'

/** The gates of this machine in the order they are shut, with the bleed time computed from its capacitors. */
export function useSafeGates() {
  const { state } = useVisitContext()
  const electronic = computed(() => state.value.plate.motorType === 'electronic')
  const bleed = computed(() => {
    const { plate } = state.value
    const start = plate.startCapacitorMicrofarads
    const largest = Math.max(
      MOTOR_HAS.runCapacitor(plate.motorType) ? (plate.runCapacitorMicrofarads ?? 0) : 0,
      MOTOR_HAS.startCapacitor(plate.motorType) ? (Array.isArray(start) ? start[1] : (start ?? 0)) : 0,
    )
    return largest > 0
      ? {
          microfarads: largest,
          volts: worstCapacitorVolts(plate),
          ...capacitorBleed(largest, worstCapacitorVolts(plate)),
        }
      : undefined
  })
  const order = computed<Gate[]>(() => safeGates(state.value.machine.kind, state.value.plate, state.value.standing))
  const held = (gate: Gate) => state.value.gates.has(gate)
  const next = computed(() => order.value.find((gate) => !held(gate)))
  const live = computed(() => held('power-on'))
  const info = (gate: Gate) => gateInfo(gate, state.value.standing)
  const atBench = computed(() => state.value.standing !== 'installed')
  return { order, held, next, live, bleed, electronic, bleedOhms: BLEED.ohms, info, atBench }
}
