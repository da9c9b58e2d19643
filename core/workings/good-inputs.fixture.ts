import { usualInput } from '../questions/fields'
import { QUESTIONS } from '../questions/questions'
import { writeWav } from '../sound/recording'

/** A logger's file of five hundred lines, one each five seconds. */
function logText(column: string, value: (at: number) => number): string {
  return [`seconds,${column}`, ...Array.from({ length: 500 }, (_, at) => `${at * 5},${value(at).toFixed(2)}`)].join(
    '\n',
  )
}

/** Three seconds of a machine that hums, as base64. */
function hummingWav(): string {
  const values = Float64Array.from(
    { length: 24_000 },
    (_, at) => 0.3 * Math.sin((2 * Math.PI * 120 * at) / 8_000) + 0.05 * Math.sin(at * at),
  )
  return btoa(Array.from(writeWav({ hertz: 8_000, values }), (byte) => String.fromCharCode(byte)).join(''))
}

/** One input of every working that is right, for the tests that ask it of all of them. */
export const GOOD_INPUTS: Record<string, object> = {
  ...Object.fromEntries(QUESTIONS.map(({ id, fields }) => [id, usualInput(fields)])),
  'capacitance-from-current': { volts: 376, amps: 4.24, hertz: 60 },
  'capacitor-bleed': { microfarads: 30, volts: 523, ohms: 20000 },
  'capacitor-judgement': { role: 'run', ratedMicrofarads: 30, measuredMicrofarads: 27 },
  'current-judgement': { amps: 9, fullLoadAmps: 7 },
  'insulation-corrected': { megohms: 100, celsius: 20 },
  'insulation-judgement': { megohms: 16, setup: 'surface-motor', celsius: 20 },
  'insulation-split': { totalMegohms: 1.2, cableMegohms: 20 },
  'resistance-corrected': { ohms: 2, celsius: 20, toCelsius: 75 },
  'supply-judgement': { nameplateVolts: 230, restVolts: 240, loadedVolts: 222 },
  'three-leads': { ohms: { '1-2': 1.8, '2-3': 6.4, '1-3': 4.6 } },
  understand: { pump: { kind: 'pool', nameplate: { volts: 230 } }, line: 'supply 238, weep not dripping' },
  diagnose: { pump: { kind: 'pool', nameplate: { volts: 230 } }, complaints: ['hums-no-start'] },
  'conductor-resistance': { awg: '12', lengthMetres: 100 },
  'voltage-drop': { sourceVolts: 230, amps: 10, awg: '12', oneWayMetres: 60 },
  'longest-run': { sourceVolts: 230, amps: 10, awg: '12', dropPercent: 5 },
  'conductor-size': { sourceVolts: 230, amps: 10, oneWayMetres: 60, dropPercent: 3 },
  'full-load-current': { horsepower: 1.5, volts: 230 },
  'starting-voltage': {
    sourceVolts: 230,
    ratedVolts: 230,
    lockedRotorAmps: 48,
    lockedRotorPowerFactor: 0.7,
    awg: '12',
    oneWayMetres: 90,
  },
  'locked-rotor-code': { codeLetter: 'J', horsepower: 1.5, volts: 230 },
  'capacitor-combination': { connection: 'series', microfarads: [20, 30], volts: 370 },
  'capacitor-substitute': {
    wantedMicrofarads: 30,
    wantedVolts: 370,
    stock: [
      { microfarads: 20, volts: 440 },
      { microfarads: 10, volts: 370 },
    ],
  },
  'winding-temperature': { coldOhms: 2.8, coldCelsius: 18, hotOhms: 4.02, ambientCelsius: 31, thermalClass: 'B' },
  'winding-cooling': {
    ambientCelsius: 24,
    readings: [
      { seconds: 120, celsius: 118 },
      { seconds: 720, celsius: 81 },
    ],
    targetCelsius: 60,
  },
  'stall-heating': { amps: 48, wireMillimetres: 1.02, startCelsius: 40, limitCelsius: 150 },
  absorption: { megohms30s: 310, megohms60s: 440, megohms600s: 1180, thermalClass: 'F' },
  'motor-circuit': {
    r1Ohms: 2.02,
    x1Ohms: 2.79,
    r2Ohms: 4.12,
    x2Ohms: 2.12,
    xmOhms: 66.8,
    volts: 110,
    hertz: 60,
    poles: 4,
    slip: 0.05,
  },
  'motor-start': {
    volts: 120,
    mainOhms: 4.5,
    mainReactanceOhms: 3.7,
    auxOhms: 9.5,
    auxReactanceOhms: 3.5,
    ratedMicrofarads: 177,
    measuredMicrofarads: 110,
    hertz: 60,
  },
  'slip-torque': { hertz: 60, poles: 2, rpm: 3450, shaftWatts: 1118 },
  'start-capacitor': { mainOhms: 4.5, mainReactanceOhms: 3.7, auxOhms: 9.5, auxReactanceOhms: 3.5, hertz: 60 },
  'evidence-weigh': {
    model: 'noisy-or',
    priors: { bearing: 0.12, seal: 0.15 },
    tables: { noise: { leak: 0.02, links: { bearing: 0.9 } }, drip: { leak: 0.01, links: { seal: 0.93 } } },
    evidence: { noise: 'true' },
    candidates: ['drip'],
    minutes: { drip: 2 },
  },
  'water-properties': { celsius: 15 },
  'pipe-friction': { flowLitresPerSecond: 2, insideMillimetres: 40, lengthMetres: 30, method: 'darcy', minorLossK: 3 },
  'total-head': {
    liftMetres: 9,
    pressureKpa: 200,
    pipes: [{ insideMillimetres: 40, lengthMetres: 30, method: 'hazen-williams' }],
    flowLitresPerSecond: 2,
  },
  'operating-point': {
    pumps: [
      {
        points: [
          { flowLitresPerSecond: 0, headMetres: 30 },
          { flowLitresPerSecond: 2, headMetres: 24 },
          { flowLitresPerSecond: 3.5, headMetres: 10 },
        ],
      },
      {
        points: [
          { flowLitresPerSecond: 0, headMetres: 12 },
          { flowLitresPerSecond: 2, headMetres: 6 },
        ],
      },
    ],
    staticMetres: 8,
    pipes: [{ insideMillimetres: 40, lengthMetres: 30, method: 'darcy' }],
  },
  'pipe-split': {
    flowLitresPerSecond: 2,
    branches: [
      { insideMillimetres: 40, lengthMetres: 30, method: 'darcy' },
      { insideMillimetres: 30, lengthMetres: 20, method: 'darcy' },
    ],
  },
  affinity: { flow: 2, head: 20, power: 900, speedRatio: 0.5 },
  'wire-to-water': { flowLitresPerSecond: 3, headMetres: 16, inputWatts: 1310 },
  'suction-lift': { altitudeMetres: 600, celsius: 11, frictionMetres: 0.7, npshRequiredMetres: 1.8 },
  'tank-drawdown': { tankLitres: 120, prechargeKpa: 193, cutInKpa: 207, cutOutKpa: 345 },
  'tank-size': { flowLitresPerSecond: 0.6, minimumRunSeconds: 60, cutInKpa: 207, cutOutKpa: 345 },
  cycle: { drawLitresPerSecond: 0.3, pumpLitresPerSecond: 0.6, storedLitres: 40 },
  'sump-cycle': {
    diameterMetres: 0.45,
    onLevelMetres: 0.4,
    offLevelMetres: 0.15,
    inflowLitresPerSecond: 0.3,
    pumpLitresPerSecond: 2.5,
    drainBackLitres: 4,
  },
  'pit-draw': { diameterMetres: 0.45, riseMetres: 0.03, riseSeconds: 40, fallMetres: 0.15, fallSeconds: 22 },
  'drain-back': { pipes: [{ insideMillimetres: 40, lengthMetres: 9 }], freeLitres: 8 },
  'cooling-flow': { flowLitresPerSecond: 0.4, casingMillimetres: 150, motorMillimetres: 95 },
  'string-weight': {
    pipe: { material: 'galvanised', nominalInches: 1, lengthMetres: 60, full: true },
    cableKgPerMetre: 0.4,
    pumpKg: 18,
    waterLevelMetres: 25,
  },
  'bearing-size': { designation: '6203-2RS' },
  'take-down': {
    construction: 'bolted-seal-plate',
    targets: ['shaft-seal'],
    options: {
      machineCorrections: [
        {
          joint: 'cover-bolts',
          places: [
            { place: 'short', count: 5 },
            { place: 'long, with nuts', count: 3 },
          ],
        },
      ],
      found: [{ joint: 'impeller', what: 'stuck' }],
      schools: { threads: 'compound' },
      conditions: { pipeInches: 1.5, celsius: 4, bearingClearanceMm: 0.08, outletHigherMm: -38, hot: true },
    },
  },
  'bearing-tones': { balls: 8, ballMillimetres: 6.747, pitchMillimetres: 28.5, rpm: 3450 },
  'pressure-log': { file: logText('pressure (psi)', (at) => 40 + 10 * Math.sin(at / 9)), tankLitres: 100 },
  'current-trace': { file: logText('current (A)', (at) => (at % 40 < 20 ? 7 : 0)), fullLoadAmps: 7 },
  'sound-tones': { file: hummingWav(), rpm: 3450, mainsHertz: 60 },
  'bearing-life': { dynamicNewtons: 9560, loadNewtons: 620, rpm: 3450 },
  'energy-cost': { items: [{ watts: 1620, hoursPerDay: 8 }], pricePerKwh: 0.17 },
  options: {
    pump: {
      kind: 'pool',
      construction: 'band-clamp',
      nameplate: { volts: 230, motorType: 'permanent-split', horsepower: 1 },
    },
    complaints: ['leak-under-motor'],
    findings: [{ check: 'weep-hole', outcome: 'dripping' }],
    wishes: ['lid-ring'],
  },
  visit: {
    machine: {
      kind: 'pool',
      construction: 'band-clamp',
      nameplate: { volts: 230, motorType: 'permanent-split', horsepower: 1 },
    },
    call: { complaints: ['leak-under-motor'], says: 'drips under the motor' },
    do: ['weep hole dripping', { choose: 'best' }, { tick: 'all' }, { prove: 'weep dry' }, { handOver: {} }],
  },
  sheet: {
    format: 'pike-lamp-visit',
    version: 2,
    visitId: '0197a000-0000-7000-8000-000000000000',
    entries: [
      {
        id: '0197a000-0000-7000-8000-000000000010',
        v: 5,
        lamport: 1,
        visitId: '0197a000-0000-7000-8000-000000000000',
        kind: 'visit-opened',
        at: '2026-06-02T08:00:00.000Z',
        author: 'Lantern',
        body: {
          customer: { id: '0197a000-0000-7000-8000-000000000001', name: 'Millrace Lido', place: 'Weir Street 1' },
          machine: {
            id: '0197a000-0000-7000-8000-000000000002',
            customerId: '0197a000-0000-7000-8000-000000000001',
            name: 'filter pump',
            kind: 'pool',
            construction: 'band-clamp',
            nameplate: { volts: 230, motorType: 'permanent-split', horsepower: 1 },
          },
          scheduledAt: '2026-06-02T08:00:00.000Z',
          plannedMinutes: 60,
          callerSays: 'hums',
        },
      },
      {
        id: '0197a000-0000-7000-8000-000000000011',
        v: 5,
        lamport: 2,
        visitId: '0197a000-0000-7000-8000-000000000000',
        kind: 'decision',
        at: '2026-06-02T08:01:00.000Z',
        author: 'Lantern',
        body: { option: 'replace-run-capacitor' },
      },
      {
        id: '0197a000-0000-7000-8000-000000000012',
        v: 5,
        lamport: 3,
        visitId: '0197a000-0000-7000-8000-000000000000',
        kind: 'step',
        at: '2026-06-02T08:02:00.000Z',
        author: 'Lantern',
        body: { step: 'down:make-dead', done: true },
      },
    ],
  },
  turnover: { poolLitres: 83000, flowLitresPerSecond: 2.8 },
}
