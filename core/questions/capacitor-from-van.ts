import { substitutes, type StockCapacitor, type Substitute } from '../electrical/capacitor-stock'
import type { Verdict } from '../judgement/judgement'
import { CAPACITOR } from '../knowledge/electrical/limits'
import { PREFERRED_MICROFARADS, VAN_BASIS, VAN_CAPACITORS } from '../knowledge/shop/shelf'
import { q, say, type Sentence } from '../quantity/sentence'
import { Taking } from './known'
import { defineQuestion } from './question'

export interface VanInput {
  wantedMicrofarads: number
  wantedVolts: number
  tolerancePercent: number
  stock: StockCapacitor[]
}
export interface VanSolved {
  verdict: Verdict
  single?: Substitute
  parallel: Substitute[]
  series: Substitute[]
  deviationPercent?: number
}

const nearestPreferred = (wanted: number): number =>
  PREFERRED_MICROFARADS.reduce((best, each) => (Math.abs(each - wanted) < Math.abs(best - wanted) ? each : best))
const cans = (of: readonly StockCapacitor[], joint: string): Sentence =>
  of.flatMap(({ microfarads, volts }, index): Sentence => [
    ...(index > 0 ? [` ${joint} `] : []),
    ...say`${q(microfarads, 'microfarads')} ${q(volts, 'volts')}`,
  ])

export const capacitorFromVan = defineQuestion<VanInput, VanSolved>({
  id: 'capacitor-from-van',
  title: 'Which capacitor can I make from what is in the van?',
  about: 'Alone, side by side, or one after another; never below the volts.',
  kinds: ['pool', 'booster', 'spa', 'jet'],
  basis: CAPACITOR.runBasis,
  fields: [
    {
      name: 'wantedMicrofarads',
      label: 'Wanted',
      as: 'number',
      group: 'The can that failed',
      measure: 'microfarads',
      above: 0,
      max: 2000,
      usual: 30,
    },
    {
      name: 'wantedVolts',
      label: 'Its volts',
      as: 'number',
      group: 'The can that failed',
      measure: 'volts',
      above: 0,
      max: 1000,
      usual: 370,
    },
    {
      name: 'tolerancePercent',
      label: 'Off by at most',
      as: 'number',
      group: 'The can that failed',
      measure: 'percent',
      above: 0,
      max: 30,
      usual: CAPACITOR.runTolerancePercent,
    },
    {
      name: 'stock',
      label: 'In the van',
      as: 'stock',
      group: 'The van',
      usual: VAN_CAPACITORS,
      hint: 'μF/V, with commas between',
    },
  ],
  solve: ({ wantedMicrofarads, wantedVolts, tolerancePercent, stock }) => {
    const found = substitutes({ microfarads: wantedMicrofarads, volts: wantedVolts }, stock, tolerancePercent)
    const best = found.single ?? found.parallel[0] ?? found.series[0]
    return {
      verdict: found.single ? 'sound' : best ? 'tired' : 'failed',
      ...found,
      ...(best ? { deviationPercent: best.deviationPercent } : {}),
    }
  },
  tell: (input, { single, parallel, series, deviationPercent }) => {
    const [side, row] = [parallel[0], series[0]]
    return {
      answer: single
        ? say`Fit the ${cans(single.of, '')}: ${q(Math.abs(single.deviationPercent), 'percent', 2)} off, and its volts
          are enough.`
        : side
          ? say`Side by side: ${cans(side.of, '+')} make ${q(side.microfarads, 'microfarads')}. Write on the sheet that
            the right can is to follow.`
          : row
            ? say`One after another: ${cans(row.of, 'then')} make ${q(row.microfarads, 'microfarads')} for
              ${q(row.volts, 'volts')}. The right can is to follow.`
            : say`Nothing in the van makes ${q(input.wantedMicrofarads, 'microfarads')} at
              ${q(input.wantedVolts, 'volts')}.`,
      figures: [
        ...(deviationPercent === undefined
          ? []
          : [{ label: 'off by', amount: q(Math.abs(deviationPercent), 'percent', 2) }]),
        { label: 'side by side, ways', amount: q(parallel.length, 'count') },
        { label: 'one after another, ways', amount: q(series.length, 'count') },
      ],
      steps: [
        say`Wanted ${q(input.wantedMicrofarads, 'microfarads')} within ${q(input.tolerancePercent, 'percent')}:
          ${q(input.wantedMicrofarads * (1 - input.tolerancePercent / 100), 'microfarads')} to
          ${q(input.wantedMicrofarads * (1 + input.tolerancePercent / 100), 'microfarads')}, at least
          ${q(input.wantedVolts, 'volts')}`,
        ...(single
          ? []
          : [say`To bring: ${q(nearestPreferred(input.wantedMicrofarads), 'microfarads')}, the nearest that is made`]),
        ...parallel.slice(0, 4).map(
          (each) =>
            say`${cans(each.of, '+')} = ${q(each.microfarads, 'microfarads')}, ${q(each.volts, 'volts')} (the lowest
                of them)`,
        ),
        ...series.slice(0, 4).map(
          (each) =>
            say`1/C: ${cans(each.of, 'then')} = ${q(each.microfarads, 'microfarads')}, good for
                ${q(each.volts, 'volts')}`,
        ),
      ],
      cautions: [
        say`Taken here: ${VAN_BASIS.name}; write what is really there.`,
        say`Run capacitors for run duty, start for start. Discharge by resistor and prove it before touching; secure
          each can so that it cannot chafe.`,
      ],
    }
  },
  draw: (input, { single, parallel, series }) => ({
    kind: 'cans',
    rows: [
      ...(single
        ? [{ label: say`alone, ${q(single.microfarads, 'microfarads')}`, cans: single.of, together: 'alone' as const }]
        : []),
      ...parallel
        .slice(0, 3)
        .map((each) => ({
          label: say`side by side, ${q(each.microfarads, 'microfarads')}`,
          cans: each.of,
          together: 'parallel' as const,
        })),
      ...series
        .slice(0, 2)
        .map((each) => ({
          label: say`one after another, ${q(each.microfarads, 'microfarads')}`,
          cans: each.of,
          together: 'series' as const,
        })),
    ],
  }),
  follow: {
    label: 'off by',
    amount: ({ deviationPercent }) => (deviationPercent === undefined ? undefined : q(deviationPercent, 'percent')),
  },
  take: ({ plate }) =>
    new Taking<VanInput>()
      .take('wantedMicrofarads', ['the plate', plate.runCapacitorMicrofarads])
      .take('wantedVolts', ['the plate', plate.runCapacitorVolts])
      .take('tolerancePercent', ['the plate', plate.capacitorTolerancePercent]),
})
