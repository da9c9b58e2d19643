import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readOf, type Spec, type SpecField } from '../knowledge/fits/family'
import { FAMILIES, familyOf, type FamilyId } from '../knowledge/fits/families'
import { isIdOf, PARTS, type Part } from '../knowledge/vocabulary'
import { WIRE_GAUGES } from '../knowledge/electrical/wire'
import { fit, fitVerdict, needsOf } from './fit'
import { readSpec } from './read-spec'

const verdictOf = (family: FamilyId, wanted: string, offered: string) =>
  fit(family, readSpec(family, wanted), readSpec(family, offered)).verdict
const at = (family: FamilyId, wanted: Spec, offered: Spec, point: string) =>
  fit(family, wanted, offered).points.find((each) => each.point === point)

/** Common practice: what is held against what before a part is taken along. */
describe('what fits', () => {
  it.each<[FamilyId, wanted: string, offered: string, verdict: string]>([
    ['run-capacitor', '30 uF 370 V', '30 uF 440 V', 'fits'],
    ['run-capacitor', '30 uF 370 V', '31.5 uF 370 V', 'fits'],
    ['run-capacitor', '30 uF 440 V', '30 uF 370 V', 'does-not'],
    ['run-capacitor', '30 uF 370 V', '35 uF 440 V', 'does-not'],
    ['run-capacitor', '30 uF 370 V round', '30 uF 370 V oval', 'fits-with'],
    ['run-capacitor', '30 uF', '30 uF 440 V', 'not-read'],
    ['bearing', '6203', '6203', 'fits'],
    ['bearing', '6203', '6204', 'does-not'],
    ['bearing', '6203 2RS', '6203 ZZ', 'fits-with'],
    ['bearing', '6203 2RS', '6203 open', 'does-not'],
    ['bearing', '6203 ZZ', '6203 2RS', 'fits'],
    ['bearing', '6203 2RS', '6203', 'not-read'],
    ['o-ring', '-242', '102 x 3.5 mm', 'fits'],
    ['o-ring', '102 x 3.5 mm', '-241', 'fits-with'],
    ['o-ring', '102 x 3.5 mm', '-239', 'does-not'],
    ['o-ring', '-242', '-155', 'does-not'],
    ['shaft-seal', 'shaft 5/8 in, seat 1.25 in', 'shaft 5/8 in, seat 1.25 in', 'fits'],
    ['shaft-seal', 'shaft 5/8 in, seat 1.25 in', 'shaft 16 mm, seat 1.25 in', 'does-not'],
    ['pressure-switch', '30/50 psi', '40/60 psi', 'fits-with'],
    ['pressure-switch', '30/50 psi', '30/50 psi', 'fits'],
    ['float-switch', '10 A, 20 ft', '13 A, 10 ft', 'does-not'],
    ['control-box', '1 hp 230 V', '3/4 hp 230 V', 'does-not'],
    ['motor', '1.5 hp 230 V 56Y 3450 rpm', '1.5 hp 230 V 56Y 3450 rpm', 'fits'],
    ['motor', '1.5 hp 230 V 56Y 3450 rpm', '1.5 hp 230 V 56J 3450 rpm', 'does-not'],
    ['cable', '12 awg 3 wires submersible', '10 awg 3 wires submersible', 'fits'],
    ['cable', '12 awg 3 wires submersible', '14 awg 3 wires submersible', 'does-not'],
    ['splice', '12 awg 3 wires submersible', '12 awg 3 wires wet', 'does-not'],
  ])('%s: wanted %s, offered %s: %s', (family, wanted, offered, verdict) => {
    const asked: Spec = family === 'float-switch' ? { action: 'pump-down' } : {}
    const [has, is] = [readSpec(family, wanted), readSpec(family, offered)]
    expect(fit(family, { ...has, ...asked }, { ...is, ...asked }).verdict).toBe(verdict)
  })

  it('says what has to be done, with the table that each point rests on', () => {
    const { points, verdict } = fit(
      'pressure-switch',
      readSpec('pressure-switch', '30/50 psi'),
      readSpec('pressure-switch', '40/60'),
    )
    expect(verdict).toBe('fits-with')
    expect(needsOf({ points })).toEqual(['set anew by its nut, and the precharge with it'])
    for (const point of points) expect(point.basis.name).not.toBe('')
  })

  it('a pump is held by its curve at the flow that is asked, never by horsepower', () => {
    const wanted = { flow: 0.6, head: 30 }
    const pump = (flow: number, head: number, shutOff: number) => ({ flow, head, shutOff, mostFlow: 2 * flow })
    expect(at('pump', wanted, pump(0.6, 36, 60), 'duty')?.verdict).toBe('fits')
    expect(at('pump', wanted, pump(0.6, 28, 60), 'duty')?.verdict).toBe('does-not')
    expect(at('pump', wanted, pump(0.6, 60, 90), 'duty')?.verdict).toBe('fits-with')
    // Between two points it is read off the straight line, which lies below the curve.
    expect(at('pump', wanted, pump(1.2, 20, 44), 'duty')?.verdict).toBe('fits-with')
    expect(at('pump', wanted, { flow: 0.3, head: 50 }, 'duty')?.verdict).toBe('not-read')
    expect(at('pump', { head: 30 }, pump(0.6, 36, 60), 'duty')?.verdict).toBe('not-read')
  })

  it('one point that is not known is enough to say nothing, one that breaks a limit to say no', () => {
    expect(fitVerdict([{ verdict: 'fits' }, { verdict: 'fits-with' }, { verdict: 'not-read' }])).toBe('not-read')
    expect(fitVerdict([{ verdict: 'not-read' }, { verdict: 'does-not' }])).toBe('does-not')
    expect(fitVerdict([])).toBe('not-read')
    expect(verdictOf('motor', '1.5 hp', '1.5 hp')).toBe('not-read')
  })

  it('every part is of one family at most, and every family’s parts are parts', () => {
    const parts = Object.values(FAMILIES).flatMap(({ parts: each }): readonly Part[] => each)
    expect(new Set(parts).size).toBe(parts.length)
    for (const part of parts) {
      expect(isIdOf(PARTS, part)).toBe(true)
      expect(familyOf(part)).toBeDefined()
    }
  })
})

const anyValue = (field: SpecField): fc.Arbitrary<number | string> =>
  field.as === 'number'
    ? fc.double({ min: field.max / 1000, max: field.max, noNaN: true })
    : field.as === 'choice'
      ? fc.constantFrom(...field.choices.map(({ id }) => id))
      : fc.constant('56Y')
/** Something wanted, and something offered that is near it as often as not. */
const anyPair = (family: FamilyId): fc.Arbitrary<[wanted: Spec, offered: Spec]> => {
  const fields = Object.entries(FAMILIES[family].fields) as [string, SpecField][]
  const near = (value: number | string | undefined, field: SpecField) =>
    value === undefined || typeof value === 'string'
      ? fc.option(anyValue(field), { nil: value })
      : fc.oneof(
          fc.constant(value),
          fc.double({ min: value * 0.85, max: value * 1.15, noNaN: true }),
          fc.constant(undefined),
        )
  return fc
    .record(
      Object.fromEntries(
        fields.map(([name, field]) => [name, fc.option(anyValue(field), { nil: undefined, freq: 9 })]),
      ),
    )
    .chain((wanted) =>
      fc
        .record(Object.fromEntries(fields.map(([name, field]) => [name, near(wanted[name], field)])))
        .map((offered): [Spec, Spec] => [readOf(wanted), readOf(offered)]),
    )
}

/**
 * Limits of each family, said a second time and by themselves: what is said to fit, with or without something done
 * about it, keeps them.
 */
const LIMITS: Partial<Record<FamilyId, (wanted: Record<string, number>, offered: Record<string, number>) => boolean>> =
  {
    'run-capacitor': (w, o) => o.volts! >= w.volts! - 1e-6 && Math.abs(o.microfarads! / w.microfarads! - 1) <= 0.0601,
    'start-capacitor': (w, o) => o.volts! >= w.volts! - 1e-6 && Math.abs(o.microfarads! / w.microfarads! - 1) <= 0.1001,
    bearing: (w, o) => ['bore', 'outside', 'width'].every((size) => Math.abs(o[size]! - w[size]!) <= 0.1001),
    'o-ring': (w, o) =>
      Math.abs(o.section! - w.section!) <= 0.1501 && o.inside! <= w.inside! * 1.0101 && o.inside! >= w.inside! * 0.9499,
    'shaft-seal': (w, o) =>
      Math.abs(o.shaft! - w.shaft!) <= 0.0501 &&
      Math.abs(o.seat! - w.seat!) <= 0.2001 &&
      (w.head === undefined || o.head! <= w.head + 0.2001),
    impeller: (w, o) => o.diameter! <= w.diameter! + 0.5001 && (o.hand as unknown) === w.hand,
    'control-box': (w, o) => Math.abs(o.horsepower! - w.horsepower!) <= 0.0011,
    'float-switch': (w, o) =>
      o.amps! >= w.amps! - 1e-6 && o.cord! >= w.cord! - 1e-6 && (o.action as unknown) === w.action,
    cable: (w, o) => thickness(o.wire) >= thickness(w.wire) && o.conductors! >= w.conductors! - 1e-6,
    splice: (w, o) => (o.wire as unknown) === w.wire && o.conductors! >= w.conductors! - 1e-6,
    'relief-valve': (w, o) => o.pressure! <= w.pressure! + 1e-6,
    gauge: (w, o) => o.range! >= w.range! - 1e-6,
    tank: (w, o) => o.litres! >= w.litres! - 1e-6,
    'pressure-switch': (w, o) =>
      Math.abs(o.cutIn! - w.cutIn!) <= 105.1 && (w.horsepower === undefined || o.horsepower! >= w.horsepower - 1e-6),
  }
const thickness = (wire: unknown) => WIRE_GAUGES.indexOf(String(wire))

describe('nothing that is said to fit breaks a limit', () => {
  it.each(Object.keys(LIMITS) as FamilyId[])('%s', (family) => {
    let fitting = 0
    fc.assert(
      fc.property(anyPair(family), ([wanted, offered]) => {
        const { verdict } = fit(family, wanted, offered)
        if (verdict !== 'fits' && verdict !== 'fits-with') return
        fitting += 1
        expect(LIMITS[family]?.(wanted as Record<string, number>, offered as Record<string, number>)).toBe(true)
      }),
      { numRuns: 2000 },
    )
    expect(fitting).toBeGreaterThan(10)
  })

  it('the same again always fits, once all of it is read', () => {
    for (const [id, { fields }] of Object.entries(FAMILIES) as [FamilyId, (typeof FAMILIES)[FamilyId]][]) {
      if (id === 'pump' || id === 'fitting') continue
      const all = fc.record(
        Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, anyValue(field as SpecField)])),
      )
      fc.assert(
        fc.property(all, (spec) => {
          const same = id === 'motor' ? { ...spec, frame: '56Y', flange: 'square' } : spec
          expect(fit(id, same, same).points.filter(({ verdict }) => verdict !== 'fits')).toEqual([])
        }),
        { numRuns: 100 },
      )
    }
  })
})
