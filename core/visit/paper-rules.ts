import { IsBoolean, IsIn, IsInt, IsString, Length, Matches, Max, MaxLength, Min } from 'class-validator'
import { CLAIM_MOVES, type ClaimMove } from '../knowledge/repairs/returns'
import { PARTS, type Part } from '../knowledge/vocabulary'
import { CalendarDay, IdOf, isUuidV7, MailAddress, MayBeAbsent, rule } from '../validation/rules'
import { MAILED_PAPERS, type EntryBodies, type MailedPaper } from './entry'

/** Far more than a name takes, and far less than would weigh on a journal. */
const MOST_STROKES = 200
const MOST_POINTS = 4000
const MOST_SIZE = 2000

/** Strokes within their field: each x and y one after the other, whole numbers. */
function areStrokes(value: unknown): boolean {
  if (!Array.isArray(value) || value.length === 0 || value.length > MOST_STROKES) return false
  const points = (value as unknown[]).map((stroke) => (Array.isArray(stroke) ? stroke.length : -1))
  return (
    points.every((length) => length >= 2 && length % 2 === 0) &&
    points.reduce((sum, length) => sum + length, 0) <= 2 * MOST_POINTS &&
    (value as unknown[][]).every((stroke) =>
      stroke.every((each) => Number.isInteger(each) && (each as number) >= -MOST_SIZE && (each as number) <= MOST_SIZE),
    )
  )
}

export class SignedBody implements Readonly<EntryBodies['signed']> {
  @IsString() @Length(1, 120) by!: string
  @IsString() @Matches(/^[0-9a-f]{64}$/) hash!: string
  @IsInt() @Min(1) @Max(MOST_SIZE) width!: number
  @IsInt() @Min(1) @Max(MOST_SIZE) height!: number
  @rule(
    'areStrokes',
    areStrokes,
    `must be 1 to ${MOST_STROKES} strokes of whole x and y, one after the other, ${MOST_POINTS} points in all at most`,
  )
  strokes!: number[][]
}
export class MailedBody implements Readonly<EntryBodies['mailed']> {
  @IsIn(MAILED_PAPERS) paper!: MailedPaper
  @MailAddress() to!: string
  @rule('isUuidV7', isUuidV7, 'must be a UUIDv7') mail!: string
  @MayBeAbsent() @IsInt() @Min(1) issue?: number
  @IsIn(['folder', 'smtp']) by!: 'folder' | 'smtp'
}
export class ClaimBody implements Readonly<EntryBodies['claim']> {
  @IdOf(PARTS) part!: Part
  @MayBeAbsent() @IsString() @Length(1, 200) identity?: string
  @MayBeAbsent() @CalendarDay() boughtOn?: string
  @MayBeAbsent() @CalendarDay() installedOn?: string
  @MayBeAbsent() @CalendarDay() warrantyUntil?: string
  @IsString() @Length(1, 1000) complaint!: string
  @IsBoolean() opened!: boolean
  @MayBeAbsent() @IsString() @Length(1, 300) openedWhy?: string
  @MayBeAbsent() @IsString() @MaxLength(200) to?: string
  @MayBeAbsent() @IsString() @MaxLength(80) reference?: string
}
export class ClaimMovedBody implements Readonly<EntryBodies['claim-moved']> {
  @IdOf(CLAIM_MOVES) to!: ClaimMove
  @CalendarDay() on!: string
  @MayBeAbsent() @IsString() @Length(1, 300) note?: string
}
