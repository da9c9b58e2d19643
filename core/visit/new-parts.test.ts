import { describe, expect, it } from 'vitest'
import { countingRecords } from '../takedown/progress'
import { repairSteps, type Repair } from '../takedown/step-plan'
import { ENTRY_VERSION, type EntryBodies } from './entry'
import { validEntry } from './entry-rules'
import { machineAfter } from './fitted'
import { bearingsNamed, fittedByNow, matchNewPart, partsGoingIn } from './new-parts'
import { entry, fold, opened, reading } from './test-journal'

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

  it('a pump’s duty is kept with it, and stands on the card', () => {
    const duty = { flowLitresPerSecond: 1.6, headMetres: 3.7 }
    const state = fold([opened(), entry('fitted', { part: 'pump', nameplate: { volts: 230 }, duty })])
    expect(machineAfter(state.machine, state.entries).fitted?.at(-1)).toMatchObject({ part: 'pump', duty })
    const wrong = { part: 'pump', duty: { flowLitresPerSecond: -1, headMetres: 3 } }
    expect(() => validEntry({ ...entry('fitted', wrong as never), v: ENTRY_VERSION })).toThrow(/flowLitresPerSecond/)
  })

  it('bearings are said with bore, outside and width (ISO 15); a number that is none says nothing', () => {
    expect(bearingsNamed('6203 2RS drive, 6203 far; was 6205-2Z')).toEqual([
      { number: '6203', millimetres: [17, 40, 12] },
      { number: '6205', millimetres: [25, 52, 15] },
    ])
    expect(bearingsNamed('620 drive, 162034')).toEqual([])
  })

  it('are matched against the supply from line to line, never against one leg or a dead line; a pump by its duty too', () => {
    const volts = (value: number, lead?: string) => reading('supply-voltage', value, lead ? { lead } : {})
    const of230 = { part: 'motor', nameplate: { volts: 230, otherVolts: 115 } } as const
    const against = (...entries: Parameters<typeof fold>[0]) =>
      matchNewPart(of230, fold([opened(), ...entries])).find(({ point }) => point === 'volts')?.verdict
    expect(against()).toBe('fits')
    expect(against(volts(236), volts(118, 'l1'), volts(0.4))).toBe('fits')
    expect(against(volts(118))).toBe('fits-with')
    const points = (part: 'motor' | 'pump') =>
      matchNewPart({ ...of230, part }, fold([opened()])).map(({ point }) => point)
    expect(points('pump')).toContain('duty')
    expect(points('motor')).not.toContain('duty')
    expect(matchNewPart({ part: 'motor' }, fold([opened()]))).toEqual([])
  })
})
