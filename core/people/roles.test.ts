import { describe, expect, it } from 'vitest'
import type { EntryKind } from '../visit/entry'
import { may, mayWrite, PERMISSIONS, ROLES, type Permission, type Role } from './roles'

const all = Object.keys(PERMISSIONS) as Permission[]
const allowed = (role: Role) => all.filter((permission) => may(role, permission))

describe('roles', () => {
  it.each<[Role, Permission[]]>([
    ['owner', all],
    ['technician', ['look', 'write', 'send', 'practice']],
    ['office', ['look', 'write', 'send', 'files', 'practice']],
    ['learner', ['practice']],
  ])('%s may do what their work needs', (role, permissions) => {
    expect(allowed(role)).toEqual(permissions)
  })

  it.each<[EntryKind, Role[]]>([
    ['finding', ['owner', 'technician']],
    ['gate', ['owner', 'technician']],
    ['handed-over', ['owner', 'technician']],
    ['visit-opened', ['owner', 'technician', 'office']],
    ['planned', ['owner', 'technician', 'office']],
    ['customer-set', ['owner', 'technician', 'office']],
    ['paid', ['owner', 'technician', 'office']],
    ['shop-set', ['owner']],
    ['shop-forget', ['owner']],
  ])('a line of the kind %s is written by %s', (kind, roles) => {
    expect((Object.keys(ROLES) as Role[]).filter((role) => mayWrite(role, kind))).toEqual(roles)
  })
})
