import { describe, expect, it } from 'vitest'
import { validEntry } from '#core/visit/entry-rules'
import { SOMEBODY, writeLine } from './write-line'

const VISIT = '0197a000-0009-7000-8000-000000000001'
const NOW = new Date('2026-05-12T10:20:00Z')

describe('a line written here', () => {
  it('is one that the edge takes, as it is', () => {
    const line = writeLine(
      { visitId: VISIT, author: 'Ada', lamport: 7 },
      'note',
      { text: 'dry', seenAndLeft: false },
      NOW,
    )
    expect(validEntry(JSON.parse(JSON.stringify(line)))).toEqual(line)
    expect(line).toMatchObject({ lamport: 7, at: '2026-05-12T10:20:00.000Z', author: 'Ada', body: { text: 'dry' } })
  })
  it('says what it corrects and what it settles, and nothing of it where it does neither', () => {
    const id = '0197a000-00aa-7000-8000-000000000001'
    const rival = '0197a000-00aa-7000-8000-000000000002'
    const place = { visitId: VISIT, author: 'Ada', lamport: 9 }
    expect(writeLine({ ...place, supersedes: id, settles: [rival] }, 'retracted', {})).toMatchObject({
      supersedes: id,
      settles: [rival],
    })
    expect(Object.keys(writeLine({ ...place, settles: [] }, 'retracted', {}))).not.toEqual(
      expect.arrayContaining(['supersedes', 'settles']),
    )
  })
  it('of the shop has no logical time of its own, and always an author', () => {
    const line = writeLine({ visitId: null, author: '' }, 'shop-forget', {})
    expect(line).toMatchObject({ visitId: null, author: SOMEBODY })
    expect('lamport' in line).toBe(false)
    expect(validEntry(JSON.parse(JSON.stringify(line)))).toEqual(line)
  })
})
