import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planTakeDown } from './plan'
import { isClosing, isOpening } from './step-ref'
import { stepPlan } from './step-plan'
import { isCount, placesThatDiffer, trayOf, type StepRecord } from './tray'

const { steps, back } = planTakeDown('bolted-seal-plate', ['shaft-seal'])
const ticked = (ids: readonly string[], counts: Record<string, number> = {}) =>
  new Map<string, StepRecord>(
    ids.map((id) => [
      id,
      { done: true, at: '2026-05-12T10:00:00Z', ...(counts[id] === undefined ? {} : { count: counts[id] }) },
    ]),
  )

describe('the bolt tray', () => {
  it('holds what came out with its own count and hand, until it is back', () => {
    const tray = trayOf({ steps }, ticked(['down:cover-bolts', 'down:lock-screw'], { 'down:cover-bolts': 7 }))
    expect(tray).toMatchObject([
      { id: 'down:cover-bolts', count: 7 },
      { id: 'down:lock-screw', count: 1, hand: 'left' },
    ])
    expect(trayOf({ steps }, ticked(['down:cover-bolts', 'down:lock-screw', 'back:lock-screw']))).toHaveLength(1)
  })

  it('keeps what was written and where each piece belongs, and sees what went back elsewhere', () => {
    const records = new Map<string, StepRecord>([
      [
        'down:cover-bolts',
        {
          done: true,
          at: '',
          count: 8,
          places: [
            { place: 'short', count: 5 },
            { place: 'long, with nuts', count: 3 },
          ],
          note: 'one long one bent',
        },
      ],
    ])
    const [item] = trayOf({ steps }, records)
    expect(item).toMatchObject({
      written: 'one long one bent',
      places: [
        { place: 'short', count: 5 },
        { place: 'long, with nuts', count: 3 },
      ],
    })
    expect(
      placesThatDiffer(item?.places ?? [], [
        { place: 'long, with nuts', count: 3 },
        { place: 'short', count: 5 },
      ]),
    ).toEqual([])
    expect(
      placesThatDiffer(item?.places ?? [], [
        { place: 'short', count: 6 },
        { place: 'long, with nuts', count: 2 },
      ]),
    ).toHaveLength(2)
    expect(placesThatDiffer(item?.places ?? [], [{ place: 'short', count: 5 }])).toEqual([
      { place: 'long, with nuts', count: 3 },
    ])
  })

  it('counts pieces in whole numbers, up to more than any joint has', () => {
    for (const count of [0, 4, 200]) expect(isCount(count)).toBe(true)
    for (const count of [-1, 1.5, 201, NaN]) expect(isCount(count)).toBe(false)
  })

  it('marks what must be gone rather than in, and lets a bleed be', () => {
    expect(trayOf({ steps }, ticked(['down:support', 'down:discharge']))).toMatchObject([
      { id: 'down:support', temporary: true },
    ])
  })

  it('says no more of a piece than is known of it', () => {
    const [valves] = trayOf({ steps }, ticked(['down:valves']))
    for (const field of ['count', 'places', 'written', 'note', 'hand']) expect(valves).not.toHaveProperty(field)
    expect(valves?.temporary).toBe(true)
    expect(trayOf({ steps }, ticked(['down:lock-screw']))[0]?.temporary).toBe(false)
    const noted = steps.find(
      ({ id, phase, countNote }) =>
        phase === 'down' && countNote && back.some((step) => step.id === id.replace('down:', 'back:')),
    )
    const [item] = trayOf({ steps }, ticked([noted?.id as string]))
    expect(item?.note).toBe(noted?.countNote)
    const placed = steps.find(
      ({ id, phase, places }) =>
        phase === 'down' && places && back.some((step) => step.id === id.replace('down:', 'back:')),
    )
    expect(trayOf({ steps }, ticked([placed?.id as string]))[0]?.places).toEqual(placed?.places)
  })

  it('fills on the way down and is empty at the end, wherever the work was left in between', () => {
    fc.assert(
      fc.property(fc.nat({ max: steps.length }), (so) => {
        const tray = trayOf({ steps }, ticked(steps.slice(0, so).map(({ id }) => id)))
        const open = steps
          .slice(0, so)
          .filter(({ id }) => isOpening(id))
          .filter(({ id }) => back.some((step) => step.id === id.replace('down:', 'back:'))).length
        const closed = steps.slice(0, so).filter(({ id }) => isClosing(id)).length
        expect(tray.length).toBe(open - closed)
      }),
    )
    for (const action of ['bearings-and-seal', 'swap-motor']) {
      const all = stepPlan('pool', 'band-clamp', action)?.steps ?? []
      expect(trayOf({ steps: all }, ticked(all.map(({ id }) => id))), action).toEqual([])
    }
  })
})
