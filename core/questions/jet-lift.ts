import { pipeFriction } from '../hydraulics/pipe'
import { atmosphereKpa, metresOf, waterProperties } from '../hydraulics/water'
import type { Verdict } from '../judgement/judgement'
import { FITTINGS } from '../knowledge/water/pipes'
import { NPSH_BASIS } from '../knowledge/water/water'
import { q, say } from '../quantity/sentence'
import { pipeFields, us, type LineOfPipe } from './fields'
import { Taking } from './known'
import { lineOfPipe } from './line-of-pipe'
import { defineQuestion } from './question'

export interface JetInput extends LineOfPipe {
  liftMetres: number
  flowLitresPerSecond: number
  altitudeMetres: number
  celsius: number
  npshRequiredMetres: number
  marginMetres: number
}
export interface JetSolved {
  verdict: Verdict
  longestLiftMetres: number
  npshAvailableMetres: number
  frictionMetres: number
  atmosphereKpa: number
  vapourPressureKpa: number
  atmosphereMetres: number
  vapourMetres: number
  leftMetres: number
}

export const jetLift = defineQuestion<JetInput, JetSolved>({
  id: 'jet-lift',
  title: 'Can a jet pump lift it here?',
  about: 'The air pushes the water up, and no pump pulls farther than the air pushes.',
  kinds: ['jet', 'utility'],
  basis: NPSH_BASIS,
  fields: [
    {
      name: 'liftMetres',
      label: 'Lift, water up to the pump',
      as: 'number',
      group: 'The suction',
      measure: 'head',
      min: 0,
      max: 60,
      usual: us(18, 'head'),
    },
    {
      name: 'flowLitresPerSecond',
      label: 'Flow',
      as: 'number',
      group: 'The suction',
      measure: 'flow',
      min: 0,
      max: 100,
      usual: us(10, 'flow'),
    },
    ...pipeFields(
      { pipeMaterial: 'pe-sidr', pipeSize: '1.25', pipeMetres: us(35, 'length'), elbows: 2 },
      'The suction',
    ),
    {
      name: 'altitudeMetres',
      label: 'Height above the sea',
      as: 'number',
      group: 'The place',
      measure: 'length',
      min: -500,
      max: 5000,
      usual: us(1000, 'length'),
    },
    {
      name: 'celsius',
      label: 'Water',
      as: 'number',
      group: 'The place',
      measure: 'temperature',
      min: 0.01,
      max: 99,
      usual: us(52, 'temperature'),
    },
    {
      name: 'npshRequiredMetres',
      label: 'What the pump needs (NPSH required)',
      as: 'number',
      group: 'The pump',
      measure: 'head',
      min: 0,
      max: 20,
      usual: us(6, 'head'),
      hint: 'from its sheet',
    },
    {
      name: 'marginMetres',
      label: 'Kept in hand',
      as: 'number',
      group: 'The pump',
      measure: 'head',
      min: 0,
      max: 10,
      usual: us(2, 'head'),
    },
  ],
  solve: (input) => {
    const { densityKgPerM3, vapourPressureKpa } = waterProperties(input.celsius)
    const atmosphere = atmosphereKpa(input.altitudeMetres)
    const friction = pipeFriction(
      lineOfPipe(input, FITTINGS['foot-valve'], input.celsius),
      input.flowLitresPerSecond,
    ).headMetres
    const [atmosphereMetres, vapourMetres] = [
      metresOf(atmosphere, densityKgPerM3),
      metresOf(vapourPressureKpa, densityKgPerM3),
    ]
    const available = atmosphereMetres - vapourMetres - friction
    const longest = available - input.npshRequiredMetres - input.marginMetres
    const left = longest - input.liftMetres
    return {
      verdict: left >= 0 ? 'sound' : left >= -input.marginMetres ? 'tired' : 'failed',
      longestLiftMetres: longest,
      npshAvailableMetres: available,
      frictionMetres: friction,
      atmosphereKpa: atmosphere,
      vapourPressureKpa,
      atmosphereMetres,
      vapourMetres,
      leftMetres: left,
    }
  },
  tell: (input, s) => ({
    answer:
      s.longestLiftMetres <= 0
        ? say`No lift is left at ${q(input.flowLitresPerSecond, 'flow')}: the pump must stand below the water.`
        : s.verdict === 'sound'
          ? say`Yes: up to ${q(s.longestLiftMetres, 'head')} here, and you want ${q(input.liftMetres, 'head')}.`
          : s.verdict === 'tired'
            ? say`Just: ${q(input.liftMetres, 'head')} eats into the ${q(input.marginMetres, 'head')} kept in hand. The
              longest lift here is ${q(s.longestLiftMetres, 'head')}.`
            : say`No: the longest lift here is ${q(s.longestLiftMetres, 'head')}, and you want
              ${q(input.liftMetres, 'head')}.`,
    figures: [
      { label: 'longest lift', amount: q(s.longestLiftMetres, 'head') },
      { label: 'friction', amount: q(s.frictionMetres, 'head') },
      { label: 'air pushes', amount: q(s.atmosphereKpa, 'pressure', 4) },
    ],
    steps: [
      say`The air at ${q(input.altitudeMetres, 'length')}: ${q(s.atmosphereKpa, 'pressure', 4)}, which holds up
        ${q(s.atmosphereMetres, 'head')} of this water`,
      say`At ${q(input.celsius, 'temperature')} it boils at ${q(s.vapourPressureKpa, 'pressure')}: less
        ${q(s.vapourMetres, 'head')}`,
      say`Friction at ${q(input.flowLitresPerSecond, 'flow')}: less ${q(s.frictionMetres, 'head')}, leaves
        ${q(s.npshAvailableMetres, 'head')} at no lift`,
      say`Less ${q(input.npshRequiredMetres, 'head')} for the pump and ${q(input.marginMetres, 'head')} in hand:
        ${q(s.longestLiftMetres, 'head')}`,
    ],
    cautions:
      s.verdict === 'failed'
        ? [
            say`Beyond this it cavitates, whatever its horsepower. A two-pipe ejector down the well, a larger suction
              pipe, or a submersible.`,
          ]
        : [],
  }),
  draw: (input, s) => ({
    kind: 'suction',
    liftMetres: input.liftMetres,
    longestMetres: s.longestLiftMetres,
    limitMetres: s.vapourMetres + input.npshRequiredMetres,
    profile: [
      { label: 'at the water', metres: s.atmosphereMetres },
      { label: 'after the lift', metres: s.atmosphereMetres - input.liftMetres },
      { label: 'after the pipe', metres: s.atmosphereMetres - input.liftMetres - s.frictionMetres },
    ],
    handles: [{ field: 'liftMetres', min: 0, max: 10.4, axis: 'up', label: 'lift', step: 0.1 }],
  }),
  follow: { label: 'longest lift', amount: ({ longestLiftMetres }) => q(longestLiftMetres, 'head') },
  take: ({ pump: { installation }, reading }) =>
    new Taking<JetInput>()
      .take(
        'liftMetres',
        ['water level, measured', reading('pumping-water-level', 'length') ?? reading('static-water-level', 'length')],
        ['from the machine’s card', installation?.liftMetres],
      )
      .take('flowLitresPerSecond', ['measured in this visit', reading('flow', 'flow')]),
})
