import { describe, expect, it } from 'vitest'
import { emptyToUndefined, PLATE_FIELDS, plateText, readPlate } from './plate-form'

const text = (change: Record<string, string>) => ({
  ...Object.fromEntries(PLATE_FIELDS.map(({ key }) => [key, ''])),
  volts: '230',
  ...change,
})

describe('a plate typed in', () => {
  it('comes back as it was shown', () => {
    const plate = {
      volts: 230,
      hertz: 60,
      horsepower: 0.75,
      serviceFactor: 1.3,
      fullLoadAmps: 6.9,
      serviceFactorAmps: 8.1,
      runCapacitorMicrofarads: 20,
      runCapacitorVolts: 370,
      startCapacitorMicrofarads: [88, 106] as [number, number],
      capacitorTolerancePercent: 6,
      runWindingOhms: [1.8, 2.4] as [number, number],
      startWindingOhms: [4, 5] as [number, number],
    }
    expect(readPlate(plateText(plate))).toEqual({ plate, problems: {} })
  })

  it('takes a field that cannot be read for what it is, but needs the volts', () => {
    expect(readPlate(text({}))).toEqual({ plate: { volts: 230 }, problems: {} })
    expect(readPlate(text({ volts: '' })).problems.volts).toContain('Volts are needed')
  })

  it('reads ranges and decimal commas as people write them', () => {
    expect(
      readPlate(text({ startCapacitorMicrofarads: '161-193', runWindingOhms: '1,8 to 2,4', horsepower: '0,75' })).plate,
    ).toMatchObject({ startCapacitorMicrofarads: [161, 193], runWindingOhms: [1.8, 2.4], horsepower: 0.75 })
    expect(readPlate(text({ startCapacitorMicrofarads: '161' })).plate.startCapacitorMicrofarads).toBe(161)
    expect(readPlate(text({ runWindingOhms: '2.1' })).plate.runWindingOhms).toEqual([2.1, 2.1])
  })

  it.each([
    ['horsepower', 'one'],
    ['horsepower', '-1'],
    ['horsepower', '1 2'],
    ['hertz', '55'],
    ['runWindingOhms', '3 to 2'],
    ['runWindingOhms', '1 2 3'],
    ['fullLoadAmps', '0'],
    ['volts', '9999'],
  ])('says of %s “%s” what would be right, and keeps nothing of it', (key, written) => {
    const { plate, problems } = readPlate(text({ [key]: written }))
    expect(Object.keys(problems)).toEqual([key])
    expect(Object.values(problems)[0]).toMatch(/number|50 or 60/)
    expect(key in plate).toBe(false)
  })

  it('leaves out what a form left empty', () =>
    expect(emptyToUndefined({ name: 'pump', installedOn: '', nameplate: { volts: 230 } })).toEqual({
      name: 'pump',
      nameplate: { volts: 230 },
    }))
})
