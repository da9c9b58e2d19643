import { describe, expect, it } from 'vitest'
import { crossingWords } from './card-words'

const at = Date.parse('2027-06-15')
const month = 86_400_000 * 30.44

describe('when a row meets its limit, in words', () => {
  it.each([
    [{ is: 'past' }, 'past its limit', 'by its last reading'],
    [{ is: 'ahead', limit: 88, at }, 'Jun 2027', 'by two readings only'],
    [{ is: 'ahead', limit: 88, at, earliest: at - 4 * month, latest: at + 4 * month }, 'Jun 2027', '± 4 months'],
    [{ is: 'ahead', limit: 88, at, earliest: at - 24 * month, latest: at + 24 * month }, 'Jun 2027', '± 2 years'],
    [{ is: 'ahead', limit: 88, at, earliest: at - 24 * month }, 'Jun 2027', '2025 or much later'],
    [{ is: 'clear' }, 'not in sight', 'by its own readings'],
    [{ is: 'untold' }, 'no telling yet', 'two readings are wanted'],
  ] as const)('%o', (crossing, when, how) => expect(crossingWords({ crossing })).toEqual({ when, how }))

  it('goes by the usual life where nothing measured says it', () =>
    expect(crossingWords({ crossing: { is: 'untold' }, usual: { from: 2029, to: 2034 } })).toEqual({
      when: 'from 2029',
      how: 'usual till 2034',
    }))
})
