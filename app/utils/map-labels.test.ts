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
      room,
    )
    expect(placed.map((label) => label?.anchor)).toEqual(['start', 'end', 'middle', 'start'])
  })

  it('are left out where there is no room', () => {
    const crowd = Array.from({ length: 9 }, (_, index) => ({
      x: 130 + (index % 3) * 24,
      y: 130 + Math.floor(index / 3) * 24,
      text: 'the middle one of all of these',
    }))
    expect(placeLabels(crowd, { ...room, width: 250 })[4]).toBeUndefined()
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
