import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { near, of, run } from './open-cases'

const PLACES: Readonly<Record<string, string>> = {
  outer_race: 'outer',
  inner_race: 'inner',
  ball: 'ball',
  cage: 'cage',
  none: 'none',
}

describe('recordings with known faults', () => {
  it.each(of('envelope-diagnosis'))('%s: %s', (_, __, each) => {
    const { given, expect: expected } = each
    const bearing = given.bearing as Record<string, number>
    const got = run('sound-tones', {
      file: readFileSync(new URL(given.file as string, import.meta.url)).toString('base64'),
      rpm: given.shaft_rpm,
      mainsHertz: given.mains_Hz,
      bearing: {
        balls: bearing.n_balls,
        ballMillimetres: bearing.ball_diameter_mm,
        pitchMillimetres: bearing.pitch_diameter_mm,
        contactDegrees: bearing.contact_angle_deg,
      },
    })
    expect(got.bearingFault).toBe(PLACES[expected.bearing_fault as string])
    near(each, got.strongestHz, expected.strongest_tone_below_1kHz_Hz)
    if (got.shaftHz !== undefined) near(each, got.shaftHz, expected.shaft_Hz)
    if (expected.envelope_peak_Hz === undefined) expect(got.envelopePeakHz).toBeUndefined()
    else near(each, got.envelopePeakHz, expected.envelope_peak_Hz)
    expect(got.lowFrequencyFinding).toBe(expected.low_frequency_finding)
  })
})
