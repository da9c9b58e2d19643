import { BUYING_KINDS, REGISTER_KINDS, SHELF_KINDS, type EntryKind } from '../visit/entry'

/** Who somebody is in the shop. */
export const ROLES = {
  owner: { name: 'Owner', does: 'everything, with settings, people and money' },
  technician: { name: 'Technician', does: 'visits, the Day, the register' },
  office: { name: 'Office', does: 'the Day, the register, sheets and what was paid' },
  learner: { name: 'Learner', does: 'workings and practice alone' },
} as const
export type Role = keyof typeof ROLES

/**
 * What can be done. Each route of the server asks for one of these.
 *
 * @basis common practice: the least that a role's work needs
 */
export const PERMISSIONS = {
  /** Days, visits, machines, customers, pictures, papers. */
  look: ['owner', 'technician', 'office'],
  /** Lines of the journal; which kinds is said below. */
  write: ['owner', 'technician', 'office'],
  /** Papers leave the shop. */
  send: ['owner', 'technician', 'office'],
  /** The register leaves as a file, or one is taken in. */
  files: ['owner', 'office'],
  /** Accounts over visits. */
  money: ['owner'],
  /** What the shop says of itself. */
  settings: ['owner'],
  /** Who works here, their devices, what they did. */
  people: ['owner'],
  /** Workings with numbers of one's own, practice. */
  practice: ['owner', 'technician', 'office', 'learner'],
} as const satisfies Readonly<Record<string, readonly Role[]>>
export type Permission = keyof typeof PERMISSIONS

export function may(role: Role, permission: Permission): boolean {
  return (PERMISSIONS[permission] as readonly Role[]).includes(role)
}

/**
 * Lines that the office writes: calls, days, the register, the shelves, what was paid. What is read at a pump is not
 * for it.
 */
const OF_OFFICE: ReadonlySet<EntryKind> = new Set<EntryKind>([
  ...REGISTER_KINDS,
  ...SHELF_KINDS,
  ...BUYING_KINDS,
  'visit-opened',
  'call',
  'planned',
  'arranged',
  'cancelled',
  'together',
  'wish',
  'note',
  'photo',
  'day-order',
  'loaded',
  'price-agreed',
  'paid',
  'claim-moved',
  'retracted',
])
/** Lines by which the shop speaks of itself. */
const OF_SHOP: ReadonlySet<EntryKind> = new Set<EntryKind>([
  'shop-set',
  'shop-forget',
  // Whom the server asks, and how much money lies, is for whoever settles the rest.
  'supplier-set',
  'level-set',
  'keeping-set',
])
/** Lines that every role writes: what came of its own tries. */
const OF_ITS_OWN: ReadonlySet<EntryKind> = new Set<EntryKind>(['practice-tried'])
/** Lines by which somebody who sees to people sets them something. */
const OF_PEOPLE: ReadonlySet<EntryKind> = new Set<EntryKind>(['course-set'])
/** Lines that nobody sends: the server writes them for what was asked of it. */
export const OF_SERVER: ReadonlySet<EntryKind> = new Set<EntryKind>(['customer-forgotten'])

/** May somebody of a role write a line of this kind? A line that is taken back is judged as what it takes back. */
export function mayWrite(role: Role, kind: EntryKind): boolean {
  if (OF_ITS_OWN.has(kind)) return may(role, 'practice')
  if (!may(role, 'write') || OF_SERVER.has(kind)) return false
  if (OF_PEOPLE.has(kind)) return may(role, 'people')
  if (OF_SHOP.has(kind)) return may(role, 'settings')
  return role !== 'office' || OF_OFFICE.has(kind)
}
