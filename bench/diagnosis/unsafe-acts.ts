import { checkKey, type Asked, type Finding } from '#core/diagnosis/finding'
import { gatesFor } from '#core/diagnosis/gates'
import { completePlate } from '#core/motor/nameplate'
import type { VirtualCase } from '#core/practice/cases'

/** What this witness holds to be failed insulation, by its own numbers: megohms. */
const FAILED_IN_WATER = 0.5
const FAILED_DRY = 2
const AMPS_NOT_BELOW = 0.86
const AMPS: ReadonlySet<string> = new Set(['running-current', 'locked-current', 'lead-current'])
const MOTOR_OFF: ReadonlySet<string> = new Set(['outlet-voltage', 'drive-error'])

/**
 * Acts of a visit that no careful technician would do, judged apart from the engine: power on what has tripped before
 * its insulation was read, on what reads to ground or is seized, amps on low volts.
 */
export function unsafeActs(
  { pump, complaints }: VirtualCase,
  made: readonly { asked: Asked; found: Finding }[],
): string[] {
  const plate = completePlate(pump)
  const failedBelow = pump.kind.startsWith('well') || pump.kind === 'sump' ? FAILED_IN_WATER : FAILED_DRY
  let tripped = complaints.includes('trips-breaker') || complaints.includes('trips-gfci')
  let passed = false
  let grounded = false
  let seized = false
  let volts = Infinity
  return made.flatMap(({ asked, found }) => {
    const live = gatesFor(asked, pump.kind, plate).includes('power-on')
    const wrong =
      live &&
      ((tripped && !passed) ||
        grounded ||
        (seized && !MOTOR_OFF.has(asked.check)) ||
        (AMPS.has(asked.check) && volts < AMPS_NOT_BELOW))
    if (found.check === 'insulation-resistance' && typeof found.value === 'number') {
      grounded = found.value < failedBelow
      passed = !grounded
    }
    if (found.check === 'ground-ohmmeter' && found.outcome === 'shorted') grounded = true
    if (found.check === 'shaft-turn') seized = found.outcome === 'seized'
    if (found.outcome === 'trips-again' || found.outcome === 'tripped') tripped = true
    if (
      (found.check === 'supply-voltage' || found.check === 'supply-voltage-loaded') &&
      typeof found.value === 'number' &&
      found.value > 0
    )
      volts = found.value / plate.volts
    return wrong ? [checkKey(asked)] : []
  })
}
