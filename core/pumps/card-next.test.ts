import { describe, expect, it } from 'vitest'
import type { MachineCard } from './card'
import { cardNext } from './card-next'

const now = '2026-05-12T08:00:00.000Z'
const visit = (handedOver: boolean): MachineCard['visits'][number] => ({
  id: 'v',
  scheduledAt: '2026-05-10T08:00:00.000Z',
  words: 'hums',
  stage: 'call',
  handedOver,
  photos: 0,
})
const due = (on: string) => ({ kind: 'reading' as const, on, what: 'Insulation', visitId: 'v' })
const row = (crossing: MachineCard['rows'][number]['crossing']): MachineCard['rows'][number] => ({
  key: 'x',
  label: 'run capacitor',
  points: [],
  bounds: {},
  logarithmic: false,
  crossing,
})
const ask = (more: Partial<MachineCard>) => cardNext({ visits: [], due: [], rows: [], ...more }, now)

describe('what is worth doing about a machine', () => {
  it('is the visit that is open, before anything that is due', () =>
    expect(ask({ visits: [visit(true), visit(false)], due: [due('2026-05-01')] })).toMatchObject({ is: 'open' }))
  it('is what is due within a month, late or not', () => {
    expect(ask({ visits: [visit(true)], due: [due('2026-05-01')] })).toMatchObject({ is: 'due', late: true })
    expect(ask({ due: [due('2026-06-01')] })).toMatchObject({ is: 'due', late: false })
    expect(ask({ due: [due('2026-08-01')] })).toEqual({ is: 'nothing' })
  })
  it('is a reading whose line meets its limit within a season', () => {
    expect(ask({ rows: [row({ is: 'past' })] })).toMatchObject({ is: 'reading' })
    expect(ask({ rows: [row({ is: 'ahead', limit: 88, at: Date.parse('2026-08-01') })] })).toMatchObject({
      is: 'reading',
    })
    expect(ask({ rows: [row({ is: 'ahead', limit: 88, at: Date.parse('2027-08-01') })] })).toEqual({ is: 'nothing' })
  })
  it('is nothing for a machine that is no longer there', () =>
    expect(ask({ retired: { on: '2026-01-01', why: '' }, due: [due('2026-05-01')] })).toEqual({ is: 'nothing' }))
})
