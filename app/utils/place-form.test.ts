import { describe, expect, it } from 'vitest'
import { KINDS, type Kind } from '#core/knowledge/vocabulary'
import { PLACE_FIELDS, placeLabel, placeText, readPlace } from './place-form'

const well = {
  cutInPsi: 40,
  cutOutPsi: 60,
  wellDepthMetres: 61,
  cableAwg: '12',
  cableMetres: 70,
  pumpCurve: [
    { flowLitresPerSecond: 0, headMetres: 80 },
    { flowLitresPerSecond: 0.8, headMetres: 50 },
  ],
}

describe('the place of a machine, written by hand', () => {
  it('offers each kind what it has', () => {
    const of = (kind: Kind) => PLACE_FIELDS.filter(({ kinds }) => kinds.includes(kind)).map(({ key }) => key)
    expect(of('pool')).toEqual(['dutyHoursPerDay'])
    expect(of('sump')).toEqual(['liftMetres', 'pitDiameterMetres', 'dutyHoursPerDay'])
    for (const kind of Object.keys(KINDS) as Kind[]) expect(of(kind).length).toBeGreaterThan(0)
  })

  it.each(['us', 'metric'] as const)('comes back as it was when nothing is changed, in %s units', (units) => {
    expect(readPlace(placeText(well, units), 'well-two-wire', units, well)).toEqual({
      installation: well,
      problems: {},
    })
  })

  it('reads feet, gallons, inches and a curve, and keeps them metric', () => {
    const { installation, problems } = readPlace(
      { wellDepthMetres: '200', tankLitres: '32', cableAwg: '10', pumpCurve: '0 at 260, 10 at 180' },
      'well-three-wire',
      'us',
    )
    expect(problems).toEqual({})
    expect(installation.wellDepthMetres).toBeCloseTo(60.96, 9)
    expect(installation.tankLitres).toBeCloseTo(121.133, 2)
    expect(installation.pumpCurve?.[1]?.flowLitresPerSecond).toBeCloseTo(0.630902, 6)
    expect(readPlace({ pitDiameterMetres: '18' }, 'sump', 'us').installation.pitDiameterMetres).toBeCloseTo(0.4572, 9)
    expect(
      placeLabel(PLACE_FIELDS.find(({ key }) => key === 'cableMetres') as (typeof PLACE_FIELDS)[number], 'metric'),
    ).toBe('Drop cable, m')
  })

  it('forgets what is emptied, and leaves alone what belongs to another kind', () => {
    expect(
      readPlace({ ...placeText(well, 'us'), wellDepthMetres: '' }, 'well-two-wire', 'us', well).installation,
    ).not.toHaveProperty('wellDepthMetres')
    expect(readPlace({ dutyHoursPerDay: '8' }, 'pool', 'us', { livestock: true }).installation).toEqual({
      livestock: true,
      dutyHoursPerDay: 8,
    })
  })

  it.each([
    ['wellDepthMetres', '-3'],
    ['wellDepthMetres', 'deep'],
    ['cableAwg', '99'],
    ['cableAwg', '5/0'],
    ['pumpCurve', '0 at 100, 5 at 120'],
    ['pumpCurve', 'steep'],
    ['dutyHoursPerDay', '25'],
    ['tankLitres', '0'],
  ])('says what would be right for %s “%s”', (key, written) => {
    const { problems, installation } = readPlace({ [key]: written }, 'well-two-wire', 'us')
    expect(problems[key]?.length).toBeGreaterThan(5)
    expect(installation).not.toHaveProperty(key)
  })

  it('wants a cut-out above the cut-in', () =>
    expect(readPlace({ cutInPsi: '50', cutOutPsi: '30' }, 'jet', 'us').problems.cutOutPsi).toContain('50'))
})
