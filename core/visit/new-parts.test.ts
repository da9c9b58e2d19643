import { describe, expect, it } from 'vitest'
import { countingRecords } from '../takedown/progress'
import { repairSteps, type Repair } from '../takedown/step-plan'
import type { EntryBodies } from './entry'
import { fittedByNow, partsGoingIn } from './new-parts'
import { entry, fold, opened } from './test-journal'

const plan = repairSteps('pool', 'band-clamp', ['swap-motor']) as Repair
const ids = plan.steps.map(({ id }) => id)
const ticks = (to: string) => ids.slice(0, ids.indexOf(to) + 1).map((step) => entry('step', { step, done: true }))
const motor = (more: Partial<EntryBodies['new-part']> = {}) =>
  entry('new-part', { part: 'motor', nameplate: { volts: 230, horsepower: 1.5 }, ...more })
const at = (to: string | undefined, ...more: Parameters<typeof fold>[0]) => {
  const state = fold([opened(), ...more, ...(to === undefined ? [] : ticks(to))])
  return partsGoingIn(plan, countingRecords(plan, state.steps), state)
}
const of = (parts: ReturnType<typeof at>, part: string) => parts.find((each) => each.part === part)

describe('parts that go in', () => {
  it('are those of the plan that have an identity, each once; only a motor or a pump has a plate that judges', () => {
    const parts = at(undefined)
    expect(parts.map(({ part }) => part)).toEqual(expect.arrayContaining(['motor', 'shaft-seal', 'housing-o-ring']))
    expect(new Set(parts.map(({ part }) => part)).size).toBe(parts.length)
    expect(parts.filter(({ plated }) => plated).map(({ part }) => part)).toEqual(['motor'])
    expect(parts.some(({ known, isIn, isFitted }) => known || isIn || isFitted)).toBe(false)
  })

  it('are read in the hand first, and in their place once the way back has begun over them', () => {
    const before = at('down:impeller', motor())
    expect(of(before, 'motor')).toMatchObject({
      isIn: false,
      isFitted: false,
      known: { nameplate: { horsepower: 1.5 } },
    })
    expect(fittedByNow(before)).toEqual([])
    const after = at('back:impeller', motor())
    expect(of(after, 'motor')).toMatchObject({ isIn: true, isFitted: false })
    expect(of(after, 'shaft-seal')).toMatchObject({ isIn: true })
    expect(of(after, 'housing-o-ring')).toMatchObject({ isIn: false })
    expect(fittedByNow(after).map(({ part }) => part)).toEqual(['motor'])
  })

  it('what is fitted is not written again; the newest word on it stands', () => {
    const fitted = entry('fitted', { part: 'motor', nameplate: { volts: 230, horsepower: 2 } })
    const parts = at('back:impeller', motor(), fitted)
    expect(of(parts, 'motor')).toMatchObject({ isFitted: true, known: { nameplate: { horsepower: 2 } } })
    expect(fittedByNow(parts)).toEqual([])
    const twice = fold([opened(), motor(), motor({ identity: 'threaded shaft' })])
    expect(twice.newParts.get('motor')).toMatchObject({ identity: 'threaded shaft' })
  })

  it('a new part in the hand judges nothing yet', () => {
    const state = fold([opened(), motor({ nameplate: { volts: 230, horsepower: 3 } })])
    expect(state.plate.horsepower).not.toBe(3)
    expect(state.fitted).toEqual([])
  })
})
