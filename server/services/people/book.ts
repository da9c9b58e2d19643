import 'reflect-metadata'
import { randomBytes } from 'node:crypto'
import { plainToInstance, Type } from 'class-transformer'
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
  validateSync,
} from 'class-validator'
import { ROLES, type Role } from '../../../core/people/roles'

const ROLE_NAMES = Object.keys(ROLES)
export const LONGEST_NAME = 80

/** Somebody who works here. */
export class Person {
  @IsUUID() id!: string
  @IsString() @MaxLength(LONGEST_NAME) name!: string
  @IsIn(ROLE_NAMES) role!: Role
  /** A slow hash; nothing until an invitation was taken up. */
  @IsString() @MaxLength(400) passphrase!: string
  @IsISO8601() since!: string
}

/** A device that somebody is signed in on. */
export class Device {
  @IsUUID() id!: string
  @IsUUID() person!: string
  /** What it is called in the list: what the browser says of itself, in a few words. */
  @IsString() @MaxLength(120) name!: string
  @IsISO8601() since!: string
  @IsISO8601() seen!: string
  /** It was signed out or shut out. */
  @IsOptional() @IsISO8601() ended?: string
  /** By the owner: it was lost. */
  @IsOptional() @IsBoolean() isShutOut?: boolean
  /** SHA-256 of what a calendar bears in its address; a device that somebody signs in on has none. */
  @IsOptional() @Matches(/^[0-9a-f]{64}$/) key?: string
}

/** A way in that is good once: for somebody new, or for another device of somebody who is here. */
export class Invitation {
  /** SHA-256 of what is written in the address: whoever reads this book cannot use it. */
  @Matches(/^[0-9a-f]{64}$/) hash!: string
  @IsOptional() @IsUUID() person?: string
  @IsOptional() @IsString() @MaxLength(LONGEST_NAME) name?: string
  @IsOptional() @IsIn(ROLE_NAMES) role?: Role
  /** They say another passphrase. */
  @IsOptional() @IsBoolean() isAnew?: boolean
  @IsUUID() by!: string
  @IsISO8601() until!: string
}

/** Tries of one name or from one address that failed, and until when the next is not looked at. */
export class Tries {
  @IsString() @MaxLength(200) of!: string
  @IsInt() @Min(0) @Max(1_000_000) count!: number
  @IsISO8601() at!: string
}

/** Who works in a shop, on which devices. */
export class PeopleBook {
  /** Seals what a browser is given. */
  @Matches(/^[0-9a-f]{64}$/) secret!: string
  @IsArray() @ValidateNested({ each: true }) @Type(() => Person) people!: Person[]
  @IsArray() @ValidateNested({ each: true }) @Type(() => Device) devices!: Device[]
  @IsArray() @ValidateNested({ each: true }) @Type(() => Invitation) invitations!: Invitation[]
  @IsArray() @ValidateNested({ each: true }) @Type(() => Tries) tries!: Tries[]
}

/** @throws Error where it is not such a book: nobody is let in by a book that cannot be read */
export const readBook = (plain: unknown): PeopleBook =>
  readAs(
    PeopleBook,
    plain,
    'The list of people cannot be read. Put it back from a backup, or take it away to begin anew.',
  )

/** Before anybody is written down. */
export function emptyBook(): PeopleBook {
  return { secret: randomBytes(32).toString('hex'), people: [], devices: [], invitations: [], tries: [] }
}

/** What somebody did that the owner may want to know of. */
export const AUDITED = [
  'first-owner',
  'signed-in',
  'not-let-in',
  'signed-out',
  'invited',
  'joined',
  'key-given',
  'shut-out',
  'role-changed',
  'passphrase-changed',
  'removed',
  'exported',
  'forgotten',
] as const

/** One such thing. */
export class AuditLine {
  @IsISO8601() at!: string
  @IsIn(AUDITED) what!: (typeof AUDITED)[number]
  /** Whose id, where somebody was signed in. */
  @IsOptional() @IsUUID() by?: string
  /** Whom it was about, by id, or what. */
  @IsOptional() @IsString() @MaxLength(200) about?: string
}

class KeptBook {
  @IsArray() @ValidateNested({ each: true }) @Type(() => Person) people!: Person[]
  @IsArray() @ValidateNested({ each: true }) @Type(() => AuditLine) audit!: AuditLine[]
}

/** @throws Error where it is not what a backup holds of people */
export const readKept = (plain: unknown): KeptBook =>
  readAs(KeptBook, plain, 'The list of people in this backup cannot be read.')

function readAs<T extends object>(shape: new () => T, plain: unknown, otherwise: string): T {
  const read = plainToInstance(shape, plain)
  if (typeof plain !== 'object' || plain === null || validateSync(read).length > 0) throw new Error(otherwise)
  return read
}
