import { describe, expect, it } from 'vitest'
import { shownText, spanText } from './bench-words'

const figure = (unit: 'ohm' | 'Mohm' | 'V', value: number, error: number, more: object = {}) =>
  ({ is: 'figure', unit, value, low: value - error, high: value + error, ...more }) as const

describe('a display', () => {
  it('has ohms in thousands and millions, and their span with them', () => {
    expect(shownText(figure('ohm', 2.4, 0.1))).toEqual({ figure: '2.4', unit: 'Ω' })
    expect(shownText(figure('ohm', 48_000, 400))).toEqual({ figure: '48', unit: 'kΩ' })
    expect(shownText(figure('ohm', 1_900_000, 10_000))).toEqual({ figure: '1.9', unit: 'MΩ' })
    expect(spanText(figure('ohm', 48_000, 400))).toBe('47.6 to 48.4')
  })
  it('says where it has no figure, and of what kind its volts are', () => {
    expect(shownText({ is: 'over', unit: 'ohm', from: 40e6 })).toEqual({ figure: 'open', unit: 'over 40 MΩ' })
    expect(shownText({ is: 'over', unit: 'Mohm', from: 20_000 }).unit).toBe('over 20000 MΩ')
    expect(shownText(figure('V', 12.6, 0.04, { isDirect: true }))).toEqual({ figure: '12.6', unit: 'V DC' })
    expect(shownText({ is: 'shorted-can' }).figure).toBe('– – –')
    expect(spanText({ is: 'nothing' })).toBe('')
  })
})
