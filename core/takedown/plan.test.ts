import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CONSTRUCTION_GRAPHS, PART_WORK } from '../knowledge/constructions'
import type { ConstructionGraph } from '../knowledge/constructions/joint'
import type { Part } from '../knowledge/vocabulary'
import { InputError } from '../validation/input-error'
import { cheapestOpening, costOf, isFree } from './cheapest-opening'
import { assemblyGraph, graphOf } from './machine-graph'
import { planTakeDown } from './plan'
import { isClosing, isOpening, jointOf } from './step-ref'

const none = new Set<string>()
const targetsOf = (graph: ConstructionGraph) => Object.keys(graph.reach) as Part[]
const every = CONSTRUCTION_GRAPHS.flatMap((graph) => targetsOf(graph).map((part) => [graph.id, part] as const))

/** Every set of joints, tried: the least time that reaches the targets and opens nothing blocked. */
function bruteForce(graph: ConstructionGraph, targets: readonly Part[]): number {
  let best = Infinity
  const { joints } = graph
  for (let mask = 0; mask < 2 ** joints.length; mask++) {
    const set = new Set(joints.filter((_, index) => mask & (1 << index)).map(({ id }) => id))
    const cost = joints.reduce((sum, joint) => sum + (set.has(joint.id) ? costOf(joint, none) : 0), 0)
    if (cost >= best) continue
    if (
      targets.every((part) => graph.reach[part]?.some((way) => way.every((id) => set.has(id)))) &&
      joints.every((joint) => !set.has(joint.id) || isFree(joint, set))
    )
      best = cost
  }
  return best
}

describe('every construction', () => {
  it.each(CONSTRUCTION_GRAPHS.map((graph) => [graph.id, graph] as const))(
    '%s names only joints it has, each once, and work for every part it reaches',
    (_, graph) => {
      const ids = graph.joints.map(({ id }) => id)
      expect(new Set(ids).size).toBe(ids.length)
      for (const id of [...graph.joints.flatMap(({ after }) => after.flat()), ...Object.values(graph.reach).flat(2)])
        expect(ids, `${graph.id}: ${id}`).toContain(id)
      for (const part of targetsOf(graph))
        expect(
          PART_WORK.some((work) => work.part === part && (!work.in || work.in.includes(graph.id))),
          part,
        ).toBe(true)
      for (const {
        minutes: { down, back },
        hand,
        turn,
      } of graph.joints) {
        for (const [low, likely, high] of [down, back]) expect(low <= likely && likely <= high).toBe(true)
        // A left-handed thread opens clockwise, a right-handed one the other way.
        if (hand) expect(turn).toBe(hand === 'left' ? 'clockwise' : 'counter-clockwise')
      }
    },
  )

  it.each(every)(
    '%s: %s plans, opens nothing that is blocked, and everything that came out goes back in',
    (construction, part) => {
      const graph = assemblyGraph(construction)
      const joint = (id: string) =>
        graph.joints.find((each) => each.id === jointOf(id)) as (typeof graph.joints)[number]
      const plan = planTakeDown(construction, [part])
      const open = new Set<string>()
      const opening = plan.down.filter(({ id }) => isOpening(id))
      for (const { id } of opening) {
        expect(isFree(joint(id), open), id).toBe(true)
        open.add(jointOf(id) as string)
      }
      expect(graph.reach[part]?.some((way) => way.every((id) => open.has(id)))).toBe(true)
      const closable = opening.filter(({ id }) => joint(id).back !== undefined)
      const closing = plan.steps.filter(({ id }) => isClosing(id))
      expect(closing.map(({ id }) => jointOf(id)).sort()).toEqual(closable.map(({ id }) => jointOf(id)).sort())
      for (const step of closing)
        expect(step.count).toBe(opening.find(({ id }) => jointOf(id) === jointOf(step.id))?.count)
      // What had to be open before a joint is closed after it, but where the construction says otherwise.
      const at = new Map(closing.map(({ id }, index) => [jointOf(id) as string, index]))
      for (const [id, index] of at)
        for (const before of joint(`back:${id}`).after.flat())
          if (at.has(before) && !joint(`back:${id}`).loose?.includes(before))
            expect(at.get(before), `${id} before ${before}`).toBeGreaterThan(index)
      expect(plan.work.length + plan.back.filter(({ id }) => id.startsWith('work:')).length).toBeGreaterThan(0)
      expect(plan.minutes.p50).toBeLessThan(plan.minutes.p90)
      expect(plan.whileOpen.map((each) => each.part)).not.toContain(part)
      expect(new Set(plan.steps.map(({ id }) => id)).size).toBe(plan.steps.length)
    },
  )

  it.each(CONSTRUCTION_GRAPHS.filter(({ joints }) => joints.length <= 18).map((graph) => [graph.id, graph] as const))(
    '%s: no set of joints is cheaper, for one part or two',
    (_, graph) => {
      const parts = targetsOf(graph)
      const costOfSet = (set: ReadonlySet<string>) =>
        graph.joints.reduce((sum, joint) => sum + (set.has(joint.id) ? costOf(joint, none) : 0), 0)
      for (const targets of [...parts.map((part) => [part]), [parts[0] as Part, parts.at(-1) as Part]])
        expect(costOfSet(cheapestOpening(graph, targets, none, none)), targets.join()).toBeCloseTo(
          bruteForce(graph, targets),
          9,
        )
    },
  )

  it('what is open already costs nothing down, and is still closed', () => {
    fc.assert(
      fc.property(fc.constantFrom(...every), fc.nat(), ([construction, part], pick) => {
        const whole = planTakeDown(construction, [part])
        const openings = whole.down.filter(({ id }) => isOpening(id)).map(({ id }) => id.slice(5))
        const opened = openings.slice(0, pick % (openings.length + 1))
        const rest = planTakeDown(construction, [part], { opened })
        expect(rest.down.some(({ id }) => opened.includes(jointOf(id) ?? ''))).toBe(false)
        for (const id of opened.filter((each) => graphOf(construction).joints.find((joint) => joint.id === each)?.back))
          expect(rest.steps.map((step) => step.id)).toContain(`back:${id}`)
        expect(rest.minutes.p50).toBeLessThanOrEqual(whole.minutes.p50 + 1e-9)
      }),
      { numRuns: 60 },
    )
  })

  it('what stands open stays in the plan with both its steps, whatever is wanted by now', () => {
    fc.assert(
      fc.property(fc.constantFrom(...every), fc.nat(), fc.nat(), ([construction, part], pick, other) => {
        const first = planTakeDown(construction, [part])
        const openings = first.down.filter(({ id }) => isOpening(id)).map(({ id }) => id.slice(5))
        const underway = openings.slice(0, pick % (openings.length + 1))
        const parts = targetsOf(graphOf(construction))
        const next = planTakeDown(construction, [parts[other % parts.length] as Part], { underway })
        const ids = next.steps.map(({ id }) => id)
        for (const id of underway) expect(ids).toContain(`down:${id}`)
        for (const id of underway.filter(
          (each) => graphOf(construction).joints.find((joint) => joint.id === each)?.back,
        ))
          expect(ids.indexOf(`back:${id}`)).toBeGreaterThan(ids.indexOf(`down:${id}`))
      }),
      { numRuns: 60 },
    )
    // The riser was cut: the way out is by the cut, though the valve would have been quicker.
    expect(
      planTakeDown('sump-sealed', ['pump'], { underway: ['make-dead', 'unplug', 'bucket', 'cut-riser'] }).down.map(
        ({ id }) => id,
      ),
    ).not.toContain('down:check-valve')
  })

  it('several targets share one take-down', () => {
    const [seal, motor] = [planTakeDown('band-clamp', ['shaft-seal']), planTakeDown('band-clamp', ['motor'])]
    const together = planTakeDown('band-clamp', ['shaft-seal', 'motor'])
    expect(together.minutes.p50).toBeLessThan(seal.minutes.p50 + motor.minutes.p50 - 20)
    expect(new Set(together.down.map(({ id }) => id)).size).toBe(together.down.length)
  })
})

describe('the handbook’s jobs', () => {
  const down = (construction: string, parts: Part[]) => planTakeDown(construction, parts).down
  const step = (construction: string, parts: Part[], id: string) =>
    planTakeDown(construction, parts).steps.find((each) => each.id === id)

  it('the lock screw is left-handed: clockwise to undo, the other way back, the shaft held', () => {
    expect(step('bolted-seal-plate', ['impeller'], 'down:lock-screw')).toMatchObject({
      hand: 'left',
      turn: 'clockwise',
      hold: [expect.stringContaining('rear flats') as string, expect.anything(), expect.anything(), expect.anything()],
    })
    expect(step('bolted-seal-plate', ['impeller'], 'back:lock-screw')).toMatchObject({
      hand: 'left',
      turn: 'counter-clockwise',
    })
  })

  it('the booster’s lower bolts are long, and one of its six nuts hides', () => {
    expect(step('bracket-booster', ['shaft-seal'], 'down:bracket')?.countNote).toMatch(/lower pair long/)
    expect(step('bracket-booster', ['shaft-seal'], 'down:cover-nuts')).toMatchObject({
      count: 6,
      countNote: expect.stringContaining('hidden') as string,
    })
  })

  it('shims go back to their corners, and are counted', () =>
    expect(step('vertical-shimmed', ['motor'], 'back:shims')).toMatchObject({
      count: 8,
      joint: 'shims',
      orientation: expect.stringContaining('own corner') as string,
    }))

  it('a disturbed O-ring is never silently reused; the lock screw’s small ring is not forgotten', () => {
    expect(
      planTakeDown('bolted-seal-plate', ['shaft-seal']).consumables.flatMap((each) =>
        'part' in each ? [each.part] : [],
      ),
    ).toEqual(['shaft-seal', 'housing-o-ring', 'diffuser-o-ring', 'lock-screw-gasket'])
    expect(planTakeDown('band-clamp', ['motor']).consumables).toContainEqual({
      part: 'shaft-seal',
      because: 'to be replaced',
    })
  })

  it('carbon faces ceramic, and each half sits where this construction has it', () => {
    const [clamp, bolted] = [
      planTakeDown('band-clamp', ['shaft-seal']).work,
      planTakeDown('bolted-seal-plate', ['shaft-seal']).work,
    ]
    expect(clamp.map(({ text }) => text).join()).toMatch(/seat into the plate.*Spring half onto the impeller hub/)
    expect(bolted.map(({ text }) => text).join()).toMatch(/Spring half into the plate.*seat into the impeller/)
    for (const work of [clamp, bolted]) expect(work.map(({ orientation }) => orientation).join()).toMatch(/ceramic/)
    expect(clamp.map(({ text }) => text).join()).toMatch(/Search shaft and hub for the old inner sleeve/)
  })

  it('capacitors are bled before any terminal, everywhere', () => {
    for (const [construction, part] of every) {
      const ids = down(construction, [part]).map(({ id }) => id)
      for (const id of ['down:terminals', 'down:capacitor-leads'])
        if (ids.includes(id)) expect(ids.indexOf('down:discharge'), `${construction} ${part}`).toBeGreaterThanOrEqual(0)
      if (ids.includes('down:terminals'))
        expect(ids.indexOf('down:discharge')).toBeLessThan(ids.indexOf('down:terminals'))
    }
  })

  it('bonding is the last connection before the breaker', () => {
    for (const construction of ['band-clamp', 'bolted-seal-plate', 'bracket-booster']) {
      const ids = planTakeDown(construction, ['motor']).back.map(({ id }) => id)
      expect(ids.at(-1)).toBe('back:make-dead')
      for (const wired of ['back:terminals', 'back:conduit', 'back:rear-cover', 'back:capacitor-cover'])
        expect(ids.indexOf(wired)).toBeLessThan(ids.indexOf('back:bonding'))
    }
  })

  it('a control box is reached without a pull; a splice above ground is taken first', () => {
    expect(down('well-installation', ['control-box']).map(({ id }) => id)).not.toContain('down:pull')
    expect(down('well-installation', ['splice']).map(({ id }) => id)).not.toContain('down:pull')
    expect(down('well-installation', ['pump']).find(({ id }) => id === 'down:pull')).toMatchObject({
      twoPeople: true,
      gates: ['string-secured'],
    })
  })

  it('a flooded floor, a battery, a full riser: said where they bite', () => {
    const plan = planTakeDown('sump-sealed', ['pump'])
    expect(plan.cautions.join(' ')).toMatch(/flooded floor.*dry place/)
    expect(plan.cautions.join(' ')).toMatch(/battery backup runs with the breaker off/)
    expect(plan.down.map(({ id }) => id)).toContain('down:bucket')
    expect(plan.down.map(({ id }) => id)).not.toContain('down:cut-riser')
  })

  it('where the check valve will not open the riser is cut, and the cement’s cure is in the clock', () => {
    const [usual, cut] = [
      planTakeDown('sump-sealed', ['pump']),
      planTakeDown('sump-sealed', ['pump'], { alternativesExcluded: ['check-valve'] }),
    ]
    expect(cut.waits).toMatchObject([{ minutes: 45, after: 'back:cut-riser', closes: 'unplug' }])
    expect(cut.minutes.p50).toBeGreaterThan(usual.minutes.p50 + 30)
  })

  it('a hot motor cools while other work goes on, and is not waited for where nothing wants it cool', () => {
    const hot = { conditions: { hot: true } }
    expect(planTakeDown('band-clamp', ['run-capacitor'], hot).waits).toEqual([])
    const [cool, waited] = [planTakeDown('band-clamp', ['motor']), planTakeDown('band-clamp', ['motor'], hot)]
    expect(cool.waits).toEqual([])
    expect(waited.waits).toMatchObject([{ minutes: 30, after: 'down:cool', gate: 'cool' }])
    // Half an hour alongside a way down of about as long: some of it stands still, far from all.
    expect(waited.minutes.p50 - cool.minutes.p50).toBeLessThan(20)
  })

  it('a stuck joint gets its own way of being freed; what was found damaged is to be had new', () => {
    const plan = planTakeDown('bolted-seal-plate', ['shaft-seal'], {
      found: [
        { joint: 'impeller', what: 'stuck' },
        { part: 'seal-plate', what: 'damaged' },
      ],
    })
    expect(plan.down.find(({ id }) => id === 'down:impeller:free')?.text).toMatch(/strap wrench/)
    expect(plan.consumables).toContainEqual({ part: 'seal-plate', because: 'found damaged' })
    // What only held is not damaged.
    const held = planTakeDown('bolted-seal-plate', ['impeller'], {
      found: [{ part: 'impeller', joint: 'impeller', what: 'stuck' }],
    })
    expect(held.consumables).toContainEqual({ part: 'impeller', because: 'to be replaced' })
  })

  it('each time a joint holds, the next way is tried, until the part is given up', () => {
    const held = (times: number) =>
      planTakeDown('bolted-seal-plate', ['shaft-seal'], {
        found: Array.from({ length: times }, () => ({ joint: 'impeller', what: 'stuck' as const })),
      })
    const tries = (times: number) => held(times).down.filter(({ id }) => id.startsWith('down:impeller:free'))
    expect(tries(1).map(({ id }) => id)).toEqual(['down:impeller:free'])
    expect(tries(1)[0]?.orElse).toEqual([
      expect.objectContaining({ text: expect.stringContaining('heat') as string }),
      expect.objectContaining({ text: expect.stringContaining('bought new') as string }),
    ])
    expect(tries(2)[0]?.orElse).toBeUndefined()
    expect(held(2).consumables).not.toContainEqual({ part: 'impeller', because: 'could not be freed' })
    expect(held(3).consumables).toContainEqual({ part: 'impeller', because: 'could not be freed' })
    expect(tries(9)).toHaveLength(3)
    expect(held(3).minutes.p50).toBeGreaterThan(held(1).minutes.p50 + 20)
  })

  it('what is damaged on the way is renewed with the rest: its work joins in, its old seal is not carried over', () => {
    const plan = planTakeDown('bolted-seal-plate', ['impeller'], { found: [{ part: 'seal-plate', what: 'damaged' }] })
    expect(plan.work.map(({ id }) => id)).toContain('work:seal-plate:fit')
    const seal = planTakeDown('bolted-seal-plate', ['shaft-seal'], {
      found: [{ part: 'seal-plate', what: 'damaged' }],
    }).work.map(({ id }) => id)
    expect(seal.indexOf('work:seal-plate:fit')).toBeLessThan(seal.indexOf('work:shaft-seal:spring'))
    expect(plan.down.map(({ id }) => id)).toContain('down:seal-plate')
    expect(plan.consumables).toContainEqual({ part: 'shaft-seal', because: 'to be replaced' })
  })

  it('what belongs at its own place is counted there: corners, the long bolts, washers under nuts', () => {
    for (const graph of CONSTRUCTION_GRAPHS)
      for (const { places, count, id } of graph.joints)
        if (places)
          expect(
            places.reduce((sum, each) => sum + each.count, 0),
            `${graph.id} ${id}`,
          ).toBe(count)
    expect(step('vertical-shimmed', ['motor'], 'back:shims')?.places).toEqual(
      [1, 2, 3, 4].map((corner) => ({ place: `corner ${corner}`, count: 2 })),
    )
    expect(step('bracket-booster', ['shaft-seal'], 'down:bracket')?.places?.map(({ place }) => place)).toEqual([
      'upper',
      'lower, long',
    ])
    expect(step('motor-bench', ['bearings'], 'down:through-bolts')?.places).toContainEqual({
      place: 'washers under nuts',
      count: 0,
    })
    const counted = planTakeDown('motor-bench', ['bearings'], {
      machineCorrections: [
        {
          joint: 'through-bolts',
          count: 6,
          places: [
            { place: 'bolts', count: 4 },
            { place: 'washers under nuts', count: 2 },
          ],
        },
      ],
    })
    expect(counted.back.find(({ id }) => id === 'back:through-bolts')).toMatchObject({
      count: 6,
      places: [
        { place: 'bolts', count: 4 },
        { place: 'washers under nuts', count: 2 },
      ],
    })
  })

  it('this machine’s own count and hand win', () =>
    expect(
      planTakeDown('bolted-seal-plate', ['impeller'], {
        machineCorrections: [
          { joint: 'cover-bolts', count: 8 },
          { joint: 'lock-screw', hand: 'right' },
        ],
      }).down,
    ).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ id: 'down:cover-bolts', count: 8 }),
        expect.objectContaining({ id: 'down:lock-screw', hand: 'right', turn: 'counter-clockwise' }),
      ]),
    ))

  it('this machine’s own order, how it lies, and pieces besides', () => {
    const own = planTakeDown('bolted-seal-plate', ['impeller'], {
      machineCorrections: [
        { joint: 'rear-cover', after: ['cover-bolts'] },
        { joint: 'diffuser', orientation: 'fin at 10', extra: '3 washers under one nut {x}' },
      ],
    })
    const ids = own.down.map(({ id }) => id)
    expect(ids.indexOf('down:rear-cover')).toBeGreaterThan(ids.indexOf('down:cover-bolts'))
    const plain = planTakeDown('bolted-seal-plate', ['impeller']).down.map(({ id }) => id)
    expect(plain.indexOf('down:rear-cover')).toBeLessThan(plain.indexOf('down:cover-bolts'))
    const diffuser = [...own.down, ...own.back].filter(({ id }) => id.endsWith(':diffuser'))
    expect(diffuser.map(({ orientation }) => orientation)).toEqual(['fin at 10', 'fin at 10'])
    for (const { text } of diffuser) expect(text).toContain('3 washers under one nut {x}')
  })

  it('an order that would wait for itself is left as it was: the plan can always be finished', () => {
    const circle = planTakeDown('bolted-seal-plate', ['impeller'], {
      machineCorrections: [
        { joint: 'cover-bolts', after: ['impeller', 'moon'] },
        { joint: 'diffuser', after: ['diffuser'] },
      ],
    })
    expect(circle.down.map(({ id }) => id)).toEqual(
      planTakeDown('bolted-seal-plate', ['impeller']).down.map(({ id }) => id),
    )
  })

  it('what lies open anyway is named with its minutes', () =>
    expect(planTakeDown('band-clamp', ['shaft-seal']).whileOpen.map(({ part }) => part)).toEqual(
      expect.arrayContaining(['impeller', 'diffuser']),
    ))

  it('what is renewed with it anyway is not asked about again', () => {
    const { whileOpen, consumables } = planTakeDown('band-clamp', ['shaft-seal'])
    expect(
      whileOpen
        .map(({ part }) => part)
        .filter((part) => consumables.some((each) => 'part' in each && each.part === part)),
    ).toEqual([])
  })

  it('temporary things are steps that must be undone', () =>
    expect(
      planTakeDown('flooded-circulation', ['pump'])
        .steps.filter(({ id }) => isClosing(id))
        .filter(({ temporary }) => temporary)
        .map(({ id }) => id),
    ).toEqual(expect.arrayContaining(['back:plug-overflow'])))
})

describe('what cannot be planned', () => {
  it.each([
    ['steam-engine', ['motor'], {}, 'construction'],
    ['band-clamp', ['stages'], {}, 'targets'],
    ['band-clamp', ['motor'], { opened: ['moon'] }, 'options'],
    ['band-clamp', ['motor'], { machineCorrections: [{ joint: 'moon' }] }, 'options.machineCorrections'],
    ['band-clamp', ['shaft-seal'], { alternativesExcluded: ['clamp'] }, 'targets'],
  ] as const)('%s %j %j names %s', (construction, targets, options, field) => {
    try {
      planTakeDown(construction, [...targets] as Part[], options as never)
      expect.unreachable()
    } catch (error) {
      expect(error).toBeInstanceOf(InputError)
      expect((error as InputError).problems[0]?.field).toBe(field)
    }
  })
})
