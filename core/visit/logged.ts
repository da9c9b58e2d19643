import type { Finding } from '../diagnosis/finding'
import type { CurrentTrace } from '../logs/current-trace'
import type { PressureLog } from '../logs/pressure-log'

/** A reading that a log offers: nothing is kept of it before somebody takes it. */
export type OfferedFinding = Pick<Finding, 'check' | 'unit'> & { value: number }

const rounded = (value: number, digits = 1) => Number(value.toFixed(digits))

/** The readings of a pressure log that a check knows. */
export function offeredByPressure(log: PressureLog): OfferedFinding[] {
  const { cutInPsi, cutOutPsi, fastestCycleSeconds, prechargePsi } = log
  return [
    ...(cutInPsi === undefined ? [] : [{ check: 'cut-in', value: rounded(cutInPsi), unit: 'psi' }]),
    ...(cutOutPsi === undefined ? [] : [{ check: 'cut-out', value: rounded(cutOutPsi), unit: 'psi' }]),
    ...(fastestCycleSeconds === undefined
      ? []
      : [{ check: 'cycle-time', value: rounded(fastestCycleSeconds, 0), unit: 's' }]),
    ...(prechargePsi === undefined ? [] : [{ check: 'tank-precharge', value: rounded(prechargePsi), unit: 'psi' }]),
  ]
}

/** The readings of a trace of the current that a check knows. */
export function offeredByCurrent({ runningAmps, inrushAmps, seesStarts }: CurrentTrace): OfferedFinding[] {
  return [
    ...(runningAmps === undefined ? [] : [{ check: 'running-current', value: rounded(runningAmps, 2), unit: 'A' }]),
    ...(inrushAmps === undefined || !seesStarts
      ? []
      : [{ check: 'locked-current', value: rounded(inrushAmps), unit: 'A' }]),
  ]
}
