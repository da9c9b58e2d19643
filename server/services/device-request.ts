import { ArrayMaxSize, IsArray, IsInt, Min } from 'class-validator'
import { isInstant, isUuidV7, MayBeAbsent, rule } from '../../core/validation/rules'
import { badField } from '../../core/validation/input-error'
import { validated } from '../../core/validation/validated'
import type { KnownWindow } from '../../core/pumps/device-window'
import type { DaySpan } from '../../core/visit/visit-row'

const MOST_KNOWN = 20_000
const LONGEST_DAYS = 62
const DAY = 24 * 3_600_000

class WindowRequest implements KnownWindow {
  @rule('isInstant', isInstant, 'an ISO instant, such as 2026-05-12T00:00:00Z') from!: string
  @rule('isInstant', isInstant, 'an ISO instant, such as 2026-05-12T00:00:00Z') to!: string
  @MayBeAbsent() @IsInt() @Min(0) since?: number
  @IsArray() @ArrayMaxSize(MOST_KNOWN) @rule('isUuidV7', isUuidV7, 'is a UUIDv7', { each: true }) visits!: string[]
  @IsArray() @ArrayMaxSize(MOST_KNOWN) @rule('isUuidV7', isUuidV7, 'is a UUIDv7', { each: true }) machines!: string[]
  @IsArray() @ArrayMaxSize(MOST_KNOWN) @rule('isUuidV7', isUuidV7, 'is a UUIDv7', { each: true }) customers!: string[]
}

/**
 * Which days a device keeps, and what of them it has.
 *
 * @throws InputError naming the field
 */
export function knownWindow(body: unknown): { span: DaySpan; known: KnownWindow } {
  const { from, to, ...known } = validated(WindowRequest, body)
  const days = (Date.parse(to) - Date.parse(from)) / DAY
  if (!(days > 0 && days <= LONGEST_DAYS)) throw badField('to', to, `after from, at most ${LONGEST_DAYS} days later`)
  return { span: { from: new Date(from).toISOString(), to: new Date(to).toISOString() }, known }
}
