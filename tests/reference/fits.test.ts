import { describe, expect, it } from 'vitest'
import { RING_SERIES } from '#core/knowledge/fits/o-rings'
import { PIPE_OUTSIDE } from '#core/knowledge/fits/pipe-ends'
import { BEARINGS } from '#core/knowledge/mechanical/bearings'
import { nearestRings, ringOf, RINGS } from '#core/fits/rings'

/**
 * AS568: rings follow each other in sixteenths, eighths, quarters and halves of an inch, each series a fixed step below
 * the fraction that it is called by. A figure mistyped from memory falls off its step.
 */
describe('O-rings, AS568', () => {
  it('stand in the five sections of ISO 3601-1, 1.78 to 6.99 mm', () => {
    expect(RING_SERIES.map(({ section }) => Number((section * 25.4).toFixed(2)))).toEqual([
      1.78, 2.62, 3.53, 5.33, 6.99,
    ])
  })

  it('run to the last dash number of each series', () => {
    expect(RING_SERIES.map(({ first, inside }) => first + inside.length - 1)).toEqual([50, 178, 284, 395, 475])
  })

  it('each lies its series’ step below a fraction of an inch', () => {
    const tolerated: Record<string, readonly number[]> = {
      '0.07': [0.008, 0.011, 0.012, 0.024, 0.042, 0.055],
      '0.103': [0.013, 0.012, 0.014, 0.0125],
      '0.139': [0.016, 0.0165, 0.015, 0.017, 0.045],
      '0.21': [0.025, 0.026, 0.0375, 0.045, 0.06],
      '0.275': [0.025, 0.045, 0.06],
    }
    for (const { section, first, inside } of RING_SERIES)
      for (const [at, inches] of inside.entries()) {
        const below = Math.min(
          ...(tolerated[String(section)] as readonly number[]).map((step) => {
            // The smallest are called by 64ths and 32nds.
            const parts = inches < 0.11 ? 64 : inches < 0.25 ? 32 : 16
            return Math.abs((inches + step) * parts - Math.round((inches + step) * parts)) / parts
          }),
        )
        expect(below, `-${first + at}`).toBeLessThan(0.0011)
      }
  })

  it('are found by what is measured on a flat old one', () => {
    const ring = ringOf('214')
    expect(ring).toMatchObject({
      insideMillimetres: expect.closeTo(24.99, 2),
      sectionMillimetres: expect.closeTo(3.53, 2),
    })
    expect(nearestRings(25.2, 3.4)[0]?.dash).toBe('214')
    expect(ringOf('14')?.dash).toBe('014')
    expect(ringOf('100')).toBeUndefined()
    expect(new Set(RINGS.map(({ dash }) => dash)).size).toBe(RINGS.length)
  })
})

/**
 * ISO 15: the bore follows from the number; in a diameter series the outside and the width follow the bore in steps. A
 * figure mistyped from memory falls off them.
 */
describe('bearings, ISO 15', () => {
  const FIRST_BORES = [10, 12, 15, 17]

  it.each(Object.entries(BEARINGS).filter(([number]) => number.length === 4))(
    '%s',
    (number, [bore, outside, width]) => {
      const code = Number(number.slice(2))
      expect(bore).toBe(FIRST_BORES[code] ?? code * 5)
      expect(width / (outside - bore)).toBeGreaterThan(0.42)
      expect(width / (outside - bore)).toBeLessThan(0.61)
    },
  )

  it('of one series grow with the bore, and no two have the same three sizes', () => {
    expect(new Set(Object.values(BEARINGS).map((sizes) => sizes.join())).size).toBe(Object.keys(BEARINGS).length)
    for (const series of ['60', '62', '63']) {
      const sizes = Object.entries(BEARINGS).filter(([number]) => number.length === 4 && number.startsWith(series))
      for (const [at, [, [, outside, width]]] of sizes.entries()) {
        const before = sizes[at - 1]?.[1]
        if (!before) continue
        expect(outside - before[1]).toBeGreaterThanOrEqual(2)
        expect(outside - before[1]).toBeLessThanOrEqual(10)
        expect([0, 1, 2, 3]).toContain(width - before[2])
      }
    }
  })
})

/** ASME B1.20.1: outsides of pipe, from memory; each is larger than its name until 12 in. */
it('pipe is wider than it is called', () => {
  for (const [size, outside] of Object.entries(PIPE_OUTSIDE)) {
    const [whole = '', part] = size.split(' ')
    const inches = [whole, part ?? '0/1'].reduce((sum, each) => {
      const [over = '0', under = '1'] = each.split('/')
      return sum + Number(over) / Number(under)
    }, 0)
    expect(outside).toBeGreaterThan(inches)
  }
})
