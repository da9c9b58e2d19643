import { createHash } from 'node:crypto'
import Papa from 'papaparse'
import { v7 as uuidv7 } from 'uuid'
import { InputError, badField } from '../../core/validation/input-error'
import { READING_COLUMNS, readingRows } from '../../core/visit/readings-table'
import type { UnitSystem } from '../../core/quantity/measures'
import { readVisitFile, toVisitFile, type VisitFile } from '../../core/visit/visit-file'
import { keptForRuns } from '../../core/workings/define-working'
import { runByName, runLine } from '../../core/workings/registry'
import { aheadOf, type Ahead } from '../../core/visit/ahead'
import { forecastOf, groupFactors, type Fleet, type Forecast } from '../../core/planning/forecast'
import { shelfPlan, type ShelfGrounds, type ShelfPlan } from '../../core/shelf/levels/plan'
import type { Stretch } from '../../core/planning/season'
import type { SeasonDays } from '../../core/knowledge/shop/seasons'
import type { Kind } from '../../core/knowledge/vocabulary'
import { cardOf, type CardSources, type MachineCard } from '../../core/pumps/card'
import { machineTrends, type MachineTrend } from '../../core/pumps/machine-trends'
import { planImport, type ImportPlan, type KnownCustomer } from '../../core/pumps/register-import'
import { REGISTER_HEADS, registerTable } from '../../core/pumps/register-table'
import { toVCards } from '../../core/pumps/vcard'
import { registerLines, type RegisterFile, type RegisterLines } from '../services/register-lines'
import { visitFound, type VisitFound } from '../../core/pumps/search-lines'
import { attachedIn } from '../../core/visit/attached'
import { foldVisit } from '../../core/visit/fold'
import type { HistoryReading } from '../../core/visit/history'
import { historyIn } from '../../core/visit/history-of'
import { machineStates } from '../../core/visit/machine-states'
import type { Entry, Machine, MailedPaper, PaperName } from '../../core/visit/entry'
import { leafText } from '../../core/visit/leaf'
import { lastReadingsOf } from '../services/day-view'
import { plannedPrices } from '../services/price-lists'
import { readLines } from '../services/journal-lines'
import { jsonOf } from '../services/json'
import { postedEntries } from '../services/posted-entries'
import type { PictureBytes } from '../services/photos/photo-store'
import { forPaper, intact, keepable, keptType } from '../services/pictures'
import { leafHtml } from '../services/mail/leaf-html'
import type { Worked } from '../services/day-work'
import { papersOf, type PaperAsked } from '../../core/papers/papers'
import { printPdf } from '../services/print-pdf'
import { stateOf, type VisitView } from '../../core/visit/visit-view'

/** A paper that is asked for with the bytes of its pictures. */
type PaperWithBytes = Omit<PaperAsked, 'pictures'> & { pictures: PictureBytes }

/** A paper as it leaves by mail. */
export interface PaperMail {
  subject: string
  html: string
  text: string
  pdf: Uint8Array
  filename: string
  issue?: number
}

interface PlanAsked {
  lines: RegisterLines['lines']
  known: KnownCustomer[]
  /** Ids of the lines that records of the register have. */
  given: string[]
}

interface MachineAsked {
  /** Of its visits, oldest first. */
  journals: Entry[][]
  /** Whose card is wanted; nothing where none is. */
  of?: Pick<CardSources, 'machine' | 'customer' | 'site' | 'retired'>
  visits: { id: string; scheduledAt: string; kind: Kind }[]
  now: string
}
interface MachineRead {
  card?: MachineCard
  /** What was read before each of the visits, and what its machine read last. */
  visits: { history: HistoryReading[]; lastReadings: HistoryReading[] }[]
}

/** A shelf plan with what its factors follow from in place of them. */
type ShelfAsked = Omit<ShelfGrounds, 'factors'> & { failures: Fleet['failures']; now: number }

interface ForecastAsked {
  fleet: Fleet
  season: Stretch
  days: SeasonDays
  now: number
}

/**
 * What takes long enough to keep others waiting. Each runs in a worker thread, with plain data in and out: no database,
 * no clock.
 */
export const TASKS = {
  readLines: ({ bytes }: { bytes: Uint8Array }) => readLines(bytes),

  entries: ({ bytes }: { bytes: Uint8Array }) => postedEntries(jsonOf(bytes)),

  /** A visit file with its pictures checked, each decoded and under its own hash. */
  async visitFile({
    bytes,
  }: {
    bytes: Uint8Array
  }): Promise<
    Pick<VisitFile, 'visitId' | 'entries'> & { pictures: { hash: string; type: string; bytes: Uint8Array }[] }
  > {
    const { visitId, entries, photos } = readVisitFile(jsonOf(bytes))
    const pictures = []
    for (const [index, { hash, base64 }] of photos.entries()) {
      const picture = Buffer.from(base64, 'base64')
      if (createHash('sha256').update(picture).digest('hex') !== hash)
        throw badField(`photos.${index}.hash`, hash, 'the SHA-256 of the picture itself')
      pictures.push({ hash, type: await intact(picture, `photos.${index}.base64`), bytes: picture as Uint8Array })
    }
    return { visitId, entries, pictures }
  },

  async picture({ bytes }: { bytes: Uint8Array }): Promise<{ bytes: Uint8Array; type: string }> {
    return keepable(Buffer.from(bytes))
  },

  /** A paper of a visit as PDF. */
  async paper({
    document,
    pictures,
    ...asked
  }: PaperWithBytes & { document: PaperName }): Promise<{ pdf: Uint8Array; date: string }> {
    const papers = papersOf({ ...asked, pictures: await onPaper(pictures) })
    return { pdf: await printPdf(papers.document(document)), date: papers.date }
  },

  /** A paper of a visit as a mail: its words both ways, and the paper itself to hang on it. */
  async mail({
    document,
    note,
    pictures,
    ...asked
  }: PaperWithBytes & { document: MailedPaper; note?: string }): Promise<PaperMail> {
    const papers = papersOf({ ...asked, pictures: await onPaper(pictures) })
    const leaf = papers.leaf(document)
    return {
      subject: `${leaf.title} · ${leaf.shop.name}`,
      html: leafHtml(leaf, note),
      text: note ? `${note}\n\n${leafText(leaf)}` : leafText(leaf),
      pdf: await printPdf(papers.document(document)),
      filename: `${document}-${papers.date}.pdf`,
      ...(papers.issue === undefined ? {} : { issue: papers.issue }),
    }
  },

  readings({ view, units = view.shop.units }: { view: VisitView; units?: UnitSystem }): string {
    // A cell that begins like a formula would be run by a spreadsheet.
    return Papa.unparse(readingRows(stateOf(view), { system: units }), {
      columns: [...READING_COLUMNS],
      escapeFormulae: true,
    })
  },

  /** The whole visit as one file: journal and pictures. */
  async visitJson({ view, pictures }: { view: VisitView; pictures: PictureBytes }): Promise<string> {
    const hashes = attachedIn(view.entries)
    const photos = await Promise.all(
      hashes.map(async (hash) => {
        const content = pictures[hash] && Buffer.from(pictures[hash])
        const type = content && (await keptType(content))
        return content && type ? [{ hash, type, base64: content.toString('base64') }] : []
      }),
    )
    return JSON.stringify(toVisitFile(view.visitId, view.entries, photos.flat()), null, 1)
  },

  /** What visits add to what can be found. */
  found: ({ journals }: { journals: Entry[][] }): (VisitFound & { visitId: string })[] =>
    journals.flatMap((journal) => {
      const state = foldVisit(journal)
      return state ? [{ visitId: state.id, ...visitFound(state) }] : []
    }),

  /** What of machines' readings asks to be read again: each with its visits' journals, oldest first. */
  trends: ({
    machines,
    now,
  }: {
    machines: { machine: Machine; journals: Entry[][] }[]
    now: number
  }): MachineTrend[][] => machines.map(({ machine, journals }) => machineTrends(machine, machineStates(journals), now)),

  /** What follows from a machine's visits: its card, and what each of some visits found before it. */
  machine({ journals, of, visits, now }: MachineAsked): MachineRead {
    const states = machineStates(journals)
    return {
      ...(of ? { card: cardOf({ ...of, states, now }) } : {}),
      visits: visits.map(({ id, scheduledAt, kind }) => {
        const before = states.filter(
          (state) => state.id !== id && Date.parse(state.scheduledAt) <= Date.parse(scheduledAt),
        )
        const last = before.findLast(({ handedOver }) => handedOver)
        return { history: before.flatMap(historyIn), lastReadings: lastReadingsOf(last, { kind }) }
      }),
    }
  },

  /** How much to keep of what, and what goes into which van. */
  shelf: ({ failures, now, ...asked }: ShelfAsked): ShelfPlan =>
    shelfPlan({ ...asked, factors: groupFactors({ machines: asked.machines, failures }, asked.days, now) }),

  /** What a supplier's price list would change. */
  priceList: plannedPrices,

  /** A file of customers and machines as lines of fields. */
  registerLines: ({ name, text, mapping }: RegisterFile): RegisterLines => registerLines({ name, text, mapping }),

  /** What such a file would write, beside those of the register who may be meant by it. */
  registerPlan: ({ lines, known, given }: PlanAsked): ImportPlan => planImport(lines, known, uuidv7, new Set(given)),

  /** The register as CSV, or as vCards. */
  registerTable: ({ known, as }: { known: KnownCustomer[]; as: 'csv' | 'vcf' }): string =>
    as === 'vcf'
      ? toVCards(known)
      : Papa.unparse(registerTable(known), { columns: REGISTER_HEADS, escapeFormulae: true }),

  forecast: ({ fleet, season, days, now }: ForecastAsked): Forecast => forecastOf(fleet, season, days, now),

  /** What a visit asks of its day. */
  ahead({ view }: { view: VisitView }): Ahead & Worked {
    const state = stateOf(view)
    const doneAt = state.handedOver?.at
    return {
      ...aheadOf(state, view.shop, view.pace, view.experience),
      ...(state.startedAt ? { startedAt: state.startedAt } : {}),
      ...(state.workedAt ? { workedAt: state.workedAt } : {}),
      ...(doneAt ? { doneAt } : {}),
    }
  },

  working({ name, bytes }: { name: string; bytes: Uint8Array }): string {
    return JSON.stringify(runByName(name, jsonOf(bytes)))
  },

  batch({ bytes }: { bytes: Uint8Array }): string {
    const lines = new TextDecoder()
      .decode(bytes)
      .split('\n')
      .filter((line) => line.trim())
    const kept = keptForRuns()
    return lines.map((line) => JSON.stringify(runLine(line, kept))).join('\n')
  },
}

/** Pictures as paper takes them; one that is broken is left out. */
async function onPaper(pictures: PictureBytes): Promise<Record<string, string>> {
  const made = await Promise.all(
    Object.entries(pictures).map(async ([hash, bytes]) => [hash, await forPaper(Buffer.from(bytes))] as const),
  )
  return Object.fromEntries(
    made.flatMap(([hash, jpeg]) => (jpeg ? [[hash, `data:image/jpeg;base64,${jpeg.toString('base64')}`]] : [])),
  )
}

export type Tasks = typeof TASKS
export type TaskName = keyof Tasks
export type TaskInput<N extends TaskName> = Parameters<Tasks[N]>[0]
export type TaskOutput<N extends TaskName> = Awaited<ReturnType<Tasks[N]>>

/** What a task came to, in a shape that crosses threads: errors lose their class on the way. */
export type TaskAnswer<N extends TaskName> =
  { output: TaskOutput<N> } | { refused: InputError['problems'] } | { malformed: string }

/** Runs a task; bad input is an answer, not an error. */
export async function runTask<N extends TaskName>({
  name,
  input,
}: {
  name: N
  input: TaskInput<N>
}): Promise<TaskAnswer<N>> {
  try {
    const task = TASKS[name] as (given: TaskInput<N>) => TaskOutput<N> | Promise<TaskOutput<N>>
    return { output: await task(input) }
  } catch (error) {
    if (error instanceof InputError) return { refused: error.problems }
    if (error instanceof SyntaxError) return { malformed: error.message }
    throw error
  }
}
