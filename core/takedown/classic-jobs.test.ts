import { describe, expect, it } from 'vitest'
import type { Construction, Kind } from '../knowledge/vocabulary'
import { stepPlan, type RepairOptions, type StepPlan } from './step-plan'

/**
 * The dozen jobs of the trade, read step by step: order, counts, hands, cautions. Basis: common practice of the trade.
 */
const plan = (kind: Kind, construction: Construction, job: string, options: RepairOptions = {}): StepPlan =>
  stepPlan(kind, construction, job, options) as StepPlan
const step = ({ steps }: StepPlan, id: string) => steps.find((each) => each.id === id)
const order = ({ steps }: StepPlan, phase: 'down' | 'work' | 'back' | 'commission') =>
  steps
    .filter((each) => each.phase === phase)
    .map(({ id, count }) => `${id.replace(/^(down|work|back):/, '')}${count === undefined ? '' : ` ${count}`}`)
const materials = ({ consumables }: StepPlan) => consumables.map((each) => ('part' in each ? each.part : each.material))
/** The steps stand in this order, and all of them are there. */
function inOrder({ steps }: StepPlan, ...ids: string[]): void {
  const at = ids.map((id) => steps.findIndex((each) => each.id === id))
  expect(at, ids.filter((_, index) => at[index] === -1).join()).not.toContain(-1)
  expect(at, ids.join(' → ')).toEqual([...at].sort((a, b) => a - b))
}

describe('a motor swap on a band-clamp pool pump', () => {
  const swap = plan('pool', 'band-clamp', 'swap-motor', { motorType: 'permanent-split' })
  it('matches and reads the new motor, then goes from dead, through water and wires, to the plate', () =>
    expect(order(swap, 'down')).toEqual([
      'motor:match',
      'motor:read-new',
      'make-dead',
      'cool',
      'valves',
      'drain 2',
      'support',
      'clamp 1',
      'part-halves 1',
      'rear-cover 2',
      'capacitor-cover 2',
      'discharge',
      'bonding 1',
      'photograph',
      'terminals 3',
      'conduit 1',
      'motor-out',
      'diffuser 4',
      'impeller 1',
      'seal-plate 4',
    ]))
  it('sets its voltage, and fits both halves of the seal before the impeller shuts them in', () => {
    expect(order(swap, 'work')).toEqual([
      'motor:selector',
      'motor:sleeve',
      'shaft-seal:old-spring',
      'shaft-seal:old-seat',
      'shaft-seal:old-sleeve',
      'shaft-seal:look-shaft',
      'shaft-seal:clean-bores',
      'shaft-seal:seat',
      'shaft-seal:spring',
    ])
    expect(step(swap, 'work:motor:match')?.text).toMatch(/horsepower × service factor at least that of the old/)
    expect(step(swap, 'work:motor:selector')?.caution).toMatch(/115 V selection on 230 V/)
  })
  it('renews every ring it disturbs, and the seal', () =>
    expect(materials(swap)).toEqual([
      'motor',
      'shaft-seal',
      'housing-o-ring',
      'diffuser-o-ring',
      'silicone lubricant',
      'PTFE tape',
    ]))
  it('each ring before what covers it; elbow, wires, covers, bond; water before power; the stream after it', () => {
    inOrder(swap, 'back:seal-plate', 'back:impeller', 'work:diffuser-o-ring:groove', 'back:diffuser')
    inOrder(swap, 'back:conduit', 'back:terminals', 'back:rear-cover', 'back:bonding', 'back:make-dead')
    inOrder(swap, 'work:housing-o-ring:groove', 'back:part-halves', 'back:clamp')
    inOrder(swap, 'back:valves', 'work:volute:prime', 'back:make-dead', 'work:discharge-pipe:stream')
    expect(step(swap, 'back:clamp')?.text).toMatch(/in stages, tapped round with a soft mallet/)
    expect(order(swap, 'commission')).toEqual(['discharge-pipe:stream'])
  })
})

describe('a seal on a bracket booster', () => {
  const seal = plan('booster', 'bracket-booster', 'replace-shaft-seal', { motorType: 'permanent-split' })
  it('is drained, goes to the bench, six nuts, one of them hidden, all bracket bolts eased before one is out', () => {
    inOrder(seal, 'down:drain', 'down:hoses', 'down:terminals', 'down:pump-out', 'down:cover-nuts')
    inOrder(seal, 'down:impeller', 'down:bracket:ease', 'down:bracket')
    expect(step(seal, 'down:cover-nuts')?.text).toMatch(/sixth hides below/)
    // The connectors stay in their cover.
    expect(seal.steps.map(({ id }) => id)).not.toContain('down:connectors')
  })
  it('goes back ring, bracket, upper bolts by finger, foot, long bolts, then all; the cap after its grip', () => {
    inOrder(
      seal,
      'work:shaft-seal:spring',
      'work:shaft-seal:seat',
      'work:shaft-o-ring:groove',
      'back:bracket:over',
      'back:bracket:upper',
      'back:bracket:foot',
      'back:bracket',
      'back:impeller',
      'back:rear-cover',
    )
    expect(step(seal, 'back:bracket:upper')?.text).toMatch(/by finger/)
  })
  it('has no diffuser', () => expect(seal.steps.some(({ part }) => part === 'diffuser')).toBe(false))
})

describe('head to motor on the shop bench', () => {
  const head = plan('well-three-wire', 'submersible-joined', 'replace-pump-end', { standing: 'bench' })
  it('opens no well, takes the guard’s screws out before the head, and puts the screen on last', () => {
    expect(order(head, 'down')).toEqual([
      'pump-end:match',
      'submersible-joined.screen 1',
      'submersible-joined.guard 2',
      'submersible-joined.head-nuts 4',
    ])
    expect(step(head, 'down:submersible-joined.guard')?.text).toMatch(/screws lock the head/)
    inOrder(
      head,
      'back:submersible-joined.head-nuts:spline',
      'back:submersible-joined.head-nuts',
      'back:submersible-joined.guard:leads',
      'back:submersible-joined.guard',
      'back:submersible-joined.screen',
    )
  })
  it('greases the spline, potable-rated, and goes crosswise; stainless is slow and lubricated', () => {
    expect(step(head, 'back:submersible-joined.head-nuts')).toMatchObject({
      lubricant: 'potable-rated grease on the spline',
      tighten: { pattern: 'crosswise' },
    })
    expect(step(head, 'down:submersible-joined.head-nuts')?.caution).toMatch(/galls: slow, lubricated/)
  })
  it('needs two at the string, where it is in its well', () => {
    const installed = plan('well-three-wire', 'submersible-joined', 'replace-pump-end')
    const two = installed.steps.filter(({ twoPeople }) => twoPeople).map(({ id }) => id)
    for (const id of ['down:secure', 'down:pull', 'back:pull', 'back:secure']) expect(two).toContain(id)
  })
})

describe('a stage kit', () => {
  const kit = plan('well-two-wire', 'submersible-joined', 'stage-kit', { standing: 'bench' })
  it('parts the motor first, looks for the pin, and keeps the clip and its washers apart', () => {
    inOrder(
      kit,
      'down:submersible-joined.head-nuts',
      'down:submersible-joined.locking-pin',
      'down:submersible-joined.discharge-head',
      'down:submersible-joined.stack-clip',
      'down:submersible-joined.stages-out',
    )
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
  it('grips by straps first, tries both hands, and turns the stack after each stage', () => {
    expect(step(kit, 'down:submersible-joined.discharge-head')).toMatchObject({
      hold: ['strap vise on the shell', expect.stringContaining('emptied pump end') as string],
      caution: expect.stringContaining('try gently both ways') as string,
    })
    expect(step(kit, 'work:stages:kit')).toMatchObject({
      text: expect.stringContaining('must stay free') as string,
      caution: expect.stringContaining('potted or pressed') as string,
    })
  })
})

describe('a seal on a jet pump', () => {
  const seal = plan('jet', 'jet-end', 'replace-shaft-seal', { motorType: 'permanent-split' })
  it('leaves the pipes standing: the tank to zero, the motor and bracket back from the case', () => {
    expect(order(seal, 'down')).toEqual([
      'make-dead',
      'valves',
      'drain 2',
      'support',
      'rear-cover 2',
      'capacitor-cover 2',
      'discharge',
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
      bench: true,
    })
    expect(step(seal, 'work:shaft-seal:old-sleeve')?.text).toMatch(/old inner sleeve/)
  })
})

describe('a pressure switch', () => {
  const pressure = plan('well-three-wire', 'submersible-joined', 'replace-pressure-switch')
  it('is taken at zero pressure, its wires photographed, its nipple held and looked through', () => {
    expect(order(pressure, 'down').sort()).toEqual(
      ['make-dead', 'relieve', 'switch-cover 1', 'switch-wires 6', 'nipple 1'].sort(),
    )
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
  const bench = plan('pool', 'bolted-seal-plate', 'bearings-and-seal', { motorType: 'capacitor-start' })
  it('bags the springs before the rotating part, marks the bells before the bolts, draws the rotor upright', () => {
    expect(
      order(bench, 'down')
        .filter((id) => id.startsWith('motor-bench.'))
        .map((id) => id.replace('motor-bench.', '')),
    ).toEqual([
      'springs 2',
      'switch-rotor:tabs',
      'switch-rotor 1',
      'index 3',
      'jaws',
      'through-bolts 4',
      'drive-bell 1',
      'retainer 1',
      'rotor-out 1',
      'wave-washer 1',
    ])
    expect(step(bench, 'down:motor-bench.rotor-out')?.caution).toMatch(/Shaft upright: the wave washer can drop/)
    expect(step(bench, 'down:motor-bench.switch-rotor')?.caution).toMatch(/never hammer the slotted end/)
  })
  it('has no springs and no switch where the motor has none', () => {
    const split = plan('pool', 'bolted-seal-plate', 'bearings-and-seal', { motorType: 'permanent-split' })
    expect(split.steps.filter(({ part }) => part === 'switch-springs' || part === 'start-switch')).toEqual([])
  })
  it('presses each end on by the inner ring, square; dust out before the rotor; the dog before the last round', () => {
    for (const end of ['drive', 'far'])
      expect(step(bench, `work:bearings:press-${end}`)).toMatchObject({
        text: expect.stringMatching(/inner ring only, square/) as string,
        count: 1,
        bench: true,
      })
    inOrder(
      bench,
      'back:motor-bench.wave-washer',
      'back:motor-bench.rotor-out:blow',
      'back:motor-bench.rotor-out',
      'back:motor-bench.drive-bell',
      'back:motor-bench.retainer',
      'back:motor-bench.index',
      'back:motor-bench.through-bolts',
      'back:motor-bench.switch-rotor',
      'back:motor-bench.springs',
      'back:rear-cover',
    )
    expect(step(bench, 'back:motor-bench.through-bolts')).toMatchObject({
      tighten: { pattern: 'crosswise' },
      text: expect.stringContaining('spinning the shaft after each round') as string,
    })
  })
})

describe('a vertical motor on its shims, on the bench', () => {
  const vertical = plan('utility', 'vertical-shimmed', 'bearings-and-seal', {
    motorType: 'capacitor-start',
    standing: 'bench',
  })
  it('has no step of its site; is numbered and unbolted corner by corner; the clip’s nuts before the bell', () => {
    expect(order(vertical, 'down')).toEqual([
      'top-cover 2',
      'electrical-plate 3',
      'discharge',
      'index 3',
      'number-shims',
      'motor-bolts 4',
      'shims 8',
      'bottom-plate 6',
      'impeller 1',
      'body 1',
      'retainer 2',
      'through-bolts 4',
      'lower-bell 1',
      'bell-off 1',
      'upper-retainer 1',
    ])
    expect(step(vertical, 'back:shims')).toMatchObject({
      text: expect.stringContaining('own corners') as string,
      orientation: expect.stringContaining('measure the gap instead') as string,
    })
  })
  it('the fixed half into the open body, the body on, shims and bolts, the moving half, then the impeller', () =>
    inOrder(
      vertical,
      'work:shaft-seal:seat',
      'back:lower-bell',
      'back:index',
      'back:through-bolts',
      'back:body',
      'back:shims',
      'back:motor-bolts',
      'work:shaft-seal:spring',
      'back:impeller',
      'back:bottom-plate',
      'back:top-cover',
    ))
})

describe('a sealed submersible to its capacitor, on the bench', () => {
  const sealed = plan('well-two-wire', 'submersible-sealed', 'sealed-capacitor', {
    motorType: 'permanent-split',
    standing: 'bench',
  })
  it('straps, screen, base, clip, sets, the sealed one, cable, cord, motor, bled, capacitor', () =>
    expect(order(sealed, 'down').map((id) => id.replace('submersible-sealed.', ''))).toEqual([
      'strap',
      'screen 2',
      'base 1',
      'stack-clip 4',
      'stages-out 5',
      'sealed-stage 1',
      'motor-ring 1',
      'cable-clamp 1',
      'cable-plate 2',
      'draw-cord',
      'leads-cut 3',
      'motor-out 1',
      'discharge',
      'capacitor-leads 2',
    ]))
  it('is measured, joined, tried for a second, and the motor goes back by its cord', () => {
    inOrder(
      sealed,
      'work:run-capacitor:measure',
      'back:submersible-sealed.capacitor-leads:sleeve',
      'back:submersible-sealed.capacitor-leads',
      'work:run-capacitor:trial',
      'back:submersible-sealed.motor-out',
      'back:submersible-sealed.draw-cord',
      'back:submersible-sealed.leads-cut',
      'back:submersible-sealed.cable-plate:body',
      'back:submersible-sealed.cable-plate',
      'back:submersible-sealed.cable-clamp',
      'back:submersible-sealed.motor-ring',
      'back:submersible-sealed.sealed-stage',
      'back:submersible-sealed.stages-out',
      'back:submersible-sealed.stack-clip',
      'work:shaft:turn',
      'back:submersible-sealed.base',
      'back:submersible-sealed.screen',
    )
    expect(step(sealed, 'work:run-capacitor:trial')?.text).toMatch(/one second of power, no longer/)
  })
})

describe('a variable-speed retrofit', () => {
  const drive = plan('pool', 'bolted-seal-plate', 'variable-speed-motor', { motorType: 'permanent-split' })
  it('is commissioned once it is mounted, wired, bonded, primed and powered, and not before', () => {
    inOrder(
      drive,
      'back:cover-bolts',
      'back:conduit',
      'back:terminals',
      'work:motor:relay',
      'back:rear-cover',
      'back:bonding',
      'work:volute:prime',
      'back:make-dead',
      'work:discharge-pipe:stream',
      'work:motor:display',
      'work:motor:minimum',
      'work:motor:schedule',
    )
    expect(order(drive, 'commission')).toEqual([
      'discharge-pipe:stream',
      'motor:display',
      'motor:minimum',
      'motor:schedule',
    ])
  })
  it('locks the impeller with the screw of the other hand, after it', () => {
    inOrder(drive, 'down:lock-screw', 'down:impeller', 'back:impeller', 'back:lock-screw')
    expect(step(drive, 'down:lock-screw')?.turn).toBe('clockwise')
    expect(step(drive, 'down:impeller')?.turn).toBe('counter-clockwise')
  })
})

describe('a sump pump whose adapter will not turn, and a float too low', () => {
  const found = [
    { joint: 'outlet-adapter', what: 'stuck' as const },
    { joint: 'outlet-adapter', what: 'stuck' as const },
  ]
  const sump = stepPlan('sump', 'sump-sealed', ['swap-sump-pump', 'set-float-heights'], { found }) as StepPlan
  it('saws it, dry-fits, cements, and the cure holds the water', () => {
    inOrder(
      sump,
      'down:backup-off',
      'down:bucket',
      'down:check-valve',
      'down:lift-out',
      'down:outlet-adapter:free2',
      'back:outlet-adapter:dry-fit',
      'back:outlet-adapter:cement',
      'back:outlet-adapter',
    )
    expect(sump.waits).toContainEqual(expect.objectContaining({ after: 'back:outlet-adapter', closes: 'unplug' }))
    expect(materials(sump)).toEqual(expect.arrayContaining(['pump', 'adapter', 'primer and cement']))
  })
  it('the pit is clean before the pump goes in, the backup is plugged last, and both jobs share one way', () => {
    inOrder(sump, 'work:intake-screen:clean-pit', 'back:lift-out', 'back:unplug', 'back:backup-off', 'back:make-dead')
    inOrder(sump, 'work:backup-float:set', 'back:lift-out')
    expect(sump.steps.filter(({ id }) => id === 'down:backup-off')).toHaveLength(1)
    // A float that is raised is not bought.
    expect(materials(sump)).not.toContain('backup-float')
  })
})
