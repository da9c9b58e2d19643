import { drainBackLitres, pitArea, sumpCycle } from '../hydraulics/pit'
import { operatingPoint, pumpCurve, type CurvePoint } from '../hydraulics/pump-curve'
import { runStore, type StoreRun } from '../hydraulics/store-day'
import { worstVerdict, type Verdict } from '../judgement/judgement'
import { FITTINGS } from '../knowledge/water/pipes'
import { MADE_UP_BASIS, SUMP_PUMPS } from '../knowledge/water/pumps'
import { SUMP_LIMITS } from '../knowledge/water/sizing'
import { q, say, type Sentence } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { pipeFields, us, type LineOfPipe } from './fields'
import { insideOf, lineOfPipe } from './line-of-pipe'
import { Taking } from './known'
import { defineQuestion } from './question'

export interface SumpInput extends LineOfPipe {
  pitDiameterMetres: number
  onLevelMetres: number
  offLevelMetres: number
  floorMetres: number
  inflowLitresPerSecond: number
  dryInflowLitresPerSecond: number
  stormHours: number
  cutMinutes: number
  liftMetres: number
  checkValves: number
  pumpCurve?: CurvePoint[]
  mostStartsPerHour: number
}
interface Candidate {
  id: string
  label: string
  horsepower?: number
  flowLitresPerSecond: number
  headMetres: number
  keepsUp: boolean
  onSeconds?: number
  offSeconds?: number
  startsPerHour?: number
  verdict: Verdict
}
export interface SumpSolved {
  verdict: Verdict
  candidates: Candidate[]
  best?: Candidate
  storedLitres: number
  drainBackLitres: number
  startsPerHour?: number
  onSeconds?: number
}

const HOUR = 3600
const DRAWN = 720

const cycleWords = ({ onSeconds, offSeconds = 0, startsPerHour = 0 }: Candidate) =>
  onSeconds === undefined
    ? ', less than comes in'
    : say`; on ${q(onSeconds, 'seconds')}, off ${q(offSeconds, 'seconds')}, ${startsPerHour} starts an hour`

export const whichSumpPump = defineQuestion<SumpInput, SumpSolved>({
  id: 'which-sump-pump',
  title: 'Which sump pump, and how often will it start?',
  about: 'By lift, pipe and inflow, not by horsepower.',
  kinds: ['sump'],
  basis: SUMP_LIMITS.basis,
  fields: [
    {
      name: 'inflowLitresPerSecond',
      label: 'Inflow at its worst',
      as: 'number',
      group: 'The pit',
      measure: 'flow',
      min: 0,
      max: 1000,
      usual: us(10, 'flow'),
    },
    {
      name: 'pitDiameterMetres',
      label: 'Pit across',
      as: 'number',
      group: 'The pit',
      measure: 'level',
      above: 0,
      max: 20,
      usual: us(18, 'level'),
    },
    {
      name: 'onLevelMetres',
      label: 'Starts at',
      as: 'number',
      group: 'The pit',
      measure: 'level',
      min: 0,
      max: 50,
      usual: us(16, 'level'),
      hint: 'above the bottom of the pit',
    },
    {
      name: 'offLevelMetres',
      label: 'Stops at',
      as: 'number',
      group: 'The pit',
      measure: 'level',
      min: 0,
      max: 50,
      usual: us(6, 'level'),
    },
    {
      name: 'floorMetres',
      label: 'Floor',
      as: 'number',
      group: 'The pit',
      measure: 'level',
      above: 0,
      max: 50,
      usual: us(27, 'level'),
    },
    {
      name: 'liftMetres',
      label: 'Lift, water to outlet',
      as: 'number',
      group: 'The pipe',
      measure: 'head',
      min: 0,
      max: 200,
      usual: us(9, 'head'),
    },
    ...pipeFields({ pipeMaterial: 'pvc-40', pipeSize: '1.5', pipeMetres: us(20, 'length'), elbows: 3 }),
    {
      name: 'checkValves',
      label: 'Check valves',
      as: 'number',
      group: 'The pipe',
      measure: 'count',
      min: 0,
      max: 5,
      whole: true,
      usual: 1,
    },
    {
      name: 'pumpCurve',
      label: 'The pump’s own curve',
      as: 'curve',
      group: 'The pump',
      hint: 'left empty, the usual sizes are tried',
    },
    {
      name: 'mostStartsPerHour',
      label: 'Starts the maker allows',
      as: 'number',
      group: 'The pump',
      measure: 'perHour',
      above: 0,
      max: 1000,
      usual: SUMP_LIMITS.mostStartsPerHour,
    },
    {
      name: 'dryInflowLitresPerSecond',
      label: 'Inflow on a dry day',
      as: 'number',
      group: 'The day',
      measure: 'flow',
      min: 0,
      max: 1000,
      usual: us(0.5, 'flow'),
    },
    { name: 'stormHours', label: 'Storm', as: 'number', group: 'The day', measure: 'hours', min: 0, max: 24, usual: 6 },
    {
      name: 'cutMinutes',
      label: 'Power cut at its height',
      as: 'number',
      group: 'The day',
      measure: 'minutes',
      min: 0,
      max: 1440,
      usual: 0,
    },
  ],
  solve: (input) => {
    const {
      pitDiameterMetres: diameterMetres,
      onLevelMetres,
      offLevelMetres,
      floorMetres,
      inflowLitresPerSecond,
      liftMetres,
      checkValves,
      mostStartsPerHour,
    } = input
    if (floorMetres < onLevelMetres)
      throw badField('floorMetres', floorMetres, say`not below the on-level of ${q(onLevelMetres, 'level')}`)
    const pipe = lineOfPipe(input, FITTINGS.entrance + FITTINGS.exit + checkValves * FITTINGS['check-valve'])
    // Without a check valve the riser comes back at every stop.
    const drainBack =
      checkValves > 0
        ? 0
        : drainBackLitres([
            {
              insideMillimetres: insideOf(input.pipeMaterial, input.pipeSize),
              lengthMetres: Math.min(input.pipeMetres, liftMetres),
            },
          ])
    const levels = { onLevelMetres, offLevelMetres, inflowLitresPerSecond, drainBackLitres: drainBack }
    const offered = input.pumpCurve ? [{ id: 'own', label: 'this pump', points: input.pumpCurve }] : SUMP_PUMPS
    const candidates = offered.map((pump): Candidate => {
      const curve = pumpCurve(pump)
      const point =
        curve.shutoffMetres <= liftMetres
          ? { flowLitresPerSecond: 0, headMetres: liftMetres }
          : operatingPoint(curve, liftMetres, [pipe])
      const horsepower = 'horsepower' in pump ? { horsepower: pump.horsepower } : {}
      if (point.flowLitresPerSecond === 0)
        return { id: pump.id, label: pump.label, ...horsepower, ...point, keepsUp: false, verdict: 'failed' }
      const cycle = sumpCycle({ diameterMetres }, { ...levels, pumpLitresPerSecond: point.flowLitresPerSecond })
      return {
        id: pump.id,
        label: pump.label,
        ...horsepower,
        ...point,
        keepsUp: cycle.keepsUp,
        onSeconds: cycle.onSeconds,
        offSeconds: cycle.offSeconds,
        startsPerHour: cycle.startsPerHour,
        verdict: judge(cycle, point.flowLitresPerSecond, inflowLitresPerSecond, mostStartsPerHour),
      }
    })
    const best =
      candidates.find(({ verdict }) => verdict === 'sound') ??
      candidates.filter(({ verdict }) => verdict === 'tired').at(-1)
    const shown = best ?? candidates.at(-1)
    return {
      verdict: best?.verdict ?? 'failed',
      candidates,
      ...(best ? { best } : {}),
      storedLitres: 1000 * pitArea({ diameterMetres }) * (onLevelMetres - offLevelMetres),
      drainBackLitres: drainBack,
      startsPerHour: shown?.startsPerHour,
      onSeconds: shown?.onSeconds,
    }
  },
  tell: (input, solved) => {
    const { best, candidates, storedLitres } = solved
    const day = stormDay(input, solved)
    const strongest = candidates.at(-1) as Candidate
    return {
      answer: best
        ? say`${input.pumpCurve ? 'This pump keeps up' : `Take the ${best.label}`}: it moves
          ${q(best.flowLitresPerSecond, 'flow')} here, runs ${q(best.onSeconds ?? 0, 'seconds', 2)} and starts
          ${best.startsPerHour ?? 0} times an hour at the worst.`
        : strongest.flowLitresPerSecond === 0
          ? say`${input.pumpCurve ? 'This pump' : 'None of the usual sizes'} lifts ${q(input.liftMetres, 'head')}: its
            water never reaches the outlet.`
          : say`${input.pumpCurve ? 'This pump' : `Even the ${strongest.label}`} moves only
            ${q(strongest.flowLitresPerSecond, 'flow')} against ${q(input.inflowLitresPerSecond, 'flow')} coming in.`,
      figures: [
        ...(best
          ? [
              { label: 'moves', amount: q(best.flowLitresPerSecond, 'flow') },
              { label: 'at', amount: q(best.headMetres, 'head') },
              { label: 'runs', amount: q(best.onSeconds ?? 0, 'seconds', 2) },
              { label: 'starts', amount: q(best.startsPerHour ?? 0, 'perHour', 2) },
            ]
          : []),
        ...(day
          ? [
              { label: 'starts that day', amount: q(day.starts, 'count') },
              ...(day.overflowLitres > 0 ? [{ label: 'over the floor', amount: q(day.overflowLitres, 'volume') }] : []),
            ]
          : []),
      ],
      steps: [
        say`Between the levels: π/4 · (${q(input.pitDiameterMetres, 'level')})² ·
          ${q(input.onLevelMetres - input.offLevelMetres, 'level')} = ${q(storedLitres, 'volume')}`,
        ...candidates.map((each): Sentence =>
          each.flowLitresPerSecond === 0
            ? say`${each.label}: no water at ${q(input.liftMetres, 'head')}`
            : say`${each.label}: curve and pipe meet at ${q(each.flowLitresPerSecond, 'flow')},
              ${q(each.headMetres, 'head')}${cycleWords(each)}:
              ${each.verdict}`,
        ),
        ...(day
          ? [
              say`A day with ${q(input.stormHours, 'hours')} of
                storm${input.cutMinutes > 0 ? say` and ${q(input.cutMinutes, 'minutes')} without power` : ''}:
                ${day.starts} starts, ${day.startsInWorstHour} in its worst hour, runs of
                ${q(day.shortestRunSeconds ?? 0, 'seconds')} to ${q(day.longestRunSeconds ?? 0, 'seconds')}`,
            ]
          : []),
      ],
      cautions: [
        ...(!input.pumpCurve ? [say`Taken here: ${MADE_UP_BASIS.name}.`] : []),
        ...(best && (best.onSeconds ?? 0) < SUMP_LIMITS.shortRunSeconds
          ? [
              say`It runs only ${q(best.onSeconds ?? 0, 'seconds', 2)}: longer is kinder. Raise the on-level or widen
                the pit.`,
            ]
          : []),
        ...(input.checkValves === 0
          ? [say`Without a check valve ${q(solved.drainBackLitres, 'volume')} come back at each stop.`]
          : []),
        ...(day && day.overflowLitres > 0
          ? [
              say`On that day ${q(day.overflowLitres, 'volume')} run over the floor, from
                ${q((day.overflowAtSeconds ?? 0) / HOUR, 'hours')} on: a second pump on its own battery.`,
            ]
          : []),
      ],
    }
  },
  draw: (input, solved) => {
    const { best, drainBackLitres: back } = solved
    const area = pitArea({ diameterMetres: input.pitDiameterMetres })
    const [on, off] = [best?.onSeconds, best?.offSeconds]
    const rest = input.offLevelMetres + back / 1000 / area
    const trace =
      on !== undefined && off !== undefined && off > 0
        ? [0, 1, 2]
            .flatMap((turn) => [
              { seconds: turn * (on + off), metres: input.onLevelMetres },
              { seconds: turn * (on + off) + on, metres: input.offLevelMetres },
              ...(back > 0 ? [{ seconds: turn * (on + off) + on, metres: rest }] : []),
            ])
            .concat([{ seconds: 3 * (on + off), metres: input.onLevelMetres }])
        : []
    return {
      kind: 'pit',
      diameterMetres: input.pitDiameterMetres,
      offMetres: input.offLevelMetres,
      onMetres: input.onLevelMetres,
      floorMetres: input.floorMetres,
      inflow: input.inflowLitresPerSecond,
      pump: best?.flowLitresPerSecond ?? 0,
      riserLitres: back,
      trace,
      storm: (stormDay(input, solved, DRAWN)?.trace ?? []).map(({ seconds, litres }) => ({
        seconds,
        metres: litres / 1000 / area,
      })),
      handles: [
        {
          field: 'onLevelMetres',
          min: input.offLevelMetres + 0.02,
          max: input.floorMetres,
          axis: 'up',
          label: 'on-level',
          step: 0.01,
        },
      ],
    }
  },
  follow: {
    label: 'starts an hour',
    amount: ({ startsPerHour }) => (startsPerHour === undefined ? undefined : q(startsPerHour, 'perHour')),
  },
  take: (known) => {
    const {
      pump: { installation },
      reading,
    } = known
    return new Taking<SumpInput>()
      .take('pitDiameterMetres', ['from the machine’s card', installation?.pitDiameterMetres])
      .take('liftMetres', ['from the machine’s card', installation?.liftMetres])
      .take('pumpCurve', [
        'from the machine’s card',
        installation?.pumpCurve && installation.pumpCurve.length > 1 ? installation.pumpCurve : undefined,
      ])
      .take('inflowLitresPerSecond', ['measured in this visit', reading('flow', 'flow')])
  },
})

function judge(
  cycle: { keepsUp: boolean; onSeconds?: number; startsPerHour?: number },
  flow: number,
  inflow: number,
  mostStarts: number,
): Verdict {
  if (!cycle.keepsUp) return 'failed'
  const starts = cycle.startsPerHour ?? 0
  return worstVerdict([
    flow >= inflow * SUMP_LIMITS.reserve ? 'sound' : 'tired',
    starts > mostStarts ? 'tired' : 'sound',
    (cycle.onSeconds ?? Infinity) < SUMP_LIMITS.shortRunSeconds ? 'tired' : 'sound',
  ]) as Verdict
}

/**
 * A day whose storm swells and ebbs around its middle, minute by minute; power may fail at its height. Nothing where no
 * pump lifts.
 */
export function stormDay(input: SumpInput, solved: SumpSolved, traced = 0): StoreRun | undefined {
  const pump = solved.best ?? solved.candidates.findLast(({ flowLitresPerSecond }) => flowLitresPerSecond > 0)
  if (!pump) return undefined
  const litresPerMetre = 1000 * pitArea({ diameterMetres: input.pitDiameterMetres })
  const minutes = 24 * 60
  const half = (input.stormHours * 60) / 2
  const inflow = Float64Array.from({ length: minutes }, (_, minute) => {
    const away = Math.abs(minute - minutes / 2)
    return (
      input.dryInflowLitresPerSecond +
      (half > 0 && away < half
        ? (Math.max(0, input.inflowLitresPerSecond - input.dryInflowLitresPerSecond) *
            (1 + Math.cos((Math.PI * away) / half))) /
          2
        : 0)
    )
  })
  const middle = 12 * HOUR
  return runStore(
    {
      onLitres: input.onLevelMetres * litresPerMetre,
      offLitres: input.offLevelMetres * litresPerMetre,
      brimLitres: input.floorMetres * litresPerMetre,
      pumpLitresPerSecond: pump.flowLitresPerSecond,
      drainBackLitres: solved.drainBackLitres,
    },
    inflow,
    {
      stepSeconds: 60,
      traced,
      cuts:
        input.cutMinutes > 0
          ? [{ fromSeconds: middle - input.cutMinutes * 30, toSeconds: middle + input.cutMinutes * 30 }]
          : [],
    },
  )
}
