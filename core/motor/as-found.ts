import { MOTOR_HAS, completePlate, type Pump } from './nameplate'
import type { MotorType } from '../knowledge/vocabulary'

/** What of a finding betrays a part: what was looked at or measured is there. */
export interface Betraying {
  check: string
  part?: string
}

/**
 * The machine with the motor type that its findings prove: a part that was seen exists, whatever a plate says or was
 * guessed from it.
 */
export function pumpAsFound<P extends Pump>(pump: P, findings: readonly Betraying[]): P {
  const seen = (check: string, part?: string) =>
    findings.some((finding) => finding.check === check && (part === undefined || finding.part === part))
  const capacitor = (part: string) => seen('capacitance', part) || seen('capacitor-look', part)
  const drive = seen('drive-error')
  const run = capacitor('run-capacitor')
  const start = capacitor('start-capacitor')
  const startSwitch = seen('start-switch-look')
  if (!drive && !run && !start && !startSwitch) return pump
  const { motorType } = completePlate(pump)
  const proved = drive ? 'electronic' : typeWith(motorType, { run, start, startSwitch })
  if (proved === motorType) return pump
  return { ...pump, nameplate: { ...pump.nameplate, motorType: proved } }
}

function typeWith(
  type: MotorType,
  { run, start, startSwitch }: { run: boolean; start: boolean; startSwitch: boolean },
): MotorType {
  const lacks =
    (run && !MOTOR_HAS.runCapacitor(type)) ||
    (start && !MOTOR_HAS.startCapacitor(type)) ||
    (startSwitch && !MOTOR_HAS.startSwitch(type))
  if (!lacks) return type
  const runs = run || MOTOR_HAS.runCapacitor(type)
  if (runs) return start || startSwitch || MOTOR_HAS.startSwitch(type) ? 'capacitor-start-run' : 'permanent-split'
  return start || MOTOR_HAS.startCapacitor(type) ? 'capacitor-start' : 'split-phase'
}
