import { describe, expect, it } from 'vitest'
import { KINDS } from '../core/knowledge/vocabulary'
import { coursesIn } from '../core/practice/courses'
import { skillsOf, triedIn } from '../core/practice/skills'
import type { Entry } from '../core/visit/entry'
import { stockFrom } from '../core/shelf/stock'
import { validEntry } from '../core/visit/entry-rules'
import { foldVisit } from '../core/visit/fold'
import { demoEntries } from './demo-entries'
import customers from './data/customers.json'
import machines from './data/machines.json'

const today = new Date(2026, 4, 12, 9, 0)
const entries = demoEntries(today)
const visits = [...new Set(entries.flatMap(({ visitId }) => visitId ?? []))].map((id) =>
  foldVisit(entries.filter(({ visitId }) => visitId === id)),
)

describe('the made-up shop', () => {
  it('keeps the rules of every entry', () => {
    for (const entry of entries) expect(validEntry(JSON.parse(JSON.stringify(entry)))).toEqual(entry)
    expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length)
  })

  it('has about 26 customers and 41 machines of all nine kinds, on 50 and 60 Hz', () => {
    expect(customers.length).toBe(26)
    expect(machines.length).toBe(41)
    expect(new Set(machines.map(({ kind }) => kind))).toEqual(new Set(Object.keys(KINDS)))
    expect(new Set(machines.map(({ nameplate }) => nameplate.hertz))).toEqual(new Set([50, 60]))
    expect(new Set(machines.map(({ customer }) => customer)).size).toBe(26)
  })

  it('has a history of years for every machine, all handed over before today', () => {
    const past = visits.filter((visit) => visit && !visit.schedule.waits && visit.scheduledAt < '2026-05-12')
    expect(new Set(past.map((visit) => visit?.machine.id)).size).toBe(41)
    expect(past.every((visit) => visit?.handedOver)).toBe(true)
  })

  it('has seven visits today at different joints, the humming pump at its beginning', () => {
    const now = visits.filter((visit) => visit && new Date(visit.scheduledAt).toDateString() === today.toDateString())
    expect(now.length).toBe(7)
    expect(new Set(now.map((visit) => visit?.stage)).size).toBe(7)
    expect(now.find((visit) => visit?.machine.name === 'filter pump 2')).toMatchObject({
      stage: 'call',
      findings: [],
      call: { complaints: [] },
    })
  })

  it('has two people who practise, and a course that is set for them', () => {
    const tried = triedIn(entries)
    expect(new Set(tried.map(({ who }) => who))).toEqual(new Set(['technician', 'apprentice']))
    expect(coursesIn(entries)).toHaveLength(1)
    const mine = tried.filter(({ who }) => who === 'technician')
    const { all } = skillsOf(mine)
    expect(all.estimate).toBeGreaterThan(skillsOf(tried.filter(({ who }) => who === 'apprentice')).all.estimate)
  })

  it('has shelves in two vans and eight bays, each article measured by its name, and a count to explain', () => {
    const stock = stockFrom(entries)
    const measured = [...stock.articles.values()].filter(({ family }) => family)
    expect(measured.length).toBeGreaterThan(40)
    for (const { name, spec } of measured) expect([name, Object.keys(spec).length]).not.toEqual([name, 0])
    expect(new Set([...stock.at.values()].map(({ place }) => place)).size).toBeGreaterThan(8)
    expect(stock.differences).toMatchObject([{ expected: 5, counted: 3 }])
  })

  it('hangs on the day of seeding, and is the same for the same day', () => {
    expect(demoEntries(today)).toEqual(entries)
    const later = demoEntries(new Date(2027, 0, 3, 14, 0))
    expect(
      later
        .filter(({ kind }: Entry) => kind === 'visit-opened')
        .some((entry) => (entry.body as { scheduledAt: string }).scheduledAt.startsWith('2027-01-03')),
    ).toBe(true)
    expect(later.every(({ at }) => Date.parse(at) <= new Date(2027, 0, 3, 14, 0).getTime())).toBe(true)
  })
})
