import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FAMILIES, type FamilyId } from '../knowledge/fits/families'
import { readAsked, readSpec } from './read-spec'
import { specProblems } from './spec-rules'

const FAMILY_IDS = Object.keys(FAMILIES) as FamilyId[]

const near = (spec: object) =>
  Object.fromEntries(
    Object.entries(spec).map(([name, value]) => [name, typeof value === 'number' ? Number(value.toFixed(2)) : value]),
  )

/** Common practice: what stands on rings, cans, bags and plates. */
describe('what a number says', () => {
  it.each([
    ['6203', 'bearing', { bore: 17, outside: 40, width: 12 }],
    ['6203-2RS C3', 'bearing', { bore: 17, outside: 40, width: 12, closure: 'seals', clearance: 'c3' }],
    ['brg 608ZZ', 'bearing', { bore: 8, outside: 22, width: 7, closure: 'shields' }],
    ['bearing 25 x 52 x 15', 'bearing', { bore: 25, outside: 52, width: 15 }],
    ['-214', 'o-ring', { inside: 24.99, section: 3.53 }],
    ['AS568-242 nitrile', 'o-ring', { inside: 101.19, section: 3.53, stuff: 'nitrile' }],
    ['o ring 102 x 3.5 mm', 'o-ring', { inside: 102, section: 3.5 }],
    ['O-ring 4 x 0.139', 'o-ring', { inside: 101.6, section: 3.53 }],
    ['30 uF 370 V round', 'run-capacitor', { microfarads: 30, volts: 370, body: 'round' }],
    ['cap 25 mfd 440v oval', 'run-capacitor', { microfarads: 25, volts: 440, body: 'oval' }],
    ['88-108 µF 250 V', 'start-capacitor', { microfarads: 98, volts: 250 }],
    ['seal 5/8 in shaft, 1.25 in seat, 1.25 in head', 'shaft-seal', { shaft: 15.87, seat: 31.75, head: 31.75 }],
    ['5/8 in shaft, 1.25 in seat, 1.25 in head', 'shaft-seal', { shaft: 15.87, seat: 31.75, head: 31.75 }],
    ['16 mm shaft, 31 mm seat, 30 mm head', 'shaft-seal', { shaft: 16, seat: 31, head: 30 }],
    ['102x3.5 mm', 'o-ring', { inside: 102, section: 3.5 }],
    ['o-ring 2 1/2 in x 3/16 in', 'o-ring', { inside: 63.5, section: 4.76 }],
    ['30/50 psi switch', 'pressure-switch', { cutIn: 206.84, cutOut: 344.74 }],
    ['pressure switch 2 / 3.5 bar', 'pressure-switch', { cutIn: 200, cutOut: 350 }],
    ['float 13 A, 20 ft piggyback', 'float-switch', { amps: 13, cord: 6.1, plug: 'piggyback' }],
    ['control box 1 hp 230 V', 'control-box', { horsepower: 1, volts: 230 }],
    [
      '56Y 1½ hp 115/230 V 3450 rpm',
      'motor',
      { horsepower: 1.5, volts: 230, otherVolts: 115, rpm: 3450, frame: '56Y' },
    ],
    ['pump 10 gpm at 120 ft', 'pump', { flow: 0.63, head: 36.58 }],
    ['impeller 110 mm, clockwise', 'impeller', { diameter: 110, hand: 'clockwise' }],
    ['tank 20 gal', 'tank', { litres: 75.71 }],
    ['gauge 100 psi 1/4 male', 'gauge', { range: 689.48, port: '1/4', end: 'male-thread' }],
    ['check valve 1¼ in female', 'valve', { port: '1 1/4', end: 'female-thread' }],
    [
      'bushing 1 1/2 male x 1 1/4 female',
      'fitting',
      { size: '1 1/2', end: 'male-thread', otherSize: '1 1/4', otherEnd: 'female-thread' },
    ],
    ['2 slip x 1 1/2 fpt', 'fitting', { size: '2', end: 'socket', otherSize: '1 1/2', otherEnd: 'female-thread' }],
    ['splice 12 awg 3 wires submersible', 'splice', { wire: '12', conductors: 3, where: 'submersible' }],
  ])('%s', (written, family, spec) => {
    const asked = readAsked(written)
    expect(asked?.family).toBe(family)
    expect(near(asked?.spec ?? {})).toEqual(spec)
  })

  it('a number that no table holds is no size, and a word that names nothing is nothing', () => {
    expect(readSpec('bearing', '6299')).toEqual({})
    expect(readSpec('o-ring', '-199')).toEqual({})
    expect(readAsked('the green one')).toBeUndefined()
    expect(readAsked('')).toBeUndefined()
  })

  it('reads nothing that no such part has: what is read can always be kept', () => {
    expect(readSpec('o-ring', '4 x 900 mm')).toEqual({ inside: 4 })
    expect(readSpec('run-capacitor', '30 uF 99000 V')).toEqual({ microfarads: 30 })
    const words = fc.constantFrom(
      ...['5/8', '0', '1.25', '900', '370', '-242', '6203', '30/50', '88-108', 'x', 'in', 'mm', 'uF', 'V', 'psi'],
      ...[
        'gal',
        'hp',
        'awg',
        'ft',
        'A',
        'shaft',
        'seat',
        'head',
        'seal',
        'ring',
        'gauge',
        'male',
        'tank',
        'pump',
        '1 1/4',
      ],
    )
    fc.assert(
      fc.property(fc.array(words, { maxLength: 8 }), fc.constantFrom(...FAMILY_IDS), (said, family) => {
        const text = said.join(' ')
        const asked = readAsked(text)
        expect(specProblems(family, readSpec(family, text))).toEqual([])
        expect(asked ? specProblems(asked.family, asked.spec) : []).toEqual([])
      }),
      { numRuns: 2000, seed: 18 },
    )
  })

  it('reads the identities that stand on a machine’s card', () => {
    expect(readSpec('bearing', '6204 far, 6203 2RS drive')).toMatchObject({ bore: 20 })
    expect(near(readSpec('o-ring', '-242, or 102 × 3.5 mm'))).toEqual({ inside: 101.19, section: 3.53 })
    expect(readSpec('valve', '1½ in, female')).toEqual({ port: '1 1/2', end: 'female-thread' })
  })
})
