import { badField } from '../validation/input-error'
import { shares } from './likelihood'
import { informationBits } from './next-check'

/** A test of a network with one cause at a time: its states, and for each cause their probabilities in that order. */
export interface NaiveTest {
  states: readonly string[]
  given: Readonly<Record<string, readonly number[]>>
}
/**
 * An effect of several causes that may all be there: each brings it about by itself with its link, and it happens alone
 * with the leak.
 */
export interface NoisyEffect {
  leak: number
  links: Readonly<Record<string, number>>
}
export interface Weighed {
  posterior: Record<string, number>
  entropyBits: number
  gainBits: Record<string, number>
  best?: string
}

/** More causes than this have more joint states than are worth enumerating. */
const MOST_CAUSES = 16
const SUMS_TO_ONE = 1e-6

const entropy = (probabilities: ArrayLike<number>): number =>
  Array.from(probabilities).reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0)
const best = (gains: Readonly<Record<string, number>>, minutes: Readonly<Record<string, number>> | undefined) =>
  Object.entries(gains)
    .map(([test, bits]) => [test, bits / (minutes?.[test] ?? 1)] as const)
    .sort((a, b) => b[1] - a[1])[0]?.[0]

function normalised(weights: Float64Array): Float64Array {
  const sum = weights.reduce((total, weight) => total + weight, 0)
  if (!(sum > 0)) throw badField('evidence', sum, 'something that at least one cause can bring about')
  return shares(weights)
}

function candidateOf<T>(tables: Readonly<Record<string, T>>, name: string, field: string): T {
  if (!Object.hasOwn(tables, name)) throw badField(field, name, `one of ${Object.keys(tables).join(', ')}`)
  return tables[name] as T
}

/**
 * One cause of several, tests independent given the cause: posterior, entropy, and what each further test would tell,
 * in bits.
 *
 * @throws InputError when a table does not fit its causes or states, or priors or rows do not sum to one
 * @source Bayes' rule; expected information gain is the mutual information of cause and test
 */
export function weighNaive(
  priors: Readonly<Record<string, number>>,
  tables: Readonly<Record<string, NaiveTest>>,
  evidence: Readonly<Record<string, string>>,
  candidates: readonly string[],
  minutes?: Readonly<Record<string, number>>,
): Weighed {
  const causes = Object.keys(priors)
  const total = causes.reduce((sum, cause) => sum + (priors[cause] as number), 0)
  if (Math.abs(total - 1) > SUMS_TO_ONE) throw badField('priors', total, 'probabilities that sum to 1')
  for (const [name, { states, given }] of Object.entries(tables)) {
    for (const cause of causes) {
      const row = Object.hasOwn(given, cause) ? given[cause] : undefined
      if (
        row?.length !== states.length ||
        Math.abs(row.reduce((sum, p) => sum + p, 0) - 1) > SUMS_TO_ONE ||
        row.some((p) => !(p >= 0))
      )
        throw badField(`tables.${name}.given.${cause}`, row, `${states.length} probabilities that sum to 1`)
    }
  }
  const weights = Float64Array.from(causes, (cause) =>
    Object.entries(evidence).reduce((weight, [name, state]) => {
      const { states, given } = candidateOf(tables, name, 'evidence')
      const index = states.indexOf(state)
      if (index < 0) throw badField(`evidence.${name}`, state, `one of ${states.join(', ')}`)
      return weight * ((given[cause] as readonly number[])[index] as number)
    }, priors[cause] as number),
  )
  const probabilities = normalised(weights)
  const active = { indices: Int32Array.from(causes.keys()), probabilities }
  const gainBits = Object.fromEntries(
    candidates.map((name) => {
      const { states, given } = candidateOf(tables, name, 'candidates')
      return [
        name,
        informationBits(
          {
            states: states.map((id) => ({ id })),
            rows: Float64Array.from(causes.flatMap((cause) => [...(given[cause] as readonly number[])])),
          },
          active,
        ),
      ]
    }),
  )
  return {
    posterior: Object.fromEntries(causes.map((cause, index) => [cause, probabilities[index] as number])),
    entropyBits: entropy(probabilities),
    gainBits,
    best: best(gainBits, minutes),
  }
}

/**
 * Several causes that may be there together, each effect their noisy-or with a leak: exact, over every joint state.
 *
 * @param evidence `"true"` or `"false"` by effect
 * @returns posterior of each cause being there; entropy and gains about all of them jointly, in bits
 * @throws InputError when a probability is none, an effect names a cause that is not given, or there are too many
 *   causes
 * @source noisy-or after Pearl 1988: q = 1 − (1 − leak) · Π (1 − link)
 */
export function weighNoisyOr(
  priors: Readonly<Record<string, number>>,
  tables: Readonly<Record<string, NoisyEffect>>,
  evidence: Readonly<Record<string, string>>,
  candidates: readonly string[],
  minutes?: Readonly<Record<string, number>>,
): Weighed {
  const causes = Object.keys(priors)
  if (causes.length > MOST_CAUSES) throw badField('priors', causes.length, `at most ${MOST_CAUSES} causes`)
  const probability = (value: unknown, field: string) => {
    if (!(typeof value === 'number' && value >= 0 && value <= 1))
      throw badField(field, value, 'a probability from 0 to 1')
  }
  for (const cause of causes) probability(priors[cause], `priors.${cause}`)
  for (const [name, { leak, links }] of Object.entries(tables)) {
    probability(leak, `tables.${name}.leak`)
    for (const [cause, link] of Object.entries(links)) {
      if (!causes.includes(cause)) throw badField(`tables.${name}.links.${cause}`, cause, `one of ${causes.join(', ')}`)
      probability(link, `tables.${name}.links.${cause}`)
    }
  }
  const states = 2 ** causes.length
  const there = (state: number, cause: number) => ((state >> cause) & 1) === 1
  const happens = ({ leak, links }: NoisyEffect, state: number) =>
    1 -
    causes.reduce((quiet, cause, index) => (there(state, index) ? quiet * (1 - (links[cause] ?? 0)) : quiet), 1 - leak)
  const weights = Float64Array.from({ length: states }, (_, state) => {
    const prior = causes.reduce(
      (product, cause, index) =>
        product * (there(state, index) ? (priors[cause] as number) : 1 - (priors[cause] as number)),
      1,
    )
    return Object.entries(evidence).reduce((weight, [name, said]) => {
      if (said !== 'true' && said !== 'false') throw badField(`evidence.${name}`, said, '"true" or "false"')
      const chance = happens(candidateOf(tables, name, 'evidence'), state)
      return weight * (said === 'true' ? chance : 1 - chance)
    }, prior)
  })
  const probabilities = normalised(weights)
  const active = { indices: Int32Array.from({ length: states }, (_, state) => state), probabilities }
  const gainBits = Object.fromEntries(
    candidates.map((name) => {
      const effect = candidateOf(tables, name, 'candidates')
      const rows = Float64Array.from({ length: 2 * states }, (_, index) =>
        index % 2 === 1 ? happens(effect, index >> 1) : 1 - happens(effect, index >> 1),
      )
      return [name, informationBits({ states: [{ id: 'false' }, { id: 'true' }], rows }, active)]
    }),
  )
  return {
    posterior: Object.fromEntries(
      causes.map((cause, index) => [
        cause,
        probabilities.reduce((sum, p, state) => (there(state, index) ? sum + p : sum), 0),
      ]),
    ),
    entropyBits: entropy(probabilities),
    gainBits,
    best: best(gainBits, minutes),
  }
}
