import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Entry } from './entry'
import { foldVisit, type VisitState } from './fold'
import { liftJournal } from './lift'
import { supersessionOf } from './supersession'
import { jobOf } from './job'
import { writeSheet } from './sheet'
import { UNNAMED_SHOP } from './shop'

const VISIT = '0197a000-0009-7000-8000-000000000001'
const OPENED = {
  customer: { id: '0197a000-0001-7000-8000-000000000001', name: 'Millrace Lido', place: 'Weir Street 1' },
  scheduledAt: '2026-05-12T10:20:00.000Z',
  plannedMinutes: 45,
  callerSays: 'hums',
  machine: {
    id: '0197a000-0002-7000-8000-000000000001',
    customerId: '0197a000-0001-7000-8000-000000000001',
    name: 'filter pump 2',
    kind: 'pool',
    construction: 'band-clamp',
    nameplate: { volts: 230 },
  },
}
let count = 0
const id = (tail = ++count) => `0197a000-00aa-7000-8000-${tail.toString(16).padStart(12, '0')}`
/** A line of a device: its logical time, what it says, what it replaces. */
function line(
  lamport: number,
  kind: Entry['kind'],
  body: object,
  { supersedes, settles, at = '2026-05-12T10:20:00Z' }: { supersedes?: Entry; settles?: Entry[]; at?: string } = {},
): Entry {
  return {
    id: id(),
    v: 2,
    lamport,
    visitId: VISIT,
    kind,
    at,
    author: 'test',
    ...(supersedes ? { supersedes: supersedes.id } : {}),
    ...(settles ? { settles: settles.map((each) => each.id) } : {}),
    body,
  } as Entry
}
const volts = (lamport: number, value: number, more = {}) =>
  line(lamport, 'finding', { check: 'supply-voltage', value, unit: 'V', stage: 'test' }, more)
const back = (lamport: number, supersedes: Entry, settles?: Entry[]) =>
  line(lamport, 'retracted', {}, { supersedes, settles })
const opened = line(1, 'visit-opened', OPENED)
const values = (entries: Entry[]) =>
  supersessionOf([opened, ...entries]).live.flatMap(({ kind, body }) =>
    kind === 'finding' ? [(body as { value: number }).value] : [],
  )
const claims = (entries: Entry[]) =>
  supersessionOf([opened, ...entries]).conflicts.map(({ claims: said }) =>
    said.map(({ entry, takenBack }) => (takenBack ? 'taken back' : (entry.body as { value: number }).value)),
  )
const fold = (entries: Entry[]) => foldVisit([opened, ...entries]) as VisitState

describe('what counts of a journal', () => {
  const first = volts(2, 23.6)
  const corrected = volts(3, 236, { supersedes: first })
  const again = volts(4, 235, { supersedes: corrected })

  it('is the last correction alone, however often a line was corrected', () => {
    expect(values([first, corrected, again])).toEqual([235])
  })
  it('is what stood before, where a correction is taken back', () => {
    expect(values([first, corrected, again, back(5, again)])).toEqual([236])
    const undone = back(4, corrected)
    expect(values([first, corrected, undone])).toEqual([23.6])
    expect(values([first, corrected, undone, back(5, undone)])).toEqual([236])
  })
  it('never loses what opens the visit, and lines that replace each other in a circle take nothing back', () => {
    expect(foldVisit([opened, back(2, opened)])?.id).toBe(VISIT)
    const [one, other] = [volts(2, 1), volts(3, 2)]
    expect(
      values([{ ...one, supersedes: other.id } as Entry, { ...other, supersedes: one.id } as Entry]).length,
    ).toBeLessThan(2)
    const [left, right] = [back(2, one), back(3, one)]
    expect(() =>
      values([one, { ...left, supersedes: right.id } as Entry, { ...right, supersedes: left.id } as Entry]),
    ).not.toThrow()
  })
  it('takes a chain of twenty thousand undos without running out of stack', () => {
    const chain: Entry[] = [first]
    while (chain.length < 20_001) chain.push(back(chain.length + 2, chain.at(-1) as Entry))
    expect(values(chain)).toEqual([23.6])
    expect(values(chain.slice(0, -1))).toEqual([])
  })
})

describe('two devices that had not seen each other', () => {
  const first = volts(2, 23.6)
  const here = volts(3, 236, { supersedes: first })
  const there = volts(3, 190, { supersedes: first })

  it('both stand, in conflict, and neither speaks until one is chosen', () => {
    expect(values([first, here, there]).sort()).toEqual([190, 236])
    expect(claims([first, here, there]).map((said) => said.sort())).toEqual([[190, 236]])
    const state = fold([first, here, there])
    expect(state.findings).toEqual([])
    expect(state.case.findings).toEqual([])
    expect(state.contested.map(({ finding }) => finding.value).sort()).toEqual([190, 236])
    expect(writeSheet(state, UNNAMED_SHOP, jobOf(state, UNNAMED_SHOP)).found).toContainEqual(
      expect.objectContaining({ verdict: 'unclear', text: expect.stringContaining('not settled') as string }),
    )
  })
  it('one is chosen: it alone counts; undone, both stand again', () => {
    const chosen = volts(4, 236, { supersedes: here, settles: [there] })
    expect(values([first, here, there, chosen])).toEqual([236])
    expect(claims([first, here, there, chosen])).toEqual([])
    expect(claims([first, here, there, chosen, back(5, chosen)]).map((said) => said.sort())).toEqual([[190, 236]])
  })
  it('who choose differently are in conflict once more, not back at the old reading', () => {
    const both = [
      volts(4, 236, { supersedes: here, settles: [there] }),
      volts(4, 190, { supersedes: there, settles: [here] }),
    ]
    expect(values([first, here, there, ...both]).sort()).toEqual([190, 236])
    expect(claims([first, here, there, ...both])).toHaveLength(1)
  })
  it('a correction and a taking back contradict each other too, and either can be chosen', () => {
    const gone = back(3, first)
    expect(claims([first, here, gone])).toEqual([[236, 'taken back']])
    expect(values([first, here, gone, volts(4, 236, { supersedes: here, settles: [gone] })])).toEqual([236])
    const neither = back(4, here)
    expect(values([first, here, gone, neither])).toEqual([])
    expect(claims([first, here, gone, neither])).toEqual([])
  })
  it('a correction of a correction against a correction of the first: still one conflict', () => {
    const further = volts(4, 237, { supersedes: here })
    expect(claims([first, here, there, further]).map((said) => said.sort())).toEqual([[190, 237]])
  })
  it('who say the same agree', () => {
    const same = volts(3, 236, { supersedes: first })
    expect(values([first, here, same])).toEqual([236])
    expect(claims([first, here, same])).toEqual([])
  })
})

describe('the order of a journal', () => {
  const gate = (lamport: number, name: string, at: string, shut = true) =>
    line(lamport, 'gate', { gate: name, shut }, { at })
  const gates = (entries: Entry[]) => [...fold(entries).gates.keys()]

  it('follows what its writers had seen, not their clocks: an hour back, a year on, another zone', () => {
    const shut = [
      gate(2, 'power-off', '2026-05-12T10:00:00Z'),
      gate(3, 'proved-dead', '2026-05-12T09:01:00Z'),
      gate(4, 'power-on', '2025-05-12T10:02:00+10:00'),
    ]
    expect(gates(shut)).toEqual(['power-on'])
    for (const hours of [-1, 1, 8760]) {
      const moved = shut.map(
        (entry) => ({ ...entry, at: new Date(Date.parse(entry.at) + hours * 3_600_000).toISOString() }) as Entry,
      )
      expect(gates(moved)).toEqual(['power-on'])
    }
  })
  it('is that of arrival for lines that say no logical time', () => {
    const untimed = [
      opened,
      gate(0, 'power-off', '2026-05-12T10:00:00Z'),
      gate(0, 'power-on', '2026-05-12T09:00:00Z'),
    ].map(({ lamport: _, ...entry }) => entry as Entry)
    expect([...(foldVisit(liftJournal(untimed)) as VisitState).gates.keys()]).toEqual(['power-on'])
    expect([
      ...(foldVisit(liftJournal([untimed[0], untimed[2], untimed[1]] as Entry[])) as VisitState).gates.keys(),
    ]).toEqual(['power-off'])
  })
  it('is the same on every device, whatever order the lines arrive in', () => {
    const first = volts(2, 23.6)
    const journal = [
      opened,
      first,
      volts(3, 236, { supersedes: first }),
      volts(3, 190, { supersedes: first }),
      gate(3, 'power-off', '2026-05-12T10:00:00Z'),
      gate(4, 'power-on', '2026-05-12T09:00:00Z'),
      gate(4, 'valves-shut', '2030-05-12T09:00:00Z'),
    ]
    const whole = JSON.stringify(foldVisit(journal)?.case)
    fc.assert(
      fc.property(
        fc.shuffledSubarray(journal, { minLength: journal.length }),
        fc.subarray(journal),
        (shuffled, repeated) => {
          expect(JSON.stringify(foldVisit([...shuffled, ...repeated])?.case)).toBe(whole)
        },
      ),
    )
  })
})
