/** Where a joint is: in the outermost assembly, or in one that is named. */
export interface JointRef {
  assembly?: string
  joint: string
}

/** A step of a plan, as its stored id names it. */
export type StepRef =
  | ({
      phase: 'down'
      /** The how-manieth way of freeing it, where it held; absent for opening itself. */
      attempt?: number
      /** An act before the opening itself. */
      act?: string
    } & JointRef)
  | ({ phase: 'back'; /** An act before the closing itself. */ act?: string } & JointRef)
  | { phase: 'work'; /** The part and the step of its work, or the repair’s own id. */ work: string }

const AT_JOINT = /^(down|back):(?:([a-z0-9-]+)\.)?([a-z0-9-]+)(?::(?:free(\d*)|([a-z][a-z0-9-]*)))?$/
const WORK = /^work:(.+)$/

/**
 * Reads a step's id.
 *
 * @returns undefined where it is no id that a plan writes
 * @example parseStep('down:motor-bench.rear-cover:free2')
 * // { phase: 'down', assembly: 'motor-bench', joint: 'rear-cover', attempt: 2 }
 */
export function parseStep(id: string): StepRef | undefined {
  const work = WORK.exec(id)?.[1]
  if (work !== undefined) return { phase: 'work', work }
  const [, phase, assembly, joint, attempt, act] = AT_JOINT.exec(id) ?? []
  if (joint === undefined) return undefined
  const at: JointRef & { act?: string } = {
    ...(assembly === undefined ? {} : { assembly }),
    joint,
    ...(act === undefined ? {} : { act }),
  }
  if (phase === 'down')
    return { phase, ...at, ...(attempt === undefined ? {} : { attempt: attempt === '' ? 1 : Number(attempt) }) }
  return attempt === undefined ? { phase: 'back', ...at } : undefined
}

/** Writes a step's id: `parseStep(printStep(ref))` is `ref`. */
export function printStep(ref: StepRef): string {
  if (ref.phase === 'work') return `work:${ref.work}`
  const attempt = ref.phase === 'down' ? ref.attempt : undefined
  const tail = ref.act ?? (attempt === undefined ? undefined : `free${attempt === 1 ? '' : attempt}`)
  return `${ref.phase}:${printJoint(ref)}${tail === undefined ? '' : `:${tail}`}`
}

/** A joint as it is addressed in the journal: `rear-cover`, `motor-bench.rear-cover`. */
export function printJoint({ assembly, joint }: JointRef): string {
  return assembly === undefined ? joint : `${assembly}.${joint}`
}

/** Reads a joint's address. */
export function parseJoint(address: string): JointRef {
  const dot = address.indexOf('.')
  return dot < 0 ? { joint: address } : { assembly: address.slice(0, dot), joint: address.slice(dot + 1) }
}

/** The id of the step that opens a joint. */
export function opening(address: string): string {
  return printStep({ phase: 'down', ...parseJoint(address) })
}

/** The id of the step that closes a joint. */
export function closing(address: string): string {
  return printStep({ phase: 'back', ...parseJoint(address) })
}

/** The address of the joint that a step opens, frees or closes; undefined for the work itself. */
export function jointOf(id: string): string | undefined {
  const ref = parseStep(id)
  return ref && ref.phase !== 'work' ? printJoint(ref) : undefined
}

/** Does this step open its joint, rather than prepare, free, close or work on it? */
export function isOpening(id: string): boolean {
  const ref = parseStep(id)
  return ref?.phase === 'down' && ref.attempt === undefined && ref.act === undefined
}

/** Does this step close its joint: the last of its acts? */
export function isClosing(id: string): boolean {
  const ref = parseStep(id)
  return ref?.phase === 'back' && ref.act === undefined
}

/** Does this step try to free a joint that held? */
export function isFreeing(id: string): boolean {
  const ref = parseStep(id)
  return ref?.phase === 'down' && ref.attempt !== undefined
}

/** The same step in an inner assembly; work has no assembly of its own. */
export function inAssembly(id: string, assembly: string): string {
  const ref = parseStep(id)
  return ref && ref.phase !== 'work' ? printStep({ ...ref, assembly }) : id
}

/** The same step whichever assembly it stands in. */
export function inAnyAssembly(id: string): string {
  const ref = parseStep(id)
  if (!ref || ref.phase === 'work') return id
  const { assembly: _assembly, ...rest } = ref
  return printStep(rest)
}
