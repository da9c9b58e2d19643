import { describe, expect, it } from 'vitest'
import type { Construction, Kind } from '../knowledge/vocabulary'
import { stepPlan, type StepPlan } from './step-plan'

/**
 * The dozen jobs of the trade, read step by step: order, counts, hands, cautions. Basis: common practice of the trade.
 */
const plan = (kind: Kind, construction: Construction, job: string): StepPlan =>
  stepPlan(kind, construction, job) as StepPlan
const step = ({ steps }: StepPlan, id: string) => steps.find((each) => each.id === id)
const order = ({ steps }: StepPlan, phase: 'down' | 'work' | 'back') =>
  steps
    .filter((each) => each.phase === phase)
    .map(({ id, count }) => `${id.replace(/^(down|work|back):/, '')}${count === undefined ? '' : ` ${count}`}`)
const materials = ({ consumables }: StepPlan) => consumables.map((each) => ('part' in each ? each.part : each.material))

describe('a motor swap on a band-clamp pool pump', () => {
  const swap = plan('pool', 'band-clamp', 'swap-motor')
  it('goes from dead, through wires and water, to the band, the plate and the motor', () =>
    expect(order(swap, 'down')).toEqual([
      'make-dead',
      'bonding 1',
      'cool',
      'discharge',
      'rear-cover 2',
      'terminals 3',
      'valves',
      'drain 2',
      'support',
      'clamp 1',
      'part-halves 1',
      'diffuser 4',
      'impeller 1',
      'seal-plate 4',
      'motor-out',
    ]))
  it('matches the new motor and sets its voltage before it goes in', () => {
    expect(order(swap, 'work')).toEqual(['motor:match', 'motor:selector', 'motor:new-seal'])
    expect(step(swap, 'work:motor:match')?.text).toMatch(/horsepower × service factor at least that of the old/)
    expect(step(swap, 'work:motor:selector')?.caution).toMatch(/115 V selection on 230 V/)
  })
  it('renews every ring it disturbs, and the seal', () =>
    expect(materials(swap)).toEqual(['motor', 'housing-o-ring', 'diffuser-o-ring', 'shaft-seal', 'PTFE tape']))
  it('ends with the band in stages, the bonding, and the breaker', () => {
    expect(step(swap, 'back:clamp')?.text).toMatch(/in stages, tapped round with a soft mallet/)
    expect(order(swap, 'back').slice(-2)).toEqual(['bonding 1', 'make-dead'])
  })
})

describe('a seal on a bracket booster', () => {
  const seal = plan('booster', 'bracket-booster', 'replace-shaft-seal')
  it('is drained before its six nuts, one of them hidden, and leaves the hoses on', () => {
    expect(order(seal, 'down')).toEqual([
      'make-dead',
      'rear-cover 1',
      'valves',
      'drain 1',
      'support',
      'cover-nuts 6',
      'part-halves 1',
      'impeller 1',
      'bracket 4',
    ])
    expect(step(seal, 'down:cover-nuts')?.text).toMatch(/sixth hides below/)
  })
  it('goes back upper bolts finger-tight, the foot on its base, the long pair below', () =>
    expect(step(seal, 'back:bracket')?.text).toMatch(/upper bolts finger-tight, foot on its base, the long pair below/))
})

describe('head to motor on the shop bench', () => {
  const head = plan('well-three-wire', 'submersible-joined', 'replace-pump-end')
  it('takes the guard’s screws out before the head, and puts the screen on last of all', () => {
    expect(order(head, 'down').slice(-3)).toEqual([
      'submersible-joined.screen 2',
      'submersible-joined.guard 4',
      'submersible-joined.head-nuts 4',
    ])
    expect(step(head, 'down:submersible-joined.guard')?.text).toMatch(/screws lock the head/)
    expect(order(head, 'back').slice(0, 3)).toEqual([
      'submersible-joined.head-nuts 4',
      'submersible-joined.guard 4',
      'submersible-joined.screen 2',
    ])
    expect(step(head, 'back:submersible-joined.screen')?.text).toMatch(/last of all/)
  })
  it('greases the spline, potable-rated, and goes crosswise; stainless is slow and lubricated', () => {
    expect(step(head, 'back:submersible-joined.head-nuts')).toMatchObject({
      lubricant: 'potable-rated grease on the spline',
      tighten: { pattern: 'crosswise' },
    })
    expect(step(head, 'down:submersible-joined.head-nuts')?.caution).toMatch(/galls: slow, lubricated/)
  })
  it('needs two at the string', () =>
    expect(head.steps.filter(({ twoPeople }) => twoPeople).map(({ id }) => id)).toEqual([
      'down:secure',
      'down:pull',
      'back:pull',
      'back:secure',
    ]))
})

describe('a stage kit', () => {
  const kit = plan('well-two-wire', 'submersible-joined', 'stage-kit')
  it('keeps the clip, its thick washer and its thin ones apart, and the stages on a wire', () => {
    expect(step(kit, 'down:submersible-joined.stack-clip')?.places).toEqual([
      { place: 'clip', count: 1 },
      { place: 'thick washer', count: 1 },
      { place: 'thin washers', count: 2 },
    ])
    expect(step(kit, 'down:submersible-joined.stages-out')).toMatchObject({
      count: 12,
      text: expect.stringContaining('onto a wire') as string,
      caution: expect.stringContaining('not by levering on the shaft') as string,
    })
  })
  it('grips the shell by a strap, tries both hands, and turns the stack after each stage', () => {
    expect(step(kit, 'down:submersible-joined.discharge-head')).toMatchObject({
      hold: ['strap vise on the shell'],
      caution: expect.stringContaining('try gently both ways') as string,
    })
    expect(step(kit, 'work:stages:kit')).toMatchObject({
      text: expect.stringContaining('must stay free') as string,
      caution: expect.stringContaining('potted or pressed') as string,
    })
  })
})

describe('a seal on a jet pump', () => {
  const seal = plan('jet', 'jet-end', 'replace-shaft-seal')
  it('leaves the pipes standing: the tank to zero, the motor and bracket back from the case', () => {
    expect(order(seal, 'down')).toEqual([
      'make-dead',
      'rear-cover 2',
      'valves',
      'drain 2',
      'support',
      'switch-tube 1',
      'case-bolts 4',
      'part-halves 1',
      'diffuser 3',
      'impeller 1',
      'bracket 4',
    ])
    expect(step(seal, 'down:valves')?.caution).toMatch(/until the gauge reads zero/)
    expect(step(seal, 'down:case-bolts')?.text).toMatch(/pipes left standing/)
  })
  it('drives the spring half by its rim and faces carbon to ceramic', () => {
    expect(step(seal, 'work:shaft-seal:spring')).toMatchObject({
      text: expect.stringContaining('metal rim only, dead square') as string,
      orientation: 'carbon faces the ceramic',
    })
    expect(step(seal, 'work:shaft-seal:old-sleeve')?.text).toMatch(/old inner sleeve left on the shaft/)
  })
})

describe('a pressure switch', () => {
  const pressure = plan('well-three-wire', 'submersible-joined', 'replace-pressure-switch')
  it('is taken at zero pressure, its wires photographed, its nipple held and looked through', () => {
    expect(order(pressure, 'down')).toEqual(['make-dead', 'relieve', 'switch-cover 1', 'switch-wires 6', 'nipple 1'])
    expect(step(pressure, 'down:switch-wires')?.text).toMatch(/Photograph.*line one side, motor the other/)
    expect(step(pressure, 'down:nipple')?.text).toMatch(/look through the nipple/)
  })
  it('goes on with tape clear of the bore, and is tried against the gauge', () => {
    expect(step(pressure, 'back:nipple')?.text).toMatch(/tape clockwise.*clear of the bore/)
    expect(step(pressure, 'work:pressure-switch:fit')?.text).toMatch(/tried against the gauge/)
    expect(materials(pressure)).toEqual(['pressure-switch', 'PTFE tape'])
  })
})

describe('bearings in a motor', () => {
  const bench = plan('pool', 'bolted-seal-plate', 'bearings-and-seal')
  it('bags the springs before the rotating part, marks the bells before the through-bolts, draws the rotor upright', () => {
    expect(
      order(bench, 'down')
        .filter((id) => id.startsWith('motor-bench.'))
        .map((id) => id.replace('motor-bench.', '')),
    ).toEqual([
      'discharge',
      'rear-cover 2',
      'springs 2',
      'switch-rotor 1',
      'index 3',
      'through-bolts 4',
      'drive-bell 1',
      'retainer 2',
      'rotor-out 1',
    ])
    expect(step(bench, 'down:motor-bench.rotor-out')?.caution).toMatch(/Shaft upright: the wave washer can drop/)
    expect(step(bench, 'down:motor-bench.switch-rotor')?.caution).toMatch(/never hammer the shaft end/)
  })
  it('presses on by the inner ring, square, to the shoulder; through-bolts crosswise, spinning after each round', () => {
    expect(step(bench, 'work:bearings:press')?.text).toMatch(/inner ring only, square, to the shoulder/)
    expect(step(bench, 'back:motor-bench.through-bolts')).toMatchObject({
      tighten: { pattern: 'crosswise' },
      text: expect.stringContaining('spinning the shaft after each round') as string,
    })
  })
})

describe('a vertical motor on its shims', () => {
  const vertical = plan('utility', 'vertical-shimmed', 'bearings-and-seal')
  it('is marked, unbolted corner by corner, and its shims are numbered', () => {
    expect(order(vertical, 'down')).toEqual([
      'make-dead',
      'cool',
      'discharge',
      'top-cover 2',
      'electrical-plate 3',
      'terminals 3',
      'index 3',
      'motor-bolts 4',
      'shims 8',
      'bottom-plate 6',
      'impeller 1',
      'through-bolts 4',
      'retainers 2',
    ])
    expect(step(vertical, 'back:shims')).toMatchObject({
      text: expect.stringContaining('own corners') as string,
      orientation: expect.stringContaining('measure the gap instead') as string,
    })
  })
})
