import { describe, expect, it } from 'vitest'
import { repairSteps } from '../takedown/step-plan'
import { aheadOf } from './ahead'
import type { Entry, EntryBodies } from './entry'
import { foldVisit, type VisitState } from './fold'
import { entry, opened } from './test-journal'
import { UNNAMED_SHOP } from './shop'

const first = opened()
const ahead = (...lines: Entry[]) => aheadOf(foldVisit([first, ...lines]) as VisitState, UNNAMED_SHOP, {}, {})
const call = (complaints: string[]) => entry('call', { complaints, alreadyReplaced: [], callerSays: '' })

describe('what a visit asks of its day', () => {
  it('is a spread of minutes that narrows as more is known, and ends with the visit', () => {
    const asked = ahead(call(['hums-no-start'])).minutes
    expect(asked.p90).toBeGreaterThan(asked.p50)
    const agreed = ahead(call(['hums-no-start']), entry('decision', { option: 'replace-run-capacitor' })).minutes
    expect(agreed.p90 - agreed.p50).toBeLessThan(asked.p90 - asked.p50)
    expect(agreed.p50).toBeLessThan(asked.p50)
    expect(ahead(entry('handed-over', { watch: '' })).minutes).toEqual({ p50: 0, p90: 0 })
  })

  it('is what somebody says who knows better', () => {
    const { p50, p90 } = ahead(entry('arranged', { minutes: 20 })).minutes
    expect(p50).toBe(20)
    expect(p90).toBeGreaterThan(20)
  })

  it('shrinks with each step that is ticked', () => {
    const decided = entry('decision', { option: 'bearings-and-seal' })
    const { kind, construction } = (first.body as EntryBodies['visit-opened']).machine
    const steps = repairSteps(kind, construction, 'bearings-and-seal')?.steps ?? []
    const ticked = (count: number) =>
      ahead(decided, ...steps.slice(0, count).map(({ id }) => entry('step', { step: id, done: true }))).minutes.p50
    const [none, half, all] = [ticked(0), ticked(Math.floor(steps.length / 2)), ticked(steps.length)]
    expect(half).toBeLessThan(none)
    expect(all).toBeLessThan(half)
    expect(all).toBeGreaterThan(0)
  })

  it('takes two where a string is hoisted, and daylight over an open well; one on the bench', () => {
    const body = first.body as EntryBodies['visit-opened']
    const well = entry('machine-set', {
      machine: {
        ...body.machine,
        kind: 'well-two-wire',
        construction: 'submersible-sealed',
        installation: { wellDepthMetres: 60, onlySupply: true },
      },
    })
    expect(ahead(well, call(['no-water']))).toMatchObject({
      people: 2,
      byDaylight: true,
      urgency: { words: 'the only water there is' },
    })
    expect(ahead(well, entry('arranged', { people: 3 })).people).toBe(3)
    expect(ahead()).toMatchObject({ people: 1, byDaylight: false })
  })

  it('says what to load, and what of it is in the van', () => {
    const { load } = ahead(call(['hums-no-start']), entry('loaded', { item: 'part:run-capacitor', loaded: true }))
    expect(load.parts.map(({ id }) => id)).toContain('part:run-capacitor')
    expect(load.loaded).toEqual(['part:run-capacitor'])
  })
})
