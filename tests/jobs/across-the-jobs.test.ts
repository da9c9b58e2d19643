import { describe, expect, it } from 'vitest'
import { diagnose } from '#core/diagnosis/diagnose'
import type { DiagnosisCase, Finding } from '#core/diagnosis/finding'
import { gatesFor } from '#core/diagnosis/gates'
import { understand } from '#core/language/understand'
import type { Scene } from '#core/language/scene'
import { checkInfo } from '#core/knowledge/checks/checks'
import { CONSTRUCTION_GRAPHS } from '#core/knowledge/constructions'
import { BARREL_TRIAL, BENCH_TRIAL } from '#core/knowledge/repairs/bench-work'
import { proofsFor } from '#core/knowledge/repairs/proofs'
import {
  KIND_CONSTRUCTIONS,
  KINDS,
  MOTOR_TYPES,
  type Construction,
  type Kind,
  type MotorType,
} from '#core/knowledge/vocabulary'
import { completePlate } from '#core/motor/nameplate'
import { render, US_READER } from '#core/quantity/sentence'
import { jobsHere, repairSteps } from '#core/takedown/step-plan'
import { isOpening } from '#core/takedown/step-ref'
import { play } from './job'

/**
 * The rules across the jobs that speak of words, checks and judgement; those of the order of steps stand beside the
 * planner. Common practice.
 */
const kinds = Object.keys(KINDS) as Kind[]
const caseOf = (kind: Kind, more: Partial<DiagnosisCase> = {}): DiagnosisCase => ({
  pump: { kind, nameplate: { volts: kind === 'sump' ? 115 : 230, hertz: 60 } },
  ...more,
})
const chance = (of: DiagnosisCase, fault: string) =>
  diagnose(of).suspects.find((suspect) => suspect.fault === fault)?.probability ?? 0
const sceneOf = (kind: Kind, more: Partial<Scene> = {}): Scene => ({
  kind,
  plate: completePlate(caseOf(kind).pump),
  printed: {},
  standing: 'installed',
  gates: new Set(),
  ...more,
})
const said = (line: string, kind: Kind = 'pool', more: Partial<Scene> = {}) => understand(line, sceneOf(kind, more))

/** Every plan of every machine: each construction, motor type and standing with each of its jobs. */
const plans = (Object.entries(KIND_CONSTRUCTIONS) as [Kind, readonly Construction[]][]).flatMap(([kind, those]) =>
  those.flatMap((construction) =>
    (Object.keys(MOTOR_TYPES) as MotorType[]).flatMap((motorType) =>
      (['installed', 'bench'] as const).flatMap((standing) =>
        jobsHere(kind, construction, { motorType, standing }).map((job) => ({
          name: `${construction} ${motorType} ${standing} ${job}`,
          steps: repairSteps(kind, construction, job, { motorType, standing })?.steps ?? [],
        })),
      ),
    ),
  ),
)

describe('what is read, and when', () => {
  it.each(kinds)('3: %s: after a trip or a failed insulation nothing live is lit', (kind) => {
    const isLive = (of: DiagnosisCase) => {
      const { next } = diagnose(of)
      return next !== null && gatesFor(next, kind, completePlate(of.pump)).includes('power-on')
    }
    expect(isLive(caseOf(kind, { complaints: ['trips-breaker'] }))).toBe(false)
    const grounded: Finding = { check: 'insulation-resistance', value: 0.05, unit: 'Mohm' }
    expect(isLive(caseOf(kind, { complaints: ['hums-no-start'], findings: [grounded] }))).toBe(false)
  })

  it('4: the instrument is proved first; hands off and discharged after, at every step with a megohmmeter', () => {
    const megohms = plans.flatMap(({ steps }) => steps.filter(({ tool }) => tool?.includes('megohmmeter')))
    expect(megohms.length).toBeGreaterThan(100)
    for (const { id, caution, text } of megohms)
      expect(`${caution ?? ''} ${render(text, US_READER)}`, id).toMatch(/hands off.*discharged? after/i)
    expect(BARREL_TRIAL.map(({ id }) => id).indexOf('prove-meter')).toBeLessThan(
      BARREL_TRIAL.map(({ id }) => id).indexOf('to-shell'),
    )
  })

  it('5: lead to shell, lead to lead, megohmmeter, then power; an ohmmeter to ground condemns and never clears', () => {
    const order = BARREL_TRIAL.map(({ id }) => id).filter((id) =>
      ['to-shell', 'lead-to-lead', 'megohms', 'run'].includes(id),
    )
    expect(order).toEqual(['to-shell', 'lead-to-lead', 'megohms', 'run'])
    const plain = caseOf('well-three-wire', { complaints: ['trips-breaker'] })
    const open: Finding = { check: 'ground-ohmmeter', outcome: 'open' }
    const after = { ...plain, findings: [open] }
    expect(diagnose(after).judgements[0]?.verdict).toBe('unclear')
    // It says nothing of a winding that only a high voltage finds.
    expect(diagnose(after).next?.check).toBe('insulation-resistance')
    const shorted = { ...plain, findings: [{ check: 'ground-ohmmeter', outcome: 'shorted' }] }
    expect(diagnose(shorted).judgements[0]?.verdict).toBe('failed')
    expect(chance(shorted, 'winding-to-ground')).toBeGreaterThan(chance(plain, 'winding-to-ground'))
  })

  it('6: primed before the water is judged', () => {
    const ids = BENCH_TRIAL.map(({ id }) => id)
    expect(ids.indexOf('fill-suction')).toBeLessThan(ids.indexOf('run'))
    expect(ids.indexOf('fill-body')).toBeLessThan(ids.indexOf('run'))
  })

  it('7: a shaft that is spun to start is history: no lamp ever asks for it', () => {
    expect(checkInfo('spin-start')?.historyOnly).toBe(true)
    for (const kind of kinds)
      for (const complaint of ['hums-no-start', 'dead'])
        expect(diagnose(caseOf(kind, { complaints: [complaint] })).next?.check).not.toBe('spin-start')
  })

  it('8: a new motor or pump is matched and read before anything is opened', () => {
    const matched = plans.filter(({ steps }) => steps.some(({ id }) => /^work:(?:motor|pump|pump-end):match$/.test(id)))
    expect(matched.length).toBeGreaterThan(50)
    for (const { name, steps } of matched) {
      const match = steps.findIndex(({ id }) => /:match$/.test(id))
      const opened = steps.findIndex(({ id, joint }) => isOpening(id) && joint !== 'gate')
      expect(match, name).toBeLessThan(opened)
    }
  })

  it('12: the shaft is held at flats or slot first, at the vents last', () => {
    const holds = CONSTRUCTION_GRAPHS.flatMap(({ joints }) => joints.flatMap(({ hold }) => (hold ? [hold] : [])))
    expect(holds.length).toBeGreaterThan(5)
    for (const hold of holds)
      for (const [at, way] of hold.entries()) if (/vent/.test(way)) expect(at).toBe(hold.length - 1)
  })

  it('24: nothing with a wet end gets more than a second dry, and only bare', () => {
    for (const { name, steps } of plans)
      for (const { id, tags, text } of steps)
        if (tags?.includes('trial')) expect(render(text, US_READER), `${name} ${id}`).toMatch(/one second|kick/i)
  })

  it('28: dry is said after wiping, running and looking again', () =>
    expect(proofsFor('pool', 'band-clamp').find(({ check }) => check === 'weep-hole')).toMatchObject({
      ask: expect.stringMatching(/Wipe dry, run some minutes/) as string,
      waitMinutes: 5,
    }))
})

describe('words', () => {
  it('30: a side stays with its reading; one lead read does not speak for three', () => {
    expect(said('head turns free', 'well-two-wire', { standing: 'bench' }).findings).toMatchObject([
      { check: 'shaft-turn', outcome: 'free', half: 'pump-end' },
    ])
    expect(said('grinds, mtr side').findings).toMatchObject([{ check: 'listen', side: 'motor' }])
    const leads = said('meg .25 blk, .25 yel', 'well-three-wire', { standing: 'bench' }).findings
    expect(leads.map(({ lead }) => lead)).toEqual(['black', 'yellow'])
  })

  it('32: a motor that is replaced takes what is in it along; parts outside keep their age', () => {
    const visit = play({
      machine: {
        kind: 'pool',
        construction: 'band-clamp',
        nameplate: { volts: 230, hertz: 60, horsepower: 1, motorType: 'permanent-split', runCapacitorMicrofarads: 30 },
      },
      call: { complaints: ['noise-grind'] },
      do: [
        'run cap 18',
        'weep dry',
        { plate: { volts: 230, horsepower: 1, motorType: 'permanent-split' } },
        'weep dry',
      ],
    })
    const before = visit.after[0]?.top.find(({ fault }) => fault === 'run-capacitor-failed')?.probability ?? 0
    const after = visit.after[2]?.top.find(({ fault }) => fault === 'run-capacitor-failed')?.probability ?? 0
    expect(before).toBeGreaterThan(after)
    expect(visit.card.nameplate.runCapacitorMicrofarads).toBeUndefined()
  })

  it('33: replaced lowers suspicion and never clears', () => {
    const plain = caseOf('pool', { complaints: ['hums-no-start'] })
    plain.pump.nameplate = { volts: 230, motorType: 'permanent-split', runCapacitorMicrofarads: 30 }
    const replaced = { ...plain, alreadyReplaced: ['run-capacitor'] }
    expect(chance(replaced, 'run-capacitor-failed')).toBeLessThan(chance(plain, 'run-capacitor-failed'))
    const read: Finding = { check: 'capacitance', part: 'run-capacitor', value: 2, unit: 'uF' }
    expect(chance({ ...replaced, findings: [read] }, 'run-capacitor-failed')).toBeGreaterThan(0.5)
  })

  it('34: what is denied or not measured is no reading', () => {
    for (const line of ['cap not it', 'cap not measured today', 'not the cap', 'cable not in box'])
      expect(said(line).findings, line).toEqual([])
  })

  it('37: what is left of the old part is searched for before a new half goes in', () => {
    const seals = plans.filter(({ steps }) => steps.some(({ id }) => id === 'work:shaft-seal:seat'))
    expect(seals.length).toBeGreaterThan(50)
    for (const { name, steps } of seals) {
      const at = (id: string) => steps.findIndex((step) => step.id === id)
      expect(at('work:shaft-seal:old-sleeve'), name).toBeGreaterThan(-1)
      expect(at('work:shaft-seal:old-sleeve'), name).toBeLessThan(
        Math.min(at('work:shaft-seal:seat'), at('work:shaft-seal:spring')),
      )
    }
  })
})

describe('what decides', () => {
  const seal = (more: readonly (string | object)[] = []) =>
    play({
      machine: {
        kind: 'pool',
        construction: 'bolted-seal-plate',
        nameplate: { volts: 230, hertz: 60, horsepower: 1.5, motorType: 'permanent-split' },
      },
      call: { complaints: ['leak-under-motor'] },
      do: [{ choose: ['replace-shaft-seal'] }, ...more],
    })

  it('35: what is seen and left stands on sheet and card, and has no lamp', () => {
    const visit = seal(['foot cracked, left alone'])
    expect(visit.sheet.left.join()).toMatch(/Foot cracked/)
    expect(visit.card.left.join()).toMatch(/Foot cracked/)
    expect(visit.after[0]?.understood.findings).toEqual([])
  })

  it('36: eight out, seven in stops the step until a reason is written', () => {
    const seven = { tick: 'back:cover-bolts', count: 5 }
    const visit = seal([{ until: 'back:cover-bolts' }, seven, { ...seven, reason: 'one stripped, ordered' }])
    expect(visit.refused).toMatchObject([{ step: 'back:cover-bolts', because: expect.stringMatching(/6 .*5 go in/) }])
    expect(visit.plan.back.find(({ id }) => id === 'back:cover-bolts')?.done).toBe(true)
  })

  it('38: money never decides against a limit: a failed winding is not put back, whatever it costs', () => {
    const ruined = caseOf('well-three-wire', {
      complaints: ['trips-breaker'],
      standing: 'bench',
      findings: ['black', 'yellow', 'red'].map((lead) => ({
        check: 'insulation-resistance',
        value: 0.25,
        unit: 'Mohm',
        setup: 'motor-alone',
        ageState: 'used',
        lead,
      })),
    })
    for (const markup of [0, 5])
      expect(
        diagnose(ruined, {
          rates: {
            currency: 'USD',
            hourly: 90,
            trip: 60,
            partsMarkup: markup,
            downtime: 0,
            partPrices: { motor: 9000, 'pump-end': 9000, pump: 20000 },
          },
        }).bestAction,
      ).not.toBe('leave-it')
    expect(diagnose(ruined).judgements.every(({ verdict }) => verdict === 'failed')).toBe(true)
  })

  it('40: a visit may end open: what lies in the tray and what comes next is its hand-over', () => {
    const visit = seal([
      { until: 'down:impeller' },
      { handOver: { watch: 'pump stands open, covered; the breaker is locked', next: '2026-06-04' } },
    ])
    expect(visit.plan.tray.length).toBeGreaterThan(2)
    expect(visit.plan.left[0]).toBe('down:impeller')
    expect(visit.sheet.watch.join()).toMatch(/stands open/)
    expect(visit.sheet.next).toBe('2026-06-04')
  })
})
