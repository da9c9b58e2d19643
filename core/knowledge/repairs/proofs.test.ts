import { describe, expect, it } from 'vitest'
import { CHECKS } from '../checks/checks'
import { KIND_KNOWLEDGE } from '../faults/kinds'
import { COMPLAINTS, KIND_CONSTRUCTIONS, KINDS, PARTS, STANDINGS, type Kind, type Part } from '../vocabulary'
import { JOBS } from './jobs'
import { cautionsFor, DONE, GONE } from './owner-words'
import { NOTHING_TO_PROVE, proofsFor } from './proofs'

const ids = (...asked: Parameters<typeof proofsFor>) => proofsFor(...asked).map(({ id }) => id)
const after = (renewed: Part[], opened: Part[] = [], told: string[] = []) => ({ renewed, opened, told })

/** What a repair shows: common practice of the trade, by kind and place. */
describe('only what the jobs call for', () => {
  it.each<[string, Kind, Part[], Part[], string[]]>([
    ['a capacitor', 'pool', ['run-capacitor'], ['rear-cap'], ['loaded', 'amps']],
    ['a seal', 'pool', ['shaft-seal'], ['clamp-band'], ['turn', 'bleed', 'loaded', 'amps', 'drip', 'joints']],
    ['a breaker', 'pool', ['breaker'], [], ['rest', 'loaded', 'amps']],
    ['bearings of a booster', 'booster', ['bearings'], [], ['turn', 'loaded', 'amps', 'listen']],
    ['a pressure switch', 'jet', ['pressure-switch'], [], ['loaded', 'amps', 'cut-in', 'cut-out', 'shut-off']],
    [
      'a well motor',
      'well-three-wire',
      ['motor', 'splice'],
      [],
      ['insulation', 'loaded', 'amps', 'air-out', 'cut-in', 'cut-out', 'shut-off'],
    ],
    ['a foot valve', 'jet', ['foot-valve'], [], ['prime', 'loaded', 'amps', 'cut-in', 'cut-out', 'shut-off', 'joints']],
    ['a float', 'sump', ['float-switch'], [], ['loaded', 'amps', 'float', 'valve']],
  ])('%s of a %s', (_, kind, renewed, opened, wanted) =>
    expect(ids(kind, undefined, 'installed', after(renewed, opened))).toEqual(wanted),
  )
  it('backup and alarm are asked of a pit that has them', () => {
    expect(ids('sump', 'sump-sealed', 'installed', after(['pump']))).not.toContain('alarm')
    expect(ids('sump', 'sump-sealed', 'installed', after(['pump'], [], ['alarm-sounding']))).toEqual(
      expect.arrayContaining(['backup-silent', 'alarm']),
    )
  })
  it('a drive shows its display, its speeds, its relay and its floor; opened only, it shows none of them', () => {
    const drive = ids('pool', 'band-clamp', 'installed', after(['motor', 'drive-electronics']))
    expect(drive).toEqual(expect.arrayContaining(['display', 'speeds', 'relay', 'lowest-speed']))
    expect(ids('pool', 'band-clamp', 'installed', after(['motor'], ['drive-electronics']))).not.toContain('speeds')
  })
  it('nothing of a site on the bench, and no power on a joined set or a sealed wet end that is dry', () => {
    expect(ids('pool', 'band-clamp', 'bench', after(['shaft-seal']))).toEqual(['turn', 'bench-insulation'])
    expect(ids('well-two-wire', 'submersible-joined', 'bench', after(['motor']))).toEqual(['turn', 'insulation'])
    expect(ids('well-two-wire', 'submersible-joined', 'barrel', after(['motor']))).toContain('barrel')
    expect(ids('well-two-wire', 'submersible-sealed', 'bench', after(['run-capacitor']))).toEqual([
      'insulation',
      'bump',
      'bucket',
    ])
    expect(ids('pool', 'motor-bench', 'bench', after(['bearings']))).toEqual(['turn', 'bench-insulation', 'bump'])
  })
  it('insulation comes before any power, everywhere', () => {
    for (const kind of Object.keys(KINDS) as Kind[])
      for (const standing of STANDINGS) {
        const order = ids(kind, undefined, standing)
        const power = order.findIndex((id) => ['bump', 'bucket', 'barrel', 'display', 'loaded', 'amps'].includes(id))
        const insulation = order.findIndex((id) => id.endsWith('insulation'))
        if (insulation >= 0 && power >= 0) expect(insulation, `${kind} ${standing}`).toBeLessThan(power)
      }
  })
  it('no proof stands twice, and each has its basis and a reading or a word', () => {
    for (const kind of Object.keys(KINDS) as Kind[])
      for (const construction of KIND_CONSTRUCTIONS[kind])
        for (const standing of STANDINGS) {
          const rows = proofsFor(kind, construction, standing)
          expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length)
          for (const { check, line, basis } of rows) {
            expect(basis.name).not.toBe('')
            if (check) expect(Object.hasOwn(CHECKS, check)).toBe(true)
            expect(Boolean(check)).toBe(Boolean(line))
          }
        }
  })
})

describe('words for the owner', () => {
  const all = [
    ...Object.values(KIND_KNOWLEDGE).flatMap(({ actions }) => actions.map(({ id }) => id)),
    ...JOBS.map(({ id }) => id),
  ]
  it('every repair and every job has its sentence, and no sentence is of a job that is none', () => {
    expect([...new Set(all)].filter((id) => !DONE[id])).toEqual([])
    expect(Object.keys(DONE).filter((id) => !all.includes(id))).toEqual([])
    expect(Object.keys(NOTHING_TO_PROVE).filter((id) => !all.includes(id))).toEqual([])
    for (const sentence of Object.values(DONE)) expect(sentence).toMatch(/^[A-Z].*\.$/)
  })
  it('every complaint has what is said once it is gone', () =>
    expect(Object.keys(COMPLAINTS).filter((id) => !GONE[id as keyof typeof GONE])).toEqual([]))
  it('a machine has its own cautions only', () => {
    expect(cautionsFor('sump').join()).not.toMatch(/lid|bathes|drinking/)
    expect(cautionsFor('booster')[0]).toMatch(/filter pump first/)
    expect(cautionsFor('well-two-wire').join()).toMatch(/drinking water/)
    for (const kind of Object.keys(KINDS) as Kind[]) expect(cautionsFor(kind).at(-1)).toMatch(/local code/)
  })
  it('parts that call for a proof are parts', () => {
    for (const part of Object.keys(PARTS) as Part[])
      expect(() => ids('pool', undefined, 'installed', after([part]))).not.toThrow()
  })
})
