import type { Assembly, PartWork, WorkStep } from './joint'
import { about, LUBE } from './shared'

const FACES = 'polished ceramic faces smooth carbon; faces never touched, greased or struck'
const OLD_SEAT = { id: 'old-seat', tool: 'pick, blade', minutes: about(3), tags: ['clears-old-seal'] } as const
const OLD_SPRING = { id: 'old-spring', minutes: about(2), tags: ['clears-old-seal'] } as const
const SHAFT: readonly WorkStep[] = [
  {
    id: 'old-sleeve',
    text: 'Search shaft and hub for the old inner sleeve: left on, it makes the right part seem wrong',
    tool: 'pick',
    minutes: about(2),
    tags: ['clears-old-seal'],
    asks: [
      { id: 'none', label: 'None left on' },
      { id: 'off', label: 'One was left on: off now' },
    ],
  },
  {
    id: 'look-shaft',
    text:
      'Look at the shaft under the seal and feel it: rust comes off by hand with 320 to 400 abrasive, pitting that ' +
      'is felt is a reason to stop',
    tool: 'fine abrasive by hand',
    minutes: about(4),
    caution: 'Never polish a shaft under power.',
    tags: ['clears-old-seal'],
    asks: [
      { id: 'clean', label: 'Clean', finding: { check: 'shaft-look', outcome: 'clean' } },
      { id: 'rust', label: 'Rust, off by hand', finding: { check: 'shaft-look', outcome: 'rusty' } },
      { id: 'slight', label: 'Pitted, not felt' },
      {
        id: 'felt',
        label: 'Pitted, and felt',
        finding: { check: 'shaft-look', outcome: 'pitted' },
        offers: 'swap-motor',
      },
      { id: 'grooved', label: 'Grooved', finding: { check: 'shaft-look', outcome: 'grooved' }, offers: 'swap-motor' },
    ],
  },
  { id: 'clean-bores', text: 'Both bores wiped clean and dry', minutes: about(1), tags: ['clears-old-seal'] },
]
const SEAT = {
  id: 'seat',
  tool: 'lint-free pad',
  minutes: about(4),
  orientation: FACES,
  tags: ['fits-seal-half'],
} as const
const SPRING = {
  id: 'spring',
  minutes: about(5),
  orientation: 'carbon faces the ceramic',
  tags: ['fits-seal-half'],
} as const
/** Where the shell is driven by its rim, it is bench work. */
const SHELL = { ...SPRING, tool: 'socket of the rim’s size, hollow ring', bench: true } as const
const ring = (text: string, tags: WorkStep['tags'], minutes = 2): WorkStep => ({
  id: 'groove',
  text,
  minutes: about(minutes),
  materials: ['silicone lubricant'],
  orientation: LUBE,
  tags,
})
const IN_IMPELLER: readonly Assembly[] = [
  'bolted-seal-plate',
  'bracket-booster',
  'spa-cabinet',
  'jet-end',
  'flooded-circulation',
]

/** The shaft’s seal, its halves each a step of their own, where its construction has them; and the rings about it. */
export const SEAL_WORK: readonly PartWork[] = [
  {
    part: 'shaft-seal',
    in: ['band-clamp'],
    steps: [
      { ...OLD_SPRING, text: 'Old spring half off the impeller’s hub' },
      { ...OLD_SEAT, text: 'Old seat out of the plate: ring and cup both' },
      ...SHAFT,
      {
        ...SEAT,
        text: 'Ceramic seat into the plate, polished side outward, its cup {cup}, pressed with a lint-free pad',
      },
      { ...SPRING, text: 'Spring half onto the impeller hub, fully down, carbon outward' },
    ],
  },
  {
    part: 'shaft-seal',
    in: IN_IMPELLER,
    steps: [
      { ...OLD_SEAT, text: 'Old seat out of the impeller: ring and cup both' },
      {
        ...OLD_SPRING,
        text: 'Old shell out of its plate or bracket: its flare shows the only way out',
        tool: 'socket, soft mallet, hollow ring',
        bench: true,
      },
      ...SHAFT,
      {
        ...SHELL,
        text:
          'Spring half into the plate or bracket: on its metal rim only, dead square, the plate resting on a ' +
          'hollow ring, {shell}',
      },
      { ...SEAT, text: 'Ceramic seat into the impeller, its cup {cup}, pressed with a lint-free pad' },
    ],
  },
  {
    part: 'shaft-seal',
    in: ['vertical-shimmed'],
    steps: [
      { ...OLD_SPRING, text: 'Old moving half off the shaft' },
      { ...OLD_SEAT, text: 'Old fixed half out of the body' },
      ...SHAFT,
      { ...SEAT, text: 'New fixed half into the body while it is open, square, its rubber {cup}', bench: true },
      {
        ...SPRING,
        text: 'Moving half onto the shaft of the mounted body, its rubber {cup}, carbon to the ceramic',
        mounted: ['body', 'shims', 'motor-bolts'],
      },
    ],
  },
  {
    part: 'shaft-seal',
    in: ['submersible-sealed'],
    steps: [
      { ...OLD_SEAT, text: 'Old sealing ring off its plate' },
      { ...SEAT, text: 'New ring on the sealed plate, a film of potable-rated lubricant' },
    ],
  },
  {
    part: 'shaft-o-ring',
    in: ['vertical-shimmed'],
    steps: [ring('Ring behind the impeller {ring}', ['fits-shaft-ring'])],
  },
  { part: 'shaft-o-ring', steps: [ring('Ring on the shaft {ring}, into its front groove', ['fits-shaft-ring'])] },
  {
    part: 'housing-o-ring',
    steps: [ring('Housing ring {ring} into its clean groove, all round', ['fits-housing-ring'])],
  },
  {
    part: 'diffuser-o-ring',
    steps: [ring('Diffuser’s ring {ring}, a pea of lubricant, until it shines', ['fits-diffuser-ring'])],
  },
  { part: 'lid-o-ring', steps: [ring('Lid ring {ring}, wiped', undefined, 1)] },
  {
    part: 'seal-plate',
    brings: ['shaft-seal'],
    steps: [{ id: 'fit', text: 'New plate held against the old: bore, holes, stamp', minutes: about(3) }],
  },
  {
    part: 'bracket',
    brings: ['shaft-seal'],
    steps: [{ id: 'fit', text: 'New bracket held against the old: bore, holes, point', minutes: about(3) }],
  },
]
