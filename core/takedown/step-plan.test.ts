import { describe, expect, it } from 'vitest'
import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import { KIND_CONSTRUCTIONS, type Construction, type Kind, type Part } from '../knowledge/vocabulary'
import { graphOf } from './machine-graph'
import { planTakeDown, type TakeDownStep } from './plan'
import { render, US_READER } from '../quantity/sentence'
import { splitStep } from './split-step'
import { isOpening } from './step-ref'
import { couldComeFirst, jobsHere, repairSteps, stepPlan, type Repair } from './step-plan'

const steps = (kind: Kind, construction: Construction, action: string): TakeDownStep[] =>
  stepPlan(kind, construction, action)?.steps ?? []
const ids = (list: readonly TakeDownStep[], phase: TakeDownStep['phase']) =>
  list.filter((step) => step.phase === phase).map(({ id }) => id.replace(/^(down|work|back):/, ''))
const every = (Object.entries(KIND_CONSTRUCTIONS) as [Kind, readonly Construction[]][]).flatMap(
  ([kind, constructions]) => constructions.map((construction) => [kind, construction] as const),
)

describe('a spare in first', () => {
  const option = 'replace-shaft-seal'
  const plain = repairSteps('circulation', 'flooded-circulation', option) as Repair
  const spared = repairSteps('circulation', 'flooded-circulation', option, { spareFirst: true }) as Repair
  const index = (id: string | undefined) => spared.steps.findIndex((step) => step.id === id)

  it('swaps, gives the water back, and mends on the bench what the swap did not open', () => {
    const fit = index('work:pump:spare')
    expect(fit).toBeGreaterThan(0)
    const back = spared.steps.slice(fit + 1, index(spared.waterBack) + 1)
    expect(back.length).toBeGreaterThan(0)
    expect(back.every(({ phase }) => phase === 'back' || phase === 'commission')).toBe(true)
    expect(spared.steps[index(spared.waterBack) + 1]?.phase).toBe('down')
    const before = spared.steps.slice(0, fit).map(({ id }) => id)
    const after = spared.steps.slice(index(spared.waterBack) + 1).map(({ id }) => id)
    expect(after.filter((id) => before.includes(id))).toEqual([])
    expect(after).toEqual(expect.arrayContaining(ids(plain.steps, 'work').map((id) => `work:${id}`)))
  })

  it('needs what both need, once', () => {
    for (const field of ['tools', 'cautions', 'practices'] as const)
      expect(new Set<unknown>(spared[field]).size, field).toBe(spared[field].length)
    for (const part of plain.consumables) expect(spared.consumables).toContainEqual(part)
    const swap = planTakeDown('flooded-circulation', ['pump'])
    expect(spared.tools).toEqual(expect.arrayContaining(swap.tools))
    expect(spared.cautions).toEqual(expect.arrayContaining(swap.cautions))
    expect(spared.assemblies[0]).toBe('flooded-circulation')
  })

  it('waits for what hangs on a step that is made, and for nothing else', () => {
    for (const [kind, construction, action] of [
      ['circulation', 'flooded-circulation', option],
      ['sump', 'sump-sealed', 'swap-sump-pump'],
      ['pool', 'band-clamp', 'bearings-and-seal'],
    ] as const) {
      const plan = repairSteps(kind, construction, action, { spareFirst: true, conditions: { outletHigherMm: 20 } })
      const made = plan?.steps.map(({ id }) => id)
      for (const { after } of plan?.waits ?? []) expect(made, `${action}: ${after}`).toContain(after)
    }
    const packed = repairSteps('pool', 'band-clamp', 'bearings-and-seal', {
      spareFirst: true,
      conditions: { bearingClearanceMm: 0.08 },
    })
    expect(packed?.waits.map(({ after }) => after)).toContain('work:bearings:compound')
  })
})

describe('the steps of a repair', () => {
  it.each(every)(
    '%s, %s: every repair closes what it opens, names each step once, and has its minutes',
    (kind, construction) => {
      for (const id of jobsHere(kind, construction)) {
        const plan = stepPlan(kind, construction, id)
        const list = plan?.steps ?? []
        expect(
          list.some((step) => step.id.startsWith('work:')),
          id,
        ).toBe(true)
        const closing = list.filter((step) => step.id.startsWith('back:')).map((step) => step.id.slice(5))
        for (const step of list.filter((each) => isOpening(each.id)))
          if (!/(^|\.|:)(discharge|cool|drive-wait|photograph|number-shims)$/.test(step.id))
            expect(closing, id).toContain(step.id.slice(5))
        expect(new Set(list.map((step) => step.id)).size, id).toBe(list.length)
        expect(plan?.minutes.p90, id).toBeGreaterThanOrEqual(plan?.minutes.p50 as number)
        for (const step of list) expect(step.id.length).toBeLessThanOrEqual(80)
      }
    },
  )

  it('the repairs that take something apart are planned on every construction', () => {
    for (const [kind, construction] of every)
      for (const { id, parts } of KIND_KNOWLEDGE[kind]?.actions ?? []) {
        // A motor alone is opened for its bearings; whatever else goes with it is fitted at its pump.
        if (construction === 'motor-bench' && parts[0] !== 'bearings') continue
        if (
          parts.some((part) =>
            ['shaft-seal', 'motor', 'pump', 'bearings', 'impeller', 'pump-end', 'splice'].includes(part),
          )
        )
          expect(stepPlan(kind, construction, id)?.assemblies.length, `${kind} ${construction} ${id}`).toBeGreaterThan(
            0,
          )
      }
  })

  it('bearings: the motor leaves its pump, is opened on the bench, and comes back, the seal renewed with it', () => {
    const plan = stepPlan('pool', 'bolted-seal-plate', 'bearings-and-seal')
    expect(plan?.assemblies).toEqual(['bolted-seal-plate', 'motor-bench'])
    const list = plan?.steps ?? []
    expect(ids(list, 'down').indexOf('motor-out')).toBeLessThan(ids(list, 'down').indexOf('motor-bench.through-bolts'))
    expect(ids(list, 'work').map((id) => id.split(':')[0])).toEqual(expect.arrayContaining(['bearings', 'shaft-seal']))
    expect(list.some(({ id }) => id.startsWith('work:motor:'))).toBe(false)
  })

  it('what lies open in two assemblies is asked about once, and never what is renewed anyway', () => {
    const { whileOpen = [], consumables = [] } = stepPlan('pool', 'band-clamp', 'bearings-and-seal') ?? {}
    const parts = whileOpen.map(({ part }) => part)
    expect(parts).toContain('start-switch')
    expect(new Set(parts).size).toBe(parts.length)
    for (const each of consumables) if ('part' in each) expect(parts).not.toContain(each.part)
  })

  it('a well motor: the string up by two, the head off on the bench, and all of it back', () => {
    const plan = stepPlan('well-three-wire', 'submersible-joined', 'replace-well-motor')
    expect(plan?.assemblies).toEqual(['well-installation', 'submersible-joined'])
    expect(plan?.steps.find(({ id }) => id === 'down:pull')).toMatchObject({ twoPeople: true })
    // One holds the guard while the other bends its tab, on the bench too.
    const bench = stepPlan('well-three-wire', 'submersible-joined', 'replace-pump-end', { standing: 'bench' })
    expect(bench?.steps.find(({ id }) => id === 'back:submersible-joined.guard')).toMatchObject({ twoPeople: true })
    expect(ids(plan?.steps ?? [], 'down').filter((id) => id.startsWith('submersible-joined.')).length).toBeGreaterThan(
      2,
    )
  })

  it('a control box and a pressure switch leave the well alone', () => {
    for (const action of ['replace-control-box', 'replace-relay', 'replace-pressure-switch', 'recharge-tank'])
      expect(ids(steps('well-three-wire', 'submersible-joined', action), 'down'), action).not.toContain('pull')
    expect(stepPlan('jet', 'jet-end', 'replace-relief-valve')?.assemblies).toEqual(['pressure-tee'])
  })

  it('a joint that two assemblies have is held, and corrected, in the one that was meant', () => {
    const bench = (joint: string) =>
      stepPlan('pool', 'band-clamp', 'bearings-and-seal', {
        found: [{ joint, what: 'stuck' }],
        machineCorrections: [{ joint, count: 3 }],
      })?.steps ?? []
    const freed = (list: readonly TakeDownStep[]) => list.filter(({ id }) => id.includes(':free')).map(({ id }) => id)
    // The motor has one rear cap, whichever of its assemblies it is named with.
    for (const named of ['motor-bench.rear-cover', 'rear-cover']) {
      expect(freed(bench(named))).toEqual(['down:rear-cover:free'])
      expect(bench(named).filter(({ id }) => id.includes('rear-cover') && id.startsWith('back:'))).toHaveLength(1)
      expect(bench(named).find(({ id }) => id === 'down:rear-cover')?.count).toBe(3)
    }
    expect(freed(bench('motor-bench.drive-bell'))).toEqual(['down:motor-bench.drive-bell:free'])
    // An inner joint that no other assembly has needs no assembly's name.
    expect(freed(bench('drive-bell'))).toEqual(['down:motor-bench.drive-bell:free'])
  })

  it.each(every)(
    '%s, %s: whatever is found damaged, no step is there twice, and with a spare first it waits for the bench',
    (kind, construction) => {
      for (const { id } of KIND_KNOWLEDGE[kind]?.actions ?? []) {
        const parts = new Set(
          (repairSteps(kind, construction, id)?.assemblies ?? []).flatMap(
            (assembly) => Object.keys(graphOf(assembly).reach) as Part[],
          ),
        )
        for (const spareFirst of [false, true]) {
          const usual = repairSteps(kind, construction, id, { spareFirst })?.steps.map((step) => step.id) ?? []
          for (const part of parts) {
            const options = { found: [{ part, what: 'damaged' as const }], spareFirst }
            const plan = repairSteps(kind, construction, id, options)
            const list = plan?.steps.map((step) => step.id) ?? []
            expect(new Set(list).size, `${id} ${part}`).toBe(list.length)
            const { waterBack } = plan ?? {}
            if (waterBack) expect(list.indexOf(waterBack), `${id} ${part}`).toBe(usual.indexOf(waterBack))
          }
        }
      }
    },
  )

  it('relieves pressure and drains before a wet end is parted', () => {
    for (const construction of ['band-clamp', 'bolted-seal-plate'] as const) {
      const down = ids(steps('pool', construction, 'replace-shaft-seal'), 'down')
      expect(down.indexOf('valves')).toBeLessThan(down.indexOf('drain'))
      expect(down.indexOf('drain')).toBeLessThan(down.indexOf(construction === 'band-clamp' ? 'clamp' : 'cover-bolts'))
    }
  })

  it('a repair that opens nothing has its gates and its own sentence; leaving it has no gates at all', () => {
    expect(ids(steps('pool', 'band-clamp', 'restore-supply'), 'down')).toEqual(['make-dead'])
    expect(ids(steps('pool', 'band-clamp', 'open-discharge'), 'down')).toEqual(['make-dead', 'valves'])
    expect(steps('pool', 'band-clamp', 'leave-it').map(({ id }) => id)).toEqual(['work:pump:leave'])
  })

  it('a repair that opens nothing brings its tools and parts, waits for nothing, and asks for nothing more', () => {
    const selector = KIND_KNOWLEDGE.jet?.actions.find(({ id }) => id === 'restore-supply')
    const plan = repairSteps('jet', 'jet-end', selector?.id as string)
    expect(plan?.tools).toEqual(expect.arrayContaining([...(selector?.tools ?? ['none'])]))
    expect(plan?.consumables).toEqual(selector?.parts.map((part) => ({ part, because: 'to be replaced' })))
    expect([plan?.assemblies, plan?.waits, plan?.whileOpen]).toEqual([[], [], []])
    expect(plan?.practices).toEqual([...new Set(plan?.steps.flatMap(({ practices }) => practices ?? []))])
    const work = plan?.steps.find(({ phase }) => phase === 'work')
    expect(work).toMatchObject({ minutes: selector?.minutes, estimate: selector?.minutes, gates: [] })
  })
  it('a start capacitor is spoken of where that is the one being replaced', () =>
    expect(steps('pool', 'band-clamp', 'replace-start-capacitor').find(({ phase }) => phase === 'work')?.part).toBe(
      'start-capacitor',
    ))

  it('this machine’s own counts and what was found reach through both assemblies', () => {
    const plan = stepPlan('pool', 'bolted-seal-plate', 'bearings-and-seal', {
      machineCorrections: [
        { joint: 'cover-bolts', count: 8 },
        { joint: 'through-bolts', count: 3 },
      ],
      found: [{ joint: 'impeller', what: 'stuck' }],
    })
    expect(plan?.steps.find(({ id }) => id === 'down:cover-bolts')?.count).toBe(8)
    expect(plan?.steps.find(({ id }) => id === 'down:motor-bench.through-bolts')?.count).toBe(3)
    expect(plan?.steps.find(({ id }) => id === 'down:impeller:free')).toBeDefined()
  })

  it('splits into what is done and how, losing no word', () => {
    expect(splitStep('Lock screw out of the impeller eye: left-handed, turn it clockwise')).toEqual({
      title: 'Lock screw out of the impeller eye',
      how: 'Left-handed, turn it clockwise.',
    })
    for (const step of steps('pool', 'bolted-seal-plate', 'swap-motor')) {
      const text = render(step.text, US_READER)
      const { title, how } = splitStep(text)
      expect(`${title} ${how}`.toLowerCase().match(/[a-z0-9]+/g)).toEqual(text.toLowerCase().match(/[a-z0-9]+/g))
    }
  })

  it('a sentence whose first part is too short or too long for a title stays whole', () => {
    expect(splitStep('Short: then how')).toEqual({ title: 'Short: then how', how: '' })
    const long = 'x'.repeat(65)
    expect(splitStep(`${long}: then how`)).toEqual({ title: `${long}: then how`, how: '' })
    expect(splitStep('Clean the basket: rinse it, both sides!')).toEqual({
      title: 'Clean the basket',
      how: 'Rinse it, both sides!',
    })
  })
  it('is undefined for a repair nobody knows', () =>
    expect(stepPlan('pool', 'band-clamp', 'polish-it')).toBeUndefined())
})

describe('another order on this machine', () => {
  it('offers what does not lie behind a joint, and nothing that waits for it', () => {
    const first = couldComeFirst('pool', 'bolted-seal-plate', 'rear-cover')
    expect(first.has('cover-bolts')).toBe(true)
    expect(first.has('terminals')).toBe(false)
    expect(first.has('rear-cover')).toBe(false)
    // What was said of the order already counts.
    const said = couldComeFirst('pool', 'bolted-seal-plate', 'cover-bolts', {
      machineCorrections: [{ joint: 'rear-cover', after: ['cover-bolts'] }],
    })
    expect(said.has('rear-cover')).toBe(false)
  })
})
