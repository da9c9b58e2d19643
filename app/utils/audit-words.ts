/** A line of what was done, as the owner is told it. */
export interface AuditView {
  at: string
  what: keyof typeof AUDIT_WORDS
  by?: string
  about?: string
}

export const AUDIT_WORDS = {
  'first-owner': 'owned the shop',
  'signed-in': 'signed in',
  'not-let-in': 'was not let in',
  'signed-out': 'signed out',
  invited: 'invited',
  joined: 'joined',
  'shut-out': 'shut a device out',
  'role-changed': 'changed a role',
  'passphrase-changed': 'took another passphrase',
  removed: 'works here no more',
  exported: 'took data out',
  forgotten: 'had data deleted',
} as const
