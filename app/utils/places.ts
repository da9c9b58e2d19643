/** A place of the program: its name, where it is, and what else belongs to it. */
export interface Place {
  id: string
  label: string
  to: string
  /** Addresses that are of this place, by how they begin. */
  within: readonly string[]
}

/** The places, in the order of the work. */
export const PLACES: readonly Place[] = [
  { id: 'day', label: 'Day', to: '/', within: ['/visits/new', '/week', '/due'] },
  { id: 'pumps', label: 'Pumps', to: '/pumps', within: ['/pumps'] },
  { id: 'workings', label: 'Workings', to: '/workings', within: ['/workings'] },
  { id: 'shop', label: 'Shop', to: '/shop', within: ['/shop', '/ledger', '/prices', '/settings'] },
]

/** Pages inside a place that are asked for by name. */
export const CORNERS: readonly Omit<Place, 'within'>[] = [
  { id: 'new-visit', label: 'New visit', to: '/visits/new' },
  { id: 'week', label: 'Week', to: '/week' },
  { id: 'due', label: 'What comes due', to: '/due' },
  { id: 'files', label: 'In and out: files, import, CSV, vCard', to: '/pumps/files' },
  { id: 'ledger', label: 'Ledger', to: '/ledger' },
  { id: 'prices', label: 'Prices', to: '/prices' },
  { id: 'settings', label: 'Settings', to: '/settings' },
  { id: 'sources', label: 'Where the figures come from', to: '/workings/sources' },
]

/** The place that an address is of; undefined in a visit, which is a place of its own. */
export function placeOf(path: string): Place | undefined {
  if (path === '/') return PLACES[0]
  return PLACES.find(({ within }) => within.some((start) => path === start || path.startsWith(`${start}/`)))
}

/** Does a name begin with what was typed, or one of its words? */
export function isNamed(label: string, typed: string): boolean {
  const asked = typed.trim().toLowerCase()
  return label
    .toLowerCase()
    .split(' ')
    .some((_, index, words) => words.slice(index).join(' ').startsWith(asked))
}
