import { describe, expect, it } from 'vitest'
import type { Finding } from './finding'
import { infer } from './inference'
import { buildModel } from './model'
import { marginals } from './reasoning'

const heard = (outcome: string): Finding => ({ check: 'listen', outcome })

describe('what is found to be just what was told', () => {
  const jet = buildModel({
    kind: 'jet',
    ageYears: 7,
    nameplate: { volts: 230, motorType: 'capacitor-start', fullLoadAmps: 6.9 },
  })
  const chanceOf = (fault: string, complaints: string[], findings: Finding[]) =>
    marginals(jet, infer(jet, { complaints, findings }).probabilities).get(fault) ?? 0

  it('counts once: the word says nothing that the finding does not', () => {
    const both = chanceOf('bearings-worn', ['noise-whine'], [heard('whine')])
    expect(both).toBeGreaterThan(chanceOf('bearings-worn', [], [heard('whine')]) - 0.05)
    expect(infer(jet, { complaints: ['noise-whine'], findings: [heard('whine')] }).complaints).toEqual([])
  })
  it('is no noise that any machine may make: a tank that is full of water does not account for it', () => {
    const waterlogged: Finding = { check: 'tank-look', outcome: 'waterlogged' }
    expect(chanceOf('bearings-worn', ['noise-whine'], [heard('whine'), waterlogged])).toBeGreaterThan(0.5)
    expect(chanceOf('tank-waterlogged', ['noise-whine'], [heard('whine'), waterlogged])).toBeGreaterThan(0.75)
  })
})

describe('one hum heard by two checks', () => {
  it('is one hum', () => {
    const sump = buildModel({ kind: 'sump', ageYears: 6, nameplate: { volts: 115, motorType: 'permanent-split' } })
    const bypassed: Finding = { check: 'float-bypass', outcome: 'hums' }
    const once = infer(sump, { complaints: ['pit-flooded'], findings: [bypassed] })
    const twice = infer(sump, { complaints: ['pit-flooded'], findings: [heard('hum'), bypassed] })
    expect(twice.probabilities).toEqual(once.probabilities)
    expect(twice.weighed).toHaveLength(1)
    expect(infer(sump, { complaints: ['pit-flooded'], findings: [heard('quiet'), bypassed] }).weighed).toHaveLength(2)
  })
})
