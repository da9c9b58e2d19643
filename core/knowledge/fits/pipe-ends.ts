import type { Basis } from '../../judgement/judgement'

/** Nominal sizes of pipe, the smallest first. */
export const PIPE_SIZE_NAMES = [
  '1/8',
  '1/4',
  '3/8',
  '1/2',
  '3/4',
  '1',
  '1 1/4',
  '1 1/2',
  '2',
  '2 1/2',
  '3',
  '4',
] as const
export type PipeSize = (typeof PIPE_SIZE_NAMES)[number]
/** Outside of a pipe by its nominal size, inches: its male thread is cut on it. */
export const PIPE_OUTSIDE: Readonly<Record<PipeSize, number>> = {
  '1/8': 0.405,
  '1/4': 0.54,
  '3/8': 0.675,
  '1/2': 0.84,
  '3/4': 1.05,
  '1': 1.315,
  '1 1/4': 1.66,
  '1 1/2': 1.9,
  '2': 2.375,
  '2 1/2': 2.875,
  '3': 3.5,
  '4': 4.5,
}
export const PIPE_SIZE_BASIS: Basis = {
  kind: 'standard',
  name: 'ASME B1.20.1 taper pipe threads; outsides of pipe as in ASTM D1785 (from memory)',
}

/** What a joint of pipe ends in, and which end each goes together with at the same size. */
export const END_KINDS = {
  'male-thread': { label: 'male thread', mates: ['female-thread'] },
  'female-thread': { label: 'female thread', mates: ['male-thread'] },
  socket: { label: 'glue socket', mates: ['spigot'] },
  spigot: { label: 'plain end to glue', mates: ['socket'] },
  barb: { label: 'barb', mates: ['hose'] },
  hose: { label: 'hose or soft pipe', mates: ['barb'] },
  'union-male': { label: 'pump union, male', mates: ['union-female'] },
  'union-female': { label: 'pump union, female', mates: ['union-male'] },
} as const satisfies Record<string, { label: string; mates: readonly string[] }>
export type EndKind = keyof typeof END_KINDS
export const END_BASIS: Basis = {
  kind: 'common-practice',
  name: 'ends of pipe that go together: thread in thread, plain end in socket, hose on barb, both of one size',
}
/** At most so many adapters one behind the other: each is a place to leak. */
export const MOST_ADAPTERS = 3
