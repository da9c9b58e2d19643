import { describe, expect, it } from 'vitest'
import { InputError } from '../validation/input-error'
import { GOOD_INPUTS } from './good-inputs.fixture'
import { runByName } from './registry'

interface Visit {
  after: { lit: object | null; settled: boolean }[]
  price: { total: number }
  jobs: { id: string }[]
}
const script = GOOD_INPUTS.visit as { do: unknown[] }
const played = (deeds: unknown[]) => runByName('visit', { ...script, do: deeds }) as Visit
const problem = (deeds: unknown[]) => {
  try {
    played(deeds)
  } catch (error) {
    return (error as InputError).problems[0]?.field
  }
  return undefined
}

describe('a visit from its script', () => {
  it('is the same every time, and a line has what is lit after it', () => {
    expect(played(script.do)).toEqual(played(script.do))
    const { after, jobs } = played(script.do)
    expect(after).toHaveLength(2)
    expect(after[0]?.lit).not.toBeNull()
    expect(jobs).toHaveLength(1)
  })

  it.each([
    [['weep hole dripping', { polish: 'it' }], 'do.1'],
    [[{ choose: ['polish-it'] }], 'do.0.choose'],
    [[{ choose: 'best' }, { tick: 'down:moon' }], 'do.1.tick'],
    [[{ choose: 'best' }, { until: 'down:moon' }], 'do.1.until'],
    [[{ spareFirst: true }], 'do.0.spareFirst'],
    [[42], 'do'],
  ])('%j is refused at %s', (deeds, field) => expect(problem(deeds)).toBe(field))

  it('best is what the options put first', () => {
    const options = runByName('options', {
      pump: (GOOD_INPUTS.options as { pump: object }).pump,
      complaints: ['leak-under-motor'],
      findings: [{ check: 'weep-hole', outcome: 'dripping' }],
    }) as {
      best: string
      options: { id: string; price: number; minutes: { p50: number; p90: number }; parts: object[] }[]
    }
    const { jobs, price } = played(['weep hole dripping', { choose: 'best' }])
    expect(jobs[0]?.id).toBe(options.best)
    expect(price.total).toBeCloseTo(options.options[0]?.price ?? 0, 2)
  })

  it('an option’s minutes are those of its plan, to the minute', () => {
    const { options } = runByName('options', GOOD_INPUTS.options) as {
      options: { id: string; minutes: { p50: number; p90: number } }[]
    }
    for (const { id, minutes } of options.filter(({ id: each }) => each !== 'leave-it')) {
      const plan = runByName('take-down', {
        construction: 'band-clamp',
        kind: 'pool',
        motorType: 'permanent-split',
        jobs: [id],
      }) as { minutes: { p50: number; p90: number } }
      expect([Math.round(plan.minutes.p50), Math.round(plan.minutes.p90)], id).toEqual([minutes.p50, minutes.p90])
    }
    expect(options.map(({ id }) => id)).toContain('lid-ring')
  })

  it('a take-down of jobs says what is done with the power on, and what is proved', () => {
    const plan = runByName('take-down', {
      construction: 'bolted-seal-plate',
      jobs: ['variable-speed-motor', 'diffuser'],
      motorType: 'permanent-split',
      gatesHeld: ['power-off', 'proved-dead'],
    }) as { down: { id: string }[]; commission: { id: string }[]; prove: { id: string }[] }
    expect(plan.down.map(({ id }) => id)).not.toContain('down:make-dead')
    expect(plan.commission.map(({ id }) => id)).toContain('work:motor:schedule')
    expect(plan.prove.length).toBeGreaterThan(3)
    expect(() => runByName('take-down', { construction: 'band-clamp', jobs: ['stage-kit'] })).toThrow(InputError)
    expect(() => runByName('take-down', { construction: 'band-clamp', kind: 'sump', jobs: ['swap-motor'] })).toThrow(
      InputError,
    )
  })
})
