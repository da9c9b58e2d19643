import { bench, describe } from 'vitest'
import type { Scene } from '../core/language/scene'
import { understand } from '../core/language/understand'
import { completePlate } from '../core/motor/nameplate'

const nameplate = { volts: 230, motorType: 'permanent-split' } as const
const scene: Scene = {
  kind: 'pool',
  plate: completePlate({ kind: 'pool', nameplate }),
  printed: nameplate,
  standing: 'installed',
  gates: new Set(),
}
/** The lexicon is built at the first line; what counts is each line after it. */
understand('238 v', scene)
const REFERENCE = 'abcdefghij'.repeat(1000)

describe('understanding a line', () => {
  bench('twelve words, three readings', () => {
    understand('supply two thirty six, running 7.9 a, weep not dripping, shaft free', scene)
  })
  bench('twelve words, each with a slip', () => {
    understand('suply 236 runing 7.9 a wepe dripping shfat grity sael cracekd imepller', scene)
  })
  bench('ten thousand letters reversed, for comparison', () => {
    Array.from(REFERENCE).reverse().join('')
  })
})
