import type { Asked } from '../diagnosis/finding'
import { accessGateOf, accessMinutes, gateMinutes, gatesFor } from '../diagnosis/gates'
import { checkInfo } from '../knowledge/checks/checks'
import { GATES, LIVE_GATES } from '../knowledge/vocabulary'
import { completePlate, type Pump } from '../motor/nameplate'

/**
 * The minutes of a visit: checks, gates turned to reach them, and what was opened closed again before the power comes
 * on. The same clock for everyone.
 */
export class VisitClock {
  minutes = 0
  readonly held = new Set<string>(['power-on'])
  constructor(private readonly pump: Pump) {}

  /** Another that goes on from here. */
  copy(): VisitClock {
    const other = new VisitClock(this.pump)
    other.minutes = this.minutes
    other.held.clear()
    for (const gate of this.held) other.held.add(gate)
    return other
  }

  /** Does one check: turns what it needs, undoes what stands in its way. */
  spend(question: Asked): void {
    const access = accessGateOf(this.pump.kind)
    const gates = gatesFor(question, this.pump.kind, completePlate(this.pump))
    if (gates.includes('power-on') && this.held.has(access) && !gates.includes(access)) {
      this.minutes += accessMinutes(this.pump)
      this.held.delete(access)
    }
    for (const gate of gates) {
      if (this.held.has(gate)) continue
      this.minutes += LIVE_GATES.includes(gate) && gate !== 'power-on' ? 0 : gateMinutes(gate, this.pump)
      for (const undone of GATES[gate].undoes ?? []) this.held.delete(undone)
      this.held.add(gate)
    }
    this.minutes += checkInfo(question.check)?.minutes ?? 5
  }
}
