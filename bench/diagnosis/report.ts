import type { Done } from './worker'

export interface Calibration {
  error: number
  bins: { from: number; count: number; believed: number; right: number }[]
}

/** Expected calibration error over ten bins: how far belief and truth lie apart, weighed by how often. */
export function calibration(rows: readonly { belief: number; right: boolean }[]): Calibration {
  const bins = Array.from({ length: 10 }, (_, index) => {
    const inside = rows.filter(({ belief }) => Math.min(9, Math.floor(belief * 10)) === index)
    const mean = (values: readonly number[]) =>
      values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length
    return {
      from: index / 10,
      count: inside.length,
      believed: mean(inside.map(({ belief }) => belief)),
      right: mean(inside.map(({ right }) => (right ? 1 : 0))),
    }
  })
  return {
    error: bins.reduce(
      (sum, { count, believed, right }) => sum + (count / rows.length) * Math.abs(believed - right),
      0,
    ),
    bins,
  }
}

const percent = (value: number) => `${(100 * value).toFixed(1)} %`
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length)

export interface Figures {
  settled: number
  cured: number
  right: number
  named: number
  lean: number
  causeError: number
  cureError: number
  minutes: number
  checklistMinutes: number
  symptomMinutes: number
  ratio: number
  symptomRatio: number
  symptomCured: number
  symptomRight: number
  unsafe: number
  unsafeSymptom: number
  unneeded: number
  unneededChecklist: number
  unneededLot: number
  checklistRight: number
}

export function figuresOf(rows: readonly Done[]): Figures {
  const lamp = rows.map((row) => row.lamp)
  const list = rows.flatMap(({ checklist }) => checklist ?? [])
  const symptom = rows.flatMap((row) => row.symptom ?? [])
  const paired = rows.filter(({ checklist }) => checklist !== undefined)
  const minutes = mean(paired.map((row) => row.lamp.minutes))
  return {
    settled: mean(lamp.map(({ settled }) => (settled ? 1 : 0))),
    cured: mean(lamp.map(({ cured }) => (cured ? 1 : 0))),
    right: mean(lamp.map(({ right }) => (right ? 1 : 0))),
    named: mean(lamp.map(({ named }) => (named ? 1 : 0))),
    lean: mean(lamp.map(({ right, unneeded }) => (right && unneeded === 0 ? 1 : 0))),
    causeError: calibration(lamp.map(({ belief, named }) => ({ belief, right: named }))).error,
    cureError: calibration(lamp.map(({ cureBelief, right }) => ({ belief: cureBelief, right }))).error,
    minutes,
    checklistMinutes: mean(list.map((row) => row.minutes)),
    symptomMinutes: mean(symptom.map((row) => row.minutes)),
    ratio: minutes / mean(list.map((row) => row.minutes)),
    symptomRatio: minutes / mean(symptom.map((row) => row.minutes)),
    symptomCured: mean(symptom.map(({ cured }) => (cured ? 1 : 0))),
    symptomRight: mean(symptom.map(({ right }) => (right ? 1 : 0))),
    unsafe: lamp.reduce((sum, { unsafe }) => sum + unsafe.length, 0),
    unsafeSymptom: symptom.reduce((sum, { unsafe }) => sum + unsafe.length, 0),
    unneeded: 100 * mean(lamp.map(({ unneeded }) => unneeded)),
    unneededChecklist: 100 * mean(list.map(({ unneeded }) => unneeded)),
    unneededLot: 100 * mean(rows.map(({ lot }) => lot)),
    checklistRight: mean(list.map(({ right }) => (right ? 1 : 0))),
  }
}

/** The figures as the bench prints them. */
export function printFigures(title: string, rows: readonly Done[]): string {
  const f = figuresOf(rows)
  return [
    `${title}: ${rows.length} machines`,
    `  settled                          ${percent(f.settled)}`,
    `  what was told of is cured        ${percent(f.cured)}   (wanted ≥ 93 %)`,
    `  all that is wrong is cured       ${percent(f.right)}`,
    `  first-named cause is there       ${percent(f.named)}`,
    `  right with no part too many      ${percent(f.lean)}`,
    `  calibration error, cure          ${f.cureError.toFixed(3)}   (wanted ≤ 0.05)`,
    `  calibration error, named cause   ${f.causeError.toFixed(3)}   (wanted ≤ 0.05)`,
    `  minutes, lamp                    ${f.minutes.toFixed(1)}`,
    `  minutes, technician by symptom   ${f.symptomMinutes.toFixed(1)}   lamp is ${percent(f.symptomRatio)} of it ` +
      `(wanted ≤ 60 %); he cures ${percent(f.symptomCured)}, the lamp’s errors are ` +
      `${percent((1 - f.cured) / (1 - f.symptomCured))} of his (wanted ≤ 50 %); of all that is wrong ` +
      `${percent(f.symptomRight)}, ${percent((1 - f.right) / (1 - f.symptomRight))}`,
    `  minutes, textbook’s checklist    ${f.checklistMinutes.toFixed(1)}   lamp is ${percent(f.ratio)} of it; repair ` +
      `right ${percent(f.checklistRight)}`,
    `  unsafe acts                      ${f.unsafe} (wanted 0); technician by symptom ${f.unsafeSymptom}`,
    `  parts too many per 100 visits    lamp ${f.unneeded.toFixed(0)}, checklist ` +
      `${f.unneededChecklist.toFixed(0)}, swap the lot ${f.unneededLot.toFixed(0)}`,
  ].join('\n')
}

/** The faults most often repaired wrongly, each with what was done instead and on what evidence. */
export function printWorst(rows: readonly Done[], most: number): string {
  const byFault = new Map<string, Done[]>()
  for (const row of rows) {
    const key = `${row.kind} ${row.lamp.faults.join(' + ')}`
    byFault.set(key, [...(byFault.get(key) ?? []), row])
  }
  const worst = [...byFault]
    .map(([key, list]) => ({ key, list, wrong: list.filter(({ lamp }) => !lamp.cured) }))
    .filter(({ wrong }) => wrong.length > 0)
    .sort((a, b) => b.wrong.length - a.wrong.length || b.wrong.length / b.list.length - a.wrong.length / a.list.length)
    .slice(0, most)
  return worst
    .map(({ key, list, wrong }) => {
      const { lamp } = wrong[0] as Done
      return (
        `  ${key}: ${wrong.length} of ${list.length} wrong; ${lamp.settled ? 'settled on' : 'not settled,'} ` +
        `${lamp.action} (${lamp.top} ${percent(lamp.belief)}) after ${lamp.complaints.join(', ')}; ` +
        `${lamp.checks.join(', ') || 'no check'}`
      )
    })
    .join('\n')
}

export function printKinds(rows: readonly Done[]): string {
  const kinds = [...new Set(rows.map(({ kind }) => kind))]
  return kinds
    .map((kind) => {
      const own = rows.filter((row) => row.kind === kind)
      const f = figuresOf(own)
      return (
        `  ${kind.padEnd(16)} ${String(own.length).padStart(4)}  cured ${percent(f.cured).padStart(7)}  named ` +
        `${percent(f.named).padStart(7)}  cure ECE ${f.cureError.toFixed(3)}  minutes ` +
        `${f.minutes.toFixed(1).padStart(5)} of ${f.checklistMinutes.toFixed(1).padStart(6)} (${percent(f.ratio)})`
      )
    })
    .join('\n')
}

/** Each fault over all its kinds, those cured least often first. */
export function printFaults(rows: readonly Done[], most: number): string {
  const byFault = new Map<string, Done[]>()
  for (const row of rows) byFault.set(row.fault ?? '', [...(byFault.get(row.fault ?? '') ?? []), row])
  return [...byFault]
    .map(([fault, list]) => ({ fault, list, cured: mean(list.map(({ lamp }) => (lamp.cured ? 1 : 0))) }))
    .sort((a, b) => a.cured - b.cured)
    .slice(0, most)
    .map(({ fault, list, cured }) => `  ${fault}: ${percent(cured)} of ${list.length} (wanted ≥ 75 %)`)
    .join('\n')
}
