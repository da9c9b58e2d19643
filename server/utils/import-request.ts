import { Type } from 'class-transformer'
import { IsBoolean, IsInt, IsObject, IsString, Length, Max, MaxLength, Min, ValidateNested } from 'class-validator'
import { isIdOf } from '../../core/knowledge/vocabulary'
import { REGISTER_FIELDS, type FieldMapping, type FieldSource } from '../../core/pumps/register-fields'
import { badField } from '../../core/validation/input-error'
import { isUuid, MayBeAbsent } from '../../core/validation/rules'
import { validated } from '../../core/validation/validated'
import type { RegisterFile } from '../services/register-lines'

const MOST_COLUMNS = 500

class SourceInput {
  @MayBeAbsent() @IsInt() @Min(0) @Max(MOST_COLUMNS) column?: number
  @MayBeAbsent() @IsString() @MaxLength(200) text?: string
}
class ImportInput {
  @IsString() @Length(1, 200) name!: string
  @IsString() text!: string
  @MayBeAbsent() @IsObject() mapping?: Record<string, object>
  @IsBoolean() write!: boolean
  @MayBeAbsent() @IsString() @MaxLength(80) author?: string
}
class MappingInput {
  @ValidateNested() @Type(() => SourceInput) source!: SourceInput
}

/**
 * A file that is to be taken in, or only looked at.
 *
 * @throws InputError naming the field
 */
export function importRequest(body: unknown): { file: RegisterFile; write: boolean; author: string } {
  const { name, text, mapping, write, author } = validated(ImportInput, body)
  return {
    file: { name, text, ...(mapping ? { mapping: mappingOf(mapping) } : {}) },
    write,
    author: author || 'import',
  }
}

function mappingOf(asked: Record<string, object>): FieldMapping {
  const mapping: Record<string, FieldSource> = {}
  for (const [field, plain] of Object.entries(asked)) {
    if (!isIdOf(REGISTER_FIELDS, field))
      throw badField(`mapping.${field}`, field, `one of ${Object.keys(REGISTER_FIELDS).join(', ')}`)
    const { source } = validated(MappingInput, { source: plain })
    if (source.column !== undefined) mapping[field] = { column: source.column }
    else if (source.text !== undefined) mapping[field] = { text: source.text }
    else throw badField(`mapping.${field}`, plain, 'a column, or a text for all lines')
  }
  return mapping
}

/** Which file's lines are to be taken back. */
export function takeBackRequest(body: unknown): { act: string; author: string } {
  const { act, author } = (body ?? {}) as { act?: unknown; author?: unknown }
  if (!isUuid(act)) throw badField('act', act, 'the id of a file that was taken in')
  return { act: act as string, author: typeof author === 'string' && author ? author.slice(0, 80) : 'import' }
}
