import { describe, expect, it } from 'vitest'
import { entry, fold, opened, reading, seen } from '../visit/test-journal'
import { customerLines, machineLines, siteWords, visitFound, type SearchLine } from './search-lines'
import { askedWords } from './words'

const found = (lines: readonly SearchLine[], query: string) =>
  lines
    .filter(({ words }) => askedWords(query).every((each) => words.some((word) => word.startsWith(each))))
    .map(({ what, label }) => `${what}: ${label}`)

const customer = { id: '0197a000-0001-7000-8000-000000000001', name: 'Millrace Lido', place: 'Weir Street 1, Tarrow' }
const site = { id: customer.id, customerId: customer.id, gate: 'code 44', dog: 'friendly', breaker: '6, in the barn' }

describe('what can be found', () => {
  const state = fold([
    opened(),
    entry('call', { complaints: ['hums-no-start'], alreadyReplaced: [], callerSays: 'it only hums' }),
    reading('insulation-resistance', 0.2, { unit: 'Mohm', setup: 'surface-motor' }),
    seen('shaft-turn', 'gritty'),
    entry('note', { text: 'skimmer weir flap stuck', seenAndLeft: false }),
    entry('note', { text: 'lid ear cracked', seenAndLeft: true }),
    entry('post-mortem', { fault: 'bearings-worn', why: 'water ran down the shaft', keeping: 'fan' }),
  ])
  const { lines, verdict } = visitFound(state)

  it('finds a reading by its number in either unit, and by its word', () => {
    expect(found(lines, '0.2 meg')).toEqual(['finding: insulation, surface motor'])
    expect(found(lines, 'gritty')).toEqual(['finding: shaft, by hand'])
  })
  it('finds what was said, noted, left and found at the bench', () => {
    expect(found(lines, 'weir')).toEqual(['note: skimmer weir flap stuck'])
    expect(found(lines, 'only hums')).toEqual(['note: it only hums'])
    expect(found(lines, 'lid ear')).toEqual(['note: lid ear cracked'])
    expect(found(lines, 'down the shaft')).toEqual(['note: water ran down the shaft · fan'])
    expect(found(lines, 'bearings worn')).toEqual(['finding: Bearings worn'])
  })
  it('says the worst of what stands at its end', () => expect(verdict).toBe('failed'))
  it('leads each line to its visit, machine and customer', () => {
    for (const line of lines)
      expect(line).toMatchObject({ visitId: state.id, machineId: state.machine.id, customerId: customer.id })
  })

  it('finds a customer by name, street and telephone, and a place by what one must know of it', () => {
    const lines = customerLines({ ...customer, phone: '0100 1001' }, [site])
    expect(found(lines, 'weir st')).toEqual(['customer: Millrace Lido', 'place: Weir Street 1, Tarrow'])
    expect(found(lines, '01001001')).toEqual(['customer: Millrace Lido'])
    expect(found(lines, 'dog')).toEqual(['place: Weir Street 1, Tarrow'])
    expect(lines[0]?.street).toBe('Weir Street, Tarrow')
    expect(siteWords(site)).toBe('gate code 44 · dog friendly · breaker 6, in the barn')
  })

  it('finds a machine by its plate, and by a part that is or was in it', () => {
    const machine = {
      ...state.machine,
      fitted: [
        { part: 'bearings' as const, identity: '6203-2RS', since: '2019-04-01', until: '2024-06-01' },
        { part: 'bearings' as const, identity: '6204-2RS', since: '2024-06-01' },
        { part: 'shaft-seal' as const, since: '2024-06-01' },
      ],
    }
    const lines = machineLines(machine, customer, customer.place)
    expect(found(lines, '6204')).toEqual(['part: bearings 6204-2RS'])
    expect(found(lines, '6203')).toEqual(['part: bearings 6203-2RS, gone'])
    expect(found(lines, '8.2 sf')).toEqual(['plate: 230 V · permanent split · 1 hp · 7 A · 8.2 SF A · 30 μF'])
    expect(found(lines, 'pool lido')).toEqual(['machine: filter pump 2'])
  })
})
