import { describe, expect, it } from 'vitest'
import { KINDS, PARTS, type Kind, type Part } from '../knowledge/vocabulary'
import { parcelOf } from '../knowledge/repairs/returns'
import { US_READER } from '../quantity/sentence'
import { claimDraft, claimDues, claimOf, duesLeft, isClaimOut, mayClaim } from './claim'
import { jobOf } from './job'
import { UNNAMED_SHOP } from './shop'
import { entry, fold, opened, reading } from './test-journal'
import type { Entry } from './entry'

const machine = { ...(opened().body as { machine: object }).machine, warrantyUntil: '2028-01-01' } as never
const under = entry('machine-set', { machine })
const claim = (more: object = {}) => entry('claim', { part: 'pump', complaint: 'grinds', opened: false, ...more })
const moved = (to: 'sent' | 'back' | 'refused', on: string) => entry('claim-moved', { to, on })
const state = (...entries: Entry[]) => fold([opened(), ...entries])

describe('a claim under warranty', () => {
  it('may be made under warranty, or where it goes back; not of what is out of it', () => {
    expect(mayClaim(state())).toBe(false)
    expect(mayClaim(state(under))).toBe(true)
    expect(mayClaim(state(entry('decision', { option: 'return-under-warranty' })))).toBe(true)
    expect(mayClaim(state(claim()))).toBe(true)
  })
  it('starts from the machine’s own dates, and says that it was opened where its own steps say so', () => {
    const untouched = state(under)
    expect(claimDraft(untouched, undefined)).toEqual({
      part: 'pump',
      complaint: 'hums',
      opened: false,
      installedOn: '2017-05-12',
      warrantyUntil: '2028-01-01',
    })
    const begun = state(under, entry('decision', { option: 'bearings-and-seal' }))
    const job = jobOf(begun, UNNAMED_SHOP, {}, {})
    const bell = job.repair?.steps.find(({ id }) => /through-bolts$/.test(id) && id.startsWith('down:'))?.id as string
    expect(bell).toMatch(/^down:/)
    const ticked = state(
      under,
      entry('decision', { option: 'bearings-and-seal' }),
      entry('step', { step: bell, done: true }),
    )
    expect(claimDraft(ticked, jobOf(ticked, UNNAMED_SHOP, {}, {})).opened).toBe(true)
    expect(claimDraft(begun, job).opened).toBe(false)
  })
  it('says what was read against its limits, and of the plate what is on it', () => {
    const told = claimOf(
      state(under, reading('running-current', 9.9), claim({ identity: 'J 4471' })),
      { trip: 55, chargesJourney: true },
      US_READER,
    )
    expect(told).toMatchObject({
      label: 'Pump',
      identity: 'J 4471',
      plate: ['1 hp', '230 V', '7 A'],
      readings: [{ label: 'Current', value: '9.9 A', verdict: 'failed' }],
      secondJourney: 55,
    })
    expect(claimOf(state(under), { trip: 55 }, US_READER)).toBeUndefined()
  })
  it('is out until it is back, refused or credited, and asked after two weeks after it last moved', () => {
    expect(claimDues(state())).toEqual([])
    expect(claimDues(state(claim()))).toMatchObject([{ on: '2026-05-12', what: 'Pump to be sent back under warranty' }])
    const sent = state(claim(), moved('sent', '2026-05-14'))
    expect(isClaimOut(sent)).toBe(true)
    expect(claimDues(sent)).toEqual([
      { kind: 'claim', on: '2026-05-28', what: 'Pump under warranty: sent off, not back yet' },
    ])
    expect(isClaimOut(state(claim(), moved('sent', '2026-05-14'), moved('back', '2026-06-01')))).toBe(false)
    expect(claimDues(state(claim(), moved('refused', '2026-05-20')))).toEqual([])
    const over = state(claim(), entry('handed-over', { watch: '', nextDate: '2027-05-12' }))
    expect(duesLeft(over).map(({ kind }) => kind)).toEqual(['visit', 'claim'])
  })
  it('has a parcel for every part of every kind: what goes, what stays, how it is packed', () => {
    for (const kind of Object.keys(KINDS) as Kind[])
      for (const part of Object.keys(PARTS) as Part[]) {
        const { send, keep, packing } = parcelOf(part, kind)
        expect(new Set([...send, ...keep, ...packing]).size).toBe(send.length + keep.length + packing.length)
        expect(send.length * keep.length * packing.length).toBeGreaterThan(0)
      }
    expect(parcelOf('motor', 'well-three-wire').keep.join()).toContain('control box')
    expect(parcelOf('motor', 'pool').keep.join()).not.toContain('Drop pipe')
  })
})
