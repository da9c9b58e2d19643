import { IsIn, IsString, Length, Matches, MaxLength } from 'class-validator'
import { MAILED_PAPERS, type MailedPaper } from '../../../core/visit/entry'
import { isUuidV7, MailAddress, MayBeAbsent, rule } from '../../../core/validation/rules'
import { validated } from '../../../core/validation/validated'

/** What is asked for: a paper, to whom, with which words before it. */
export class MailRequest {
  /** Made by whoever asks: asked twice, it is sent once. */
  @rule('isUuidV7', isUuidV7, 'must be a UUIDv7') id!: string
  @IsIn(MAILED_PAPERS) paper!: MailedPaper
  @MailAddress() to!: string
  @MayBeAbsent() @IsString() @MaxLength(2000) note?: string
  @IsString() @Length(1, 80) author!: string
  /** The fingerprint of the journal that is on the screen: what leaves is what was seen. */
  @IsString() @Matches(/^[0-9a-f]{64}$/) hash!: string
}

/**
 * Reads a request for a mail.
 *
 * @throws InputError naming the field
 */
export function mailRequest(body: unknown): MailRequest {
  return validated(MailRequest, body)
}
