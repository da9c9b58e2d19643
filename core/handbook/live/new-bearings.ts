import { bearingLife } from '../../mechanics/bearing'
import { q, say } from '../../quantity/sentence'
import { defineLive, slider } from './live'

/** Deep-groove ball bearing 6203: dynamic rating as makers’ tables agree on it (from memory), newtons. */
const DYNAMIC_NEWTONS = 9_560
const RPM = 3450
const HOURS_A_DAY = 8
/**
 * Life against water in the lubricant: (100 ppm / water)^0.6.
 *
 * @source Cantley, The Effect of Water in Lubricating Oil on Bearing Fatigue Life (ASLE Transactions, 1977),
   from memory
 */
const CLEAN_PPM = 100
const WATER_EXPONENT = 0.6
const DAYS_A_YEAR = 365

const spanOf = (hours: number) => {
  const days = hours / HOURS_A_DAY
  return days < 60 ? say`${Math.round(days)} days` : say`${q(days / DAYS_A_YEAR, 'years', 2)}`
}

/** What a new bearing lives on: its load, and what runs into it. */
export const newBearings = defineLive(
  [
    slider('load', 'Load on the front bearing', [80, 1500], 300, (value) => say`${Math.round(value)} N`, 'log'),
    slider(
      'water',
      'Water in its grease, parts in a million',
      [100, 100_000],
      20_000,
      (value) => say`${Math.round(value)}`,
      'log',
    ),
  ],
  ({ load, water }) => {
    const { hours } = bearingLife({ dynamicNewtons: DYNAMIC_NEWTONS, loadNewtons: load, rpm: RPM })
    const share = (CLEAN_PPM / water) ** WATER_EXPONENT
    const wet = hours * share
    const days = wet / HOURS_A_DAY
    return {
      figures: [
        { id: 'dry', label: 'dry, 8 hours a day', told: spanOf(hours), verdict: 'sound' },
        {
          id: 'wet',
          label: 'as it is',
          told: spanOf(wet),
          verdict: days < DAYS_A_YEAR ? 'failed' : days < 3 * DAYS_A_YEAR ? 'tired' : 'sound',
        },
        { id: 'share', label: 'of its life is left', told: say`${q(100 * share, 'percent', 2)}` },
      ],
      says:
        share > 0.6
          ? 'Dry grease: what kills it now is load, and load goes with its third power.'
          : days < DAYS_A_YEAR
            ? 'The bearing was new; the seal before it was not. Until the seal is, every bearing there is a short one.'
            : 'Already a good part of its life is gone, and a drip only grows.',
    }
  },
)
