import { describe, expect, it } from 'vitest'
import { understand } from '../language/understand'
import { completePlate } from '../motor/nameplate'
import type { Entry } from './entry'
import { validEntry } from './entry-rules'
import { foldVisit, type VisitState } from './fold'
import { draftsOf } from './line-entries'
import { sceneOf } from './line-scene'
import { opened as openedVisit } from './test-journal'

const opened = openedVisit()
const state = foldVisit([opened]) as VisitState
const said = (line: string, here: VisitState = state) => draftsOf(understand(line, sceneOf(here)), here, 'test')

/** The visit after some lines, each as the journal would take it: validated, with its act. */
function after(...lines: string[]): VisitState {
  let journal: Entry[] = [opened]
  let count = 0
  for (const line of lines) {
    const here = foldVisit(journal) as VisitState
    const fresh = said(line, here).map(({ kind, body }) =>
      validEntry({
        id: `0197a000-00ab-7000-8000-${(++count).toString(16).padStart(12, '0')}`,
        lamport: journal.length + count,
        visitId: opened.visitId,
        kind,
        at: new Date(Date.parse(opened.at) + count * 1000).toISOString(),
        author: 'technician',
        said: { act: `0197a000-00ac-7000-8000-${count.toString(16).padStart(12, '0')}`, line },
        body,
      }),
    )
    journal = [...journal, ...fresh]
  }
  return foldVisit(journal) as VisitState
}

describe('what a line becomes in the journal', () => {
  it('is a finding for each reading', () => {
    expect(said('supply 236, weep dry').map(({ kind }) => kind)).toEqual(['finding', 'finding'])
  })

  it('is nothing while a question stands', () => expect(said('27')).toEqual([]))

  it('is a gate, and the state has it', () => {
    const now = after('breaker off and locked')
    expect([...now.gates.keys()]).toEqual(['power-off'])
    expect([...after('breaker off and locked', 'power back on').gates.keys()]).toEqual(['power-on'])
  })

  it('is a plate read off, written on the machine beside what was there', () => {
    const { machine } = after('plate 9.8 amps frame 56Y')
    expect(machine.nameplate).toEqual({ ...state.machine.nameplate, fullLoadAmps: 9.8, frame: '56Y' })
  })

  it('is a reading of another motor, unless the machine’s own is a new one', () => {
    const read = (here: VisitState) => said('new motor insulation 640 meg', here)[0]?.body
    const used = { ...state, pump: { ...state.pump, ageYears: 9 } }
    expect(read(used)).toMatchObject({ value: 640, ageState: 'new', of: 'new' })
    for (const own of [
      { ...used, fitted: [{ part: 'motor' as const }] },
      { ...used, standing: 'in-box' as const },
      { ...used, pump: { ...state.pump, ageYears: 0.2 } },
      { ...used, call: { ...state.call, alreadyReplaced: ['motor'] } },
    ])
      expect(read(own)).not.toHaveProperty('of')
  })

  it('is a part replaced and a complaint, added to what the call said', () => {
    const { call } = after('bearings replaced last year', 'owner says it trips the breaker')
    expect(call.alreadyReplaced).toEqual([...state.call.alreadyReplaced, 'bearings'])
    expect(call.complaints).toEqual([...state.call.complaints, 'trips-breaker'])
    expect(call.callerSays).toBe(state.call.callerSays)
  })

  it('is a thing seen and left, and a plain note', () => {
    expect(after('left: cracked lid', 'dog is friendly').notes).toMatchObject([
      { text: 'cracked lid', seenAndLeft: true },
      { text: 'dog is friendly', seenAndLeft: false },
    ])
  })

  it('says where the machine stands, and readings there carry it', () => {
    const now = after('pump is on the bench', 'shaft free')
    expect(now.standing).toBe('bench')
    expect(now.findings[0]?.finding).toMatchObject({ check: 'shaft-turn', where: 'bench' })
    expect(after('shaft free').findings[0]?.finding).not.toHaveProperty('where')
  })

  it('is a wish, by the job that renews the part', () => {
    expect(after('customer wants a new motor').wished).toEqual(['swap-motor'])
  })

  it('keeps the line as it was typed with each of its entries', () => {
    const { entries } = after('supply 236, weep dry')
    const lines = entries.filter(({ kind }) => kind === 'finding').map((entry) => entry.said?.line)
    expect(lines).toEqual(['supply 236, weep dry', 'supply 236, weep dry'])
  })

  it('judges two legs as halves of one line', () => {
    const { findings, case: of } = after('l1 119 l2 118')
    expect(findings.map(({ judgement }) => judgement.verdict)).toEqual(['sound', 'sound'])
    expect(String(findings[1]?.judgement.because)).toContain('237 V')
    expect(of.findings).toHaveLength(2)
    expect(completePlate(state.pump).volts).toBe(230)
  })
})
