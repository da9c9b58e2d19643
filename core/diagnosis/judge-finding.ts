import { capacitorBand, judgeCapacitance } from '../electrical/capacitor'
import { judgeLockedCurrent, judgeRunningCurrent } from '../electrical/current'
import { judgeInsulation } from '../electrical/insulation'
import { judgeLoadedSupply, judgeSupply } from '../electrical/supply'
import { correctResistance, judgeWinding } from '../electrical/winding'
import { judgeRange, type Basis, type Judgement } from '../judgement/judgement'
import { checkInfo, outcomeLabel, outcomeVerdict, partOfFinding } from '../knowledge/checks'
import { BATTERY_VOLTS, CAPACITOR, PRESSURES, RETAINING_MILLIMETRES, RUNOUT_INCHES, SUBMERSIBLE_SHAFT, type InsulationSetup } from '../knowledge/limits'
import { PARTS, isIdOf } from '../knowledge/vocabulary'
import type { CompletePlate, Installation, Pump } from '../motor/nameplate'
import { formatNumber } from '../quantity/format'
import { sortedLeads, type Finding } from './finding'

const SEEN: Basis = { kind: 'handbook', name: 'seen on site, by the table of outcomes' }
const NO_LIMIT: Basis = { kind: 'shop', name: 'no limit known for this reading; kept for comparison' }
const WELL_SETUPS = new Set(['well-two-wire', 'well-three-wire', 'sump'])

/** The usual setup of an insulation reading when none was said. */
export function usualSetup(pump: Pump): InsulationSetup {
  return WELL_SETUPS.has(pump.kind) ? 'motor-and-cable' : 'surface-motor'
}

export interface JudgingContext {
  pump: Pump
  plate: CompletePlate
  /** The other readings of the visit, for judgements that compare two. */
  findings: readonly Finding[]
  /** The newest earlier reading of this machine by mechanism-free key `check:setup`, for trends. */
  earlier?: Readonly<Record<string, number>>
}

/**
 * Judges one finding: value, limit, verdict, margin, reason and basis.
 *
 * Every known check yields a judgement; a reading without a limit is `unclear` and says so.
 */
export function judgeFinding(finding: Finding, context: JudgingContext): Judgement {
  const part = partOfFinding(finding)
  const judged = finding.outcome === undefined ? judgeMeasured(finding, context) : judgeSeen(finding)
  return { check: finding.check, ...(part ? { part } : {}), ...(finding.leads ? { leads: finding.leads } : {}), ...judged }
}

function judgeSeen(finding: Finding): Judgement {
  const info = checkInfo(finding.check)
  const outcome = finding.outcome as string
  const verdict = outcomeVerdict(finding.check, outcome) ?? 'unclear'
  const about = finding.part && isIdOf(PARTS, finding.part) ? `${PARTS[finding.part]}, look` : (info?.label ?? finding.check)
  const subject = finding.at ? `${about}, ${finding.at}` : about
  const base = { subject, value: outcome, verdict, basis: SEEN }
  if (finding.check === 'ground-ohmmeter' && outcome === 'open') {
    return { ...base, because: 'an ordinary ohmmeter can only condemn, never clear: a winding that reads open on it can be 0.2 MΩ at 500 V. Use the megohmmeter' }
  }
  if (finding.check === 'capacitor-look' && verdict === 'failed') return { ...base, because: `${outcomeLabel(outcome)}: failed whatever it reads`, basis: CAPACITOR.lookBasis }
  if (finding.check === 'bearing-fit' && outcome === 'loose' && finding.clearanceMillimetres !== undefined) {
    const { high, basis } = RETAINING_MILLIMETRES
    const within = finding.clearanceMillimetres <= high
    return { ...base, high, basis, because: `${formatNumber(finding.clearanceMillimetres)} mm on the diameter: ${within ? `within ${high} mm, retaining compound can take it` : `over ${high} mm, a new shaft or motor`}` }
  }
  if (finding.check === 'spin-start') return { ...base, because: outcome === 'starts' ? 'as told: the winding has power, its starting torque is missing' : 'as told: spinning it made no difference' }
  return { ...base, because: outcomeLabel(outcome) }
}

function judgeMeasured(finding: Finding, context: JudgingContext): Judgement {
  const { pump, plate, findings } = context
  const value = finding.value ?? null
  const info = checkInfo(finding.check)
  const subject = info?.label ?? finding.check
  if (finding.check === 'winding-resistance') return judgeWindingFinding(finding, plate)
  if (value === null) return { subject, value: null, unit: info?.unit, verdict: 'unclear', because: 'over range: the instrument gave no figure', basis: NO_LIMIT }
  switch (finding.check) {
    case 'supply-voltage': return judgeSupply(plate.volts, value)
    case 'outlet-voltage': return judgeSupply(plate.volts, value, 'outlet')
    case 'supply-voltage-loaded': return judgeLoadedSupply(plate.volts, value, newest(findings, 'supply-voltage'))
    case 'running-current': return judgeRunningCurrent(value, plate.fullLoadAmps, plate.serviceFactorAmps)
    case 'locked-current': return judgeLockedCurrent(value, plate.fullLoadAmps, plate.lockedRotorAmps)
    case 'capacitance': return judgeCapacitorFinding(finding, value, plate)
    case 'insulation-resistance': {
      const setup = finding.setup ?? usualSetup(pump)
      return judgeInsulation({ megohms: value, setup, celsius: finding.celsius, testVolts: finding.testVolts, ageState: finding.ageState, earlierMegohms: context.earlier?.[`insulation-resistance:${setup}`] })
    }
    default: return judgeByLimits(finding.check, value, pump.installation) ?? { subject, value, unit: info?.unit, verdict: 'unclear', because: 'no limit known for this machine; kept for comparison', basis: NO_LIMIT }
  }
}

function judgeCapacitorFinding(finding: Finding, value: number, plate: CompletePlate): Judgement {
  const role = finding.part === 'start-capacitor' ? 'start' : 'run'
  const rated = role === 'run' ? plate.runCapacitorMicrofarads : plate.startCapacitorMicrofarads
  if (rated === undefined) {
    return { subject: `${role} capacitor`, value, unit: 'uF', verdict: 'unclear', because: `this motor type has no ${role} capacitor by its plate: check the type, or enter the rating`, basis: role === 'run' ? CAPACITOR.runBasis : CAPACITOR.startBasis }
  }
  return judgeCapacitance(role, capacitorBand(role, rated, role === 'run' ? plate.capacitorTolerancePercent : undefined), value)
}

function judgeWindingFinding(finding: Finding, plate: CompletePlate): Judgement {
  const pair = finding.leads ? sortedLeads(finding.leads) : 'common-run'
  const start = finding.part === 'start-winding' || pair === 'common-start'
  const through = pair === 'run-start'
  const { runWinding: run, startWinding } = plate
  const range = through ? { low: run.low + startWinding.low, high: run.high + startWinding.high, basis: run.basis } : start ? startWinding : run
  const name = through ? 'run + start winding' : start ? 'start winding' : 'run winding'
  const coded = finding.leads && !/run|start|common/.test(finding.leads)
  const value = finding.value ?? null
  const cold = value === null || finding.celsius === undefined ? value : correctResistance(value, finding.celsius, 20)
  const judged = judgeWinding(coded ? `winding ${finding.leads}` : name, cold, range)
  if (coded && value !== null) return { ...judged, value, verdict: 'unclear', because: `${formatNumber(value)} Ω between ${finding.leads?.replace('-', ' and ')}: three pairs together name the leads` }
  if (value === null || cold === value || cold === null) return judged
  return { ...judged, value, because: `${judged.because} (${formatNumber(cold)} Ω at 20 °C)`, corrected: { value: cold, to: '20 °C', rule: 'copper, IEC 60028' } }
}

function newest(findings: readonly Finding[], check: string): number | undefined {
  return findings.findLast((finding) => finding.check === check)?.value ?? undefined
}

/** Readings that are compared with a plain band of the installation or the table. */
function judgeByLimits(check: string, value: number, installation: Installation | undefined): Judgement | undefined {
  const info = checkInfo(check)
  const limits = bandOf(check, value, installation)
  if (!limits) return undefined
  const { verdict, margin } = judgeRange(value, limits)
  const band = limits.low === undefined ? `at most ${formatNumber(limits.high as number)}` : limits.high === undefined ? `at least ${formatNumber(limits.low)}` : `${formatNumber(limits.low)} to ${formatNumber(limits.high)}`
  return { subject: info?.label ?? check, value, unit: info?.unit, verdict, low: limits.low, high: limits.high, margin, because: `${verdict === 'failed' ? 'outside' : 'inside'} ${band} ${info?.unit ?? ''}`.trim(), basis: limits.basis }
}

function bandOf(check: string, value: number, installation: Installation = {}): { low?: number; high?: number; basis: Basis } | undefined {
  const { precharge, cutTolerancePsi: cut, filterHighPsi, vacuum } = PRESSURES
  const around = (centre: number | undefined, half: number, basis: Basis) => (centre === undefined ? undefined : { low: centre - half, high: centre + half, basis })
  switch (check) {
    case 'tank-precharge': return around(installation.cutInPsi === undefined ? undefined : installation.cutInPsi - precharge.belowCutInPsi, precharge.tolerancePsi, precharge.basis)
    case 'cut-in': return around(installation.cutInPsi, cut.value, cut.basis)
    case 'cut-out': return around(installation.cutOutPsi, cut.value, cut.basis)
    case 'filter-pressure': return { high: filterHighPsi.value, basis: filterHighPsi.basis }
    case 'suction-vacuum': return { low: vacuum.lowInHg, high: vacuum.highInHg, basis: vacuum.basis }
    case 'shaft-height': return { low: SUBMERSIBLE_SHAFT.heightInches[0], high: SUBMERSIBLE_SHAFT.heightInches[1], basis: SUBMERSIBLE_SHAFT.basis }
    case 'end-play': return { low: SUBMERSIBLE_SHAFT.endPlayInches[0], high: SUBMERSIBLE_SHAFT.endPlayInches[1], basis: SUBMERSIBLE_SHAFT.basis }
    case 'shaft-runout': return { high: RUNOUT_INCHES.high, basis: RUNOUT_INCHES.basis }
    case 'battery-voltage': {
      const cells = value > 18 ? 12 : value > 9 ? 6 : 3
      return { low: BATTERY_VOLTS.perSix.failed * cells, basis: BATTERY_VOLTS.basis }
    }
    default: return undefined
  }
}
