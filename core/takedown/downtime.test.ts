import { describe, expect, it } from 'vitest'
import { KIND_CONSTRUCTIONS, type Construction, type Kind, type Standing } from '../knowledge/vocabulary'
import { JOBS, jobsFor } from '../knowledge/repairs/jobs'
import { downtimeOf, waterOff, waterStakes } from './downtime'
import { machineGraph } from './machine-graph'
import { isClosing, isOpening } from './step-ref'
import { stepPlan, type StepPlan } from './step-plan'

const plan = (kind: Kind, construction: Construction, option: string, spareFirst = false) =>
  stepPlan(kind, construction, option, { spareFirst }) as StepPlan
const order = ({ steps }: StepPlan, ...ids: string[]) => ids.map((id) => steps.findIndex((step) => step.id === id))

describe('the water while it is off', () => {
  it(
    'a seal on the nursery’s pump: the spare in first brings the water back long before the seal is done, and ' +
      'nothing is opened twice',
    () => {
      const [inPlace, spare] = [
        plan('circulation', 'flooded-circulation', 'replace-shaft-seal'),
        plan('circulation', 'flooded-circulation', 'replace-shaft-seal', true),
      ]
      const down = downtimeOf('circulation', inPlace, spare, { livestock: true })
      expect(down.urgent).toBe(true)
      expect(down.spareFirst?.p50).toBeLessThan(down.inPlace.p50 - 20)
      expect(down.overrun).toMatch(/Fish first/)
      expect(new Set(spare.steps.map(({ id }) => id)).size).toBe(spare.steps.length)
      expect(waterOff(spare).p50).toBeLessThan(spare.minutes.p50 - 20)
      const at = order(
        spare,
        'down:plug-overflow',
        'down:unions',
        'down:pump-out',
        'work:pump:spare',
        'back:unions',
        'back:make-dead',
        'back:plug-overflow',
        'down:volute-bolts',
        'down:impeller',
        'back:volute-bolts',
      )
      expect(at).not.toContain(-1)
      expect(at).toEqual([...at].sort((a, b) => a - b))
    },
  )

  it('wherever a pump leaves as one, every repair can be done with a spare first, and ends with everything closed', () => {
    for (const [kind, constructions] of Object.entries(KIND_CONSTRUCTIONS) as [Kind, readonly Construction[]][])
      for (const construction of constructions) {
        if (!machineGraph(construction, { kind }).reach.pump) continue
        const { steps, waterBack } = plan(
          kind,
          construction,
          kind === 'sump'
            ? 'replace-float-switch'
            : kind.startsWith('well')
              ? 'replace-pump-end'
              : 'replace-run-capacitor',
          true,
        ) ?? { steps: [] }
        if (steps.length === 0) continue
        expect(waterBack, kind).toBeDefined()
        const closable = steps
          .filter(({ id }) => isOpening(id) && !/(discharge|cool|drive-wait|photograph)$/.test(id))
          .map(({ id }) => id.slice(5))
          .sort()
        expect(
          steps
            .filter(({ id }) => isClosing(id))
            .map(({ id }) => id.slice(5))
            .sort(),
          kind,
        ).toEqual(closable)
      }
  })

  it('says how much stands in the pipe and where it goes', () => {
    const well = plan('well-two-wire', 'submersible-joined', 'replace-two-wire-motor')
    expect(downtimeOf('well-two-wire', well, undefined, { wellDepthMetres: 74, onlySupply: true })).toMatchObject({
      drainBack: {
        litres: expect.closeTo(71.2, 1) as number,
        runsTo: expect.stringContaining('down the well') as string,
      },
      overrun: expect.stringContaining('only water') as string,
    })
    expect(downtimeOf('well-two-wire', well, undefined)).not.toHaveProperty('drainBack')
    expect(downtimeOf('pool', plan('pool', 'band-clamp', 'swap-motor'), undefined).urgent).toBe(false)
  })
})

describe('jobs that no fault asks for', () => {
  it('each plans on every construction that it is for, where it is for, and closes what it opens', () => {
    for (const { id, kinds, standing = ['installed'] } of JOBS)
      for (const kind of kinds)
        for (const construction of KIND_CONSTRUCTIONS[kind]) {
          const name = `${kind} ${construction} ${id}`
          const planned = stepPlan(kind, construction, id, { standing: standing[0] as Standing })
          if (!jobsFor(kind, construction).some((job) => job.id === id)) expect(planned, name).toBeUndefined()
          else {
            const ids = planned?.steps.map((step) => step.id) ?? []
            expect(
              ids.some((step) => step.startsWith('work:')),
              name,
            ).toBe(true)
            for (const step of ids.filter(isClosing)) expect(ids).toContain(step.replace('back:', 'down:'))
          }
          // What is bench work is not planned at the site.
          if (!standing.includes('installed'))
            expect(stepPlan(kind, construction, id, { standing: 'installed' }), name).toBeUndefined()
        }
  })

  it('a sealed submersible’s capacitor: the string up, the base off, bled before it is cut out, the splices made new', () => {
    const sealed = plan('well-two-wire', 'submersible-sealed', 'sealed-capacitor')
    expect(sealed.assemblies).toEqual(['well-installation', 'submersible-sealed'])
    const at = order(
      sealed,
      'down:pull',
      'down:submersible-sealed.base',
      'down:submersible-sealed.discharge',
      'down:submersible-sealed.capacitor-leads',
      'work:run-capacitor:measure',
      'back:submersible-sealed.capacitor-leads',
      'work:run-capacitor:trial',
      'back:submersible-sealed.motor-out',
      'back:submersible-sealed.draw-cord',
      'back:submersible-sealed.leads-cut',
      'back:submersible-sealed.base',
      'back:pull',
    )
    expect(at).not.toContain(-1)
    expect(at).toEqual([...at].sort((a, b) => a - b))
    expect(sealed.steps.find(({ id }) => id === 'back:submersible-sealed.capacitor-leads')?.text).toMatch(
      /crimped on bare strands.*set in hot glue/,
    )
  })

  it('a variable-speed motor brings its relay, its lowest speed and its schedule', () => {
    const ids = plan('pool', 'bolted-seal-plate', 'variable-speed-motor').steps.map(({ id }) => id)
    for (const extra of ['flange', 'relay', 'minimum', 'schedule']) expect(ids).toContain(`work:motor:${extra}`)
  })

  it('a foot valve comes up with its line and is never started dry', () => {
    const foot = plan('jet', 'jet-end', 'replace-foot-valve')
    expect(foot.steps.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['down:suction-line', 'down:foot-valve', 'back:suction-line']),
    )
    expect(foot.cautions.join()).toMatch(/Never started dry/)
  })

  it('what hangs on the water is known before the clock is read, and is the same after', () => {
    const well = { livestock: true, liftMetres: 40, wellDepthMetres: 60 }
    const stakes = waterStakes('well-two-wire', well)
    expect(stakes.urgent).toBe(true)
    expect(
      downtimeOf(
        'well-two-wire',
        plan('well-two-wire', 'submersible-joined', 'replace-two-wire-motor'),
        undefined,
        well,
      ),
    ).toMatchObject(stakes)
    expect(waterStakes('pool')).toMatchObject({ urgent: false })
    expect(waterStakes('pool').overrun).not.toBe(stakes.overrun)
  })
})
