import { describe, expect, it } from 'vitest'
import { diagnose, type Diagnosis } from '#core/diagnosis/diagnose'
import { reasonOn } from '#core/diagnosis/reasoning'
import type { DiagnosisCase, Finding } from '#core/diagnosis/finding'
import { optionsFor } from '#core/decision/options'
import type { Pump } from '#core/motor/nameplate'

/** Twenty cases from the bench, each as it would be told. Common practice; the machines are invented. */
const at = (pump: Pump, complaints: string[], findings: Finding[] = [], more: Partial<DiagnosisCase> = {}): Diagnosis =>
  diagnose({ pump, complaints, findings, ...more })
const first = ({ suspects }: Diagnosis) => suspects[0]?.fault
const chance = ({ suspects }: Diagnosis, fault: string) =>
  suspects.find((suspect) => suspect.fault === fault)?.probability ?? 0
const verdict = ({ judgements }: Diagnosis, check: string) =>
  judgements.findLast((each) => each.check === check)?.verdict

const POOL: Pump = {
  kind: 'pool',
  construction: 'band-clamp',
  ageYears: 8,
  nameplate: {
    volts: 230,
    hertz: 60,
    motorType: 'permanent-split',
    horsepower: 1,
    fullLoadAmps: 7,
    serviceFactorAmps: 8.2,
    runCapacitorMicrofarads: 30,
    runWindingOhms: [1.8, 2.4],
    startWindingOhms: [3.6, 4.8],
  },
}
const STARTED: Pump = {
  ...POOL,
  nameplate: {
    volts: 230,
    motorType: 'capacitor-start',
    horsepower: 1,
    fullLoadAmps: 8,
    startCapacitorMicrofarads: [88, 106],
    runWindingOhms: [1.8, 2.4],
    startWindingOhms: [4.5, 6],
  },
}
const THREE: Pump = {
  kind: 'well-three-wire',
  construction: 'submersible-joined',
  ageYears: 9,
  nameplate: {
    volts: 230,
    motorType: 'capacitor-start',
    horsepower: 1,
    fullLoadAmps: 8,
    startCapacitorMicrofarads: [105, 126],
    runWindingOhms: [1.8, 2.4],
    startWindingOhms: [4.6, 6],
  },
  installation: { wellDepthMetres: 60, liftMetres: 30, cutInPsi: 40, cutOutPsi: 60, cableAwg: '10', cableMetres: 72 },
}
const TWO: Pump = {
  kind: 'well-two-wire',
  construction: 'submersible-joined',
  ageYears: 9,
  nameplate: {
    volts: 230,
    motorType: 'permanent-split',
    horsepower: 0.75,
    fullLoadAmps: 6.9,
    runWindingOhms: [2.4, 3.2],
  },
  installation: {
    wellDepthMetres: 50,
    liftMetres: 25,
    cutInPsi: 30,
    cutOutPsi: 50,
    cableAwg: '12',
    cableMetres: 62,
    pumpCurve: [
      { flowLitresPerSecond: 0, headMetres: 80 },
      { flowLitresPerSecond: 0.8, headMetres: 50 },
    ],
  },
}
const JET: Pump = {
  kind: 'jet',
  construction: 'jet-end',
  ageYears: 7,
  nameplate: {
    volts: 230,
    motorType: 'capacitor-start',
    horsepower: 0.75,
    fullLoadAmps: 6.9,
    startCapacitorMicrofarads: [86, 103],
  },
  installation: { cutInPsi: 30, cutOutPsi: 50, tankLitres: 120 },
}
const SUMP: Pump = {
  kind: 'sump',
  construction: 'sump-sealed',
  ageYears: 5,
  nameplate: { volts: 115, motorType: 'permanent-split', horsepower: 1 / 3, fullLoadAmps: 6 },
}
const TANK: Pump = {
  kind: 'circulation',
  construction: 'flooded-circulation',
  ageYears: 4,
  nameplate: { volts: 115, motorType: 'permanent-split', horsepower: 0.5, fullLoadAmps: 7 },
  installation: { dutyHoursPerDay: 24, livestock: true },
}

const supply: Finding = { check: 'supply-voltage', value: 237 }
const free: Finding = { check: 'shaft-turn', outcome: 'free' }

describe('twenty cases from the bench', () => {
  it('1. a pool pump trips the GFCI; the ohmmeter sees nothing, the megohmmeter does', () => {
    const silent = at(POOL, ['trips-gfci'], [{ check: 'ground-ohmmeter', outcome: 'open' }])
    expect(verdict(silent, 'ground-ohmmeter')).toBe('unclear')
    expect(chance(silent, 'winding-to-ground')).toBeCloseTo(chance(at(POOL, ['trips-gfci']), 'winding-to-ground'), 12)
    const seen = at(
      POOL,
      ['trips-gfci'],
      [
        { check: 'ground-ohmmeter', outcome: 'open' },
        { check: 'insulation-resistance', value: 0.2, testVolts: 500, celsius: 20 },
      ],
    )
    expect(verdict(seen, 'insulation-resistance')).toBe('failed')
    expect(chance(seen, 'winding-to-ground') + chance(seen, 'water-in-motor')).toBeGreaterThan(0.8)
  })

  it('2. a start capacitor behind a hum', () => {
    const result = at(
      STARTED,
      ['hums-no-start'],
      [supply, free, { check: 'capacitance', part: 'start-capacitor', value: 8 }],
    )
    expect(result).toMatchObject({ bestAction: 'replace-start-capacitor' })
    expect(result.together.find(({ explains }) => explains === 'hum')?.text).toContain('That explains the hum')
  })

  it('3. it hums with a good capacitor: the start switch hangs open', () => {
    const measured = at(
      STARTED,
      ['hums-no-start'],
      [supply, free, { check: 'capacitance', part: 'start-capacitor', value: 98 }],
    )
    expect(['start-switch-failed', 'start-winding-open']).toContain(first(measured))
    expect(measured.together[0]?.text).toContain('The hum has another cause')
    expect(
      first(
        at(
          STARTED,
          ['hums-no-start'],
          [
            supply,
            free,
            { check: 'capacitance', part: 'start-capacitor', value: 98 },
            { check: 'winding-resistance', leads: 'start-common', value: 5.2 },
            { check: 'start-switch-look', outcome: 'stuck-open' },
          ],
        ),
      ),
    ).toBe('start-switch-failed')
  })

  it('4. a new machine grinds inside, under warranty: it goes back unopened', () => {
    const young = { ...POOL, ageYears: 0.6, underWarranty: true }
    expect(
      at(
        young,
        ['noise-grind'],
        [
          { check: 'listen', outcome: 'grind' },
          { check: 'shaft-turn', outcome: 'gritty' },
          { check: 'motor-alone-listen', outcome: 'same-noise' },
        ],
      ).bestAction,
    ).toBe('return-under-warranty')
  })

  it('5. leads swapped at a splice: the ohms disagree with the colours', () => {
    const pairs: Finding[] = [
      { check: 'winding-resistance', leads: 'black-yellow', value: 5.3 + 0.5 },
      { check: 'winding-resistance', leads: 'red-yellow', value: 2.1 + 0.5 },
      { check: 'winding-resistance', leads: 'black-red', value: 7.4 + 0.5 },
    ]
    const result = at(THREE, ['hums-no-start', 'trips-breaker'], pairs)
    expect(result.judgements.some(({ because }) => because.includes('swapped at a splice'))).toBe(true)
    expect(first(result)).toBe('leads-swapped')
    expect(result.bestAction).toBe('swap-leads-above')
  })

  it('6. a sump alarm with a dry cellar: the backup float hangs too low', () => {
    const result = at(
      SUMP,
      ['alarm-sounding'],
      [
        { check: 'battery-voltage', value: 12.8 },
        { check: 'outlet-voltage', value: 121 },
        { check: 'float-heights', outcome: 'backup-below-main' },
      ],
    )
    expect(first(result)).toBe('float-heights-wrong')
    expect(result.bestAction).toBe('set-float-heights')
  })

  it('7. a cable fault with a sound motor: cut the splice and measure both', () => {
    const whole = at(
      THREE,
      ['trips-breaker'],
      [{ check: 'insulation-resistance', setup: 'motor-and-cable', value: 0.03 }],
    )
    expect(verdict(whole, 'insulation-resistance')).toBe('failed')
    const split = at(
      THREE,
      ['trips-breaker'],
      [
        { check: 'insulation-resistance', setup: 'motor-and-cable', value: 0.03 },
        { check: 'insulation-resistance', setup: 'cable-alone', value: 0.04 },
        { check: 'insulation-resistance', setup: 'motor-alone', value: 180 },
      ],
    )
    expect(first(split)).toBe('cable-to-ground')
    expect(split.bestAction).toBe('replace-cable')
  })

  it('8. short cycling from a lost precharge', () => {
    const result = at(
      JET,
      ['short-cycles'],
      [
        { check: 'tank-look', outcome: 'waterlogged' },
        { check: 'tank-precharge', value: 6 },
      ],
    )
    expect(verdict(result, 'tank-precharge')).toBe('failed')
    expect(result).toMatchObject({ bestAction: 'recharge-tank' })
    expect(chance(result, 'tank-waterlogged')).toBeGreaterThan(0.85)
  })

  it('9. low volts cook a capacitor: both are named, and mending one alone is not enough', () => {
    const result = at(
      POOL,
      ['hums-no-start', 'runs-hot'],
      [
        { check: 'supply-voltage', value: 196 },
        { check: 'supply-voltage-loaded', value: 186 },
        { check: 'capacitance', part: 'run-capacitor', value: 11 },
      ],
    )
    expect(result.pairs[0]?.faults).toEqual(expect.arrayContaining(['low-supply-voltage', 'run-capacitor-failed']))
    expect(new Set([result.bestAction, result.alsoDo])).toEqual(new Set(['mend-supply', 'replace-run-capacitor']))
  })

  it('10. a noise that outlives bearings, seal and impeller', () => {
    const noisy = { alreadyReplaced: ['bearings', 'shaft-seal', 'impeller'] }
    const before = at(POOL, ['noise-grind', 'vibrates'])
    const after = at(POOL, ['noise-grind', 'vibrates'], [], noisy)
    expect(chance(after, 'bearings-worn')).toBeLessThan(chance(before, 'bearings-worn'))
    expect(
      chance(after, 'bearing-loose-on-shaft') + chance(after, 'shaft-bent') + chance(after, 'rotor-rubbing'),
    ).toBeGreaterThan(
      chance(before, 'bearing-loose-on-shaft') + chance(before, 'shaft-bent') + chance(before, 'rotor-rubbing'),
    )
    expect(
      first(
        at(
          POOL,
          ['noise-grind', 'vibrates'],
          [
            { check: 'motor-alone-listen', outcome: 'same-noise' },
            { check: 'bearing-fit', outcome: 'loose', clearanceMillimetres: 0.05 },
          ],
          noisy,
        ),
      ),
    ).toBe('bearing-loose-on-shaft')
  })

  it('11. a well is dead: burnt contacts above ground, and nobody pulls a pump', () => {
    const result = at(TWO, ['no-water'], [supply, { check: 'pressure-switch-contacts', outcome: 'burnt' }])
    expect(result.bestAction).toBe('replace-pressure-switch')
    expect(
      optionsFor(
        reasonOn({
          pump: TWO,
          complaints: ['no-water'],
          findings: [supply, { check: 'pressure-switch-contacts', outcome: 'burnt' }],
        }),
      )[0]?.id,
    ).toBe('replace-pressure-switch')
  })

  it('12. a well never stops: shut-off far below its curve, the stages are worn', () => {
    const result = at(
      TWO,
      ['never-stops', 'low-pressure'],
      [
        { check: 'shutoff-pressure', value: 46 },
        { check: 'cut-out', value: null },
        { check: 'water-look', outcome: 'sandy' },
        { check: 'pumping-water-level', value: 95 },
      ],
    )
    expect(verdict(result, 'shutoff-pressure')).toBe('failed')
    expect(first(result)).toBe('stages-worn')
  })

  it('13. a weak well runs out of water: the pump is not to blame', () => {
    const result = at(
      TWO,
      ['no-water', 'air-at-taps'],
      [
        { check: 'water-look', outcome: 'air-bubbles' },
        { check: 'pumping-water-level', value: 163 },
        { check: 'well-recovery', value: 0.8 },
      ],
    )
    expect(first(result)).toBe('low-water')
    expect(result.bestAction).toBe('rest-the-well')
  })

  it('14. a jet pump loses its prime overnight: the foot valve', () => {
    expect(
      first(
        at(
          JET,
          ['loses-prime'],
          [
            { check: 'prime-hold', outcome: 'falls' },
            { check: 'air-leak-test', outcome: 'none' },
            { check: 'check-valve', outcome: 'falls-back' },
          ],
        ),
      ),
    ).toBe('foot-valve-leaking')
  })

  it('15. a sump stands still: plugged straight in it runs, so the switch is at fault', () => {
    const result = at(
      SUMP,
      ['dead', 'pit-flooded'],
      [
        { check: 'outlet-voltage', value: 121 },
        { check: 'float-bypass', outcome: 'runs' },
        { check: 'float-move', outcome: 'free' },
      ],
    )
    expect(first(result)).toBe('float-switch-failed')
    expect(result.bestAction).toBe('replace-float-switch')
  })

  it('16. a sump hums plugged straight in: jammed or cannot start, and the outlet is cleared', () => {
    const result = at(
      SUMP,
      ['hums-no-start'],
      [
        { check: 'outlet-voltage', value: 121 },
        { check: 'float-bypass', outcome: 'hums' },
      ],
    )
    expect(['run-capacitor-failed', 'motor-seized', 'start-winding-open', 'impeller-clogged']).toContain(first(result))
    expect(chance(result, 'outlet-dead')).toBeLessThan(0.01)
  })

  it('17. a control box swap cures: box from motor, and the well stays shut', () => {
    const result = at(THREE, ['no-water', 'hums-no-start'], [supply, { check: 'control-box-swap', outcome: 'cures' }])
    expect(chance(result, 'start-capacitor-failed') + chance(result, 'start-relay-failed')).toBeGreaterThan(0.75)
    expect(['replace-control-box', 'replace-start-capacitor', 'replace-relay']).toContain(result.bestAction)
  })

  it('18. a livestock pump drips at the weep hole: the seal, and it is not opened for a joint', () => {
    const result = at(
      TANK,
      ['leak-under-motor'],
      [
        { check: 'weep-hole', outcome: 'dripping' },
        { check: 'joint-look', outcome: 'dry' },
        { check: 'listen', outcome: 'quiet' },
      ],
    )
    expect(first(result)).toBe('shaft-seal-leaking')
    expect(result.bestAction).toBe('replace-shaft-seal')
  })

  it('19. a two-wire well reads open at the head: the cable or the motor, and only the motor’s own leads can tell', () => {
    const head = at(
      TWO,
      ['no-water'],
      [
        supply,
        { check: 'running-current', value: 0 },
        { check: 'pressure-switch-contacts', outcome: 'clean' },
        { check: 'winding-resistance', leads: 'run-common', value: null },
      ],
    )
    expect(
      chance(head, 'cable-open') + chance(head, 'run-winding-open') + chance(head, 'thermal-protector-open'),
    ).toBeGreaterThan(0.85)
    const motor = at(
      TWO,
      ['no-water'],
      [
        supply,
        { check: 'winding-resistance', leads: 'run-common', value: null },
        { check: 'winding-resistance', leads: 'run-common', half: 'motor', value: 2.8 },
      ],
    )
    expect(first(motor)).toBe('cable-open')
  })

  it('20. a clogged wheel pulls little vacuum where a blocked basket pulls much', () => {
    expect(
      first(
        at(
          POOL,
          ['low-flow'],
          [
            { check: 'suction-vacuum', value: 2 },
            { check: 'filter-pressure', value: 6 },
            { check: 'impeller-look', outcome: 'clogged' },
          ],
        ),
      ),
    ).toBe('impeller-clogged')
    expect(
      first(
        at(
          POOL,
          ['low-flow'],
          [
            { check: 'suction-vacuum', value: 17 },
            { check: 'filter-pressure', value: 5 },
            { check: 'basket-look', outcome: 'clogged' },
          ],
        ),
      ),
    ).toBe('suction-blocked')
  })
})
