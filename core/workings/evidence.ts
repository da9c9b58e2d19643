import { ArrayMaxSize, IsArray, IsIn, IsObject, IsString } from 'class-validator'
import { weighNaive, weighNoisyOr, type NaiveTest, type NoisyEffect } from '../diagnosis/evidence'
import type { Basis } from '../judgement/judgement'
import { formatNumber as n } from '../quantity/format'
import { badField } from '../validation/input-error'
import { isRecord, MayBeAbsent, rule } from '../validation/rules'
import { defineWorking } from './define-working'

const isRecordOf =
  (test: (value: unknown) => boolean) =>
  (value: unknown): boolean =>
    isRecord(value) && Object.keys(value).length <= 200 && Object.values(value).every(test)
const isShare = (value: unknown) => typeof value === 'number' && value >= 0 && value <= 1
const isText = (value: unknown) => typeof value === 'string'
const isMinutes = (value: unknown) => typeof value === 'number' && value >= 0.001 && Number.isFinite(value)

class EvidenceInput {
  @IsIn(['naive', 'noisy-or']) model!: 'naive' | 'noisy-or'
  @rule('isShares', isRecordOf(isShare), 'must hold a probability from 0 to 1 for each cause') priors!: Record<
    string,
    number
  >
  @IsObject() tables!: Record<string, NaiveTest | NoisyEffect>
  @rule('isStates', isRecordOf(isText), 'must hold the state that was found, by test') evidence!: Record<string, string>
  @IsArray() @ArrayMaxSize(200) @IsString({ each: true }) candidates!: string[]
  @MayBeAbsent()
  @rule('isMinutes', isRecordOf(isMinutes), 'must hold minutes, at least 0.001, by test')
  minutes?: Record<string, number>
}

const BAYES: Basis = { kind: 'handbook', name: 'Bayes’ rule by enumeration; gain is mutual information, bits' }
const isNaive = (value: unknown): boolean =>
  isRecordOf(() => true)(value) &&
  Array.isArray((value as NaiveTest).states) &&
  (value as NaiveTest).states.every(isText) &&
  isRecordOf(Array.isArray)((value as NaiveTest).given)
const isNoisy = (value: unknown): boolean =>
  isRecordOf(() => true)(value) &&
  isShare((value as NoisyEffect).leak) &&
  isRecordOf(isShare)((value as NoisyEffect).links)

export const evidenceWeigh = defineWorking({
  name: 'evidence-weigh',
  title: 'Which test tells most?',
  input: EvidenceInput,
  basis: BAYES,
  run: ({ model, priors, tables, evidence, candidates, minutes }) => {
    const fits = model === 'naive' ? isNaive : isNoisy
    const odd = Object.entries(tables).find(([, table]) => !fits(table))
    if (odd)
      throw badField(
        `tables.${odd[0]}`,
        odd[1],
        model === 'naive'
          ? '{ states: [names], given: { cause: [a probability for each state] } }'
          : '{ leak: a probability, links: { cause: a probability } }',
      )
    const found =
      model === 'naive'
        ? weighNaive(priors, tables as Record<string, NaiveTest>, evidence, candidates, minutes)
        : weighNoisyOr(priors, tables as Record<string, NoisyEffect>, evidence, candidates, minutes)
    return {
      ...found,
      basis: BAYES,
      steps: [
        ...Object.entries(found.posterior).map(([cause, p]) => `${cause.replaceAll('_', ' ')}: ${n(p, 4)}`),
        `left open: ${n(found.entropyBits, 4)} bits`,
        ...Object.entries(found.gainBits).map(
          ([test, bits]) =>
            `${test.replaceAll('_', ' ')} would tell ${n(bits, 4)} ` +
            `bits${minutes?.[test] ? `, ${n(bits / minutes[test], 3)} a minute` : ''}`,
        ),
      ],
    }
  },
})
