import type { ActionRow } from '../knowledge/faults/model-types'
import { jobsFor } from '../knowledge/repairs/jobs'
import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import type { Assembly, WorkStep } from '../knowledge/constructions/joint'
import { IN_THE_MOTOR, IN_THE_PUMP, PRESSURE_SIDE, RINGS_ALONE } from '../knowledge/constructions/part-groups'
import { about, makeDead, valves } from '../knowledge/constructions/shared'
import { WELLS, type Construction, type Kind, type Part } from '../knowledge/vocabulary'
import { hasJoint, jointHere, workStepHere } from './as-here'
import { minutesOf } from './clock'
import { inAssembly, jointOf, parseJoint, printJoint, printStep } from './step-ref'
import {
  backStep,
  downStep,
  graphOf,
  untimedPlan,
  workStep,
  type TakeDownOptions,
  type TakeDownPlan,
  type TakeDownStep,
  type UntimedPlan,
} from './plan'

/**
 * A step's sentence in two: what is done, and how. "Lock screw out of the impeller eye" · "Left-handed, turn it
 * clockwise."
 */
export function splitStep(text: string): { title: string; how: string } {
  const found = /^(.{12,64}?)[:;.,] (.+)$/.exec(text)
  if (!found) return { title: text, how: '' }
  const how = found[2] as string
  return {
    title: found[1] as string,
    how: `${how.charAt(0).toUpperCase()}${how.slice(1)}${/[.!?]$/.test(how) ? '' : '.'}`,
  }
}

/** The steps of a chosen repair, through one assembly or from one into the next. */
export interface StepPlan extends Omit<TakeDownPlan, 'construction' | 'down' | 'work' | 'back'> {
  assemblies: readonly Assembly[]
  steps: TakeDownStep[]
  /** The step after which the water is back, where that is not the last. */
  waterBack?: string
}
/** A repair’s steps without its clock, which takes longer to read than to plan. */
export type Repair = Omit<StepPlan, 'minutes'>
/** What a repair is planned with, beside what any take-down is. */
export interface RepairOptions extends TakeDownOptions {
  /** A spare goes in at once; the repair follows on the bench. */
  spareFirst?: boolean
}

/** One assembly of a repair: what is reached in it, and what of that is only the way to the next. */
interface Leg {
  assembly: Assembly
  targets: readonly Part[]
  accessOnly?: readonly Part[]
}

/**
 * The steps of a chosen repair: down, the work, and back in the reverse order, planned in least time through every
 * assembly on the way.
 *
 * A repair that opens nothing gets its gates, its own sentence as the work, and the gates back: never an empty page.
 *
 * @param actionId the option chosen under Decide
 * @returns undefined for a repair that is none
 */
export function stepPlan(
  kind: Kind,
  construction: Construction,
  actionId: string,
  options: RepairOptions = {},
): StepPlan | undefined {
  const plan = repairSteps(kind, construction, actionId, options)
  return plan && { ...plan, minutes: minutesOf(plan.steps, plan.waits, options.seed) }
}

/** The same without its minutes, for whoever reads only the steps. */
export function repairSteps(
  kind: Kind,
  construction: Construction,
  actionId: string,
  options: RepairOptions = {},
): Repair | undefined {
  const action = KIND_KNOWLEDGE[kind]?.actions.find(({ id }) => id === actionId)
  const job = jobsFor(kind, construction).find(({ id }) => id === actionId)
  const wanted = action ?? job
  if (!wanted) return undefined
  const legs = legsOf(kind, construction, wanted)
  // With a spare first the swap is one job and the bench another: what stands open belongs to either.
  const own = options.spareFirst ? { ...options, underway: undefined } : options
  const repair = legs.length > 0 ? joined(legs, own, job?.extra) : action && simple(action, options)
  return repair && options.spareFirst ? spareFirst(kind, construction, repair, own) : repair
}

/** Where a pump leaves its place as one: a spare can go in at once, and the old one be mended on the bench. */
export function spareAssembly(kind: Kind, construction: Construction): Assembly | undefined {
  const assembly = WELLS.includes(kind) ? 'well-installation' : construction
  return graphOf(assembly).reach.pump ? assembly : undefined
}

/** Can a spare go in while this repair is done on the bench? */
export function spareGoesIn(kind: Kind, construction: Construction, plan: Pick<StepPlan, 'assemblies'>): boolean {
  return spareAssembly(kind, construction) !== undefined && plan.assemblies.length > 0
}

/**
 * The spare in first, the water back, and then the repair on the bench: what the swap has opened is not opened again.
 */
function spareFirst(
  kind: Kind,
  construction: Construction,
  repair: Repair,
  options: RepairOptions,
): Repair | undefined {
  const assembly = spareAssembly(kind, construction)
  if (!assembly) return repair
  // What is damaged inside waits for the bench.
  const swap = untimedPlan(assembly, ['pump'], {
    ...ownOptions([{ assembly, targets: ['pump'] }], 0, {
      ...options,
      found: options.found?.filter(({ what }) => what === 'stuck'),
    }),
    accessOnly: ['pump'],
  })
  const fit: TakeDownStep = {
    id: 'work:pump:spare',
    phase: 'work',
    part: 'pump',
    text: 'Spare pump in its place; this one to the bench, labelled',
    minutes: 4,
    times: about(4),
    estimate: 4,
    gates: [],
  }
  const swapped = new Set(swap.down.map(({ id }) => jointOf(id)))
  const bench = repair.steps.filter(({ id, phase }) => phase === 'work' || !swapped.has(jointOf(id)))
  return {
    ...repair,
    assemblies: [...new Set([assembly, ...repair.assemblies])],
    steps: [...swap.down, fit, ...swap.back, ...bench],
    waterBack: swap.back.at(-1)?.id ?? fit.id,
    tools: [...new Set([...swap.tools, ...repair.tools])],
    cautions: [...new Set([...swap.cautions, ...repair.cautions])],
    practices: [...new Set([...swap.practices, ...repair.practices])],
    waits: [...swap.waits, ...repair.waits.filter(({ after }) => bench.some(({ id }) => id === after))],
  }
}

function legsOf(kind: Kind, construction: Construction, { parts, id }: Pick<ActionRow, 'parts' | 'id'>): Leg[] {
  const wanted = parts.some((part) => !RINGS_ALONE.includes(part))
    ? parts.filter((part) => !RINGS_ALONE.includes(part))
    : parts
  const reachable = (assembly: Assembly, list: readonly Part[]) => list.filter((part) => graphOf(assembly).reach[part])
  const pressure = reachable(
    'pressure-tee',
    wanted.filter((part) => PRESSURE_SIDE.includes(part)),
  )
  if (pressure.length > 0 && kind !== 'jet') return [{ assembly: 'pressure-tee', targets: pressure }]
  if (WELLS.includes(kind)) {
    // Above the ground a check valve or a splice is reached without a pull.
    if (id === 'replace-check-valve-above') return []
    const below = reachable(
      construction,
      wanted.filter((part) => IN_THE_PUMP.includes(part) || (part === 'run-capacitor' && kind === 'well-two-wire')),
    )
    if (below.length > 0)
      return [
        { assembly: 'well-installation', targets: ['pump'], accessOnly: ['pump'] },
        { assembly: construction, targets: below },
      ]
    const targets = reachable('well-installation', wanted.includes('pump') ? ['pump'] : wanted)
    return targets.length > 0 ? [{ assembly: 'well-installation', targets }] : []
  }
  const inside = construction === 'vertical-shimmed' ? [] : wanted.filter((part) => IN_THE_MOTOR.includes(part))
  const outside = reachable(
    construction,
    wanted.filter((part) => !inside.includes(part)),
  )
  if (inside.length > 0)
    return [
      { assembly: construction, targets: [...outside, 'motor'], accessOnly: ['motor'] },
      { assembly: 'motor-bench', targets: inside },
    ]
  // A motor or a pump that leaves takes the rest with it.
  const whole = outside.find((part) => part === 'pump' || part === 'motor')
  return outside.length > 0
    ? [{ assembly: construction, targets: whole ? [whole] : outside }]
    : pressure.length > 0
      ? [{ assembly: 'pressure-tee', targets: pressure }]
      : []
}

/** One leg inside the other: down through both, the work, and back out of both. */
function joined(legs: readonly Leg[], options: TakeDownOptions, extra: readonly WorkStep[] = []): Repair {
  const plans = legs.map(({ assembly, targets, accessOnly }, index) =>
    named(untimedPlan(assembly, targets, { accessOnly, ...ownOptions(legs, index, options) }), index),
  )
  const steps = [
    ...plans.flatMap(({ down }) => down),
    ...plans.toReversed().flatMap(({ work }) => work),
    ...extra.map((step) =>
      workStep(legs.at(-1)?.targets[0] ?? 'pump', workStepHere(legs.at(-1)?.targets[0] ?? 'pump', step, options)),
    ),
    ...plans.toReversed().flatMap(({ back }) => back),
  ]
  const consumables = [
    ...new Map(
      plans.flatMap((plan) => plan.consumables).map((each) => ['part' in each ? each.part : each.material, each]),
    ).values(),
  ]
  return {
    assemblies: legs.map(({ assembly }) => assembly),
    steps,
    consumables,
    tools: [...new Set(steps.flatMap(({ tool }) => tool?.split(/,\s*/) ?? []))],
    cautions: [...new Set(steps.flatMap(({ caution }) => caution ?? []))],
    waits: plans.flatMap(({ waits }) => waits),
    practices: [...new Set(plans.flatMap(({ practices }) => practices))],
    whileOpen: [
      ...new Map(
        plans
          .flatMap(({ whileOpen }) => whileOpen)
          .filter(
            ({ part }) =>
              !legs.some(({ targets }) => targets.includes(part)) &&
              !consumables.some((each) => 'part' in each && each.part === part),
          )
          .map((each) => [each.part, each]),
      ).values(),
    ],
  }
}

/** Joints of an inner assembly carry its name, so that two of one id stay two. */
function named(plan: UntimedPlan, index: number): UntimedPlan {
  if (index === 0) return plan
  const name = (step: TakeDownStep): TakeDownStep => ({ ...step, id: inAssembly(step.id, plan.construction) })
  return {
    ...plan,
    down: plan.down.map(name),
    back: plan.back.map(name),
    waits: plan.waits.map((wait) => ({
      ...wait,
      after: inAssembly(wait.after, plan.construction),
      ...(wait.closes === undefined ? {} : { closes: printJoint({ assembly: plan.construction, joint: wait.closes }) }),
    })),
  }
}

/**
 * What of a repair's options concerns one of its legs. A part found damaged is renewed once, in the innermost assembly
 * that reaches it.
 */
function ownOptions(
  legs: readonly Leg[],
  index: number,
  { machineCorrections, found, opened, underway, alternativesExcluded, ...others }: TakeDownOptions,
): TakeDownOptions {
  const own = (joint: string) => ownJoint(legs, index, joint)
  const list = (joints?: readonly string[]) => joints?.flatMap((joint) => own(joint) ?? [])
  const legOf = (part: Part) =>
    Math.max(
      0,
      legs.findLastIndex(({ assembly }) => graphOf(assembly).reach[part] !== undefined),
    )
  return {
    ...others,
    opened: list(opened),
    underway: list(underway),
    alternativesExcluded: list(alternativesExcluded),
    machineCorrections: machineCorrections?.flatMap((correction) => renamed(correction, own(correction.joint))),
    found: found?.flatMap((each) =>
      each.joint === undefined
        ? each.part !== undefined && legOf(each.part) === index
          ? [each]
          : []
        : renamed(each, own(each.joint)),
    ),
  }
}

/** A joint named with its assembly is that one's; named plainly, it is the first's that has it. */
function ownJoint(legs: readonly Leg[], index: number, joint: string): string | undefined {
  const { assembly } = legs[index] as Leg
  const named = parseJoint(joint)
  if (named.assembly !== undefined) return index > 0 && named.assembly === assembly ? named.joint : undefined
  return legs.findIndex((leg) => hasJoint(graphOf(leg.assembly), joint)) === index ? joint : undefined
}

function renamed<T extends { joint?: string }>(each: T, joint: string | undefined): T[] {
  return joint === undefined ? [] : [{ ...each, joint }]
}

function simple(action: ActionRow, options: TakeDownOptions): Repair {
  const work = (id: string, text: string): TakeDownStep => ({
    id: printStep({ phase: 'work', work: id }),
    phase: 'work',
    part: action.parts[0] ?? 'pump',
    text,
    minutes: action.minutes,
    times: about(action.minutes),
    estimate: action.minutes,
    gates: [],
    ...(action.tools.length > 0 ? { tool: action.tools.join(', ') } : {}),
  })
  const gates = [makeDead, valves].map((gate) => jointHere(gate, options))
  const steps = action.cures.includes('nothing-wrong')
    ? [work('leave', 'Leave the machine as it is; tell the owner what was looked at')]
    : [
        ...gates.map(downStep),
        work(action.id, `${action.label}. ${action.reason}`),
        ...gates.toReversed().flatMap((gate) => backStep(gate) ?? []),
      ]
  return {
    assemblies: [],
    steps,
    tools: [...action.tools],
    consumables: action.parts.map((part) => ({ part, because: 'to be replaced' })),
    waits: [],
    cautions: [],
    whileOpen: [],
    practices: [...new Set(steps.flatMap(({ practices }) => practices ?? []))],
  }
}
