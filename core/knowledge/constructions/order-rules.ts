import type { Basis } from '../../judgement/judgement'

/**
 * What a step does that other steps wait for, or wait to be done before: the words in which the order of the work is
 * told.
 */
export type OrderTag =
  | 'clears-old-seal'
  | 'fits-seal-half'
  | 'shuts-seal-in'
  | 'fits-shaft-ring'
  | 'covers-shaft-ring'
  | 'fits-diffuser-ring'
  | 'covers-diffuser-ring'
  | 'fits-housing-ring'
  | 'joins-halves'
  | 'mounts-impeller'
  | 'locks-impeller'
  | 'sets-shims'
  | 'grips-shaft'
  | 'caps-grip'
  | 'measures-part'
  | 'fits-part'
  | 'trial'
  | 'shuts-shell'
  | 'lays-leads'
  | 'guards-leads'
  | 'screens'
  | 'feeds-wires'
  | 'connects'
  | 'covers-wires'
  | 'bonds'
  | 'binds-shaft'
  | 'turns-by-hand'
  | 'turns-again'
  | 'last-cover'
  | 'mounts'
  | 'cleans-place'
  | 'sets-in-place'
  | 'plugs-main'
  | 'plugs-backup'
  | 'primes'
  | 'powers'
  | 'streams'
  | 'commissions'
  | 'water-back'
  | 'unplugs-overflow'
  | 'reads-insulation'

/** One reason for an order: whatever does the first comes before whatever does the second, where both are planned. */
export interface OrderRule {
  first: OrderTag
  then: OrderTag
  because: string
  /** Between steps of one assembly only: two motors’ covers have nothing to do with each other. */
  within?: true
}

export const ORDER_BASIS: Basis = {
  kind: 'common-practice',
  name: 'order of the work as the trade does it; where two ways are in use, the default of the trade handbook',
}

/**
 * The order of the work by its reasons. What must be open before what, and what shuts what in, the constructions say
 * themselves; here is what holds across them.
 */
export const ORDER_RULES: readonly OrderRule[] = [
  {
    first: 'clears-old-seal',
    then: 'fits-seal-half',
    within: true,
    because: 'a left sleeve or cup makes the right part seem wrong',
  },
  { first: 'fits-seal-half', then: 'shuts-seal-in', within: true, because: 'the impeller shuts both halves in' },
  { first: 'fits-shaft-ring', then: 'covers-shaft-ring', because: 'the bracket covers its groove' },
  { first: 'fits-diffuser-ring', then: 'covers-diffuser-ring', because: 'the ring rides on the diffuser' },
  { first: 'fits-housing-ring', then: 'joins-halves', because: 'the ring lies in the groove that the halves close' },
  { first: 'mounts-impeller', then: 'locks-impeller', within: true, because: 'the eye screw locks the impeller' },
  { first: 'sets-shims', then: 'mounts-impeller', because: 'the shims set where the impeller runs' },
  { first: 'grips-shaft', then: 'caps-grip', within: true, because: 'the grip for the impeller lies under the cap' },
  {
    first: 'measures-part',
    then: 'fits-part',
    within: true,
    because: 'a dead new part found before it is fitted costs nothing',
  },
  {
    first: 'trial',
    then: 'shuts-shell',
    within: true,
    because: 'a dead start found with the shell open costs nothing',
  },
  { first: 'lays-leads', then: 'guards-leads', within: true, because: 'the guard lies over the leads' },
  { first: 'guards-leads', then: 'screens', within: true, because: 'the screen comes last, over the guard' },
  { first: 'feeds-wires', then: 'connects', within: true, because: 'the elbow is on before a wire is' },
  { first: 'connects', then: 'covers-wires', within: true, because: 'every wire is tugged before its cover hides it' },
  { first: 'covers-wires', then: 'bonds', within: true, because: 'every cover is on before the last connection' },
  { first: 'connects', then: 'bonds', because: 'the bond is the last connection' },
  { first: 'bonds', then: 'powers', because: 'a fault must find ground: bonded before the breaker' },
  {
    first: 'binds-shaft',
    then: 'turns-by-hand',
    within: true,
    because: 'what binds is felt by hand, not heard under power',
  },
  { first: 'turns-by-hand', then: 'last-cover', within: true, because: 'turned by hand before the last cover' },
  { first: 'mounts', then: 'turns-again', because: 'and again once it stands in its place' },
  { first: 'turns-again', then: 'powers', because: 'turned by hand before power' },
  { first: 'cleans-place', then: 'sets-in-place', because: 'no grit goes into a new pump' },
  { first: 'covers-wires', then: 'plugs-main', because: 'no terminal lies open when the cord goes in' },
  { first: 'bonds', then: 'plugs-main', because: 'a fault must find ground: bonded before the cord is in' },
  { first: 'plugs-main', then: 'plugs-backup', because: 'the backup is unplugged first and plugged last' },
  { first: 'primes', then: 'powers', because: 'a sealed wet end never runs dry' },
  { first: 'powers', then: 'streams', because: 'the stream comes with the power; the relief is shut on it' },
  { first: 'powers', then: 'commissions', because: 'mounted, wired, bonded, primed, and only then commissioned' },
  { first: 'streams', then: 'commissions', because: 'what runs by flow is set once there is flow' },
  { first: 'water-back', then: 'unplugs-overflow', because: 'the plug parks the water until it can go back' },
  { first: 'streams', then: 'unplugs-overflow', because: 'the level comes down first, then the plug comes out' },
  { first: 'reads-insulation', then: 'powers', because: 'no power on a winding that was not read to ground' },
]
