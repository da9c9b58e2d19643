import { describe, expect, it } from 'vitest'
import { parseVCards } from 'vcard4-ts'
import type { EntryBodies, Machine } from '../visit/entry'
import { guessMapping, lineOf, type RegisterLine } from './register-fields'
import { planImport, type KnownCustomer } from './register-import'
import { readDay, readRegisterLine } from './register-line'
import { REGISTER_HEADS, registerTable } from './register-table'
import { readVCards, toVCards } from './vcard'

const ids = (first = 1) => {
  let next = first
  return () => `0197a000-0009-7000-8000-${(next++).toString(16).padStart(12, '0')}`
}
const numbered = (...fields: RegisterLine[]) => fields.map((each, index) => ({ line: index + 2, fields: each }))
const plan = (known: KnownCustomer[], ...fields: RegisterLine[]) => planImport(numbered(...fields), known, ids())
const pool: RegisterLine = { machine: 'filter pump', kind: 'pool pump', volts: '230 V', horsepower: '1,5' }
const weir: KnownCustomer = {
  customer: {
    id: '0197a000-0001-7000-8000-000000000001',
    name: 'Sluice House',
    place: 'Weir Street 9, Tarrow Mill',
    phone: '0100 7719',
  },
  sites: [
    { id: '0197a000-0001-7000-8000-000000000001', customerId: '0197a000-0001-7000-8000-000000000001', dog: 'Bran' },
  ],
  machines: [],
}
const bodies = <K extends 'customer-set' | 'site-set' | 'machine-set'>({ drafts }: ReturnType<typeof plan>, kind: K) =>
  drafts.flatMap(({ draft }) => (draft.kind === kind ? [draft.body as EntryBodies[K]] : []))

describe('the heads of a table', () => {
  it('tell what its columns are, each taken once, its own name before another’s', () => {
    const mapping = guessMapping([
      'Owner',
      'Street address',
      'City',
      'Mobile phone',
      'Pump',
      'Pump type',
      'HP',
      'Colour',
    ])
    expect(mapping).toEqual({
      customer: { column: 0 },
      place: { column: 1 },
      town: { column: 2 },
      phone: { column: 3 },
      machine: { column: 4 },
      kind: { column: 5 },
      horsepower: { column: 6 },
    })
    expect(guessMapping(['Kind', 'Customer'])).toEqual({
      kind: { column: 0 },
      machine: { column: 0 },
      customer: { column: 1 },
    })
  })
  it('lead to the fields of a line, one text for all among them, a formula’s mark taken off', () => {
    const mapping = { customer: { column: 1 }, phone: { column: 0 }, volts: { text: '230' }, dog: { column: 9 } }
    expect(lineOf(["'+44 100 7719", ' Sluice House '], mapping)).toEqual({
      customer: 'Sluice House',
      phone: '+44 100 7719',
      volts: '230',
    })
  })
})

describe('a line', () => {
  it.each([
    ['2019-04-03', '2019-04-03'],
    ['2019', '2019-01-01'],
    ['2019/4', '2019-04-01'],
    ['3.4.2019', '2019-04-03'],
    ['23/04/2019', '2019-04-23'],
    ['04/23/2019', '2019-04-23'],
    ['03/04/2019', undefined],
    ['31.2.2019', undefined],
    ['last spring', undefined],
  ])('reads the day %s as %s', (written, day) => expect(readDay(written)).toBe(day))

  it('says who, where and what', () => {
    expect(
      readRegisterLine({
        ...pool,
        customer: 'Alder Holt',
        place: 'Mill Lane 2',
        town: 'Upper Tarrow',
        gate: 'code 12',
      }),
    ).toEqual({
      said: {
        customer: { name: 'Alder Holt', place: 'Mill Lane 2, Upper Tarrow' },
        place: { gate: 'code 12' },
        machine: {
          name: 'filter pump',
          kind: 'pool',
          construction: 'band-clamp',
          nameplate: { volts: 230, horsepower: 1.5 },
        },
      },
    })
  })
  it('says of each field what is wrong with it and what would be right', () => {
    const read = readRegisterLine({ machine: 'well', kind: 'well pump', volts: 'two', installedOn: '03/04/2019' })
    expect('problems' in read && read.problems.map(({ field, value }) => [field, value])).toEqual([
      ['customer', ''],
      ['kind', 'well pump'],
      ['volts', 'two'],
      ['installed on', '03/04/2019'],
    ])
    expect('problems' in read && read.problems[2]?.expected).toContain('such as 230')
  })
  it('has no machine without a name, whatever is said for all', () => {
    expect(readRegisterLine({ customer: 'Alder Holt', kind: 'pool', volts: '230' })).toMatchObject({
      said: { customer: { name: 'Alder Holt' } },
    })
    expect(readRegisterLine({ customer: 'A', kind: 'pool', volts: '230' })).not.toHaveProperty('said.machine')
  })
})

describe('a file', () => {
  it('makes one customer of the lines that name the same, with the machines of each', () => {
    const alder = { customer: 'Alder Holt', place: 'Mill Lane 2, Upper Tarrow' }
    const made = plan([], { ...alder, ...pool }, { ...alder, ...pool, machine: 'booster', kind: 'booster' })
    expect([made.customers, made.machines]).toEqual([1, 2])
    const [customer] = bodies(made, 'customer-set')
    expect(bodies(made, 'machine-set').map(({ machine }) => machine.customerId)).toEqual([
      customer?.customer.id,
      customer?.customer.id,
    ])
    expect(made.lines.map(({ line, is }) => [line, is])).toEqual([
      [2, 'new'],
      [3, 'new'],
    ])
  })
  it('fills what is not known and overwrites nothing', () => {
    const made = plan([weir], {
      customer: 'sluice house',
      place: 'Weir St 9, Tarrow Mill',
      phone: '0100 9999',
      mail: 'sluice@house.example',
      dog: 'none',
      key: 'under the pot',
    })
    expect(made.lines[0]?.is).toBe('fills')
    expect(bodies(made, 'customer-set')).toEqual([{ customer: { ...weir.customer, mail: 'sluice@house.example' } }])
    expect(bodies(made, 'site-set')).toEqual([{ site: { ...weir.sites[0], key: 'under the pot' } }])
  })
  it('says nothing new of what it knows already', () => {
    const machine: Machine = {
      id: '0197a000-0002-7000-8000-000000000001',
      customerId: weir.customer.id,
      name: 'Filter pump',
      kind: 'pool',
      construction: 'band-clamp',
      nameplate: { volts: 230 },
    }
    const made = plan([{ ...weir, machines: [machine] }], { customer: 'Sluice House', phone: '01007719', ...pool })
    expect(made).toMatchObject({ drafts: [], lines: [{ is: 'known' }] })
  })
  it('takes somebody of another name at the same telephone for another, and says so', () => {
    const made = plan([weir], { customer: 'The Boathouse', phone: '0100 7719' })
    expect(made.lines[0]).toMatchObject({ is: 'new', like: 'Sluice House' })
  })
  it('knows somebody by the name alone where one only has it', () => {
    const other = {
      ...weir,
      customer: { ...weir.customer, id: '0197a000-0001-7000-8000-000000000002', place: 'Elsewhere 1' },
    }
    expect(plan([weir], { customer: 'Sluice House' }).lines[0]?.is).toBe('known')
    expect(plan([weir, other], { customer: 'Sluice House' }).lines[0]?.is).toBe('new')
  })
  it('leaves a bad line out by its number and takes the others', () => {
    const made = plan([], { customer: 'Alder Holt', mail: 'no mail at all' }, { customer: 'Reed Barn' }, {})
    expect(made.lines.map(({ line, is }) => [line, is])).toEqual([
      [2, 'bad'],
      [3, 'new'],
      [4, 'bad'],
    ])
    expect(made.lines[0]?.problems[0]).toMatchObject({ field: 'mail', value: 'no mail at all' })
    expect(bodies(made, 'customer-set').map(({ customer }) => customer.name)).toEqual(['Reed Barn'])
  })
  it('puts a machine at another address in a place of its own, two of them in one', () => {
    const at = { customer: 'Alder Holt', place: 'Mill Lane 2', stands: 'Hop Hill 4' }
    const made = plan([], { ...at, ...pool }, { ...at, ...pool, machine: 'booster', kind: 'booster' })
    const [site, ...others] = bodies(made, 'site-set')
    expect(site?.site.address).toBe('Hop Hill 4')
    expect(others).toEqual([])
    expect(bodies(made, 'machine-set').map(({ machine }) => machine.siteId)).toEqual([site?.site.id, site?.site.id])
  })
  it('writes over no record that is another’s, was merged or is retired', () => {
    const id = '0197a000-0002-7000-8000-000000000009'
    const line = { customer: 'Sluice House', phone: '0100 7719', machineId: id, ...pool }
    const taken = planImport(numbered(line), [weir], ids(), new Set([id]))
    expect(taken).toMatchObject({ drafts: [], lines: [{ is: 'bad', problems: [{ field: 'machine id', value: id }] }] })
    const gone = planImport(numbered({ customer: 'Reed Barn', customerId: id }), [], ids(), new Set([id]))
    expect(gone.lines[0]?.problems[0]).toMatchObject({ field: 'customer id', value: id })
    expect(planImport(numbered(line), [weir], ids()).lines[0]?.is).toBe('new')
  })
  it('is read back as it was given out, and then says nothing new', () => {
    const made = plan([], {
      customer: 'Alder Holt',
      place: 'Mill Lane 2',
      gate: 'code 12',
      ...pool,
      stands: 'Hop Hill 4',
    })
    const known: KnownCustomer = {
      customer: bodies(made, 'customer-set')[0]?.customer as KnownCustomer['customer'],
      sites: bodies(made, 'site-set').map(({ site }) => site),
      machines: bodies(made, 'machine-set').map(({ machine }) => machine),
    }
    const table = registerTable([known, weir]).map((row) => REGISTER_HEADS.map((head) => row[head] ?? ''))
    const lines = table.map((cells, index) => ({
      line: index + 2,
      fields: lineOf(cells, guessMapping(REGISTER_HEADS)),
    }))
    expect(planImport(lines, [known, weir], ids()).lines.map(({ is }) => is)).toEqual(['known', 'known'])
    const anew = planImport(lines, [], ids(100))
    expect(bodies(anew, 'customer-set').map(({ customer }) => customer)).toEqual([known.customer, weir.customer])
    expect(bodies(anew, 'machine-set').map(({ machine }) => ({ ...machine, siteId: '' }))).toEqual([
      { ...known.machines[0], siteId: '' },
    ])
  })
})

describe('vCards', () => {
  const alder: KnownCustomer = {
    customer: {
      id: '0197a000-0001-7000-8000-00000000000a',
      name: 'Alder, Holt; & Søn',
      place: 'Mill Lane 2, Upper Tarrow',
      phone: '0100 4711',
      mail: 'alder@holt.example',
    },
    sites: [],
    machines: [],
  }
  it('are read by another program as they were meant', () => {
    const { vCards } = parseVCards(toVCards([alder, weir]))
    expect(vCards).toHaveLength(2)
    expect(vCards?.[0]).toMatchObject({
      FN: [{ value: 'Alder, Holt; & Søn' }],
      TEL: [{ value: '0100 4711' }],
      EMAIL: [{ value: 'alder@holt.example' }],
      ADR: [{ value: { streetAddress: ['Mill Lane 2'], locality: ['Upper Tarrow'] } }],
      UID: { value: `urn:uuid:${alder.customer.id}` },
      hasErrors: false,
    })
  })
  it('say the same when they are read back', () => {
    const { id, ...customer } = alder.customer
    expect(readVCards(toVCards([alder]))).toEqual([
      {
        line: 1,
        fields: {
          customer: customer.name,
          place: customer.place,
          phone: customer.phone,
          mail: customer.mail,
          customerId: id,
        },
      },
    ])
  })
  it('are read as older programs write them: folded, grouped, in quoted-printable', () => {
    const text = [
      'BEGIN:VCARD',
      'VERSION:2.1',
      'N;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:S=C3=B8n;Alder',
      'FN;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:Alder S=C3=B8n of the=',
      ' mill',
      'TEL;CELL;VOICE:+44 100 4711',
      'ADR;HOME:;;Weir Street 4;Tarrow Mill;;;',
      'END:VCARD',
      'BEGIN:VCARD',
      'VERSION:3.0',
      'FN:Reed Barn\\, north',
      'item1.TEL;TYPE=CELL:0100',
      '  222',
      'END:VCARD',
      'BEGIN:VCARD',
      'this is no line of a card',
      'END:VCARD',
      '',
    ].join('\r\n')
    expect(readVCards(text)).toEqual([
      {
        line: 1,
        fields: { customer: 'Alder Søn of the mill', phone: '+44 100 4711', place: 'Weir Street 4, Tarrow Mill' },
      },
      { line: 2, fields: { customer: 'Reed Barn, north', phone: '0100 222' } },
      { line: 3, fields: {} },
    ])
  })
})
