import { motorVolts, startingVoltage } from '../../electrical/conductor'
import { dropPercent, judgeLoadedSupply, judgeSupply } from '../../electrical/supply'
import { formatShare } from '../../quantity/format'
import { q, r, say } from '../../quantity/sentence'
import { defineLive, slider } from './live'

const PLATE = 230
const POWER_FACTOR = 0.85
const LOCKED = { times: 5.5, powerFactor: 0.55 }

/** A joint that passes volts at rest and keeps them under load. */
export const restAndLoaded = defineLive(
  [
    slider('rest', 'Volts at rest', [195, 260], 236, (value) => say`${r(Math.round(value), 'V')}`),
    slider('joint', 'What the bad joint has', [0.02, 6], 2.2, (value) => say`${r(value, 'ohm', 2)}`, 'log'),
    slider('amps', 'Amps that the pump wants', [3, 16], 9.5, (value) => say`${r(value, 'A', 2)}`),
  ],
  ({ rest, joint, amps }) => {
    // One joint in one line: the loop has it once, and a line of two conductors twice.
    const load = { sourceVolts: rest, amps, powerFactor: POWER_FACTOR, phases: 1 } as const
    const loaded = motorVolts(load, joint / 2)
    const [atRest, underLoad] = [judgeSupply(PLATE, rest), judgeLoadedSupply(PLATE, loaded, rest)]
    const start = startingVoltage({
      sourceVolts: rest,
      ratedVolts: PLATE,
      lockedRotorAmps: amps * LOCKED.times,
      lockedRotorPowerFactor: LOCKED.powerFactor,
      loopOhms: joint,
    })
    return {
      figures: [
        { id: 'rest', label: 'at rest', told: say`${r(rest, 'V', 3)}`, verdict: atRest.verdict },
        { id: 'loaded', label: 'running', told: say`${r(loaded, 'V', 3)}`, verdict: underLoad.verdict },
        { id: 'drop', label: 'lost on the way', told: say`${q(dropPercent(rest, loaded), 'percent', 2)}` },
        { id: 'heat', label: 'heat in the joint', told: say`${q(amps ** 2 * joint, 'power', 2)}` },
        { id: 'torque', label: 'start torque that is left', told: formatShare(start.torqueFraction) },
      ],
      says:
        atRest.verdict !== 'failed' && underLoad.verdict === 'failed'
          ? say`At rest nothing is wrong. Running: ${underLoad.because}.`
          : atRest.verdict === 'failed'
            ? say`Wrong before anything runs: ${atRest.because}.`
            : say`Both hold: ${underLoad.because}.`,
    }
  },
)
