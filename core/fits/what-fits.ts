import { substitutes, type Substitute } from '../electrical/capacitor-stock'
import type { Spec } from '../knowledge/fits/family'
import type { FamilyId } from '../knowledge/fits/families'
import { END_KINDS, type EndKind, type PipeSize } from '../knowledge/fits/pipe-ends'
import type { MatchVerdict } from '../motor/match'
import { adapterChain, type Chain, type Piece, type PipeEnd } from './adapters'
import { fit, needsOf, type Fit } from './fit'

/** What is looked for: from measures, from a number, or from a machine. */
export interface Wanted {
  family: FamilyId
  spec: Spec
}
/** An article that might be it. */
export interface Candidate {
  id: string
  name: string
  family?: FamilyId
  spec: Spec
  /** How many of it are at hand; one where nothing is said. */
  count?: number
  price?: number
}
export interface Answered<C extends Candidate = Candidate> extends Fit {
  candidate: C
  /** What has to be done, with the adapters by their names. */
  needs: string[]
  /** The adapters, one chain for each end that is another. */
  chains: Chain[]
}
/** A capacitor out of several. */
export interface MadeOf<C extends Candidate = Candidate> {
  of: C[]
  together: 'side by side' | 'one after another'
  microfarads: number
  volts: number
  deviationPercent: number
}
export interface Answer<C extends Candidate = Candidate> {
  fits: Answered<C>[]
  fitsWith: Answered<C>[]
  notRead: Answered<C>[]
  /** The nearest of those that do not. */
  doesNot: Answered<C>[]
  made: MadeOf<C>[]
}

const MOST_OTHERS = 5
const MOST_MADE = 4
/** More of one can is never put together. */
const MOST_OF_ONE = 3
/** The ends that an article is joined by: the field of its size and that of its kind. */
const PORTS: Readonly<Partial<Record<FamilyId, readonly (readonly [size: string, end: string])[]>>> = {
  'pressure-switch': [['port', 'end']],
  tank: [['port', 'end']],
  'relief-valve': [['port', 'end']],
  gauge: [['port', 'end']],
  // Both sides of it are alike.
  valve: [
    ['port', 'end'],
    ['port', 'end'],
  ],
  pump: [
    ['inlet', 'inletEnd'],
    ['outlet', 'outletEnd'],
  ],
}

/**
 * Which of the articles fit, which fit with something done about it, which cannot be told yet, and the nearest of those
 * that do not; and what can be made of several.
 *
 * @param wanted what is there, as far as it is known
 * @param candidates articles at hand; adapters are found among them too
 */
export function whatFits<C extends Candidate>(wanted: Wanted, candidates: readonly C[]): Answer<C> {
  const answered = heldAgainstAll(wanted, candidates)
  const of = (verdict: MatchVerdict) => answered.filter((each) => each.verdict === verdict)
  return {
    fits: of('fits'),
    fitsWith: of('fits-with'),
    notRead: of('not-read'),
    doesNot: of('does-not').slice(0, MOST_OTHERS),
    made: wanted.family === 'run-capacitor' ? madeOf(wanted.spec, candidates) : [],
  }
}

/** Each article of the family against what is wanted, the nearest first. */
export function heldAgainstAll<C extends Candidate>(wanted: Wanted, candidates: readonly C[]): Answered<C>[] {
  const pieces = piecesOf(candidates)
  return candidates
    .filter(({ family }) => family === wanted.family)
    .map((candidate): Answered<C> => withAdapters(wanted, candidate, pieces))
    .sort(
      (a, b) =>
        points(a, 'does-not') - points(b, 'does-not') ||
        points(a, 'not-read') - points(b, 'not-read') ||
        a.needs.length - b.needs.length ||
        offBy(wanted.spec, a.candidate.spec) - offBy(wanted.spec, b.candidate.spec) ||
        (a.candidate.price ?? 0) - (b.candidate.price ?? 0) ||
        (a.candidate.name < b.candidate.name ? -1 : 1),
    )
}

/** How far the sizes of two are from each other, by ratio: the nearest of what does not fit is looked at first. */
function offBy(wanted: Spec, offered: Spec): number {
  return Object.entries(wanted).reduce((sum, [name, value]) => {
    const other = offered[name]
    return typeof value === 'number' && typeof other === 'number' ? sum + Math.abs(Math.log(other / value)) : sum
  }, 0)
}

const points = (fitted: Fit, verdict: MatchVerdict) => fitted.points.filter((point) => point.verdict === verdict).length

/** What somebody has in the hand, in full where all of it is known. */
function pipeEnd(size: string | number | undefined, kind: string | number | undefined): PipeEnd | undefined {
  return size === undefined || kind === undefined ? undefined : { size: size as PipeSize, kind: kind as EndKind }
}

function piecesOf(candidates: readonly Candidate[]): Piece[] {
  return candidates.flatMap(({ id, family, spec, count = 1, price }) => {
    if (family !== 'fitting' || count < 1) return []
    const [one, other] = [pipeEnd(spec.size, spec.end), pipeEnd(spec.otherSize, spec.otherEnd)]
    return one && other ? [{ id, ends: [one, other] as const, count, ...(price === undefined ? {} : { price }) }] : []
  })
}

function withAdapters<C extends Candidate>(wanted: Wanted, candidate: C, all: readonly Piece[]): Answered<C> {
  const fitted = fit(wanted.family, wanted.spec, candidate.spec)
  const ports = PORTS[wanted.family] ?? []
  const ofPorts = new Set(ports.flat())
  const needs = needsOf({ points: fitted.points.filter(({ point }) => !ofPorts.has(point)) })
  let pieces = all
  const chains: Chain[] = []
  let isShort = false
  for (const [size, end] of ports) {
    const [old, fresh] = [
      pipeEnd(wanted.spec[size], wanted.spec[end]),
      pipeEnd(candidate.spec[size], candidate.spec[end]),
    ]
    if (!old || !fresh || (old.size === fresh.size && old.kind === fresh.kind)) continue
    // What the old one was joined to is still there.
    const there = { size: old.size, kind: END_KINDS[old.kind].mates[0] as EndKind }
    const chain = adapterChain(there, fresh, pieces)
    if (!chain) isShort = true
    else if (chain.pieces.length > 0) {
      chains.push(chain)
      const used = chain.pieces.map(({ id }) => id)
      pieces = pieces.map((piece) => ({ ...piece, count: piece.count - used.filter((id) => id === piece.id).length }))
    }
  }
  return {
    ...fitted,
    candidate,
    chains,
    needs: [
      ...needs,
      ...(chains.length > 0 ? ['adapters, tape or cement at each joint, and its cure time before pressure'] : []),
      ...(isShort ? ['adapters that are not at hand'] : []),
    ],
  }
}

function madeOf<C extends Candidate>(wanted: Spec, candidates: readonly C[]): MadeOf<C>[] {
  const [microfarads, volts] = [wanted.microfarads, wanted.volts]
  if (typeof microfarads !== 'number' || typeof volts !== 'number') return []
  const stock = candidates
    .filter(({ family }) => family === 'run-capacitor')
    .flatMap((candidate) => {
      const { microfarads: has, volts: bears } = candidate.spec
      return typeof has === 'number' && typeof bears === 'number'
        ? Array.from({ length: Math.min(MOST_OF_ONE, candidate.count ?? 1) }, () => ({
            microfarads: has,
            volts: bears,
            candidate,
          }))
        : []
    })
  const { parallel, series } = substitutes({ microfarads, volts }, stock)
  const made =
    (together: MadeOf['together']) =>
    ({ of, deviationPercent, ...whole }: Substitute<(typeof stock)[number]>): MadeOf<C> => ({
      of: of.map(({ candidate }) => candidate),
      together,
      microfarads: whole.microfarads,
      volts: whole.volts,
      deviationPercent,
    })
  return [...parallel.map(made('side by side')), ...series.map(made('one after another'))].slice(0, MOST_MADE)
}
