import { capacitanceFromCurrent } from '../electrical/capacitor'
import type { Asked, Finding } from '../diagnosis/finding'
import { CHECKS, checkInfo, outcomeLabel } from '../knowledge/checks/checks'
import { MOTOR_HAS, type CompletePlate } from '../motor/nameplate'
import type { Kind } from '../knowledge/vocabulary'
import { formatNumber } from '../quantity/format'
import { readUnit, UNIT_LABELS, type Unit } from '../quantity/units'
import { LEAD_NAMES, OUTCOME_WORDS, UNIT_GUESSES } from './reading-words'

/** Where the line is being typed: what machine, and which check is lit. */
export interface LineContext {
  kind: Kind
  plate: CompletePlate
  lit?: Asked | null
}

export interface Choice {
  label: string
  line: string
}

/** What a line was understood to say. A question is asked, never silently kept or dropped. */
export type Understood =
  | { kind: 'empty' }
  | { kind: 'findings'; findings: Finding[] }
  | { kind: 'note'; text: string; seenAndLeft: boolean; unknown: boolean }
  | { kind: 'question'; question: string; choices: Choice[] }

interface Quantity {
  value: number
  written: string
  unit?: Unit
  spelling?: string
  toCanonical?: (value: number) => number
}

/**
 * Understands one line of trade shorthand: `238 v`, `run cap 41.2`, `meg 0.2`, `b-y 3.4 r-y 12.1 r-b 15.3`, `9.8 a
 * running`, `shaft gritty`.
 *
 * Pure: the same line in the same context is always understood the same way.
 */
export function understandLine(line: string, context: LineContext): Understood {
  const text = line
    .trim()
    .replace(/\s+/g, ' ')
    .replace(/\u2212/g, '-')
  if (!text) return { kind: 'empty' }
  const note = /^(note|left|seen)\b[:\s]*(.*)$/i.exec(text)
  if (note)
    return note[2]
      ? { kind: 'note', text: note[2], seenAndLeft: note[1]?.toLowerCase() !== 'note', unknown: false }
      : ask('A note of what?', [])
  const pairs = readLeadPairs(text)
  if (pairs) return pairs
  const thousands = /\d,\d{3}(?!\d)/.exec(text)
  if (thousands) {
    const written = thousands[0]
    return ask(
      `Is the comma in ${written} a decimal comma or a thousands mark?`,
      [written.replace(',', '.'), written.replace(',', '')].map((number) => ({
        label: number,
        line: text.replace(written, number),
      })),
    )
  }
  const { quantities, words } = tokens(text.replace(/(\d),(\d)/g, '$1.$2'))
  return quantities.length > 0
    ? understandMeasured(text, quantities, words, context)
    : understandSeen(text, words, context)
}

function ask(question: string, choices: Choice[]): Understood {
  return { kind: 'question', question, choices }
}

const NUMBER =
  /(?:^|(?<=[\s=:]))(-?\d+(?:\.\d+)?|-?\.\d+)\s*(°\s?[CFcf]|[a-zA-Zµμ\u2126ΩωΩ"]+(?:\/(?:min|s|h))?|kPa-vacuum|m3\/h)?(?=$|[\s,;:])/gu

function tokens(text: string): { quantities: Quantity[]; words: string } {
  const quantities: Quantity[] = []
  const rest = text.replace(NUMBER, (whole: string, number: string, spelling: string | undefined) => {
    const compact = spelling?.replace(/\s/g, '')
    const unit = compact ? readUnit(compact) : undefined
    if (compact && !unit) {
      quantities.push({ value: Number(number), written: number })
      return ` ${compact} `
    }
    quantities.push({ value: Number(number), written: whole.trim(), unit: unit?.unit, spelling: compact })
    return ' '
  })
  return {
    quantities,
    words: ` ${rest
      .toLowerCase()
      .replace(/[:=,;]/g, ' ')
      .replace(/\s+/g, ' ')
      .trim()} `,
  }
}

/** `b-y 3.4 r-y 12.1 r-b 15.3`: pairs of leads, colours, numbers or names, each with its ohms. */
function readLeadPairs(text: string): Understood | undefined {
  const pair = /(?:^|\s)([a-z0-9]+)-([a-z0-9]+)\s*[=:]?\s*(-?[\d.]+|open|ol|inf)\s*(ohms?|[ΩΩω]|k|m|M|meg)?(?=$|\s)/gi
  const found = [...text.matchAll(pair)].filter(
    ([, a, b]) => LEAD_NAMES[(a as string).toLowerCase()] && LEAD_NAMES[(b as string).toLowerCase()],
  )
  if (found.length === 0 || text.replace(pair, '').trim() !== '') return undefined
  const findings: Finding[] = []
  for (const [, a, b, number, spelling] of found) {
    const leads = `${LEAD_NAMES[(a as string).toLowerCase()]}-${LEAD_NAMES[(b as string).toLowerCase()]}`
    if (a === b) return ask(`${leads}: a pair is two different leads.`, [])
    const open = Number.isNaN(Number(number))
    const value = open ? null : Number(number)
    if (value !== null && value < 0)
      return ask(
        `${formatNumber(value)} Ω between ${leads.replace('-', ' and ')} cannot be. What did the meter say?`,
        [],
      )
    const unit = spelling ? readUnit(spelling, 'ohm') : undefined
    findings.push({
      check: 'winding-resistance',
      leads,
      value: value === null || !unit ? value : unit.toCanonical(value),
      unit: 'ohm',
    })
  }
  return { kind: 'findings', findings }
}

function has(words: string, phrase: string): boolean {
  return words.includes(` ${phrase} `)
}

/** The checks that the words name, longest phrase first. */
function namedChecks(words: string, kind: Kind, measured: boolean): { check: string; length: number }[] {
  const scored = Object.keys(CHECKS).flatMap((check) => {
    const info = checkInfo(check)
    if (!info || (info.unit !== undefined) !== measured) return []
    const length = Math.max(0, ...info.words.filter((word) => has(words, word)).map((word) => word.length))
    const elsewhere = info.kinds && !info.kinds.includes(kind) ? 0.5 : 0
    return length > 0 ? [{ check, length: length - elsewhere }] : []
  })
  return scored.sort((a, b) => b.length - a.length)
}

function understandMeasured(text: string, quantities: Quantity[], words: string, context: LineContext): Understood {
  const fromCurrent = runningCapacitance(quantities, words, context)
  if (fromCurrent) return fromCurrent
  const named = namedChecks(words, context.kind, true)
  const main = quantities[0] as Quantity
  let check = named[0]?.check
  // "meg 0.2" names the instrument and the unit at once; "under load" alone means the supply.
  if (!check && has(words, 'ol')) return ask('Which reading is over range?', [])
  if (!check) {
    const lit = context.lit ? checkInfo(context.lit.check) : undefined
    const fits =
      lit?.unit !== undefined && (main.spelling === undefined || readUnit(main.spelling, lit.unit)?.unit === lit.unit)
    if (fits && words.trim() === '') check = context.lit?.check
    else if (main.unit) {
      const guesses = UNIT_GUESSES[main.unit] ?? []
      if (guesses.length === 1 || (guesses.length > 0 && main.unit === 'V')) check = guesses[0]
      else
        return ask(
          `${main.written} of what?`,
          guesses.map((guess) => ({
            label: checkInfo(guess)?.label ?? guess,
            line: `${checkInfo(guess)?.label ?? guess} ${text}`,
          })),
        )
    } else if (words.trim() === '')
      return ask(`${main.written} of what? Say the reading with it, such as “run cap ${main.written}”.`, [])
    else return { kind: 'note', text, seenAndLeft: false, unknown: true }
  }
  return measuredFinding(text, check as string, quantities, words, context)
}

function measuredFinding(
  text: string,
  check: string,
  quantities: Quantity[],
  words: string,
  context: LineContext,
): Understood {
  const info = checkInfo(check)
  const wanted = info?.unit as Unit
  const fitting = quantities.find(
    ({ spelling }) => spelling !== undefined && readUnit(spelling, wanted)?.unit === wanted,
  )
  const main =
    fitting ??
    (quantities.find(({ spelling }) => spelling === undefined) as Quantity | undefined) ??
    (quantities[0] as Quantity)
  const converted = main.spelling === undefined ? undefined : readUnit(main.spelling, wanted)
  if (main.spelling !== undefined && converted?.unit !== wanted) {
    return ask(
      `${info?.label ?? check} is measured in ${UNIT_LABELS[wanted]}, and ${main.written} is not. What was meant?`,
      [
        {
          label: `${formatNumber(main.value)} ${UNIT_LABELS[wanted]}`,
          line: text.replace(main.written, `${main.value} ${wanted}`),
        },
        { label: 'keep as a note', line: `note ${text}` },
      ],
    )
  }
  const value = converted ? converted.toCanonical(main.value) : main.value
  const impossible = implausible(check, value, main, text)
  if (impossible) return impossible
  const aspects = aspectsOf(
    check,
    quantities.filter((quantity) => quantity !== main),
    words,
    context,
  )
  if ('kind' in aspects) return withLine(aspects, text)
  return { kind: 'findings', findings: [{ check, ...aspects, value, unit: wanted }] }
}

function implausible(check: string, value: number, main: Quantity, text: string): Understood | undefined {
  const info = checkInfo(check)
  const [low, high] = info?.plausible ?? [0, Infinity]
  if (value >= low && value <= high) return undefined
  const unit = info?.unit ? UNIT_LABELS[info.unit] : ''
  const asNote = { label: 'keep as a note', line: `note ${text}` }
  if (value < low)
    return ask(
      `${main.written}: ${info?.label ?? check} cannot be below ${low} ${unit}. Was it ` +
        `${formatNumber(Math.abs(main.value))}?`,
      [
        { label: `${formatNumber(Math.abs(main.value))} ${main.spelling ?? unit}`, line: text.replace('-', '') },
        asNote,
      ],
    )
  return ask(
    `${main.written} would be ${formatNumber(value)} ${unit}, beyond ${formatNumber(high)} ${unit}. Was it ` +
      `${formatNumber(main.value)} ${unit}?`,
    [
      { label: `${formatNumber(main.value)} ${unit}`, line: text.replace(main.written, `${main.value} ${info?.unit}`) },
      asNote,
    ],
  )
}

/** `run cap 4.24 a 376 v`: capacitance under load, from its own amps and volts. */
function runningCapacitance(quantities: Quantity[], words: string, context: LineContext): Understood | undefined {
  const amps = quantities.find(({ unit }) => unit === 'A')
  const volts = quantities.find(({ unit }) => unit === 'V')
  if (!amps || !volts || !/ cap(acitor)? /.test(words) || volts.value <= 0 || amps.value < 0) return undefined
  const part = capacitorPart(words, context)
  if (typeof part !== 'string') return part
  return {
    kind: 'findings',
    findings: [
      {
        check: 'capacitance',
        part,
        method: 'under-load',
        value: capacitanceFromCurrent(volts.value, amps.value, context.plate.hertz),
        unit: 'uF',
      },
    ],
  }
}

type Aspects = Partial<Omit<Finding, 'check' | 'value' | 'unit'>> | (Understood & { kind: 'question' })

function aspectsOf(check: string, others: Quantity[], words: string, context: LineContext): Aspects {
  const celsius = others.find(({ unit, spelling }) => unit === 'celsius' && spelling)
  const warm = celsius
    ? { celsius: (readUnit(celsius.spelling as string)?.toCanonical ?? ((value: number) => value))(celsius.value) }
    : {}
  if (check === 'capacitance') {
    const part = capacitorPart(words, context)
    return typeof part === 'string' ? { part, method: 'off-circuit' } : (part as Understood & { kind: 'question' })
  }
  if (check === 'winding-resistance') {
    const which =
      has(words, 'start') || has(words, 'start winding')
        ? 'start-common'
        : has(words, 'run') || has(words, 'run winding')
          ? 'run-common'
          : (context.lit?.leads ?? (MOTOR_HAS.startWinding(context.plate.motorType) ? undefined : 'run-common'))
    if (!which)
      return {
        kind: 'question',
        question: 'Which winding: run or start?',
        choices: ['run winding', 'start winding'].map((label) => ({ label, line: `${label} ` })),
      }
    // Past the splice the motor's own leads are read, and no cable is in the way.
    const atMotor =
      has(words, 'motor') || (words.trim() === '' && context.lit?.check === check && context.lit.half === 'motor')
    return { leads: which, ...(atMotor ? { half: 'motor' as const, throughCable: false } : {}), ...warm }
  }
  if (check === 'insulation-resistance') {
    const volts = others.find(({ unit }) => unit === 'V')
    const setup = has(words, 'cable alone')
      ? 'cable-alone'
      : has(words, 'motor and cable')
        ? 'motor-and-cable'
        : has(words, 'motor alone')
          ? 'motor-alone'
          : context.lit?.check === check
            ? context.lit.setup
            : undefined
    return {
      ...(setup ? { setup } : {}),
      ...warm,
      ...(volts ? { testVolts: volts.value } : {}),
      ...(has(words, 'new') ? { ageState: 'new' as const } : {}),
    }
  }
  return {}
}

/** A question that only lacks the line's own text gets it. */
function withLine(question: Understood & { kind: 'question' }, text: string): Understood {
  return {
    ...question,
    choices: question.choices.map((choice) => ({
      ...choice,
      line: choice.line.endsWith(' ')
        ? `${choice.line}${text.replace(/winding|ohms?(?= \d)/gi, '').trim()}`
        : choice.line,
    })),
  }
}

function capacitorPart(words: string, { plate, lit }: LineContext): 'run-capacitor' | 'start-capacitor' | Understood {
  if (has(words, 'start')) return 'start-capacitor'
  if (has(words, 'run')) return 'run-capacitor'
  for (const phrase of ['start cap', 'start capacitor']) if (has(words, phrase)) return 'start-capacitor'
  const [run, start] = [MOTOR_HAS.runCapacitor(plate.motorType), MOTOR_HAS.startCapacitor(plate.motorType)]
  if (lit?.part === 'run-capacitor' || lit?.part === 'start-capacitor') return lit.part
  if (run && !start) return 'run-capacitor'
  if (start && !run) return 'start-capacitor'
  return ask(
    'Which capacitor: run or start?',
    ['run', 'start'].map((name) => ({ label: `${name} capacitor`, line: `${name} ` })),
  ) as Understood
}

/** Readings that may never come: the pump cannot make the pressure, or nothing cycles. */
const NEVER_REACHED: ReadonlySet<string> = new Set(['cut-in', 'cut-out', 'cycle-time'])

function understandSeen(text: string, words: string, context: LineContext): Understood {
  const open = / (ol|open|over range|infinite|never) /.test(words)
  const measured = open ? namedChecks(words, context.kind, true)[0]?.check : undefined
  if (measured === 'winding-resistance') {
    const aspects = aspectsOf(measured, [], words, context)
    return 'kind' in aspects
      ? withLine(aspects, text)
      : { kind: 'findings', findings: [{ check: measured, ...aspects, value: null, unit: 'ohm' }] }
  }
  if (measured && NEVER_REACHED.has(measured) && words.trim().split(' ').length <= 3)
    return { kind: 'findings', findings: [{ check: measured, value: null, unit: checkInfo(measured)?.unit }] }
  if (open && words.trim().split(' ').length === 1 && context.lit && NEVER_REACHED.has(context.lit.check))
    return {
      kind: 'findings',
      findings: [{ check: context.lit.check, value: null, unit: checkInfo(context.lit.check)?.unit }],
    }
  const said = outcomesIn(words)
  const named = namedChecks(words, context.kind, false)
  const matches = named
    .flatMap(({ check, length }) => {
      const outcome = said.find(({ id }) => Object.hasOwn(checkInfo(check)?.outcomes ?? {}, id))
      return outcome ? [{ check, outcome: outcome.id, score: length + outcome.length }] : []
    })
    .sort((a, b) => b.score - a.score)
  const best = matches[0]
  if (best) {
    const rival = matches.find(({ check, score }) => check !== best.check && score === best.score)
    if (rival)
      return ask(
        `${text}: which is meant?`,
        [best, rival].map(({ check, outcome }) => ({
          label: `${checkInfo(check)?.label}: ${outcomeLabel(outcome)}`,
          line: `${checkInfo(check)?.words[0]} ${outcomeLabel(outcome)}`,
        })),
      )
    return seenFinding(best.check, best.outcome, words, context)
  }
  const lit = context.lit ? checkInfo(context.lit.check)?.outcomes : undefined
  const litOutcome = lit && said.find(({ id }) => Object.hasOwn(lit, id))
  if (litOutcome && context.lit && named.length === 0 && words.trim().split(' ').length <= 2)
    return seenFinding(context.lit.check, litOutcome.id, words, context)
  if (named.length > 0 && words.trim().split(' ').length <= 2) {
    const check = named[0]?.check as string
    return ask(
      `${checkInfo(check)?.label}: what was seen?`,
      Object.keys(checkInfo(check)?.outcomes ?? {}).map((outcome) => ({
        label: outcomeLabel(outcome),
        line: `${text} ${outcomeLabel(outcome)}`,
      })),
    )
  }
  return { kind: 'note', text, seenAndLeft: false, unknown: true }
}

function seenFinding(check: string, outcome: string, words: string, context: LineContext): Understood {
  const info = checkInfo(check)
  const finding: Finding = { check, outcome }
  if (check === 'capacitor-look') {
    const part = capacitorPart(words, context)
    if (typeof part !== 'string')
      return {
        ...(part as Understood & { kind: 'question' }),
        choices: (part as Understood & { kind: 'question' }).choices.map((choice) => ({
          ...choice,
          line: `${choice.line}capacitor ${outcomeLabel(outcome)}`,
        })),
      }
    return { kind: 'findings', findings: [{ ...finding, part }] }
  }
  if (check === 'joint-look') {
    const at = ['lid', 'clamp', 'seal plate', 'hose', 'thread', 'union', 'glued'].find(
      (place) => has(words, place) || has(words, `${place}s`),
    )
    return { kind: 'findings', findings: [at ? { ...finding, at: at.replace(' ', '-') } : finding] }
  }
  const part = info?.parts?.find((candidate) => has(words.replaceAll('-', ' '), candidate.replaceAll('-', ' ')))
  if (part) finding.part = part
  else if (context.lit?.check === check && context.lit.part) finding.part = context.lit.part
  if (check === 'shaft-turn') {
    const half = has(words, 'motor')
      ? 'motor'
      : has(words, 'pump end')
        ? 'pump-end'
        : has(words, 'whole')
          ? undefined
          : context.lit?.check === check
            ? context.lit.half
            : undefined
    if (half) finding.half = half
  }
  return { kind: 'findings', findings: [finding] }
}

/** Outcome ids that the words say, by themselves or by what people call them. */
function outcomesIn(words: string): { id: string; length: number }[] {
  const ids = new Set(
    Object.values(CHECKS).flatMap((info) => Object.keys((info as { outcomes?: object }).outcomes ?? {})),
  )
  const said = [...ids]
    .filter((id) => has(words, id) || has(words, outcomeLabel(id)))
    .map((id) => ({ id, length: id.length }))
  const other = Object.entries(OUTCOME_WORDS).flatMap(([word, outcomes]) =>
    has(words, word) ? outcomes.map((id) => ({ id, length: word.length })) : [],
  )
  return [...said, ...other].sort((a, b) => b.length - a.length)
}
