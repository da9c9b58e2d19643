import { DARCY, GRAVITY, HAZEN_WILLIAMS, USUAL_ROUGHNESS_MILLIMETRES } from '../knowledge/water/water'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { waterProperties } from './water'

/** One length of pipe with its fittings. */
export interface Pipe {
  insideMillimetres: number
  lengthMetres: number
  method: 'darcy' | 'hazen-williams'
  roughnessMillimetres?: number
  hazenWilliamsC?: number
  celsius?: number
  minorLossK?: number
}
export interface Friction {
  headMetres: number
  velocityMetresPerSecond: number
  reynolds?: number
  frictionFactor?: number
}

const USUAL_CELSIUS = 15
/** A root moves by less than this share of itself: done. */
const CLOSE_ENOUGH = 1e-12
const MOST_TURNS = 40

/**
 * Darcy's friction factor for turbulent flow by Colebrook's equation, solved for 1/√f with Newton's steps from
 * Haaland's start.
 *
 * @param relativeRoughness roughness over inside diameter
 * @source Colebrook 1939
 */
export function colebrook(reynolds: number, relativeRoughness: number): number {
  const a = relativeRoughness / 3.7
  const b = 2.51 / reynolds
  let x = -1.8 * Math.log10(a ** 1.11 + 6.9 / reynolds)
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const inside = a + b * x
    const step = (x + 2 * Math.log10(inside)) / (1 + (2 * b) / (Math.LN10 * inside))
    x -= step
    if (Math.abs(step) < CLOSE_ENOUGH) break
  }
  return 1 / x ** 2
}

/**
 * Laminar 64/Re, turbulent Colebrook, and between them, where neither holds, the cubic that meets both in value and
 * slope.
 *
 * @source the cubic after Dunlop 1991, as the EPANET 2.2 manual gives it, here ending in Colebrook's own value
 */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  const { laminarBelow, turbulentAbove } = DARCY
  if (reynolds <= laminarBelow) return 64 / reynolds
  if (reynolds >= turbulentAbove) return colebrook(reynolds, relativeRoughness)
  const r = reynolds / laminarBelow
  const y2 = relativeRoughness / 3.7 + 5.74 / reynolds ** 0.9
  const y3 = -0.86859 * Math.log(relativeRoughness / 3.7 + 5.74 / turbulentAbove ** 0.9)
  const fa = colebrook(turbulentAbove, relativeRoughness)
  const fb = fa * (2 - 0.00514215 / (y2 * y3))
  return (
    7 * fa - fb + r * (0.128 - 17 * fa + 2.5 * fb + r * (-0.128 + 13 * fa - 2 * fb + r * (0.032 - 3 * fa + 0.5 * fb)))
  )
}

/**
 * Head lost in a pipe and its fittings at a flow, metres of water.
 *
 * @throws InputError when the roughness is not smaller than the pipe
 * @source Darcy–Weisbach with Colebrook, or Hazen–Williams
 */
export function pipeFriction(pipe: Pipe, flowLitresPerSecond: number): Friction {
  const velocityMetresPerSecond = velocityIn(pipe, flowLitresPerSecond)
  if (flowLitresPerSecond === 0) return { headMetres: 0, velocityMetresPerSecond }
  const headMetres = frictionLaw(pipe)(flowLitresPerSecond)
  if (pipe.method === 'hazen-williams') return { headMetres, velocityMetresPerSecond }
  const reynolds = reynoldsPerVelocity(pipe) * velocityMetresPerSecond
  return {
    headMetres,
    velocityMetresPerSecond,
    reynolds,
    frictionFactor: frictionFactor(reynolds, relativeRoughness(pipe)),
  }
}

function velocityIn({ insideMillimetres }: Pipe, flowLitresPerSecond: number): number {
  return flowLitresPerSecond / 1000 / ((Math.PI / 4) * (insideMillimetres / 1000) ** 2)
}

function reynoldsPerVelocity({ insideMillimetres, celsius = USUAL_CELSIUS }: Pipe): number {
  const { densityKgPerM3, viscosityPascalSeconds } = waterProperties(celsius)
  return (densityKgPerM3 * insideMillimetres) / 1000 / viscosityPascalSeconds
}

function relativeRoughness({
  insideMillimetres,
  roughnessMillimetres = USUAL_ROUGHNESS_MILLIMETRES.value,
}: Pipe): number {
  if (roughnessMillimetres >= insideMillimetres / 2)
    throw badField(
      'roughnessMillimetres',
      roughnessMillimetres,
      say`less than half of the pipe's ${q(insideMillimetres, 'bore')}`,
    )
  return roughnessMillimetres / insideMillimetres
}

/** Head lost at a flow. What does not change with the flow is worked out once: a root asks for it a dozen times. */
export type FrictionLaw = (flowLitresPerSecond: number) => number

/** A pipe's law of friction; see `pipeFriction`. */
export function frictionLaw(pipe: Pipe): FrictionLaw {
  const { lengthMetres, method, minorLossK = 0, hazenWilliamsC = HAZEN_WILLIAMS.usualC } = pipe
  const diameter = pipe.insideMillimetres / 1000
  const perFlow = velocityIn(pipe, 1)
  const minor = (minorLossK * perFlow ** 2) / (2 * GRAVITY)
  if (method === 'hazen-williams') {
    const { constant, flowExponent, diameterExponent } = HAZEN_WILLIAMS
    const along =
      (constant * lengthMetres) / (1000 ** flowExponent * hazenWilliamsC ** flowExponent * diameter ** diameterExponent)
    return (flow) => along * flow ** flowExponent + minor * flow ** 2
  }
  const [rough, perVelocity, along] = [
    relativeRoughness(pipe),
    reynoldsPerVelocity(pipe),
    (lengthMetres * perFlow ** 2) / (diameter * 2 * GRAVITY),
  ]
  return (flow) => (flow === 0 ? 0 : (frictionFactor(perVelocity * perFlow * flow, rough) * along + minor) * flow ** 2)
}

/** The law of pipes one after another. */
export function lawInSeries(pipes: readonly Pipe[]): FrictionLaw {
  const laws = pipes.map(frictionLaw)
  return (flow) => {
    let sum = 0
    for (const law of laws) sum += law(flow)
    return sum
  }
}

/** Head lost in pipes one after another. */
export function frictionInSeries(pipes: readonly Pipe[], flowLitresPerSecond: number): number {
  return lawInSeries(pipes)(flowLitresPerSecond)
}

/**
 * How a flow splits over branches side by side: the same head is lost in each.
 *
 * @returns litres per second in each, and the head, metres
 */
export function splitFlow(
  branches: readonly Pipe[],
  totalLitresPerSecond: number,
): { flowsLitresPerSecond: number[]; headMetres: number } {
  const laws = branches.map(frictionLaw)
  const flowAt = (law: FrictionLaw, head: number) => risingRoot((flow) => law(flow) - head, 0, totalLitresPerSecond)
  const most = Math.min(...laws.map((law) => law(totalLitresPerSecond)))
  const headMetres = risingRoot(
    (head) => laws.reduce((sum, law) => sum + flowAt(law, head), 0) - totalLitresPerSecond,
    0,
    most,
  )
  return { flowsLitresPerSecond: laws.map((law) => flowAt(law, headMetres)), headMetres }
}

const MOST_STEPS = 120

/**
 * The root of a rising function between two ends; the nearer end where it has none between.
 *
 * @source Chandrupatla 1997: inverse quadratic steps where they are safe, halving where they are not
 */
export function risingRoot(rising: (x: number) => number, low: number, high: number): number {
  let [a, b] = [high, low]
  let [fa, fb] = [rising(a), rising(b)]
  if (fa <= 0) return high
  if (fb >= 0) return low
  let t = 0.5
  for (let step = 0; step < MOST_STEPS; step++) {
    const x = a + t * (b - a)
    const fx = rising(x)
    let [c, fc] = [a, fa]
    if (Math.sign(fx) !== Math.sign(fa)) {
      ;[c, fc] = [b, fb]
      ;[b, fb] = [a, fa]
    }
    ;[a, fa] = [x, fx]
    const nearest = Math.abs(fa) < Math.abs(fb) ? a : b
    const smallest = (CLOSE_ENOUGH * Math.abs(nearest) + 1e-15) / Math.abs(b - a)
    if (smallest > 0.5 || fa === 0) return nearest
    const [xi, phi] = [(a - b) / (c - b), (fa - fb) / (fc - fb)]
    t =
      phi ** 2 < xi && (1 - phi) ** 2 < 1 - xi
        ? (fa / (fb - fa)) * (fc / (fb - fc)) + ((c - a) / (b - a)) * (fa / (fc - fa)) * (fb / (fc - fb))
        : 0.5
    t = Math.min(1 - smallest, Math.max(smallest, t))
  }
  return a
}
