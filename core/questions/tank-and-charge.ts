import { judgePrecharge, tankDrawdown, tankSize, wantedPrecharge } from '../hydraulics/tank'
import type { Verdict } from '../judgement/judgement'
import { worstVerdict } from '../judgement/judgement'
import { PRESSURES } from '../knowledge/water/pressures'
import { TANK_RUN } from '../knowledge/water/sizing'
import { ATMOSPHERE } from '../knowledge/water/water'
import { KPA_PER_PSI } from '../quantity/conversions'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { us } from './fields'
import { Taking } from './known'
import { defineQuestion } from './question'

export interface TankInput {
  tankLitres: number
  prechargeKpa: number
  cutInKpa: number
  cutOutKpa: number
  pumpLitresPerSecond: number
  minimumRunSeconds: number
}
export interface TankSolved {
  verdict: Verdict
  drawdownLitres: number
  waterAtCutInLitres: number
  wantedPrechargeKpa: number
  runSeconds: number
  mostStartsPerHour: number
  wantedTankLitres: number
  emptyBeforeCutIn: boolean
}

const BELOW = PRESSURES.precharge.belowCutInPsi * KPA_PER_PSI

export const tankAndCharge = defineQuestion<TankInput, TankSolved>({
  id: 'tank-and-charge',
  title: 'Is the tank right, and what should its charge be?',
  about: 'What it gives between cut-in and cut-out, and how long the pump then runs.',
  kinds: ['well-two-wire', 'well-three-wire', 'jet'],
  basis: TANK_RUN.basis,
  fields: [
    {
      name: 'tankLitres',
      label: 'Tank',
      as: 'number',
      group: 'The tank',
      measure: 'volume',
      above: 0,
      max: 20000,
      usual: us(44, 'volume'),
    },
    {
      name: 'prechargeKpa',
      label: 'Precharge, tank empty of water',
      as: 'number',
      group: 'The tank',
      measure: 'pressure',
      min: 0,
      max: 2000,
      usual: us(28, 'pressure'),
    },
    {
      name: 'cutInKpa',
      label: 'Cut-in',
      as: 'number',
      group: 'The switch',
      measure: 'pressure',
      min: 0,
      max: 2000,
      usual: us(30, 'pressure'),
    },
    {
      name: 'cutOutKpa',
      label: 'Cut-out',
      as: 'number',
      group: 'The switch',
      measure: 'pressure',
      above: 0,
      max: 2000,
      usual: us(50, 'pressure'),
    },
    {
      name: 'pumpLitresPerSecond',
      label: 'What the pump gives',
      as: 'number',
      group: 'The pump',
      measure: 'flow',
      above: 0,
      max: 100,
      usual: us(10, 'flow'),
    },
    {
      name: 'minimumRunSeconds',
      label: 'Shortest run wanted',
      as: 'number',
      group: 'The pump',
      measure: 'seconds',
      above: 0,
      max: 3600,
      usual: TANK_RUN.seconds,
    },
  ],
  solve: (input) => {
    const charge = judgePrecharge(input.prechargeKpa, input.cutInKpa)
    const wantedPrechargeKpa = charge.wantedKpa
    const found = tankDrawdown(input)
    if (!(found.drawdownLitres > 1e-6 * input.tankLitres))
      throw badField(
        'cutOutKpa',
        input.cutOutKpa,
        say`farther above the cut-in of ${q(input.cutInKpa, 'pressure')}: between these the tank gives nothing`,
      )
    const runSeconds = found.drawdownLitres / input.pumpLitresPerSecond
    // The worst draw is half of what the pump gives: then it fills as slowly as it empties.
    const mostStartsPerHour = 3600 / (4 * runSeconds)
    const verdict = worstVerdict([
      charge.verdict,
      runSeconds < input.minimumRunSeconds * (TANK_RUN.tiredSeconds / TANK_RUN.seconds)
        ? 'failed'
        : runSeconds < input.minimumRunSeconds
          ? 'tired'
          : 'sound',
    ]) as Verdict
    const size = tankSize({
      flowLitresPerSecond: input.pumpLitresPerSecond,
      minimumRunSeconds: input.minimumRunSeconds,
      cutInKpa: input.cutInKpa,
      cutOutKpa: input.cutOutKpa,
      prechargeKpa: wantedPrechargeKpa,
    })
    return {
      verdict,
      drawdownLitres: found.drawdownLitres,
      waterAtCutInLitres: found.waterAtCutInLitres,
      wantedPrechargeKpa,
      runSeconds,
      mostStartsPerHour,
      wantedTankLitres: size.tankLitres,
      emptyBeforeCutIn: found.emptyBeforeCutIn,
    }
  },
  tell: (input, s) => {
    const { verdict, offKpa: off } = judgePrecharge(input.prechargeKpa, input.cutInKpa)
    const charged = verdict === 'sound'
    const large = s.runSeconds >= input.minimumRunSeconds
    return {
      answer:
        charged && large
          ? say`Both are right: it gives ${q(s.drawdownLitres, 'volume')} a cycle, and the pump runs
            ${q(s.runSeconds, 'seconds', 2)}.`
          : charged
            ? say`The charge is right, the tank is small: ${q(s.drawdownLitres, 'volume')} a cycle, a run of
              ${q(s.runSeconds, 'seconds', 2)}. Fit ${q(s.wantedTankLitres, 'volume')} or more.`
            : say`Charge it to ${q(s.wantedPrechargeKpa, 'pressure')}; it stands ${q(Math.abs(off), 'pressure', 2)}
              ${off < 0 ? 'below' : 'above'}
              that.${large ? '' : say` And it is small: fit ${q(s.wantedTankLitres, 'volume')} or more.`}`,
      figures: [
        { label: 'charge to', amount: q(s.wantedPrechargeKpa, 'pressure') },
        { label: 'gives a cycle', amount: q(s.drawdownLitres, 'volume') },
        { label: 'pump runs', amount: q(s.runSeconds, 'seconds', 2) },
        { label: 'at the worst', amount: q(s.mostStartsPerHour, 'perHour', 2) },
        { label: 'tank wanted', amount: q(s.wantedTankLitres, 'volume') },
      ],
      steps: [
        say`Air: ${q(input.tankLitres, 'volume')} at ${q(input.prechargeKpa, 'pressure')} over an atmosphere of
          ${q(ATMOSPHERE.seaLevelKpa, 'pressure')}; pressure times air stays the same`,
        say`Water at cut-in ${q(s.waterAtCutInLitres, 'volume', 4)}, at cut-out
          ${q(s.waterAtCutInLitres + s.drawdownLitres, 'volume', 4)}: ${q(s.drawdownLitres, 'volume', 4)} between them`,
        say`With nobody drawing the pump runs ${q(s.drawdownLitres, 'volume')} / ${q(input.pumpLitresPerSecond, 'flow')}
          = ${q(s.runSeconds, 'seconds')}; drawing half of its flow, it starts ${s.mostStartsPerHour} times an hour`,
        say`Charge wanted: cut-in less ${q(BELOW, 'pressure')} = ${q(s.wantedPrechargeKpa, 'pressure')}; with it
          ${q(s.wantedTankLitres, 'volume')} of tank give ${q(input.minimumRunSeconds, 'seconds')}`,
      ],
      cautions: [
        ...(s.emptyBeforeCutIn
          ? [say`The precharge stands above cut-in: the taps run dry before the pump starts.`]
          : []),
        say`The charge is set with the power off and the tank empty of water, and never above the tank’s own rating.`,
      ],
    }
  },
  draw: (input, s) => ({
    kind: 'tank',
    tankLitres: input.tankLitres,
    shares: [
      { label: 'empty', pressureKpa: input.prechargeKpa, water: 0 },
      { label: 'cut-in', pressureKpa: input.cutInKpa, water: s.waterAtCutInLitres },
      { label: 'cut-out', pressureKpa: input.cutOutKpa, water: s.waterAtCutInLitres + s.drawdownLitres },
    ],
    handles: [
      { field: 'prechargeKpa', min: 0, max: Math.max(1, input.cutOutKpa - 7), axis: 'up', label: 'precharge', step: 1 },
    ],
  }),
  follow: { label: 'water a cycle', amount: ({ drawdownLitres }) => q(drawdownLitres, 'volume') },
  take: ({ pump: { installation }, plate, reading }) => {
    const kpa = (psi: number | undefined) => (psi === undefined ? undefined : psi * KPA_PER_PSI)
    const cutIn = reading('cut-in', 'pressure') ?? kpa(plate.cutInPsi)
    return new Taking<TankInput>()
      .take('tankLitres', ['from the machine’s card', installation?.tankLitres])
      .take(
        'cutInKpa',
        ['measured in this visit', reading('cut-in', 'pressure')],
        ['the switch’s setting', kpa(plate.cutInPsi)],
      )
      .take(
        'cutOutKpa',
        ['measured in this visit', reading('cut-out', 'pressure')],
        ['the switch’s setting', kpa(plate.cutOutPsi)],
      )
      .take(
        'prechargeKpa',
        ['measured in this visit', reading('tank-precharge', 'pressure')],
        ['as it should be; not measured yet', cutIn === undefined ? undefined : wantedPrecharge(cutIn)],
      )
      .take('pumpLitresPerSecond', ['measured in this visit', reading('flow', 'flow')])
  },
})
