import { describe, expect, it } from 'vitest'
import type { Finding } from '../diagnosis/finding'
import { complaintFits, COMPLAINTS, FAULTS, PARTS, type Gate } from '../knowledge/vocabulary'
import { completePlate, type Nameplate } from '../motor/nameplate'
import type { Scene } from './scene'
import { understand } from './understand'

const scene = (
  more: Partial<Scene> = {},
  nameplate: Nameplate = { volts: 230, motorType: 'permanent-split' },
): Scene => ({
  kind: 'pool',
  plate: completePlate({ kind: more.kind ?? 'pool', nameplate }),
  printed: nameplate,
  standing: 'installed',
  gates: new Set<Gate>(),
  ...more,
})
const heard = (line: string, more: Partial<Scene> = {}) => understand(line, scene(more))

describe('a question', () => {
  it('keeps nothing of its line, not even what was clear', () => {
    const { findings, other, ask } = heard('shaft free, supply 23.6 v, breaker off')
    expect(ask).not.toBeNull()
    expect([findings, other]).toEqual([[], []])
  })

  it('is answered by its key, and then all of the line is kept', () => {
    const line = 'shaft free, supply 23.6 v'
    const { ask } = heard(line)
    const { findings } = understand(line, scene(), { [ask?.key ?? '']: 0 })
    expect(findings).toMatchObject([
      { check: 'shaft-turn', outcome: 'free' },
      { check: 'supply-voltage', value: 236 },
    ])
  })

  it('is put again where a line has two', () => {
    const line = 'supply 23.6 v, valve not open'
    const first = heard(line).ask
    const answered = { [first?.key ?? '']: 0 }
    const second = understand(line, scene(), answered).ask
    expect(second).not.toBeNull()
    expect(second?.key).not.toBe(first?.key)
    expect(understand(line, scene(), { ...answered, [second?.key ?? '']: 0 }).ask).toBeNull()
  })

  it('asks whether a comma is of thousands', () => {
    expect(heard('winding 1,234').ask?.choices.map(({ label }) => label)).toEqual(['1.234', '1234'])
  })
})

describe('what cannot be', () => {
  const locked = { gates: new Set<Gate>(['power-off']) }

  it('is asked behind a lock, where no volts are its proof', () => {
    expect(heard('running 7 a', locked).ask?.question).toContain('locked off')
    expect(heard('0 v on each line', locked).other).toEqual([{ is: 'gate', gate: 'proved-dead', shut: true }])
  })

  it('is asked on a machine that has none of it', () => {
    expect(heard('control box swapped, no change', { kind: 'well-two-wire' }).ask).not.toBeNull()
    expect(heard('start cap 88').ask?.question).toContain('no start capacitor')
  })

  it('is asked after what was found: a seized shaft draws no running current', () => {
    const findings: Finding[] = [{ check: 'shaft-turn', outcome: 'seized' }]
    expect(heard('running 7 a', { findings }).ask?.question).toContain('seized')
    const freed: Finding[] = [...findings, { check: 'shaft-turn', outcome: 'free' }]
    expect(heard('running 7 a', { findings: freed }).ask).toBeNull()
    expect(heard('running 0 a', { findings }).ask).toBeNull()
  })

  it('is asked beyond what the plate allows, and kept within', () => {
    const of = (line: string) =>
      understand(line, scene({}, { volts: 230, motorType: 'permanent-split', fullLoadAmps: 7 }))
    expect(of('running 55 a').ask).not.toBeNull()
    expect(of('running 9 a').findings).toMatchObject([{ check: 'running-current', value: 9 }])
    expect(of('run cap 45 F').ask?.question).toContain('beyond')
  })
})

describe('what is said with a reading', () => {
  it('is kept with it: hedge, age, temperature, test volts, setup', () => {
    expect(heard('about 235 volts').findings).toMatchObject([{ value: 235, hedge: 'about' }])
    expect(heard('i think the seal is worn').findings).toMatchObject([{ check: 'seal-look', hedge: 'i think' }])
    expect(heard('new run cap measures 30.4').findings).toMatchObject([{ value: 30.4, of: 'new' }])
    expect(heard('insulaton 0.35 meg 500 v 12 c', { kind: 'well-two-wire' }).findings).toEqual([
      { check: 'insulation-resistance', value: 0.35, unit: 'Mohm', testVolts: 500, celsius: 12 },
    ])
  })

  it('stays with its own reading where a line has several', () => {
    const { findings } = heard('motor by itself 300 meg, cable by itself 2 meg', { kind: 'well-two-wire' })
    expect(findings).toMatchObject([
      { setup: 'motor-alone', value: 300 },
      { setup: 'cable-alone', value: 2 },
    ])
  })

  it('is read back with the words it came from, and what was not understood is left over', () => {
    const { pieces, left } = heard('supply two thirty six, weep not dripping, terrier barking')
    expect(pieces.map(({ text }) => text)).toEqual(['supply two thirty six', 'weep not dripping'])
    expect(left).toEqual(['terrier', 'barking'])
  })

  it('is nothing of today where it was read before', () => expect(heard('ran 6 amps last year').ask).not.toBeNull())
})

describe('what the program itself calls things', () => {
  const labels = <T extends string>(table: Readonly<Record<T, string>>) => Object.entries(table) as [T, string][]

  it.each(labels(COMPLAINTS).filter(([id]) => complaintFits(id, 'pool')))('%s is that complaint', (id, label) => {
    expect(heard(label).other).toEqual([{ is: 'complaint', id }])
    expect(heard(`owner says it ${label}`).other.length + heard(`owner says ${label}`).other.length).toBeGreaterThan(0)
  })

  it.each(labels(FAULTS))(
    '%s is a finding, a question, or a suspicion kept as a note, never another fact',
    (_, label) => {
      const { findings, ask, note, left } = heard(label)
      expect(findings.length > 0 || ask !== null || note !== null).toBe(true)
      expect(left).toEqual([])
    },
  )

  it.each(labels(PARTS))('%s is known: replaced, it is that part', (part, label) => {
    const { other, ask } = heard(`${label} replaced`)
    if (ask === null) expect(other).toEqual([{ is: 'replaced', part }])
    expect(heard(label).left).toEqual([])
  })
})
