import { AMPS_CHECKS, MOTOR_STAYS_OFF, SAFETY, type SafetyRule } from '../knowledge/checks/safety'
import { SUPPLY } from '../knowledge/electrical/limits'
import { CORDED } from '../knowledge/vocabulary'
import type { CompletePlate, Pump } from '../motor/nameplate'
import type { Asked, Finding } from './finding'
import { gatesFor } from './gates'
import { judgeFinding } from './judge-finding'

export interface SafetyScene {
  pump: Pump
  plate: CompletePlate
  complaints: readonly string[]
  /** The machine's own, newest of each mechanism. */
  findings: readonly Finding[]
}

/** What is not to be done on this machine as it stands: the rules in force, and what each of them bars. */
export interface Safety {
  rules: SafetyRule[]
  bars: (asked: Asked) => SafetyRule | undefined
}

/**
 * The hard rules, outside all arithmetic: no check they bar is lit, whatever it would tell.
 *
 * @source common practice; each rule in `knowledge/checks/safety` with its reason
 */
export function safetyOf(scene: SafetyScene): Safety {
  const rules = rulesInForce(scene)
  const { pump, plate } = scene
  const isLive = (asked: Asked) => gatesFor(asked, pump.kind, plate).includes('power-on')
  return { rules, bars: (asked) => rules.find((rule) => BARS[rule](asked, isLive(asked))) }
}

const BARS: Record<SafetyRule, (asked: Asked, live: boolean) => boolean> = {
  tripped: (_, live) => live,
  grounded: (_, live) => live,
  flooded: (_, live) => live,
  seized: ({ check }, live) => live && !MOTOR_STAYS_OFF.has(check),
  lowVolts: ({ check }) => AMPS_CHECKS.has(check),
  wetFloor: ({ check }) => check !== 'outlet-voltage',
}

function rulesInForce(scene: SafetyScene): SafetyRule[] {
  const { pump, plate, complaints, findings } = scene
  const seen = (check: string, ...outcomes: string[]) =>
    findings.some((finding) => finding.check === check && outcomes.includes(finding.outcome ?? ''))
  const newest = (check: string) => findings.findLast((finding) => finding.check === check && !finding.lead)?.value
  const insulation = findings
    .filter(({ check }) => check === 'insulation-resistance' || check === 'ground-ohmmeter')
    .map((finding) => ({ check: finding.check, ...judgeFinding(finding, { pump, plate, findings }) }))
  const grounded = insulation.some(({ verdict }) => verdict === 'failed')
  const passed =
    !grounded && insulation.some(({ check, verdict }) => check === 'insulation-resistance' && verdict !== 'unclear')
  const tripped =
    complaints.includes('trips-breaker') ||
    complaints.includes('trips-gfci') ||
    seen('breaker', 'tripped', 'trips-again') ||
    seen('gfci', 'tripped', 'trips-again') ||
    seen('barrel-run', 'trips')
  const volts = newest('supply-voltage-loaded') ?? newest('supply-voltage') ?? newest('outlet-voltage')
  const readLive = findings.some((finding) => gatesFor(finding, pump.kind, plate).includes('power-on'))
  const inForce: Record<SafetyRule, boolean> = {
    tripped: tripped && !passed && !grounded,
    grounded,
    seized: seen('shaft-turn', 'seized'),
    flooded: seen('motor-fill-look', 'water') || seen('conduit-look', 'wet'),
    lowVolts: typeof volts === 'number' && volts < plate.volts * SUPPLY.noAmpsBelowFraction,
    wetFloor: complaints.includes('pit-flooded') && CORDED.includes(pump.kind) && !tripped && !readLive,
  }
  return (Object.keys(SAFETY) as SafetyRule[]).filter((rule) => inForce[rule])
}
