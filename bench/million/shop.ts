import { repairSteps } from '../../core/takedown/step-plan'
import { ENTRY_VERSION, type Entry, type EntryBodies } from '../../core/visit/entry'
import { demoEntries } from '../../demo/demo-entries'

/**
 * A shop that has worked for years: this many visits of this many lines each, on machines that were visited several
 * times.
 */
export interface ShopSize {
  visits: number
  linesEach: number
  visitsPerMachine: number
}

const DAY = 24 * 3600 * 1000
const MINUTE = 60_000

/** The lines of the shop's journal, visit after visit, in the order of their arrival. */
export function* shopJournal({ visits, linesEach, visitsPerMachine }: ShopSize, today: Date): Generator<Entry> {
  const demo = demoEntries(today)
  const shop = demo.find(({ kind }) => kind === 'shop-set')
  if (shop) yield shop
  const patterns = patternsOf(demo)
  const machines = Math.ceil(visits / visitsPerMachine)
  let lines = 0
  const id = (group: string, index: number) => `0197b000-${group}-7000-8000-${index.toString(16).padStart(12, '0')}`
  for (let visit = 0; visit < visits; visit++) {
    const pattern = patterns[(visit % machines) % patterns.length] as Pattern
    const visitId = id('0003', visit)
    const machineNumber = visit % machines
    const scheduled = today.getTime() - Math.floor(((visits - visit) * 6 * 365 * DAY) / visits)
    const customer = {
      ...pattern.opened.customer,
      id: id('0001', Math.floor(machineNumber / 2)),
      name: `Household ${Math.floor(machineNumber / 2)}`,
    }
    const opened = {
      ...pattern.opened,
      customer,
      machine: {
        ...pattern.opened.machine,
        id: id('0002', machineNumber),
        customerId: customer.id,
        name: `${pattern.opened.machine.name} ${machineNumber}`,
      },
      scheduledAt: new Date(scheduled).toISOString(),
    }
    const bodies: Pick<Entry, 'kind' | 'body'>[] = [{ kind: 'visit-opened', body: opened }, ...pattern.lines]
    while (bodies.length < linesEach - pattern.end.length) {
      const value = 225 + ((visit * 7 + bodies.length * 13) % 20)
      bodies.push({ kind: 'finding', body: { check: 'supply-voltage', value, unit: 'V', stage: 'test' } })
    }
    for (const [line, { kind, body }] of [
      ...bodies.slice(0, linesEach - pattern.end.length),
      ...pattern.end,
    ].entries()) {
      yield {
        id: id('0004', lines++),
        v: ENTRY_VERSION,
        lamport: line + 1,
        visitId,
        kind,
        at: new Date(scheduled + line * MINUTE).toISOString(),
        author: 'bench',
        body,
      } as Entry
    }
  }
}

interface Pattern {
  opened: EntryBodies['visit-opened']
  lines: Pick<Entry, 'kind' | 'body'>[]
  end: Pick<Entry, 'kind' | 'body'>[]
}

/** Closed visits of the demo, each with a repair ticked step by step. */
function patternsOf(demo: readonly Entry[]): Pattern[] {
  const byVisit = new Map<string, Entry[]>()
  for (const entry of demo)
    if (entry.visitId) byVisit.set(entry.visitId, [...(byVisit.get(entry.visitId) ?? []), entry])
  return [...byVisit.values()].flatMap((entries) => {
    const opened = entries.find(({ kind }) => kind === 'visit-opened')?.body as EntryBodies['visit-opened'] | undefined
    const handed = entries.filter(({ kind }) => kind === 'handed-over')
    if (!opened || handed.length === 0) return []
    const { kind, construction } = opened.machine
    const option = 'replace-bearings'
    const steps =
      (repairSteps(kind, construction, option) ?? repairSteps(kind, construction, 'replace-run-capacitor'))?.steps ?? []
    return [
      {
        opened,
        lines: entries
          .filter((entry) => entry.kind !== 'visit-opened' && entry.kind !== 'handed-over')
          .map(({ kind: of, body }) => ({ kind: of, body })),
        end: [
          ...steps
            .slice(0, 20)
            .map(({ id: step, count, estimate }) => ({
              kind: 'step' as const,
              body: { step, done: true, ...(count === undefined ? {} : { count }), estimate },
            })),
          { kind: 'cause-said' as const, body: { fault: 'bearings-worn', verdict: 'it-was-this' as const } },
          ...handed.map(({ kind: of, body }) => ({ kind: of, body })),
        ],
      },
    ]
  })
}
