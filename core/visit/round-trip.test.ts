import { describe, expect, it } from 'vitest'
import type { Finding } from '../diagnosis/finding'
import { CHECKS, checkInfo, isAsked, type CheckInfo } from '../knowledge/checks/checks'
import { capacitorsHere, isHere, type Scene } from '../language/scene'
import { understand } from '../language/understand'
import { KINDS, type Kind, type MotorType } from '../knowledge/vocabulary'
import { US_READER } from '../quantity/sentence'
import type { Entry, Machine } from './entry'
import { journalLines, saidAgain } from './describe'
import { foldVisit, type VisitState } from './fold'
import { sceneOf } from './line-scene'
import { SAID_BESIDES, sayableHere } from './sayable'
import { opened } from './test-journal'

const MOTORS: Readonly<Partial<Record<Kind, MotorType>>> = {
  'well-three-wire': 'capacitor-start',
  jet: 'capacitor-start',
  pool: 'capacitor-start-run',
}

/** A visit to a machine of this kind with these findings in its journal. */
function visitWith(kind: Kind, findings: Finding[]): VisitState {
  const first = opened() as Extract<Entry, { kind: 'visit-opened' }>
  const machine: Machine = {
    ...first.body.machine,
    kind,
    nameplate: { volts: 230, motorType: MOTORS[kind] ?? 'permanent-split' },
  }
  const entries = findings.map(
    (finding, index) =>
      ({
        id: `0197a000-00ae-7000-8000-${index.toString(16).padStart(12, '0')}`,
        lamport: index + 2,
        visitId: first.visitId,
        kind: 'finding',
        at: first.at,
        author: 'test',
        body: { ...finding, stage: 'test' },
      }) as Entry,
  )
  return foldVisit([{ ...first, lamport: 1, body: { ...first.body, machine } }, ...entries]) as VisitState
}

const machines = Object.keys(KINDS) as Kind[]

/** A figure that the check can well read on a machine for 230 V. */
const figureOf = ({ unit, plausible = [0, 7] }: CheckInfo) =>
  unit === 'V' ? Math.min(231, plausible[1] / 2) : plausible[1] > 7 ? 7 : plausible[1] > 1 ? 1.5 : 0.02

/** What every check of a machine can have read: each outcome, or a figure in its span. */
function readingsOf(scene: Scene): Finding[] {
  return Object.keys(CHECKS).flatMap((check): Finding[] => {
    const info = checkInfo(check)
    if (!info || !isAsked(info) || !isHere(check, scene)) return []
    const parts: readonly (string | undefined)[] = info.parts
      ? check.startsWith('capac')
        ? capacitorsHere(scene)
        : info.parts
      : [undefined]
    return parts.flatMap((part): Finding[] => {
      const about = {
        check,
        ...(part ? { part } : {}),
        ...(check === 'winding-resistance' ? { leads: part === 'start-winding' ? 'start-common' : 'run-common' } : {}),
      }
      const { part: _, ...winding } = about
      const base = check === 'winding-resistance' ? winding : about
      return info.outcomes
        ? Object.keys(info.outcomes).map((outcome) => ({ ...base, outcome }))
        : [{ ...base, value: figureOf(info), unit: info.unit }]
    })
  })
}

describe('what the journal prints', () => {
  it.each(machines)('is understood as itself when it is said again: %s', (kind) => {
    const wrong: string[] = []
    const scene = sceneOf(visitWith(kind, []))
    for (const finding of readingsOf(scene)) {
      const state = visitWith(kind, [finding])
      const line = saidAgain(journalLines(state, US_READER)[0] as ReturnType<typeof journalLines>[number])
      const { findings, ask, note } = understand(line, scene)
      const [heard] = findings
      const same =
        heard?.check === finding.check &&
        heard.outcome === finding.outcome &&
        (finding.value === undefined || Math.abs((heard.value ?? NaN) - (finding.value as number)) < 1e-6) &&
        (finding.part === undefined || heard.part === finding.part) &&
        (finding.leads === undefined || heard.leads === finding.leads)
      if (!same)
        wrong.push(`“${line}” (${JSON.stringify(finding)}) as ${JSON.stringify(heard ?? ask?.question ?? note)}`)
    }
    expect(wrong).toEqual([])
  })

  it('keeps lead, half, side, place and age', () => {
    const all: [Kind, Finding][] = [
      ['well-three-wire', { check: 'insulation-resistance', lead: 'yellow', value: 0.2, unit: 'Mohm' }],
      ['well-two-wire', { check: 'shaft-turn', half: 'motor', outcome: 'free' }],
      ['well-two-wire', { check: 'shaft-turn', half: 'pump-end', outcome: 'tight' }],
      ['pool', { check: 'listen', side: 'motor', outcome: 'grind' }],
      ['pool', { check: 'joint-look', at: 'union', outcome: 'dripping' }],
      ['pool', { check: 'supply-voltage', lead: 'l1', value: 119, unit: 'V' }],
    ]
    for (const [kind, finding] of all) {
      const state = visitWith(kind, [finding])
      const line = saidAgain(journalLines(state, US_READER)[0] as ReturnType<typeof journalLines>[number])
      expect(understand(line, sceneOf(visitWith(kind, []))).findings, line).toMatchObject([finding])
    }
  })
})

describe('what the help says can be said', () => {
  it.each(machines)('is understood, every line of it: %s', (kind) => {
    const scene = sceneOf(visitWith(kind, []))
    const wrong: string[] = []
    for (const { sayables } of sayableHere(scene))
      for (const { begins, answers, unit } of sayables)
        for (const line of unit ? [`${begins} 7 ${unit}`] : answers.map((answer) => `${begins} ${answer}`)) {
          const { findings, ask, left } = understand(line, scene)
          const asksTheFigure = unit !== undefined && ask !== null
          if ((findings.length !== 1 && !asksTheFigure) || left.length > 0) wrong.push(line)
        }
    expect(wrong).toEqual([])
  })

  it('is understood besides readings too', () => {
    const scene = sceneOf(visitWith('pool', []))
    const other = SAID_BESIDES.slice(0, -1).map(({ line }) => understand(line, scene).other.map(({ is }) => is))
    expect(other).toEqual([['gate'], ['plate', 'plate'], ['replaced'], ['left'], ['standing'], ['wish'], ['complaint']])
    expect(understand(SAID_BESIDES.at(-1)?.line ?? '', scene).note).toBe('key with the neighbour')
  })
})
