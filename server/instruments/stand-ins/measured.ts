import { usualSetup } from '../../../core/diagnosis/judge-finding'
import type { FunctionName } from '../../../core/instruments/functions'
import { practiceCase, type PracticeCase } from '../../../core/practice/practice-case'
import { readCode } from '../../../core/knowledge/practice/case-code'
import { chance } from '../../../core/quantity/random'
import { answer, type Question } from '../../../core/virtual/answer'

/** What each instrument has its leads on, the first of which this machine has. */
const QUESTIONS: Readonly<Record<FunctionName, readonly Question[]>> = {
  'VOLT:AC': [{ check: 'supply-voltage' }],
  'VOLT:DC': [{ check: 'battery-voltage' }],
  'CURR:AC': [{ check: 'running-current' }],
  RES: [{ check: 'winding-resistance', leads: 'run-common' }],
  CAP: [
    { check: 'capacitance', part: 'run-capacitor' },
    { check: 'capacitance', part: 'start-capacitor' },
  ],
  INS: [{ check: 'insulation-resistance' }],
  PRES: [{ check: 'filter-pressure' }, { check: 'cut-out' }, { check: 'discharge-pressure' }],
  TEMP: [],
}
/** A thermometer hangs in the shade of the pump house, °C. */
const SHADE = 21

/** The virtual pump that the stand-ins measure. @throws RangeError where the code is none */
export function pumpOfCode(code: string): PracticeCase {
  const read = readCode(code)
  if (!read) throw new RangeError(`${code} is no case: it looks like pool.one.y`)
  return practiceCase(read)
}

/** What an instrument would show on this pump, in the program’s unit; null over range. */
export function measured({ machine, pump, seed }: PracticeCase, name: FunctionName): number | null {
  if (name === 'TEMP') return SHADE
  for (const question of QUESTIONS[name]) {
    const asked = name === 'INS' ? { ...question, setup: usualSetup(pump) } : question
    const { value } = answer(machine, asked, chance(seed), 0)
    if (typeof value === 'number') return value
  }
  return null
}
