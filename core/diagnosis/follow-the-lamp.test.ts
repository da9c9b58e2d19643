import { describe, expect, it } from 'vitest'
import { checkInfo } from '../knowledge/checks'
import type { MotorType } from '../knowledge/vocabulary'
import { diagnose } from './diagnose'
import type { DiagnosisCase, Finding } from './finding'
import { buildModel, type DiagnosisModel } from './model'
import { statisticScale } from './statistic'

/**
 * A technician who does what the lamp says, at a machine with one known fault that answers every check with what that fault most often shows.
 * This tests the economics and the end of testing, not the tables: those are the same on both sides. The independent witness comes with core/virtual.
 */
function follow(motorType: MotorType, fault: string): { findings: Finding[]; minutes: number; settled: boolean; action?: string; model: DiagnosisModel } {
  const pump: DiagnosisCase['pump'] = { kind: 'pool', construction: 'band-clamp', ageYears: 7, nameplate: { volts: 230, hertz: 60, motorType, horsepower: 1 } }
  const model = buildModel(pump) as DiagnosisModel
  const row = model.knowledge.faults.find((each) => each.fault === fault)
  const complaint = Object.entries(row?.complaints ?? {}).sort((a, b) => b[1] - a[1])[0]?.[0] as string
  const findings: Finding[] = []
  let minutes = 0
  for (let turn = 0; turn < 25; turn++) {
    const result = diagnose({ pump, complaints: [complaint], findings })
    if (result.settled) return { findings, minutes, settled: true, action: result.bestAction, model }
    const next = result.next
    if (!next) break
    minutes += next.minutes
    findings.push(answer(model, fault, next))
  }
  return { findings, minutes, settled: false, model }
}

function answer(model: DiagnosisModel, fault: string, { check, part, leads }: { check: string; part?: string; leads?: string }): Finding {
  const about = { check, ...(part ? { part } : {}), ...(leads ? { leads } : {}) }
  const seen = model.knowledge.seen.find((row) => row.check === check && (row.part === undefined || row.part === part))
  if (seen) {
    const made = model.checks.find((each) => each.check === check && each.part === (part ?? each.part)) as DiagnosisModel['checks'][number]
    const h = model.hypotheses.findIndex(({ faults }) => faults.length === 1 && faults[0] === fault)
    const states = made.states.map(({ id }, s) => ({ id, chance: made.rows[h * made.states.length + s] as number }))
    return { ...about, outcome: states.sort((a, b) => b.chance - a.chance)[0]?.id }
  }
  const measured = model.knowledge.measured.find((row) => row.check === check && (row.part ?? part) === part && (row.leads ?? leads) === leads)
  if (!measured) throw new Error(`${check} is not known`)
  const components = [...((measured.effects as Record<string, typeof measured.normal | undefined>)[fault] ?? measured.normal)].sort((a, b) => b.weight - a.weight)
  const likeliest = components[0] as (typeof components)[number]
  const scale = statisticScale(measured, model.plate)
  return { ...about, value: 'open' in likeliest ? null : (scale?.back(likeliest.mean) ?? 0), unit: checkInfo(check)?.unit }
}

describe('following the lamp to its end', () => {
  const cases = (['permanent-split', 'capacitor-start-run', 'split-phase', 'electronic'] as const).flatMap((motorType) => {
    const model = buildModel({ kind: 'pool', nameplate: { volts: 230, motorType } }) as DiagnosisModel
    return model.hypotheses.filter(({ faults }) => faults.length === 1 && faults[0] !== 'nothing-wrong').map(({ faults }) => ({ motorType, fault: faults[0] as string }))
  })
  const runs = cases.map((each) => ({ ...each, ...follow(each.motorType, each.fault) }))

  it('always settles, and never asks for the same thing twice', () => {
    for (const { findings, settled, fault } of runs) {
      expect(settled, fault).toBe(true)
      const asked = findings.map(({ check, part, leads }) => `${check} ${part ?? ''} ${leads ?? ''}`)
      expect(new Set(asked).size, fault).toBe(asked.length)
    }
  })

  it('ends with a repair that cures the fault, for nearly all of them', () => {
    const wrong = runs.filter(({ action, fault, model }) => !(model.actions.find(({ id }) => id === action)?.cures as readonly string[]).includes(fault))
    expect(1 - wrong.length / runs.length, wrong.map(({ motorType, fault, action }) => `${motorType} ${fault}: ${action}`).join('; ')).toBeGreaterThan(0.9)
  })

  it('is quick about the common ones', () => {
    const minutes = (fault: string) => runs.find((run) => run.fault === fault)?.minutes ?? Infinity
    expect(minutes('run-capacitor-failed')).toBeLessThanOrEqual(15)
    expect(minutes('shaft-seal-leaking')).toBeLessThanOrEqual(15)
    expect(minutes('no-supply')).toBeLessThanOrEqual(20)
  })
})
