import { availableParallelism } from 'node:os'
import type { Fault, Kind } from '#core/knowledge/vocabulary'
import { isSign, SIGN_LIMITS } from '#core/sound/bearing-signs'
import { runAll } from '../run-all'
import type { Row, Task } from './worker'

/** Machines that stand where a telephone can be held to them. */
const KINDS: readonly Kind[] = ['pool', 'booster', 'spa', 'jet', 'circulation', 'utility']
/** Beside the machine's own loudness of 1: a cellar at night up to a road beside the pad. */
const NOISES = [0.005, 0.02, 0.05, 0.1, 0.2] as const
/** Half have a damaged bearing; the others are sound, or wrong in a way that is heard and is no bearing. */
const OTHERS: readonly Fault[] = [
  'nothing-wrong',
  'cavitation',
  'suction-air-leak',
  'shaft-bent',
  'impeller-clogged',
  'bearing-loose-on-shaft',
]
/** Times the limits that are used: from where nearly everything is a sign to where hardly anything is. */
const CURVE = [0.25, 0.35, 0.5, 0.7, 1, 1.4, 2, 3] as const

export async function runBench({
  sounds,
  seed,
  workerFile,
}: {
  sounds: number
  seed: number
  workerFile: URL
}): Promise<void> {
  const started = Date.now()
  const tasks = Array.from({ length: sounds }, (_, at): Task => ({
    seed: seed + at * 10,
    kind: KINDS[at % KINDS.length] as Kind,
    fault: at % 2 === 0 ? 'bearings-worn' : (OTHERS[Math.floor(at / 2) % OTHERS.length] as Fault),
    noises: NOISES,
  }))
  const rows = await runAll<Task, Row>(tasks, workerFile)
  console.log(`${sounds} virtual machines, each recorded at ${NOISES.length} noises, seeds from ${seed}\n`)
  console.log('Bearings. Of the damaged: place right, wrong place, said to have no blows, cannot tell.')
  console.log('Of the others: said to have blows, no blows, cannot tell. Per cent.\n')
  console.log('noise    right wrong missed cannot |  false  none cannot |  hiss dB (p10 p50 p90)')
  for (const noise of NOISES) console.log(bearingLine(noise, ofNoise(rows, noise)))
  console.log('\nDetection against false alarms, by times the limits that are used (detected/false, per cent):\n')
  console.log(`noise   ${CURVE.map((times) => `${times}×`.padStart(9)).join('')}`)
  for (const noise of NOISES)
    console.log(
      `${String(noise).padEnd(8)}${CURVE.map((times) => curvePoint(ofNoise(rows, noise), times).padStart(9)).join('')}`,
    )
  console.log(`\nPlaces taken for others: ${mistaken(rows)}`)
  console.log('\nWater. Per cent heard as crackle, gulps, steady, cannot tell.\n')
  for (const fault of ['cavitation', 'suction-air-leak', 'nothing-wrong', 'shaft-bent'] as const)
    for (const noise of NOISES) console.log(waterLine(fault, noise, ofNoise(rows, noise)))
  console.log(`\n${((Date.now() - started) / 1000).toFixed(0)} s on ${availableParallelism()} cores`)
}

const ofNoise = (rows: readonly Row[], noise: number) => rows.filter((row) => row.noise === noise)
const isDamaged = ({ place }: Row) => place !== undefined

function share(rows: readonly Row[], is: (row: Row) => boolean): string {
  return String(Math.round((100 * rows.filter(is).length) / Math.max(1, rows.length))).padStart(6)
}

function bearingLine(noise: number, rows: readonly Row[]): string {
  const [damaged, others] = [rows.filter(isDamaged), rows.filter((row) => !isDamaged(row))]
  const right = ({ bearing, place }: Row) => bearing.is === 'blows' && (bearing.place === place || bearing.or === place)
  const is = (word: Row['bearing']['is']) => (row: Row) => row.bearing.is === word
  const hiss = rows.map(({ hissDecibels }) => hissDecibels).sort((a, b) => a - b)
  const at = (part: number) => hiss[Math.floor(part * (hiss.length - 1))]?.toFixed(0)
  return [
    String(noise).padEnd(8),
    share(damaged, right),
    share(damaged, (row) => row.bearing.is === 'blows' && !right(row)),
    ` ${share(damaged, is('no-blows'))}`,
    ` ${share(damaged, is('cannot-tell'))} |`,
    share(others, is('blows')),
    share(others, is('no-blows')),
    ` ${share(others, is('cannot-tell'))} |`,
    `  ${at(0.1)} ${at(0.5)} ${at(0.9)}`,
  ].join('')
}

function curvePoint(rows: readonly Row[], times: number): string {
  const { line, second, alone } = SIGN_LIMITS
  const limits = { line: line * times, second: second * times, alone: alone * times }
  const found = ({ clearest }: Row) => clearest !== undefined && isSign(clearest, limits)
  const of = (some: readonly Row[]) => share(some, found).trim()
  return `${of(rows.filter(isDamaged))}/${of(rows.filter((row) => !isDamaged(row)))}`
}

function mistaken(rows: readonly Row[]): string {
  const counts = new Map<string, number>()
  for (const { place, bearing } of rows)
    if (place && bearing.is === 'blows' && bearing.place !== place && bearing.or !== place) {
      const pair = `${place} for ${bearing.place}`
      counts.set(pair, (counts.get(pair) ?? 0) + 1)
    }
  return [...counts].map(([pair, count]) => `${pair} ${count}`).join(', ') || 'none'
}

function waterLine(fault: Fault, noise: number, rows: readonly Row[]): string {
  const own = rows.filter((row) => row.fault === fault)
  const words = ['crackle', 'gulps', 'steady', 'cannot-tell'] as const
  const shares = words.map((word) => share(own, ({ water }) => water === word))
  return `${fault.padEnd(18)}${String(noise).padEnd(8)}${shares.join('')}`
}
