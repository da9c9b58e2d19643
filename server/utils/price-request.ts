import { IsObject, IsString, MaxLength } from 'class-validator'
import { PRICE_FIELDS, type PriceMapping } from '../../core/shelf/papers/price-list'
import { isIdOf } from '../../core/knowledge/vocabulary'
import { badField } from '../../core/validation/input-error'
import { MayBeAbsent } from '../../core/validation/rules'
import { validated } from '../../core/validation/validated'
import type { PriceFile } from '../services/price-lists'

const MOST_TEXT = 16 * 1024 * 1024
const MOST_COLUMNS = 200

class PriceRequest {
  @MayBeAbsent() @IsString() @MaxLength(MOST_TEXT) text?: string
  @MayBeAbsent() @IsObject() mapping?: Record<string, unknown>
}
class DeliveryRequest {
  @IsString() @MaxLength(MOST_TEXT) text!: string
}

/**
 * A price list that is to be looked at; without a text the supplier itself is asked.
 *
 * @throws InputError naming the field
 */
export function priceRequest(body: unknown): PriceFile | undefined {
  const { text, mapping } = validated(PriceRequest, body)
  if (text === undefined) return undefined
  return { text, ...(mapping ? { mapping: mappingOf(mapping) } : {}) }
}

function mappingOf(asked: Record<string, unknown>): PriceMapping {
  const mapping: PriceMapping = {}
  for (const [field, column] of Object.entries(asked)) {
    if (!isIdOf(PRICE_FIELDS, field))
      throw badField(`mapping.${field}`, field, `one of ${Object.keys(PRICE_FIELDS).join(', ')}`)
    if (!Number.isInteger(column) || (column as number) < 0 || (column as number) > MOST_COLUMNS)
      throw badField(`mapping.${field}`, column, 'the number of a column, the first is 0')
    mapping[field] = column as number
  }
  return mapping
}

/** A delivery note as its text. */
export const deliveryRequest = (body: unknown): string => validated(DeliveryRequest, body).text
