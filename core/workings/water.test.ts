import { describe, expect, it } from 'vitest'
import { InputError } from '../validation/input-error'
import { runByName } from './registry'

const pump = {
  points: [
    { flowLitresPerSecond: 0, headMetres: 30 },
    { flowLitresPerSecond: 2, headMetres: 24 },
    { flowLitresPerSecond: 3.5, headMetres: 10 },
  ],
}

describe('what cannot be', () => {
  it.each([
    [
      'pipe-friction',
      { flowLitresPerSecond: -1, insideMillimetres: 40, lengthMetres: 10, method: 'darcy' },
      'flowLitresPerSecond',
    ],
    [
      'pipe-friction',
      { flowLitresPerSecond: 1, insideMillimetres: 0, lengthMetres: 10, method: 'darcy' },
      'insideMillimetres',
    ],
    [
      'pipe-friction',
      { flowLitresPerSecond: 1, insideMillimetres: 20, lengthMetres: 10, method: 'darcy', roughnessMillimetres: 12 },
      'roughnessMillimetres',
    ],
    ['operating-point', { pump, staticMetres: 31, pipes: [] }, 'staticMetres'],
    ['operating-point', { staticMetres: 3, pipes: [] }, 'pump'],
    [
      'operating-point',
      {
        pump: {
          points: [
            { flowLitresPerSecond: 0, headMetres: 10 },
            { flowLitresPerSecond: 1, headMetres: 11 },
          ],
        },
        staticMetres: 3,
        pipes: [],
      },
      'points',
    ],
    [
      'operating-point',
      { pump: { points: [{ flowLitresPerSecond: 0, headMetres: 10 }] }, staticMetres: 3, pipes: [] },
      'pump.points',
    ],
    ['tank-drawdown', { tankLitres: 100, prechargeKpa: 400, cutInKpa: 200, cutOutKpa: 340 }, 'prechargeKpa'],
    ['tank-drawdown', { tankLitres: 100, prechargeKpa: 100, cutInKpa: 340, cutOutKpa: 200 }, 'cutOutKpa'],
    [
      'sump-cycle',
      {
        diameterMetres: 0.45,
        areaSquareMetres: 1,
        onLevelMetres: 0.4,
        offLevelMetres: 0.1,
        inflowLitresPerSecond: 1,
        pumpLitresPerSecond: 2,
      },
      'diameterMetres',
    ],
    [
      'sump-cycle',
      {
        diameterMetres: 0.45,
        onLevelMetres: 0.1,
        offLevelMetres: 0.4,
        inflowLitresPerSecond: 1,
        pumpLitresPerSecond: 2,
      },
      'onLevelMetres',
    ],
    [
      'sump-cycle',
      {
        diameterMetres: 0.45,
        onLevelMetres: 0.4,
        offLevelMetres: 0.1,
        inflowLitresPerSecond: 1,
        pumpLitresPerSecond: 2,
        drainBackLitres: 500,
      },
      'drainBackLitres',
    ],
    ['cycle', { drawLitresPerSecond: 2, pumpLitresPerSecond: 1, storedLitres: 10 }, 'pumpLitresPerSecond'],
    ['cooling-flow', { flowLitresPerSecond: 1, casingMillimetres: 90, motorMillimetres: 95 }, 'motorMillimetres'],
    ['wire-to-water', { flowLitresPerSecond: 10, headMetres: 100, inputWatts: 100 }, 'inputWatts'],
    ['bearing-size', { designation: 'constructor' }, 'designation'],
    ['bearing-tones', { balls: 20, ballMillimetres: 10, pitchMillimetres: 30, rpm: 3450 }, 'ballMillimetres'],
    ['string-weight', { pipe: { material: 'pvc', lengthMetres: 50 } }, 'pipe.nominalInches'],
    [
      'string-weight',
      { pipe: { material: 'steel', lengthMetres: 50, insideMillimetres: 50, outsideMillimetres: 40 } },
      'pipe.insideMillimetres',
    ],
    ['water-properties', { celsius: 140 }, 'celsius'],
    ['suction-lift', { altitudeMetres: 9000, celsius: 20, frictionMetres: 1, npshRequiredMetres: 2 }, 'altitudeMetres'],
    [
      'pipe-split',
      { flowLitresPerSecond: 1, branches: [{ insideMillimetres: 40, lengthMetres: 0, method: 'darcy' }] },
      'branches.0.lengthMetres',
    ],
    ['energy-cost', { items: [], pricePerKwh: 0.2 }, 'items'],
    [
      'evidence-weigh',
      { model: 'naive', priors: { a: 0.5, b: 0.4 }, tables: {}, evidence: {}, candidates: [] },
      'priors',
    ],
    ['evidence-weigh', { model: 'noisy-or', priors: { a: 2 }, tables: {}, evidence: {}, candidates: [] }, 'priors'],
    [
      'evidence-weigh',
      {
        model: 'naive',
        priors: { a: 1 },
        tables: { t: { states: ['x', 'y'], given: { a: [0.4, 0.4] } } },
        evidence: {},
        candidates: [],
      },
      'tables.t.given.a',
    ],
    [
      'evidence-weigh',
      { model: 'naive', priors: { a: 1 }, tables: { t: 7 }, evidence: {}, candidates: [] },
      'tables.t',
    ],
    [
      'evidence-weigh',
      {
        model: 'noisy-or',
        priors: { a: 0.1 },
        tables: { e: { leak: 0, links: { b: 0.5 } } },
        evidence: {},
        candidates: [],
      },
      'tables.e.links.b',
    ],
    [
      'evidence-weigh',
      {
        model: 'noisy-or',
        priors: { a: 0.1 },
        tables: { e: { leak: 0, links: { a: 0.5 } } },
        evidence: { e: 'maybe' },
        candidates: [],
      },
      'evidence.e',
    ],
    [
      'evidence-weigh',
      {
        model: 'noisy-or',
        priors: { a: 0 },
        tables: { e: { leak: 0, links: { a: 0.5 } } },
        evidence: { e: 'true' },
        candidates: [],
      },
      'evidence',
    ],
    [
      'evidence-weigh',
      { model: 'noisy-or', priors: { a: 0.1 }, tables: {}, evidence: {}, candidates: ['constructor'] },
      'candidates',
    ],
  ])('%s %j names the field %s', (name, input, field) => {
    try {
      runByName(name, input)
      expect.unreachable()
    } catch (error) {
      expect(error).toBeInstanceOf(InputError)
      expect((error as InputError).problems[0]?.field).toBe(field)
    }
  })

  it('is not held up by a flow too small to grow', () => {
    expect(() =>
      runByName('operating-point', {
        staticMetres: 0,
        pipes: [],
        pump: {
          points: [
            { flowLitresPerSecond: 0, headMetres: 2 },
            { flowLitresPerSecond: 5e-324, headMetres: 1 },
          ],
        },
      }),
    ).toThrow(InputError)
  })
})
