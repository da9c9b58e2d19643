import type { Verdict } from '../judgement/judgement'
import { DROP_PIPES, PIPE_BASIS, type PipeMaterial } from '../knowledge/water/drop-pipes'
import { bySize } from '../knowledge/water/pipes'
import { HAND_LIFT } from '../knowledge/water/sizing'
import { stringWeight } from '../mechanics/string-weight'
import { q, say } from '../quantity/sentence'
import { us } from './fields'
import { Taking } from './known'
import { defineQuestion } from './question'

export interface StringInput {
  material: string
  nominalInches: string
  lengthMetres: number
  full: string
  cableKgPerMetre: number
  pumpKg: number
  waterLevelMetres: number
}
export interface StringSolved {
  verdict: Verdict
  kilograms: number
  pipeKg: number
  waterKg: number
  cableKg: number
  buoyancyKg: number
  handFromMetres: number
}

const SIZES = bySize(Object.keys(DROP_PIPES.steel)).map((size) => ({ id: size, label: `${size} in` }))
const MATERIAL_LABELS: Readonly<Partial<Record<PipeMaterial, string>>> = {
  polyethylene: 'polyethylene',
  pvc: 'PVC, schedule 80',
  galvanised: 'galvanised steel',
  stainless: 'stainless steel',
}
const MATERIALS = Object.entries(MATERIAL_LABELS).map(([id, label]) => ({ id, label }))
const DRAWN = 20

/** What hangs once so many metres are out: the shorter string, its water standing as deep below the clamp. */
function weightAt(input: StringInput, outMetres: number): ReturnType<typeof stringWeight> {
  const left = Math.max(0, input.lengthMetres - outMetres)
  return stringWeight({
    pipe: {
      material: input.material as PipeMaterial,
      nominalInches: Number(input.nominalInches),
      lengthMetres: left,
      full: input.full === 'full',
    },
    cableKgPerMetre: input.cableKgPerMetre,
    pumpKg: input.pumpKg,
    waterLevelMetres: input.waterLevelMetres,
  })
}

export const stringToPull = defineQuestion<StringInput, StringSolved>({
  id: 'string-to-pull',
  title: 'How heavy is the string I am about to pull?',
  about: 'Pipe, its water, cable and pump, less what the well carries.',
  kinds: ['well-two-wire', 'well-three-wire'],
  basis: PIPE_BASIS,
  fields: [
    {
      name: 'lengthMetres',
      label: 'Length of drop pipe',
      as: 'number',
      group: 'The string',
      measure: 'length',
      min: 0,
      max: 800,
      usual: us(200, 'length'),
    },
    { name: 'material', label: 'Pipe', as: 'choice', group: 'The string', choices: MATERIALS, usual: 'polyethylene' },
    { name: 'nominalInches', label: 'Size', as: 'choice', group: 'The string', choices: SIZES, usual: '1' },
    {
      name: 'full',
      label: 'The pipe comes up',
      as: 'choice',
      group: 'The string',
      choices: [
        { id: 'full', label: 'full: the check valve holds' },
        { id: 'empty', label: 'empty: a drain or bleeder lets it out' },
      ],
      usual: 'full',
    },
    {
      name: 'waterLevelMetres',
      label: 'Water below the top',
      as: 'number',
      group: 'The string',
      measure: 'length',
      min: 0,
      max: 800,
      usual: us(65, 'length'),
    },
    {
      name: 'cableKgPerMetre',
      label: 'Cable',
      as: 'number',
      group: 'The string',
      measure: 'line',
      min: 0,
      max: 20,
      usual: us(0.17, 'line'),
    },
    {
      name: 'pumpKg',
      label: 'Pump and motor',
      as: 'number',
      group: 'The string',
      measure: 'mass',
      min: 0,
      max: 2000,
      usual: us(35, 'mass'),
    },
  ],
  solve: (input) => {
    const found = weightAt(input, 0)
    const steps = Array.from({ length: 101 }, (_, step) => (step / 100) * input.lengthMetres)
    return {
      verdict:
        found.kilograms <= HAND_LIFT.oneKilograms
          ? 'sound'
          : found.kilograms <= HAND_LIFT.twoKilograms
            ? 'tired'
            : 'failed',
      ...found,
      handFromMetres:
        steps.find((out) => weightAt(input, out).kilograms <= HAND_LIFT.twoKilograms) ?? input.lengthMetres,
    }
  },
  tell: (input, s) => ({
    answer:
      s.verdict === 'sound'
        ? say`${q(s.kilograms, 'mass')}: one pair of hands, a clamp at every joint.`
        : s.verdict === 'tired'
          ? say`${q(s.kilograms, 'mass')}: two people.`
          : say`${q(s.kilograms, 'mass')}: a hoist. By two people only once ${q(s.handFromMetres, 'length')} are out.`,
    figures: [
      { label: 'pipe', amount: q(s.pipeKg, 'mass') },
      { label: 'water in it', amount: q(s.waterKg, 'mass') },
      { label: 'cable', amount: q(s.cableKg, 'mass') },
      { label: 'pump', amount: q(input.pumpKg, 'mass') },
      { label: 'the well carries', amount: q(s.buoyancyKg, 'mass') },
    ],
    steps: [
      say`Pipe ${q(s.pipeKg, 'mass', 4)}, cable ${q(s.cableKg, 'mass')}, pump ${q(input.pumpKg, 'mass')}`,
      say`Water hanging above the well’s level ${q(s.waterKg, 'mass', 4)}, the pipe’s lift below it
        ${q(s.buoyancyKg, 'mass')}`,
      say`Together ${q(s.kilograms, 'mass', 4)}, at the start of the pull`,
    ],
    cautions: [
      ...(s.kilograms > HAND_LIFT.twoKilograms
        ? [say`Two people or a hoist rated for it, a clamp at every joint, never a hand below it.`]
        : [say`A clamp at every joint, never a hand below it.`]),
      say`By hand ${q(HAND_LIFT.oneKilograms, 'mass', 2)} alone, ${q(HAND_LIFT.twoKilograms, 'mass', 2)} by two, more by
        a hoist: shop rule.`,
    ],
  }),
  draw: (input, s) => ({
    kind: 'string',
    lengthMetres: input.lengthMetres,
    waterMetres: input.waterLevelMetres,
    handKilograms: HAND_LIFT.twoKilograms,
    parts: [
      { label: 'pipe', kilograms: s.pipeKg },
      { label: 'water', kilograms: s.waterKg },
      { label: 'cable', kilograms: s.cableKg },
      { label: 'pump', kilograms: input.pumpKg },
    ],
    pull: Array.from({ length: DRAWN + 1 }, (_, step) => (step / DRAWN) * input.lengthMetres).map((outMetres) => ({
      outMetres,
      kilograms: weightAt(input, outMetres).kilograms,
    })),
    handles: [
      {
        field: 'waterLevelMetres',
        min: 0,
        max: Math.max(1, input.lengthMetres),
        axis: 'up',
        label: 'water level',
        step: 0.5,
      },
    ],
  }),
  follow: { label: 'weight', amount: ({ kilograms }) => q(kilograms, 'mass') },
  take: ({ pump: { installation }, reading }) =>
    new Taking<StringInput>()
      .take(
        'lengthMetres',
        ['as long as the drop cable', installation?.cableMetres],
        ['the well’s depth', installation?.wellDepthMetres],
      )
      .take('waterLevelMetres', ['measured in this visit', reading('static-water-level', 'length')]),
})
