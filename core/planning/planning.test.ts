import { reasonOn } from '../diagnosis/reasoning'
import { describe, expect, it } from 'vitest'
import type { DiagnosisCase } from '../diagnosis/finding'
import { orderDay, type DayVisit } from './day'
import { prepare } from './preparation'

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
    { check: 'capacitance', part: 'run-capacitor', value: 27 },
  ],
}

describe('loading the van', () => {
  it('ties each part to its suspect, the capacitor by its rating', () => {
    const { parts, tools, suspects } = prepare(reasonOn(humming))
    expect(suspects[0]?.fault).toBe('run-capacitor-failed')
    expect(parts[0]).toMatchObject({ label: 'run capacitor 30 μF, 370 V or more', fault: 'run-capacitor-failed' })
    expect(tools.map(({ label }) => label)).toEqual(
      expect.arrayContaining(['meter', 'megohmmeter', 'bleed resistor 20 kΩ 5 W']),
    )
  })

  it('brings the right seal set and both O-rings for a drip', () => {
    expect(prepare(reasonOn({ ...humming, complaints: ['leak-under-motor'] })).parts.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['part:shaft-seal', 'part:housing-o-ring', 'part:diffuser-o-ring']),
    )
  })

  it('leaves what is measured on site out of it', () =>
    expect(prepare(reasonOn(settled)).suspects).toEqual(prepare(reasonOn(humming)).suspects))

  it('loads the foot valve for a jet pump that loses its prime', () =>
    expect(
      prepare(reasonOn({ pump: { kind: 'jet', nameplate: { volts: 230 } }, complaints: ['loses-prime'] })).parts.map(
        ({ id }) => id,
      ),
    ).toContain('part:foot-valve'))
})

describe('the day', () => {
  const visit = (id: string, scheduledAt: string, done: boolean) => ({ id, scheduledAt, done }) as DayVisit
  it('goes by time, and by id where two are at one', () => {
    const day = [
      visit('b', '2026-05-12T10:00:00Z', false),
      visit('a', '2026-05-12T07:30:00Z', true),
      visit('d', '2026-05-11T15:00:00Z', false),
      visit('c', '2026-05-11T15:00:00Z', false),
    ]
    expect(orderDay(day).map(({ id }) => id)).toEqual(['c', 'd', 'a', 'b'])
  })
})
