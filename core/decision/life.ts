import { wearHazard } from '../diagnosis/loss'
import type { Verdict } from '../judgement/judgement'
import { IN_A_MACHINE, RINGS } from '../knowledge/constructions/part-groups'
import { livesOf, SOUND_HAZARD, TIRED_HAZARD } from '../knowledge/faults/lives'
import { renewedParts } from '../knowledge/repairs/renews'
import type { Kind, Part } from '../knowledge/vocabulary'
import type { Pump } from '../motor/nameplate'
import type { OptionPart } from './bill'

/** How long money spent now serves, years: as likely longer as shorter, and the middle half. */
export interface LifeLeft {
  years: number
  from: number
  to: number
}

/** One thing whose end ends what was paid for. */
interface Ending {
  life: readonly [from: number, to: number]
  ageYears: number
  hazardTimes: number
}

/**
 * How long a repair serves: until the dearest part that it buys ends, or the machine around it, whichever comes first.
 * What reads sound or tired lives longer or shorter than its age says.
 *
 * @param verdicts what this visit’s readings say of parts
 * @param ageYears of the machine, where no part has an age of its own
 * @returns undefined where no table has a life for what it hangs on
 */
export function lifeLeft(
  parts: readonly Pick<OptionPart, 'part' | 'price'>[],
  { kind, partAges = {} }: Pick<Pump, 'kind' | 'partAges'>,
  ageYears: number,
  verdicts: Readonly<Record<string, Verdict>> = {},
): LifeLeft | undefined {
  const endings: Ending[] = []
  const bought = parts
    .filter(({ part }) => livesOf(part, kind))
    .reduce(
      (most: (typeof parts)[number] | undefined, part) => (most && most.price >= part.price ? most : part),
      undefined,
    )
  if (bought) endings.push({ life: livesOf(bought.part, kind) as Ending['life'], ageYears: 0, hazardTimes: 1 })
  const around: Part = kind === 'sump' ? 'pump' : 'motor'
  const isRenewed = renewedParts(
    parts.map(({ part }) => part),
    kind,
  ).has(around)
  if (!isRenewed && (parts.length === 0 || parts.some(({ part }) => isInside(part, kind))))
    endings.push({
      life: livesOf(around, kind) as Ending['life'],
      ageYears: partAges[around] ?? ageYears,
      hazardTimes: hazardOf([around, 'motor', 'insulation', 'bearings'], verdicts),
    })
  if (endings.length === 0) return undefined
  return { years: quantile(endings, 0.5), from: quantile(endings, 0.25), to: quantile(endings, 0.75) }
}

/** Is what was put into this part lost with the machine? */
function isInside(part: Part, kind: Kind): boolean {
  return IN_A_MACHINE.has(part) || RINGS.includes(part) || (kind === 'sump' && part === 'float-switch')
}

function hazardOf(parts: readonly string[], verdicts: Readonly<Record<string, Verdict>>): number {
  const said = parts.flatMap((part) => verdicts[part] ?? [])
  if (said.includes('failed') || said.includes('tired')) return TIRED_HAZARD
  return said.includes('sound') ? SOUND_HAZARD : 1
}

const LONGEST_YEARS = 60

/** The years by which this share has ended, whichever of the endings came: by halving. */
function quantile(endings: readonly Ending[], share: number): number {
  const ended = (years: number) =>
    1 -
    Math.exp(
      -endings.reduce(
        (sum, { life, ageYears, hazardTimes }) =>
          sum + hazardTimes * (wearHazard(life, ageYears + years) - wearHazard(life, ageYears)),
        0,
      ),
    )
  let [low, high] = [0, LONGEST_YEARS]
  for (let step = 0; step < 40; step++) {
    const middle = (low + high) / 2
    if (ended(middle) < share) low = middle
    else high = middle
  }
  return high
}
