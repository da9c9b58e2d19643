import { describe, expect, it } from 'vitest'
import { ORDER_RULES } from '../knowledge/constructions/order-rules'
import { KIND_CONSTRUCTIONS, MOTOR_TYPES, type Construction, type Kind, type MotorType } from '../knowledge/vocabulary'
import { MOTOR_HAS } from '../motor/nameplate'
import { machineGraph } from './machine-graph'
import type { TakeDownStep } from './plan'
import { jobsHere, repairSteps, type Repair } from './step-plan'
import { isClosing, isOpening, jointOf, parseJoint } from './step-ref'

interface Planned {
  name: string
  kind: Kind
  construction: Construction
  motorType: MotorType
  standing: 'installed' | 'bench'
  job: string
  plan: Repair
  at: ReadonlyMap<string, number>
}

/** Every construction × job × motor type × standing, planned. */
const every: Planned[] = (Object.entries(KIND_CONSTRUCTIONS) as [Kind, readonly Construction[]][]).flatMap(
  ([kind, constructions]) =>
    constructions.flatMap((construction) =>
      (Object.keys(MOTOR_TYPES) as MotorType[]).flatMap((motorType) =>
        (['installed', 'bench'] as const).flatMap((standing) =>
          jobsHere(kind, construction, { motorType, standing }).map((job): Planned => {
            const plan = repairSteps(kind, construction, job, { motorType, standing }) as Repair
            return {
              name: `${construction} ${motorType} ${standing} ${job}`,
              kind,
              construction,
              motorType,
              standing,
              job,
              plan,
              at: new Map(plan.steps.map(({ id }, index) => [id, index])),
            }
          }),
        ),
      ),
    ),
)
const plain = (id: string) => parseJoint(jointOf(id) ?? '').joint
/** Steps of a plan that do a thing, by its place in the order. */
const does = ({ plan }: Planned, test: (step: TakeDownStep) => boolean) =>
  plan.steps.flatMap((step, index) => (test(step) ? [index] : []))
/** All of the first before all of the then, wherever both are planned; and it says how often it was so. */
function always(first: (step: TakeDownStep) => boolean, then: (step: TakeDownStep) => boolean, among = every): number {
  let times = 0
  for (const planned of among) {
    const [a, b] = [does(planned, first), does(planned, then)]
    if (a.length === 0 || b.length === 0) continue
    times++
    expect(Math.max(...a), planned.name).toBeLessThan(Math.min(...b))
  }
  return times
}
const closes =
  (...joints: string[]) =>
  (step: TakeDownStep) =>
    isClosing(step.id) && joints.includes(plain(step.id))
/** Of the machine's own, not of an inner assembly's. */
const closesOuter =
  (...joints: string[]) =>
  (step: TakeDownStep) =>
    isClosing(step.id) && joints.includes(jointOf(step.id) as string)
const opens =
  (...joints: string[]) =>
  (step: TakeDownStep) =>
    isOpening(step.id) && joints.includes(plain(step.id))
const is =
  (...ids: string[]) =>
  (step: TakeDownStep) =>
    ids.includes(step.id)

describe('the order by its reasons, over every construction, job, motor and standing', () => {
  it('plans them all', () => expect(every.length).toBeGreaterThan(2000))

  it.each(ORDER_RULES.map((rule) => [`${rule.first} before ${rule.then}: ${rule.because}`, rule] as const))(
    '%s',
    (_, { first, then, within }) => {
      for (const planned of every) {
        const { plan, kind, construction, motorType, standing } = planned
        const graph = machineGraph(construction, { kind, motorType, standing })
        const home = (step: TakeDownStep) =>
          step.assembly ??
          graph.homes.get(jointOf(step.id) ?? '') ??
          graph.finish.find(({ part, id }) => `work:${part}:${id}` === step.id)?.home
        for (const one of plan.steps.filter(({ tags }) => tags?.includes(first)))
          for (const other of plan.steps.filter(({ tags }) => tags?.includes(then)))
            if (one.id !== other.id && (!within || home(one) === home(other)))
              expect(planned.at.get(one.id), `${planned.name}: ${one.id}, ${other.id}`).toBeLessThan(
                planned.at.get(other.id) as number,
              )
      }
    },
  )
})

/** The rules that hold across the jobs of the trade, numbered as the handbook of the shop numbers them. */
describe('the rules across the jobs', () => {
  it('1: dead before a wire or a bond is touched', () =>
    expect(always(opens('make-dead'), opens('terminals', 'bonding', 'capacitor-leads', 'box-leads'))).toBeGreaterThan(
      50,
    ))

  it('2: a space that holds a capacitor is bled before any hand is in it', () => {
    const inside = opens(
      'terminals',
      'capacitor-leads',
      'springs',
      'switch-rotor',
      'through-bolts',
      'box-leads',
      'photograph',
    )
    const charged = every.filter(
      ({ motorType }) => MOTOR_HAS.runCapacitor(motorType) || MOTOR_HAS.startCapacitor(motorType),
    )
    expect(
      always(opens('discharge'), (step) => inside(step) && plain(step.id) !== 'photograph', charged),
    ).toBeGreaterThan(50)
    for (const { plan, name, construction } of charged) {
      if (!construction.startsWith('submersible') && plan.steps.some(opens('terminals', 'capacitor-leads', 'springs')))
        expect(plan.steps.some(opens('discharge')), name).toBe(true)
      // Working behind the rear cap or in the box, without a wire: bled all the same.
      if (plan.steps.some(({ id }) => /^work:(selector|start-switch|thermal-protector):/.test(id)))
        expect(plan.steps.some(opens('discharge')), name).toBe(true)
    }
    for (const { plan, name } of every.filter(({ motorType }) => motorType === 'split-phase'))
      expect(
        plan.steps.some(({ part }) => part === 'run-capacitor' || part === 'start-capacitor'),
        name,
      ).toBe(false)
  })

  it('9: drained before it is parted, a bucket before the riser is opened', () => {
    expect(
      always(
        opens('drain', 'unions'),
        opens('part-halves'),
        every.filter(({ standing }) => standing === 'installed'),
      ),
    ).toBeGreaterThan(50)
    expect(always(opens('bucket'), opens('check-valve', 'cut-riser', 'lift-out'))).toBeGreaterThan(3)
  })

  it('10: photograph before wire, mark before bolt, number before shim', () => {
    expect(always(opens('photograph'), opens('terminals'))).toBeGreaterThan(20)
    expect(always(opens('index'), opens('through-bolts'))).toBeGreaterThan(20)
    expect(always(opens('number-shims'), opens('motor-bolts', 'shims'))).toBeGreaterThan(5)
  })

  it('11: the motor is supported before what carries it leaves', () =>
    expect(
      always(opens('support'), opens('clamp', 'cover-bolts', 'case-bolts', 'cover-nuts', 'seal-plate')),
    ).toBeGreaterThan(30))

  it('13: the old out and the bore clean before a new half goes in, both in before the impeller shuts them', () => {
    const old = is(
      'work:shaft-seal:old-seat',
      'work:shaft-seal:old-spring',
      'work:shaft-seal:old-sleeve',
      'work:shaft-seal:clean-bores',
    )
    const fresh = is('work:shaft-seal:seat', 'work:shaft-seal:spring')
    expect(always(old, fresh)).toBeGreaterThan(50)
    expect(always(fresh, closes('impeller'))).toBeGreaterThan(50)
  })

  it('14: each ring before what covers it', () => {
    expect(always(is('work:shaft-o-ring:groove'), (step) => step.id === 'back:bracket:over')).toBeGreaterThan(3)
    expect(always(is('work:diffuser-o-ring:groove'), closes('diffuser'))).toBeGreaterThan(20)
    expect(always(is('work:housing-o-ring:groove'), closes('part-halves'))).toBeGreaterThan(50)
  })

  it('15: the eye screw leaves before the impeller and comes back after it, with the other hand', () => {
    expect(always(opens('lock-screw'), opens('impeller'))).toBeGreaterThan(5)
    expect(always(closes('impeller'), closes('lock-screw'))).toBeGreaterThan(5)
    for (const { plan } of every)
      for (const step of plan.steps.filter(opens('lock-screw')))
        expect([step.hand, step.turn]).toEqual(['left', 'clockwise'])
  })

  it('16: the grip for the impeller before its cap closes', () =>
    expect(always(closes('impeller', 'lock-screw'), closesOuter('rear-cover', 'fan-cover'))).toBeGreaterThan(30))

  it('17: the short upper bolts by finger, the foot, the long ones, then all', () =>
    expect(
      always(is('back:bracket:upper'), is('back:bracket:foot')) && always(is('back:bracket:foot'), is('back:bracket')),
    ).toBeGreaterThan(3))

  it('18: dry-fitted before it is glued', () =>
    expect(always((step) => step.id === 'back:cut-pipes:dry-fit', closes('cut-pipes'))).toBeGreaterThan(3))

  it('19: a part is measured before it is fitted, and tried before the shell shuts over it', () => {
    expect(always(is('work:run-capacitor:measure'), closes('capacitor-leads'))).toBeGreaterThan(5)
    expect(
      always(
        is('work:run-capacitor:trial'),
        closes('motor-out', 'base'),
        every.filter(({ construction }) => construction === 'submersible-sealed'),
      ),
    ).toBeGreaterThan(1)
  })

  it('20: leads, then their guard, then the screen; the cord tied before the motor leaves', () => {
    expect(always((step) => step.id.endsWith('guard:leads'), closes('guard'))).toBeGreaterThan(5)
    expect(
      always(
        closes('guard'),
        closes('screen'),
        every.filter(({ construction }) => construction === 'submersible-joined'),
      ),
    ).toBeGreaterThan(5)
    expect(
      always(
        opens('draw-cord'),
        opens('motor-out'),
        every.filter(({ construction }) => construction === 'submersible-sealed'),
      ),
    ).toBeGreaterThan(1)
    // Its leads are through before the cord comes off.
    expect(
      always(
        closes('motor-out'),
        closes('draw-cord'),
        every.filter(({ construction }) => construction === 'submersible-sealed'),
      ),
    ).toBeGreaterThan(1)
  })

  it('21: elbow, wires, cover, bond; the bond is the last connection before the breaker', () => {
    expect(always(closes('conduit'), closes('terminals'))).toBeGreaterThan(20)
    expect(always(closes('terminals', 'capacitor-leads'), closes('bonding'))).toBeGreaterThan(10)
    expect(always(closes('bonding'), closes('make-dead'))).toBeGreaterThan(10)
  })

  it('22: the water to prime before the power, the steady stream after it', () => {
    expect(always(is('work:volute:prime'), closes('make-dead'))).toBeGreaterThan(50)
    expect(always(closes('make-dead'), (step) => step.phase === 'commission')).toBeGreaterThan(50)
  })

  it('23: a drive is set only once it is mounted, wired, bonded, primed and powered', () => {
    const set = is('work:motor:display', 'work:motor:minimum', 'work:motor:schedule')
    expect(
      always(
        (step) =>
          closes('make-dead', 'bonding', 'terminals', 'clamp', 'cover-bolts')(step) || step.id === 'work:volute:prime',
        set,
      ),
    ).toBeGreaterThan(3)
  })

  it('25: turned by hand before the last cover, and again before power', () => {
    expect(always(is('work:shaft:turn'), closesOuter('rear-cover', 'top-cover', 'fan-cover', 'base'))).toBeGreaterThan(
      20,
    )
    expect(always(is('work:shaft:turn-again'), closes('make-dead'))).toBeGreaterThan(20)
  })

  it('26: the backup and its battery are unplugged first and plugged last', () => {
    const pit = every.filter(({ kind }) => kind === 'sump')
    expect(always(opens('backup-off'), opens('lift-out', 'check-valve', 'cut-riser'), pit)).toBeGreaterThan(3)
    expect(always(closes('unplug', 'lift-out'), closes('backup-off'), pit)).toBeGreaterThan(3)
  })

  it('27: what is temporary goes in and out again', () => {
    for (const { plan, name } of every)
      for (const { id, temporary } of plan.steps)
        if (temporary && isOpening(id))
          expect(
            plan.steps.some((step) => isClosing(step.id) && jointOf(step.id) === jointOf(id)),
            name,
          ).toBe(true)
  })

  it('29: no step is two things: a seal’s halves, a bearing’s ends, each by itself', () => {
    for (const { plan, name } of every) {
      const ids = plan.steps.map(({ id }) => id)
      expect(new Set(ids).size, name).toBe(ids.length)
      for (const [one, other] of [
        ['work:shaft-seal:seat', 'work:shaft-seal:spring'],
        ['work:bearings:press-drive', 'work:bearings:press-far'],
      ] as const)
        if (!name.startsWith('submersible-sealed')) expect(ids.includes(one), name).toBe(ids.includes(other))
    }
  })

  it('31: seal halves sit where the construction has them', () => {
    const seat = (construction: Construction) =>
      every
        .find((planned) => planned.construction === construction && planned.job === 'replace-shaft-seal')
        ?.plan.steps.find(({ id }) => id === 'work:shaft-seal:seat')?.text
    expect(seat('band-clamp')).toMatch(/into the plate/)
    for (const construction of ['bolted-seal-plate', 'bracket-booster', 'flooded-circulation'] as const)
      expect(seat(construction), construction).toMatch(/into the impeller/)
    expect(seat('vertical-shimmed')).toMatch(/into the body/)
  })

  it('39: on the bench no step of the site, and at the site what is pressed is marked as bench work', () => {
    const site = new Set([
      'make-dead',
      'valves',
      'relieve',
      'terminals',
      'conduit',
      'bonding',
      'cap',
      'pull',
      'secure',
      'unions',
      'backup-off',
    ])
    for (const { plan, name, standing } of every) {
      if (standing === 'bench')
        for (const { id } of plan.steps) expect(site.has(plain(id)), `${name} ${id}`).toBe(false)
      for (const step of plan.steps)
        if (/^work:bearings:(pull|press)/.test(step.id)) expect(step.bench, name).toBe(true)
    }
  })
})
