import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { InputError } from '../validation/input-error'
import { IdOf, MayBeAbsent, OptionalQuantity } from '../validation/rules'
import { FUNCTIONS, meterFunction, type Accuracy, type FunctionName } from './functions'

export const INSTRUMENT_WAYS = ['scpi', 'csv'] as const

/** One instrument of the shop, and how it is heard. */
export interface InstrumentSetting {
  id: string
  name: string
  /** SCPI over TCP, or a file that a logger writes. */
  by: (typeof INSTRUMENT_WAYS)[number]
  host?: string
  port?: number
  /** A file in the folder `instruments` of the server’s data. */
  file?: string
  /** What the last column of its file is. */
  function?: FunctionName
  /** As its sheet says; the usual where nothing is entered. */
  accuracyPercent?: number
  accuracyFloor?: number
  testVolts?: number
  /** Its dial is turned from here, to what the lit check asks for. */
  turns?: boolean
}

/** How far an instrument may be off: as its owner entered it, else the usual. */
export function accuracyOf(
  { accuracyPercent, accuracyFloor }: Pick<InstrumentSetting, 'accuracyPercent' | 'accuracyFloor'>,
  name: FunctionName,
): Accuracy {
  const { share, floor } = meterFunction(name).accuracy
  return { share: accuracyPercent === undefined ? share : accuracyPercent / 100, floor: accuracyFloor ?? floor }
}

class InstrumentInput implements InstrumentSetting {
  @IsString() @Matches(/^[a-z0-9][a-z0-9-]{0,39}$/) id!: string
  @IsString() @Length(1, 60) name!: string
  @IsIn(INSTRUMENT_WAYS) by!: InstrumentSetting['by']
  @MayBeAbsent() @IsString() @MaxLength(80) host?: string
  @MayBeAbsent() @IsInt() @Min(1) @Max(65_535) port?: number
  @MayBeAbsent() @IsString() @Matches(/^[\w-][\w .-]{0,80}\.csv$/i) file?: string
  @MayBeAbsent() @IdOf(FUNCTIONS) function?: FunctionName
  @OptionalQuantity({ min: 0, max: 50 }) accuracyPercent?: number
  @OptionalQuantity({ min: 0, max: 1000 }) accuracyFloor?: number
  @OptionalQuantity({ above: 0, max: 15_000 }) testVolts?: number
  @MayBeAbsent() @IsIn([true, false]) turns?: boolean
}
/** The list of a shop’s instruments, as it is sent. */
export class InstrumentsInput {
  @IsArray()
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => InstrumentInput)
  instruments!: InstrumentInput[]
}

/**
 * What no single field can say of the list.
 *
 * @throws InputError naming the field
 */
export function checkInstruments(instruments: readonly InstrumentSetting[]): void {
  const problems = instruments.flatMap(({ id, by, host, port, file, function: name }, index) => {
    const at = (field: string) => `instruments.${index}.${field}`
    const twice = instruments.findIndex((other) => other.id === id) < index
    return [
      ...(twice ? [{ field: at('id'), value: id, expected: 'an id that no other instrument has' }] : []),
      ...(by === 'scpi' && !host
        ? [{ field: at('host'), value: host, expected: 'an address on this machine or network' }]
        : []),
      ...(by === 'scpi' && !port ? [{ field: at('port'), value: port, expected: 'a port, such as 5025' }] : []),
      ...(by === 'csv' && !file
        ? [{ field: at('file'), value: file, expected: 'the name of its file, such as log.csv' }]
        : []),
      ...(by === 'csv' && !name ? [{ field: at('function'), value: name, expected: 'what its last column is' }] : []),
    ]
  })
  if (problems.length > 0) throw new InputError(problems)
}
