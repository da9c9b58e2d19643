import { runningCost } from '../energy/running-cost'
import { frictionInSeries } from '../hydraulics/pipe'
import { operatingPoint, pumpCurve, type CurvePoint } from '../hydraulics/pump-curve'
import { waterWatts } from '../hydraulics/water'
import type { Verdict } from '../judgement/judgement'
import { MADE_UP_BASIS, POOL_PUMP } from '../knowledge/water/pumps'
import { SLOW_EFFICIENCY } from '../knowledge/water/sizing'
import { AFFINITY_BASIS } from '../knowledge/water/water'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { pipeFields, us, type LineOfPipe } from './fields'
import { Taking } from './known'
import { lineOfPipe } from './line-of-pipe'
import { defineQuestion } from './question'

export interface SpeedInput extends LineOfPipe {
  poolLitres: number
  turnovers: number
  speedRatio: number
  fullWatts: number
  pumpCurve?: CurvePoint[]
  filterK: number
  pricePerKwh: number
  pumpPrice: number
  leastFlowLitresPerSecond: number
  daysPerYear: number
}
interface AtSpeed {
  flowLitresPerSecond: number
  headMetres: number
  watts: number
  hoursPerDay: number
  kwhPerYear: number
  costPerYear: number
}
export interface SpeedSolved {
  verdict: Verdict
  full: AtSpeed
  slow: AtSpeed
  savedPerYear: number
  savedKwhPerYear: number
  paybackYears?: number
  twoSpeedSavedPerYear: number
}

const DRAWN = 28
const pointsOf = ({ pumpCurve: own }: SpeedInput) => own ?? POOL_PUMP.points
const systemOf = (input: SpeedInput) => [lineOfPipe(input, input.filterK)]

function atSpeed(input: SpeedInput, speedRatio: number): AtSpeed {
  const point = operatingPoint(pumpCurve({ points: pointsOf(input), speedRatio }), 0, systemOf(input))
  const full = speedRatio === 1 ? point : operatingPoint(pumpCurve({ points: pointsOf(input) }), 0, systemOf(input))
  const water = (at: { flowLitresPerSecond: number; headMetres: number }) =>
    waterWatts(at.flowLitresPerSecond, at.headMetres)
  // The watts measured at full speed give wire-to-water there; slow, a drive and a lightly loaded motor give less of
  // it.
  const efficiency = (water(full) / input.fullWatts) * (speedRatio === 1 ? 1 : SLOW_EFFICIENCY.share)
  const watts = water(point) / efficiency
  const hoursPerDay = (input.poolLitres * input.turnovers) / point.flowLitresPerSecond / 3600
  return {
    ...point,
    watts,
    hoursPerDay,
    ...runningCost([{ watts, hoursPerDay }], input.pricePerKwh, input.daysPerYear),
  }
}
const HALF_SPEED = 0.5

export const speedSaving = defineQuestion<SpeedInput, SpeedSolved>({
  id: 'speed-saving',
  title: 'What does two-speed or variable speed save?',
  about: 'The same water turned over, slower and longer.',
  kinds: ['pool', 'spa', 'circulation'],
  basis: AFFINITY_BASIS,
  fields: [
    {
      name: 'speedRatio',
      label: 'Low speed, share of full',
      as: 'number',
      group: 'The pump',
      measure: 'ratio',
      min: 0.25,
      max: 0.98,
      usual: 0.5,
      hint: 'two-speed: 0.5',
    },
    {
      name: 'fullWatts',
      label: 'Watts at full speed',
      as: 'number',
      group: 'The pump',
      measure: 'power',
      above: 0,
      max: 20000,
      usual: 1450,
    },
    { name: 'pumpCurve', label: 'The pump’s own curve', as: 'curve', group: 'The pump', hint: 'at full speed' },
    {
      name: 'pumpPrice',
      label: 'The new pump, fitted',
      as: 'number',
      group: 'The pump',
      measure: 'money',
      min: 0,
      max: 1e6,
      usual: 1150,
    },
    {
      name: 'poolLitres',
      label: 'Pool',
      as: 'number',
      group: 'The pool',
      measure: 'volume',
      above: 0,
      max: 1e8,
      usual: us(20_000, 'volume'),
    },
    {
      name: 'turnovers',
      label: 'Turnovers a day',
      as: 'number',
      group: 'The pool',
      measure: 'ratio',
      above: 0,
      max: 20,
      usual: 1.5,
    },
    {
      name: 'leastFlowLitresPerSecond',
      label: 'Least flow of heater and cell',
      as: 'number',
      group: 'The pool',
      measure: 'flow',
      min: 0,
      max: 100,
      usual: us(20, 'flow'),
    },
    {
      name: 'daysPerYear',
      label: 'Days a year',
      as: 'number',
      group: 'The pool',
      measure: 'count',
      above: 0,
      max: 366,
      usual: 200,
    },
    ...pipeFields({ pipeMaterial: 'pvc-40', pipeSize: '1.5', pipeMetres: us(105, 'length'), elbows: 10 }),
    {
      name: 'filterK',
      label: 'Filter, heater and valves, K',
      as: 'number',
      group: 'The pipe',
      measure: 'ratio',
      min: 0,
      max: 2000,
      usual: 18,
    },
    {
      name: 'pricePerKwh',
      label: 'Price',
      as: 'number',
      group: 'The pool',
      measure: 'perKwh',
      min: 0,
      max: 100,
      usual: 0.2,
    },
  ],
  solve: (input) => {
    if (input.pipeMetres === 0 && input.filterK === 0)
      throw badField('pipeMetres', 0, 'a length of pipe or a K above 0: without resistance there is no working point')
    const [full, slow, half] = [atSpeed(input, 1), atSpeed(input, input.speedRatio), atSpeed(input, HALF_SPEED)]
    const saved = full.costPerYear - slow.costPerYear
    const verdict =
      slow.hoursPerDay > 24 || slow.flowLitresPerSecond < input.leastFlowLitresPerSecond
        ? 'failed'
        : saved <= 0
          ? 'failed'
          : input.pumpPrice / saved > 6
            ? 'tired'
            : 'sound'
    return {
      verdict,
      full,
      slow,
      savedPerYear: saved,
      savedKwhPerYear: full.kwhPerYear - slow.kwhPerYear,
      twoSpeedSavedPerYear: full.costPerYear - half.costPerYear,
      ...(saved > 0 ? { paybackYears: input.pumpPrice / saved } : {}),
    }
  },
  tell: (input, s) => ({
    answer:
      s.slow.hoursPerDay > 24
        ? say`Too slow: at ${q(100 * input.speedRatio, 'percent')} the water wants ${q(s.slow.hoursPerDay, 'hours')} a
          day to go round.`
        : s.slow.flowLitresPerSecond < input.leastFlowLitresPerSecond
          ? say`It would save ${q(s.savedPerYear, 'money')} a year, but ${q(s.slow.flowLitresPerSecond, 'flow')} is less
            than heater and cell want.`
          : s.savedPerYear <= 0
            ? say`Nothing is saved at this speed.`
            : say`${q(s.savedPerYear, 'money')} a year: ${q(s.slow.hoursPerDay, 'hours')} at ${q(s.slow.watts, 'power')}
              instead of ${q(s.full.hoursPerDay, 'hours')} at ${q(s.full.watts, 'power')}. It has paid in
              ${q(s.paybackYears ?? 0, 'years', 2)}.`,
    figures: [
      { label: 'saved a year', amount: q(s.savedKwhPerYear, 'energy') },
      { label: 'full speed', amount: q(s.full.flowLitresPerSecond, 'flow') },
      { label: 'slow', amount: q(s.slow.flowLitresPerSecond, 'flow') },
      { label: 'hours a day', amount: q(s.slow.hoursPerDay, 'hours') },
    ],
    steps: [
      say`Full speed: curve and pipe meet at ${q(s.full.flowLitresPerSecond, 'flow')}, ${q(s.full.headMetres, 'head')};
        ${q(input.turnovers, 'ratio')} turnovers take ${q(s.full.hoursPerDay, 'hours')}`,
      say`At ${q(100 * input.speedRatio, 'percent')}: flow with speed, head with its square:
        ${q(s.slow.flowLitresPerSecond, 'flow')}, ${q(s.slow.headMetres, 'head')}; ${q(s.slow.hoursPerDay, 'hours')} a
        day`,
      say`Power: ${q(s.full.watts, 'power')} measured; slow ${q(s.slow.watts, 'power')}, with
        ${q(100 * SLOW_EFFICIENCY.share, 'percent')} of the efficiency`,
      say`A year: ${q(s.full.kwhPerYear, 'energy', 4)} against ${q(s.slow.kwhPerYear, 'energy', 4)}, at
        ${q(input.pricePerKwh, 'money')} each: ${q(s.full.costPerYear, 'money')} against
        ${q(s.slow.costPerYear, 'money')}`,
      say`A two-speed motor at half speed would save ${q(s.twoSpeedSavedPerYear, 'money')}`,
    ],
    cautions: [
      ...(!input.pumpCurve ? [say`Taken here: ${MADE_UP_BASIS.name}, or measure the flow at both speeds.`] : []),
      ...(s.slow.hoursPerDay > 24
        ? []
        : s.slow.flowLitresPerSecond < input.leastFlowLitresPerSecond
          ? [
              say`Heater and cell run only while the pump runs faster: an auxiliary relay, and hours at full speed for
                them.`,
            ]
          : []),
    ],
  }),
  draw: (input, s) => {
    const curves = (
      [
        [1, 'full speed', 'pump'],
        [input.speedRatio, 'slow', 'beside'],
      ] as const
    ).map(([speedRatio, label, role]) => ({ label, role, curve: pumpCurve({ points: pointsOf(input), speedRatio }) }))
    const most = Math.max(...curves.map(({ curve }) => curve.runoutLitresPerSecond))
    const flows = (to: number) => Array.from({ length: DRAWN + 1 }, (_, step) => (step / DRAWN) * to)
    return {
      kind: 'curves',
      lines: [
        ...curves.map(({ label, role, curve }) => ({
          label,
          role,
          points: flows(curve.runoutLitresPerSecond).map((flow) => ({
            flowLitresPerSecond: flow,
            headMetres: Math.max(0, curve.headAt(flow)),
          })),
        })),
        {
          label: 'pipe and filter',
          role: 'system' as const,
          points: flows(most).map((flow) => ({
            flowLitresPerSecond: flow,
            headMetres: frictionInSeries(systemOf(input), flow),
          })),
        },
      ],
      point: { flowLitresPerSecond: s.slow.flowLitresPerSecond, headMetres: s.slow.headMetres },
      marks: [
        { flowLitresPerSecond: s.full.flowLitresPerSecond, headMetres: s.full.headMetres, label: 'at full speed' },
      ],
      handles: [
        {
          field: 'speedRatio',
          min: 0.25,
          max: 0.98,
          axis: 'across',
          label: 'speed',
          step: 0.01,
          pull: 'scale',
          at: { flowLitresPerSecond: s.slow.flowLitresPerSecond, headMetres: s.slow.headMetres },
        },
      ],
    }
  },
  follow: { label: 'saved a year', amount: ({ savedPerYear }) => q(savedPerYear, 'money') },
  take: ({ pump: { installation }, plate, reading }) => {
    const amps = reading('running-current', 'amps')
    return new Taking<SpeedInput>()
      .take('pumpCurve', [
        'from the machine’s card',
        installation?.pumpCurve && installation.pumpCurve.length > 1 ? installation.pumpCurve : undefined,
      ])
      .take(
        'fullWatts',
        [
          'measured volts × amps × 0.9',
          amps === undefined
            ? undefined
            : Math.round(amps * (reading('supply-voltage-loaded', 'volts') ?? plate.volts) * 0.9),
        ],
        ['plate volts × amps × 0.9', Math.round(plate.volts * plate.fullLoadAmps * 0.9)],
      )
  },
})
