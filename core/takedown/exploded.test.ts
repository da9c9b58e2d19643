import { describe, expect, it } from 'vitest'
import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import { KIND_CONSTRUCTIONS, type Construction, type Kind } from '../knowledge/vocabulary'
import { explodedOf } from './exploded'
import { isOpening, jointOf } from './step-ref'
import { repairSteps } from './step-plan'
import type { StepRecord } from './tray'

const every = (Object.entries(KIND_CONSTRUCTIONS) as [Kind, readonly Construction[]][]).flatMap(
  ([kind, constructions]) => constructions.map((construction) => [kind, construction] as const),
)
const steps = repairSteps('pool', 'bolted-seal-plate', 'replace-shaft-seal')?.steps ?? []
const ticked = (upTo: string) =>
  new Map(
    steps
      .slice(
        0,
        steps.findIndex(({ id }) => id === upTo),
      )
      .map(({ id }): [string, StepRecord] => [id, { done: true, at: '' }]),
  )
const states = (at: string) =>
  Object.fromEntries(explodedOf(steps, ticked(at), at).pieces.map(({ key, state }) => [key, state]))

describe('the machine drawn apart', () => {
  it.each(every)(
    '%s, %s: shows the parts of each assembly in the order in which the plan takes them off',
    (kind, construction) => {
      for (const { id } of KIND_KNOWLEDGE[kind]?.actions ?? []) {
        const plan = repairSteps(kind, construction, id)?.steps ?? []
        const off = plan
          .filter(({ id: step, joint, temporary }) => isOpening(step) && joint !== 'gate' && !temporary)
          .map((step) => jointOf(step.id) ?? '')
        const records = new Map<string, StepRecord>()
        const shown = new Map<string, string[]>()
        for (const step of plan) {
          const { assembly, pieces } = explodedOf(plan, records, step.id)
          shown.set(
            assembly,
            pieces.map(({ key }) => key).filter((key) => !key.startsWith('work:')),
          )
          records.set(step.id, { done: true, at: '' })
        }
        expect(
          [...shown.values()]
            .flat()
            .filter((key) => off.includes(key))
            .sort(),
          id,
        ).toEqual([...off].sort())
        for (const keys of shown.values()) expect(keys, id).toEqual(off.filter((key) => keys.includes(key)))
      }
    },
  )

  it('what is off stands apart, the joint at hand is lit, the rest is on', () => {
    expect(states('down:lock-screw')).toMatchObject({
      'cover-bolts': 'off',
      'part-halves': 'off',
      diffuser: 'off',
      'lock-screw': 'lit',
      impeller: 'on',
      'seal-plate': 'on',
    })
    expect(states('back:lock-screw')).toMatchObject({
      'cover-bolts': 'off',
      'lock-screw': 'lit',
      impeller: 'on',
      'seal-plate': 'on',
    })
    expect(states('work:shaft-seal:seat')).toMatchObject({ 'work:shaft-seal': 'lit', 'seal-plate': 'off' })
  })

  it('with a spare in first, the swap is drawn, and then the pump on the bench without it', () => {
    const spare =
      repairSteps('circulation', 'flooded-circulation', 'replace-shaft-seal', { spareFirst: true })?.steps ?? []
    const keys = (at: string) => explodedOf(spare, new Map(), at).pieces.map(({ key }) => key)
    expect(keys('down:unions')).toEqual(['unions', 'unplug', 'pump-out', 'bonding'])
    expect(keys('down:impeller')).toEqual(expect.arrayContaining(['volute-bolts', 'impeller', 'work:shaft-seal']))
    expect(keys('down:impeller')).not.toContain('unions')
  })

  it('opens the motor on the bench once it is there, and is whole again at the end', () => {
    const bearings = repairSteps('pool', 'band-clamp', 'bearings-and-seal')?.steps ?? []
    expect(explodedOf(bearings, new Map(), 'down:motor-bench.springs').assembly).toBe('motor-bench')
    expect(explodedOf(bearings, new Map(), 'down:clamp').assembly).toBe('')
    const done = new Map(bearings.map(({ id }): [string, StepRecord] => [id, { done: true, at: '' }]))
    expect(explodedOf(bearings, done).pieces.every(({ state }) => state === 'on')).toBe(true)
  })
})
