import { describe, expect, it } from 'vitest'
import { questionById } from '../questions/questions'
import { knownHere } from './known-here'
import { entry, fold, opened, reading } from './test-journal'

describe('what a visit knows of its machine', () => {
  it('is its plate, its place and its readings', () => {
    const well = opened()
    const body = well.body as { machine: object }
    const machine = {
      ...body.machine,
      kind: 'well-two-wire',
      construction: 'submersible-joined',
      nameplate: { volts: 230 },
      installation: { cutInPsi: 40, cutOutPsi: 60, tankLitres: 120 },
    }
    const state = fold([
      { ...well, body: { ...body, machine } } as never,
      reading('cut-in', 38),
      reading('tank-precharge', 36),
      entry('note', { text: 'x', seenAndLeft: false }),
    ])
    const asked = questionById('tank-and-charge')
    const taken = asked.take?.(knownHere(state))
    expect(taken?.input).toMatchObject({ tankLitres: 120 })
    expect(Object.keys(taken?.sources ?? {})).toContain('cutInKpa')
    const bare = asked.take?.(knownHere(fold([opened()])))
    expect(bare?.input).not.toHaveProperty('tankLitres')
  })
})
