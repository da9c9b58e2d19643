import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { risingRoot, lawInSeries, type Pipe } from './pipe'

/** The curve is followed past its last point up to about sixty times its flow. */
const MOST_GROWTH = 18

export interface CurvePoint {
  flowLitresPerSecond: number
  headMetres: number
}
export interface CurvedPump {
  points: readonly CurvePoint[]
  speedRatio?: number
  diameterRatio?: number
  stages?: number
  parallel?: number
}

/** A pump's head at a flow and its flow at a head, metres and litres per second. */
export interface Curve {
  shutoffMetres: number
  runoutLitresPerSecond: number
  headAt: (flow: number) => number
  flowAt: (head: number) => number
}

/**
 * A falling curve through a pump's points: H = A − B·Q^C through three of them, a monotone cubic (Fritsch and Carlson)
 * through more, a straight line through two.
 *
 * @throws InputError with fewer than two points, or where head does not fall as flow grows
 */
export function pumpCurve({ points, speedRatio = 1, diameterRatio = 1, stages = 1, parallel = 1 }: CurvedPump): Curve {
  const sorted = [...points].sort((a, b) => a.flowLitresPerSecond - b.flowLitresPerSecond)
  if (sorted.length < 2) throw badField('points', points.length, 'at least two points of the curve, better three')
  sorted.slice(1).forEach((point, index) => {
    const before = sorted[index] as CurvePoint
    if (point.flowLitresPerSecond === before.flowLitresPerSecond || point.headMetres >= before.headMetres)
      throw badField(
        'points',
        point.headMetres,
        say`head falling as flow grows: ${q(before.headMetres, 'head')} at ${q(before.flowLitresPerSecond, 'flow')} is
          followed by ${q(point.headMetres, 'head')} at ${q(point.flowLitresPerSecond, 'flow')}`,
      )
  })
  const one =
    sorted.length === 3 && (sorted[0] as CurvePoint).flowLitresPerSecond === 0
      ? powerCurve(sorted as [CurvePoint, CurvePoint, CurvePoint])
      : monotoneCubic(sorted)
  // Affinity: flow goes with speed and with the wheel's diameter, head with the square of both; stages add head, pumps
  // side by side add flow.
  const flowScale = speedRatio * diameterRatio * parallel
  const headScale = (speedRatio * diameterRatio) ** 2 * stages
  const headAt = (flow: number) => headScale * one(flow / flowScale)
  const shutoffMetres = headAt(0)
  const last = (sorted.at(-1) as CurvePoint).flowLitresPerSecond * flowScale
  let runout = last
  // So many steps and no more: a flow too small to grow must not hold the program.
  for (let step = 0; step < MOST_GROWTH && headAt(runout) > 0; step++) runout *= 1.25
  const runoutLitresPerSecond = risingRoot((flow) => -headAt(flow), 0, runout)
  return {
    shutoffMetres,
    runoutLitresPerSecond,
    headAt,
    flowAt: (head) => (head >= shutoffMetres ? 0 : risingRoot((flow) => head - headAt(flow), 0, runoutLitresPerSecond)),
  }
}

function powerCurve([shut, design, far]: [CurvePoint, CurvePoint, CurvePoint]): (flow: number) => number {
  const drops = [shut.headMetres - design.headMetres, shut.headMetres - far.headMetres] as const
  const exponent = Math.log(drops[1] / drops[0]) / Math.log(far.flowLitresPerSecond / design.flowLitresPerSecond)
  const factor = drops[0] / design.flowLitresPerSecond ** exponent
  return (flow) => shut.headMetres - factor * Math.max(flow, 0) ** exponent
}

/** Straight on past both ends with the end's own slope. */
function monotoneCubic(points: readonly CurvePoint[]): (flow: number) => number {
  const [x, y] = [
    points.map(({ flowLitresPerSecond }) => flowLitresPerSecond),
    points.map(({ headMetres }) => headMetres),
  ]
  const n = x.length
  const secant = Array.from(
    { length: n - 1 },
    (_, k) => ((y[k + 1] as number) - (y[k] as number)) / ((x[k + 1] as number) - (x[k] as number)),
  )
  const slope = Array.from({ length: n }, (_, k) =>
    k === 0
      ? (secant[0] as number)
      : k === n - 1
        ? (secant[n - 2] as number)
        : ((secant[k - 1] as number) + (secant[k] as number)) / 2,
  )
  secant.forEach((s, k) => {
    const [a, b] = [(slope[k] as number) / s, (slope[k + 1] as number) / s]
    const length = Math.hypot(a, b)
    if (length <= 3) return
    slope[k] = (3 / length) * a * s
    slope[k + 1] = (3 / length) * b * s
  })
  return (flow) => {
    if (flow <= (x[0] as number)) return (y[0] as number) + (slope[0] as number) * (flow - (x[0] as number))
    if (flow >= (x[n - 1] as number))
      return (y[n - 1] as number) + (slope[n - 1] as number) * (flow - (x[n - 1] as number))
    const k = x.findIndex((right, index) => index > 0 && flow <= right) - 1
    const width = (x[k + 1] as number) - (x[k] as number)
    const t = (flow - (x[k] as number)) / width
    return (
      (2 * t ** 3 - 3 * t ** 2 + 1) * (y[k] as number) +
      (t ** 3 - 2 * t ** 2 + t) * width * (slope[k] as number) +
      (-2 * t ** 3 + 3 * t ** 2) * (y[k + 1] as number) +
      (t ** 3 - t ** 2) * width * (slope[k + 1] as number)
    )
  }
}

/** Several pumps as one: side by side at one head, each behind its own check valve; one after another at one flow. */
export function combine(curves: readonly Curve[], arrangement: 'series' | 'parallel'): Curve {
  if (curves.length === 1) return curves[0] as Curve
  if (arrangement === 'series') {
    const runoutLitresPerSecond = Math.max(...curves.map((curve) => curve.runoutLitresPerSecond))
    // A pump past its own run-out only gets in the way: its head counts as it falls below zero.
    const headAt = (flow: number) => curves.reduce((sum, curve) => sum + curve.headAt(flow), 0)
    return {
      shutoffMetres: headAt(0),
      runoutLitresPerSecond,
      headAt,
      flowAt: (head) => risingRoot((flow) => head - headAt(flow), 0, runoutLitresPerSecond),
    }
  }
  const flowAt = (head: number) => curves.reduce((sum, curve) => sum + curve.flowAt(head), 0)
  const shutoffMetres = Math.max(...curves.map((curve) => curve.shutoffMetres))
  return {
    shutoffMetres,
    runoutLitresPerSecond: flowAt(0),
    flowAt,
    headAt: (flow) => risingRoot((head) => flow - flowAt(head), 0, shutoffMetres),
  }
}

export interface OperatingPoint {
  flowLitresPerSecond: number
  headMetres: number
}

/**
 * Where a pump's curve and its pipes meet.
 *
 * @throws InputError when the pump cannot lift to the static height at all
 */
export function operatingPoint(curve: Curve, staticMetres: number, pipes: readonly Pipe[]): OperatingPoint {
  if (curve.shutoffMetres <= staticMetres)
    throw badField(
      'staticMetres',
      staticMetres,
      say`less than the pump's ${q(curve.shutoffMetres, 'head')} at no flow: the curves never meet`,
    )
  const law = lawInSeries(pipes)
  const flowLitresPerSecond = risingRoot(
    (flow) => staticMetres + law(flow) - curve.headAt(flow),
    0,
    curve.runoutLitresPerSecond,
  )
  return { flowLitresPerSecond, headMetres: staticMetres + law(flowLitresPerSecond) }
}
