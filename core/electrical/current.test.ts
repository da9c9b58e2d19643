import { describe, expect, it } from 'vitest'
import { judgeLockedCurrent, judgeRunningCurrent } from './current'

describe('running current', () => {
  // Full load 9 A: light under 6 A, above 9 × 1.15 = 10.35 A where the plate gives no service-factor amps.
  it.each([
    [5.9, 'tired', -0.1 / 6, '65.6 % of full load, light: dry, air-bound, throttled or turning with no load'],
    [6, 'sound', 0, '66.7 % of full load, between 6 and 10.3 A'],
    [8, 'sound', (10.35 - 8) / 10.35, '88.9 % of full load, between 6 and 10.3 A'],
    [9, 'sound', (10.35 - 9) / 10.35, '100 % of full load, between 6 and 10.3 A'],
    [9.1, 'tired', (10.35 - 9.1) / 10.35, '101 % of full load: inside the service factor, above full load'],
    [10.35, 'tired', 0, '115 % of full load: inside the service factor, above full load'],
    [10.4, 'failed', -0.05 / 10.35, '116 % of full load, over the service-factor amps (assumed) of 10.3 A'],
    [35.9, 'failed', (10.35 - 35.9) / 10.35, '399 % of full load, over the service-factor amps (assumed) of 10.3 A'],
    [36, 'failed', (10.35 - 36) / 10.35, '400 % of full load: the rotor is not turning'],
  ])('%d A of 9 is %s', (amps, verdict, margin, because) => {
    const judged = judgeRunningCurrent(amps, 9)
    expect(judged).toMatchObject({ subject: 'running current', value: amps, unit: 'A', verdict, because, low: 6 })
    expect(judged.high).toBeCloseTo(10.35, 9)
    expect(judged.margin).toBeCloseTo(margin, 9)
  })

  it('goes by the service-factor amps of the plate where it gives them', () => {
    expect(judgeRunningCurrent(10.4, 9, 12)).toMatchObject({ verdict: 'tired', high: 12 })
    expect(judgeRunningCurrent(12.1, 9, 12).because).toBe('134 % of full load, over the service-factor amps of 12 A')
    expect(judgeRunningCurrent(6.5, 9, 12).margin, 'the nearer limit').toBeCloseTo(0.5 / 6, 9)
  })
})

describe('locked-rotor current', () => {
  it.each([
    [27.9, 'unclear', -0.1 / 28, 'below 28 A: the rotor may have turned, or a winding is missing'],
    [28, 'unclear', 0, '4 times full load: the rotor is not turning, the winding takes current'],
    [35, 'unclear', 0.25, '5 times full load: the rotor is not turning, the winding takes current'],
    [49, 'unclear', 0, '7 times full load: the rotor is not turning, the winding takes current'],
    [49.1, 'failed', -0.1 / 49, 'above 49 A: shorted turns are possible'],
  ])('%d A of a motor of 7 is %s', (amps, verdict, margin, because) => {
    const judged = judgeLockedCurrent(amps, 7)
    expect(judged).toMatchObject({ subject: 'locked-rotor current', value: amps, verdict, because, low: 28, high: 49 })
    expect(judged.margin).toBeCloseTo(margin, 9)
  })

  it('lies within a fifth of the plate’s own locked-rotor amps where it gives them', () => {
    expect(judgeLockedCurrent(35, 7, 50)).toMatchObject({ low: 40, high: 60, because: expect.stringMatching(/^below/) })
    expect(judgeLockedCurrent(59, 7, 50).because).toMatch(/^8.4 times full load/)
    expect(judgeLockedCurrent(61, 7, 50).verdict).toBe('failed')
  })
})
