import { describe, expect, it } from 'vitest'
import { METRIC_READER, US_READER } from '../quantity/sentence'
import { questionById } from '../questions/questions'
import { keptAnswer } from './kept-working'

describe('a working kept in a visit', () => {
  const kept = { question: 'jet-lift', input: { celsius: 20 }, units: 'us' } as const

  it('is answered from its own numbers, in the units of whoever reads it', () => {
    const us = keptAnswer(kept, US_READER)
    const metric = keptAnswer(kept, METRIC_READER)
    expect(us.title).toBe(questionById('jet-lift').title)
    expect(us.answer).toMatch(/\dft|\d.ft/)
    expect(metric.answer).toMatch(/\d.m\b/)
    expect(metric.verdict).toBe(us.verdict)
  })
  it('names its figures with their amounts', () => {
    const parts = keptAnswer(kept, US_READER).figures.split(' · ')
    expect(parts.length).toBeGreaterThan(1)
    for (const part of parts) expect(part).toMatch(/^[a-z].* [−\d].*/i)
  })
  it('hotter water gives less lift', () => {
    const lift = (celsius: number) =>
      Number(/(\d+(?:\.\d+)?)/.exec(keptAnswer({ ...kept, input: { celsius } }, METRIC_READER).answer)?.[1])
    expect(lift(40)).toBeLessThan(lift(10))
  })
})
