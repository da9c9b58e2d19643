import { expect, it } from 'vitest'
import { shotOf } from './shot-of'

it('a picture taken before a joint is opened stands beside its closing; the terminals’ own step is theirs', () => {
  expect(shotOf('down:clamp')).toBe(shotOf('back:clamp'))
  expect(shotOf('down:photograph')).toBe(shotOf('back:terminals'))
  expect(shotOf('work:motor:match')).toBe('before work:motor:match')
})
