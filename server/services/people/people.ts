import { createHash, randomBytes } from 'node:crypto'
import { v7 as uuidv7 } from 'uuid'
import type { Role } from '../../../core/people/roles'
import { emptyBook, type AuditLine, type Device, type Invitation, type PeopleBook, type Person } from './book'
import { passphraseProblem } from './passphrase'
import type { PeopleKeeper } from './people-keeper'
import { noteFailure, triesOf, waitOf, withoutTries } from './tries'

const DAY = 86_400_000
/** A device that was not used for so long is signed out, milliseconds. */
const LONGEST_UNUSED = 60 * DAY
/** However much it was used. */
const LONGEST = 365 * DAY
/** When a device was seen last is written down so often at most, milliseconds. */
const SEEN_AGAIN = 3_600_000
const INVITED_FOR = 3 * DAY
/** A second device is beside the first. */
const DEVICE_FOR = 15 * 60_000

/** Somebody, and the device that they are at. */
export interface SignedIn {
  person: Person
  device: Device
}
/** What a browser says of itself, and from where it comes. */
export interface From {
  device: string
  address: string
}

/** Why somebody is not let in, changed or removed. */
export class NotSo extends Error {
  /** @param wait seconds after which it may be tried again */
  constructor(
    message: string,
    readonly field: string,
    readonly wait?: number,
  ) {
    super(message)
  }
}

/** A slow hash of a passphrase, and its check. */
export interface Hashing {
  hash: (passphrase: string) => Promise<string>
  verify: (hash: string, passphrase: string) => Promise<boolean>
}

/** Who works in the shop: signing in, inviting, devices, roles. What it refuses it refuses in words, by NotSo. */
export class People {
  /** Checked where there is nobody of a name, so that it takes as long as where there is. */
  private nobody: Promise<string> | undefined

  constructor(
    private readonly keeper: PeopleKeeper,
    private readonly hashing: Hashing,
    private readonly now: () => Date = () => new Date(),
  ) {}

  /** Is there anybody? Where there is not, whoever sits at this machine works without signing in. */
  async isAnybody(): Promise<boolean> {
    return ((await this.keeper.read())?.people.length ?? 0) > 0
  }

  /** What seals the cookies; made at the first asking. */
  async secret(): Promise<string> {
    const book = await this.keeper.read()
    return (
      book?.secret ?? this.keeper.change((now) => ({ book: now ?? emptyBook(), said: (now ?? emptyBook()).secret }))
    )
  }

  /** The first of all, who owns the shop. */
  async begin({ name, passphrase, from }: { name: string; passphrase: string; from: From }): Promise<SignedIn> {
    await this.checkPassphrase(passphrase, name)
    const hash = await this.hashing.hash(passphrase)
    return this.change('first-owner', (book) => {
      if (book.people.length > 0) throw new NotSo('The shop has an owner already.', 'name')
      const person = this.newPerson(name, 'owner', hash)
      const device = this.newDevice(person.id, from.device)
      return { people: [person], devices: [...book.devices, device], said: { person, device }, by: person.id }
    })
  }

  async signIn({ name, passphrase, from }: { name: string; passphrase: string; from: From }): Promise<SignedIn> {
    const of = triesOf(keyOf(name), from.address)
    const book = await this.keeper.read()
    const wait = waitOf(book?.tries ?? [], of, this.now())
    if (wait > 0) throw new NotSo(`Too many tries: wait ${wait} seconds.`, 'passphrase', wait)
    const person = book?.people.find((each) => keyOf(each.name) === keyOf(name))
    const isRight = await this.hashing.verify(
      person?.passphrase ?? (await (this.nobody ??= this.hashing.hash(newSecret()))),
      passphrase,
    )
    if (!person || !isRight) {
      await this.change('not-let-in', (now) => ({
        tries: noteFailure(now.tries, of, this.now()),
        said: undefined,
        about: person?.id,
      }))
      throw new NotSo('Nobody of that name with that passphrase.', 'passphrase')
    }
    return this.change('signed-in', (now) => {
      const device = this.newDevice(person.id, from.device)
      return {
        devices: [...now.devices, device],
        tries: withoutTries(now.tries, of),
        said: { person, device },
        by: person.id,
      }
    })
  }

  /** Who is at a device; nobody where it was signed out or shut out, or not used for long. */
  async at(deviceId: string): Promise<SignedIn | undefined> {
    const book = await this.keeper.read()
    const device = book?.devices.find(({ id }) => id === deviceId)
    const person = device && book?.people.find(({ id }) => id === device.person)
    if (!device || !person || device.ended) return undefined
    const now = this.now().getTime()
    if (now - Date.parse(device.seen) > LONGEST_UNUSED || now - Date.parse(device.since) > LONGEST) return undefined
    if (now - Date.parse(device.seen) > SEEN_AGAIN) await this.seen(deviceId)
    return { person, device }
  }

  /**
   * Who was signed in on these devices, of those who still work here, but for those that were shut out; and on any of
   * the asker's own, whatever became of it.
   *
   * @param asker whoever is signed in there now
   */
  async onDevices(ids: readonly string[], asker: string): Promise<Map<string, Person>> {
    const { people = [], devices = [] } = (await this.keeper.read()) ?? {}
    const found = devices.filter(({ id, person, isShutOut }) => person === asker || (ids.includes(id) && !isShutOut))
    return new Map(
      found.flatMap((device) => {
        const person = people.find(({ id }) => id === device.person)
        return person ? [[device.id, person] as const] : []
      }),
    )
  }

  /**
   * A way in for somebody new, or with `person` for another device of somebody who is here, or, where they have
   * forgotten it, for them to say another passphrase.
   *
   * @returns what is written in the address, once
   */
  async invite(
    by: string,
    of: { name: string; role: Role } | { person: string; isAnew?: true },
  ): Promise<{ token: string; until: string }> {
    const token = newSecret()
    const isDevice = 'person' in of && !of.isAnew
    const until = new Date(this.now().getTime() + (isDevice ? DEVICE_FOR : INVITED_FOR)).toISOString()
    return this.change('invited', (book) => {
      if ('name' in of && book.people.some(({ name }) => keyOf(name) === keyOf(of.name)))
        throw new NotSo('Somebody has that name already.', 'name')
      if ('person' in of && !book.people.some(({ id }) => id === of.person))
        throw new NotSo('There is nobody of that id.', 'person')
      const invitation: Invitation = { hash: hashOf(token), by, until, ...of }
      const good = book.invitations.filter((each) => Date.parse(each.until) > this.now().getTime())
      return {
        invitations: [...good, invitation],
        said: { token, until },
        by,
        about: 'person' in of ? of.person : undefined,
      }
    })
  }

  /** For whom an invitation is, while it is good. */
  async invited(token: string): Promise<{ name: string; isNew: boolean } | undefined> {
    const book = await this.keeper.read()
    const found = book && this.invitationOf(book, token)
    if (!found) return undefined
    const person = book.people.find(({ id }) => id === found.person)
    return found.person
      ? person && { name: person.name, isNew: found.isAnew === true }
      : { name: found.name ?? '', isNew: true }
  }

  /** Takes an invitation up: it is good no more. Somebody new says a passphrase. */
  async join(token: string, { passphrase, from }: { passphrase?: string; from: From }): Promise<SignedIn> {
    const who = await this.invited(token)
    if (!who) throw new NotSo('This invitation is not good any more. Ask for another.', 'token')
    if (who.isNew) await this.checkPassphrase(passphrase ?? '', who.name)
    const hash = who.isNew ? await this.hashing.hash(passphrase ?? '') : ''
    return this.change('joined', (book) => {
      const invitation = this.invitationOf(book, token)
      if (!invitation) throw new NotSo('This invitation is not good any more. Ask for another.', 'token')
      const person = invitation.person
        ? book.people.find(({ id }) => id === invitation.person)
        : this.newPerson(invitation.name ?? '', invitation.role ?? 'learner', hash)
      if (!person) throw new NotSo('Whoever was invited works here no more.', 'token')
      const device = this.newDevice(person.id, from.device)
      const anew = invitation.isAnew ? { ...person, passphrase: hash } : person
      // Whoever knew the old passphrase is out.
      const before = invitation.isAnew ? book.devices.map((each) => this.ended(each, person.id)) : book.devices
      return {
        people: [...book.people.filter(({ id }) => id !== person.id), anew],
        devices: [...before, device],
        invitations: book.invitations.filter(({ hash: each }) => each !== invitation.hash),
        said: { person: anew, device },
        by: person.id,
      }
    })
  }

  /** A device is signed in no more: by whoever holds it, or by the owner where it was lost. */
  async end(by: string, deviceId: string, how: 'signed-out' | 'shut-out'): Promise<void> {
    await this.change(undefined, (book) => {
      const device = book.devices.find(({ id }) => id === deviceId)
      if (!device) throw new NotSo('There is no such device.', 'device')
      return {
        devices: book.devices.map((each) =>
          each === device
            ? { ...each, ended: this.now().toISOString(), ...(how === 'shut-out' ? { isShutOut: true } : {}) }
            : each,
        ),
        said: undefined,
        by,
        about: device.person,
        what: how,
      }
    })
  }

  /** A key for a calendar of theirs, which stands among their devices and is ended as those are. */
  async giveKey(by: string): Promise<string> {
    const key = newSecret()
    await this.change('key-given', (book) => {
      const device = { ...this.newDevice(by, 'A calendar'), key: hashOf(key) }
      return { devices: [...book.devices, device], said: undefined, by }
    })
    return key
  }
  /** Whose key that is, while it is good. */
  async withKey(key: string): Promise<Person | undefined> {
    const hash = hashOf(key)
    const device = (await this.keeper.read())?.devices.find((each) => each.key === hash)
    return device && (await this.at(device.id))?.person
  }

  async changeRole(by: string, personId: string, role: Role): Promise<void> {
    await this.change('role-changed', (book) => {
      const people = book.people.map((each) => (each.id === personId ? { ...each, role } : each))
      this.checkOwner(people)
      return { people, said: undefined, by, about: personId }
    })
  }

  /** All other devices of theirs are signed out: whoever knew the old one is out. */
  async changePassphrase({ person, device }: SignedIn, was: string, passphrase: string): Promise<void> {
    if (!(await this.hashing.verify(person.passphrase, was))) throw new NotSo('That is not the passphrase.', 'was')
    await this.checkPassphrase(passphrase, person.name)
    const hash = await this.hashing.hash(passphrase)
    await this.change('passphrase-changed', (book) => ({
      people: book.people.map((each) => (each.id === person.id ? { ...each, passphrase: hash } : each)),
      devices: book.devices.map((each) => (each.id === device.id ? each : this.ended(each, person.id))),
      said: undefined,
      by: person.id,
    }))
  }

  /** Somebody works here no more: their devices are out, and nothing is kept of them but what they wrote. */
  async remove(by: string, personId: string): Promise<void> {
    await this.change('removed', (book) => {
      const people = book.people.filter(({ id }) => id !== personId)
      if (people.length === book.people.length) throw new NotSo('There is nobody of that id.', 'person')
      this.checkOwner(people)
      return {
        people,
        devices: book.devices.filter(({ person }) => person !== personId),
        invitations: book.invitations.filter(({ person }) => person !== personId),
        said: undefined,
        by,
        about: personId,
      }
    })
  }

  /** Who works here, on which devices; no hash leaves. */
  async all(): Promise<{ people: Omit<Person, 'passphrase'>[]; devices: Omit<Device, 'key'>[] }> {
    const { people = [], devices = [] } = (await this.keeper.read()) ?? {}
    return {
      people: people.map(({ passphrase: _, ...person }) => person),
      devices: devices.filter(({ ended }) => ended === undefined).map(({ key: _, ...device }) => device),
    }
  }

  note(what: AuditLine['what'], by?: string, about?: string): Promise<void> {
    return this.keeper.note({ at: this.now().toISOString(), what, ...(by ? { by } : {}), ...(about ? { about } : {}) })
  }
  noted(most: number): Promise<AuditLine[]> {
    return this.keeper.noted(most)
  }

  private async seen(deviceId: string): Promise<void> {
    const seen = this.now().toISOString()
    await this.keeper.change((book = emptyBook()) => ({
      book: { ...book, devices: book.devices.map((each) => (each.id === deviceId ? { ...each, seen } : each)) },
      said: undefined,
    }))
  }

  private async change<T>(
    what: AuditLine['what'] | undefined,
    change: (
      book: PeopleBook,
    ) => Partial<PeopleBook> & { said: T; by?: string; about?: string; what?: AuditLine['what'] },
  ): Promise<T> {
    const done = await this.keeper.change((now = emptyBook()) => {
      const { said, by, about, what: own = what, ...changed } = change(now)
      return { book: { ...now, ...changed }, said: { said, by, about, own } }
    })
    if (done.own) await this.note(done.own, done.by, done.about)
    return done.said
  }

  private async checkPassphrase(passphrase: string, name: string): Promise<void> {
    const problem = await passphraseProblem(passphrase, name)
    if (problem) throw new NotSo(problem, 'passphrase')
  }
  /** A device of somebody is signed in no more; those of others are as they were. */
  private ended(device: Device, person: string): Device {
    return device.person === person && !device.ended ? { ...device, ended: this.now().toISOString() } : device
  }
  private checkOwner(people: readonly Person[]): void {
    if (!people.some(({ role }) => role === 'owner')) throw new NotSo('The shop needs an owner.', 'role')
  }
  private invitationOf(book: PeopleBook, token: string): Invitation | undefined {
    const hash = hashOf(token)
    return book.invitations.find((each) => each.hash === hash && Date.parse(each.until) > this.now().getTime())
  }
  private newPerson(name: string, role: Role, passphrase: string): Person {
    return { id: uuidv7(), name: name.trim(), role, passphrase, since: this.now().toISOString() }
  }
  private newDevice(person: string, name: string): Device {
    const at = this.now().toISOString()
    return { id: uuidv7(), person, name: name.slice(0, 120), since: at, seen: at }
  }
}

/** Names are told apart as people tell them apart. */
const keyOf = (name: string) => name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLowerCase()
const newSecret = () => randomBytes(24).toString('base64url')
const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')
