import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fromShown, MEASURES, toShown, unitOf, type Measure } from './measures'
import { q, render, say } from './sentence'

describe('amounts in a sentence', () => {
  it.each([
    ['flow', 0.0630901964, '1 gpm', '0.0631 L/s'],
    ['pressure', 344.7378647, '50 psi', '345 kPa'],
    ['head', 30.48, '100 ft', '30.5 m'],
    ['temperature', 100, '212 °F', '100 °C'],
    ['volume', 3.785411784, '1 gal', '3.79 L'],
    ['mass', 45.359237, '100 lb', '45.4 kg'],
    ['bore', 25.4, '1 in', '25.4 mm'],
    ['level', 0.254, '10 in', '25.4 cm'],
    ['line', 1.4881639, '1 lb/ft', '1.49 kg/m'],
  ] as const)('%s', (measure, value, us, metric) => {
    expect(render(say`${q(value, measure)}`, { system: 'us' })).toBe(us)
    expect(render(say`${q(value, measure)}`, { system: 'metric' })).toBe(metric)
  })

  it('go there and back in every measure', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(MEASURES) as Measure[])),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        (measure, value) => {
          for (const system of ['us', 'metric'] as const)
            expect(fromShown(toShown(value, measure, system), measure, system)).toBeCloseTo(value, 8)
        },
      ),
    )
  })

  it('keep words, numbers and sentences inside sentences', () => {
    expect(render(say`a ${3} b ${say`c ${q(2, 'hours')}`}.`, { system: 'us' })).toBe('a 3 b c 2 h.')
    expect(render(say`${q(357.4, 'money')} and ${q(0.2, 'money')}`, { system: 'us', currency: 'USD' })).toBe(
      '$357 and $0.20',
    )
    expect(unitOf('money', 'us')).toBe('')
  })
})
