import { describe, expect, it } from 'vitest'
import type { FamilyId } from '../knowledge/fits/families'
import { readSpec } from './read-spec'
import { whatFits, type Candidate } from './what-fits'
import { wantedOf } from './wanted-of'

const article = (family: FamilyId, written: string, more: Partial<Candidate> = {}): Candidate => ({
  id: written,
  name: written,
  family,
  spec: readSpec(family, written),
  ...more,
})
const names = (list: readonly { candidate: Candidate }[]) => list.map(({ candidate }) => candidate.name)

describe('what fits of what is at hand', () => {
  it('those that fit come first, then with what has to be done, then what nobody read, then the nearest of the rest', () => {
    const stock = ['35 uF 440 V', '30 uF 440 V', '30 uF 370 V oval', '30 uF', '30 uF 250 V', '80 uF 440 V'].map(
      (each) => article('run-capacitor', each),
    )
    const answer = whatFits({ family: 'run-capacitor', spec: readSpec('run-capacitor', '30 uF 370 V round') }, [
      ...stock,
      article('run-capacitor', '29 uF 370 V round'),
      article('bearing', '6203'),
    ])
    expect(names(answer.fits)).toEqual(['29 uF 370 V round'])
    expect(names(answer.fitsWith)).toEqual(['30 uF 370 V oval'])
    expect(names(answer.notRead)).toEqual(['30 uF 440 V', '30 uF'])
    expect(names(answer.doesNot)).toEqual(['35 uF 440 V', '30 uF 250 V', '80 uF 440 V'])
  })

  it('a capacitor is made of two, never of more of one than there are, never below its volts', () => {
    const wanted = { family: 'run-capacitor', spec: readSpec('run-capacitor', '40 uF 370 V') } as const
    const made = (...stock: Candidate[]) =>
      whatFits(wanted, stock).made.map(({ of }) => names(of.map((candidate) => ({ candidate }))))
    const twenty = article('run-capacitor', '20 uF 440 V')
    expect(made(twenty)).toEqual([])
    expect(made({ ...twenty, count: 2 })).toEqual([['20 uF 440 V', '20 uF 440 V']])
    expect(made(article('run-capacitor', '20 uF 250 V'), article('run-capacitor', '20 uF 440 V'))).toEqual([])
    expect(made(article('run-capacitor', '80 uF 250 V', { count: 2 }))).toEqual([['80 uF 250 V', '80 uF 250 V']])
  })

  it('another port is met by adapters at hand, and what is short is said', () => {
    const wanted = { family: 'gauge', spec: readSpec('gauge', '100 psi 1/2 male') } as const
    const gauge = article('gauge', 'gauge 100 psi 1/4 male')
    const bushing = article('fitting', '1/2 male x 1/4 female', { count: 1 })
    const [met] = whatFits(wanted, [gauge, bushing]).fitsWith
    expect(met?.chains.map(({ pieces }) => pieces.map(({ id }) => id))).toEqual([['1/2 male x 1/4 female']])
    expect(met?.needs.join()).toMatch(/cure time before pressure/)
    expect(whatFits(wanted, [gauge]).fitsWith[0]?.needs).toEqual(['adapters that are not at hand'])
    // Both sides of a valve want one: what is used on one side is not there for the other.
    const valve = article('valve', 'check valve 1 in female')
    const wide = { family: 'valve', spec: readSpec('valve', '1 1/4 in female') } as const
    const reducer = article('fitting', '1 1/4 female x 1 male')
    const nipple = article('fitting', '1 1/4 male x 1 male', { count: 4 })
    expect(whatFits(wide, [valve, reducer]).fitsWith[0]?.needs).toContain('adapters that are not at hand')
    expect(whatFits(wide, [valve, { ...reducer, count: 2 }, nipple]).fitsWith[0]?.chains).toHaveLength(2)
  })
})

describe('what a machine asks for', () => {
  it('from its plate, its place and what was fitted; what left it is not asked for', () => {
    const wanted = wantedOf({
      kind: 'well-three-wire',
      nameplate: {
        volts: 230,
        horsepower: 1,
        runCapacitorMicrofarads: 25,
        runCapacitorVolts: 370,
        startCapacitorMicrofarads: [88, 108],
      },
      installation: { cutInPsi: 30, cutOutPsi: 50, cableAwg: '12', liftMetres: 30 },
      fitted: [
        { part: 'bearings', identity: '6204 far, 6203 2RS drive' },
        { part: 'run-capacitor', identity: '25 uF 440 V' },
        { part: 'check-valve', identity: '1¼ in, female', until: '2025-01-01' },
      ],
    })
    const of = (part: string) => wanted.filter((each) => each.part === part).map(({ spec }) => spec)
    expect(of('bearings')).toEqual([
      { bore: 20, outside: 47, width: 14 },
      { bore: 17, outside: 40, width: 12, closure: 'seals' },
    ])
    expect(of('run-capacitor')).toEqual([{ microfarads: 25, volts: 440 }])
    expect(of('start-capacitor')).toEqual([{ microfarads: 98 }])
    expect(of('check-valve')).toEqual([])
    expect(of('control-box')).toEqual([{ horsepower: 1, volts: 230 }])
    expect(of('cable')).toEqual([{ wire: '12', conductors: 4, where: 'submersible' }])
    expect(of('pump')[0]).toMatchObject({ head: expect.closeTo(65.2, 1) })
    expect(of('pressure-switch')[0]).toMatchObject({ cutIn: expect.closeTo(206.8, 1), horsepower: 1 })
  })

  it('a plate that says nothing asks for nothing but the motor', () => {
    expect(wantedOf({ kind: 'pool', nameplate: { volts: 230 } }).map(({ part }) => part)).toEqual(['motor'])
  })
})
