import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import {
  canonicalFinding,
  constructionFits,
  FindingInput,
  InstallationInput,
  NameplateInput,
} from '../diagnosis/case-rules'
import { CHECKS } from '../knowledge/checks/checks'
import type { PracticeWays } from '../knowledge/shop/practices'
import {
  COMPLAINTS,
  CONSTRUCTIONS,
  FAULTS,
  GATES,
  STAGES,
  STANDINGS,
  KINDS,
  PARTS,
  type Construction,
  type Gate,
  type Stage,
  type Kind,
  type Part,
  type Standing,
} from '../knowledge/vocabulary'
import type { UnitSystem } from '../quantity/measures'
import { NUMBER_STYLES, type NumberStyle } from '../quantity/number-style'
import { ask } from '../questions/ask'
import { questionById, QUESTIONS } from '../questions/questions'
import { MOST_PIECES } from '../takedown/tray'
import { MOST_SEEN } from './seen'
import { JobConditionsInput, JointCorrectionInput, PlaceInput, PracticeWaysField } from '../takedown/take-down-rules'
import { InputError, type FieldProblem } from '../validation/input-error'
import { holdable } from '../validation/holdable'
import {
  CalendarDay,
  IdOf,
  Instant,
  isRecord,
  isUuid,
  isUuidV7,
  MailAddress,
  MayBeAbsent,
  OptionalQuantity,
  Quantity,
  rule,
  Uuid,
} from '../validation/rules'
import { validated } from '../validation/validated'
import type { Duty } from '../motor/match-duty'
import {
  ArrangedBody,
  CancelledBody,
  DayOrderBody,
  PlannedBody,
  planningProblem,
  VanInput,
  SeasonDaysInput,
  WorkingDayInput,
  TogetherBody,
} from './planning-rules'
import { CourseSetBody, practiceProblem, PracticeTriedBody } from './practice-rules'
import {
  buyingProblem,
  KeepingSetBody,
  LevelSetBody,
  OfferSetBody,
  OrderMovedBody,
  OrderPlacedBody,
  SupplierSetBody,
} from './buying-rules'
import { ArticleSetBody, BaySetBody, shelfProblem, StockCountedBody, StockMovedBody } from './shelf-rules'
import { PaidBody, PriceAgreedBody, PriceChangeBody, PriceLineInput, RatesInput } from './money-rules'
import { ClaimBody, ClaimMovedBody, MailedBody, SignedBody } from './paper-rules'
import { RecordingBody } from './recording-rules'
import {
  CustomerForgottenBody,
  CustomerInput,
  CustomerSetBody,
  KeptApartBody,
  MachineRetiredBody,
  MergedBody,
  registerProblem,
  SiteSetBody,
} from './register-rules'
import {
  DUE_KINDS,
  ENTRY_VERSION,
  JOB_SOURCES,
  JOB_STATES,
  PROOF_OUTCOMES,
  PRACTICE_KINDS,
  REGISTER_KINDS,
  BUYING_KINDS,
  SHELF_KINDS,
  type Customer,
  type Due,
  type Entry,
  type EntryBodies,
  type EntryKind,
  type FittedPart,
  type JobSource,
  type JobState,
  type Machine,
  type ProofOutcome,
  type Said,
  type WrittenBy,
} from './entry'

/** The longest line that is kept: far more than anybody says at once. */
export const MOST_LINE = 1000

class DutyInput implements Duty {
  @Quantity({ above: 0, max: 1000 }) flowLitresPerSecond!: number
  @Quantity({ above: 0, max: 2000 }) headMetres!: number
}
class FittedPartInput implements FittedPart {
  @IdOf(PARTS) part!: Part
  @MayBeAbsent() @IsString() @Length(1, 200) identity?: string
  @MayBeAbsent() @ValidateNested() @Type(() => NameplateInput) @IsObject() nameplate?: NameplateInput
  @MayBeAbsent() @ValidateNested() @Type(() => DutyInput) @IsObject() duty?: DutyInput
  @MayBeAbsent() @CalendarDay() since?: string
  @MayBeAbsent() @CalendarDay() until?: string
  @MayBeAbsent() @CalendarDay() warrantyUntil?: string
}

/** A machine as it is built, whoever it belongs to and whatever it is called. */
export class BuiltMachine {
  @IdOf(KINDS) kind!: Kind
  @IdOf(CONSTRUCTIONS) construction!: Construction
  @MayBeAbsent() @CalendarDay() installedOn?: string
  @MayBeAbsent() @CalendarDay() warrantyUntil?: string
  @ValidateNested() @Type(() => NameplateInput) @IsObject() nameplate!: NameplateInput
  @MayBeAbsent() @IsBoolean() plateUnreadable?: boolean
  @MayBeAbsent() @ValidateNested() @Type(() => InstallationInput) installation?: InstallationInput
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => JointCorrectionInput)
  joints?: JointCorrectionInput[]
}

class MachineInput extends BuiltMachine implements Machine {
  @Uuid() id!: string
  @Uuid() customerId!: string
  @MayBeAbsent() @Uuid() siteId?: string
  @IsString() @Length(1, 120) name!: string
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => FittedPartInput)
  fitted?: FittedPartInput[]
}

class VisitOpenedBody {
  @ValidateNested() @Type(() => CustomerInput) @IsObject() customer!: CustomerInput
  @ValidateNested() @Type(() => MachineInput) @IsObject() machine!: MachineInput
  @Instant() scheduledAt!: string
  @IsInt() @Min(5) @Max(1440) plannedMinutes!: number
  @IsString() @MaxLength(500) callerSays!: string
}
class CallBody {
  @IsArray() @ArrayMaxSize(30) @IdOf(COMPLAINTS, { each: true }) complaints!: string[]
  @IsArray() @ArrayMaxSize(90) @IdOf(PARTS, { each: true }) alreadyReplaced!: string[]
  @IsString() @MaxLength(500) callerSays!: string
  @MayBeAbsent() @IsString() @MaxLength(120) since?: string
  @MayBeAbsent() @IsBoolean() withoutWater?: boolean
}
class MachineSetBody {
  @ValidateNested() @Type(() => MachineInput) @IsObject() machine!: MachineInput
}
class LoadedBody {
  @IsString() @Length(1, 120) item!: string
  @IsBoolean() loaded!: boolean
}
class LineInput {
  @IsString() @Length(1, 40) line!: string
  @Quantity({ min: 0, max: 1000 }) volts!: number
}
class GateBody {
  @IdOf(GATES) gate!: Gate
  @IsBoolean() shut!: boolean
  @MayBeAbsent() @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => LineInput) lines?: LineInput[]
  @OptionalQuantity({ min: 0, max: 86400 }) seconds?: number
}
class FindingBody extends FindingInput {
  @IsIn(['test', 'prove']) stage!: 'test' | 'prove'
}
class NoteBody {
  @IsString() @Length(1, 2000) text!: string
  @IsBoolean() seenAndLeft!: boolean
}
class StandingBody {
  @IsIn(STANDINGS) at!: Standing
}
class WishBody {
  @IsString() @Length(1, 60) job!: string
}
class PhotoBody {
  @Matches(/^[0-9a-f]{64}$/) hash!: string
  @IsIn(['image/jpeg', 'image/png', 'image/webp']) type!: string
  @IsInt() @Min(1) bytes!: number
  @IsString() @MaxLength(200) name!: string
  @MayBeAbsent() @rule('isUuidV7', isUuidV7, 'must be a UUIDv7') of?: string
  @MayBeAbsent() @IsString() @MaxLength(300) caption?: string
}
class CheckSkippedBody {
  @IdOf(CHECKS) check!: string
  @MayBeAbsent() @IdOf(PARTS) part?: string
  @MayBeAbsent() @IsString() @MaxLength(40) leads?: string
  @MayBeAbsent() @IsIn(['motor-alone', 'motor-and-cable', 'cable-alone', 'surface-motor']) setup?:
    'motor-alone' | 'motor-and-cable' | 'cable-alone' | 'surface-motor'
  @MayBeAbsent() @IsIn(['whole', 'motor', 'pump-end']) half?: 'whole' | 'motor' | 'pump-end'
}
class CauseSaidBody {
  @IdOf(FAULTS) fault!: string
  @IsIn(['not-this', 'it-was-this']) verdict!: 'not-this' | 'it-was-this'
}
class PostMortemBody {
  @IdOf(FAULTS) fault!: string
  @MayBeAbsent() @IsArray() @ArrayMaxSize(8) @IdOf(FAULTS, { each: true }) then?: string[]
  @IsString() @MaxLength(1000) why!: string
  @IsString() @MaxLength(500) keeping!: string
}
class ShopForgetBody {
  @MayBeAbsent() @IdOf(KINDS) pumpKind?: Kind
}
const UNIT_SYSTEMS = ['us', 'metric'] as const
class WorkingKeptBody {
  @rule(
    'isQuestion',
    (value) => QUESTIONS.some(({ id }) => id === value),
    `must be one of ${QUESTIONS.map(({ id }) => id).join(', ')}`,
  )
  question!: string
  @IsObject() input!: object
  @IsIn(UNIT_SYSTEMS) units!: UnitSystem
}
class DecisionBody {
  @IsString() @Length(1, 60) option!: string
  @MayBeAbsent() @IsBoolean() spareFirst?: boolean
}
class FittedBody {
  @IdOf(PARTS) part!: Part
  @MayBeAbsent() @IsString() @Length(1, 200) identity?: string
  @MayBeAbsent() @ValidateNested() @Type(() => NameplateInput) @IsObject() nameplate?: NameplateInput
  @MayBeAbsent() @ValidateNested() @Type(() => DutyInput) @IsObject() duty?: DutyInput
  @MayBeAbsent() @CalendarDay() warrantyUntil?: string
}
class JobBody {
  @IsString() @Length(1, 60) job!: string
  @IsIn(JOB_STATES) state!: JobState
  @MayBeAbsent() @IsIn(JOB_SOURCES) from?: JobSource
  @MayBeAbsent() @IsString() @MaxLength(300) why?: string
}
class TakeDownFoundBody {
  @MayBeAbsent() @IsString() @Length(1, 60) joint?: string
  @MayBeAbsent() @IdOf(PARTS) part?: string
  @IsIn(['stuck', 'damaged']) what!: 'stuck' | 'damaged'
}
class StepBody {
  @IsString() @Length(1, 80) step!: string
  @IsBoolean() done!: boolean
  @MayBeAbsent() @IsInt() @Min(0) @Max(MOST_PIECES) count?: number
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(12)
  @ValidateNested({ each: true })
  @Type(() => PlaceInput)
  places?: PlaceInput[]
  @MayBeAbsent() @IsString() @MaxLength(300) reason?: string
  @MayBeAbsent() @IsString() @MaxLength(300) note?: string
  @MayBeAbsent() @IsString() @Length(1, 40) answer?: string
  @OptionalQuantity({ min: 0, max: 1440 }) estimate?: number
}
class JointDoneBody {
  @rule('isStage', (value) => (STAGES as readonly unknown[]).includes(value), `must be one of ${STAGES.join(', ')}`)
  joint!: Stage
}
class ProofBody {
  @IsString() @Length(1, 40) proof!: string
  @IsIn(PROOF_OUTCOMES) outcome!: ProofOutcome
  @MayBeAbsent() @IsString() @Length(1, 300) why?: string
}
class ComebackBody {
  @IsArray() @ArrayMaxSize(30) @IsString({ each: true }) @Length(1, 40, { each: true }) failed!: string[]
}
class DueInput implements Due {
  @IsIn(DUE_KINDS) kind!: Due['kind']
  @CalendarDay() on!: string
  @IsString() @Length(1, 300) what!: string
}
class BesideInput {
  @rule('isUuid', isUuid, 'is a UUID in lower case') visit!: string
  @IsInt() @Min(0) @Max(10_000) issue!: number
}
class HandedOverBody {
  @IsString() @MaxLength(2000) watch!: string
  @MayBeAbsent() @CalendarDay() nextDate?: string
  @OptionalQuantity({ min: 0, max: 1e7 }) price?: number
  @MayBeAbsent() @IsString() @Length(1, 300) priceWhy?: string
  @MayBeAbsent() @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => DueInput) due?: DueInput[]
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => PriceLineInput)
  lines?: PriceLineInput[]
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => BesideInput)
  beside?: BesideInput[]
}
class ShopSetBody {
  @IsString() @Length(1, 120) name!: string
  @IsString() @MaxLength(200) place!: string
  @MayBeAbsent() @MailAddress() mail?: string
  @MayBeAbsent() @IsIn(Object.keys(NUMBER_STYLES)) numbers?: NumberStyle
  @IsIn(UNIT_SYSTEMS) units!: UnitSystem
  @ValidateNested() @Type(() => RatesInput) @IsObject() rates!: RatesInput
  @PracticeWaysField() schools?: PracticeWays
  @MayBeAbsent() @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => VanInput) vans?: VanInput[]
  @MayBeAbsent() @ValidateNested() @Type(() => WorkingDayInput) @IsObject() day?: WorkingDayInput
  @MayBeAbsent() @ValidateNested() @Type(() => SeasonDaysInput) @IsObject() seasons?: SeasonDaysInput
}

/** A retraction says all it has to say by what it supersedes: its body is empty and needs no class. */
const BODIES: Record<Exclude<EntryKind, 'retracted'>, new () => object> = {
  'visit-opened': VisitOpenedBody,
  call: CallBody,
  'machine-set': MachineSetBody,
  planned: PlannedBody,
  arranged: ArrangedBody,
  cancelled: CancelledBody,
  together: TogetherBody,
  'day-order': DayOrderBody,
  loaded: LoadedBody,
  gate: GateBody,
  finding: FindingBody,
  note: NoteBody,
  standing: StandingBody,
  wish: WishBody,
  photo: PhotoBody,
  recording: RecordingBody,
  'check-skipped': CheckSkippedBody,
  'working-kept': WorkingKeptBody,
  'cause-said': CauseSaidBody,
  'post-mortem': PostMortemBody,
  'shop-forget': ShopForgetBody,
  job: JobBody,
  'new-part': FittedBody,
  fitted: FittedBody,
  decision: DecisionBody,
  'take-down-found': TakeDownFoundBody,
  'take-down-measured': JobConditionsInput,
  step: StepBody,
  'joint-done': JointDoneBody,
  proof: ProofBody,
  'price-change': PriceChangeBody,
  'price-agreed': PriceAgreedBody,
  comeback: ComebackBody,
  'handed-over': HandedOverBody,
  signed: SignedBody,
  mailed: MailedBody,
  paid: PaidBody,
  claim: ClaimBody,
  'claim-moved': ClaimMovedBody,
  'customer-set': CustomerSetBody,
  'site-set': SiteSetBody,
  'machine-retired': MachineRetiredBody,
  merged: MergedBody,
  'kept-apart': KeptApartBody,
  'customer-forgotten': CustomerForgottenBody,
  'shop-set': ShopSetBody,
  'practice-tried': PracticeTriedBody,
  'course-set': CourseSetBody,
  'article-set': ArticleSetBody,
  'stock-moved': StockMovedBody,
  'stock-counted': StockCountedBody,
  'bay-set': BaySetBody,
  'level-set': LevelSetBody,
  'keeping-set': KeepingSetBody,
  'supplier-set': SupplierSetBody,
  'offer-set': OfferSetBody,
  'order-placed': OrderPlacedBody,
  'order-moved': OrderMovedBody,
}

/**
 * What may stand in the shop's own journal, which belongs to no visit; a retraction takes back one of the others there.
 */
const SHOP_KINDS: ReadonlySet<EntryKind> = new Set<EntryKind>([
  'shop-set',
  'shop-forget',
  'day-order',
  'customer-forgotten',
  ...REGISTER_KINDS,
  ...PRACTICE_KINDS,
  ...SHELF_KINDS,
  ...BUYING_KINDS,
  'retracted',
])

/** What stands nowhere else. Version 1 took the older shop kinds in a visit too, where nothing reads them. */
const SHOP_ONLY: ReadonlySet<EntryKind> = new Set<EntryKind>([
  'day-order',
  'customer-forgotten',
  ...REGISTER_KINDS.filter((kind) => kind !== 'machine-set'),
  ...PRACTICE_KINDS,
  ...SHELF_KINDS,
  ...BUYING_KINDS,
])

const MOST_SETTLED = 20
function isSaid(value: unknown): boolean {
  if (!isRecord(value)) return false
  const { act, line, ...more } = value
  return (
    isUuidV7(act) &&
    typeof line === 'string' &&
    line.length > 0 &&
    line.length <= MOST_LINE &&
    Object.keys(more).length === 0
  )
}

function isWrittenBy(value: unknown): boolean {
  if (!isRecord(value)) return false
  const { person, device, ...more } = value
  return isUuidV7(person) && isUuidV7(device) && Object.keys(more).length === 0
}

/** Far below where whole numbers end, so that there is always a next one. */
const MOST_LAMPORT = 2 ** 50

class EntryInput {
  @rule('isUuidV7', isUuidV7, 'must be a UUIDv7 in lower case, made where the entry was made') id!: string
  @MayBeAbsent()
  @IsInt()
  @Min(1)
  @Max(ENTRY_VERSION, {
    message: `v must be at most ${ENTRY_VERSION}: it was written by a newer Pike Lamp than this one`,
  })
  v?: number
  @MayBeAbsent() @IsInt() @Min(1) @Max(MOST_LAMPORT) lamport?: number
  @rule(
    'isUuidOrNull',
    (value) => value === null || isUuid(value),
    'must be the id of its visit, a UUID in lower case, or null for the shop’s own entries',
  )
  visitId!: string | null
  @rule(
    'isEntryKind',
    (value) => value === 'retracted' || (typeof value === 'string' && Object.hasOwn(BODIES, value)),
    `must be one of ${Object.keys(BODIES).join(', ')}, retracted`,
  )
  kind!: EntryKind
  @Instant() at!: string
  @IsString() @Length(1, 80) author!: string
  @MayBeAbsent() @rule('isUuidV7', isUuidV7, 'must be a UUIDv7') supersedes?: string
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(MOST_SETTLED)
  @rule('isUuidV7', isUuidV7, 'is a UUIDv7', { each: true })
  settles?: string[]
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(MOST_SEEN)
  @rule('isUuidV7', isUuidV7, 'is a UUIDv7', { each: true })
  seen?: string[]
  @MayBeAbsent() @rule('isWrittenBy', isWrittenBy, 'must give a person and a device, each a UUIDv7') by?: WrittenBy
  @MayBeAbsent() @IsBoolean() imported?: boolean
  @MayBeAbsent()
  @rule('isSaid', isSaid, `must give its act, a UUIDv7, and the line as it was typed, of 1 to ${MOST_LINE} letters`)
  said?: Said
  @IsObject() body!: object
}

/**
 * Validates one entry from outside.
 *
 * @param path prefix for the fields named in errors, such as `entries.3`
 * @returns the entry in canonical units, with absent optional fields left out
 * @throws InputError naming each field, its value and what would be right
 */
export function validEntry(plain: unknown, path = ''): Entry {
  atPath(path, () => holdable(plain))
  const entry = atPath(path, () => validated(EntryInput, plain, { shallow: true }))
  const body = atPath(path ? `${path}.body` : 'body', () => validBody(entry.kind, entry.body))
  if (!SHOP_KINDS.has(entry.kind) && entry.visitId === null)
    throw atField(path, 'visitId', null, 'only the shop’s own entries have none')
  if (SHOP_ONLY.has(entry.kind) && entry.visitId !== null)
    throw atField(path, 'visitId', entry.visitId, `null: ${entry.kind} is the shop’s own and belongs to no visit`)
  if (entry.kind === 'retracted' && !entry.supersedes)
    throw atField(path, 'supersedes', undefined, 'a retraction names the entry it takes back')
  if (entry.supersedes === entry.id)
    throw atField(path, 'supersedes', entry.supersedes, 'an entry cannot replace itself')
  if (entry.settles && !entry.supersedes)
    throw atField(path, 'supersedes', undefined, 'what settles a conflict supersedes the line that was chosen')
  const { id, visitId, kind, at, author, lamport, seen, supersedes, settles, imported, said, by } = entry
  return {
    id,
    v: ENTRY_VERSION,
    ...(lamport ? { lamport } : {}),
    ...(seen ? { seen } : {}),
    visitId,
    kind,
    at,
    author,
    ...(by ? { by: { person: by.person, device: by.device } } : {}),
    ...(supersedes ? { supersedes } : {}),
    ...(settles?.length ? { settles } : {}),
    ...(imported ? { imported } : {}),
    ...(said ? { said: { act: said.act, line: said.line } } : {}),
    body,
  } as Entry
}

/** What is wrong with a body before it is written as a line of its kind; the paths begin in the body. */
export function bodyProblems(kind: EntryKind, plain: object): FieldProblem[] {
  try {
    holdable(plain)
    validBody(kind, plain)
    return []
  } catch (error) {
    if (error instanceof InputError) return error.problems
    throw error
  }
}

function validBody(kind: EntryKind, plain: object): object {
  if (kind === 'retracted') {
    if (Object.keys(plain).length > 0)
      throw new InputError([
        {
          field: Object.keys(plain)[0] as string,
          value: Object.values(plain)[0],
          expected: 'a retraction has an empty body',
        },
      ])
    return {}
  }
  const body = toPlain(validated(BODIES[kind], plain))
  // What can be written can be answered: a working that ends in an error is refused at the edge.
  if (kind === 'working-kept')
    atPath('input', () =>
      ask(questionById((body as EntryBodies['working-kept']).question), (body as EntryBodies['working-kept']).input),
    )
  if (kind === 'take-down-found' && !('joint' in body) && !('part' in body))
    throw new InputError([{ field: 'joint', value: undefined, expected: 'the joint or the part it was found at' }])
  const { places, count } = body as EntryBodies['step']
  if (kind === 'step' && places && count !== places.reduce((sum, place) => sum + place.count, 0))
    throw new InputError([{ field: 'count', value: count, expected: 'the sum of the counts of its places' }])
  const { amount, waives, own, kept, afterHours } = body as EntryBodies['price-change']
  if (
    kind === 'price-change' &&
    [amount, waives, own, kept, afterHours].filter((each) => each !== undefined).length !== 1
  )
    throw new InputError([
      {
        field: 'amount',
        value: amount,
        expected: 'one of amount, waives, own, kept or afterHours, and no two of them',
      },
    ])
  const proof = body as EntryBodies['proof']
  if (kind === 'proof' && proof.outcome !== 'holds' && !proof.why)
    throw new InputError([{ field: 'why', value: proof.why, expected: 'the reason why it fails or was left' }])
  if (kind === 'take-down-measured' && Object.keys(body).length === 0)
    throw new InputError([
      {
        field: 'pipeInches',
        value: undefined,
        expected:
          'one measurement at least: pipeInches, celsius, bearingClearanceMm, outletHigherMm, oneBearing or hot',
      },
    ])
  if (kind === 'finding') return canonicalFinding(body as EntryBodies['finding'])
  const unfit =
    registerProblem(kind, body) ??
    planningProblem(kind, body) ??
    practiceProblem(kind, body) ??
    shelfProblem(kind, body) ??
    buyingProblem(kind, body)
  if (unfit) throw new InputError([unfit])
  const { machine, customer } = body as { machine?: Machine; customer?: Customer }
  if (machine && customer && machine.customerId !== customer.id)
    throw new InputError([
      {
        field: 'machine.customerId',
        value: machine.customerId,
        expected: `${customer.id}, the customer of this entry`,
      },
    ])
  if (machine && !constructionFits(machine))
    throw new InputError([
      {
        field: 'machine.construction',
        value: machine.construction,
        expected: `a construction of kind ${machine.kind} is needed`,
      },
    ])
  return body
}

/** Class instances back to plain data, undefined fields left out: what is stored is what was sent. */
function toPlain(value: object): object {
  const isFlat = Object.values(value).every((field) => field === null || typeof field !== 'object')
  return isFlat ? { ...value } : (JSON.parse(JSON.stringify(value)) as object)
}

function atPath<T>(path: string, make: () => T): T {
  try {
    return make()
  } catch (error) {
    if (!(error instanceof InputError) || !path) throw error
    throw new InputError(
      error.problems.map((problem): FieldProblem => ({
        ...problem,
        field: problem.field ? `${path}.${problem.field}` : path,
      })),
    )
  }
}

function atField(path: string, field: string, value: unknown, expected: string): InputError {
  return new InputError([{ field: path ? `${path}.${field}` : field, value, expected }])
}
