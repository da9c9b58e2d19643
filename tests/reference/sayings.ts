import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import type { Finding } from '#core/diagnosis/finding'
import type { Scene } from '#core/language/scene'
import { understand } from '#core/language/understand'
import type { Understanding } from '#core/language/understanding'
import type { Gate } from '#core/knowledge/vocabulary'
import { completePlate, type Pump } from '#core/motor/nameplate'
import { readUnit, type Unit } from '#core/quantity/units'

type Fields = Record<string, unknown>
type Alternative = { ask?: true; note?: true; findings?: Fields[]; other?: Fields[] }
/** A line with what must be understood: any one alternative is enough, and nothing of `never` may be kept. */
export interface Saying {
  id: string
  pump: Pump
  line: string
  standing?: Scene['standing']
  gates?: Gate[]
  lit?: Scene['lit']
  accept: Alternative[]
  never?: Fields[]
}

const text = (file: string) => readFileSync(fileURLToPath(new URL(file, import.meta.url)), 'utf8')

/** The open list: 260 lines that came with the work. */
export const openSayings = (): Saying[] =>
  text('./open-sayings.jsonl')
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Saying)

const MOTORS: Readonly<Record<string, Pump['nameplate']['motorType']>> = {
  ps: 'permanent-split',
  cs: 'capacitor-start',
  csr: 'capacitor-start-run',
  sp: 'split-phase',
  el: 'electronic',
}

/** The list of our own, in its short form. */
export const ownSayings = (): Saying[] =>
  text('./own-sayings.txt')
    .split('\n')
    .filter((line) => line.trim() !== '' && !line.startsWith('#'))
    .map((row, index) => {
      const [machine = '', line = '', ...right] = row.split('|')
      const [kind, motor = '', ...state] = machine.trim().split(' ')
      const amps = /\[([\d.]+)\]/.exec(motor)?.[1]
      const volts = kind === 'sump' || kind === 'circulation' ? 115 : 230
      const lit = state.find((word) => word.startsWith('LIT:'))?.slice(4)
      return {
        id: `own ${index + 1}`,
        pump: {
          kind: kind as Pump['kind'],
          nameplate: {
            volts,
            motorType: MOTORS[motor.replace(/\[.*/, '')],
            ...(amps ? { fullLoadAmps: Number(amps) } : {}),
          },
        },
        line,
        ...(state.includes('bench') ? { standing: 'bench' as const } : {}),
        ...(state.includes('off') ? { gates: ['power-off'] as Gate[] } : {}),
        ...(lit ? { lit: { check: lit } } : {}),
        accept: right.join('|').split('||').map(alternativeOf),
      }
    })

function alternativeOf(words: string): Alternative {
  const plain = words.trim()
  if (plain === 'ask') return { ask: true }
  if (plain === 'note') return { note: true }
  const parts = plain.split(';').map((part) => part.trim())
  return {
    findings: parts.filter((part) => !part.startsWith('o ')).map(findingOf),
    other: parts.filter((part) => part.startsWith('o ')).map((part) => otherOf(part.slice(2))),
  }
}

function findingOf(words: string): Fields {
  const [head = '', ...details] = words.split(' ')
  const measured = head.includes(':')
  const [check, said = ''] = head.split(measured ? ':' : '=')
  const fields = details.map((detail) => {
    const [name = '', value = ''] = detail.split('=')
    return [name, Number.isNaN(Number(value)) ? value : Number(value)]
  })
  const read = !measured
    ? { outcome: said }
    : said === 'null'
      ? { value: null }
      : said.endsWith('mm')
        ? { value: Number.parseFloat(said), unit: 'mm' }
        : { value: Number(said) }
  return { check, ...read, ...Object.fromEntries(fields) }
}

function otherOf(words: string): Fields {
  const shut = !words.startsWith('!')
  const [is, value = ''] = words.replace('!', '').split(':')
  switch (is) {
    case 'gate':
      return { is, gate: value, shut }
    case 'standing':
      return { is, at: value }
    case 'replaced':
      return { is, part: value }
    case 'complaint':
      return { is, id: value }
    case 'plate': {
      const [field, figure] = value.split('=')
      return { is, field, value: Number.isNaN(Number(figure)) ? figure : Number(figure) }
    }
    default:
      return { is }
  }
}

/** What the program makes of a saying. */
export function heard({ pump, standing = 'installed', gates = [], lit = null, line }: Saying): Understanding {
  return understand(line, {
    kind: pump.kind,
    plate: completePlate(pump),
    printed: pump.nameplate,
    standing,
    gates: new Set(gates),
    lit,
  })
}

const SAME_LEADS: Readonly<Record<string, string>> = { blk: 'black', main: 'run', gnd: 'ground', earth: 'ground' }
const pair = (leads: unknown) =>
  String(leads)
    .split('-')
    .map((lead) => SAME_LEADS[lead] ?? lead)
    .sort()
    .join('-')
/** Numbers within half a percent. */
const near = (got: unknown, wanted: number) =>
  typeof got === 'number' && Math.abs(got - wanted) <= 0.005 * Math.abs(wanted) + 1e-12

/** Does a finding, or another thing, have all of these fields? `(absent)` means that it has not. */
function holds(wanted: Fields, got: Fields): boolean {
  return Object.entries(wanted).every(([field, value]) => {
    if (value === '(absent)') return got[field] === undefined
    if (field === 'unit') return true
    if (field === 'value' && typeof value === 'number') {
      const [from, to] = [wanted['unit'], got['unit']]
      if (typeof from !== 'string' || typeof to !== 'string' || from === to) return near(got['value'], value)
      const unit = readUnit(from, to as Unit)
      return unit?.unit === to && near(got['value'], unit.toCanonical(value))
    }
    if (field === 'leads') return got['leads'] !== undefined && pair(got['leads']) === pair(value)
    if (typeof value === 'number') return near(got[field], value)
    return JSON.stringify(got[field]) === JSON.stringify(value)
  })
}

/** Each wanted thing among those got, each with one of its own. */
function eachHasItsOwn(wanted: readonly Fields[], got: readonly Fields[]): boolean {
  const [first, ...rest] = wanted
  if (!first) return true
  return got.some(
    (one, index) =>
      holds(first, one) &&
      eachHasItsOwn(
        rest,
        got.filter((_, other) => other !== index),
      ),
  )
}

function fits(alternative: Alternative, { findings, other, ask, note }: Understanding): boolean {
  if (alternative.ask) return ask !== null && findings.length === 0
  if (alternative.note) return note !== null && findings.length === 0 && other.length === 0 && ask === null
  return (
    ask === null &&
    eachHasItsOwn(alternative.findings ?? [], findings as unknown as Fields[]) &&
    eachHasItsOwn(alternative.other ?? [], other as unknown as Fields[])
  )
}

/** How a saying went: as it should, missed, or worse, with a fact kept that is none. */
export function outcomeOf(saying: Saying): 'right' | 'missed' | 'wrong' {
  const understood = heard(saying)
  const forbidden = (saying.never ?? []).some((fact) =>
    (understood.findings as Finding[]).some((finding) => holds(fact, finding as unknown as Fields)),
  )
  const right = saying.accept.some((alternative) => fits(alternative, understood))
  if (right && !forbidden) return 'right'
  return forbidden || understood.findings.length > 0 ? 'wrong' : 'missed'
}
