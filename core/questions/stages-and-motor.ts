import { frictionInSeries } from '../hydraulics/pipe'
import { operatingPoint, pumpCurve } from '../hydraulics/pump-curve'
import { metresOf, waterWatts } from '../hydraulics/water'
import type { Verdict } from '../judgement/judgement'
import { FITTINGS } from '../knowledge/water/pipes'
import { MADE_UP_BASIS, STAGE_FAMILIES, WELL_MOTORS, type StageFamily } from '../knowledge/water/pumps'
import { HOUSE_FLOW, MOTOR_ROOM } from '../knowledge/water/sizing'
import { KPA_PER_PSI, WATTS_PER_HORSEPOWER } from '../quantity/conversions'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { pipeFields, us, type LineOfPipe } from './fields'
import { Taking } from './known'
import { lineOfPipe } from './line-of-pipe'
import { defineQuestion } from './question'

export interface StagesInput extends LineOfPipe {
  flowLitresPerSecond: number
  liftMetres: number
  pressureKpa: number
  wellYieldLitresPerSecond?: number
}
interface Build {
  family: string
  label: string
  stages: number
  flowLitresPerSecond: number
  headMetres: number
  efficiency: number
  mostHorsepower: number
  motorHorsepower?: number
  within: boolean
}
export interface StagesSolved {
  verdict: Verdict
  headMetres: number
  builds: Build[]
  best?: Build
}

const MOST_STAGES = 90
const DRAWN = 28
const staticOf = ({ liftMetres, pressureKpa }: StagesInput) => liftMetres + metresOf(pressureKpa)
const pipeOf = (input: StagesInput) => [lineOfPipe(input, FITTINGS['check-valve'] + FITTINGS.exit)]
/** Efficiency between the points of a stage's curve, straight. */
function efficiencyAt({ stage }: StageFamily, flow: number): number {
  const right = stage.findIndex((point) => point.flowLitresPerSecond >= flow)
  const [a, b] = [stage[Math.max(0, right - 1)], stage[right < 0 ? stage.length - 1 : right]]
  const span = (b?.flowLitresPerSecond ?? 0) - (a?.flowLitresPerSecond ?? 0)
  const share = span > 0 ? Math.min(1, (flow - (a?.flowLitresPerSecond ?? 0)) / span) : 0
  return (a?.efficiency ?? 0) + share * ((b?.efficiency ?? 0) - (a?.efficiency ?? 0))
}
const motorWords = (horsepower: number | undefined) =>
  horsepower === undefined ? 'beyond the motors' : say`a ${q(horsepower, 'horsepower')} motor with its service factor`

const horsepowerAt = (family: StageFamily, stages: number, flow: number, stageHead: number) =>
  waterWatts(flow, stageHead * stages) / Math.max(0.05, efficiencyAt(family, flow)) / WATTS_PER_HORSEPOWER

function buildOf(input: StagesInput, family: StageFamily, head: number): Build | undefined {
  const one = pumpCurve({ points: family.stage })
  const perStage = one.headAt(input.flowLitresPerSecond)
  const stages = Math.ceil(head / perStage - 1e-9)
  if (!(perStage > 0) || stages > MOST_STAGES || stages < 1) return undefined
  const point = operatingPoint(pumpCurve({ points: family.stage, stages }), staticOf(input), pipeOf(input))
  // The motor must carry the most the pump can ask for anywhere in its range, not only here.
  const flows = Array.from({ length: 12 }, (_, step) => family.from + ((family.to - family.from) * step) / 11)
  const mostHorsepower = Math.max(...flows.map((flow) => horsepowerAt(family, stages, flow, one.headAt(flow))))
  const motorHorsepower = WELL_MOTORS.horsepower.find(
    (each) => each * WELL_MOTORS.serviceFactor(each) >= mostHorsepower,
  )
  return {
    family: family.id,
    label: family.label,
    stages,
    ...point,
    efficiency: efficiencyAt(family, point.flowLitresPerSecond),
    mostHorsepower,
    ...(motorHorsepower === undefined ? {} : { motorHorsepower }),
    within: point.flowLitresPerSecond >= family.from && point.flowLitresPerSecond <= family.to,
  }
}

export const stagesAndMotor = defineQuestion<StagesInput, StagesSolved>({
  id: 'stages-and-motor',
  title: 'How many stages, which motor?',
  about: 'Stages add head, not flow; the motor carries the most they can ask for.',
  kinds: ['well-two-wire', 'well-three-wire'],
  basis: MOTOR_ROOM.basis,
  fields: [
    {
      name: 'flowLitresPerSecond',
      label: 'Flow wanted',
      as: 'number',
      group: 'The duty',
      measure: 'flow',
      above: 0,
      max: 20,
      usual: us(2 * HOUSE_FLOW.gallonsPerMinute, 'flow'),
    },
    {
      name: 'pressureKpa',
      label: 'Pressure at the tank',
      as: 'number',
      group: 'The duty',
      measure: 'pressure',
      min: 0,
      max: 2000,
      usual: us(50, 'pressure'),
    },
    {
      name: 'liftMetres',
      label: 'Lift, pumping water level to tank',
      as: 'number',
      group: 'The duty',
      measure: 'head',
      min: 0,
      max: 500,
      usual: us(115, 'head'),
    },
    {
      name: 'wellYieldLitresPerSecond',
      label: 'What the well gives',
      as: 'number',
      group: 'The duty',
      measure: 'flow',
      above: 0,
      max: 100,
    },
    ...pipeFields({ pipeMaterial: 'pe-sidr', pipeSize: '1.25', pipeMetres: us(200, 'length'), elbows: 2 }),
  ],
  solve: (input) => {
    const headMetres = staticOf(input) + frictionInSeries(pipeOf(input), input.flowLitresPerSecond)
    if (!(staticOf(input) > 0)) throw badField('liftMetres', input.liftMetres, 'a lift or a pressure above 0')
    const builds = STAGE_FAMILIES.flatMap((family) => buildOf(input, family, headMetres) ?? [])
    const best = builds
      .filter(({ within, motorHorsepower }) => within && motorHorsepower !== undefined)
      .sort((a, b) => b.efficiency - a.efficiency)[0]
    const weak =
      input.wellYieldLitresPerSecond !== undefined &&
      best !== undefined &&
      best.flowLitresPerSecond > input.wellYieldLitresPerSecond
    return { verdict: !best ? 'failed' : weak ? 'tired' : 'sound', headMetres, builds, ...(best ? { best } : {}) }
  },
  tell: (input, { best, builds, headMetres, verdict }) => ({
    answer: best
      ? say`${best.stages} stages of ${best.label} on ${q(best.motorHorsepower as number, 'horsepower')}:
        ${q(best.flowLitresPerSecond, 'flow')} at ${q(input.pressureKpa, 'pressure')}.`
      : say`No stack of these reaches ${q(input.flowLitresPerSecond, 'flow')} at ${q(headMetres, 'head')} within its
        range.`,
    figures: best
      ? [
          { label: 'stages', amount: q(best.stages, 'count') },
          { label: 'head', amount: q(best.headMetres, 'head') },
          { label: 'asks at most', amount: q(best.mostHorsepower, 'horsepower') },
          { label: 'efficiency', amount: q(100 * best.efficiency, 'percent', 2) },
        ]
      : [{ label: 'head', amount: q(headMetres, 'head') }],
    steps: [
      say`Head: ${q(input.liftMetres, 'head')} + ${q(input.pressureKpa, 'pressure')} as
        ${q(metresOf(input.pressureKpa), 'head')} + ${q(headMetres - staticOf(input), 'head')} friction =
        ${q(headMetres, 'head')}`,
      ...builds.map(
        (each) =>
          say`${each.label}: ${each.stages} stages give
            ${q(each.flowLitresPerSecond, 'flow')}${each.within ? '' : ', outside where it may run'}; at most
            ${q(each.mostHorsepower, 'horsepower')},
            ${motorWords(each.motorHorsepower)};
            ${q(100 * each.efficiency, 'percent', 2)} there`,
      ),
    ],
    cautions: [
      say`Taken here: ${MADE_UP_BASIS.name}.`,
      ...(verdict === 'tired'
        ? [
            say`It gives more than the well: throttle it, put it on a recovery timer, or take the smaller family. A pump
              that runs dry fuses its stages.`,
          ]
        : []),
      ...(best && best.flowLitresPerSecond > 0.9 * (STAGE_FAMILIES.find(({ id }) => id === best.family)?.to ?? Infinity)
        ? [say`It runs far to the right of its curve: up-thrust wears it. Hold it back with a valve.`]
        : []),
    ],
  }),
  draw: (input, { best, headMetres }) => {
    const family = STAGE_FAMILIES.find(({ id }) => id === best?.family) ?? (STAGE_FAMILIES[1] as StageFamily)
    const stages = best?.stages ?? Math.max(1, Math.min(MOST_STAGES, Math.ceil(headMetres / 6)))
    const curves = [stages - 1, stages, stages + 1]
      .filter((count) => count > 0)
      .map((count) => ({ count, curve: pumpCurve({ points: family.stage, stages: count }) }))
    const most = Math.max(...curves.map(({ curve }) => curve.runoutLitresPerSecond))
    const flows = Array.from({ length: DRAWN + 1 }, (_, step) => (step / DRAWN) * most)
    return {
      kind: 'curves',
      lines: [
        ...curves.map(({ count, curve }) => ({
          label: `${count} stages`,
          role: count === stages ? ('pump' as const) : ('beside' as const),
          points: flows.map((flow) => ({ flowLitresPerSecond: flow, headMetres: Math.max(0, curve.headAt(flow)) })),
        })),
        {
          label: 'lift, pressure and pipe',
          role: 'system' as const,
          points: flows.map((flow) => ({
            flowLitresPerSecond: flow,
            headMetres: staticOf(input) + frictionInSeries(pipeOf(input), flow),
          })),
        },
      ],
      ...(best ? { point: { flowLitresPerSecond: best.flowLitresPerSecond, headMetres: best.headMetres } } : {}),
      marks: [{ flowLitresPerSecond: input.flowLitresPerSecond, headMetres, label: 'wanted' }],
      handles: [
        {
          field: 'liftMetres',
          min: 0,
          max: 250,
          axis: 'up',
          label: 'lift',
          step: 0.5,
          pull: 'shift',
          at: { flowLitresPerSecond: 0, headMetres: staticOf(input) },
        },
      ],
    }
  },
  follow: { label: 'stages', amount: ({ best }) => (best ? q(best.stages, 'count') : undefined) },
  take: ({ pump: { installation }, plate, reading }) =>
    new Taking<StagesInput>()
      .take(
        'liftMetres',
        ['pumping level, measured', reading('pumping-water-level', 'length')],
        ['from the machine’s card', installation?.liftMetres],
        [
          'two thirds of the well’s depth, a guess',
          installation?.wellDepthMetres === undefined ? undefined : Math.round((installation.wellDepthMetres * 2) / 3),
        ],
      )
      .take('pressureKpa', [
        'the switch’s cut-out',
        plate.cutOutPsi === undefined ? undefined : plate.cutOutPsi * KPA_PER_PSI,
      ])
      .take('pipeMetres', ['as long as the drop cable', installation?.cableMetres])
      .take('wellYieldLitresPerSecond', ['measured in this visit', reading('well-recovery', 'flow')]),
})
