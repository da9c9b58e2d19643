import { operatingPoint, pumpCurve, type CurvePoint } from '../hydraulics/pump-curve'
import { frictionInSeries } from '../hydraulics/pipe'
import { kpaOf, metresOf } from '../hydraulics/water'
import type { Verdict } from '../judgement/judgement'
import { FITTINGS } from '../knowledge/water/pipes'
import { MADE_UP_BASIS, STAGE_FAMILIES, WELL_PUMP_STAGES, type StageFamily } from '../knowledge/water/pumps'
import { HOUSE_FLOW } from '../knowledge/water/sizing'
import { KPA_PER_PSI } from '../quantity/conversions'
import { q, say } from '../quantity/sentence'
import { pipeFields, us, type LineOfPipe } from './fields'
import { Taking } from './known'
import { lineOfPipe } from './line-of-pipe'
import { defineQuestion } from './question'

export interface WellInput extends LineOfPipe {
  wantedPressureKpa: number
  liftMetres: number
  family: string
  stages: number
  pumpCurve?: CurvePoint[]
  speedRatio: number
  wantedFlowLitresPerSecond: number
}
export interface WellSolved {
  verdict: Verdict
  flowLitresPerSecond: number
  headMetres: number
  shutoffPressureKpa: number
  pressureAtWantedFlowKpa: number
  openFlowLitresPerSecond: number
}

const curveOf = ({ pumpCurve: own, family, stages, speedRatio }: WellInput) =>
  pumpCurve(
    own
      ? { points: own, speedRatio }
      : { points: (STAGE_FAMILIES.find(({ id }) => id === family) as StageFamily).stage, stages, speedRatio },
  )
const pipeOf = (input: WellInput) => lineOfPipe(input, FITTINGS['check-valve'] + FITTINGS.exit)
const DRAWN = 30

export const wellPressure = defineQuestion<WellInput, WellSolved>({
  id: 'well-pressure',
  title: 'Will this well pump make its pressure?',
  about: 'What it gives at a pressure, from its curve, its water and its pipe.',
  kinds: ['well-two-wire', 'well-three-wire'],
  basis: HOUSE_FLOW.basis,
  fields: [
    {
      name: 'wantedPressureKpa',
      label: 'Pressure wanted at the tank',
      as: 'number',
      group: 'What is wanted',
      measure: 'pressure',
      min: 0,
      max: 2000,
      usual: us(50, 'pressure'),
    },
    {
      name: 'wantedFlowLitresPerSecond',
      label: 'Flow wanted there',
      as: 'number',
      group: 'What is wanted',
      measure: 'flow',
      above: 0,
      max: 100,
      usual: us(HOUSE_FLOW.gallonsPerMinute, 'flow'),
    },
    {
      name: 'liftMetres',
      label: 'Lift, pumping water level to tank',
      as: 'number',
      group: 'The well',
      measure: 'head',
      min: 0,
      max: 600,
      usual: us(115, 'head'),
    },
    ...pipeFields({ pipeMaterial: 'pe-sidr', pipeSize: '1', pipeMetres: us(200, 'length'), elbows: 2 }),
    {
      name: 'family',
      label: 'Pump',
      as: 'choice',
      group: 'The pump',
      choices: STAGE_FAMILIES.map(({ id, label }) => ({ id, label })),
      usual: 'well-10',
      hint: 'not used when its own curve is written',
    },
    {
      name: 'stages',
      label: 'Stages',
      as: 'number',
      group: 'The pump',
      measure: 'count',
      min: 1,
      max: 100,
      whole: true,
      usual: WELL_PUMP_STAGES,
    },
    { name: 'pumpCurve', label: 'The pump’s own curve', as: 'curve', group: 'The pump' },
    {
      name: 'speedRatio',
      label: 'Speed, share of full',
      as: 'number',
      group: 'The pump',
      measure: 'ratio',
      min: 0.3,
      max: 1.2,
      usual: 1,
      hint: '50 Hz on a 60 Hz curve is 0.83',
    },
  ],
  solve: (input) => {
    const curve = curveOf(input)
    const pipe = [pipeOf(input)]
    const wantedHead = metresOf(input.wantedPressureKpa)
    const atTank = (flow: number) => kpaOf(curve.headAt(flow) - frictionInSeries(pipe, flow) - input.liftMetres)
    const makes = curve.shutoffMetres > input.liftMetres + wantedHead
    const point = makes
      ? operatingPoint(curve, input.liftMetres + wantedHead, pipe)
      : { flowLitresPerSecond: 0, headMetres: curve.shutoffMetres }
    const open =
      curve.shutoffMetres > input.liftMetres ? operatingPoint(curve, input.liftMetres, pipe).flowLitresPerSecond : 0
    return {
      verdict: !makes ? 'failed' : point.flowLitresPerSecond >= input.wantedFlowLitresPerSecond ? 'sound' : 'tired',
      ...point,
      shutoffPressureKpa: kpaOf(curve.shutoffMetres - input.liftMetres),
      pressureAtWantedFlowKpa: atTank(input.wantedFlowLitresPerSecond),
      openFlowLitresPerSecond: open,
    }
  },
  tell: (
    input,
    { verdict, flowLitresPerSecond, headMetres, shutoffPressureKpa, pressureAtWantedFlowKpa, openFlowLitresPerSecond },
  ) => ({
    answer:
      verdict === 'failed'
        ? say`No: with everything shut it stands at ${q(shutoffPressureKpa, 'pressure')}, below the
          ${q(input.wantedPressureKpa, 'pressure')} wanted.`
        : verdict === 'tired'
          ? say`It reaches ${q(input.wantedPressureKpa, 'pressure')}, but gives only ${q(flowLitresPerSecond, 'flow')}
            there.`
          : say`Yes: at ${q(input.wantedPressureKpa, 'pressure')} it gives ${q(flowLitresPerSecond, 'flow')}.`,
    figures: [
      { label: 'gives', amount: q(flowLitresPerSecond, 'flow') },
      { label: 'at', amount: q(headMetres, 'head') },
      { label: 'shut', amount: q(shutoffPressureKpa, 'pressure') },
      ...(openFlowLitresPerSecond > 0 ? [{ label: 'wide open', amount: q(openFlowLitresPerSecond, 'flow') }] : []),
    ],
    steps: [
      say`Static: ${q(input.liftMetres, 'head')} lift + ${q(input.wantedPressureKpa, 'pressure')} as
        ${q(metresOf(input.wantedPressureKpa), 'head')} =
        ${q(input.liftMetres + metresOf(input.wantedPressureKpa), 'head')}`,
      say`The pump at no flow: ${q(curveOf(input).shutoffMetres, 'head')}, at the tank
        ${q(shutoffPressureKpa, 'pressure')}`,
      ...(verdict === 'failed'
        ? []
        : [
            say`Curve and pipe meet at ${q(flowLitresPerSecond, 'flow')} and ${q(headMetres, 'head')}:
              ${q(frictionInSeries([pipeOf(input)], flowLitresPerSecond), 'head')} of it is friction`,
          ]),
      pressureAtWantedFlowKpa > 0
        ? say`At the ${q(input.wantedFlowLitresPerSecond, 'flow')} wanted, ${q(pressureAtWantedFlowKpa, 'pressure')} are
          left at the tank`
        : say`The ${q(input.wantedFlowLitresPerSecond, 'flow')} wanted never reach the tank`,
    ],
    cautions: [
      ...(!input.pumpCurve ? [say`Taken here: ${MADE_UP_BASIS.name}.`] : []),
      ...(shutoffPressureKpa > input.wantedPressureKpa + 50 * KPA_PER_PSI
        ? [
            say`Shut, it can make ${q(shutoffPressureKpa, 'pressure')}: a relief valve must stand before the tank, and
              every fitting be rated above it.`,
          ]
        : []),
      ...(shutoffPressureKpa > 0 && shutoffPressureKpa < input.wantedPressureKpa
        ? [say`A switch set to cut out above ${q(shutoffPressureKpa, 'pressure')} never opens: the pump runs for ever.`]
        : []),
    ],
  }),
  draw: (input, solved) => {
    const curve = curveOf(input)
    const statics = input.liftMetres + metresOf(input.wantedPressureKpa)
    const flows = Array.from({ length: DRAWN + 1 }, (_, step) => (step / DRAWN) * curve.runoutLitresPerSecond)
    const pipe = [pipeOf(input)]
    return {
      kind: 'curves',
      lines: [
        {
          label: 'pump',
          role: 'pump',
          points: flows.map((flow) => ({ flowLitresPerSecond: flow, headMetres: Math.max(0, curve.headAt(flow)) })),
        },
        {
          label: 'lift, pressure and pipe',
          role: 'system',
          points: flows.map((flow) => ({
            flowLitresPerSecond: flow,
            headMetres: statics + frictionInSeries(pipe, flow),
          })),
        },
        {
          label: 'lift alone',
          role: 'beside',
          points: flows.map((flow) => ({
            flowLitresPerSecond: flow,
            headMetres: input.liftMetres + frictionInSeries(pipe, flow),
          })),
        },
      ],
      ...(solved.verdict === 'failed'
        ? {}
        : { point: { flowLitresPerSecond: solved.flowLitresPerSecond, headMetres: solved.headMetres } }),
      marks: [],
      handles: [
        {
          field: 'liftMetres',
          min: 0,
          max: 300,
          axis: 'up',
          label: 'lift',
          step: 0.5,
          pull: 'shift',
          at: { flowLitresPerSecond: 0, headMetres: input.liftMetres },
        },
        {
          field: 'speedRatio',
          min: 0.3,
          max: 1.2,
          axis: 'up',
          label: 'speed',
          step: 0.01,
          pull: 'root',
          at: { flowLitresPerSecond: 0, headMetres: curve.shutoffMetres },
        },
      ],
    }
  },
  follow: { label: 'flow at the pressure wanted', amount: ({ flowLitresPerSecond }) => q(flowLitresPerSecond, 'flow') },
  take: ({ pump: { installation }, plate, reading }) => {
    const level = reading('pumping-water-level', 'length')
    const card = 'from the machine’s card'
    return new Taking<WellInput>()
      .take(
        'wantedPressureKpa',
        ['the cut-out measured in this visit', reading('cut-out', 'pressure')],
        ['the switch’s cut-out', plate.cutOutPsi === undefined ? undefined : plate.cutOutPsi * KPA_PER_PSI],
      )
      .take(
        'liftMetres',
        ['pumping level, measured', level],
        [card, installation?.liftMetres],
        [
          'two thirds of the well’s depth, a guess',
          installation?.wellDepthMetres === undefined ? undefined : Math.round((installation.wellDepthMetres * 2) / 3),
        ],
      )
      .take(
        'pipeMetres',
        ['as long as the drop cable', installation?.cableMetres],
        ['the well’s depth', installation?.wellDepthMetres],
      )
      .take('pumpCurve', [
        card,
        installation?.pumpCurve && installation.pumpCurve.length > 1 ? installation.pumpCurve : undefined,
      ])
      .take('speedRatio', ['the plate says 50 Hz', plate.hertz === 50 ? 50 / 60 : undefined])
  },
})
