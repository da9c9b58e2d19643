import type { Chance } from '../quantity/random'
import { electricState } from './electrics'
import type { VirtualMachine } from './machine'

/** How a house is logged. */
export interface PressureLogged {
  hours: number
  /** From one value to the next, and how far a value is from the truth. */
  stepSeconds: number
  noisePsi: number
  /** Taps opened in an hour of the day; none between ten at night and six. */
  drawsPerHour: number
  /** The hour at which it begins. */
  fromHour?: number
}
/** A value and when it was written, seconds from the beginning. */
export interface Logged {
  seconds: number
  value: number
}

const ATMOSPHERE_PSI = 14.7
const USUAL_TANK_LITRES = 100
/** What a pump of a house gives at its usual point, litres a second. */
const NOMINAL = 0.55
const LITRES_PER_SECOND_PER_GPM = 0.0631
/** What runs back through a check valve that does not hold, litres a second. */
const FALLS_BACK = 0.25
/** A tank full of water has a quarter of its room left for air. */
const WATERLOGGED = 0.25
/** Without water in the tank the pipes empty at once, psi a litre. */
const PIPES_PSI_PER_LITRE = 40
const DRAW = { least: 0.05, most: 0.22, leastSeconds: 20, mostSeconds: 300 } as const
const DAY = { from: 6, until: 22 } as const

/**
 * The pressure of a virtual house over some hours: tank by Boyle's law, pump by its curve, switch, taps and what leaks.
 *
 * @returns psi
 */
export function virtualPressureLog(
  machine: VirtualMachine,
  { hours, stepSeconds, noisePsi, drawsPerHour, fromHour = 0 }: PressureLogged,
  chance: Chance,
): Logged[] {
  const { house, leaks, discharge, suction, installation } = machine
  const state = electricState(machine, true)
  const volume = (installation.tankLitres ?? USUAL_TANK_LITRES) * (house.waterInTank ? WATERLOGGED : 1)
  const air = volume * (house.prechargePsi + ATMOSPHERE_PSI)
  const reach = state.water.reachablePsi
  const given = (psi: number) =>
    state.turning
      ? NOMINAL * state.water.flow * Math.sqrt(Math.max(0, (reach - psi) / Math.max(1, reach - house.cutInPsi)))
      : 0
  const lost = leaks.houseGallonsPerMinute * LITRES_PER_SECOND_PER_GPM
  const back = discharge.checkLeaks || suction.footLeaks ? FALLS_BACK : 0
  let water = volume - air / ((house.cutInPsi + house.cutOutPsi) / 2 + ATMOSPHERE_PSI)
  let psi = (house.cutInPsi + house.cutOutPsi) / 2
  let runs = false
  let draw = { flow: 0, until: 0 }
  const log: Logged[] = []
  for (let at = 0; at < hours * 3_600; at++) {
    const hour = (fromHour + at / 3_600) % 24
    if (at >= draw.until) {
      const opens = hour >= DAY.from && hour < DAY.until && chance.hit(drawsPerHour / 3_600)
      draw = opens
        ? {
            flow: chance.between(DRAW.least, DRAW.most),
            until: at + chance.between(DRAW.leastSeconds, DRAW.mostSeconds),
          }
        : { flow: 0, until: at }
    }
    if (psi <= house.cutInPsi) runs = true
    if (psi >= house.cutOutPsi && house.contacts !== 'welded') runs = false
    const change = (runs ? given(psi) : -back) - lost - draw.flow
    water = Math.max(0, water + change)
    psi =
      water > 0
        ? air / (volume - water) - ATMOSPHERE_PSI
        : Math.max(0, Math.min(psi, house.prechargePsi) + change * PIPES_PSI_PER_LITRE)
    if (at % stepSeconds === 0) log.push({ seconds: at, value: Math.max(0, chance.normal(psi, noisePsi)) })
  }
  return log
}

/** How a motor's current is logged. */
export interface CurrentLogged {
  stepSeconds: number
  noiseAmps: number
  /** Runs, one after the other: for how long, and how long it rests after. */
  runs: readonly { seconds: number; rest: number }[]
  /** How long the start winding is in, and how often a minute it comes back while it runs. */
  startSeconds?: number
  comesBackPerMinute?: number
}

/** When it comes back: for so long, at so much of the current of standing still. */
const COMES_BACK = { seconds: 0.7, share: 0.6 } as const
const USUAL_START_SECONDS = 0.4

/**
 * The current of a virtual motor over some runs.
 *
 * @returns amperes; a motor that does not turn draws what it draws standing, all the run
 */
export function virtualCurrentLog(
  machine: VirtualMachine,
  { stepSeconds, noiseAmps, runs, startSeconds = USUAL_START_SECONDS, comesBackPerMinute = 0 }: CurrentLogged,
  chance: Chance,
): Logged[] {
  const { turning, amps, lockedAmps } = electricState(machine, true)
  const log: Logged[] = []
  let at = 0
  const write = (seconds: number, ampsAt: (since: number) => number) => {
    for (let since = 0; since < seconds; since += stepSeconds) {
      log.push({ seconds: at, value: Math.max(0, chance.normal(ampsAt(since), noiseAmps)) })
      at = Number((at + stepSeconds).toFixed(6))
    }
  }
  write(5, () => 0)
  for (const { seconds, rest } of runs) {
    let backUntil = 0
    write(seconds, (since) => {
      if (!turning || since < startSeconds) return lockedAmps
      if (since > 2 * startSeconds && chance.hit((comesBackPerMinute * stepSeconds) / 60))
        backUntil = since + COMES_BACK.seconds
      return since < backUntil ? amps + COMES_BACK.share * (lockedAmps - amps) : amps
    })
    write(rest, () => 0)
  }
  return log
}
