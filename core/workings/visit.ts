import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsObject,
  IsString,
  Length,
  MaxLength,
  ValidateNested,
} from 'class-validator'
import { NameplateInput } from '../diagnosis/case-rules'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import type { PracticeWays } from '../knowledge/shop/practices'
import {
  COMPLAINTS,
  FAULTS,
  GATES,
  PARTS,
  STANDINGS,
  type Gate,
  type Part,
  type Standing,
} from '../knowledge/vocabulary'
import { cents } from '../quantity/money'
import { METRIC_READER, render, US_READER } from '../quantity/sentence'
import { JobConditionsInput, PlaceInput, PracticeWaysField } from '../takedown/take-down-rules'
import { minutesOf } from '../takedown/clock'
import type { StepPhase } from '../takedown/plan'
import { countingRecords } from '../takedown/progress'
import { trayOf } from '../takedown/tray'
import { badField } from '../validation/input-error'
import { CalendarDay, IdOf, MayBeAbsent, OptionalQuantity, rule } from '../validation/rules'
import { validated } from '../validation/validated'
import { JOB_STATES, PROOF_OUTCOMES, type JobState, type ProofOutcome } from '../visit/entry'
import { BuiltMachine } from '../visit/entry-rules'
import { RatesInput } from '../visit/money-rules'
import { machineAfter } from '../visit/fitted'
import { ownerSheet } from '../visit/owner-sheet'
import { playScript, type Deed, type Played } from '../visit/script'
import { UNNAMED_SHOP, type Shop } from '../visit/shop'
import { proofListOf } from '../visit/proving'
import { writeRecord } from '../visit/record'
import { writeSheet } from '../visit/sheet'
import { defineWorking } from './define-working'

const DEED_WORDS =
  'must be a line as it is typed, or one of gate, choose, tick, measured, plate, job, prove, proof, comeback, ' +
  'postMortem, handOver'

class ScriptMachine extends BuiltMachine {
  @MayBeAbsent() @IsIn(STANDINGS) standing?: Standing
  @MayBeAbsent() @IsString() @Length(1, 120) name?: string
}
class ScriptCall {
  @MayBeAbsent() @IsArray() @ArrayMaxSize(30) @IdOf(COMPLAINTS, { each: true }) complaints?: string[]
  @MayBeAbsent() @IsString() @MaxLength(500) says?: string
  @MayBeAbsent() @IsArray() @ArrayMaxSize(90) @IdOf(PARTS, { each: true }) alreadyReplaced?: string[]
  @MayBeAbsent() @IsArray() @ArrayMaxSize(12) @IsString({ each: true }) @Length(1, 60, { each: true }) wishes?: string[]
}
class VisitInput {
  @ValidateNested() @Type(() => ScriptMachine) @IsObject() machine!: ScriptMachine
  @MayBeAbsent() @IsString() @MaxLength(200) place?: string
  @MayBeAbsent() @ValidateNested() @Type(() => RatesInput) rates?: RatesInput
  @PracticeWaysField() schools?: PracticeWays
  @MayBeAbsent() @ValidateNested() @Type(() => ScriptCall) call?: ScriptCall
  @IsArray()
  @ArrayMaxSize(300)
  @rule('isDeed', (value) => typeof value === 'string' || (value !== null && typeof value === 'object'), DEED_WORDS, {
    each: true,
  })
  do!: (string | object)[]
}

class GateDeed {
  @IdOf(GATES) gate!: Gate
  @MayBeAbsent() @IsBoolean() shut?: boolean
}
class ChooseDeed {
  @rule(
    'isChoice',
    (value) => value === 'best' || (Array.isArray(value) && value.every((each) => typeof each === 'string')),
    'must be "best" or a list of jobs',
  )
  choose!: 'best' | string[]
}
class TickDeed {
  @IsString() @Length(1, 120) tick!: string
  @OptionalQuantity({ min: 0, max: 200 }) count?: number
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(12)
  @ValidateNested({ each: true })
  @Type(() => PlaceInput)
  places?: PlaceInput[]
  @MayBeAbsent() @IsString() @MaxLength(300) reason?: string
  @MayBeAbsent() @IsString() @Length(1, 40) answer?: string
  @MayBeAbsent()
  @rule(
    'isDamage',
    (value) => typeof value === 'boolean' || (typeof value === 'string' && Object.hasOwn(PARTS, value)),
    'must be true, false or a part',
  )
  damaged?: boolean | Part
  @MayBeAbsent() @IsBoolean() wontOpen?: boolean
}
class UntilDeed {
  @IsString() @Length(1, 80) until!: string
}
class SpareDeed {
  @IsBoolean() spareFirst!: boolean
}
class MeasuredDeed {
  @ValidateNested() @Type(() => JobConditionsInput) @IsObject() measured!: JobConditionsInput
}
class PlateDeed {
  @ValidateNested() @Type(() => NameplateInput) @IsObject() plate!: NameplateInput
  @MayBeAbsent() @IdOf(PARTS) part?: Part
  @MayBeAbsent() @IsString() @Length(1, 200) identity?: string
  @MayBeAbsent() @CalendarDay() warrantyUntil?: string
}
class JobDeed {
  @IsString() @Length(1, 60) job!: string
  @IsIn(JOB_STATES) state!: JobState
  @MayBeAbsent() @IsString() @MaxLength(300) why?: string
}
class ProveDeed {
  @IsString() @Length(1, 1000) prove!: string
}
class ProofDeed {
  @IsString() @Length(1, 40) proof!: string
  @IsIn(PROOF_OUTCOMES) outcome!: ProofOutcome
  @MayBeAbsent() @IsString() @Length(1, 300) why?: string
}
class PostMortemInput {
  @IdOf(FAULTS) fault!: string
  @MayBeAbsent() @IsArray() @ArrayMaxSize(8) @IdOf(FAULTS, { each: true }) then?: string[]
  @IsString() @MaxLength(1000) why = ''
  @IsString() @MaxLength(500) keeping = ''
}
class PostMortemDeed {
  @ValidateNested() @Type(() => PostMortemInput) @IsObject() postMortem!: PostMortemInput
}
class ComebackDeed {
  @IsBoolean() comeback!: boolean
}
class HandOver {
  @MayBeAbsent() @IsString() @MaxLength(2000) watch?: string
  @MayBeAbsent() @CalendarDay() next?: string
  @OptionalQuantity({ min: 0, max: 1e7 }) agreed?: number
}
class HandOverDeed {
  @ValidateNested() @Type(() => HandOver) @IsObject() handOver!: HandOver
}

const DEEDS: Readonly<Record<string, new () => object>> = {
  gate: GateDeed,
  choose: ChooseDeed,
  tick: TickDeed,
  until: UntilDeed,
  spareFirst: SpareDeed,
  measured: MeasuredDeed,
  plate: PlateDeed,
  job: JobDeed,
  prove: ProveDeed,
  proof: ProofDeed,
  comeback: ComebackDeed,
  postMortem: PostMortemDeed,
  handOver: HandOverDeed,
}
/** @throws InputError naming the deed, its value, and what would be right */
function deedOf(plain: string | object, index: number): Deed {
  if (typeof plain === 'string') return plain
  const name = Object.keys(DEEDS).find((each) => each in plain)
  if (!name) throw badField(`do.${index}`, plain, DEED_WORDS)
  return validated(DEEDS[name] as new () => object, plain) as Deed
}

const BASIS = {
  kind: 'common-practice',
  name: 'a visit as it is carried out: the same journal as the screens write',
} as const

function planOf({ state, job }: Played) {
  const { repair } = job
  if (!repair) return null
  const records = countingRecords(repair, state.steps)
  const of = (phase: StepPhase) =>
    repair.steps
      .filter((step) => step.phase === phase)
      .map(({ text, ...step }) => ({
        ...step,
        text: render(text, METRIC_READER),
        done: records.get(step.id)?.done === true,
      }))
  const left = repair.steps.filter(({ id }) => !records.get(id)?.done)
  const { p50, p90 } = job.bill?.minutes ?? minutesOf(repair.steps, repair.waits)
  return {
    jobs: state.agreed,
    assemblies: repair.assemblies,
    down: of('down'),
    work: of('work'),
    back: of('back'),
    commission: of('commission'),
    prove: proofListOf(state, job).rows.map(({ id, label, ask, check, stands }) => ({
      id,
      label,
      text: ask,
      ...(check ? { check } : {}),
      stands,
    })),
    order: repair.steps.map(({ id }) => id),
    minutes: { p50, p90 },
    parts: repair.consumables,
    tools: repair.tools,
    cautions: repair.cautions,
    left: left.map(({ id }) => id),
    tray: trayOf(repair, records).map(({ id, part, count }) => ({
      id,
      part,
      ...(count === undefined ? {} : { count }),
    })),
  }
}

export const visitWorking = defineWorking({
  name: 'visit',
  title: 'A whole visit, from its script',
  input: VisitInput,
  basis: BASIS,
  run: ({ machine, place, rates = DEFAULT_RATES, schools, call = {}, do: deeds }, { models }) => {
    const shop: Shop = { ...UNNAMED_SHOP, rates, ...(schools ? { schools } : {}) }
    const played = playScript(
      {
        machine,
        ...(place ? { place } : {}),
        call: {
          complaints: call.complaints ?? [],
          says: call.says ?? '',
          alreadyReplaced: call.alreadyReplaced ?? [],
          wishes: call.wishes ?? [],
        },
        do: deeds.map(deedOf),
      },
      shop,
      models,
    )
    const { state, job, after, refused } = played
    const sheet = ownerSheet(state, job, writeSheet(state, shop, job), writeRecord(state, shop, job))
    const card = machineAfter(state.machine, state.entries)
    return {
      after,
      refused,
      jobs: state.jobs.map(({ id, state: stands, from, why }) => ({
        id,
        state: stands,
        from,
        ...(why ? { why } : {}),
      })),
      plan: planOf(played),
      price: {
        lines: [
          ...(job.bill?.lines ?? []).map(({ id, label, minutes, price }) => ({ id, label, minutes, amount: price })),
          ...job.account.lines
            .filter(({ kind }) => kind !== 'part' && kind !== 'work')
            .map(({ kind, label, amount }) => ({ id: kind, label, minutes: 0, amount })),
        ],
        total: cents(job.price ?? 0),
      },
      card: { ...card, id: undefined, customerId: undefined, left: sheet.left, standing: state.standing },
      sheet,
      gates: [...state.gates.keys()],
      steps: after.map(({ line, lit }) => `${line} → ${lit?.check ?? lit?.action ?? 'nothing lit'}`),
      basis: BASIS,
      reader: US_READER.system,
    }
  },
})
