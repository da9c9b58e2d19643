import { identifyLeads } from '../../electrical/winding'
import { r, say } from '../../quantity/sentence'
import { choice, defineLive, slider } from './live'

/** Which lead is common, run and start, by the letter that somebody wrote on it. */
const ORDERS = ['ABC', 'ACB', 'BAC', 'BCA', 'CAB', 'CBA'] as const
const LEADS = ['A', 'B', 'C'] as const
export const PAIRS = ['A-B', 'A-C', 'B-C'] as const

/** What three unnamed leads of a two-winding motor read, pair by pair. */
export const threeLeads = defineLive(
  [
    slider('run', 'Run winding', [0.6, 8], 2.1, (value) => say`${r(value, 'ohm')}`, 'log'),
    slider('start', 'Start winding', [0.6, 30], 8.3, (value) => say`${r(value, 'ohm')}`, 'log'),
    choice(
      'order',
      'How the leads lie in the box',
      ORDERS.map((_, index) => `way ${index + 1} of ${ORDERS.length}`),
      3,
    ),
    choice('open', 'The windings', ['whole', 'run open', 'start open']),
  ],
  ({ run, start, order, open }) => {
    const [common, runLead] = ORDERS[order] as string
    const ohmsOf = (lead: string): number | null =>
      lead === common ? 0 : lead === runLead ? (open === 1 ? null : run) : open === 2 ? null : start
    const pairs = Object.fromEntries(
      PAIRS.map((pair) => {
        const [a, b] = pair.split('-').map((lead) => ohmsOf(lead)) as [number | null, number | null]
        return [pair, a === null || b === null ? null : a + b]
      }),
    )
    const named = identifyLeads(pairs)
    return {
      figures: [
        ...PAIRS.map((pair) => {
          const ohms = pairs[pair] as number | null
          return { id: pair, label: pair, told: ohms === null ? 'open' : say`${r(ohms, 'ohm')}` }
        }),
        ...LEADS.map((lead) => ({
          id: lead,
          label: `lead ${lead}`,
          told:
            lead === named.common
              ? 'common'
              : lead === named.run
                ? 'run'
                : lead === named.start
                  ? 'start'
                  : lead === named.openLead
                    ? 'goes nowhere'
                    : 'not known',
        })),
      ],
      says: say`${named.because[0]?.toUpperCase() ?? ''}${named.because.slice(1)}.`,
    }
  },
)
