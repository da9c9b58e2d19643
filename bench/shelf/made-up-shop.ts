import { randomGamma } from 'd3-random'
import type { Article } from '#core/fits/article'
import { familyOf } from '#core/knowledge/fits/families'
import { KIND_KNOWLEDGE } from '#core/knowledge/faults/kinds'
import { DEFAULT_RATES } from '#core/knowledge/shop/rates'
import { KIND_CONSTRUCTIONS, PARTS, type Kind, type MotorType, type Part } from '#core/knowledge/vocabulary'
import { MILLISECONDS_PER_YEAR } from '#core/quantity/conversions'
import { chance, type Chance } from '#core/quantity/random'
import type { ShelfMachine } from '#core/shelf/levels/need'

/** What stands in a valley of gardens, orchards and cellars, by share. */
const FLEET: readonly [kind: Kind, share: number][] = [
  ['pool', 0.34],
  ['well-two-wire', 0.12],
  ['well-three-wire', 0.1],
  ['sump', 0.16],
  ['jet', 0.11],
  ['spa', 0.07],
  ['booster', 0.05],
  ['circulation', 0.03],
  ['utility', 0.02],
]
const MOTORS: Readonly<Partial<Record<Kind, MotorType>>> = { jet: 'capacitor-start-run' }
/** So many makes of a part are about: what fits one machine does not fit the next. */
const MAKES: Readonly<Partial<Record<Part, number>>> = {
  'run-capacitor': 7,
  'start-capacitor': 4,
  'shaft-seal': 5,
  bearings: 3,
  'housing-o-ring': 5,
  'diffuser-o-ring': 4,
  'shaft-o-ring': 3,
  'lid-o-ring': 5,
  impeller: 6,
  diffuser: 5,
  motor: 8,
  pump: 8,
  'pump-end': 6,
  'pressure-switch': 3,
  'float-switch': 3,
  'control-box': 3,
  tank: 4,
}
const USUAL_MAKES = 2
/** What is of one kind of pump alone; small things are in all of them. */
const OF_KIND: ReadonlySet<Part> = new Set<Part>([
  'motor',
  'pump',
  'pump-end',
  'impeller',
  'diffuser',
  'stages',
  'seal-plate',
  'volute',
])
/** Of so many machines nobody has read yet what is in them. */
const UNREAD = 0.3

export interface MadeUpShop {
  machines: ShelfMachine[]
  articles: Article[]
  /** What really is in each machine, by part. */
  inIt: ReadonlyMap<string, Readonly<Partial<Record<Part, string>>>>
  /** By how much each group really fails more often here than the tables say. */
  factors: ReadonlyMap<string, number>
  vans: string[]
}

/** A shop that nobody has: its machines, the articles that fit them, and how often they really fail. */
export function madeUpShop(count: number, vans: number, today: number, seed: number): MadeUpShop {
  const random = chance(seed)
  const articles = new Map<string, Article>()
  const inIt = new Map<string, Partial<Record<Part, string>>>()
  const machines = Array.from({ length: count }, (_, index): ShelfMachine => {
    const kind = FLEET[random.weighted(FLEET.map(([, share]) => share))]?.[0] as Kind
    const made = makesOf(kind, random, articles)
    const id = `machine ${index}`
    inIt.set(id, made)
    const nameplate = { volts: 230, horsepower: 1, ...(MOTORS[kind] ? { motorType: MOTORS[kind] } : {}) }
    const isRead = !random.hit(UNREAD)
    const fitted = isRead
      ? (Object.entries(made) as [Part, string][]).map(([part, identity]) => ({ part, identity }))
      : []
    const construction = KIND_CONSTRUCTIONS[kind][0]
    return {
      id,
      pump: { kind, ...(construction ? { construction } : {}), nameplate },
      installedAt: today - random.next() * 14 * MILLISECONDS_PER_YEAR,
      fitted: [],
      knownSince: today - random.next() * 4 * MILLISECONDS_PER_YEAR,
      known: { kind, nameplate, fitted },
    }
  })
  const own = Math.exp(random.normal(0, 0.4))
  const factors = new Map(
    [...new Set(machines.flatMap(({ pump }) => groupsOf(pump.kind)))].map((group) => [
      group,
      own * randomGamma.source(random.next)(4, 0.25)(),
    ]),
  )
  return {
    machines,
    articles: [...articles.values()],
    inIt,
    factors,
    vans: Array.from({ length: vans }, (_, index) => `van-${index + 1}`),
  }
}

const groupsOf = (kind: Kind) => KIND_KNOWLEDGE[kind].faults.map(({ part, fault }) => part ?? fault)

/** Which make of each part is in a machine: one of them is in half of all. */
function makesOf(kind: Kind, random: Chance, articles: Map<string, Article>): Partial<Record<Part, string>> {
  const parts = new Set(KIND_KNOWLEDGE[kind].actions.flatMap(({ parts: of }) => of))
  return Object.fromEntries(
    [...parts].map((part) => {
      const makes = MAKES[part] ?? USUAL_MAKES
      const make = random.hit(0.5) ? 0 : Math.floor(random.next() * makes)
      const name = `${PARTS[part]} of make ${make + 1}${OF_KIND.has(part) ? `, ${kind}` : ''}`
      if (!articles.has(name)) {
        const price = (DEFAULT_RATES.partPrices[`${part}:${kind}`] ?? DEFAULT_RATES.partPrices[part] ?? 15) * 100
        const family = familyOf(part)
        articles.set(name, {
          id: name,
          name,
          part,
          ...(family ? { family } : {}),
          spec: {},
          ...(OF_KIND.has(part) ? { kinds: [kind] } : {}),
          price: Math.round(price),
          pricedOn: '2026-01-01',
        })
      }
      return [part, name]
    }),
  )
}

/** Pieces that a repair takes of a part: a motor has a bearing at each end. */
export const makesUsed = (part: Part) => (part === 'bearings' ? 2 : 1)
