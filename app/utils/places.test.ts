import { describe, expect, it } from 'vitest'
import { isNamed, placeOf, PLACES } from './places'

describe('the places', () => {
  it.each([
    ['/', 'day'],
    ['/visits/new', 'day'],
    ['/due', 'day'],
    ['/pumps/files', 'pumps'],
    ['/pumps', 'pumps'],
    ['/pumps/customers/x', 'pumps'],
    ['/workings/jet-lift', 'workings'],
    ['/ledger', 'shop'],
    ['/shop', 'shop'],
  ])('%s is of %s', (path, id) => expect(placeOf(path)?.id).toBe(id))

  it('has none for a visit, nor for an address that only begins alike', () => {
    expect(placeOf('/visits/0197a000/test')).toBeUndefined()
    expect(placeOf('/pumpsuit')).toBeUndefined()
  })

  it('are seven at most with the open visit, each once', () => {
    expect(PLACES.length).toBeLessThan(7)
    expect(new Set(PLACES.map(({ to }) => to)).size).toBe(PLACES.length)
  })

  it('are found by how they, or one of their words, begin', () => {
    expect(isNamed('New visit', 'vis')).toBe(true)
    expect(isNamed('Pumps', 'PU')).toBe(true)
    expect(isNamed('Pumps', 'umps')).toBe(false)
    expect(isNamed('Where the figures come from', 'figures co')).toBe(true)
  })
})
