import { describe, expect, it } from 'vitest'
import { completePlate, type Pump } from '../motor/nameplate'
import type { Finding } from './finding'
import { readTogether } from './together'
import { cableLoopOhms, threePairs, windingOhmsAt20, windingPair } from './winding-reading'

const PSC: Pump = {
  kind: 'pool',
  nameplate: {
    volts: 230,
    motorType: 'permanent-split',
    horsepower: 1,
    fullLoadAmps: 7,
    runCapacitorMicrofarads: 30,
    runWindingOhms: [1.8, 2.4],
    startWindingOhms: [3.6, 4.8],
  },
}
const together = (findings: Finding[], complaints = ['hums-no-start'], pump = PSC) =>
  readTogether(findings, complaints, pump, completePlate(pump))

describe('what the numbers mean together', () => {
  it('explains a hum by the start torque that a faded capacitor leaves', () => {
    const [said] = together([
      { check: 'capacitance', part: 'run-capacitor', value: 6 },
      { check: 'supply-voltage', value: 236 },
    ])
    expect(said).toMatchObject({ explains: 'hum' })
    expect(said?.text).toMatch(/6 μF run at 236 V the start torque is about \d/)
  })

  it('knows a hum that was heard from one that was told, and no other sound for one', () => {
    const heard = (outcome: string) =>
      together(
        [
          { check: 'capacitance', part: 'run-capacitor', value: 6 },
          { check: 'listen', outcome },
        ],
        [],
      )[0]?.text
    expect(heard('hum')).toBe(together([{ check: 'capacitance', part: 'run-capacitor', value: 6 }])[0]?.text)
    expect(heard('whine')).not.toBe(heard('hum'))
  })

  it('says when capacitor and volts leave enough torque, and looks elsewhere', () => {
    expect(together([{ check: 'capacitance', part: 'run-capacitor', value: 30 }])[0]?.text).toContain(
      'The hum has another cause',
    )
  })

  it('says nothing of the start where it is strong enough and nobody heard a hum', () => {
    expect(together([{ check: 'capacitance', part: 'run-capacitor', value: 30 }], [])).toEqual([])
    expect(together([{ check: 'capacitance', part: 'run-capacitor', value: 6 }], [])[0]).toMatchObject({
      explains: 'nothing',
    })
  })

  it('gives less torque at fewer volts: with the square of them', () => {
    const share = (volts: number) =>
      Number(
        /about (\d+)/.exec(
          together([
            { check: 'capacitance', part: 'run-capacitor', value: 30 },
            { check: 'supply-voltage', value: volts },
          ])[0]?.text ?? '',
        )?.[1],
      )
    expect(share(230) / share(163)).toBeCloseTo(2, 0)
  })

  it('sets a measured current beside the one these readings predict', () => {
    const running: Finding[] = [
      { check: 'capacitance', part: 'run-capacitor', value: 30 },
      { check: 'supply-voltage-loaded', value: 230 },
    ]
    expect(together([...running, { check: 'running-current', value: 7 }], []).at(-1)).toMatchObject({
      explains: 'current',
    })
    expect(together([...running, { check: 'running-current', value: 10 }], []).at(-1)?.text).toContain(
      'more than these readings predict',
    )
    expect(together([...running, { check: 'running-current', value: 4 }], []).at(-1)?.text).toContain('lightly loaded')
  })

  it('takes the windings as they were measured, each for its own', () => {
    const foretold = (...windings: Finding[]) =>
      together([...windings, { check: 'running-current', value: 30 }, { check: 'supply-voltage-loaded', value: 230 }])
        .map(({ text }) => text)
        .join(' ')
    const run = (value: number): Finding => ({ check: 'winding-resistance', leads: 'run-common', value })
    const start = (value: number): Finding => ({ check: 'winding-resistance', leads: 'start-common', value })
    // Middles of the plate's ranges change nothing; other ohms do, whichever is said first.
    const sound = foretold(run(2.1), start(4.2))
    expect(foretold(run(2.1))).toBe(sound)
    expect(foretold(start(4.2))).toBe(sound)
    expect(foretold(run(4), start(4.2))).not.toBe(sound)
    expect(foretold(run(2.1), start(9))).not.toBe(sound)
    expect(foretold(start(4.2), run(4))).toBe(foretold(run(4), start(4.2)))
    expect(foretold(run(4), start(9))).not.toBe(foretold(run(9), start(4)))
    // A reading far over what is foretold says by how much, not "100 %".
    expect(sound).toContain('30 A is 329\u00a0% more than these readings predict at full load (7 A)')
  })

  it('says nothing from the plate alone, nor of a drive', () => {
    expect(together([{ check: 'running-current', value: 7 }], [])).toEqual([])
    expect(
      together([{ check: 'supply-voltage-loaded', value: 200 }], [], {
        kind: 'pool',
        nameplate: { volts: 230, motorType: 'electronic' },
      }),
    ).toEqual([])
  })
})

describe('a winding behind its cable', () => {
  const well: Pump = {
    kind: 'well-three-wire',
    nameplate: { volts: 230 },
    installation: { cableAwg: '12', cableMetres: 100 },
  }
  it('takes the loop of the cable off, out and back', () => {
    // ASTM B258 12 AWG 3.31 mm²; 1/58 Ω·mm²/m; 2 % for stranding; 200 m.
    expect(cableLoopOhms(well)).toBeCloseTo((200 * 1.02) / 58 / 3.309, 2)
    expect(windingOhmsAt20({ check: 'winding-resistance', value: 4 }, well).ohms).toBeCloseTo(
      4 - (cableLoopOhms(well) as number),
      9,
    )
    expect(windingOhmsAt20({ check: 'winding-resistance', value: 4, half: 'motor' }, well)).toEqual({ ohms: 4 })
    expect(windingOhmsAt20({ check: 'winding-resistance', value: 0.2 }, well).ohms).toBe(0)
    expect(cableLoopOhms({ kind: 'pool', installation: well.installation })).toBeUndefined()
  })

  it('knows the usual colours of a 3-wire well, and of no other pump', () => {
    expect(windingPair({ leads: 'yellow-black' }, 'well-three-wire')).toBe('common-run')
    expect(windingPair({ leads: 'red-yellow' }, 'well-three-wire')).toBe('common-start')
    expect(windingPair({ leads: 'yellow-black' }, 'pool')).toBe('black-yellow')
    expect(windingPair({ part: 'start-winding' }, 'pool')).toBe('common-start')
  })

  it('names the leads once three pairs are read, and says nothing before or when the cable alone is more', () => {
    const pairs = (a: number, b: number, c: number): Finding[] => [
      { check: 'winding-resistance', leads: '1-2', value: a },
      { check: 'winding-resistance', leads: '2-3', value: b },
      { check: 'winding-resistance', leads: '1-3', value: c },
    ]
    const bare: Pump = { kind: 'jet', nameplate: { volts: 230 } }
    expect(threePairs(pairs(2, 4, 6), bare)).toMatchObject({ common: '2', run: '1', start: '3' })
    expect(threePairs(pairs(2, 4, 6).slice(0, 2), bare)).toBeUndefined()
    expect(threePairs(pairs(1, 1, 1), well)).toBeUndefined()
  })
})
