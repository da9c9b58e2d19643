import { Type, type ClassConstructor } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, ValidateNested } from 'class-validator'
import { IdOf, MayBeAbsent, Quantity } from '../validation/rules'
import { validated } from '../validation/validated'
import { usualInput, type Field } from './fields'
import { answerOf, type Answer, type Question } from './question'
import { QUESTIONS } from './questions'

class CurvePointRow {
  @Quantity({ min: 0, max: 1e5 }) flowLitresPerSecond!: number
  @Quantity({ min: 0, max: 1e5 }) headMetres!: number
}
/** A capacitor of the stock, as it is given. */
export class StockRow {
  @Quantity({ above: 0, max: 1e5 }) microfarads!: number
  @Quantity({ above: 0, max: 1e4 }) volts!: number
}

/** The class of rules that follows from a question's fields. */
function inputClass<Input extends object>(fields: readonly Field[]): ClassConstructor<Input> {
  class QuestionInput {
    [field: string]: unknown
  }
  for (const field of fields) {
    const rules: PropertyDecorator[] = []
    if (field.usual === undefined) rules.push(MayBeAbsent())
    if (field.as === 'number') rules.push(Quantity(field), ...(field.whole ? [IsInt()] : []))
    else if (field.as === 'choice')
      rules.push(IdOf(Object.fromEntries(field.choices.map(({ id, label }) => [id, label]))))
    else if (field.as === 'curve')
      rules.push(
        IsArray(),
        ArrayMinSize(2),
        ArrayMaxSize(100),
        ValidateNested({ each: true }),
        Type(() => CurvePointRow),
      )
    else
      rules.push(
        IsArray(),
        ArrayMaxSize(24),
        ValidateNested({ each: true }),
        Type(() => StockRow),
      )
    for (const rule of rules) rule(QuestionInput.prototype, field.name)
  }
  return QuestionInput as unknown as ClassConstructor<Input>
}

/** The rules of every question that there is, by its id: they follow from its fields alone. */
const INPUTS: ReadonlyMap<string, ClassConstructor<object>> = new Map(
  QUESTIONS.map(({ id, fields }) => [id, inputClass(fields)]),
)

/** The class of rules that a question's input is validated by. */
export function inputOf({ id, fields }: Pick<Question, 'id' | 'fields'>): ClassConstructor<object> {
  return INPUTS.get(id) ?? inputClass(fields)
}

/**
 * Asks a question on plain data; what is left out is taken as usual.
 *
 * @throws InputError naming the field, its value and what would be right
 */
export function ask(question: Question, plain: object): Answer {
  return answerOf(question, validated(inputOf(question), { ...usualInput(question.fields), ...plain }))
}
