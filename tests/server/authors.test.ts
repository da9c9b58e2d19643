import { describe, expect, it } from 'vitest'
import { entry, opened } from '#core/visit/test-journal'
import type { Entry } from '#core/visit/entry'
import { authorProblems, type Sender } from '../../server/services/people/authors'

const [bo, ada] = [
  { id: '0197a000-0010-7000-8000-000000000001', name: 'Bo Heddle', role: 'technician' as const },
  { id: '0197a000-0010-7000-8000-000000000002', name: 'Ada Weir', role: 'office' as const },
]
const [here, before, elsewhere] = [1, 2, 3].map((each) => `0197a000-0011-7000-8000-00000000000${each}`) as [
  string,
  string,
  string,
]
const sender: Sender = {
  person: bo,
  devices: new Map<string, Sender['person']>([
    [here, bo],
    [before, ada],
  ]),
}
const written = (line: Entry, author: string, by?: Entry['by']): Entry => ({ ...line, author, by }) as Entry
const problems = (line: Entry, kindOf: (id: string) => Entry['kind'] | undefined = () => undefined) =>
  authorProblems(sender, [line], kindOf).map(({ field }) => field)

describe('who wrote a line', () => {
  it('is whoever is signed in, or was in the same browser, under their own name', () => {
    expect(problems(written(opened(), 'Bo Heddle', { person: bo.id, device: here }))).toEqual([])
    expect(problems(written(opened(), 'Ada Weir', { person: ada.id, device: before }))).toEqual([])
    expect(problems(written(opened(), 'Bo Heddle'))).toEqual([])
    expect(problems(written(opened(), 'Ada Weir', { person: bo.id, device: here }))).toEqual(['entries.0.author'])
    expect(problems(written(opened(), 'Ada Weir'))).toEqual(['entries.0.author'])
    expect(problems(written(opened(), 'Ada Weir', { person: ada.id, device: here }))).toEqual(['entries.0.by'])
    expect(problems(written(opened(), 'Ada Weir', { person: ada.id, device: elsewhere }))).toEqual(['entries.0.by'])
  })
  it('writes what their role writes, and takes back no more than that', () => {
    const gate = entry('gate', { gate: 'power-off', shut: true })
    expect(problems(written(gate, 'Ada Weir', { person: ada.id, device: before }))).toEqual(['entries.0.kind'])
    const back = { ...entry('retracted', {}), supersedes: gate.id } as Entry
    expect(problems(written(back, 'Ada Weir', { person: ada.id, device: before }), () => 'gate')).toEqual([
      'entries.0.kind',
    ])
    expect(problems(written(back, 'Bo Heddle', { person: bo.id, device: here }), () => 'gate')).toEqual([])
  })
})
