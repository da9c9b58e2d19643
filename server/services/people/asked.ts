import { IsIn, IsString, Length, MaxLength } from 'class-validator'
import { ROLES, type Role } from '../../../core/people/roles'
import { MayBeAbsent } from '../../../core/validation/rules'
import { validated } from '../../../core/validation/validated'
import { LONGEST_NAME } from './book'
import { PASSPHRASE_LETTERS } from './passphrase'

class Named {
  @IsString() @Length(1, LONGEST_NAME) name!: string
  @IsString() @MaxLength(4 * PASSPHRASE_LETTERS.most) passphrase!: string
}
class Invited {
  @IsString() @Length(1, LONGEST_NAME) name!: string
  @IsIn(Object.keys(ROLES)) role!: Role
}
class Joining {
  @IsString() @Length(1, 100) token!: string
  @MayBeAbsent() @IsString() @MaxLength(4 * PASSPHRASE_LETTERS.most) passphrase?: string
}
class Changed {
  @IsString() @MaxLength(4 * PASSPHRASE_LETTERS.most) was!: string
  @IsString() @MaxLength(4 * PASSPHRASE_LETTERS.most) passphrase!: string
}
class RoleChanged {
  @IsIn(Object.keys(ROLES)) role!: Role
}

/** What is asked about people. Each throws InputError naming the field. */
export const peopleAsked = {
  named: (body: unknown) => validated(Named, body),
  invited: (body: unknown) => validated(Invited, body),
  joining: (body: unknown) => validated(Joining, body),
  changed: (body: unknown) => validated(Changed, body),
  roleChanged: (body: unknown) => validated(RoleChanged, body),
}
