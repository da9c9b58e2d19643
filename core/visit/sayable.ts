import { CHECKS, checkInfo, isAsked, outcomeLabel, partOfFinding } from '../knowledge/checks/checks'
import { capacitorsHere, isHere, oneWinding, type Scene } from '../language/scene'
import { isIdOf, PARTS } from '../knowledge/vocabulary'
import { UNIT_LABELS } from '../quantity/units'
import { lineSubject } from './line-subject'
import type { Asked } from '../diagnosis/finding'

/** One thing that can be said of a part: how its line begins, and what may follow. */
export interface Sayable {
  label: string
  /** The line up to where its figure or its answer is written. */
  begins: string
  /** What it can be, for what is seen. */
  answers: string[]
  /** What it is read in, for what is measured. */
  unit?: string
}
export interface SayableGroup {
  part: string
  label: string
  sayables: Sayable[]
}

/** Lines that say something besides readings: an example of each. */
export const SAID_BESIDES: readonly { what: string; line: string }[] = [
  { what: 'a gate', line: 'breaker off and locked' },
  { what: 'the plate', line: 'plate 9.8 amps frame 56Y' },
  { what: 'what was replaced', line: 'bearings replaced last year' },
  { what: 'what is left alone', line: 'left: cracked lid' },
  { what: 'where it stands', line: 'pump is on the bench' },
  { what: 'what is wished for', line: 'customer wants a new motor' },
  { what: 'what the owner says', line: 'owner says it trips the breaker' },
  { what: 'anything else', line: 'note: key with the neighbour' },
]

/** What can be said now of this machine, by part. */
export function sayableHere(scene: Scene): SayableGroup[] {
  const groups = new Map<string, Sayable[]>()
  for (const check of Object.keys(CHECKS)) {
    const info = checkInfo(check)
    if (!info || !isAsked(info) || !isHere(check, scene)) continue
    for (const asked of askedOf(check, scene)) {
      const part = partOfFinding(asked) ?? 'pump'
      const sayable: Sayable = {
        label: info.label,
        begins: lineSubject(asked),
        answers: Object.keys(info.outcomes ?? {}).map(outcomeLabel),
        ...(info.unit ? { unit: UNIT_LABELS[info.unit] } : {}),
      }
      groups.set(part, [...(groups.get(part) ?? []), sayable])
    }
  }
  return [...groups]
    .map(([part, sayables]) => ({ part, label: isIdOf(PARTS, part) ? PARTS[part] : part, sayables }))
    .sort((a, b) => a.label.localeCompare(b.label, 'en'))
}

/** A check once for each capacitor and each winding that the machine has. */
function askedOf(check: string, scene: Scene): Asked[] {
  if (check === 'capacitance' || check === 'capacitor-look')
    return capacitorsHere({ ...scene, lit: null }).map((part) => ({ check, part }))
  if (check === 'winding-resistance')
    return (oneWinding(scene) ? ['run-common'] : ['run-common', 'start-common']).map((leads) => ({ check, leads }))
  return [{ check }]
}
