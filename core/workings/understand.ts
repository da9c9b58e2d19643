import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, IsIn, IsString, MaxLength, ValidateNested } from 'class-validator'
import { FindingInput, PumpInput } from '../diagnosis/case-rules'
import type { Scene } from '../language/scene'
import { understand } from '../language/understand'
import { GATES, STANDINGS, type Gate, type Standing } from '../knowledge/vocabulary'
import { completePlate } from '../motor/nameplate'
import { IdOf, MayBeAbsent } from '../validation/rules'
import { defineWorking } from './define-working'

class UnderstandInput {
  @ValidateNested() @Type(() => PumpInput) pump!: PumpInput
  @MayBeAbsent() @IsIn(STANDINGS) standing?: Standing
  @MayBeAbsent() @IsArray() @ArrayMaxSize(30) @IdOf(GATES, { each: true }) gates?: Gate[]
  @MayBeAbsent() @ValidateNested() @Type(() => FindingInput) lit?: FindingInput
  @IsString() @MaxLength(1000) line!: string
}

const BASIS = {
  kind: 'common-practice',
  name: 'how the trade says its readings: the words stand in the knowledge, beside what they name',
} as const

export const understandWorking = defineWorking({
  name: 'understand',
  title: 'What does this line mean?',
  input: UnderstandInput,
  basis: BASIS,
  run: ({ pump, standing = 'installed', gates = [], lit, line }) => {
    const scene: Scene = {
      kind: pump.kind,
      plate: completePlate(pump),
      printed: pump.nameplate,
      standing,
      gates: new Set(gates),
      lit: lit ?? null,
    }
    const { findings, other, ask, note, left, pieces } = understand(line, scene)
    return {
      findings,
      other,
      ask: ask && { question: ask.question, choices: ask.choices },
      note,
      left,
      steps: pieces.map(
        ({ text, finding, other: besides, doubt }) =>
          `${text}: ${doubt ? 'asked' : JSON.stringify(finding ?? besides)}`,
      ),
      basis: BASIS,
    }
  },
})
