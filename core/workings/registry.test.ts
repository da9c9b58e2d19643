import { describe, expect, it } from 'vitest'
import { describeError, runByName, runLine, WORKINGS } from './registry'
import { QUESTIONS } from '../questions/questions'
import { InputError } from '../validation/input-error'
import { GOOD_INPUTS } from './good-inputs.fixture'

const problem = (name: string, input: unknown) => {
  try {
    runByName(name, input)
  } catch (error) {
    return error instanceof InputError ? error.problems[0] : undefined
  }
  return undefined
}

describe('the registry', () => {
  it('has the diagnosis, and the workings of electricity, water, wear and cost', () => {
    expect([...WORKINGS.keys()].filter((name) => !QUESTIONS.some(({ id }) => id === name)).sort()).toEqual([
      'absorption',
      'affinity',
      'bearing-life',
      'bearing-size',
      'bearing-tones',
      'capacitance-from-current',
      'capacitor-bleed',
      'capacitor-combination',
      'capacitor-judgement',
      'capacitor-substitute',
      'conductor-resistance',
      'conductor-size',
      'cooling-flow',
      'current-judgement',
      'current-trace',
      'cycle',
      'diagnose',
      'drain-back',
      'energy-cost',
      'evidence-weigh',
      'full-load-current',
      'insulation-corrected',
      'insulation-judgement',
      'insulation-split',
      'locked-rotor-code',
      'longest-run',
      'motor-circuit',
      'motor-start',
      'operating-point',
      'options',
      'pipe-friction',
      'pipe-split',
      'pit-draw',
      'pressure-log',
      'resistance-corrected',
      'sheet',
      'slip-torque',
      'sound-tones',
      'stall-heating',
      'start-capacitor',
      'starting-voltage',
      'string-weight',
      'suction-lift',
      'sump-cycle',
      'supply-judgement',
      'take-down',
      'tank-drawdown',
      'tank-size',
      'three-leads',
      'total-head',
      'turnover',
      'understand',
      'visit',
      'voltage-drop',
      'water-properties',
      'winding-cooling',
      'winding-temperature',
      'wire-to-water',
    ])
  })

  it('shows its steps and its basis with every answer', () => {
    for (const name of WORKINGS.keys()) {
      const output = runByName(name, GOOD_INPUTS[name]) as { steps: string[]; basis: { name: string } }
      expect(output.steps.length, name).toBeGreaterThan(0)
      expect(output.basis.name.length, name).toBeGreaterThan(3)
    }
  })

  it('leaves numbers unrounded and verdicts plain', () => {
    expect(
      runByName('capacitor-judgement', { role: 'run', ratedMicrofarads: 30, measuredMicrofarads: 27 }),
    ).toMatchObject({ verdict: 'failed', lowMicrofarads: 28.2, deviationPercent: -10 })
    expect(runByName('current-judgement', { amps: 9, fullLoadAmps: 7, serviceFactorAmps: 8.2 })).toMatchObject({
      verdict: 'failed',
      loadPercent: (100 * 9) / 7,
    })
    expect(runByName('supply-judgement', { nameplateVolts: 230, restVolts: 240, loadedVolts: 222 })).toMatchObject({
      verdict: 'failed',
      dropPercent: 7.5,
    })
    expect(runByName('insulation-judgement', { megohms: 1.2, setup: 'motor-and-cable' })).toMatchObject({
      verdict: 'tired',
      lowMegohms: 0.5,
    })
    expect(runByName('three-leads', { ohms: { '1-2': null, '2-3': null, '1-3': 1.9 } })).toMatchObject({
      openLead: '2',
      remainingOhms: 1.9,
      verdict: 'failed',
    })
  })

  it('warns where a method leaves its validity', () => {
    expect(runByName('insulation-corrected', { megohms: 100, celsius: 120 })).toMatchObject({
      cautions: [expect.stringContaining('outside') as string],
    })
    expect(runByName('insulation-judgement', { megohms: 100, setup: 'surface-motor' })).toMatchObject({
      cautions: [expect.stringContaining('No temperature') as string],
    })
    expect(runByName('capacitor-bleed', { microfarads: 30, volts: 523, ohms: 100 })).toMatchObject({
      cautions: expect.arrayContaining([expect.stringContaining('larger resistance') as string]) as string[],
    })
  })

  it.each([
    ['capacitor-bleed', { microfarads: -1, volts: 500, ohms: 20000 }, 'microfarads'],
    ['capacitor-bleed', { microfarads: 30, volts: 500 }, 'ohms'],
    ['capacitor-judgement', { role: 'middle', measuredMicrofarads: 1 }, 'role'],
    ['capacitor-judgement', { role: 'run', measuredMicrofarads: 1 }, 'ratedMicrofarads'],
    ['capacitance-from-current', { volts: 0, amps: 1, hertz: 60 }, 'volts'],
    ['supply-judgement', { nameplateVolts: '230', restVolts: 230 }, 'nameplateVolts'],
    ['three-leads', { ohms: { '1-2': 'x', '2-3': 1, '1-3': 1 } }, 'ohms.1-2'],
    ['three-leads', { ohms: [] }, 'ohms'],
    ['insulation-judgement', { megohms: 5, setup: 'on-the-table' }, 'setup'],
    ['insulation-split', { totalMegohms: 4, cableMegohms: 3.6 }, 'cableMegohms'],
    ['resistance-corrected', { ohms: 2, celsius: null, toCelsius: 20 }, 'celsius'],
    ['diagnose', { pump: { kind: 'pool' } }, 'pump.nameplate'],
    ['diagnose', {}, 'pump'],
    ['diagnose', { pump: { kind: 'submarine', nameplate: { volts: 230 } } }, 'pump.kind'],
    [
      'diagnose',
      { pump: { kind: 'pool', nameplate: { volts: 230 } }, findings: [{ check: 'shaft-turn', value: 3 }] },
      'findings.0.outcome',
    ],
    ['diagnose', { pump: { kind: 'pool', nameplate: { volts: 230 } }, complaints: ['grumpy'] }, 'complaints'],
    ['diagnose', { pump: { kind: 'pool', construction: 'jet-end', nameplate: { volts: 230 } } }, 'pump.construction'],
    ['take-down', { construction: 'band-clamp', targets: ['stages'] }, 'targets'],
    ['take-down', { construction: 'galleon', targets: ['motor'] }, 'construction'],
    ['take-down', { construction: 'band-clamp', targets: [] }, 'targets'],
    [
      'take-down',
      { construction: 'band-clamp', targets: ['motor'], options: { schools: { threads: 'prayer' } } },
      'options.schools',
    ],
    [
      'take-down',
      { construction: 'band-clamp', targets: ['motor'], options: { schools: { astrology: 'stars' } } },
      'options.schools',
    ],
    [
      'take-down',
      { construction: 'sump-sealed', targets: ['pump'], options: { conditions: { pipeInches: 0 } } },
      'options.conditions.pipeInches',
    ],
    [
      'take-down',
      { construction: 'sump-sealed', targets: ['pump'], options: { conditions: { celsius: null } } },
      'options.conditions.celsius',
    ],
    [
      'take-down',
      { construction: 'band-clamp', targets: ['motor'], options: { found: [{ what: 'lost' }] } },
      'options.found.0.what',
    ],
    ['astrology', {}, 'working'],
    ['supply-judgement', 7, ''],
    ['supply-judgement', null, ''],
    ['supply-judgement', { nameplateVolts: 230, restVolts: 230, moon: 1 }, 'moon'],
  ])('%s %j names the field %s', (name, input, field) => {
    const found = problem(name, input)
    expect(found?.field).toBe(field)
    expect(found?.expected.length).toBeGreaterThan(3)
  })

  it('gives a refusal out as field, value and words, and nothing of how a screen says it', () => {
    const line = '{"working":"tank-drawdown","input":{"tankLitres":9,"prechargeKpa":2,"cutInKpa":300,"cutOutKpa":300}}'
    expect(runLine(line)).toEqual({
      error: {
        title: 'cutOutKpa: 300 given, above the cut-in of 300 kPa',
        problems: [{ field: 'cutOutKpa', value: 300, expected: 'above the cut-in of 300 kPa' }],
      },
    })
  })

  it('lets a bad line of a batch spoil only itself', () => {
    expect(runLine('{"working":"insulation-split","input":{"totalMegohms":1.2,"cableMegohms":20}}')).toMatchObject({
      output: { motorMegohms: expect.closeTo(1.2766, 3) as number },
    })
    for (const line of ['{', 'null', '7', '{"working":"nope"}', '{"working":"capacitor-bleed","input":{}}'])
      expect(runLine(line)).toHaveProperty('error')
  })

  it('does not hide a mistake of ours behind the word input', () =>
    expect(() => describeError(new TypeError('ours'))).toThrow('ours'))

  it('plans a take-down the shop’s own way, and says which of its ways mattered', () => {
    const plan = (options: object) =>
      runByName('take-down', { construction: 'pressure-tee', targets: ['pressure-switch'], options }) as unknown as {
        schools: string[]
        back: { text: string; schools?: string[] }[]
      }
    const threads = plan({ schools: { threads: 'compound' } })
    expect(threads.back.map(({ text }) => text).join('. ')).toMatch(/thread compound/)
    expect(
      plan({})
        .back.map(({ text }) => text)
        .join('. '),
    ).toMatch(/tape/)
    expect(threads.schools).toContain('threads')
    expect(threads.back.flatMap(({ schools = [] }) => schools)).toContain('threads')
  })
})
