import type { Permission } from '#core/people/roles'

/** A place of the program: its name, where it is, and what else belongs to it. */
export interface Place {
  id: string
  label: string
  to: string
  /** What whoever goes there must be allowed. */
  asks: Permission
  /** Addresses that are of this place, by how they begin. */
  within: readonly string[]
}

/** The places, in the order of the work. */
export const PLACES: readonly Place[] = [
  { id: 'day', label: 'Day', to: '/', asks: 'look', within: ['/visits/new', '/week', '/due'] },
  { id: 'pumps', label: 'Pumps', to: '/pumps', asks: 'look', within: ['/pumps'] },
  { id: 'workings', label: 'Workings', to: '/workings', asks: 'practice', within: ['/workings'] },
  { id: 'practice', label: 'Practice', to: '/practice', asks: 'practice', within: ['/practice'] },
  { id: 'shelf', label: 'Shelf', to: '/shelf', asks: 'look', within: ['/shelf'] },
  {
    id: 'shop',
    label: 'Shop',
    to: '/shop',
    asks: 'look',
    within: ['/shop', '/ledger', '/prices', '/settings', '/people', '/instruments'],
  },
]

/** Pages inside a place that are asked for by name. */
export const CORNERS: readonly Omit<Place, 'within'>[] = [
  { id: 'new-visit', label: 'New visit', to: '/visits/new', asks: 'write' },
  { id: 'week', label: 'Week', to: '/week', asks: 'look' },
  { id: 'due', label: 'What comes due', to: '/due', asks: 'look' },
  { id: 'files', label: 'In and out: files, import, CSV, vCard', to: '/pumps/files', asks: 'files' },
  { id: 'count', label: 'Count a van or a bay', to: '/shelf/count', asks: 'write' },
  { id: 'bays', label: 'Bays of the shop', to: '/shelf/bays', asks: 'write' },
  { id: 'levels', label: 'How much to keep', to: '/shelf/levels', asks: 'look' },
  { id: 'loads', label: 'What rides in the vans', to: '/shelf/loads', asks: 'look' },
  { id: 'orders', label: 'Orders', to: '/shelf/orders', asks: 'look' },
  { id: 'ledger', label: 'Ledger', to: '/ledger', asks: 'money' },
  { id: 'prices', label: 'Prices', to: '/prices', asks: 'settings' },
  { id: 'settings', label: 'Settings', to: '/settings', asks: 'settings' },
  { id: 'instruments', label: 'Instruments', to: '/instruments', asks: 'write' },
  { id: 'people', label: 'People, devices, signing out', to: '/people', asks: 'practice' },
  { id: 'handbook', label: 'Handbook', to: '/practice/handbook', asks: 'practice' },
  { id: 'skills', label: 'Skills and courses', to: '/practice/skills', asks: 'practice' },
  { id: 'sources', label: 'Where the figures come from', to: '/workings/sources', asks: 'practice' },
]

/** The place that an address is of; undefined in a visit, which is a place of its own. */
export function placeOf(path: string): Place | undefined {
  if (path === '/') return PLACES[0]
  return PLACES.find(({ within }) => within.some((start) => path === start || path.startsWith(`${start}/`)))
}

/** What whoever goes to an address must be allowed: as its corner says, or its place, or as a visit is looked at. */
export function askedAtPath(path: string): Permission {
  return CORNERS.find(({ to }) => to === path)?.asks ?? placeOf(path)?.asks ?? 'look'
}

/** Does a name begin with what was typed, or one of its words? */
export function isNamed(label: string, typed: string): boolean {
  const asked = typed.trim().toLowerCase()
  return label
    .toLowerCase()
    .split(' ')
    .some((_, index, words) => words.slice(index).join(' ').startsWith(asked))
}
