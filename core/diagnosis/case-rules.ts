import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsString,
  MaxLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator'
import { CHECKS, checkInfo } from '../knowledge/checks/checks'
import {
  COMPLAINTS,
  CONSTRUCTIONS,
  FAULTS,
  GATES,
  KIND_CONSTRUCTIONS,
  isIdOf,
  KINDS,
  MOTOR_TYPES,
  PARTS,
  STANDINGS,
  type Kind,
} from '../knowledge/vocabulary'
import { InputError, type FieldProblem } from '../validation/input-error'
import { readUnit } from '../quantity/units'
import type { DiagnosisCase, Finding } from './finding'
import type { Installation, Nameplate, Pump } from '../motor/nameplate'
import { MAINS_HERTZ, PLACE_BOUNDS, PLATE_BOUNDS } from '../motor/plate-bounds'
import {
  IdOf,
  isRecord,
  MayBeAbsent,
  OptionalQuantity,
  Quantity,
  QuantityOrRange,
  QuantityRange,
  rule,
} from '../validation/rules'

const isYears = (value: unknown) => typeof value === 'number' && value >= 0 && value <= 100

export class NameplateInput implements Nameplate {
  @Quantity(PLATE_BOUNDS.volts) volts!: number
  @OptionalQuantity(PLATE_BOUNDS.otherVolts) otherVolts?: number
  @MayBeAbsent() @IsIn(MAINS_HERTZ) hertz?: number
  @MayBeAbsent() @IdOf(MOTOR_TYPES) motorType?: Nameplate['motorType']
  @OptionalQuantity(PLATE_BOUNDS.horsepower) horsepower?: number
  @OptionalQuantity(PLATE_BOUNDS.serviceFactor) serviceFactor?: number
  @OptionalQuantity(PLATE_BOUNDS.fullLoadAmps) fullLoadAmps?: number
  @OptionalQuantity(PLATE_BOUNDS.serviceFactorAmps) serviceFactorAmps?: number
  @OptionalQuantity(PLATE_BOUNDS.lockedRotorAmps) lockedRotorAmps?: number
  @MayBeAbsent() @IsString() @MaxLength(2) codeLetter?: string
  @OptionalQuantity(PLATE_BOUNDS.poles) poles?: number
  @OptionalQuantity(PLATE_BOUNDS.rpm) rpm?: number
  @MayBeAbsent() @IsString() @MaxLength(40) frame?: string
  @MayBeAbsent() @IsString() @MaxLength(40) flange?: string
  @OptionalQuantity(PLATE_BOUNDS.runCapacitorMicrofarads) runCapacitorMicrofarads?: number
  @OptionalQuantity(PLATE_BOUNDS.runCapacitorVolts) runCapacitorVolts?: number
  @MayBeAbsent() @QuantityOrRange() startCapacitorMicrofarads?: number | [number, number]
  @OptionalQuantity(PLATE_BOUNDS.startCapacitorVolts) startCapacitorVolts?: number
  @OptionalQuantity(PLATE_BOUNDS.capacitorTolerancePercent) capacitorTolerancePercent?: number
  @MayBeAbsent() @QuantityRange() runWindingOhms?: [number, number]
  @MayBeAbsent() @QuantityRange() startWindingOhms?: [number, number]
  @MayBeAbsent() @IsIn(['A', 'B', 'F', 'H']) thermalClass?: string
}

class CurvePoint {
  @Quantity({ min: 0 }) flowLitresPerSecond!: number
  @Quantity({ min: 0 }) headMetres!: number
}

export class InstallationInput implements Installation {
  @MayBeAbsent() @IsString() @MaxLength(8) cableAwg?: string
  @OptionalQuantity(PLACE_BOUNDS.cableMetres) cableMetres?: number
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => CurvePoint)
  pumpCurve?: CurvePoint[]
  @OptionalQuantity(PLACE_BOUNDS.cutInPsi) cutInPsi?: number
  @OptionalQuantity(PLACE_BOUNDS.cutOutPsi) cutOutPsi?: number
  @OptionalQuantity(PLACE_BOUNDS.tankLitres) tankLitres?: number
  @OptionalQuantity(PLACE_BOUNDS.liftMetres) liftMetres?: number
  @OptionalQuantity(PLACE_BOUNDS.pitDiameterMetres) pitDiameterMetres?: number
  @OptionalQuantity(PLACE_BOUNDS.wellDepthMetres) wellDepthMetres?: number
  @OptionalQuantity(PLACE_BOUNDS.dutyHoursPerDay) dutyHoursPerDay?: number
  @MayBeAbsent() @IsBoolean() onlySupply?: boolean
  @MayBeAbsent() @IsBoolean() livestock?: boolean
}

export class PumpInput implements Pump {
  @IdOf(KINDS) kind!: Kind
  @MayBeAbsent() @IdOf(CONSTRUCTIONS) construction?: Pump['construction']
  @OptionalQuantity({ min: 0, max: 100 }) ageYears?: number
  @MayBeAbsent() @IsBoolean() underWarranty?: boolean
  @MayBeAbsent()
  @rule(
    'isPartAges',
    (value) => isRecord(value) && Object.entries(value).every(([part, years]) => isIdOf(PARTS, part) && isYears(years)),
    'must give parts, such as motor, their age in years from 0 to 100',
  )
  partAges?: Pump['partAges']
  @ValidateNested() @Type(() => NameplateInput) @ValidateIf(() => true) nameplate!: NameplateInput
  @MayBeAbsent() @ValidateNested() @Type(() => InstallationInput) installation?: InstallationInput
}

export class FindingInput implements Finding {
  @IdOf(CHECKS) check!: string
  @ValidateIf((finding: FindingInput) => finding.value !== null && finding.value !== undefined) @Quantity() value?:
    number | null
  @MayBeAbsent() @IsString() @MaxLength(20) unit?: string
  @MayBeAbsent() @IsString() @MaxLength(40) outcome?: string
  @MayBeAbsent() @IdOf(PARTS) part?: string
  @MayBeAbsent() @IsString() @MaxLength(30) lead?: string
  @MayBeAbsent() @IsString() @MaxLength(40) leads?: string
  @MayBeAbsent() @IsIn(['off-circuit', 'under-load']) method?: Finding['method']
  @MayBeAbsent() @IsIn(['motor-alone', 'motor-and-cable', 'cable-alone', 'surface-motor']) setup?: Finding['setup']
  @OptionalQuantity({ min: -60, max: 250 }) celsius?: number
  @OptionalQuantity({ above: 0, max: 15000 }) testVolts?: number
  @MayBeAbsent() @IsIn(['new', 'used']) ageState?: Finding['ageState']
  @MayBeAbsent() @IsBoolean() throughCable?: boolean
  @MayBeAbsent() @IsIn(['whole', 'motor', 'pump-end']) half?: Finding['half']
  @MayBeAbsent() @IsString() @MaxLength(40) at?: string
  @MayBeAbsent() @IsIn(['motor', 'pump']) side?: Finding['side']
  @MayBeAbsent() @IsIn(['old', 'new']) of?: Finding['of']
  @MayBeAbsent() @IsIn(['installed', 'bench', 'barrel']) where?: Finding['where']
  @MayBeAbsent() @IsString() @MaxLength(40) hedge?: string
  @OptionalQuantity({ min: 0, max: 10 }) clearanceMillimetres?: number
  @MayBeAbsent() @IsString() @MaxLength(40) code?: string
  @OptionalQuantity({ min: 0, max: 1e9 }) error?: number
  @OptionalQuantity({ min: 0, max: 1e12 }) range?: number
  @MayBeAbsent() @IsString() @MaxLength(60) instrument?: string
}

export class DiagnoseInput implements DiagnosisCase {
  @ValidateNested() @Type(() => PumpInput) pump!: PumpInput
  @MayBeAbsent() @IsArray() @ArrayMaxSize(30) @IdOf(COMPLAINTS, { each: true }) complaints?: string[]
  @MayBeAbsent() @IsArray() @ArrayMaxSize(90) @IdOf(PARTS, { each: true }) alreadyReplaced?: string[]
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(2000)
  @ValidateNested({ each: true })
  @Type(() => FindingInput)
  findings?: FindingInput[]
  @MayBeAbsent() @IsArray() @ArrayMaxSize(100) @IdOf(FAULTS, { each: true }) excluded?: string[]
  @MayBeAbsent() @IsIn(STANDINGS) standing?: DiagnosisCase['standing']
  @OptionalQuantity({ min: 0, max: 1440 }) minutesLeft?: number
  @MayBeAbsent() @IsArray() @ArrayMaxSize(30) @IdOf(GATES, { each: true }) gates?: string[]
  @MayBeAbsent() @IsArray() @ArrayMaxSize(100) @IsString({ each: true }) skipped?: string[]
}

/**
 * The rules between fields that a field alone cannot hold, and the units brought to the canonical ones.
 *
 * @returns the finding in canonical units, with only the fields it had
 * @throws InputError when value and outcome do not fit the check, or the unit is another quantity's
 */
export function canonicalFinding(finding: Finding, path = ''): Finding {
  const info = checkInfo(finding.check)
  const field = (name: string) => (path ? `${path}.${name}` : name)
  const problems: FieldProblem[] = []
  if (info?.outcomes) {
    if (finding.outcome === undefined || !Object.hasOwn(info.outcomes, finding.outcome))
      problems.push({
        field: field('outcome'),
        value: finding.outcome,
        expected: `${finding.check} is seen as one of ${Object.keys(info.outcomes).join(', ')}`,
      })
    if (finding.value !== undefined)
      problems.push({
        field: field('value'),
        value: finding.value,
        expected: `${finding.check} is seen, not measured: give an outcome`,
      })
    if (problems.length > 0) throw new InputError(problems)
    return finding
  }
  if (finding.outcome !== undefined)
    problems.push({
      field: field('outcome'),
      value: finding.outcome,
      expected: `${finding.check} is measured: give a value${info?.unit ? ` in ${info.unit}` : ''}`,
    })
  if (finding.value === undefined)
    problems.push({
      field: field('value'),
      value: undefined,
      expected: `${finding.check} needs a number${info?.unit ? ` in ${info.unit}` : ''}`,
    })
  const unit = finding.unit === undefined ? undefined : readUnit(finding.unit, info?.unit)
  if (finding.unit !== undefined && unit?.unit !== info?.unit)
    problems.push({
      field: field('unit'),
      value: finding.unit,
      expected: `${finding.check} is measured in ${info?.unit}`,
    })
  const value =
    finding.value === null || finding.value === undefined || !unit ? finding.value : unit.toCanonical(finding.value)
  if (typeof value === 'number' && value < (info?.plausible?.[0] ?? 0))
    problems.push({
      field: field('value'),
      value: finding.value,
      expected: `${finding.check} cannot be below ${info?.plausible?.[0] ?? 0} ${info?.unit ?? ''}`.trim(),
    })
  if (problems.length > 0) throw new InputError(problems)
  return { ...finding, ...(value === undefined ? {} : { value }), ...(info?.unit ? { unit: info.unit } : {}) }
}

/** Does this construction belong to the kind? */
export function constructionFits(pump: Pick<Pump, 'kind' | 'construction'>): boolean {
  return pump.construction === undefined || KIND_CONSTRUCTIONS[pump.kind].includes(pump.construction)
}

/** The case with the rules between fields checked. */
export function canonicalCase(input: DiagnoseInput): DiagnosisCase {
  if (!input.pump?.nameplate)
    throw new InputError([
      {
        field: input.pump ? 'pump.nameplate' : 'pump',
        value: undefined,
        expected: 'a nameplate with at least its volts is needed',
      },
    ])
  if (!constructionFits(input.pump))
    throw new InputError([
      {
        field: 'pump.construction',
        value: input.pump.construction,
        expected: `a ${input.pump.kind} pump is one of ${KIND_CONSTRUCTIONS[input.pump.kind].join(', ')}`,
      },
    ])
  return { ...input, findings: input.findings?.map((finding, index) => canonicalFinding(finding, `findings.${index}`)) }
}
