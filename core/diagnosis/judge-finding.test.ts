import { describe, expect, it } from 'vitest'
import { completePlate, type Pump } from '../motor/nameplate'
import type { Finding } from './finding'
import { judgeFinding, usualSetup } from './judge-finding'

const pool: Pump = {
  kind: 'pool',
  nameplate: {
    volts: 230,
    hertz: 60,
    motorType: 'capacitor-start-run',
    horsepower: 1,
    fullLoadAmps: 7,
    serviceFactorAmps: 8.2,
    runCapacitorMicrofarads: 25,
    startCapacitorMicrofarads: [88, 106],
    runWindingOhms: [1.8, 2.4],
    startWindingOhms: [4, 5],
  },
}
const well: Pump = { kind: 'well-two-wire', nameplate: { volts: 230 }, installation: { cutInPsi: 40, cutOutPsi: 60 } }
const judge = (finding: Finding, pump: Pump = pool, findings: Finding[] = []) =>
  judgeFinding(finding, { pump, plate: completePlate(pump), findings })

describe('every reading is judged at once, with limit, reason and basis', () => {
  it.each<[string, Finding, string, Pump?]>([
    ['supply in the window', { check: 'supply-voltage', value: 236 }, 'sound'],
    ['a run capacitor under its limit', { check: 'capacitance', part: 'run-capacitor', value: 22 }, 'failed'],
    ['a start capacitor in its range', { check: 'capacitance', part: 'start-capacitor', value: 95 }, 'sound'],
    ['amps over the service factor', { check: 'running-current', value: 9 }, 'failed'],
    ['a locked rotor', { check: 'locked-current', value: 38 }, 'unclear'],
    ['an open run winding', { check: 'winding-resistance', leads: 'run-common', value: null }, 'failed'],
    ['a start winding', { check: 'winding-resistance', leads: 'common-start', value: 4.4 }, 'sound'],
    ['run and start in series', { check: 'winding-resistance', leads: 'run-start', value: 6.6 }, 'sound'],
    ['one pair of colours alone', { check: 'winding-resistance', leads: 'black-yellow', value: 3.4 }, 'unclear'],
    ['insulation at 40 °C', { check: 'insulation-resistance', value: 16, celsius: 20 }, 'failed'],
    ['insulation of a well as read', { check: 'insulation-resistance', value: 16 }, 'sound', well],
    ['a precharge two under cut-in', { check: 'tank-precharge', value: 38 }, 'sound', well],
    ['a lost precharge', { check: 'tank-precharge', value: 12 }, 'failed', well],
    ['a precharge that wants air', { check: 'tank-precharge', value: 33 }, 'tired', well],
    ['a precharge just above cut-in', { check: 'tank-precharge', value: 41 }, 'failed', well],
    ['a cut-out that has crept', { check: 'cut-out', value: 66 }, 'failed', well],
    ['a shaft that stands proud', { check: 'shaft-height', value: 1.52 }, 'failed', well],
    ['an end play', { check: 'end-play', value: 0.02 }, 'sound', well],
    ['a runout', { check: 'shaft-runout', value: 0.007 }, 'failed'],
    ['a dirty filter', { check: 'filter-pressure', value: 31 }, 'failed'],
    [
      'a tired battery',
      { check: 'battery-voltage', value: 11.2 },
      'failed',
      { kind: 'sump', nameplate: { volts: 115 } },
    ],
    ['a level without a limit', { check: 'static-water-level', value: 60 }, 'unclear', well],
    ['a gritty shaft', { check: 'shaft-turn', outcome: 'gritty' }, 'tired'],
    ['a bulged can', { check: 'capacitor-look', part: 'run-capacitor', outcome: 'bulged' }, 'failed'],
    ['a drip at the lid', { check: 'joint-look', outcome: 'dripping', at: 'lid' }, 'failed'],
    ['an over-range flow', { check: 'flow', value: null }, 'unclear'],
  ])('%s', (_, finding, verdict, pump = pool) => {
    const judged = judge(finding, pump)
    expect(judged.verdict).toBe(verdict)
    expect(judged.check).toBe(finding.check)
    expect(judged.because.length).toBeGreaterThan(2)
    expect(judged.basis.name.length).toBeGreaterThan(5)
  })

  it('compares the loaded supply with the newest reading at rest', () => {
    const rest: Finding[] = [
      { check: 'supply-voltage', value: 250 },
      { check: 'supply-voltage', value: 240 },
    ]
    expect(judge({ check: 'supply-voltage-loaded', value: 224 }, pool, rest).because).toContain('6.67 % from 240 V')
  })

  it('brings a hot winding to 20 °C and says so', () => {
    const judged = judge({ check: 'winding-resistance', leads: 'run-common', value: 2.75, celsius: 90 })
    expect(judged).toMatchObject({ verdict: 'sound', value: 2.75, corrected: { to: '20 °C' } })
    expect(judged.because).toContain('at 20 °C')
  })

  it('says that an ohmmeter can only condemn', () => {
    expect(judge({ check: 'ground-ohmmeter', outcome: 'open' })).toMatchObject({
      verdict: 'unclear',
      because: expect.stringContaining('megohmmeter') as string,
    })
    expect(judge({ check: 'ground-ohmmeter', outcome: 'shorted' }).verdict).toBe('failed')
  })

  it('says that a motor has no such capacitor, instead of judging it against nothing', () => {
    const split: Pump = { kind: 'pool', nameplate: { volts: 230, motorType: 'split-phase' } }
    expect(judge({ check: 'capacitance', part: 'run-capacitor', value: 30 }, split)).toMatchObject({
      verdict: 'unclear',
      because: expect.stringContaining('no run capacitor') as string,
    })
  })

  it('takes the usual setup of insulation from the kind', () => {
    expect(usualSetup(pool)).toBe('surface-motor')
    expect(usualSetup(well)).toBe('motor-and-cable')
  })

  it('weighs a loose bearing against what retaining compound can take', () => {
    expect(judge({ check: 'bearing-fit', outcome: 'loose', clearanceMillimetres: 0.05 }).because).toContain(
      'retaining compound can take it',
    )
    expect(judge({ check: 'bearing-fit', outcome: 'loose', clearanceMillimetres: 0.2 }).because).toContain(
      'new shaft or motor',
    )
  })

  it('keeps what the owner told as history, never as a verdict', () => {
    expect(judge({ check: 'spin-start', outcome: 'starts' })).toMatchObject({
      verdict: 'unclear',
      because: expect.stringContaining('as told') as string,
    })
  })
})
