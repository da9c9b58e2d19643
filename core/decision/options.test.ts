import { diagnose } from '../diagnosis/diagnose'
import { describe, expect, it } from 'vitest'
import type { DiagnosisCase } from '../diagnosis/finding'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { KINDS, type Kind } from '../knowledge/vocabulary'
import { reasonOn } from '../diagnosis/reasoning'
import { completePlate } from '../motor/nameplate'
import { optionsFor } from './options'
import { partLabel } from './part-label'
import { reckoningOf } from './bill'

const humming: DiagnosisCase = {
  pump: {
    kind: 'pool',
    construction: 'band-clamp',
    ageYears: 9,
    nameplate: {
      volts: 230,
      motorType: 'permanent-split',
      horsepower: 1,
      runCapacitorMicrofarads: 30,
      runCapacitorVolts: 370,
    },
  },
  complaints: ['hums-no-start'],
}
const settled: DiagnosisCase = {
  ...humming,
  findings: [
    { check: 'supply-voltage', value: 236 },
    { check: 'shaft-turn', outcome: 'free' },
    { check: 'capacitance', part: 'run-capacitor', value: 27 },
  ],
}

describe('options side by side', () => {
  const options = optionsFor(reasonOn(settled))

  it('puts the cheap cure first and the whole pump last, with parts, minutes and price', () => {
    expect(options[0]).toMatchObject({
      id: 'replace-run-capacitor',
      parts: [{ label: 'run capacitor 30 μF, 370 V or more' }],
    })
    expect(options.map(({ id }) => id)).toContain('swap-motor')
    // One clock, one price: those of the plan that would be carried out.
    for (const { id, minutes, price, parts } of options)
      expect({ minutes, price, parts }).toEqual(
        (({ minutes: m, price: p, parts: q }) => ({ minutes: m, price: p, parts: q }))(
          reckoningOf([id], {
            pump: settled.pump,
            plate: completePlate(settled.pump),
            rates: DEFAULT_RATES,
          }) as NonNullable<ReturnType<typeof reckoningOf>>,
        ),
      )
    const likely = options.filter(({ chanceRight }) => chanceRight >= 0.05).map(({ expectedCost }) => expectedCost)
    expect(likely).toEqual([...likely].sort((a, b) => a - b))
  })

  it('adds to the price what being wrong is expected to cost', () => {
    for (const { price, expectedCost, chanceRight, partsPrice, labourPrice } of options) {
      expect(partsPrice + labourPrice).toBeCloseTo(price)
      if (chanceRight < 0.999) expect(expectedCost).toBeGreaterThan(price)
    }
    const [early, late] = [optionsFor(reasonOn(humming)), options].map((list) =>
      list.find(({ id }) => id === 'replace-run-capacitor'),
    )
    expect((early?.expectedCost ?? 0) - (early?.price ?? 0)).toBeGreaterThan(
      (late?.expectedCost ?? 0) - (late?.price ?? 0),
    )
  })

  it('follows the shop’s own rates', () => {
    const dear = optionsFor(reasonOn(settled, { rates: { ...DEFAULT_RATES, hourly: 192 } }))[0]
    expect(dear?.labourPrice).toBeCloseTo((options[0]?.labourPrice ?? 0) * 2)
  })

  it('a shop that charges nothing by the hour goes on testing as another does, and charges the parts alone', () => {
    const free = { ...DEFAULT_RATES, hourly: 0 }
    expect(diagnose(humming, { rates: free }).next?.check).toBe(diagnose(humming, { rates: DEFAULT_RATES }).next?.check)
    const [best] = optionsFor(reasonOn(settled, { rates: free }))
    expect(best).toMatchObject({ id: 'replace-run-capacitor', labourPrice: 0 })
    expect(best?.price).toBeCloseTo(best?.partsPrice ?? 0)
    expect(best?.expectedCost).toBeGreaterThanOrEqual(best?.price ?? 0)
  })

  it('keeps the repair that was chosen, however unlikely it has become, and adds none that is no repair', () => {
    const without = optionsFor(reasonOn(settled)).map(({ id }) => id)
    const unlikely = 'restore-supply'
    expect(without).not.toContain(unlikely)
    expect(optionsFor(reasonOn(settled), [unlikely]).map(({ id }) => id)).toEqual([...without, unlikely])
    expect(optionsFor(reasonOn(settled), without.slice(0, 1)).map(({ id }) => id)).toEqual(without)
    expect(optionsFor(reasonOn(settled), ['polish-it']).map(({ id }) => id)).toEqual(without)
  })

  it('offers to send back only what is under warranty', () => {
    const worn: DiagnosisCase = {
      pump: { ...humming.pump, ageYears: 1 },
      complaints: ['noise-grind'],
      findings: [{ check: 'shaft-turn', outcome: 'gritty' }],
    }
    const has = (input: DiagnosisCase) => optionsFor(reasonOn(input)).some(({ id }) => id === 'return-under-warranty')
    expect(has(worn)).toBe(false)
    expect(has({ ...worn, pump: { ...worn.pump, underWarranty: true } })).toBe(true)
  })

  it('has repairs of its own for every kind, with its own prices', () => {
    for (const kind of Object.keys(KINDS) as Kind[])
      expect(
        optionsFor(reasonOn({ pump: { kind, nameplate: { volts: 230 } }, complaints: ['trips-breaker'] }))[0]?.price,
        kind,
      ).toBeGreaterThan(0)
    const pull = optionsFor(
      reasonOn({
        pump: { kind: 'well-two-wire', nameplate: { volts: 230 }, installation: { wellDepthMetres: 80 } },
        gates: [],
        findings: [
          { check: 'winding-resistance', value: null },
          { check: 'winding-resistance', half: 'motor', value: null },
        ],
      }),
    )[0]
    expect(pull).toMatchObject({ id: 'replace-two-wire-motor' })
    expect(pull?.minutes.p50).toBeGreaterThan(130)
  })
})

describe('a part with its rating', () => {
  const plate = {
    ...completePlate({ kind: 'pool', nameplate: { volts: 230 } }),
    horsepower: 0.75,
    runCapacitorMicrofarads: 25,
    runCapacitorVolts: 440,
    startCapacitorMicrofarads: [86, 103] as [number, number],
  }
  const { runCapacitorMicrofarads: _r, startCapacitorMicrofarads: _s, ...unread } = plate
  it.each([
    ['run-capacitor', plate, 'run capacitor 25 μF, 440 V or more'],
    ['run-capacitor', { ...plate, runCapacitorVolts: undefined }, 'run capacitor 25 μF, 370 V or more'],
    ['run-capacitor', unread, 'run capacitor'],
    ['start-capacitor', plate, 'start capacitor 86 to 103 μF'],
    ['start-capacitor', { ...plate, startCapacitorMicrofarads: 161 }, 'start capacitor 161 μF'],
    ['start-capacitor', unread, 'start capacitor'],
    ['motor', plate, 'motor, 0.75 hp, 230 V, same flange and shaft'],
    ['motor', { ...plate, horsepower: 1 / 3 }, 'motor, 0.33 hp, 230 V, same flange and shaft'],
    ['shaft-seal', plate, 'shaft seal set of this pump'],
    ['bearings', plate, 'bearings, both ends (read the rings)'],
    ['impeller', plate, 'impeller'],
  ] as const)('%s', (part, of, label) => expect(partLabel(part, of)).toBe(label))
})

describe('why an option stands there', () => {
  it('names what it cures where that is one or two things, and no list', () => {
    const [best] = optionsFor(reasonOn(settled))
    expect(best?.because).toMatch(/likely to be the whole cure \(run capacitor weak or wrong capacitor fitted\)\.$/)
    const motor = optionsFor(reasonOn(settled)).find(({ id }) => id === 'swap-motor')
    expect(motor?.because).toMatch(/likely to be the whole cure\.$/)
  })
})

describe('what stands among the options', () => {
  it('nothing under 5 % stands first, however cheap; what the lamp would do is always there', () => {
    for (const complaint of ['low-flow', 'trips-gfci', 'noise-whine', 'dead', 'loses-prime'])
      for (const kind of Object.keys(KINDS) as Kind[]) {
        const input: DiagnosisCase = { pump: { kind, nameplate: { volts: 230 } }, complaints: [complaint] }
        const reasoning = reasonOn(input)
        const options = optionsFor(reasoning)
        const likely = options.some(({ chanceRight }) => chanceRight >= 0.05)
        if (likely) expect(options[0]?.chanceRight, `${kind} ${complaint}`).toBeGreaterThanOrEqual(0.05)
        expect(options.map(({ id }) => id)).toContain(diagnose(input).bestAction)
      }
  })
  it('leads are not swapped where none was read, and a shaft is not packed where its fit was not tried', () => {
    const well: DiagnosisCase = {
      pump: { kind: 'well-three-wire', ageYears: 1, nameplate: { volts: 230, motorType: 'capacitor-start' } },
      complaints: ['hums-no-start', 'trips-breaker'],
      alreadyReplaced: ['motor'],
    }
    const ids = (input: DiagnosisCase) => reasonOn(input).model.actions.map(({ id }) => id)
    expect(ids(well)).not.toContain('swap-leads-above')
    const read = { ...well, findings: [{ check: 'winding-resistance', leads: 'yellow-black', value: 12 }] }
    expect(ids(read)).toContain('swap-leads-above')
    expect(ids(humming)).not.toContain('bearings-with-compound')
    expect(ids({ ...humming, findings: [{ check: 'bearing-fit', outcome: 'loose' }] })).toContain(
      'bearings-with-compound',
    )
  })
  it('bearings alone are a job of the bench', () => {
    const ids = (standing: DiagnosisCase['standing']) =>
      reasonOn({ ...humming, standing }).model.actions.map(({ id }) => id)
    expect(ids('bench')).toContain('bearings-alone')
    expect(ids('installed')).not.toContain('bearings-alone')
  })
})
