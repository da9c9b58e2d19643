import { describe, expect, it } from 'vitest'
import type { Article } from './article'
import { articlesFor, wantsOf } from './for-part'
import { readSpec } from './read-spec'
import type { KnownMachine } from './wanted-of'

const POOL: KnownMachine = {
  kind: 'pool',
  nameplate: { volts: 230, horsepower: 1, runCapacitorMicrofarads: 30, runCapacitorVolts: 370 },
}
const can = (name: string, more: Partial<Article> = {}): Article => ({
  id: name,
  name,
  part: 'run-capacitor',
  family: 'run-capacitor',
  spec: readSpec('run-capacitor', name),
  ...more,
})
const names = (of: readonly { article: { name: string }; verdict: string }[]) =>
  of.map(({ article, verdict }) => `${article.name}: ${verdict}`)

describe('what a part of a machine is replaced by', () => {
  it('is held against the plate: what has too few volts is left out', () => {
    const [want] = wantsOf(POOL, 'run-capacitor')
    expect(want).toMatchObject({ use: 'run-capacitor', needed: 1, spec: { microfarads: 30, volts: 370 } })
    const found = articlesFor(want as never, [can('30 μF 250 V'), can('30 μF 440 V'), can('50 μF 440 V')])
    expect(names(found)).toEqual(['30 μF 440 V: fits'])
  })

  it('a motor has a bearing at each end: one number is two pieces, two numbers are two uses', () => {
    const fitted = (identity: string): KnownMachine => ({ ...POOL, fitted: [{ part: 'bearings', identity }] })
    expect(wantsOf(fitted('6203 2RS'), 'bearings').map(({ use, needed }) => [use, needed])).toEqual([['bearings', 2]])
    expect(wantsOf(fitted('6203 drive, 6204 far'), 'bearings').map(({ use, needed }) => [use, needed])).toEqual([
      ['bearings', 1],
      ['bearings 2', 1],
    ])
  })

  it('one number written at both ends is two pieces of one box, not one piece asked for twice', () => {
    const fitted = (identity: string): KnownMachine => ({ ...POOL, fitted: [{ part: 'bearings', identity }] })
    expect(wantsOf(fitted('6203 drive, 6203 far'), 'bearings')).toMatchObject([
      { use: 'bearings', needed: 2, identity: '6203 drive, 6203 far' },
    ])
    // What was not understood is the same only where it was written the same.
    expect(wantsOf(fitted('K1 drive, K2 far'), 'bearings').map(({ needed }) => needed)).toEqual([1, 1])
  })

  it('cable is asked for by the metre where its length is known', () => {
    const well: KnownMachine = { kind: 'well-two-wire', nameplate: { volts: 230 }, installation: { cableMetres: 62 } }
    expect(wantsOf(well, 'cable')[0]?.needed).toBe(62)
    expect(wantsOf({ ...well, installation: {} }, 'cable')[0]?.needed).toBe(1)
  })

  it('what is called as it was read comes first, and what is in the hand speaks before the card', () => {
    const [want] = wantsOf({ ...POOL, fitted: [{ part: 'shaft-seal', identity: 'old one' }] }, 'shaft-seal', 'PL-7 set')
    const seal = (name: string, codes: string[] = []): Article => ({
      id: name,
      name,
      part: 'shaft-seal',
      spec: {},
      ...(codes.length > 0 ? { codes } : {}),
    })
    expect(names(articlesFor(want as never, [seal('another'), seal('bagged', ['pl-7 SET'])]))).toEqual([
      'bagged: fits',
      'another: not-read',
    ])
  })

  it('what is known of nothing is never said to fit, and what is of another part or kind is not named', () => {
    const [want] = wantsOf(POOL, 'lid-o-ring')
    const ring = (name: string, more: Partial<Article>): Article => ({
      id: name,
      name,
      spec: {},
      family: 'o-ring',
      ...more,
    })
    const found = articlesFor(want as never, [
      ring('of the lid', { part: 'lid-o-ring' }),
      ring('of the housing', { part: 'housing-o-ring' }),
      ring('of jets', { part: 'lid-o-ring', kinds: ['jet'] }),
      ring('kept no more', { part: 'lid-o-ring', gone: true }),
    ])
    expect(names(found)).toEqual(['of the lid: not-read'])
  })
})
