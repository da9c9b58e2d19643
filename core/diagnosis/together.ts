import { estimateRunning, estimateStart, typicalMotor, type TypicalMotor } from '../electrical/typical-motor'
import { STARTING } from '../knowledge/electrical/typical-motor'
import { SAYING } from '../knowledge/faults/thresholds'
import { MOTOR_HAS, type CompletePlate, type Pump } from '../motor/nameplate'
import { formatNumber, formatShare } from '../quantity/format'
import { correctResistance } from '../electrical/winding'
import type { Finding } from './finding'
import { windingOhmsAt20, windingPair } from './winding-reading'

/**
 * What several readings mean together, through the motor's own circuit: one sentence each, with whether they explain
 * what is seen.
 */
export interface Together {
  text: string
  explains: 'hum' | 'current' | 'nothing'
}

/**
 * Volts, capacitors and ohms through the motor model: the start torque they leave, and the current they should make,
 * beside what was measured.
 *
 * Says nothing until a capacitor, a winding or a loaded voltage has been read: the plate alone explains nothing.
 */
export function readTogether(
  findings: readonly Finding[],
  complaints: readonly string[],
  pump: Pump,
  plate: CompletePlate,
): Together[] {
  const { motorType, hertz, horsepower } = plate
  if (motorType === 'electronic') return []
  const of = (check: string, part?: string) =>
    findings.findLast((finding) => finding.check === check && (part === undefined || finding.part === part))?.value ??
    undefined
  const ohms = (pair: string) => {
    const found = findings.findLast(
      (finding) => finding.check === 'winding-resistance' && windingPair(finding, pump.kind) === pair,
    )
    return found ? (windingOhmsAt20(found, pump).ohms ?? undefined) : undefined
  }
  const [run, start] = [of('capacitance', 'run-capacitor'), of('capacitance', 'start-capacitor')]
  const [runOhms, startOhms] = [ohms('common-run'), ohms('common-start')]
  const loaded = of('supply-voltage-loaded') ?? of('supply-voltage') ?? of('outlet-voltage')
  if ([run, start, runOhms, startOhms, of('supply-voltage-loaded')].every((value) => value === undefined)) return []
  const volts = loaded !== undefined && loaded > 0 ? loaded : plate.volts
  const middle = ({ low, high }: { low: number; high: number }) => (low + high) / 2
  const sound = typicalMotor(plate, middle(plate.runWinding), middle(plate.startWinding))
  const motor = typicalMotor(plate, runOhms ?? middle(plate.runWinding), startOhms ?? middle(plate.startWinding))
  const ratedStart =
    typeof plate.startCapacitorMicrofarads === 'number'
      ? plate.startCapacitorMicrofarads
      : plate.startCapacitorMicrofarads?.[0]
  const parallel = (r: number | undefined, s: number | undefined) =>
    motorType === 'split-phase'
      ? undefined
      : (MOTOR_HAS.runCapacitor(motorType) ? (r ?? 0) : 0) + (MOTOR_HAS.startCapacitor(motorType) ? (s ?? 0) : 0)
  const now = estimateStart(motor, {
    volts,
    hertz,
    horsepower,
    microfarads: parallel(run ?? plate.runCapacitorMicrofarads, start ?? ratedStart),
  })
  const should = estimateStart(sound, {
    volts: plate.volts,
    hertz,
    horsepower,
    microfarads: parallel(plate.runCapacitorMicrofarads, ratedStart),
  })
  return [
    ...startSentence({
      now,
      should,
      volts,
      run,
      start,
      hums:
        complaints.includes('hums-no-start') ||
        findings.some(({ check, outcome }) => check === 'listen' && outcome === 'hum'),
    }),
    ...currentSentence(of('running-current'), {
      motor,
      sound,
      ratedVolts: plate.volts,
      ratedRun: MOTOR_HAS.runCapacitor(motorType) ? plate.runCapacitorMicrofarads : undefined,
      volts,
      hertz,
      horsepower,
      runMicrofarads: MOTOR_HAS.runCapacitor(motorType) ? (run ?? plate.runCapacitorMicrofarads) : undefined,
      fullLoad: plate.fullLoadAmps,
    }),
  ]
}

function startSentence({
  now,
  should,
  volts,
  run,
  start,
  hums,
}: {
  now: { torqueShare: number; amps: number }
  should: { torqueShare: number }
  volts: number
  run?: number
  start?: number
  hums: boolean
}): Together[] {
  const cans = [
    run === undefined ? '' : `${formatNumber(run)} μF run`,
    start === undefined ? '' : `${formatNumber(start)} μF start`,
  ]
    .filter(Boolean)
    .join(' and ')
  const at = [cans, `${formatNumber(volts)} V`].filter(Boolean).join(' at ')
  const torque =
    `With ${at} the start torque is about ${formatShare(now.torqueShare)} of rated, where the plate’s own would ` +
    `give ${formatShare(should.torqueShare)}`
  if (now.torqueShare < STARTING.breakawayShare)
    return [
      {
        explains: hums ? 'hum' : 'nothing',
        text:
          `${torque}: too little to break a pump away.${hums ? ' That explains the hum.' : ''} With the rotor ` +
          `still it draws about ${formatNumber(now.amps, 2)} A.`,
      },
    ]
  if (hums)
    return [
      {
        explains: 'nothing',
        text:
          `${torque}: enough to start. The hum has another cause: what holds the shaft, or what feeds the start ` +
          'winding.',
      },
    ]
  return []
}

function currentSentence(
  measured: number | undefined,
  {
    motor,
    sound,
    ratedVolts,
    ratedRun,
    volts,
    hertz,
    horsepower,
    runMicrofarads,
    fullLoad,
  }: {
    motor: TypicalMotor
    sound: TypicalMotor
    ratedVolts: number
    ratedRun?: number
    volts: number
    hertz: number
    horsepower: number
    runMicrofarads?: number
    fullLoad: number
  },
): Together[] {
  if (measured === undefined || measured <= 0) return []
  const warm = (of: TypicalMotor) => ({
    ...of,
    circuit: { ...of.circuit, r1Ohms: correctResistance(of.circuit.r1Ohms, 20, STARTING.runningCelsius) },
  })
  // The typical motor is not this motor: it is brought to the plate's full-load amps at the plate's volts, and only the
  // change from there is foretold.
  const atPlate = estimateRunning(warm(sound), { volts: ratedVolts, hertz, horsepower, runMicrofarads: ratedRun })
  const now = estimateRunning(warm(motor), { volts, hertz, horsepower, runMicrofarads })
  const predicted = now === undefined || atPlate === undefined ? undefined : (now / atPlate) * fullLoad
  if (predicted === undefined)
    return [
      { explains: 'nothing', text: `At ${formatNumber(volts)} V this motor could not carry its rated load at all.` },
    ]
  const share = measured / predicted - 1
  if (Math.abs(share) < SAYING.currentApart)
    return [
      {
        explains: 'current',
        text:
          `${formatNumber(measured)} A is what these readings predict at full load (${formatNumber(predicted, 2)} ` +
          'A).',
      },
    ]
  const side = share > 0 ? 'more' : 'less'
  const load =
    share > 0
      ? 'something holds the shaft, or turns are shorted'
      : measured < fullLoad * 0.9
        ? 'the pump is lightly loaded: dry, throttled, worn or clogged'
        : 'the load is below the plate’s'
  return [
    {
      explains: 'nothing',
      text:
        `${formatNumber(measured)} A is ${formatShare(Math.abs(share))} ${side} than these readings predict at ` +
        `full load (${formatNumber(predicted, 2)} A): ${load}.`,
    },
  ]
}
