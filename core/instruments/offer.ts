import { pickAsked, type Asked, type Finding } from '../diagnosis/finding'
import { checkInfo } from '../knowledge/checks/checks'
import { UNIT_LABELS } from '../quantity/units'
import { meterFunction, type FunctionName } from './functions'
import type { InstrumentReading } from './reading'

/** Checks that are read with direct volts: all others with alternating. */
const DIRECT: ReadonlySet<string> = new Set(['battery-voltage'])

/** The most that was drawn as it started: no display that stands still shows that. */
const PEAKS: ReadonlySet<string> = new Set(['locked-current'])

/** The function that a check is read with; nothing where it is read by no instrument that talks. */
export function functionFor({ check }: Asked): FunctionName | undefined {
  if (PEAKS.has(check)) return undefined
  switch (checkInfo(check)?.unit) {
    case 'V':
      return DIRECT.has(check) ? 'VOLT:DC' : 'VOLT:AC'
    case 'A':
      return 'CURR:AC'
    case 'ohm':
      return 'RES'
    case 'uF':
      return 'CAP'
    case 'Mohm':
      return 'INS'
    case 'psi':
      return 'PRES'
    case 'celsius':
      return 'TEMP'
    default:
      return undefined
  }
}

/** A steady reading as a finding of the lit check, or why it is none. */
export type Offer = { finding: Finding } | { why: string }

/**
 * What a reading would be in the journal: the lit check decides what it is a reading of.
 *
 * @param lit nothing where nothing is asked for
 */
export function offerOf(reading: InstrumentReading, lit: Asked | undefined): Offer {
  if (!lit) return { why: 'nothing is lit that it could be' }
  const wanted = functionFor(lit)
  if (!wanted) return { why: `${checkInfo(lit.check)?.label ?? lit.check} is read by no instrument` }
  if (wanted !== reading.function)
    return {
      why:
        `it shows ${meterFunction(reading.function).label}, and ${UNIT_LABELS[meterFunction(wanted).unit]} are ` +
        'asked for',
    }
  if (reading.isFlat) return { why: 'its battery is flat: what it shows may be anything' }
  const { value, error, range, testVolts, name } = reading
  return {
    finding: {
      ...pickAsked(lit),
      value,
      unit: reading.unit,
      ...(value === null ? {} : { error: Number(error.toPrecision(2)) }),
      ...(range === undefined ? {} : { range }),
      ...(wanted === 'INS' && testVolts ? { testVolts } : {}),
      instrument: name,
    },
  }
}
