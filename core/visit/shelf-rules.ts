import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsInt,
  IsObject,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator'
import type { Article } from '../fits/article'
import { isAnyPlace, isShelfPlace, type AnyPlace, type ShelfPlace } from '../fits/shelf-place'
import { specProblems } from '../fits/spec-rules'
import type { Spec } from '../knowledge/fits/family'
import { FAMILIES, type FamilyId } from '../knowledge/fits/families'
import { CONDITIONS, MOVES, OUTSIDE, type Condition, type MoveWhy } from '../knowledge/shelf/moves'
import { KINDS, PARTS, type Kind, type Part } from '../knowledge/vocabulary'
import type { FieldProblem } from '../validation/input-error'
import { CalendarDay, IdOf, isUuid, MayBeAbsent, Quantity, rule, Uuid } from '../validation/rules'
import type { EntryBodies, EntryKind, StockCounted, StockMoved } from './entry'

/** More of one thing lies on no shelf of a shop: a slip of the finger. */
export const MOST_PIECES = 100_000
const MOST_CENTS = 100_000_00

const PLACE = 'must be bay:, van: or bench, such as van:van-1'
const BAY_ID = /^[a-z0-9][a-z0-9-]{0,39}$/

class ArticleInput implements Article {
  @Uuid() id!: string
  @IsString() @Length(1, 120) name!: string
  @MayBeAbsent() @IdOf(PARTS) part?: Part
  @MayBeAbsent() @IdOf(FAMILIES) family?: FamilyId
  @IsObject() spec!: Spec
  @MayBeAbsent() @IsArray() @ArrayMaxSize(20) @ArrayUnique() @IdOf(KINDS, { each: true }) kinds?: Kind[]
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(20)
  @ArrayUnique()
  @IsString({ each: true })
  @Length(1, 120, { each: true })
  codes?: string[]
  @MayBeAbsent() @IsInt() @Min(0) @Max(MOST_CENTS) price?: number
  @MayBeAbsent() @CalendarDay() pricedOn?: string
  @MayBeAbsent() @IdOf(CONDITIONS) condition?: Condition
  @MayBeAbsent() @IsString() @Length(1, 500) note?: string
  @MayBeAbsent() @IsBoolean() gone?: boolean
}
export class ArticleSetBody {
  @ValidateNested() @Type(() => ArticleInput) @IsObject() article!: ArticleInput
}
export class StockMovedBody implements StockMoved {
  @Uuid() article!: string
  @Quantity({ above: 0, max: MOST_PIECES }) count!: number
  @rule('isAnyPlace', isAnyPlace, `${PLACE}, or one of ${Object.keys(OUTSIDE).join(', ')}`) from!: AnyPlace
  @rule('isAnyPlace', isAnyPlace, `${PLACE}, or one of ${Object.keys(OUTSIDE).join(', ')}`) to!: AnyPlace
  @IdOf(MOVES) why!: MoveWhy
  @MayBeAbsent() @CalendarDay() until?: string
  @MayBeAbsent() @rule('isUuid', isUuid, 'is a UUID in lower case') visit?: string
  @MayBeAbsent() @IsString() @Length(1, 120) use?: string
  @MayBeAbsent() @rule('isUuid', isUuid, 'is a UUID in lower case') order?: string
  @MayBeAbsent() @IsInt() @Min(1) line?: number
  @MayBeAbsent() @IsString() @Length(1, 80) delivery?: string
  @MayBeAbsent() @IsString() @Length(1, 300) note?: string
}
export class StockCountedBody implements StockCounted {
  @Uuid() article!: string
  @rule('isShelfPlace', isShelfPlace, PLACE) place!: ShelfPlace
  @Quantity({ min: 0, max: MOST_PIECES }) counted!: number
  @MayBeAbsent() @IsString() @Length(1, 300) why?: string
}
export class BaySetBody {
  @rule(
    'isBay',
    (value) => typeof value === 'string' && BAY_ID.test(value),
    'must be small letters, digits and hyphens, such as a',
  )
  bay!: string
  @IsString() @Length(1, 80) name!: string
  @MayBeAbsent() @IsBoolean() gone?: boolean
}

/** What no single field can say of shelves. */
export function shelfProblem(kind: EntryKind, body: object): FieldProblem | undefined {
  if (kind === 'article-set') {
    const { article } = body as EntryBodies['article-set']
    return (
      specProblems(article.family, article.spec, 'article.spec')[0] ??
      ((article.price === undefined) === (article.pricedOn === undefined)
        ? undefined
        : { field: 'article.pricedOn', value: article.pricedOn, expected: 'the day of its price, with a price' })
    )
  }
  return kind === 'stock-moved' ? moveProblem(body as StockMoved) : undefined
}

function moveProblem({ why, from, to, visit, use, order, line }: StockMoved): FieldProblem | undefined {
  const sides = [
    ['from', from, MOVES[why].from],
    ['to', to, MOVES[why].to],
  ] as const
  for (const [field, place, right] of sides) {
    const isRight = right === 'inside' ? isShelfPlace(place) : (right as readonly string[]).includes(place)
    if (!isRight)
      return {
        field,
        value: place,
        expected:
          right === 'inside' ? `a place of the shop: it is ${MOVES[why].label}` : `${right.join(' or ')}, for ${why}`,
      }
  }
  if (order !== undefined && line === undefined)
    return { field: 'line', value: line, expected: 'the line of the order that it came for' }
  if (from === to) return { field: 'to', value: to, expected: 'another place than it comes from' }
  return use !== undefined && visit === undefined
    ? { field: 'visit', value: visit, expected: 'the visit that it was used at' }
    : undefined
}
