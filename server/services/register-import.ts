import { v7 as uuidv7 } from 'uuid'
import { keysOf, type PlannedLine } from '../../core/pumps/register-import'
import { isUuid } from '../../core/validation/rules'
import { ENTRY_VERSION, type Entry, type Writer } from '../../core/visit/entry'
import type { ShopApp } from './shop-app'
import type { RegisterFile, RegisterLines } from './register-lines'

/** So many lines are told one by one, the bad ones first. */
const MOST_TOLD = 300

/** What became, or would become, of a file. */
export interface ImportAnswer extends Omit<RegisterLines, 'lines'> {
  lines: PlannedLine[]
  counts: Record<PlannedLine['is'], number>
  customers: number
  machines: number
  /** What it wrote is taken back under this; absent where nothing was written. */
  act?: string
}

type Needs = Pick<ShopApp, 'repository' | 'journal' | 'register' | 'work'>

/**
 * Takes customers and machines in from a file, or says what it would do. Good lines go in together, all or none; bad
 * ones stay out and are told.
 *
 * @param write false for a dry run
 */
export async function importRegister(
  { repository, journal, register, work }: Needs,
  file: RegisterFile,
  { write, writer, now }: { write: boolean; writer: Writer; now: string },
): Promise<ImportAnswer> {
  const { lines, ...read } = await work.run('registerLines', file)
  const known = await register.meant(lines.map(({ fields }) => keysOf(fields)))
  const asked = lines.flatMap(({ fields: { customerId, machineId } }) => [customerId, machineId]).filter(isUuid)
  const { customers, machines } = await repository.registeredAmong(asked)
  const plan = await work.run('registerPlan', { lines, known, given: [...customers, ...machines] })
  const counts = { new: 0, fills: 0, known: 0, bad: 0 }
  for (const { is } of plan.lines) counts[is]++
  const act = write && plan.drafts.length > 0 ? uuidv7() : undefined
  if (act) {
    await journal.append(
      plan.drafts.map(
        ({ line, draft }) =>
          ({
            id: uuidv7(),
            v: ENTRY_VERSION,
            visitId: null,
            kind: draft.kind,
            at: now,
            ...writer,
            said: { act, line: `${file.name}, line ${line}` },
            body: draft.body,
          }) as unknown as Entry,
      ),
    )
  }
  return {
    ...read,
    lines: [...plan.lines]
      .sort((a, b) => Number(b.is === 'bad') - Number(a.is === 'bad') || a.line - b.line)
      .slice(0, MOST_TOLD),
    counts,
    customers: plan.customers,
    machines: plan.machines,
    ...(act ? { act } : {}),
  }
}

/** Takes back all that a file wrote and that still speaks. */
export async function takeBackImport(
  { journal, register }: Pick<ShopApp, 'journal' | 'register'>,
  { act, writer, now }: { act: string; writer: Writer; now: string },
): Promise<number> {
  const standing = await register.standingOf(act)
  if (standing.length > 0)
    await journal.append(
      standing.map(
        (supersedes) =>
          ({
            id: uuidv7(),
            v: ENTRY_VERSION,
            visitId: null,
            kind: 'retracted',
            at: now,
            ...writer,
            supersedes,
            body: {},
          }) as unknown as Entry,
      ),
    )
  return standing.length
}
