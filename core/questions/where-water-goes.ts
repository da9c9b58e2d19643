import { drainBackLitres } from '../hydraulics/pit'
import type { Verdict } from '../judgement/judgement'
import { MASS_BALANCE } from '../knowledge/water/water'
import { q, say } from '../quantity/sentence'
import { pipeFields, us, type Field, type LineOfPipe } from './fields'
import { insideOf } from './line-of-pipe'
import { defineQuestion } from './question'

type PlainPipe = Omit<LineOfPipe, 'elbows'>
export interface DrainInput extends PlainPipe {
  fullFraction: number
  siphonAreaSquareMetres: number
  siphonDepthMetres: number
  sumpAreaSquareMetres: number
  freeboardMetres: number
  inflowLitresPerSecond: number
  intakeDepthMetres: number
}
export interface DrainSolved {
  verdict: Verdict
  litres: number
  pipeLitres: number
  siphonLitres: number
  freeLitres: number
  raisedMetres: number
  spareLitres: number
  graceMinutes?: number
  restartLitres: number
}

const graceWords = (minutes: number | undefined) =>
  minutes === undefined ? '' : say`, then ${q(minutes, 'minutes', 2)} of inflow are left`

export const whereWaterGoes = defineQuestion<DrainInput, DrainSolved>({
  id: 'where-water-goes',
  title: 'Where does the water go when it stops?',
  about: 'What runs back, whether it fits, and the minutes of grace.',
  kinds: ['circulation', 'spa'],
  basis: MASS_BALANCE,
  fields: [
    ...pipeFields(
      { pipeMaterial: 'pvc-40', pipeSize: '2', pipeMetres: us(80, 'length'), elbows: 4 },
      'Above the sump',
    ).filter((field): field is Field<keyof PlainPipe> => field.name !== 'elbows'),
    {
      name: 'fullFraction',
      label: 'Pipe full, share',
      as: 'number',
      group: 'Above the sump',
      measure: 'ratio',
      min: 0,
      max: 1,
      usual: 1,
    },
    {
      name: 'siphonAreaSquareMetres',
      label: 'Surface of the tank above',
      as: 'number',
      group: 'Above the sump',
      measure: 'area',
      min: 0,
      max: 5000,
      usual: us(65, 'area'),
    },
    {
      name: 'siphonDepthMetres',
      label: 'It siphons down by',
      as: 'number',
      group: 'Above the sump',
      measure: 'level',
      min: 0,
      max: 5,
      usual: us(0.8, 'level'),
      hint: 'to the return’s mouth or the siphon break',
    },
    {
      name: 'sumpAreaSquareMetres',
      label: 'Surface of the sump',
      as: 'number',
      group: 'The sump',
      measure: 'area',
      above: 0,
      max: 5000,
      usual: us(15, 'area'),
    },
    {
      name: 'freeboardMetres',
      label: 'Freeboard',
      as: 'number',
      group: 'The sump',
      measure: 'level',
      min: 0,
      max: 10,
      usual: us(8, 'level'),
      hint: 'running level up to the brim',
    },
    {
      name: 'intakeDepthMetres',
      label: 'Water over the intake, running',
      as: 'number',
      group: 'The sump',
      measure: 'level',
      min: 0,
      max: 10,
      usual: us(10, 'level'),
    },
    {
      name: 'inflowLitresPerSecond',
      label: 'Inflow that goes on',
      as: 'number',
      group: 'The sump',
      measure: 'flow',
      min: 0,
      max: 500,
      usual: us(1.5, 'flow'),
    },
  ],
  solve: (input) => {
    const pipeLitres = drainBackLitres([
      {
        insideMillimetres: insideOf(input.pipeMaterial, input.pipeSize),
        lengthMetres: input.pipeMetres,
        fullFraction: input.fullFraction,
      },
    ])
    const siphonLitres = 1000 * input.siphonAreaSquareMetres * input.siphonDepthMetres
    const litres = pipeLitres + siphonLitres
    const freeLitres = 1000 * input.sumpAreaSquareMetres * input.freeboardMetres
    const spareLitres = freeLitres - litres
    return {
      verdict: spareLitres < 0 ? 'failed' : spareLitres < 0.2 * freeLitres ? 'tired' : 'sound',
      litres,
      pipeLitres,
      siphonLitres,
      freeLitres,
      spareLitres,
      raisedMetres: litres / 1000 / input.sumpAreaSquareMetres,
      ...(input.inflowLitresPerSecond > 0 && spareLitres > 0
        ? { graceMinutes: spareLitres / input.inflowLitresPerSecond / 60 }
        : {}),
      restartLitres: 1000 * input.sumpAreaSquareMetres * input.intakeDepthMetres,
    }
  },
  tell: (input, s) => ({
    answer:
      s.verdict === 'failed'
        ? say`${q(s.litres, 'volume')} run back and only ${q(s.freeLitres, 'volume')} fit:
          ${q(-s.spareLitres, 'volume')} go over the brim.`
        : say`${q(s.litres, 'volume')} run back and fit${s.verdict === 'tired' ? ', barely' : ''}: the sump rises by
          ${q(s.raisedMetres, 'level')}${graceWords(s.graceMinutes)}.`,
    figures: [
      { label: 'runs back', amount: q(s.litres, 'volume') },
      { label: 'room', amount: q(s.freeLitres, 'volume') },
      { label: 'rises', amount: q(s.raisedMetres, 'level') },
      ...(s.graceMinutes === undefined ? [] : [{ label: 'grace', amount: q(s.graceMinutes, 'minutes', 2) }]),
    ],
    steps: [
      say`In the pipe: π/4 · (${q(insideOf(input.pipeMaterial, input.pipeSize), 'bore')})² ·
        ${q(input.pipeMetres, 'length')} × ${input.fullFraction} = ${q(s.pipeLitres, 'volume', 4)}`,
      say`By siphon from the tank above: ${q(s.siphonLitres, 'volume', 4)}`,
      say`Room in the sump: ${q(s.freeLitres, 'volume', 4)}; left over ${q(s.spareLitres, 'volume', 4)}`,
      ...(s.graceMinutes === undefined
        ? []
        : [
            say`${q(s.spareLitres, 'volume')} / ${q(input.inflowLitresPerSecond, 'flow')} =
              ${q(s.graceMinutes, 'minutes')}`,
          ]),
    ],
    cautions: [
      ...(s.verdict === 'failed'
        ? [
            say`Plug the overflow or the return for the time of the swap, write the plug down, and take it out again; or
              drill a siphon break just under the water line above.`,
          ]
        : []),
      ...(s.litres > s.restartLitres
        ? [
            say`Started again it takes ${q(s.litres, 'volume')} out of the sump at once, and only
              ${q(s.restartLitres, 'volume')} stand over the intake: it will suck air.`,
          ]
        : []),
      say`With livestock, the minutes count: a battery air pump first, then the spare.`,
    ],
  }),
  draw: (input, s) => ({
    kind: 'drain',
    litres: s.litres,
    freeLitres: s.freeLitres,
    freeboardMetres: input.freeboardMetres,
    riseMetres: input.siphonDepthMetres,
    raisedMetres: s.raisedMetres,
    handles: [{ field: 'siphonDepthMetres', min: 0, max: 0.3, axis: 'up', label: 'siphon break', step: 0.005 }],
  }),
  follow: { label: 'runs back', amount: ({ litres }) => q(litres, 'volume') },
})
