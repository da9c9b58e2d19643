import { describe, expect, it } from 'vitest'
import { KIND_KNOWLEDGE } from '../knowledge/kinds'
import { splitStep, stepPlan, type PlanStep } from './step-plan'

const steps = (construction: 'band-clamp' | 'bolted-seal-plate', action: string): PlanStep[] => stepPlan('pool', construction, action)?.steps ?? []
const ids = (list: PlanStep[], phase: PlanStep['phase']) => list.filter((step) => step.phase === phase).map(({ id }) => id.split(':')[1])

describe('the steps of a repair', () => {
  it.each(['band-clamp', 'bolted-seal-plate'] as const)('go back in the reverse of the way down, for every repair on %s', (construction) => {
    for (const { id } of KIND_KNOWLEDGE.pool?.actions ?? []) {
      const plan = steps(construction, id)
      expect(plan.length).toBeGreaterThan(0)
      expect(ids(plan, 'back')).toEqual(ids(plan, 'down').reverse())
      expect(plan.findIndex(({ phase }) => phase === 'back')).toBeGreaterThanOrEqual(plan.findLastIndex(({ phase }) => phase === 'work') === -1 ? -1 : plan.findIndex(({ phase }) => phase === 'work') - 1)
      expect(new Set(plan.map((step) => step.id)).size).toBe(plan.length)
    }
  })

  it('discharges the capacitor before a hand goes to its leads', () => {
    const down = ids(steps('band-clamp', 'replace-run-capacitor'), 'down')
    expect(down.indexOf('discharge')).toBeLessThan(down.indexOf('capacitor-leads'))
    expect(down[0]).toBe('make-dead')
  })

  it('says that the lock screw is left-handed: clockwise to undo, counter-clockwise to close', () => {
    const plan = steps('bolted-seal-plate', 'replace-shaft-seal')
    expect(plan.find(({ id }) => id === 'down:lock-screw')).toMatchObject({ hand: 'left', turn: 'clockwise', text: expect.stringContaining('clockwise') as string })
    expect(plan.find(({ id }) => id === 'back:lock-screw')).toMatchObject({ hand: 'left', turn: 'counter-clockwise' })
    expect(steps('band-clamp', 'replace-shaft-seal').some(({ id }) => id.includes('lock-screw'))).toBe(false)
  })

  it('takes the lock screw out before the impeller, counter-clockwise seen from the eye', () => {
    const down = ids(steps('bolted-seal-plate', 'swap-motor'), 'down')
    expect(down.indexOf('lock-screw')).toBeLessThan(down.indexOf('impeller'))
    expect(steps('band-clamp', 'swap-motor').find(({ id }) => id === 'down:impeller')).toMatchObject({ hand: 'right', turn: 'counter-clockwise' })
  })

  it('puts the seal halves where this construction has them, carbon to ceramic', () => {
    expect(steps('band-clamp', 'replace-shaft-seal').find(({ id }) => id === 'work:seat-in-plate')?.orientation).toContain('ceramic')
    expect(steps('bolted-seal-plate', 'replace-shaft-seal').map(({ id }) => id)).toEqual(expect.arrayContaining(['work:spring-in-plate', 'work:seat-in-impeller']))
  })

  it('relieves pressure and drains before a wet end is parted', () => {
    for (const construction of ['band-clamp', 'bolted-seal-plate'] as const) {
      const down = ids(steps(construction, 'replace-shaft-seal'), 'down')
      expect(down.indexOf('valves')).toBeLessThan(down.indexOf('drain'))
      expect(down.indexOf('drain')).toBeLessThan(down.indexOf(construction === 'band-clamp' ? 'clamp' : 'cover-bolts'))
    }
  })

  it('reconnects the bonding wire last, just before the last look and the breaker', () => {
    const back = ids(steps('bolted-seal-plate', 'swap-motor'), 'back')
    expect(back.slice(-3)).toEqual(['bonding', 'discharge', 'make-dead'])
  })

  it('never reuses an O-ring in silence', () => {
    expect(steps('band-clamp', 'replace-shaft-seal').find(({ id }) => id === 'back:part-halves')?.text).toContain('New housing O-ring')
  })

  it('speaks of the start capacitor where that is the one being replaced', () => {
    expect(steps('band-clamp', 'replace-start-capacitor').find(({ id }) => id === 'work:fit-capacitor')?.part).toBe('start-capacitor')
  })

  it('splits into what is done and how, losing no word', () => {
    expect(splitStep('Lock screw out of the impeller eye: it is left-handed, turn it clockwise')).toEqual({ title: 'Lock screw out of the impeller eye', how: 'It is left-handed, turn it clockwise.' })
    for (const { text } of steps('bolted-seal-plate', 'swap-motor')) {
      const { title, how } = splitStep(text)
      expect(`${title} ${how}`.toLowerCase().match(/[a-z0-9]+/g)).toEqual(text.toLowerCase().match(/[a-z0-9]+/g))
    }
  })

  it('is undefined for a repair nobody knows', () => expect(stepPlan('pool', 'band-clamp', 'polish-it')).toBeUndefined())
})
