import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { completePlate } from '../motor/nameplate'
import { understandLine, type LineContext } from './reading-line'

const plate = (motorType: 'permanent-split' | 'capacitor-start-run' | 'split-phase') =>
  completePlate({ kind: 'pool', nameplate: { volts: 230, motorType, horsepower: 1 } })
const psc: LineContext = { kind: 'pool', plate: plate('permanent-split') }
const both: LineContext = { kind: 'pool', plate: plate('capacitor-start-run') }
const finding = (line: string, context = psc) => {
  const understood = understandLine(line, context)
  return understood.kind === 'findings' ? understood.findings : understood
}
const question = (line: string, context = psc) => {
  const understood = understandLine(line, context)
  return understood.kind === 'question' ? understood : undefined
}

describe('readings as technicians type them', () => {
  it.each([
    ['238 v', { check: 'supply-voltage', value: 238, unit: 'V' }],
    ['supply 236', { check: 'supply-voltage', value: 236 }],
    ['loaded 231 v', { check: 'supply-voltage-loaded', value: 231 }],
    ['run cap 41.2', { check: 'capacitance', part: 'run-capacitor', value: 41.2, unit: 'uF' }],
    ['run cap 41.2 mfd', { check: 'capacitance', value: 41.2 }],
    ['cap 27 µF', { check: 'capacitance', part: 'run-capacitor', value: 27 }],
    ['27 uF', { check: 'capacitance', part: 'run-capacitor', value: 27 }],
    ['start cap 171', { check: 'capacitance', part: 'start-capacitor', value: 171 }],
    ['meg 0.2', { check: 'insulation-resistance', value: 0.2, unit: 'Mohm' }],
    ['meg 200 k', { check: 'insulation-resistance', value: 0.2 }],
    ['insulation 310 M 24c', { check: 'insulation-resistance', value: 310, celsius: 24 }],
    ['meg 38 motor and cable', { check: 'insulation-resistance', setup: 'motor-and-cable', value: 38 }],
    ['9.8 a running', { check: 'running-current', value: 9.8, unit: 'A' }],
    ['850 mA', { check: 'running-current', value: 0.85 }],
    ['run winding 2.1', { check: 'winding-resistance', leads: 'run-common', value: 2.1 }],
    ['start winding 3.9 ohm 24 °C', { check: 'winding-resistance', leads: 'start-common', value: 3.9, celsius: 24 }],
    ['run winding open', { check: 'winding-resistance', leads: 'run-common', value: null }],
    ['vacuum 20 kPa', { check: 'suction-vacuum', unit: 'inHg' }],
    ['filter 14', { check: 'filter-pressure', value: 14, unit: 'psi' }],
    ['supply 1,5 kV', { check: 'supply-voltage' }],
    ['run cap 41,2', { check: 'capacitance', value: 41.2 }],
  ])('%s', (line, expected) => {
    const found = finding(line)
    if (line.startsWith('supply 1,5')) return expect(found).toMatchObject({ kind: 'question' })
    expect(found).toMatchObject([expected])
  })

  it.each([
    ['shaft gritty', { check: 'shaft-turn', outcome: 'gritty' }],
    ['shaft turns freely', { check: 'shaft-turn', outcome: 'free' }],
    ['shaft rocks', { check: 'shaft-rock', outcome: 'rocks' }],
    ['weep dripping', { check: 'weep-hole', outcome: 'dripping' }],
    ['weep hole dry', { check: 'weep-hole', outcome: 'dry' }],
    ['basket clogged', { check: 'basket-look', outcome: 'clogged' }],
    ['cap bulged', { check: 'capacitor-look', part: 'run-capacitor', outcome: 'bulged' }],
    ['run cap swollen', { check: 'capacitor-look', part: 'run-capacitor', outcome: 'bulged' }],
    ['listen hums', { check: 'listen', outcome: 'hum' }],
    ['joint dripping lid', { check: 'joint-look', outcome: 'dripping', at: 'lid' }],
    ['start switch stuck open', { check: 'start-switch-look', outcome: 'stuck-open' }],
    ['wiring burnt', { check: 'wiring-look', outcome: 'burnt' }],
    ['prime holds', { check: 'prime-hold', outcome: 'holds' }],
    ['seal worn', { check: 'seal-look', outcome: 'worn' }],
    ['breaker on', { check: 'breaker', outcome: 'on' }],
  ])('%s', (line, expected) => expect(finding(line)).toMatchObject([expected]))

  it('takes three pairs of leads in one line', () => {
    expect(finding('b-y 3.4 r-y 12.1 r-b 15.3')).toEqual([
      { check: 'winding-resistance', leads: 'black-yellow', value: 3.4, unit: 'ohm' },
      { check: 'winding-resistance', leads: 'red-yellow', value: 12.1, unit: 'ohm' },
      { check: 'winding-resistance', leads: 'red-black', value: 15.3, unit: 'ohm' },
    ])
    expect(finding('run-common open')).toMatchObject([{ leads: 'run-common', value: null }])
    expect(finding('cut-in 30')).not.toMatchObject([{ check: 'winding-resistance' }])
  })

  it('works out a running capacitor from its own amps and volts', () => {
    expect(finding('run cap 4.24 a 376 v')).toMatchObject([
      { check: 'capacitance', method: 'under-load', value: expect.closeTo(29.91, 1) as number },
    ])
  })

  it('takes a bare number for the lit check, and only for it', () => {
    expect(finding('27', { ...psc, lit: { check: 'capacitance', part: 'run-capacitor' } })).toMatchObject([
      { check: 'capacitance', part: 'run-capacitor', value: 27 },
    ])
    expect(finding('free', { ...psc, lit: { check: 'shaft-turn' } })).toMatchObject([
      { check: 'shaft-turn', outcome: 'free' },
    ])
    expect(question('27')?.question).toContain('of what?')
  })
})

describe('what cannot be is asked about, never silently kept or dropped', () => {
  it('a capacitor of 45 F', () => {
    const asked = question('run cap 45 F')
    expect(asked?.question).toContain('beyond')
    expect(finding(asked?.choices[0]?.line ?? '')).toMatchObject([{ check: 'capacitance', value: 45 }])
    expect(understandLine(asked?.choices[1]?.line ?? '', psc)).toMatchObject({ kind: 'note', text: 'run cap 45 F' })
  })

  it('−3 V, with either minus sign', () => {
    for (const line of ['-3 V', '−3 V']) {
      const asked = question(line)
      expect(asked?.question).toContain('cannot be below 0')
      expect(finding(asked?.choices[0]?.line ?? '')).toMatchObject([{ check: 'supply-voltage', value: 3 }])
    }
    expect(question('b-y -3.4')?.question).toContain('cannot be')
  })

  it('a capacitor in volts, and psi of nobody knows what', () => {
    expect(question('run cap 41 V')?.question).toContain('measured in μF')
    expect(question('14 psi')?.choices.length).toBeGreaterThan(2)
  })

  it('which capacitor, where there are two', () => {
    const asked = question('cap 27', both)
    expect(asked?.question).toContain('run or start')
    expect(finding(`${asked?.choices[0]?.line ?? ''}cap 27`, both)).toMatchObject([{ part: 'run-capacitor' }])
  })

  it('which winding, and the answers lead somewhere', () => {
    const asked = question('winding 3.1')
    expect(asked?.question).toContain('Which winding')
    for (const choice of asked?.choices ?? [])
      expect(finding(choice.line)).toMatchObject([{ check: 'winding-resistance', value: 3.1 }])
  })

  it('a check without its outcome offers the outcomes', () => {
    expect(question('shaft')?.choices.map(({ label }) => label)).toEqual(['free', 'gritty', 'tight', 'seized'])
  })

  it('a comma before three figures', () =>
    expect(question('supply 1,200')?.choices.map(({ label }) => label)).toEqual(['1.200', '1200']))
})

describe('notes', () => {
  it('keeps what it does not know, says so, and tells seen-and-left apart', () => {
    expect(understandLine('lid basket handle cracked on the left', psc)).toMatchObject({ kind: 'note', unknown: true })
    expect(understandLine('note basket lid cracked', psc)).toEqual({
      kind: 'note',
      text: 'basket lid cracked',
      seenAndLeft: false,
      unknown: false,
    })
    expect(understandLine('left foot is cracked', psc)).toMatchObject({
      kind: 'note',
      seenAndLeft: true,
      text: 'foot is cracked',
    })
    expect(understandLine('   ', psc)).toEqual({ kind: 'empty' })
  })

  it('understands or keeps every line whatever is typed, and never throws', () => {
    const words = fc.constantFrom(
      'run',
      'cap',
      'meg',
      'shaft',
      'free',
      '27',
      '-3',
      '4.5uF',
      'V',
      'b-y',
      '3.4',
      'open',
      'weep',
      'µ',
      '°C',
      '1,5',
      '12 kohm',
      'listen',
      '',
      '🔧',
    )
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(words, { maxLength: 6 }).map((list) => list.join(' ')),
        ),
        (line) => {
          const understood = understandLine(line, psc)
          if (understood.kind === 'findings')
            for (const each of understood.findings)
              expect(each.value === undefined || each.value === null || Number.isFinite(each.value)).toBe(true)
          if (line.trim() !== '') expect(understood.kind).not.toBe('empty')
        },
      ),
      { numRuns: 500 },
    )
  })
})
