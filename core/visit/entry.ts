import type { AccountChange, AccountLine } from '../decision/account'
import type { Finding } from '../diagnosis/finding'
import type { Article } from '../fits/article'
import type { AnyPlace, ShelfPlace } from '../fits/shelf-place'
import type { MoveWhy } from '../knowledge/shelf/moves'
import type { Duty } from '../motor/match-duty'
import type { Installation, Nameplate } from '../motor/nameplate'
import type { Harm, Idea } from '../knowledge/practice/harms'
import type { LampHelp } from '../knowledge/practice/lamp-help'
import type { ClaimMove } from '../knowledge/repairs/returns'
import type { EnteredRates } from '../knowledge/shop/rates'
import type { Construction, Gate, Kind, Part, Stage, Standing } from '../knowledge/vocabulary'
import type { UnitSystem } from '../quantity/measures'
import type { NumberStyle } from '../quantity/number-style'
import type { SeasonDays } from '../knowledge/shop/seasons'
import type { PracticeWays } from '../knowledge/shop/practices'
import type { ShopVan } from '../knowledge/shop/van'
import type { JointPlace } from '../knowledge/constructions/joint'
import type { JointCorrection } from '../takedown/as-here'
import type { JobConditions } from '../takedown/conditions'
import type { TakeDownFound } from '../takedown/plan'
import type { BearingVerdict, Doubt, Levels, WaterVerdict } from '../sound/verdicts'
import type { OrderMoved, OrderPlaced, Supplier, SupplierOffer } from './buying'

export interface Customer {
  id: string
  name: string
  place: string
  phone?: string
  mail?: string
}

/** Where a customer's machines stand, and what whoever goes there must know. */
export interface Site {
  /** The customer's own id for the customer's own address, which it is then without one of its own. */
  id: string
  customerId: string
  address?: string
  /** How one gets in. */
  gate?: string
  key?: string
  dog?: string
  breaker?: string
  shutOff?: string
  pit?: string
  /** What was written down when the well was drilled: depth, water, casing. */
  wellLog?: string
  note?: string
}

export interface Machine {
  id: string
  customerId: string
  /** Where it stands; absent at the customer's own address. */
  siteId?: string
  name: string
  kind: Kind
  construction: Construction
  /** ISO date. */
  installedOn?: string
  /** ISO date, the last day of warranty. */
  warrantyUntil?: string
  nameplate: Nameplate
  /** The plate could not be read: what is on it was taken from duty and looks. */
  plateUnreadable?: boolean
  installation?: Installation
  /** What this machine has otherwise than its construction, counted once and remembered. */
  joints?: JointCorrection[]
  /** What was fitted to it since it was new, the replaced ones with the day they left. */
  fitted?: FittedPart[]
}

/** A new part: what identifies it, and its own plate. */
export interface NewPart {
  part: Part
  identity?: string
  nameplate?: Nameplate
  /** Of a pump: the point it is sold for. */
  duty?: Duty
  warrantyUntil?: string
}

/** A part as it was fitted: what identifies it, its own plate, and from when to when. */
export interface FittedPart {
  part: Part
  /** What identifies it: a bearing's number, a seal's sizes, a frame, a rating. */
  identity?: string
  nameplate?: Nameplate
  duty?: Duty
  /** ISO dates. */
  since?: string
  until?: string
  warrantyUntil?: string
}

export const JOB_STATES = ['offered', 'agreed', 'done', 'left'] as const
export type JobState = (typeof JOB_STATES)[number]
/** Where a job comes from: the lamp’s options, a wish, what lies open, damage met, or the shop itself. */
export const JOB_SOURCES = ['lamp', 'wish', 'open', 'damage', 'shop'] as const
export type JobSource = (typeof JOB_SOURCES)[number]

export const PROOF_OUTCOMES = ['holds', 'fails', 'left'] as const
export type ProofOutcome = (typeof PROOF_OUTCOMES)[number]

export const DUE_KINDS = ['second-look', 'reading', 'visit', 'claim'] as const
/** Something to come back for: a second look, a reading to be made again, a visit, a claim that is out. */
export interface Due {
  kind: (typeof DUE_KINDS)[number]
  /** ISO date. */
  on: string
  what: string
}

/** One line of what is paid, in the shop's currency, whole cents. */
export interface PriceLine {
  label: string
  amount: number
  /** What it is for; absent in lines of before it was kept. */
  kind?: AccountLine['kind']
}

export const PAPERS = ['sheet', 'record', 'offer', 'claim'] as const
/** What is written of a visit: the owner's sheet, the workshop's record, the offer, the claim. */
export type PaperName = (typeof PAPERS)[number]
export const MAILED_PAPERS = ['sheet', 'offer', 'claim'] as const satisfies readonly PaperName[]
export type MailedPaper = (typeof MAILED_PAPERS)[number]

/** A drawn signature: strokes of x and y one after the other, whole points of a field so wide and high. */
export interface Strokes {
  width: number
  height: number
  strokes: number[][]
}

/** The shop's working day, minutes from midnight. */
export interface WorkingDay {
  start: number
  end: number
  breakFrom: number
  breakMinutes: number
}

/** What is kept of what a recording tells: what it says, and what others of its kind are compared by. */
export interface HeardInRecording extends Levels {
  bearing: BearingVerdict
  water: WaterVerdict
  doubts: Doubt[]
  shaftHertz?: number
  strongestHertz: number
}

/** What one try at a practice pump says of one idea: how much of it was right. */
export interface Mark {
  idea: Idea
  right: number
  of: number
}

export const TRY_ENDS = ['handed-over', 'given-up'] as const

export interface PracticeTried {
  /** Which case it was, as it stands in its link. */
  code: string
  ended: (typeof TRY_ENDS)[number]
  found: boolean
  /** Minutes by the clock of practice. */
  minutes: number
  /** Whole cents. */
  price: number
  /** The most of the lamp that was seen. */
  lamp: LampHelp
  harms: Harm[]
  marks: Mark[]
}

export interface CourseSet {
  course: string
  title: string
  /** Codes, as they stand in links. */
  cases: string[]
  /** Names; none where it is for everybody. */
  for: string[]
  /** ISO date by which they are to be worked through. */
  by?: string
  note?: string
  ended?: boolean
}

export const REGISTERED = ['customer', 'machine'] as const
/** What can stand twice in the shop's register. */
export type Registered = (typeof REGISTERED)[number]

export interface StockMoved {
  article: string
  /** Pieces, or metres of what is cut off a drum. */
  count: number
  from: AnyPlace
  to: AnyPlace
  why: MoveWhy
  /** ISO date until which it may lie. */
  until?: string
  /** The visit that it was used at, and for which of its parts: one of a visit is used once, however often said. */
  visit?: string
  use?: string
  /** The order that it came with or goes back of, its line there, and the delivery: each is received once. */
  order?: string
  line?: number
  delivery?: string
  note?: string
}
/**
 * What was counted at a place: from then on so many are there. What the entries before it come to is not changed by it:
 * the difference stands beside it, with its reason once somebody gives one.
 */
export interface StockCounted {
  article: string
  place: ShelfPlace
  counted: number
  why?: string
}

/** Everything that can be written in a visit's journal, by kind. */
export interface EntryBodies {
  'visit-opened': {
    customer: Customer
    machine: Machine
    scheduledAt: string
    plannedMinutes: number
    callerSays: string
  }
  call: { complaints: string[]; alreadyReplaced: string[]; callerSays: string; since?: string; withoutWater?: boolean }
  'machine-set': { machine: Machine }
  /**
   * On which day it is to be done, as an instant of that day; without one it waits for a day. Work that was begun goes
   * on there, and stays in the day on which it was.
   */
  planned: { at?: string; goesOn?: boolean; why?: string }
  /**
   * What was promised to the caller and what it needs: between which hours somebody comes, from when on its parts are
   * at the shop, how many people, and the minutes where somebody knows better than the program.
   */
  arranged: { from?: string; until?: string; partsAt?: string; people?: number; minutes?: number }
  /** It will not be done. */
  cancelled: { why: string }
  /** One journey with another visit of the same customer, the first of it; without one it has its own again. */
  together: { with?: string }
  loaded: { item: string; loaded: boolean }
  gate: { gate: Gate; shut: boolean; lines?: { line: string; volts: number }[]; seconds?: number }
  finding: Finding & { stage: 'test' | 'prove' }
  note: { text: string; seenAndLeft: boolean }
  /** Where the machine stands from now on: what is read there is judged as such. */
  standing: { at: Standing }
  /** A job that the customer asks for. */
  wish: { job: string }
  photo: { hash: string; type: string; bytes: number; name: string; of?: string; caption?: string }
  /** Ten seconds of the machine, by the content of the file, and what was heard in them. */
  recording: {
    hash: string
    type: string
    bytes: number
    name: string
    seconds: number
    side: 'motor' | 'pump'
    /** What its tones were looked for with. */
    rpm: number
    mainsHertz: number
    bearing?: string
    vanes?: number
    heard: HeardInRecording
  }
  'check-skipped': { check: string; part?: string; leads?: string; setup?: Finding['setup']; half?: Finding['half'] }
  'cause-said': { fault: string; verdict: 'not-this' | 'it-was-this' }
  /**
   * The replaced machine opened later at the bench: what failed first, what that brought about one after the other,
   * why, and what of it is worth keeping.
   */
  'post-mortem': { fault: string; then?: string[]; why: string; keeping: string }
  /** A working with the numbers it was asked with, and the units it was read in. */
  'working-kept': { question: string; input: object; units: UnitSystem }
  /** A job beside the chosen repair, or what becomes of one: offered, agreed, done, or left with its reason. */
  job: { job: string; state: JobState; from?: JobSource; why?: string }
  /** The repair that was chosen; with `spareFirst`, a spare goes in at once and the repair follows on the bench. */
  decision: { option: string; spareFirst?: boolean }
  /** Met on the way down: a joint that will not open, a part that is damaged. The plan goes on from there. */
  'take-down-found': TakeDownFound
  /** What the job’s steps and waits hang on, as measured: the newest of each speaks. */
  'take-down-measured': JobConditions
  /** A new part as it is in the hand: what identifies it, and its plate, before it goes in. */
  'new-part': NewPart
  /** A new part in its place: from then on it judges. */
  fitted: NewPart
  step: {
    step: string
    done: boolean
    count?: number
    places?: JointPlace[]
    reason?: string
    note?: string
    /** What it found, of what it asks. */
    answer?: string
    /** What the printed estimate gave it, minutes. */ estimate?: number
  }
  'joint-done': { joint: Stage }
  /** Of a proof: shown or failed where no reading says it, or left, with its reason. */
  proof: { proof: string; outcome: ProofOutcome; why?: string }
  /** What was repaired did not prove: back to Test with all that is known. */
  comeback: { failed: string[] }
  /** Put on the account by hand, or taken off it. */
  'price-change': AccountChange
  /** What the customer agreed to, by name, before the work. */
  'price-agreed': { by: string; price: number }
  /** With what it costs, line by line, as it was on that day. */
  'handed-over': {
    watch: string
    nextDate?: string
    price?: number
    /** Why it is another price than was agreed. */
    priceWhy?: string
    due?: Due[]
    lines?: PriceLine[]
    /** The other visits of its journey, and at which issue each stood: 0 where it was not handed over yet. */
    beside?: { visit: string; issue: number }[]
  }
  /** Drawn by the customer under the sheet whose journal has this fingerprint. */
  signed: { by: string; hash: string } & Strokes
  /** A paper that left by mail: to whom, and the id it has in the outlet. */
  mailed: { paper: MailedPaper; to: string; mail: string; issue?: number; by: 'folder' | 'smtp' }
  /** What the customer paid, whole cents; below nothing where it was paid back. */
  paid: { amount: number; on: string; how?: string }
  /** A machine, or a part of it, that goes back under its warranty. */
  claim: {
    part: Part
    identity?: string
    boughtOn?: string
    installedOn?: string
    warrantyUntil?: string
    complaint: string
    opened: boolean
    openedWhy?: string
    to?: string
    reference?: string
  }
  'claim-moved': { to: ClaimMove; on: string; note?: string }
  retracted: Record<string, never>
  /** What the shop's visits up to now taught counts no more, for one kind of pump or for all. */
  'shop-forget': { pumpKind?: Kind }
  /** What the shop knows of a customer, said outright: it speaks over what visits say. */
  'customer-set': { customer: Customer }
  'site-set': { site: Site }
  /** A machine that is no longer there. */
  'machine-retired': { machineId: string; on: string; why: string }
  /** Two records of one customer or one machine: what was said of the one that is gone is said of the other. */
  merged: { what: Registered; gone: string; into: string }
  /** Two that look like one, and are two. */
  'kept-apart': { what: Registered; these: string[] }
  /**
   * A customer's data were removed, from all records that were theirs: written by the server alone, which takes them
   * out of every line that there is and of every one that arrives later.
   */
  'customer-forgotten': { customers: string[]; machines: string[]; visits: string[] }
  /**
   * A try at a practice pump is over: what it says of its writer’s skill. Its own journal stays on the device; this
   * line is read where skills are shown, and nowhere else.
   */
  'practice-tried': PracticeTried
  /** Cases that are set for people of the shop, by name, or for all. A later line of the same course speaks over it. */
  'course-set': CourseSet
  /** What lies on the shop's shelves, one kind of thing. A later line of the same article speaks over it. */
  'article-set': { article: Article }
  'stock-moved': StockMoved
  'stock-counted': StockCounted
  /** A bay of the shop, by the name on it. A later line of the same bay speaks over it. */
  'bay-set': { bay: string; name: string; gone?: boolean }
  /** How much of an article the owner wants there, pieces; absent: as much as the program says. */
  'level-set': { article: string; level?: number }
  /** So much money may lie in the shop, whole cents; absent: as much as is worth it. */
  'keeping-set': { most?: number }
  /** Whom the shop buys from. A later line of the same supplier speaks over it. */
  'supplier-set': { supplier: Supplier }
  'offer-set': { offer: SupplierOffer }
  'order-placed': OrderPlaced
  'order-moved': OrderMoved
  /** The order in which a van goes through its visits on a day. */
  'day-order': { on: string; van: string; visits: string[] }
  'shop-set': {
    name: string
    place: string
    mail?: string
    units: UnitSystem
    /** How numbers are written on its papers. */
    numbers?: NumberStyle
    rates: EnteredRates
    schools?: PracticeWays
    vans?: ShopVan[]
    day?: WorkingDay
    /** When its year turns, each as MM-DD. */
    seasons?: SeasonDays
  }
}
export type EntryKind = keyof EntryBodies

/** What the shop says outright of its customers, their places and their machines, in its own journal. */
export const REGISTER_KINDS = [
  'customer-set',
  'site-set',
  'machine-set',
  'machine-retired',
  'merged',
  'kept-apart',
] as const satisfies readonly EntryKind[]

/** What is said of practice: no number, history or learning of the shop reads these. */
export const PRACTICE_KINDS = ['practice-tried', 'course-set'] as const satisfies readonly EntryKind[]

/** What is said of the shop's shelves. */
export const SHELF_KINDS = [
  'article-set',
  'stock-moved',
  'stock-counted',
  'bay-set',
] as const satisfies readonly EntryKind[]
/** What the shop wants to have, and what it buys. */
export const BUYING_KINDS = [
  'level-set',
  'keeping-set',
  'supplier-set',
  'offer-set',
  'order-placed',
  'order-moved',
] as const satisfies readonly EntryKind[]

/** The version of an entry’s shape that is written now. Older ones are lifted on reading: see lift.ts. */
export const ENTRY_VERSION = 16

/** A line as it was typed, and the id of its act. */
export interface Said {
  act: string
  line: string
}

/** A person of the shop, and a device that they were signed in on. */
export interface WrittenBy {
  person: string
  device: string
}

/** Who writes: by name, and where people sign in by who that is and on which device. */
export interface Writer {
  author: string
  by?: WrittenBy
}

/** One dated line of a journal. Appended, never changed; corrected by a later one that supersedes it. */
export interface EntryOf<K extends EntryKind> {
  /** Client-made UUIDv7. */
  id: string
  /** The version of this shape; absent in lines of before there were versions. */
  v?: number
  /**
   * Logical time in its journal: one more than the highest its writer had seen there, so that an effect stands after
   * its cause
   * whatever the clocks said. A line without one stands where it arrived.
   *
   * Source: Lamport, Time, Clocks, and the Ordering of Events in a Distributed System (1978).
   */
  lamport?: number
  /**
   * The newest line of each branch of its journal that its writer had before them, and through these all before them:
   * so that two who had not seen each other are known to be two. Absent in lines of before it was kept, whose writers
   * are taken to have seen all that stands before.
   */
  seen?: string[]
  /** The visit, or null for the shop's own journal. */
  visitId: string | null
  kind: K
  /** ISO instant at which it happened by the writer’s clock: for people. Nothing is ordered by it. */
  at: string
  author: string
  /** Who that is, and on which device, where people sign in: the server holds both against who sends it. */
  by?: WrittenBy
  /** The entry this one replaces. */
  supersedes?: string
  /** Rivals of the superseded entry that this one decides against: a conflict of two devices, settled. */
  settles?: string[]
  /**
   * Taken in from a visit file: what it says of a customer or a machine never speaks over what the shop itself has
   * said.
   */
  imported?: boolean
  /** The line that this was said with, and the act that it was part of: what one line says is undone together. */
  said?: Said
  body: EntryBodies[K]
}
export type Entry = { [K in EntryKind]: EntryOf<K> }[EntryKind]

/**
 * Journals read in one order on every machine: by cause, and what neither caused by chance. The last group of an id is
 * random;
 * its first is a clock, which decides nothing.
 */
export function compareEntries(a: Entry, b: Entry): number {
  return (a.lamport ?? 0) - (b.lamport ?? 0) || compareText(a.id.slice(-12), b.id.slice(-12)) || compareText(a.id, b.id)
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0
}

/** The logical time of the next line of a journal. */
export function nextLamport(journal: readonly Pick<Entry, 'lamport'>[]): number {
  return journal.reduce((highest, { lamport = 0 }) => Math.max(highest, lamport), 0) + 1
}
