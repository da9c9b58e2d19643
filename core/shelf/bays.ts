import { SHELVES } from '../knowledge/shop/shelves'

/** A bay of the shop: the mark that stands on it, in small letters, and its name, which begins with the mark. */
export interface Bay {
  bay: string
  name: string
}

/** A bay by the mark on it and what lies in it. */
export const bayNamed = (mark: string, holds: string): Bay => ({
  bay: mark.trim().toLowerCase(),
  name: [mark.trim().toUpperCase(), holds.trim()].filter(Boolean).join(', '),
})

/** What lies in a bay, by its name without its mark. */
export function bayHolds({ bay, name }: Bay): string {
  const mark = bay.toUpperCase()
  return name === mark ? '' : name.startsWith(`${mark}, `) ? name.slice(mark.length + 2) : name
}

/** The bays that a shop has until it says otherwise of each. */
export const USUAL_BAYS: readonly Bay[] = SHELVES.map(({ id, name }) => bayNamed(id, name))
