import { describe, expect, it } from 'vitest'
import { completePlate, type Pump } from '../motor/nameplate'
import { METRIC_READER, render, US_READER } from '../quantity/sentence'
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
    ['a start every forty seconds', { check: 'cycle-time', value: 40 }, 'failed', well],
    [
      'a start every forty seconds in a pit',
      { check: 'cycle-time', value: 40 },
      'sound',
      { kind: 'sump', nameplate: { volts: 115 } },
    ],
    ['a shut-off without a curve', { check: 'shutoff-pressure', value: 60 }, 'unclear', well],
    ['a cut-in without a switch', { check: 'cut-in', value: 30 }, 'unclear', pool],
    ['a level in a well of no known depth', { check: 'pumping-water-level', value: 60 }, 'unclear', well],
    ['a level where nothing of the place is known', { check: 'pumping-water-level', value: 60 }, 'unclear', pool],
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

  it('a tolerance of the plate is the run capacitor’s own, and each has its basis', () => {
    const wide: Pump = { ...pool, nameplate: { ...pool.nameplate, capacitorTolerancePercent: 15 } }
    const of = (part: string, value: number, pump: Pump) => judge({ check: 'capacitance', part, value }, pump)
    expect(of('run-capacitor', 22, wide).verdict).not.toBe('failed')
    expect(of('run-capacitor', 22, pool).verdict).toBe('failed')
    expect(of('start-capacitor', 80, wide)).toEqual(of('start-capacitor', 80, pool))
    const none: Pump = { kind: 'pool', nameplate: { volts: 230, motorType: 'split-phase' } }
    expect(of('run-capacitor', 30, none).basis).toEqual(of('run-capacitor', 22, pool).basis)
    expect(of('start-capacitor', 90, none).basis).toEqual(of('start-capacitor', 95, pool).basis)
    expect(of('start-capacitor', 90, none).basis).not.toEqual(of('run-capacitor', 30, none).basis)
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

describe('limits that come from the place', () => {
  const deep: Pump = {
    kind: 'well-two-wire',
    nameplate: { volts: 230 },
    installation: { wellDepthMetres: 100, liftMetres: 20, pumpCurve: [{ flowLitresPerSecond: 0, headMetres: 70 }] },
  }
  it('a shut-off of at least 85 % of the head that is left above the lift, 1.4223 psi a metre', () => {
    expect(judge({ check: 'shutoff-pressure', value: 61 }, deep)).toMatchObject({
      verdict: 'sound',
      low: expect.closeTo(50 * 1.4223 * 0.85, 1) as number,
      high: undefined,
    })
    expect(judge({ check: 'shutoff-pressure', value: 60 }, deep).verdict).toBe('failed')
  })
  it('a pumping level that leaves 8 % of the depth over the intake', () => {
    // 92 m are 301.8 ft.
    expect(judge({ check: 'pumping-water-level', value: 301 }, deep)).toMatchObject({
      verdict: 'sound',
      high: expect.closeTo(301.8, 1) as number,
    })
    expect(judge({ check: 'pumping-water-level', value: 303 }, deep).verdict).toBe('failed')
  })
})

describe('what is said of a look', () => {
  const said = (finding: Finding) => {
    const { because, basis, subject, verdict, high } = judge(finding)
    return { because, basis: basis.name, subject, verdict, high }
  }
  it('names the part, and the place where there is one', () => {
    expect(said({ check: 'capacitor-look', part: 'run-capacitor', outcome: 'clean' }).subject).toBe(
      'run capacitor, look',
    )
    expect(said({ check: 'joint-look', outcome: 'dripping', at: 'lid' }).subject).toMatch(/, lid$/)
    expect(said({ check: 'weep-hole', outcome: 'dry' })).toMatchObject({ subject: 'weep hole', because: 'dry' })
  })
  it('an ohmmeter’s open clears nothing, and only its', () => {
    expect(said({ check: 'ground-ohmmeter', outcome: 'open' }).because).toContain('can only condemn')
    expect(said({ check: 'ground-ohmmeter', outcome: 'continuity' }).because).toBe('continuity')
    expect(said({ check: 'spin-start', outcome: 'starts' }).because).toBe(
      'as told: the winding has power, its starting torque is missing',
    )
    expect(said({ check: 'spin-start', outcome: 'no-change' }).because).toBe('as told: spinning it made no difference')
  })
  it('a bulged can is failed whatever it reads, and a clean one is just that', () => {
    expect(said({ check: 'capacitor-look', part: 'run-capacitor', outcome: 'bulged' })).toMatchObject({
      because: 'bulged: failed whatever it reads',
      basis: 'a bulged, leaking or burnt can is failed whatever it reads',
    })
    expect(said({ check: 'capacitor-look', part: 'run-capacitor', outcome: 'clean' }).because).toBe('clean')
  })
  it('a loose bearing is weighed by its clearance, where that was measured', () => {
    const fit = (outcome: string, clearanceMillimetres?: number) =>
      said({ check: 'bearing-fit', outcome, clearanceMillimetres })
    expect(fit('loose', 0.1)).toMatchObject({
      because: '0.1 mm on the diameter: within 0.1 mm, retaining compound can take it',
      high: 0.1,
    })
    expect(fit('loose', 0.11).because).toBe('0.11 mm on the diameter: over 0.1 mm, a new shaft or motor')
    expect(fit('loose').because).toBe('loose')
    expect(fit('snug', 0.05)).toMatchObject({ because: 'snug', high: undefined })
  })
})

describe('the air of a tank against its switch', () => {
  const tank = (psi: number, pump = well, findings: Finding[] = []) => {
    const judged = judge({ check: 'tank-precharge', value: psi }, pump, findings)
    return [judged.verdict, render(judged.because, US_READER)]
  }
  it.each([
    [38, 'sound', 'as it should be, wanted 38 psi, 2 psi below cut-in'],
    [37, 'sound', '1 psi below, wanted 38 psi, 2 psi below cut-in'],
    [39, 'sound', '1 psi above, wanted 38 psi, 2 psi below cut-in'],
    [33, 'tired', '5 psi below, wanted 38 psi, 2 psi below cut-in'],
    [42, 'failed', 'above the cut-in of 40 psi: the taps run dry before the pump starts'],
  ])('%d psi at 40', (psi, ...expected) => expect(tank(psi)).toEqual(expected))
  it('goes by the cut-in that was seen before the one on the card', () => {
    expect(tank(38, well, [{ check: 'cut-in', value: 30 }])[0]).toBe('failed')
    expect(tank(28, well, [{ check: 'cut-in', value: 30 }])[1]).toContain('as it should be')
  })
  it('has its limits two psi either way, and the margin to the nearer', () => {
    const judged = judge({ check: 'tank-precharge', value: 37 }, well)
    expect([judged.low, judged.high]).toEqual([expect.closeTo(36, 6), expect.closeTo(40, 6)])
    expect(judged.margin).toBeCloseTo(1 / 36, 6)
    expect(render(judged.because, METRIC_READER)).toMatch(/^6.89 kPa below, wanted 262 kPa/)
  })
  it('is kept for comparison where no switch is known', () =>
    expect(tank(38, pool)).toEqual(['unclear', 'no limit known for this machine; kept for comparison']))
})

describe('pairs of leads', () => {
  const wells: Pump = {
    kind: 'well-three-wire',
    nameplate: { volts: 230, runWindingOhms: [2, 4], startWindingOhms: [8, 12] },
  }
  const pair = (leads: string, value: number | null): Finding => ({ check: 'winding-resistance', leads, value })
  it('alone name nothing, and three together do', () => {
    const alone = judge(pair('1-2', 3))
    expect(alone).toMatchObject({ subject: 'winding 1-2', value: 3, verdict: 'unclear' })
    expect(alone.because).toBe('3 Ω between 1 and 2: three pairs together name the leads')
    const three = [pair('1-2', 3), pair('2-3', 10), pair('1-3', 13)]
    const judged = judge(three[0]!, pool, three)
    expect(judged).toMatchObject({ value: 3, verdict: 'sound' })
    expect(judged.because).toContain('2 is common, 1 run, 3 start')
    expect(judge(pair('1-2', null)).because, 'open says enough').toContain('open')
  })
  it('of colours on a 3-wire well mean what they mean, unless they measure otherwise', () => {
    expect(judge(pair('yellow-black', 3), wells)).toMatchObject({
      subject: 'winding yellow-black',
      verdict: 'sound',
      low: 2,
    })
    const swapped = [pair('yellow-black', 10), pair('yellow-red', 3), pair('black-red', 13)]
    expect(judge(swapped[0]!, wells, swapped)).toMatchObject({ verdict: 'failed' })
    expect(judge(swapped[0]!, wells, swapped).because).toContain('leads were swapped at a splice')
  })
  it('through a cable are brought to the winding, and say so', () => {
    const deep: Pump = { ...wells, installation: { cableAwg: '12', cableMetres: 100 } }
    const judged = judge(pair('common-run', 4), deep)
    expect(judged.value).toBe(4)
    expect(judged.because).toMatch(/^inside 2 to 4 Ω \(1.06 Ω of cable off\)$/)
    expect(judged.corrected).toMatchObject({ to: 'the winding alone', value: expect.closeTo(2.937, 2) as number })
    const warm = judge({ ...pair('common-run', 3), celsius: 45 }, wells)
    expect(warm.because).toMatch(/\(2.73 Ω at 20 °C\)$/)
    expect(warm.corrected?.to).toBe('20 °C')
    expect(judge(pair('common-run', 3), wells)).not.toHaveProperty('corrected')
  })
  it('run and start in a row have both their ranges', () =>
    expect(judge(pair('run-start', 12), wells)).toMatchObject({
      subject: 'run + start winding',
      low: 10,
      high: 16,
      verdict: 'sound',
    }))
})

describe('a limit on one side', () => {
  it.each<[Finding, string, Pump?]>([
    [{ check: 'filter-pressure', value: 20 }, 'not above 25 psi'],
    [{ check: 'filter-pressure', value: 26 }, 'above 25 psi'],
    [{ check: 'cycle-time', value: 80 }, 'not below 60 s', well],
    [{ check: 'cycle-time', value: 40 }, 'below 60 s', well],
    [{ check: 'cut-in', value: 41 }, 'inside 37 to 43 psi', well],
    [{ check: 'cut-in', value: 44 }, 'outside 37 to 43 psi', well],
  ])('%j', (finding, words, pump = pool) => expect(render(judge(finding, pump).because, US_READER)).toBe(words))
})
