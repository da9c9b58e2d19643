import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { KIND_CONSTRUCTIONS, MOTOR_TYPES, type Construction, type Kind, type MotorType } from '../knowledge/vocabulary'
import type { TakeDownFound } from './plan'
import { countingRecords, openedJoints, undoneBy } from './progress'
import { jobsHere, repairSteps, type Repair } from './step-plan'
import { isClosing, isOpening, jointOf } from './step-ref'
import { trayOf, type StepRecord } from './tray'

const done = (ids: readonly string[]) => new Map(ids.map((id): [string, StepRecord] => [id, { done: true, at: '' }]))
const machines = (Object.entries(KIND_CONSTRUCTIONS) as [Kind, readonly Construction[]][]).flatMap(
  ([kind, constructions]) => constructions.map((construction) => ({ kind, construction })),
)

describe('where the work stands', () => {
  it.each(machines)(
    '$construction: ticked in its order, no plan ever asks for a step again',
    ({ kind, construction }) => {
      for (const motorType of Object.keys(MOTOR_TYPES) as MotorType[])
        for (const standing of ['installed', 'bench'] as const)
          for (const job of jobsHere(kind, construction, { motorType, standing })) {
            const plan = repairSteps(kind, construction, job, { motorType, standing }) as Repair
            const ids = plan.steps.map(({ id }) => id)
            for (let so = 1; so <= ids.length; so += 3)
              expect(
                countingRecords(plan, done(ids.slice(0, so))).size,
                `${motorType} ${standing} ${job} ${ids[so - 1]}`,
              ).toBe(so)
            expect(countingRecords(plan, done(ids)).size).toBe(ids.length)
          }
    },
  )

  it('a job added on the way back opens again what it needs, and nothing else; then everything can be closed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...machines),
        fc.nat(),
        fc.nat(),
        fc.nat(),
        ({ kind, construction }, first, second, so) => {
          const jobs = jobsHere(kind, construction)
          const [one, other] = [jobs[first % jobs.length] as string, jobs[second % jobs.length] as string]
          const begun = repairSteps(kind, construction, one) as Repair
          const ticked = begun.steps.slice(0, so % (begun.steps.length + 1)).map(({ id }) => id)
          const underway = ticked.filter(isOpening).map((id) => jointOf(id) as string)
          const plan = repairSteps(kind, construction, [one, other], { underway }) as Repair
          const records = new Map(done(ticked))
          // From where things are to the end: every step that is asked for can be ticked, and none is asked for twice.
          const asked: string[] = []
          for (let turn = 0; turn < 300; turn++) {
            const counting = countingRecords(plan, records)
            const next = plan.steps.find(({ id }) => !counting.get(id)?.done)
            if (!next) break
            asked.push(next.id)
            for (const id of undoneBy(next.id, records)) records.delete(id)
            records.set(next.id, { done: true, at: '' })
          }
          expect(new Set(asked).size, asked.join(' ')).toBe(asked.length)
          expect(trayOf(plan, records)).toEqual([])
          for (const id of plan.steps.map((step) => step.id)) expect(records.get(id)?.done, id).toBe(true)
        },
      ),
      { numRuns: 150 },
    )
  })

  it('what was done at a part is not asked for again where another job opens it again', () => {
    const seal = repairSteps('pool', 'band-clamp', 'replace-shaft-seal') as Repair
    const ids = seal.steps.map(({ id }) => id)
    const closed = ids.slice(0, ids.indexOf('back:part-halves') + 1)
    const underway = closed.filter(isOpening).map((id) => jointOf(id) as string)
    const both = repairSteps('pool', 'band-clamp', ['replace-shaft-seal', 'diffuser'], { underway }) as Repair
    const counting = countingRecords(both, done(closed))
    const left = both.steps.map(({ id }) => id).filter((id) => !counting.get(id)?.done)
    expect(left).toEqual(expect.arrayContaining(['down:part-halves', 'down:diffuser', 'work:diffuser:fit']))
    expect(left).not.toContain('work:shaft-seal:seat')
    expect(left).not.toContain('down:clamp')
    expect(left).not.toContain('down:impeller')
  })

  it('opened is what was opened, closed again or not; trying to free it is not', () =>
    expect(openedJoints(done(['down:clamp', 'down:lid', 'back:lid', 'down:impeller:free']))).toEqual(['clamp', 'lid']))

  it('whatever is found damaged or will not open, the plan can be finished', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...machines),
        fc.nat(),
        fc.array(fc.nat(), { maxLength: 4 }),
        (machine, pick, met) => {
          const { kind, construction } = machine
          const jobs = jobsHere(kind, construction)
          const job = jobs[pick % jobs.length] as string
          const plain = repairSteps(kind, construction, job) as Repair
          const joints = plain.steps.filter(({ id }) => isOpening(id))
          const found = met.flatMap((index): TakeDownFound[] => {
            const step = joints[index % Math.max(1, joints.length)]
            if (!step) return []
            return index % 2 === 0
              ? [{ joint: jointOf(step.id) as string, what: 'stuck' as const }]
              : [{ part: step.part, what: 'damaged' as const }]
          })
          const plan = repairSteps(kind, construction, job, { found }) as Repair
          const ids = plan.steps.map(({ id }) => id)
          expect(new Set(ids).size).toBe(ids.length)
          expect(trayOf(plan, done(ids))).toEqual([])
          for (const id of ids.filter(isClosing)) expect(ids).toContain(id.replace('back:', 'down:'))
        },
      ),
      { numRuns: 150 },
    )
  })
})
