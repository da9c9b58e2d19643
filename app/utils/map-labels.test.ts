import { describe, expect, it } from 'vitest'
import { placeLabels, smoothPath } from './map-labels'

const room = { width: 300, height: 300, size: 13 }

describe('the names on the map', () => {
  it('stand to the right, turn to the left at the edge, and give way to another mark', () => {
    const placed = placeLabels(
      [
        { x: 40, y: 40, text: 'one' },
        { x: 290, y: 100, text: 'a long name' },
        { x: 40, y: 200, text: 'beside' },
        { x: 75, y: 200, text: 'next' },
      ],
      [],
      room,
    ).labels
    expect(placed.map((label) => label?.anchor)).toEqual(['start', 'end', 'middle', 'start'])
  })

  it('are left out where there is no room', () => {
    const crowd = Array.from({ length: 9 }, (_, index) => ({
      x: 130 + (index % 3) * 24,
      y: 130 + Math.floor(index / 3) * 24,
      text: 'the middle one of all of these',
    }))
    expect(placeLabels(crowd, [], { ...room, width: 250 }).labels[4]).toBeUndefined()
  })

  it('have an area’s name step out of the way of a mark and its name, or give way', () => {
    const areas = [
      { name: 'free', x: 200, y: 40 },
      { name: 'beside it', x: 30, y: 104 },
      { name: 'beyond the edge', x: 250, y: 200 },
    ]
    const placed = placeLabels([{ x: 40, y: 100, text: 'the house' }], areas, room).areas
    expect(placed.map(({ name }) => name)).toEqual(['free', 'beside it'])
    expect(placed[0]).toEqual(areas[0])
    // Off the mark, which reaches from 88 to 112, on a line of its own.
    expect(placed[1]?.y).toBeLessThan(89)
  })

  it('draws a line that begins and ends where it is said', () => {
    expect(
      smoothPath([
        { x: 1, y: 2 },
        { x: 5, y: 6 },
        { x: 9, y: 9 },
      ]),
    ).toMatch(/^M1 2.*L9 9$/)
    expect(smoothPath([])).toBe('')
  })
})
