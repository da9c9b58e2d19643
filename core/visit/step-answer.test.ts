import { describe, expect, it } from 'vitest'
import { stepPlan } from '../takedown/step-plan'
import { entry, fold, opened } from './test-journal'
import { canClose, followsFrom } from './step-answer'

const steps = stepPlan('pool', 'band-clamp', 'bearings-and-seal')?.steps ?? []
const look = steps.find(({ id }) => id === 'work:shaft-seal:look-shaft')
const fit = steps.find(({ id }) => id === 'work:bearings:fit-check')

describe('what decides', () => {
  it('a look does not close without its answer, a clearance not without its figure', () => {
    expect(canClose(look ?? {}, {})).toBe(false)
    expect(canClose(look ?? {}, {}, 'maybe')).toBe(false)
    expect(canClose(look ?? {}, {}, 'clean')).toBe(true)
    expect(canClose(fit ?? {}, {})).toBe(false)
    expect(canClose(fit ?? {}, { bearingClearanceMm: 0 })).toBe(true)
  })

  it('a bearing that was said to sit tight has its figure, and the slack end speaks', () => {
    const fits = (outcome: string, clearanceMillimetres?: number) =>
      entry('finding', {
        check: 'bearing-fit',
        outcome,
        ...(clearanceMillimetres === undefined ? {} : { clearanceMillimetres }),
        stage: 'test',
      })
    expect(fold([opened(), fits('tight')]).measured).toEqual({ bearingClearanceMm: 0 })
    expect(fold([opened(), fits('loose', 0.04), fits('tight')]).measured).toEqual({ bearingClearanceMm: 0.04 })
  })

  it('pitting that is felt is a finding, and a motor is offered; slight pitting is written and goes on', () => {
    const felt = look?.asks?.find(({ id }) => id === 'felt')
    expect(felt && followsFrom(felt)).toEqual([
      { kind: 'finding', body: { check: 'shaft-look', outcome: 'pitted', stage: 'test' } },
      { kind: 'job', body: { job: 'swap-motor', state: 'offered', from: 'damage', why: 'Pitted, and felt' } },
    ])
    const slight = look?.asks?.find(({ id }) => id === 'slight')
    expect(slight && followsFrom(slight)).toEqual([])
  })
})
