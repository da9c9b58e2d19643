import { describe, expect, it } from 'vitest'
import { COUNT_WORDS, countsAt } from './count-words'

describe('what is counted at a step', () => {
  it.each([
    ['down:volute-bolts', 'bolt', 'How many came out? 6 usual'],
    ['back:volute-bolts', 'bolt', 'How many go in? 6 came out.'],
    ['down:motor-bench.index', 'gate', 'How many were set? 6 usual'],
    ['back:motor-bench.index', 'gate', 'How many meet? 6 were set.'],
    ['work:bearings:press-drive', undefined, 'How many? 6 usual'],
  ] as const)('%s', (id, joint, words) => {
    expect(COUNT_WORDS[countsAt({ id, joint })](6)).toBe(words)
  })
})
