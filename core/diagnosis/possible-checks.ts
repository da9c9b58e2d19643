import { checkInfo, isAsked, type Check, type CheckInfo } from '../knowledge/checks/checks'
import { BARREL_CHECKS, MOTOR_ALONE_CHECKS, SITE_CHECKS } from '../knowledge/checks/reach'
import { STANDSTILL_CHECKS, UPSTREAM } from '../knowledge/checks/standstill'
import { ONLY_AFTER, ONLY_FOR, TELLS_AS_MUCH } from '../knowledge/checks/tells-as-much'
import { LOOK_AHEAD } from '../knowledge/faults/thresholds'
import { SUBMERGED, type Kind, type Standing } from '../knowledge/vocabulary'
import { checkKey, type Finding } from './finding'
import { accessGateOf, gatesFor } from './gates'
import { modelCheckOf, type DiagnosisModel, type ModelCheck } from './model'
import type { Safety } from './safety'
import { standstillOf, type Standstill } from './standstill'

export interface PossibleScene {
  model: DiagnosisModel
  /** The machine's own findings, newest of each mechanism. */
  findings: readonly Finding[]
  complaints: readonly string[]
  skipped: readonly string[]
  held: ReadonlySet<string>
  standing: Standing
  safety: Safety
  posterior: Float64Array
}

/**
 * The checks that may be lit at all: safe, where the machine stands, of what stands likely enough, not made already
 * under this or another name, and not of what this machine does not do just now.
 */
export function possibleChecks(scene: PossibleScene): ModelCheck[] {
  const { model, findings, complaints, skipped, safety, standing, held, posterior } = scene
  // A finding that cannot tell was made all the same: asking for it again would tell no more.
  const done = new Set(findings.map((finding) => modelCheckOf(model, finding)?.key ?? checkKey(finding)))
  const passed = new Set(skipped)
  const now = standstillOf(findings, complaints, model.plate)
  const chances = plainChances(model, posterior)
  return model.checks.filter(
    (check) =>
      !done.has(check.key) &&
      !passed.has(check.key) &&
      !passed.has(check.check) &&
      isAsked(checkInfo(check.check) as CheckInfo) &&
      (model.pump.construction !== 'motor-bench' || MOTOR_ALONE_CHECKS.has(check.check)) &&
      standsThere(check, model.pump.kind, standing, held.has(accessGateOf(model.pump.kind))) &&
      !needsWhatIsNot(check, now, model, standing) &&
      !toldAlready(check, findings) &&
      !isIdle(check.check as Check, complaints) &&
      !comesLater(check.check as Check, findings) &&
      safety.bars(check) === undefined &&
      check.speaksOf.some((fault) => (chances.get(fault) ?? 0) >= LOOK_AHEAD.leastChance),
  )
}

/** The chance of each fault, alone or with one that follows from it; what only chance brings beside it is left out. */
function plainChances({ hypotheses }: DiagnosisModel, posterior: Float64Array): Map<string, number> {
  const plain = hypotheses.reduce((sum, { byChance }, h) => (byChance ? sum : sum + (posterior[h] as number)), 0)
  if (plain === 0) return new Map()
  // Where only pairs are left to explain it, each of the two counts.
  const counts = plain < LOOK_AHEAD.plainShare
  const chances = new Map<string, number>()
  hypotheses.forEach(({ faults, byChance }, h) => {
    if (byChance && !counts) return
    const share = (posterior[h] as number) / (counts ? 1 : plain)
    for (const fault of faults) chances.set(fault, (chances.get(fault) ?? 0) + share)
  })
  return chances
}

function standsThere({ check, standings, setup }: ModelCheck, kind: Kind, standing: Standing, out: boolean): boolean {
  if (standings) return standings.includes(standing) || (out && standing === 'installed' && standings.includes('bench'))
  if (standing === 'installed') return true
  if (setup === 'motor-and-cable' || setup === 'cable-alone') return false
  // A submerged pump’s wires are joined where it came from.
  if (check === 'wiring-look' && SUBMERGED.includes(kind)) return false
  return !SITE_CHECKS.has(check) && (standing === 'barrel' || !BARREL_CHECKS.has(check))
}

/** Nothing is asked that needs a turning shaft, a current or volts where there is none. */
function needsWhatIsNot(
  check: ModelCheck,
  { still, dead, noPower }: Standstill,
  { pump, plate }: DiagnosisModel,
  standing: Standing,
): boolean {
  const id = check.check as Check
  if (still && STANDSTILL_CHECKS.turning.includes(id)) return true
  // What a rotor draws standing is asked of one that stands.
  if (!still && id === 'locked-current') return true
  if (dead && STANDSTILL_CHECKS.drawing.includes(id)) return true
  return noPower && !UPSTREAM.has(id) && gatesFor(check, pump.kind, plate, standing).includes('power-on')
}

/** A look that only a leak, air or lost water makes worth while, where something else was told. */
function isIdle(check: Check, complaints: readonly string[]): boolean {
  const wanting = ONLY_FOR[check]
  return wanting !== undefined && complaints.length > 0 && !wanting.some((complaint) => complaints.includes(complaint))
}

function comesLater(check: Check, findings: readonly Finding[]): boolean {
  const before = ONLY_AFTER[check]
  return (
    before !== undefined &&
    !findings.some((finding) => finding.check === before.check && finding.outcome === before.outcome)
  )
}

function toldAlready({ check, part }: ModelCheck, findings: readonly Finding[]): boolean {
  return TELLS_AS_MUCH.some(
    ({ after, not }) =>
      not.includes(check as Check) &&
      findings.some(
        (finding) =>
          finding.check === after.check &&
          (!after.outcomes || after.outcomes.includes(finding.outcome ?? '')) &&
          (!after.notZero || (typeof finding.value === 'number' && finding.value > 1)) &&
          (!after.samePart || (finding.part ?? part) === part) &&
          (!after.half || (after.half === 'whole') === (finding.half === undefined || finding.half === 'whole')),
      ),
  )
}
