import { FRAME_MOUNTS, MOTOR_MATCH } from '../knowledge/mechanical/motor-fit'
import { MOTOR_TYPES } from '../knowledge/vocabulary'
import { formatNumber } from '../quantity/format'
import type { Telling } from '../quantity/sentence'
import type { Nameplate } from './nameplate'

export type MatchVerdict = 'fits' | 'fits-with' | 'does-not' | 'not-read'

/** One point of a new motor against the old, and against what it hangs on. */
export interface MatchPoint {
  point: 'volts' | 'hertz' | 'flange' | 'shaft' | 'frame' | 'power' | 'speed' | 'amps' | 'type' | 'duty'
  label: string
  /** As they are read on the plates; absent where one says nothing. */
  old?: Telling
  new?: Telling
  verdict: MatchVerdict
  because: string
}

const ORDER: readonly MatchVerdict[] = ['does-not', 'fits-with', 'not-read', 'fits']

/** The whole of it: one point that does not fit is enough. */
export function matchVerdict(points: readonly MatchPoint[]): MatchVerdict {
  return ORDER.find((verdict) => points.some((point) => point.verdict === verdict)) ?? 'not-read'
}

/**
 * A new motor held against the old one and its supply, point by point, before anything is opened.
 *
 * @param old the plate that is on the machine
 * @param fresh the plate of the new one, as delivered
 * @param supplyVolts what stands at the terminals, V; the old plate's volts where nothing was measured
 * @source common practice; frame letters NEMA MG 1
 */
export function matchMotor(old: Nameplate, fresh: Nameplate, supplyVolts = old.volts): MatchPoint[] {
  return [
    volts(fresh, supplyVolts),
    hertz(old, fresh),
    mount('flange', old, fresh),
    mount('shaft', old, fresh),
    frame(old, fresh),
    power(old, fresh),
    speed(old, fresh),
    amps(old, fresh),
    type(old, fresh),
  ].flatMap((point) => point ?? [])
}

const near = (a: number, b: number, share: number) => Math.abs(a / b - 1) <= share
const figure = (value: number) => formatNumber(value)

function volts(fresh: Nameplate, supply: number): MatchPoint {
  const isOf = (rated: number | undefined) => rated !== undefined && near(supply, rated, MOTOR_MATCH.voltsShare)
  const both =
    fresh.otherVolts === undefined
      ? `${figure(fresh.volts)} V`
      : `${figure(fresh.volts)} / ${figure(fresh.otherVolts)} V`
  const point = { point: 'volts', label: 'Volts', old: `supply ${figure(supply)} V`, new: both } as const
  if (isOf(fresh.volts))
    return {
      ...point,
      verdict: 'fits',
      because:
        fresh.otherVolts === undefined
          ? 'Its volts are those of the supply.'
          : `Delivered on ${figure(fresh.volts)} V: look at the selector all the same.`,
    }
  if (isOf(fresh.otherVolts))
    return {
      ...point,
      verdict: 'fits-with',
      because: `Its selector set to ${figure(fresh.otherVolts as number)} V: the other setting ${
        fresh.volts < supply ? 'burns it' : 'hums and heats'
      }.`,
    }
  return {
    ...point,
    verdict: 'does-not',
    because: `${both} on ${figure(supply)} V: ${fresh.volts < supply ? 'it burns' : 'it hums and heats'}.`,
  }
}

function hertz(old: Nameplate, fresh: Nameplate): MatchPoint | undefined {
  if (old.hertz === undefined || fresh.hertz === undefined) return undefined
  const same = old.hertz === fresh.hertz
  return {
    point: 'hertz',
    label: 'Hertz',
    old: figure(old.hertz),
    new: figure(fresh.hertz),
    verdict: same ? 'fits' : 'does-not',
    because: same ? 'The same mains.' : 'Another mains: speed, heat and capacitor are all wrong.',
  }
}

const letterOf = (frame: string | undefined) => /\d+\s*([A-Z])/i.exec(frame ?? '')?.[1]?.toUpperCase()
const mountOf = ({ frame }: Nameplate) => FRAME_MOUNTS[letterOf(frame) ?? '']
const FLANGES = { 'c-face': 'C-face, round', square: 'square' } as const

function flangeOf(plate: Nameplate): string | undefined {
  const said = plate.flange?.toLowerCase()
  if (said) return /square/.test(said) ? 'square' : /c.?face|round/.test(said) ? FLANGES['c-face'] : plate.flange
  const mount = mountOf(plate)
  return mount && FLANGES[mount.flange]
}

function mount(what: 'flange' | 'shaft', old: Nameplate, fresh: Nameplate): MatchPoint | undefined {
  const of = (plate: Nameplate) => (what === 'flange' ? flangeOf(plate) : mountOf(plate)?.shaft)
  const [was, is] = [of(old), of(fresh)]
  const point = {
    point: what,
    label: what === 'flange' ? 'Flange' : 'Shaft',
    ...(was ? { old: was } : {}),
    ...(is ? { new: is } : {}),
  } as const
  if (was === undefined || is === undefined)
    return { ...point, verdict: 'not-read', because: 'Not on both plates: hold one to the other.' }
  if (was === is) return { ...point, verdict: 'fits', because: 'The same.' }
  return {
    ...point,
    verdict: 'does-not',
    because: what === 'flange' ? 'Another flange: its bolts find no holes.' : 'The impeller does not go onto it.',
  }
}

function frame(old: Nameplate, fresh: Nameplate): MatchPoint | undefined {
  if (!old.frame || !fresh.frame) return undefined
  const plain = (text: string) => text.replace(/\s/g, '').toUpperCase()
  const same = plain(old.frame) === plain(fresh.frame)
  return {
    point: 'frame',
    label: 'Frame',
    old: old.frame,
    new: fresh.frame,
    verdict: same ? 'fits' : 'fits-with',
    because: same
      ? 'The same frame.'
      : 'Shaft height, bolt circle and length held to the old one, and the room behind it.',
  }
}

const serviceOf = ({ horsepower, serviceFactor = 1 }: Nameplate) =>
  horsepower === undefined ? undefined : horsepower * serviceFactor
const serviceText = ({ horsepower = 0, serviceFactor }: Nameplate) => {
  const power = `${figure(horsepower)} hp`
  return serviceFactor === undefined
    ? power
    : `${power} × ${figure(serviceFactor)} = ${figure(Math.round(horsepower * serviceFactor * 100) / 100)}`
}

function power(old: Nameplate, fresh: Nameplate): MatchPoint {
  const [was, is] = [serviceOf(old), serviceOf(fresh)]
  const point = {
    point: 'power',
    label: 'hp × service factor',
    ...(was === undefined ? {} : { old: serviceText(old) }),
    ...(is === undefined ? {} : { new: serviceText(fresh) }),
  } as const
  if (was === undefined || is === undefined)
    return { ...point, verdict: 'not-read', because: 'The horsepower alone misleads: read both, each with its factor.' }
  const enough = is >= was * (1 - MOTOR_MATCH.horsepowerShare)
  return {
    ...point,
    verdict: enough ? 'fits' : 'fits-with',
    because: enough
      ? 'Not below the old: the impeller stays.'
      : `Below the old: only with an impeller made for ${figure(fresh.horsepower as number)} hp.`,
  }
}

const rpmOf = ({ rpm, poles, hertz = 60 }: Nameplate) =>
  rpm ?? (poles === undefined ? undefined : (120 * hertz) / poles)

function speed(old: Nameplate, fresh: Nameplate): MatchPoint | undefined {
  if (fresh.motorType === 'electronic')
    return {
      point: 'speed',
      label: 'Speed',
      new: 'variable',
      verdict: 'fits',
      because: 'Flow follows the speed, power its third power: half the speed, an eighth of the power.',
    }
  const [was, is] = [rpmOf(old), rpmOf(fresh)]
  if (was === undefined || is === undefined) return undefined
  const same = near(is, was, MOTOR_MATCH.speedShare)
  return {
    point: 'speed',
    label: 'Speed',
    old: `${figure(Math.round(was))} rpm`,
    new: `${figure(Math.round(is))} rpm`,
    verdict: same ? 'fits' : 'does-not',
    because: same ? 'The same speed.' : 'Another speed is another flow and another load for this impeller.',
  }
}

function amps(old: Nameplate, fresh: Nameplate): MatchPoint | undefined {
  const of = (plate: Nameplate) => plate.serviceFactorAmps ?? plate.fullLoadAmps
  const [was, is] = [of(old), of(fresh)]
  if (was === undefined || is === undefined) return undefined
  const more = is > was * (1 + MOTOR_MATCH.ampsMore)
  return {
    point: 'amps',
    label: 'Amps',
    old: `${figure(was)} A`,
    new: `${figure(is)} A`,
    verdict: more ? 'fits-with' : 'fits',
    because: more ? 'Breaker and wire looked at for what it draws.' : 'Breaker and wire stay.',
  }
}

function type(old: Nameplate, fresh: Nameplate): MatchPoint | undefined {
  const { motorType } = fresh
  if (!motorType) return undefined
  const words = (id: keyof typeof MOTOR_TYPES) => MOTOR_TYPES[id].split(':')[0] as string
  const drive = motorType === 'electronic' && old.motorType !== 'electronic'
  return {
    point: 'type',
    label: 'Type',
    ...(old.motorType ? { old: words(old.motorType) } : {}),
    new: words(motorType),
    verdict: drive ? 'fits-with' : 'fits',
    because: drive
      ? 'A drive: its own wiring, the relay for what may only run with flow, its setting up after it is primed.'
      : 'Its own capacitor and its own windings: their limits are those of its plate.',
  }
}
