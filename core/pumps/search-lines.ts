import { outcomeLabel } from '../knowledge/checks/checks'
import { COMPLAINTS, CONSTRUCTIONS, isIdOf, KINDS, PARTS } from '../knowledge/vocabulary'
import type { Verdict } from '../judgement/judgement'
import type { Nameplate } from '../motor/nameplate'
import { formatReading } from '../quantity/reading'
import { isUnit } from '../quantity/units'
import { faultLabel } from '../diagnosis/words/fault-label'
import type { Customer, Machine, Site } from '../visit/entry'
import { visitVerdict, type VisitState } from '../visit/fold'
import type { HistoryReading } from '../visit/history'
import { historyOf } from '../visit/history-of'
import { searchWords, streetOf } from './words'

/** What is found, in the order in which it stands. */
export const SEARCH_GROUPS = ['customer', 'machine', 'place', 'part', 'plate', 'note', 'finding'] as const
export type SearchGroup = (typeof SEARCH_GROUPS)[number]

/** One thing that can be found: what is shown of it, what it leads to, and the words that find it. */
export interface SearchLine {
  what: SearchGroup
  label: string
  about: string
  customerId?: string
  machineId?: string
  visitId?: string
  /** ISO date. */
  on?: string
  verdict?: Verdict
  /** Of a finding, which is written in its reader’s units. */
  reading?: HistoryReading
  street?: string
  words: string[]
}

/** What a visit adds to what can be found, and the worst that its readings say at its end. */
export interface VisitFound {
  lines: SearchLine[]
  verdict?: Verdict
}

/** A customer by name, telephone, mail and address, and each place by what one must know of it. */
export function customerLines(customer: Customer, sites: readonly Site[]): SearchLine[] {
  const { id, name, place, phone, mail } = customer
  const street = streetOf(place)
  return [
    {
      what: 'customer',
      label: name,
      about: [place, phone].filter(Boolean).join(' · '),
      customerId: id,
      ...(street ? { street } : {}),
      words: searchWords(name, place, phone, mail),
    },
    ...sites.map((site): SearchLine => {
      const known = siteWords(site)
      const address = site.address ?? place
      const siteStreet = streetOf(address)
      return {
        what: 'place',
        label: address || name,
        about: [known, name].filter(Boolean).join(' · '),
        customerId: id,
        ...(siteStreet ? { street: siteStreet } : {}),
        words: searchWords(address, known, name),
      }
    }),
  ]
}

/** What whoever goes there must know, in one line. */
export function siteWords({ gate, key, dog, breaker, shutOff, pit, wellLog, note }: Partial<Site>): string {
  const said = (label: string, words: string | undefined) => (words ? `${label} ${words}` : undefined)
  return [
    said('gate', gate),
    said('key', key),
    said('dog', dog),
    said('breaker', breaker),
    said('shut-off', shutOff),
    said('pit', pit),
    said('well log', wellLog),
    note,
  ]
    .filter(Boolean)
    .join(' · ')
}

/** A machine by its name, kind and owner, by its plate, and by every part whose identity is known. */
export function machineLines(machine: Machine, customer: Customer, address: string): SearchLine[] {
  const of = { customerId: customer.id, machineId: machine.id }
  const where = [machine.name, customer.name].filter(Boolean).join(', ')
  const plate = plateWords(machine.nameplate)
  const street = streetOf(address)
  return [
    {
      what: 'machine',
      label: machine.name,
      about: [customer.name, address].filter(Boolean).join(', '),
      ...of,
      ...(street ? { street } : {}),
      words: searchWords(
        machine.name,
        KINDS[machine.kind],
        CONSTRUCTIONS[machine.construction],
        customer.name,
        address,
        customer.phone,
      ),
    },
    ...(machine.fitted ?? []).flatMap((fitted): SearchLine[] => {
      const label = [PARTS[fitted.part], fitted.identity].filter(Boolean).join(' ')
      const on = fitted.until ?? fitted.since
      return fitted.identity
        ? [
            {
              what: 'part',
              label: fitted.until ? `${label}, gone` : label,
              about: where,
              ...of,
              ...(on ? { on } : {}),
              words: searchWords(label, where),
            },
          ]
        : []
    }),
    { what: 'plate', label: plate, about: where, ...of, words: searchWords(plate, machine.name) },
  ]
}

/** A plate in one line, as its figures stand on it. */
export function plateWords(plate: Nameplate): string {
  const range = (value: number | readonly number[] | undefined) =>
    Array.isArray(value) ? value.join('–') : (value as number | undefined)
  const figure = (value: number | string | undefined, unit: string) =>
    value === undefined ? undefined : `${value} ${unit}`
  return [
    figure(plate.volts, 'V'),
    figure(plate.otherVolts, 'V'),
    figure(plate.hertz, 'Hz'),
    plate.motorType?.replaceAll('-', ' '),
    figure(plate.horsepower, 'hp'),
    plate.serviceFactor === undefined ? undefined : `SF ${plate.serviceFactor}`,
    figure(plate.fullLoadAmps, 'A'),
    figure(plate.serviceFactorAmps, 'SF A'),
    figure(plate.rpm, 'rpm'),
    plate.frame && `frame ${plate.frame}`,
    plate.flange && `flange ${plate.flange}`,
    figure(range(plate.runCapacitorMicrofarads), 'μF'),
    figure(plate.runCapacitorVolts, 'V'),
    figure(range(plate.startCapacitorMicrofarads), 'μF'),
  ]
    .filter(Boolean)
    .join(' · ')
}

/** What was said, noted, read and found in a visit. */
export function visitFound(state: VisitState): VisitFound {
  const { id: visitId, machine, customer, call } = state
  const of = { customerId: customer.id, machineId: machine.id, visitId }
  const where = [machine.name, customer.name].filter(Boolean).join(', ')
  const on = state.scheduledAt.slice(0, 10)
  const note = (text: string, day: string): SearchLine => ({
    what: 'note',
    label: text,
    about: where,
    ...of,
    on: day,
    words: searchWords(text),
  })
  const called = call.complaints.map((each) => (isIdOf(COMPLAINTS, each) ? COMPLAINTS[each] : each)).join(', ')
  const cause = state.postMortem?.fault ?? state.confirmed
  const verdict = visitVerdict(state)
  return {
    lines: [
      ...(call.callerSays ? [note(call.callerSays, on)] : []),
      ...(called ? [note(called, on)] : []),
      ...state.notes.map(({ text, at }) => note(text, at.slice(0, 10))),
      ...(state.postMortem
        ? [note([state.postMortem.why, state.postMortem.keeping].filter(Boolean).join(' · '), on)]
        : []),
      ...(cause ? [{ ...note(faultLabel(cause), on), what: 'finding' as const, verdict: 'failed' as const }] : []),
      ...state.findings.map((judged): SearchLine => {
        const reading = historyOf(visitId, judged, state.pump)
        return {
          what: 'finding',
          label: judged.judgement.subject,
          about: where,
          ...of,
          on: judged.at.slice(0, 10),
          verdict: judged.judgement.verdict,
          reading,
          words: searchWords(reading.subject, ...readingWords(reading)),
        }
      }),
    ],
    ...(verdict ? { verdict } : {}),
  }
}

/** A reading as whoever reads it may ask for it, in the units of either. */
function readingWords({ value, outcome, unit }: HistoryReading): string[] {
  if (outcome !== undefined) return [outcomeLabel(outcome), outcome]
  const known = isUnit(unit) ? unit : undefined
  return (['us', 'metric'] as const).map((system) => formatReading(value, known, system, 4))
}
