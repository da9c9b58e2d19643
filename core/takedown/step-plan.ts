import type { ActionRow } from '../knowledge/faults/model-types'
import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import type { Assembly } from '../knowledge/constructions/joint'
import { IN_A_MACHINE, RINGS_ALONE } from '../knowledge/constructions/part-groups'
import { about } from '../knowledge/constructions/shared'
import { type Deed, DEEDS, PACKING_MINUTES } from '../knowledge/repairs/deeds'
import { jobsFor, type JobRow } from '../knowledge/repairs/jobs'
import { doneToMotorAlone } from '../knowledge/repairs/motor-alone'
import { renewedParts } from '../knowledge/repairs/renews'
import type { Construction, Kind, Part } from '../knowledge/vocabulary'
import { minutesOf } from './clock'
import { asHere, waitsFor } from './as-here'
import { addressIn, machineGraph, type MachineGraph } from './machine-graph'
import {
  untimedPlan,
  type OwnWork,
  type TakeDownOptions,
  type TakeDownPlan,
  type TakeDownStep,
  type UntimedPlan,
} from './plan'
import { jointOf } from './step-ref'

/** The steps of the agreed jobs, through every assembly they need. */
export interface StepPlan extends Omit<TakeDownPlan, 'construction' | 'down' | 'work' | 'back' | 'commission'> {
  assemblies: readonly Assembly[]
  /** Nothing is put together again: what was taken apart is sorted, and stays apart. */
  endsOpen?: true
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

/** What one job wants of a machine. */
interface JobWants {
  targets: readonly Part[]
  accessOnly: readonly Part[]
  /** Worked on, and not renewed. */
  kept: readonly Part[]
  own: readonly OwnWork[]
  consumed: readonly Part[]
  endsOpen: boolean
}

/**
 * One plan for all agreed jobs: down, the work, back and what needs power, in the least time that keeps every reason.
 * Nothing is opened twice, and what a job makes pointless is left out.
 *
 * A repair that opens nothing gets its gates, its own sentence as the work, and the gates back: never an empty page.
 *
 * @param jobs ids of repairs and jobs, as chosen under Decide
 * @returns undefined where none of them is known, or can be done on this machine where it stands
 */
export function stepPlan(
  kind: Kind,
  construction: Construction,
  jobs: string | readonly string[],
  options: RepairOptions = {},
): StepPlan | undefined {
  const plan = repairSteps(kind, construction, jobs, options)
  return plan && { ...plan, minutes: minutesOf(plan.steps, plan.waits, options.seed) }
}

/** The same without its minutes, for whoever reads only the steps. */
export function repairSteps(
  kind: Kind,
  construction: Construction,
  jobs: string | readonly string[],
  options: RepairOptions = {},
): Repair | undefined {
  const graph = machineGraph(construction, { ...options, kind })
  const wants = (typeof jobs === 'string' ? [jobs] : jobs).flatMap((id) => wantsOf(graph, kind, construction, id) ?? [])
  if (wants.length === 0) return undefined
  const wanted = together(wants, kind)
  const here = optionsOn(graph, options)
  if (options.spareFirst) return spareFirst(kind, construction, jobs, options) ?? planned(graph, kind, wanted, here)
  return planned(graph, kind, wanted, here)
}

/** Ids of every repair and job that can be done on this machine, where it stands. */
export function jobsHere(kind: Kind, construction: Construction, options: TakeDownOptions = {}): string[] {
  const graph = machineGraph(construction, { ...options, kind })
  return [...(KIND_KNOWLEDGE[kind]?.actions ?? []), ...jobsFor(kind, construction)]
    .map(({ id }) => id)
    .filter((id) => wantsOf(graph, kind, construction, id) !== undefined)
}

/** The row of a job's id: a repair that cures something, or work that no fault asks for. */
export function jobRow(kind: Kind, construction: Construction, id: string): ActionRow | JobRow | undefined {
  return (
    KIND_KNOWLEDGE[kind]?.actions.find((action) => action.id === id) ??
    jobsFor(kind, construction).find((job) => job.id === id)
  )
}

function wantsOf(graph: MachineGraph, kind: Kind, construction: Construction, id: string): JobWants | undefined {
  const row = jobRow(kind, construction, id)
  if (row && construction === 'motor-bench' && !doneToMotorAlone(row, KIND_KNOWLEDGE[kind].faults)) return undefined
  if (!row || ('standing' in row && row.standing && !row.standing.includes(graph.standing))) return undefined
  const deed = DEEDS[id]
  const parts = deed?.at ?? row.parts
  const alone = parts.filter((part) => !RINGS_ALONE.includes(part))
  // A splice is spent by the pull that a pump’s own parts ask for; alone, it is the repair.
  const sought = (alone.length > 0 ? alone : parts).filter((part) => part !== 'splice' || parts.length === 1)
  const reached = sought.filter((part) => graph.reach[part])
  const own = 'extra' in row ? (row.extra ?? []) : []
  const ownWorks = own.map((step): OwnWork => ({
    part: sought[0] ?? 'pump',
    step,
    targets: step.at ? [step.at] : reached,
    through: (deed?.through ?? []).filter((joint) => graph.homes.has(joint)),
  }))
  // Nothing leads to its parts here: they are not in this machine, or out of reach where it stands. A motor that lies
  // there alone is itself what is changed.
  const itself = construction === 'motor-bench' && row.parts[0] === 'motor'
  if (reached.length === 0 && !deed?.only && !itself && sought.some((part) => IN_A_MACHINE.has(part))) return undefined
  const deeds: OwnWork[] =
    ownWorks.length === 0 && !(deed?.worked && reached.length > 0) && (deed || reached.length === 0)
      ? [deedOf(graph, row, deed, reached)]
      : []
  return {
    targets: deed?.only ? [] : reached,
    accessOnly: deed?.only ? reached : [],
    kept: reached.filter((part) => !row.parts.includes(part)),
    own: [...ownWorks, ...deeds],
    // Rings and splices are spent by the joints that hold them; the rest that nothing leads to comes with the job.
    consumed:
      reached.length === 0 || deed
        ? row.parts
        : row.parts.filter((part) => !reached.includes(part) && !RINGS_ALONE.includes(part) && part !== 'splice'),
    endsOpen: 'endsOpen' in row && row.endsOpen === true,
  }
}

function deedOf(
  graph: MachineGraph,
  row: ActionRow | JobRow,
  deed: Deed | undefined,
  targets: readonly Part[],
): OwnWork {
  const leaves = deed?.leaves === true
  const nothing = 'cures' in row && row.cures.includes('nothing-wrong')
  const reason = 'reason' in row ? row.reason : row.because
  const minutes = leaves ? PACKING_MINUTES : 'minutes' in row ? row.minutes : 10
  const through = nothing
    ? []
    : ['make-dead', ...(deed?.water ? ['valves', 'relieve'] : [])].filter((id) => graph.homes.has(id))
  const tools = 'tools' in row && !leaves ? row.tools : []
  return {
    part: row.parts[0] ?? 'pump',
    targets,
    through,
    last: leaves,
    step: {
      id: nothing ? 'leave' : row.id,
      text: nothing ? 'Leave the machine as it is; tell the owner what was looked at' : `${row.label}. ${reason}`,
      minutes: about(minutes),
      ...(tools.length > 0 ? { tool: tools.join(', ') } : {}),
    },
  }
}

/** What several jobs want as one: a new motor takes what is inside it with it, a new pump all of it. */
function together(wants: readonly JobWants[], kind: Kind): JobWants {
  const targets = [...new Set(wants.flatMap((each) => each.targets))]
  const whole = targets.filter((part) => part === 'motor' || part === 'pump')
  const renewed = new Set(whole.flatMap((part) => [...renewedParts([part], kind)].filter((inside) => inside !== part)))
  const left = targets.filter((part) => !renewed.has(part))
  return {
    targets: left,
    accessOnly: [...new Set(wants.flatMap((each) => each.accessOnly))].filter((part) => !left.includes(part)),
    kept: left.filter((part) => wants.every((each) => !each.targets.includes(part) || each.kept.includes(part))),
    own: [
      ...new Map(wants.flatMap((each) => each.own).map((work) => [`${work.part}:${work.step.id}`, work])).values(),
    ].sort((a, b) => Number(a.last ?? false) - Number(b.last ?? false)),
    consumed: [...new Set(wants.flatMap((each) => each.consumed))],
    // A job that mends something closes what the others have opened.
    endsOpen: wants.every((each) => each.endsOpen),
  }
}

function planned(graph: MachineGraph, kind: Kind, wanted: JobWants, options: TakeDownOptions): Repair {
  const { consumed, targets, ...how } = wanted
  const repair = repairOf(untimedPlan(graph, targets, { ...options, kind }, how), graph, consumed)
  return how.endsOpen ? { ...repair, endsOpen: true } : repair
}

function repairOf(plan: UntimedPlan, graph: MachineGraph, consumed: readonly Part[]): Repair {
  const { construction: _, down: __, work: ___, back: ____, commission: _____, ...rest } = plan
  const parts = new Set(rest.consumables.flatMap((each) => ('part' in each ? [each.part] : [])))
  const opened = plan.steps.filter(({ phase, joint }) => phase === 'down' && joint !== 'gate')
  return {
    ...rest,
    consumables: [
      ...consumed.filter((part) => !parts.has(part)).map((part) => ({ part, because: 'to be replaced' })),
      ...rest.consumables,
    ],
    assemblies: [...new Set(opened.flatMap(({ id }) => graph.homes.get(jointOf(id) ?? '') ?? []))],
  }
}

/** What of the options concerns the machine as it stands here: joints by their address, and only those it has. */
function optionsOn(graph: MachineGraph, options: RepairOptions): TakeDownOptions {
  const list = (joints?: readonly string[]) => joints?.flatMap((joint) => addressIn(graph, joint) ?? [])
  return {
    ...options,
    opened: list(options.opened),
    underway: list(options.underway),
    alternativesExcluded: list(options.alternativesExcluded),
    machineCorrections: options.machineCorrections?.flatMap((each) => {
      const joint = addressIn(graph, each.joint)
      return joint === undefined ? [] : [{ ...each, joint, ...(each.after ? { after: list(each.after) } : {}) }]
    }),
    found: options.found?.flatMap((each) => {
      if (each.joint === undefined) return [each]
      const joint = addressIn(graph, each.joint)
      return joint === undefined ? [] : [{ ...each, joint }]
    }),
  }
}

/** The joints that could be open before this one: none of them waits for it. */
export function couldComeFirst(
  kind: Kind,
  construction: Construction,
  joint: string,
  options: TakeDownOptions = {},
): ReadonlySet<string> {
  const graph = machineGraph(construction, { ...options, kind })
  const { joints } = asHere(graph, optionsOn(graph, options))
  const after = new Map(joints.map(({ id, after: before }) => [id, before]))
  return new Set(joints.flatMap(({ id }) => (waitsFor((each) => after.get(each) ?? [], id, joint) ? [] : [id])))
}

/** Can a spare go in while this repair is done on the bench? */
export function spareGoesIn(
  kind: Kind,
  construction: Construction,
  plan: Pick<StepPlan, 'assemblies'>,
  standing?: TakeDownOptions['standing'],
): boolean {
  return (
    (standing ?? 'installed') === 'installed' &&
    machineGraph(construction, { kind }).reach.pump !== undefined &&
    plan.assemblies.length > 0
  )
}

/**
 * The spare in first, the water back, and then the repair on the bench: what the swap has opened is not opened again.
 */
function spareFirst(
  kind: Kind,
  construction: Construction,
  jobs: string | readonly string[],
  options: RepairOptions,
): Repair | undefined {
  const site = machineGraph(construction, { ...options, kind })
  if (!site.reach.pump || (options.standing ?? 'installed') !== 'installed') return undefined
  const fit: OwnWork = {
    part: 'pump',
    targets: ['pump'],
    through: [],
    step: { id: 'spare', text: 'Spare pump in its place; this one to the bench, labelled', minutes: about(4) },
  }
  // What is damaged inside waits for the bench; what stands open belongs to either.
  const { found, underway: _, ...others } = options
  const swap = untimedPlan(
    site,
    [],
    { ...optionsOn(site, { ...others, found: found?.filter(({ what }) => what === 'stuck') }), kind },
    { accessOnly: ['pump'], own: [fit] },
  )
  const swapped = new Set(swap.down.map(({ id }) => jointOf(id)))
  const bench = repairSteps(kind, construction, jobs, { ...others, found, standing: 'bench', spareFirst: false })
  const rest = (bench?.steps ?? []).filter((step) => jointOf(step.id) === undefined || !swapped.has(jointOf(step.id)))
  const swapRepair = repairOf(swap, site, [])
  const steps: TakeDownStep[] = [...swap.steps, ...rest.filter(({ id }) => !swap.steps.some((step) => step.id === id))]
  return {
    steps,
    assemblies: [...new Set([...swapRepair.assemblies, ...(bench?.assemblies ?? [])])],
    consumables: bench?.consumables ?? [],
    behind: {
      ...Object.fromEntries(
        Object.entries(bench?.behind ?? {}).map(([id, joints]) => [id, joints.filter((joint) => !swapped.has(joint))]),
      ),
      ...swap.behind,
    },
    waterBack: swap.steps.at(-1)?.id,
    tools: [...new Set(steps.flatMap(({ tool }) => tool?.split(/,\s*/) ?? []))],
    cautions: [...new Set(steps.flatMap(({ caution }) => caution ?? []))],
    practices: [...new Set(steps.flatMap(({ practices }) => practices ?? []))],
    waits: [...swap.waits, ...(bench?.waits ?? []).filter(({ after }) => rest.some(({ id }) => id === after))],
    whileOpen: bench?.whileOpen ?? [],
  }
}
