import { infer } from '../diagnosis/inference'
import { cureChance } from '../diagnosis/loss'
import { buildModel } from '../diagnosis/model'
import type { ActionRow } from '../knowledge/faults/model-types'
import { THEORIES } from '../knowledge/practice/theories'
import { COMPLAINTS, complaintFits, type Complaint, type Fault } from '../knowledge/vocabulary'
import { chance, type Chance } from '../quantity/random'
import { buildMachine } from '../virtual/build'
import { noticeableComplaints } from '../virtual/complaint'
import type { VirtualMachine } from '../virtual/machine'
import { foreignPlate } from '../virtual/plate-shown'
import {
  badRepairsOf,
  calledAbout,
  caseOf,
  drawFaults,
  pumpOfMachine,
  worldOf,
  type CaseData,
  type VirtualCase,
} from './cases'
import { inPlace } from './offered'
import { everyReading, findingOf } from './readings'
import { writeCode, type CaseCode, type Hardness } from '../knowledge/practice/case-code'

/** A pump with something wrong with it, to be worked on for practice. */
export interface PracticeData extends CaseData {
  code: string
  hardness: Hardness
  /** In the caller's words. */
  callerSays: string
}
export type PracticeCase = VirtualCase & Pick<PracticeData, 'code' | 'hardness' | 'callerSays'>

/** A case with all that follows from it. */
export function practiceOf(data: PracticeData): PracticeCase {
  const { code, hardness, callerSays } = data
  return { ...caseOf(data), code, hardness, callerSays }
}

/** Draws until somebody would call: enough for the rarest of what can be asked for. */
const MOST_DRAWS = 600
/** All cases are of one world: what is common in it is not what the engine believes to be. */
const WORLD = 41

/**
 * The case of a code: the same on every machine.
 *
 * @throws RangeError where this kind cannot be as hard as is asked, in no draw
 */
export function drawPractice(code: CaseCode): PracticeData {
  const { kind, hardness, seed } = code
  const dice = chance(seed * 7 + hardness.length)
  const world = worldOf(WORLD)
  for (let draw = 0; draw < MOST_DRAWS; draw++) {
    const machine = buildMachine(kind, dice)
    const wrong = wrongWith(machine, hardness, world, dice)
    if (!wrong || wrong.faults.includes('nothing-wrong')) continue
    readPlate(machine, hardness, dice)
    const called = calledAbout(machine, wrong, dice, seed)
    if (called && isFindable(caseOf(called)))
      return { ...called, code: writeCode(code), hardness, ...told(called, hardness, dice) }
  }
  throw new RangeError(`${kind} cannot be met with ${hardness}`)
}

function wrongWith(
  machine: VirtualMachine,
  hardness: Hardness,
  world: (fault: string) => number,
  dice: Chance,
): { faults: Fault[]; alreadyReplaced: VirtualCase['alreadyReplaced'] } | undefined {
  if (hardness === 'redone') {
    const left = badRepairsOf(machine)
    if (left.length > 0) {
      const { part, trouble } = dice.pick(left)
      return { faults: [trouble], alreadyReplaced: [part] }
    }
  }
  const faults = drawFaults(machine, world, dice)
  if (hardness !== 'two') return faults.length === 1 ? { faults, alreadyReplaced: [] } : undefined
  if (faults.length === 2) return { faults, alreadyReplaced: [] }
  const second = drawFaults(machine, world, dice)
  const both = [...new Set([...faults, ...second])]
  return both.length === 2 && isHypothesis(machine, both) ? { faults: both, alreadyReplaced: [] } : undefined
}

/** Believed as much once everything was read, and nobody is asked for what cannot be known. */
const FINDABLE = 0.6

/** What the repairs with fewest parts cure that between them cure all that is wrong. */
function curesOf(actions: readonly ActionRow[], faults: readonly Fault[]): Fault[] {
  return faults.flatMap((fault) => {
    const own = actions.filter((action) => inPlace(action) && action.cures.includes(fault))
    const least = own.sort((a, b) => a.parts.length - b.parts.length || a.minutes - b.minutes)[0]
    return [fault, ...(least?.cures ?? [])]
  })
}

/** Does what can be read of this machine say what is wrong with it? */
function isFindable({ pump, machine, complaints, alreadyReplaced, faults, seed }: VirtualCase): boolean {
  const model = buildModel(pump, alreadyReplaced)
  const findings = everyReading(model, machine, seed).map(findingOf)
  const { probabilities } = infer(model, { complaints, findings })
  // Of two that are mended alike nobody has to say which it was.
  const cures = curesOf(model.actions, faults)
  return cureChance(model.hypotheses, probabilities, cures) >= FINDABLE
}

/** Two that can stand beside each other in one machine. */
function isHypothesis(machine: VirtualMachine, both: readonly Fault[]): boolean {
  return buildModel(pumpOfMachine(machine)).hypotheses.some(
    ({ faults }) => faults.length === 2 && both.every((fault) => faults.includes(fault)),
  )
}

/** Where the plate is not what the case is about, it can be read. */
function readPlate(machine: VirtualMachine, hardness: Hardness, dice: Chance): void {
  const isForeign = hardness === 'foreign'
  machine.plateState = isForeign ? 'foreign' : 'whole'
  machine.shownPlate = isForeign ? foreignPlate(machine.nameplate, dice) : machine.nameplate
}

/** What the caller says: what there is to notice, and in a misleading call a theory, or a thing that is not so. */
function told(called: CaseData, hardness: Hardness, dice: Chance): Pick<PracticeData, 'complaints' | 'callerSays'> {
  const { complaints } = called
  const words = (all: readonly Complaint[]) => all.map((complaint) => COMPLAINTS[complaint].toLowerCase()).join(', ')
  if (hardness !== 'misled') return { complaints, callerSays: capital(words(complaints)) }
  const noticed = new Set(noticeableComplaints(caseOf(called).machine))
  const untrue = (Object.keys(COMPLAINTS) as Complaint[]).filter(
    (complaint) => !noticed.has(complaint) && complaintFits(complaint, called.whole.kind),
  )
  return {
    complaints: [...complaints, dice.pick(untrue)],
    callerSays: `${capital(words(complaints))}. ${dice.pick(THEORIES)}`,
  }
}

const capital = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}`

/** The case of a code, with all that follows from it. @throws RangeError as `drawPractice` does */
export function practiceCase(code: CaseCode): PracticeCase {
  return practiceOf(drawPractice(code))
}
