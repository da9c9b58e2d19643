import { IsString, MaxLength } from 'class-validator'
import { tankDrawdown } from '../hydraulics/tank'
import type { Basis } from '../judgement/judgement'
import { currentTrace } from '../logs/current-trace'
import { pressureLog, type PressureLog } from '../logs/pressure-log'
import { readLog, type Log } from '../logs/read-log'
import { LOG_LIMITS } from '../logs/read-log-limits'
import { currentWords, pressureWords } from '../logs/words'
import { START_WINDING } from '../knowledge/water/log-limits'
import { ATMOSPHERE } from '../knowledge/water/water'
import { KPA_PER_PSI } from '../quantity/conversions'
import { render } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { OptionalQuantity } from '../validation/rules'
import { defineWorking } from './define-working'

const BASIS: Basis = {
  kind: 'common-practice',
  name: 'turns of the pressure, least loss between two runs, Boyle’s law for the tank',
}
const READER = { system: 'metric' } as const
const kpa = (psi: number) => psi * KPA_PER_PSI

class PressureLogInput {
  @IsString() @MaxLength(LOG_LIMITS.mostCharacters) file!: string
  @OptionalQuantity({ above: 0, max: 10_000 }) tankLitres?: number
  @OptionalQuantity({ min: 0, max: 1_500 }) prechargeKpa?: number
}

/** What a day's pressure log tells: CSV text; the command line takes its path. */
export const pressureLogWorking = defineWorking({
  name: 'pressure-log',
  title: 'What did the pressure do all day?',
  input: PressureLogInput,
  basis: BASIS,
  run: (input) => {
    const log = of('pressure', readLog(input.file))
    const found = pressureLog(log)
    const { cutInPsi, cutOutPsi, prechargePsi, fastestCycleSeconds, shortestRunSeconds, quiet } = found
    const prechargeKpa = prechargePsi === undefined ? input.prechargeKpa : kpa(prechargePsi)
    return {
      hours: found.hours,
      starts: found.cycles.length,
      ...(cutInPsi === undefined ? {} : { cutInKpa: kpa(cutInPsi) }),
      ...(cutOutPsi === undefined ? {} : { cutOutKpa: kpa(cutOutPsi) }),
      ...(fastestCycleSeconds === undefined ? {} : { fastestCycleSeconds }),
      ...(shortestRunSeconds === undefined ? {} : { shortestRunSeconds }),
      ...(prechargePsi === undefined ? {} : { prechargeKpa: kpa(prechargePsi) }),
      ...(quiet ? { leakKpaPerHour: kpa(quiet.psiPerHour) } : {}),
      ...volumes(found, input.tankLitres, prechargeKpa),
      cycles: found.cycles.map(({ startSeconds, stopSeconds, cutInPsi: low, cutOutPsi: high }) => ({
        startSeconds,
        stopSeconds,
        cutInKpa: kpa(low),
        cutOutKpa: kpa(high),
      })),
      linesLeftOut: log.leftOut,
      basis: BASIS,
      steps: pressureWords(found).map((sentence) => render(sentence, READER)),
    }
  },
})

/** What the tank gives between two starts, and what is lost, where its size and its air are known. */
function volumes(
  { cutInPsi, cutOutPsi, quiet }: PressureLog,
  tankLitres: number | undefined,
  prechargeKpa: number | undefined,
): { drawdownLitres?: number; leakLitresPerHour?: number } {
  if (cutInPsi === undefined || cutOutPsi === undefined || tankLitres === undefined || prechargeKpa === undefined)
    return {}
  if (prechargeKpa >= kpa(cutOutPsi)) return {}
  const [cutInKpa, cutOutKpa] = [kpa(cutInPsi), kpa(cutOutPsi)]
  const { drawdownLitres } = tankDrawdown({ tankLitres, prechargeKpa, cutInKpa, cutOutKpa })
  const middle = (cutInKpa + cutOutKpa) / 2 + ATMOSPHERE.seaLevelKpa
  const litresPerKpa = (tankLitres * (prechargeKpa + ATMOSPHERE.seaLevelKpa)) / middle ** 2
  return { drawdownLitres, ...(quiet ? { leakLitresPerHour: kpa(quiet.psiPerHour) * litresPerKpa } : {}) }
}

class CurrentTraceInput {
  @IsString() @MaxLength(LOG_LIMITS.mostCharacters) file!: string
  @OptionalQuantity({ above: 0, max: 500 }) fullLoadAmps?: number
}

/** What a trace of the current tells: CSV text; the command line takes its path. */
export const currentTraceWorking = defineWorking({
  name: 'current-trace',
  title: 'What did the motor draw, start by start?',
  input: CurrentTraceInput,
  basis: START_WINDING.basis,
  run: ({ file, fullLoadAmps }) => {
    const log = of('current', readLog(file))
    const { runs, gaps: _gaps, ...found } = currentTrace(log, fullLoadAmps)
    return {
      ...found,
      starts: runs.length,
      runs,
      linesLeftOut: log.leftOut,
      basis: START_WINDING.basis,
      steps: currentWords({ runs, gaps: _gaps, ...found }).map((sentence) => render(sentence, READER)),
    }
  },
})

function of(quantity: Log['quantity'], log: Log): Log {
  if (log.quantity !== quantity)
    throw badField('file', log.quantity, quantity === 'pressure' ? 'a log of the pressure' : 'a log of the current')
  return log
}
