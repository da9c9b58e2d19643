import type { Basis } from '../../judgement/judgement'

interface Practice {
  question: string
  ways: Readonly<Record<string, string>>
  note?: string
}

/**
 * Questions on which good practice differs. The first way of each is the default; the shop sets its own, and the sheet
 * names it where it mattered.
 */
export const PRACTICES = {
  rings: {
    question: 'A disturbed seal or O-ring',
    ways: { replace: 'replaced', reuse: 'reused where it is new and clean' },
  },
  discharge: {
    question: 'Capacitor discharge',
    ways: { resistor: 'bleed resistor, then meter' },
    note: 'A dead short across the terminals is known too. It arcs and can burst the can, so it is not offered.',
  },
  'ground-test': {
    question: 'Ground test',
    ways: { megohmmeter: 'megohmmeter', 'ohmmeter-first': 'ohmmeter first, then megohmmeter' },
  },
  isolation: {
    question: 'Isolation',
    ways: { breaker: 'the pump’s breaker locked, each line proved dead', panel: 'the whole panel off and locked' },
  },
  threads: {
    question: 'Pipe threads',
    ways: { tape: 'PTFE tape', compound: 'thread compound', both: 'tape, and compound over it' },
  },
  shell: {
    question: 'Sealant under a seal’s metal shell',
    ways: { sheet: 'as the seal’s own sheet says', film: 'a thin film always', none: 'none' },
  },
  cup: {
    question: 'A seal’s rubber cup goes in with',
    ways: { soap: 'soapy water', silicone: 'silicone lubricant, on rubber only' },
  },
  splices: { question: 'Splices', ways: { crimp: 'crimped and shrunk', solder: 'soldered and shrunk' } },
  halves: {
    question: 'One half of a well pump is worn',
    ways: { both: 'both halves replaced', one: 'the bad half replaced, the good one kept as a spare' },
  },
  'loose-bearing': {
    question: 'A bearing loose on its shaft',
    ways: { compound: 'retaining compound, within its limit', renew: 'a new shaft or motor' },
  },
  shims: { question: 'Shims', ways: { corners: 'back to their own corners', gap: 'reset to a measured gap' } },
  warranty: {
    question: 'The warranty of a new machine',
    ways: { priced: 'priced as the replacement it is expected to save', ignored: 'ignored' },
  },
  after: {
    question: 'After new bearings or a new seal',
    ways: { 'second-look': 'a second look after a day', 'on-the-day': 'accepted on the day' },
  },
} as const satisfies Record<string, Practice>

export type PracticeId = keyof typeof PRACTICES
/** What a shop has chosen; what it has not said is the default. */
export type PracticeWays = Partial<Record<PracticeId, string>>
export const PRACTICES_BASIS: Basis = { kind: 'common-practice', name: 'both ways are in use; the shop’s own stands' }

/** The way a shop goes: its own, else the first. */
export function wayOf(id: PracticeId, ways: PracticeWays = {}): string {
  const known = Object.keys(PRACTICES[id].ways)
  const chosen = ways[id]
  return chosen !== undefined && known.includes(chosen) ? chosen : (known[0] as string)
}

/** The way in words. */
export function wayText(id: PracticeId, ways?: PracticeWays): string {
  return (PRACTICES[id].ways as Readonly<Record<string, string>>)[wayOf(id, ways)] as string
}

/**
 * One practice’s say in a step: its words for each way, what it spends besides parts, and how much longer or shorter it
 * makes the step, minutes.
 */
interface Words {
  practice: PracticeId
  ways: Readonly<Record<string, { words: string; spends?: string; minutes?: number }>>
}

/** Marks in the words of joints and work, such as `{threads}`, and what each practice puts there. */
export const PRACTICE_WORDS: Readonly<Record<string, Words>> = {
  threads: {
    practice: 'threads',
    ways: {
      tape: {
        words: 'PTFE tape clockwise seen from its end, two to three wraps, clear of the bore',
        spends: 'PTFE tape',
      },
      compound: { words: 'thread compound, a thin coat, clear of the first thread', spends: 'thread compound' },
      both: {
        words: 'PTFE tape clockwise, two wraps, and thread compound thinly over it',
        spends: 'PTFE tape and thread compound',
        minutes: 1,
      },
    },
  },
  ring: {
    practice: 'rings',
    ways: {
      replace: { words: 'new', spends: '' },
      reuse: { words: 'looked over and clean (new if it is not new and clean)', minutes: 1 },
    },
  },
  shell: {
    practice: 'shell',
    ways: {
      sheet: { words: 'sealant under it only if its sheet asks' },
      film: { words: 'a thin film of sealant under it', spends: 'seal-shell sealant', minutes: 1 },
      none: { words: 'dry' },
    },
  },
  cup: {
    practice: 'cup',
    ways: {
      soap: { words: 'wetted with soapy water' },
      silicone: {
        words: 'with silicone lubricant on the rubber only, none near the face',
        spends: 'silicone lubricant',
      },
    },
  },
  splice: {
    practice: 'splices',
    ways: {
      crimp: { words: 'crimped on bare strands, heat shrink over each', spends: 'crimp sleeves and heat shrink' },
      solder: {
        words: 'soldered, no crimp over it, heat shrink over each',
        spends: 'solder and heat shrink',
        minutes: 4,
      },
    },
  },
  ground: {
    practice: 'ground-test',
    ways: {
      megohmmeter: { words: 'megohm them under water' },
      'ohmmeter-first': { words: 'ohmmeter to ground first, then megohm them under water', minutes: 1 },
    },
  },
  isolate: {
    practice: 'isolation',
    ways: {
      breaker: { words: 'Breaker off and locked, each line proved dead at the terminals' },
      panel: { words: 'Whole panel off and locked, each line proved dead at the terminals', minutes: 1 },
    },
  },
  reenergise: {
    practice: 'isolation',
    ways: { breaker: { words: 'lock off: breaker on' }, panel: { words: 'lock off: panel on', minutes: 1 } },
  },
  halves: {
    practice: 'halves',
    ways: {
      both: { words: 'the other half is as old: price both with the owner, and renew both', minutes: 2 },
      one: { words: 'label the good old half and keep it as a spare', minutes: 2 },
    },
  },
  shims: {
    practice: 'shims',
    ways: {
      corners: { words: 'Shims back to their own corners, thin and thick as they came' },
      gap: { words: 'Shims built up under each corner to the gap measured with the feeler gauge', minutes: 12 },
    },
  },
}

/** What these practices do here, a line for each that leaves a choice. */
export function practiceLines(ids: readonly PracticeId[], ways?: PracticeWays): string[] {
  return ids
    .filter((id) => Object.keys(PRACTICES[id].ways).length > 1)
    .map((id) => `${PRACTICES[id].question}: ${wayText(id, ways)}`)
}
