import { bench, describe } from 'vitest'
import { CONSTRUCTION_GRAPHS } from '../core/knowledge/constructions'
import type { ConstructionGraph } from '../core/knowledge/constructions/joint'
import type { Part } from '../core/knowledge/vocabulary'
import { cheapestOpening } from '../core/takedown/cheapest-opening'
import { planTakeDown } from '../core/takedown/plan'

const largest = [...CONSTRUCTION_GRAPHS].sort((a, b) => b.joints.length - a.joints.length)[0] as ConstructionGraph
const five = Object.keys(largest.reach).slice(-5) as Part[]
const none = new Set<string>()

describe(`the largest construction, ${largest.id} with ${largest.joints.length} joints, five targets (aim: under 20 ms)`, () => {
  bench('the least-time set of joints', () => {
    cheapestOpening(largest, five, none, none)
  })
  bench('the whole plan, with its 2,000 tries of the clock', () => {
    planTakeDown(largest.id, five)
  })
})
