import { expect, it } from 'vitest'
import { ENTRY_VERSION } from '#core/visit/entry'
import { readable } from './readable'

it('lines of a newer app are left alone, all others are read', () => {
  const lines = [{ v: 1 }, {}, { v: ENTRY_VERSION }]
  expect(readable(lines)).toBe(lines)
  expect(readable([...lines, { v: ENTRY_VERSION + 1 }])).toEqual(lines)
})
