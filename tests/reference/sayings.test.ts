import { describe, expect, it } from 'vitest'
import { heard, openSayings, outcomeOf, ownSayings, type Saying } from './sayings'

/** Common practice: how the trade says its readings. The lists were written by hand; their machines are invented. */
const LISTS: [name: string, list: readonly Saying[]][] = [
  ['the open list', openSayings()],
  ['the list of our own', ownSayings()],
]

describe.each(LISTS)('%s of sayings', (_, list) => {
  const went = list.map((saying) => ({ saying, outcome: outcomeOf(saying) }))

  it('keeps no fact that was not said', () => {
    const wrong = went
      .filter(({ outcome }) => outcome === 'wrong')
      .map(({ saying }) => `${saying.line} → ${JSON.stringify(heard(saying).findings)}`)
    expect(wrong).toEqual([])
  })

  it('is understood', () => {
    const missed = went.filter(({ outcome }) => outcome === 'missed').map(({ saying }) => saying.line)
    expect(missed.length / list.length, missed.join('\n')).toBeLessThanOrEqual(0.02)
  })

  it('is understood the same a second time', () => {
    for (const saying of list) expect(heard(saying)).toEqual(heard(saying))
  })
})
