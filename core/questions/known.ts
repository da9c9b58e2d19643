import type { Finding } from '../diagnosis/finding'
import type { Kind } from '../knowledge/vocabulary'
import type { CompletePlate, Pump } from '../motor/nameplate'
import { fromShown, type Measure } from '../quantity/measures'

/** What is known of a machine when a question is asked at it: card, plate and the visit's readings, newest last. */
export interface Known {
  kind: Kind
  pump: Pump
  plate: CompletePlate
  findings: readonly Finding[]
  reading: (check: string, measure: Measure, fits?: (finding: Finding) => boolean) => number | undefined
}

/** @param findings of the visit, oldest first */
export function knownOf(pump: Pump, plate: CompletePlate, findings: readonly Finding[]): Known {
  return {
    kind: pump.kind,
    pump,
    plate,
    findings,
    // Readings are kept in the vocabulary's units, which are those of the American side.
    reading: (check, measure, fits = () => true) => {
      const value = findings.findLast(
        (finding) => finding.check === check && typeof finding.value === 'number' && fits(finding),
      )?.value
      return typeof value === 'number' ? fromShown(value, measure, 'us') : undefined
    },
  }
}

/** Collects what is known, with where it comes from. */
export class Taking<Input extends object> {
  readonly input: Partial<Input> = {}
  readonly sources: Partial<Record<keyof Input & string, string>> = {}

  /** The first of several sources that has a value, kept inside what the field allows. */
  take<Name extends keyof Input & string>(
    name: Name,
    ...from: readonly (readonly [source: string, value: Input[Name] | undefined])[]
  ): this {
    const found = from.find(
      ([, value]) => value !== undefined && !(typeof value === 'number' && !Number.isFinite(value)),
    )
    if (found) {
      this.input[name] = found[1] as Input[Name]
      this.sources[name] = found[0]
    }
    return this
  }
}
