import { describe, expect, it } from 'vitest'
import { weighNaive, weighNoisyOr } from './evidence'

// Two causes as likely; one test tells them apart for certain, another says nothing, a third nine times of ten.
const PRIORS = { bearing: 0.5, seal: 0.5 }
const TABLES = {
  sure: { states: ['a', 'b'], given: { bearing: [1, 0], seal: [0, 1] } },
  idle: { states: ['a', 'b'], given: { bearing: [0.5, 0.5], seal: [0.5, 0.5] } },
  good: { states: ['a', 'b'], given: { bearing: [0.9, 0.1], seal: [0.1, 0.9] } },
}

// Expected figures by Bayes' rule, worked by hand.
describe('one cause of several', () => {
  it('what is certain leaves no bit to learn, and a test that settles the matter is worth the whole of it', () => {
    const before = weighNaive(PRIORS, TABLES, {}, ['idle', 'sure', 'good'])
    expect(before.entropyBits).toBeCloseTo(1, 12)
    expect(before.gainBits.sure).toBeCloseTo(1, 12)
    expect(before.gainBits.idle).toBeCloseTo(0, 12)
    // 1 − H(0.1), H(0.1) = 0.468996 bit.
    expect(before.gainBits.good).toBeCloseTo(0.531004, 6)
    expect(before.best).toBe('sure')
    const after = weighNaive(PRIORS, TABLES, { sure: 'b' }, ['good'])
    expect(after).toMatchObject({ posterior: { bearing: 0, seal: 1 }, entropyBits: 0, gainBits: { good: 0 } })
  })
  it('the best by the minute is another than the best', () => {
    expect(weighNaive(PRIORS, TABLES, {}, ['sure', 'good'], { sure: 10, good: 2 }).best).toBe('good')
    expect(weighNaive(PRIORS, TABLES, {}, ['sure', 'good'], { sure: 3 }).best, 'one not timed takes a minute').toBe(
      'good',
    )
    expect(weighNaive(PRIORS, TABLES, {}, []).best).toBeUndefined()
  })
  it.each<[string, () => unknown, RegExp]>([
    ['priors', () => weighNaive({ bearing: 0.5, seal: 0.4 }, TABLES, {}, []), /priors: 0\.9.*sum to 1/],
    [
      'a row',
      () => weighNaive(PRIORS, { odd: { states: ['a'], given: { bearing: [1] } } }, {}, []),
      /odd\.given\.seal/,
    ],
    [
      'a chance below none',
      () => weighNaive(PRIORS, { odd: { states: ['a', 'b'], given: { bearing: [2, -1], seal: [1, 0] } } }, {}, []),
      /odd\.given\.bearing/,
    ],
    ['a state', () => weighNaive(PRIORS, TABLES, { sure: 'c' }, []), /evidence\.sure.*one of a, b/],
    ['a test', () => weighNaive(PRIORS, TABLES, {}, ['none']), /candidates.*one of sure, idle, good/],
    ['what cannot be', () => weighNaive({ bearing: 1, seal: 0 }, TABLES, { sure: 'b' }, []), /at least one cause/],
  ])('%s that will not do is said', (_, weigh, said) => expect(weigh).toThrow(said))
})

describe('several causes together', () => {
  const effects = { noise: { leak: 0, links: { bearing: 0.8, seal: 0.5 } } }

  it('an effect that is there lifts each of its causes, one that is not lowers them', () => {
    // P(noise) = 1 − (0.5·0.2 + 0.5)(0.5·0.5 + 0.5) = 1 − 0.6·0.75 = 0.55.
    const heard = weighNoisyOr(PRIORS, effects, { noise: 'true' }, ['noise'])
    expect(heard.posterior.bearing).toBeCloseTo((0.5 - 0.5 * 0.2 * 0.75) / 0.55, 12)
    expect(heard.posterior.seal).toBeCloseTo((0.5 - 0.5 * 0.5 * 0.6) / 0.55, 12)
    const silent = weighNoisyOr(PRIORS, effects, { noise: 'false' }, [])
    expect(silent.posterior.bearing).toBeCloseTo(0.1 / 0.6, 12)
    expect(silent.posterior.seal).toBeCloseTo(0.25 / 0.75, 12)
  })
  it('a test that settles one of them is worth its bit, one that says nothing is worth none', () => {
    const tests = { sure: { leak: 0, links: { bearing: 1 } }, idle: { leak: 0.5, links: {} } }
    const got = weighNoisyOr(PRIORS, tests, {}, ['sure', 'idle'])
    expect(got.entropyBits).toBeCloseTo(2, 12)
    expect(got.gainBits.sure).toBeCloseTo(1, 12)
    expect(got.gainBits.idle).toBeCloseTo(0, 12)
    // P(noise) at 0.8 alone is 0.4: H(0.4) − ½ · H(0.8) bit.
    expect(
      weighNoisyOr({ bearing: 0.5 }, { noise: { leak: 0, links: { bearing: 0.8 } } }, {}, ['noise']).gainBits.noise,
    ).toBeCloseTo(0.970951 - 0.5 * 0.721928, 5)
  })
  it('without a cause, by its leak alone', () => {
    expect(weighNoisyOr({ bearing: 0 }, { noise: { leak: 0.3, links: {} } }, { noise: 'true' }, []).posterior).toEqual({
      bearing: 0,
    })
    expect(() => weighNoisyOr({ bearing: 0 }, { noise: { leak: 0, links: {} } }, { noise: 'true' }, [])).toThrow(
      /at least one cause/,
    )
  })
  it.each<[string, () => unknown, RegExp]>([
    ['a prior', () => weighNoisyOr({ bearing: 1.1 }, {}, {}, []), /priors\.bearing: 1\.1.*from 0 to 1/],
    ['a leak', () => weighNoisyOr(PRIORS, { noise: { leak: -0.1, links: {} } }, {}, []), /noise\.leak/],
    [
      'a link to nothing',
      () => weighNoisyOr(PRIORS, { noise: { leak: 0, links: { fan: 1 } } }, {}, []),
      /links\.fan.*one of bearing, seal/,
    ],
    [
      'too many causes',
      () => weighNoisyOr(Object.fromEntries(Array.from({ length: 17 }, (_, i) => [`c${i}`, 0.1])), {}, {}, []),
      /17.*at most 16 causes/,
    ],
  ])('%s that will not do is said', (_, weigh, said) => expect(weigh).toThrow(said))
})
