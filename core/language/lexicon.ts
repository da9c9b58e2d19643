import { CHECK_SAID } from '../knowledge/said/said'
import {
  AGES_SAID,
  EACH_LEG_SAID,
  GROUND_SAID,
  LEADS_SAID,
  PLATE_FIELDS,
  SETUPS_SAID,
} from '../knowledge/said/electrics-said'
import { COMPLAINTS_SAID } from '../knowledge/said/complaints-said'
import { GATES_SAID } from '../knowledge/said/gates-said'
import { HALVES_SAID, PARTS_SAID, PLACES_SAID, SIDES_SAID } from '../knowledge/said/parts-said'
import { CALENDAR, ROLES_SAID, SILENT } from '../knowledge/said/roles-said'
import { STANDINGS_SAID } from '../knowledge/said/standing-said'
import { PLATE_UNITS_SAID, UNITS_SAID, VOLUMES_SAID } from '../knowledge/said/units-said'
import { checkInfo, outcomeLabel } from '../knowledge/checks/checks'
import { deletionIndex, type SlipIndex } from './slips'
import { NUMBER_WORDS } from './spoken-number'
import type { Needs, Sense } from './sense'

/** Every phrase that means something, with all that it can mean, and every word that occurs in one. */
export interface Lexicon {
  phrases: ReadonlyMap<string, readonly Sense[]>
  /** What owners complain of, by phrase. They are looked for by themselves, for they hold the words of findings. */
  complaints: ReadonlyMap<string, readonly string[]>
  words: ReadonlySet<string>
  /** Words of the longest phrase. */
  longest: number
  slips: SlipIndex
}

const MARKS: Readonly<Record<string, Needs>> = { '!': 'nothing', '+': 'name' }

const HANGING: ReadonlySet<string> = new Set(['in', 'on', 'of', 'at', 'with', 'from'])

/** A phrase of the tables as it is looked up: plain words without those that carry nothing. */
function plainPhrase(phrase: string): string {
  const words = phrase
    .toLowerCase()
    .replace(/[-/]/g, ' ')
    .replace(/[,.:()]/g, '')
    .replaceAll('cannot', 'not')
    .split(/\s+/)
    .filter(Boolean)
  const telling = words.filter((word) => !SILENT.has(word))
  // "air in it" is air: without its pronoun the preposition says nothing.
  while (telling.length > 1 && SILENT.has(words.at(-1) as string) && HANGING.has(telling.at(-1) as string))
    telling.pop()
  return (telling.length > 0 ? telling : words).join(' ').replace(/\b(?:will|does|did|is|are|has|can) not\b/g, 'not')
}

/** Do the words say of the outcome's own label how much it says by itself? */
const marked = (label: string, words: readonly string[]) =>
  words.some((word) => /^[!+]/.test(word) && word.slice(1) === label)

function built(): Lexicon {
  const phrases = new Map<string, Sense[]>()
  const add = (phrase: string, sense: Sense) => {
    const plain = plainPhrase(phrase)
    const senses = phrases.get(plain)
    if (!senses) phrases.set(plain, [sense])
    else if (!senses.some((known) => JSON.stringify(known) === JSON.stringify(sense))) senses.push(sense)
  }
  const addAll = (said: Readonly<Record<string, readonly string[]>>, senseOf: (id: string) => Sense) => {
    for (const [id, words] of Object.entries(said)) for (const word of words) add(word, senseOf(id))
  }
  for (const [check, said] of Object.entries(CHECK_SAID)) {
    const info = checkInfo(check)
    // What the program itself calls it is understood when it is typed back.
    if (info && !info.historyOnly) add(info.label, { is: 'check', check, thing: false })
    for (const name of said.names) add(name, { is: 'check', check, thing: false })
    for (const name of said.things ?? []) add(name, { is: 'check', check, thing: true })
    for (const word of said.vague ?? []) add(word, { is: 'vague', check })
    for (const [outcome, words] of Object.entries(said.outcomes ?? {}))
      for (const word of marked(outcomeLabel(outcome), words) ? words : [outcomeLabel(outcome), ...words]) {
        const needs = MARKS[word[0] as string]
        add(needs ? word.slice(1) : word, { is: 'outcome', check, outcome, needs: needs ?? 'topic' })
      }
  }
  addAll(PARTS_SAID, (part) => ({ is: 'part', part }))
  addAll(PLACES_SAID, (at) => ({ is: 'place', at }))
  addAll(HALVES_SAID, (half) => ({ is: 'half', half }) as Sense)
  addAll(SIDES_SAID, (side) => ({ is: 'side', side }) as Sense)
  addAll(SETUPS_SAID, (setup) => ({ is: 'setup', setup }) as Sense)
  addAll(AGES_SAID, (age) => ({ is: 'age', age }) as Sense)
  addAll({ legs: EACH_LEG_SAID }, () => ({ is: 'legs' }))
  addAll(PLATE_FIELDS, (field) => ({ is: 'plate', field }) as Sense)
  addAll(STANDINGS_SAID, (at) => ({ is: 'standing', at }) as Sense)
  addAll(ROLES_SAID, (role) => ({ is: 'role', role }) as Sense)
  for (const [gate, { shut, open }] of Object.entries(GATES_SAID)) {
    for (const word of shut) add(word, { is: 'gate', gate, shut: true } as Sense)
    for (const word of open ?? []) add(word, { is: 'gate', gate, shut: false } as Sense)
  }
  const complaints = new Map<string, string[]>()
  for (const [id, said] of Object.entries(COMPLAINTS_SAID))
    for (const word of said) complaints.set(plainPhrase(word), [...(complaints.get(plainPhrase(word)) ?? []), id])
  const words = new Set<string>([
    ...SILENT,
    ...NUMBER_WORDS,
    ...CALENDAR,
    ...GROUND_SAID,
    ...Object.keys(VOLUMES_SAID),
    ...Object.keys(PLATE_UNITS_SAID),
    ...UNITS_SAID.flatMap(([said]) => said.split(' ')),
    ...Object.keys(LEADS_SAID),
  ])
  let longest = 1
  for (const phrase of [...phrases.keys(), ...complaints.keys()]) {
    const parts = phrase.split(' ')
    longest = Math.max(longest, parts.length)
    for (const part of parts) words.add(part)
  }
  return {
    phrases,
    complaints,
    words,
    longest,
    slips: deletionIndex([...words].filter((word) => /^\p{L}{4,}$/u.test(word))),
  }
}

let kept: Lexicon | undefined

/** The lexicon, built from the knowledge once. */
export function lexicon(): Lexicon {
  return (kept ??= built())
}
