import { longestRun, motorVolts, ohmsPerKilometre, startingVoltage } from '../electrical/conductor'
import type { Verdict } from '../judgement/judgement'
import { worstVerdict } from '../judgement/judgement'
import { SUPPLY } from '../knowledge/electrical/limits'
import { START_VOLTS } from '../knowledge/water/sizing'
import { AMPACITY_BASIS, MOTOR_BRANCH, WIRE_CELSIUS, WIRE_SIZES } from '../knowledge/electrical/wire'
import { q, say } from '../quantity/sentence'
import { us } from './fields'
import { Taking } from './known'
import { defineQuestion } from './question'

export interface WireInput {
  sourceVolts: number
  ratedVolts: number
  amps: number
  awg: string
  oneWayMetres: number
  lockedRotorAmps: number
  lockedRotorPowerFactor: number
  powerFactor: number
  celsius: number
  dropPercent: number
}
export interface WireSolved {
  verdict: Verdict
  motorVolts: number
  dropVolts: number
  dropPercent: number
  startVolts: number
  startAmps: number
  torqueFraction: number
  longestMetres: number
  ampacity: number
  wantedAwg?: string
}

const SIZES = WIRE_SIZES.map(({ awg }) => ({ id: awg, label: `${awg} AWG` }))
const perMetre = (awg: string, celsius: number) => ohmsPerKilometre({ awg }, celsius) / 1000
const loadOf = ({ sourceVolts, amps, powerFactor }: WireInput) => ({
  sourceVolts,
  amps,
  powerFactor,
  phases: 1 as const,
})
const DRAWN = 12

/** Volts at the motor while it runs; nothing is left where the line eats all. */
function runningVolts(input: WireInput, awg: string, metres: number): number {
  try {
    return motorVolts(loadOf(input), perMetre(awg, input.celsius) * metres)
  } catch {
    return 0
  }
}
const startingAt = (input: WireInput, metres: number) =>
  startingVoltage({ ...input, loopOhms: 2 * perMetre(input.awg, input.celsius) * metres })

export const wireSize = defineQuestion<WireInput, WireSolved>({
  id: 'wire-size',
  title: 'Is the wire heavy enough?',
  about: 'Volts left at the motor while it runs, and as it starts.',
  kinds: ['well-two-wire', 'well-three-wire', 'pool'],
  basis: SUPPLY.dropBasis,
  fields: [
    { name: 'awg', label: 'Copper wire', as: 'choice', group: 'The line', choices: SIZES, usual: '12' },
    {
      name: 'oneWayMetres',
      label: 'One way, panel to motor',
      as: 'number',
      group: 'The line',
      measure: 'length',
      min: 0,
      max: 5000,
      usual: us(200, 'length'),
    },
    {
      name: 'celsius',
      label: 'Wire',
      as: 'number',
      group: 'The line',
      measure: 'temperature',
      min: -40,
      max: 120,
      hint: 'loaded, as its insulation allows',
      usual: WIRE_CELSIUS.value,
    },
    {
      name: 'sourceVolts',
      label: 'Volts at the panel',
      as: 'number',
      group: 'The line',
      measure: 'volts',
      above: 0,
      max: 1000,
      usual: 240,
    },
    {
      name: 'dropPercent',
      label: 'Drop allowed',
      as: 'number',
      group: 'The line',
      measure: 'percent',
      above: 0,
      max: 20,
      usual: 100 * SUPPLY.dropFraction,
    },
    {
      name: 'ratedVolts',
      label: 'Plate volts',
      as: 'number',
      group: 'The motor',
      measure: 'volts',
      above: 0,
      max: 1000,
      usual: 230,
    },
    {
      name: 'amps',
      label: 'Running amps',
      as: 'number',
      group: 'The motor',
      measure: 'amps',
      above: 0,
      max: 500,
      usual: 8,
    },
    {
      name: 'lockedRotorAmps',
      label: 'Locked-rotor amps',
      as: 'number',
      group: 'The motor',
      measure: 'amps',
      above: 0,
      max: 3000,
      usual: 40,
    },
    {
      name: 'powerFactor',
      label: 'Power factor running',
      as: 'number',
      group: 'The motor',
      measure: 'ratio',
      above: 0,
      max: 1,
      usual: 0.85,
    },
    {
      name: 'lockedRotorPowerFactor',
      label: 'Power factor as it starts',
      as: 'number',
      group: 'The motor',
      measure: 'ratio',
      above: 0,
      max: 1,
      usual: 0.7,
    },
  ],
  solve: (input) => {
    const { sourceVolts, ratedVolts, awg, oneWayMetres, celsius, amps } = input
    const volts = motorVolts(loadOf(input), perMetre(awg, celsius) * oneWayMetres)
    const start = startingAt(input, oneWayMetres)
    const allowed = input.dropPercent / 100
    const fraction = (sourceVolts - volts) / sourceVolts
    const ampacity = WIRE_SIZES.find((size) => size.awg === awg)?.ampacity ?? 0
    const wanted = WIRE_SIZES.find(
      (size) =>
        size.ampacity >= amps * MOTOR_BRANCH.factor &&
        (sourceVolts - runningVolts(input, size.awg, oneWayMetres)) / sourceVolts <= allowed,
    )
    const ofPlate = start.motorVolts / ratedVolts
    const verdict = worstVerdict([
      fraction > allowed ? 'failed' : fraction > allowed * 0.8 ? 'tired' : 'sound',
      ofPlate < START_VOLTS.failedFraction ? 'failed' : ofPlate < START_VOLTS.tiredFraction ? 'tired' : 'sound',
      ampacity < amps * MOTOR_BRANCH.factor ? 'failed' : 'sound',
      volts < ratedVolts * (1 - SUPPLY.toleranceFraction) ? 'failed' : 'sound',
    ]) as Verdict
    return {
      verdict,
      motorVolts: volts,
      dropVolts: sourceVolts - volts,
      dropPercent: 100 * fraction,
      startVolts: start.motorVolts,
      startAmps: start.startAmps,
      torqueFraction: start.torqueFraction,
      longestMetres: longestRun(loadOf(input), allowed, perMetre(awg, celsius)),
      ampacity,
      ...(wanted ? { wantedAwg: wanted.awg } : {}),
    }
  },
  tell: (input, s) => {
    const thin = s.ampacity < input.amps * MOTOR_BRANCH.factor
    return {
      answer:
        s.verdict === 'sound'
          ? say`Yes: ${input.awg} AWG leaves ${q(s.motorVolts, 'volts')} running and ${q(s.startVolts, 'volts')} as it
            starts.`
          : thin
            ? say`No: ${input.awg} AWG carries ${q(s.ampacity, 'amps')}, and the motor wants
              ${q(input.amps * MOTOR_BRANCH.factor, 'amps')}.${s.wantedAwg ? ` Pull ${s.wantedAwg} AWG.` : ''}`
            : say`${s.verdict === 'tired' ? 'Just' : 'No'}: it drops ${q(s.dropPercent, 'percent')} running, and
              ${q(s.startVolts, 'volts')} are left as it
              starts.${s.wantedAwg && s.wantedAwg !== input.awg ? ` ${s.wantedAwg} AWG keeps the drop.` : ''}`,
      figures: [
        { label: 'running', amount: q(s.motorVolts, 'volts', 4) },
        { label: 'drop', amount: q(s.dropPercent, 'percent') },
        { label: 'starting', amount: q(s.startVolts, 'volts') },
        { label: 'start torque', amount: q(100 * s.torqueFraction, 'percent', 2) },
        { label: 'farthest', amount: q(s.longestMetres, 'length') },
      ],
      steps: [
        say`Loop: 2 × ${q(input.oneWayMetres, 'length')} of ${input.awg} AWG at ${q(input.celsius, 'temperature')} =
          ${q(2 * perMetre(input.awg, input.celsius) * input.oneWayMetres, 'ohms', 4)}`,
        say`|Vm + I·Z| = ${q(input.sourceVolts, 'volts')} with ${q(input.amps, 'amps')} at power factor
          ${input.powerFactor}: Vm = ${q(s.motorVolts, 'volts', 4)}, ${q(s.dropPercent, 'percent')} lost`,
        say`Starting: ${q(s.startAmps, 'amps')} leave ${q(s.startVolts, 'volts', 4)},
          ${q((100 * s.startVolts) / input.ratedVolts, 'percent')} of the plate; torque goes with its square,
          ${q(100 * s.torqueFraction, 'percent')}`,
        say`${q(input.dropPercent, 'percent')} are reached at ${q(s.longestMetres, 'length')}`,
      ],
      cautions: [
        ...(thin
          ? [
              say`125 % of ${q(input.amps, 'amps')} is ${q(input.amps * MOTOR_BRANCH.factor, 'amps')}: more than
                ${input.awg} AWG carries. ${AMPACITY_BASIS.name}.`,
            ]
          : []),
        ...(s.startVolts < START_VOLTS.failedFraction * input.ratedVolts
          ? [say`As it starts it may only hum: ${START_VOLTS.basis.name}.`]
          : []),
        say`Local code and a licensed electrician decide on wire.`,
      ],
    }
  },
  draw: (input, s) => {
    const far = Math.max(input.oneWayMetres, 1)
    const along = Array.from({ length: DRAWN + 1 }, (_, step) => (step / DRAWN) * far)
    return {
      kind: 'cable',
      sourceVolts: input.sourceVolts,
      leastVolts: input.sourceVolts * (1 - input.dropPercent / 100),
      points: along.map((metres) => ({ metres, volts: runningVolts(input, input.awg, metres) })),
      starting: along.map((metres) => ({ metres, volts: startingAt(input, metres).motorVolts })),
      handles: [
        {
          field: 'oneWayMetres',
          min: 5,
          max: Math.max(100, Math.round(2 * s.longestMetres)),
          axis: 'across',
          label: 'distance',
          step: 1,
        },
      ],
    }
  },
  follow: { label: 'drop', amount: ({ dropPercent }) => q(dropPercent, 'percent') },
  take: ({ pump: { installation }, plate, reading }) =>
    new Taking<WireInput>()
      .take('awg', ['the drop cable', SIZES.find(({ id }) => id === installation?.cableAwg)?.id])
      .take('oneWayMetres', ['the drop cable', installation?.cableMetres])
      .take(
        'sourceVolts',
        ['measured in this visit', reading('supply-voltage', 'volts')],
        ['the plate’s volts', plate.volts],
      )
      .take('ratedVolts', ['the plate', plate.volts])
      .take(
        'amps',
        ['measured in this visit', reading('running-current', 'amps')],
        ['the plate', plate.serviceFactorAmps],
      )
      .take(
        'lockedRotorAmps',
        ['the plate', plate.lockedRotorAmps],
        ['five times full load, usual', plate.fullLoadAmps * 5],
      ),
})
