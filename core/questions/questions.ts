import { InputError } from '../validation/input-error'
import { capacitorFromVan } from './capacitor-from-van'
import { jetLift } from './jet-lift'
import type { Question } from './question'
import { speedSaving } from './speed-saving'
import { stagesAndMotor } from './stages-and-motor'
import { stringToPull } from './string-to-pull'
import { tankAndCharge } from './tank-and-charge'
import { wellPressure } from './well-pressure'
import { whereWaterGoes } from './where-water-goes'
import { whichSumpPump } from './which-sump-pump'
import { wireSize } from './wire-size'

/** Every question, in the order of the page. */
export const QUESTIONS: readonly Question[] = [
  whichSumpPump,
  wellPressure,
  stagesAndMotor,
  jetLift,
  tankAndCharge,
  wireSize,
  stringToPull,
  whereWaterGoes,
  speedSaving,
  capacitorFromVan,
] as unknown as Question[]

/** @throws InputError for an id that is none */
export function questionById(id: string): Question {
  const found = QUESTIONS.find((question) => question.id === id)
  if (!found)
    throw new InputError([
      { field: 'question', value: id, expected: `one of ${QUESTIONS.map((question) => question.id).join(', ')}` },
    ])
  return found
}
