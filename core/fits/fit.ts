import { matchDuty } from '../motor/match-duty'
import { matchMotor, type MatchPoint, type MatchVerdict } from '../motor/match'
import type { Nameplate } from '../motor/nameplate'
import type { Basis } from '../judgement/judgement'
import type { ChoiceField, NumberField, NumberRule, Spec, SpecField } from '../knowledge/fits/family'
import { FAMILIES, type FamilyId } from '../knowledge/fits/families'
import { DUTY_FIT } from '../knowledge/fits/water'
import { MOTOR_MATCH } from '../knowledge/mechanical/motor-fit'
import { q, say, type Telling } from '../quantity/sentence'

/** One point of what is offered against what is wanted, and the table it rests on. */
export interface FitPoint {
  point: string
  label: string
  wanted?: Telling
  offered?: Telling
  verdict: MatchVerdict
  because: string
  basis: Basis
}
export interface Fit {
  verdict: MatchVerdict
  points: FitPoint[]
}

/** What decides first: what breaks a limit, then what nobody has read, then what has to be done about it. */
const ORDER: readonly MatchVerdict[] = ['does-not', 'not-read', 'fits-with', 'fits']

/** The whole of it: nothing fits of which a point breaks a limit, or is not known. */
export function fitVerdict(points: readonly Pick<FitPoint, 'verdict'>[]): MatchVerdict {
  return ORDER.find((verdict) => points.some((point) => point.verdict === verdict)) ?? 'not-read'
}

/**
 * Does it fit? Point by point, each with the table that it rests on.
 *
 * @param wanted what is known of the part that is there or of its place, in core's units (see the family's fields)
 * @param offered what is known of the article
 */
export function fit(family: FamilyId, wanted: Spec, offered: Spec): Fit {
  const points =
    family === 'motor'
      ? motorPoints(wanted, offered)
      : [...heldPoints(family, wanted, offered), ...(family === 'pump' ? dutyPoints(wanted, offered) : [])]
  return { verdict: fitVerdict(points), points }
}

/** What has to be done for it to fit, each once. */
export function needsOf({ points }: Pick<Fit, 'points'>): string[] {
  return [...new Set(points.filter(({ verdict }) => verdict === 'fits-with').map(({ because }) => because))]
}

/** A measure as it is shown: a number with its unit, or the word of its choice. */
export function toldField(field: SpecField, value: number | string): Telling {
  if (field.as === 'number') return say`${q(Number(value), field.measure, field.significant)}`
  return field.as === 'choice' ? (field.choices.find(({ id }) => id === value)?.label ?? String(value)) : String(value)
}

function heldPoints(family: FamilyId, wanted: Spec, offered: Spec): FitPoint[] {
  const fields: Readonly<Record<string, SpecField>> = FAMILIES[family].fields
  return Object.entries(fields).flatMap(([point, field]) =>
    field.as === 'text' || !field.rule ? [] : heldPoint(point, field, field.rule.basis, wanted[point], offered[point]),
  )
}

function heldPoint(
  point: string,
  field: NumberField | ChoiceField,
  basis: Basis,
  wanted: number | string | undefined,
  offered: number | string | undefined,
): FitPoint[] {
  const head = {
    point,
    label: field.label,
    ...(wanted === undefined ? {} : { wanted: toldField(field, wanted) }),
    ...(offered === undefined ? {} : { offered: toldField(field, offered) }),
    basis,
  }
  if (wanted === undefined)
    return field.isEssential
      ? [{ ...head, verdict: 'not-read', because: 'Not read of what is there: measure it.' }]
      : []
  if (offered === undefined) return [{ ...head, verdict: 'not-read', because: 'Not read of this one: hold one to it.' }]
  return [
    {
      ...head,
      ...(field.as === 'number' ? number(field, Number(wanted), Number(offered)) : choice(field, wanted, offered)),
    },
  ]
}

/** What rounding makes of a size that was written in other units. */
const ROUNDING = 1e-9

type Held = Pick<FitPoint, 'verdict' | 'because'>

function number({ rule }: NumberField, wanted: number, offered: number): Held {
  const { under, over, inShares, smaller, larger, tooSmall, tooLarge } = rule as NumberRule
  const off = inShares ? (offered - wanted) / wanted : offered - wanted
  const [allowed, bridge, not] = off < 0 ? [under, smaller, tooSmall] : [over, larger, tooLarge]
  const by = Math.abs(off)
  if (by <= ROUNDING) return { verdict: 'fits', because: 'The same.' }
  if (by <= allowed + ROUNDING)
    return {
      verdict: 'fits',
      because: allowed < Infinity ? 'As good as the same.' : off < 0 ? 'Smaller: there is room.' : 'More than enough.',
    }
  if (bridge && by <= bridge.within + ROUNDING) return { verdict: 'fits-with', because: bridge.needs }
  return { verdict: 'does-not', because: not }
}

function choice({ choices, rule }: ChoiceField, wanted: number | string, offered: number | string): Held {
  if (wanted === offered) return { verdict: 'fits', because: 'The same.' }
  const { bridges, needs, isAtLeast, otherwise } = rule as NonNullable<ChoiceField['rule']>
  const at = (value: number | string) => choices.findIndex(({ id }) => id === value)
  if (isAtLeast && at(offered) > at(wanted)) return { verdict: 'fits', because: 'More than is asked.' }
  const done = bridges?.[wanted]?.[offered] ?? needs
  return done === undefined ? { verdict: 'does-not', because: otherwise } : { verdict: 'fits-with', because: done }
}

/** A plate as the match of motors reads it. */
function plateOf(spec: Spec): Nameplate {
  return { volts: Number.NaN, ...spec }
}

const pointOf = ({ old, new: fresh, ...point }: MatchPoint, basis: Basis): FitPoint => ({
  ...point,
  ...(old === undefined ? {} : { wanted: old }),
  ...(fresh === undefined ? {} : { offered: fresh }),
  basis,
})

function motorPoints(wanted: Spec, offered: Spec): FitPoint[] {
  if (wanted.volts === undefined || offered.volts === undefined)
    return [
      {
        point: 'volts',
        label: 'Volts',
        verdict: 'not-read',
        because: wanted.volts === undefined ? 'Not read of what is there: measure it.' : 'Not read of this one.',
        basis: MOTOR_MATCH.basis,
      },
    ]
  return matchMotor(plateOf(wanted), plateOf(offered)).map((point) => pointOf(point, MOTOR_MATCH.basis))
}

/** A pump by what it does at the flow that is asked, on the straight line between what is known of its curve. */
function dutyPoints(wanted: Spec, offered: Spec): FitPoint[] {
  const [flow, head] = [wanted.flow, wanted.head].map((value) => (value === undefined ? undefined : Number(value)))
  const reached = headAt(offered, flow)
  const point = pointOf(
    matchDuty(reached === undefined ? undefined : { flowLitresPerSecond: flow ?? 0, headMetres: reached }, head),
    DUTY_FIT.basis,
  )
  const isFar = reached !== undefined && head !== undefined && reached > head * DUTY_FIT.mostHeadShare
  return [
    isFar ? { ...point, verdict: 'fits-with', because: 'Far more than is asked: throttled, or a smaller one.' } : point,
  ]
}

/** Metres of water that a pump gives at a flow, L/s; undefined where what is known of it does not say. */
function headAt({ flow, head, shutOff, mostFlow }: Spec, wanted: number | undefined): number | undefined {
  if (wanted === undefined) return undefined
  const known = [
    [0, shutOff],
    [flow, head],
    [mostFlow, 0],
  ].filter((pair): pair is [number, number] => pair.every((value) => typeof value === 'number'))
  const right = known.findIndex(([at]) => at >= wanted)
  if (right < 0) return known.length > 1 && mostFlow !== undefined ? 0 : undefined
  const [x1, y1] = known[right] as [number, number]
  if (x1 === wanted) return y1
  const left = known[right - 1]
  return left && left[1] + ((wanted - left[0]) / (x1 - left[0])) * (y1 - left[1])
}
