import type { Permission, Role } from '#core/people/roles'
import { may } from '#core/people/roles'

/** What the shop says of who is here: nobody signs in, somebody is in, nobody is, or nobody was ever written down. */
export type Session =
  | { is: 'alone' }
  | { is: 'in'; person: { id: string; name: string; role: Role }; device: string }
  | { is: 'out' }
  | { is: 'unclaimed' }

/** Under which key this browser keeps it. */
export const SESSION_KEY = 'pike-lamp.session'

/** May whoever is here do this? Where nobody signs in everything may be done. */
export function mayHere(session: Session, permission: Permission): boolean {
  return session.is === 'alone' || (session.is === 'in' && may(session.person.role, permission))
}
