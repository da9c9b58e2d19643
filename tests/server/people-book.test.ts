import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { NotSo, People, type Hashing } from '../../server/services/people/people'
import { peopleToKeep, restorePeople } from '../../server/services/people/people-backup'
import { slowHash } from '../../server/services/people/slow-hash'
import { PeopleFile, PEOPLE_NAME } from '../../server/services/people/people-file'

/** Stands in for the slow one, whose own test is below. */
const quick: Hashing = {
  hash: async (passphrase) => `#${passphrase}`,
  verify: async (hash, passphrase) => hash === `#${passphrase}`,
}
const OWNER = { name: 'Ada Weir', passphrase: 'otter lantern gravel nine' }
const from = { device: 'Linux', address: '10.0.0.4' }

let folder: string
let now: Date
let people: People
const later = (milliseconds: number) => (now = new Date(now.getTime() + milliseconds))
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'pike-lamp-people-'))
  now = new Date('2026-05-12T09:40:00.000Z')
  people = new People(new PeopleFile(folder), quick, () => now)
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

describe('who works in a shop', () => {
  it('begins with an owner, once, and is still there for another server', async () => {
    expect(await people.isAnybody()).toBe(false)
    const { person, device } = await people.begin({ ...OWNER, from })
    expect(person).toMatchObject({ name: 'Ada Weir', role: 'owner' })
    await expect(people.begin({ ...OWNER, from })).rejects.toThrow('has an owner already')
    const again = new People(new PeopleFile(folder), quick, () => now)
    expect((await again.at(device.id))?.person.id).toBe(person.id)
    expect(statSync(join(folder, PEOPLE_NAME)).mode & 0o077).toBe(0)
  })

  it.each([
    ['otter', 'At least 12 letters'],
    ['passwordpassword', 'guessed too soon'],
    ['ada weir ada weir', 'guessed too soon'],
    ['x'.repeat(129), 'At most 128 letters'],
  ])('takes no passphrase that is soon guessed: %s', async (passphrase, why) => {
    await expect(people.begin({ ...OWNER, passphrase, from })).rejects.toThrow(why)
    expect(await people.isAnybody()).toBe(false)
  })

  it('signs in by name, however it is written, and passphrase', async () => {
    await people.begin({ ...OWNER, from })
    const { person, device } = await people.signIn({ name: ' ada  WEIR', passphrase: OWNER.passphrase, from })
    expect((await people.at(device.id))?.person.name).toBe(person.name)
    await expect(people.signIn({ ...OWNER, passphrase: 'otter lantern gravel ten', from })).rejects.toThrow(NotSo)
    await expect(people.signIn({ ...OWNER, name: 'Nobody', from })).rejects.toThrow('Nobody of that name')
  })

  it('slows tries of a name from an address, and of either alone; whoever knows gets in from elsewhere', async () => {
    await people.begin({ ...OWNER, from })
    const wrong = (name: string, address: string) =>
      people.signIn({ name, passphrase: 'x', from: { device: '', address } }).catch((error: NotSo) => error.wait ?? 0)
    for (let tries = 0; tries < 5; tries++) expect(await wrong('Ada Weir', '10.0.1.9')).toBe(0)
    expect(await wrong('Ada Weir', '10.0.1.9')).toBe(2)
    // Not even the right one is looked at meanwhile; from elsewhere it is.
    const there = { ...from, address: '10.0.1.9' }
    await expect(people.signIn({ ...OWNER, from: there })).rejects.toThrow('wait 2 seconds')
    later(2_000)
    expect(await wrong('Ada Weir', '10.0.1.9')).toBe(0)
    expect(await wrong('Ada Weir', '10.0.1.9')).toBe(4)
    for (let tries = 0; tries < 14; tries++) expect(await wrong('Ada Weir', `10.0.3.${tries}`)).toBe(0)
    expect(await wrong('Ada Weir', '10.0.3.99')).toBe(2)
    later(2_000)
    for (let tries = 0; tries < 40; tries++) expect(await wrong(`Somebody ${tries}`, '10.0.9.9')).toBe(0)
    expect(await wrong('Somebody else', '10.0.9.9')).toBe(2)
    await people.signIn({ ...OWNER, from })
    // A name that got in begins anew.
    expect(await wrong('Ada Weir', '10.0.3.98')).toBe(0)
  })

  it('never lets more than a hundred tries of a name through in an hour', async () => {
    await people.begin({ ...OWNER, from })
    let looked = 0
    for (let second = 0; second < 3_600; second++) {
      const address = `10.1.${second >> 8}.${second & 255}`
      const tried = people.signIn({ ...OWNER, passphrase: 'x', from: { device: '', address } })
      if (await tried.catch((error: NotSo) => error.wait === undefined)) looked++
      later(1_000)
    }
    expect(looked).toBeGreaterThan(20)
    expect(looked).toBeLessThan(100)
  })
})

describe('invitations and devices', () => {
  it('an invitation is good once, for whom it is, and for three days', async () => {
    const { person } = await people.begin({ ...OWNER, from })
    const { token } = await people.invite(person.id, { name: 'Bo Heddle', role: 'technician' })
    expect(await people.invited(token)).toEqual({ name: 'Bo Heddle', isNew: true })
    await expect(people.join(token, { passphrase: 'short', from })).rejects.toThrow('At least 12')
    const joined = await people.join(token, { passphrase: 'seven herons by the weir', from })
    expect(joined.person).toMatchObject({ name: 'Bo Heddle', role: 'technician' })
    await expect(people.join(token, { passphrase: 'seven herons by the weir', from })).rejects.toThrow(
      'not good any more',
    )
    const late = await people.invite(person.id, { name: 'Cy Flume', role: 'learner' })
    later(3 * 86_400_000 + 1)
    expect(await people.invited(late.token)).toBeUndefined()
    await expect(people.invite(person.id, { name: 'bo heddle', role: 'office' })).rejects.toThrow(
      'has that name already',
    )
  })

  it('a second device is in without a passphrase, for some minutes', async () => {
    const { person } = await people.begin({ ...OWNER, from })
    const { token } = await people.invite(person.id, { person: person.id })
    const second = await people.join(token, { from: { ...from, device: 'Android' } })
    expect(second.person.id).toBe(person.id)
    expect((await people.all()).devices.map(({ name }) => name)).toEqual(['Linux', 'Android'])
    const late = await people.invite(person.id, { person: person.id })
    later(15 * 60_000 + 1)
    await expect(people.join(late.token, { from })).rejects.toThrow('not good any more')
  })

  it('a device that was shut out, was not used for long, or is whose it was no more, is out', async () => {
    const { person, device } = await people.begin({ ...OWNER, from })
    const second = await people.signIn({ ...OWNER, from })
    await people.end(person.id, second.device.id, 'shut-out')
    expect(await people.at(second.device.id)).toBeUndefined()
    expect(await people.at(device.id)).toBeDefined()
    later(59 * 86_400_000)
    expect(await people.at(device.id)).toBeDefined()
    later(59 * 86_400_000)
    expect(await people.at(device.id)).toBeDefined()
    later(61 * 86_400_000)
    expect(await people.at(device.id)).toBeUndefined()
  })

  it('lines that wait in a browser are of whoever was in there, but of a lost device only for its own', async () => {
    const { person, device } = await people.begin({ ...OWNER, from })
    const lost = await people.signIn({ ...OWNER, from })
    await people.end(person.id, lost.device.id, 'shut-out')
    const ids = [device.id, lost.device.id]
    expect([...(await people.onDevices(ids, person.id)).keys()]).toEqual(ids)
    expect([...(await people.onDevices(ids, 'another')).keys()]).toEqual([device.id])
    // Their own are known by their name alone.
    expect([...(await people.onDevices([], person.id)).keys()]).toEqual(ids)
  })

  it('who has forgotten the passphrase is let in by the owner, says another, and is signed out elsewhere', async () => {
    const owner = await people.begin({ ...OWNER, from })
    const { token } = await people.invite(owner.person.id, { name: 'Bo Heddle', role: 'technician' })
    const bo = await people.join(token, { passphrase: 'seven herons by the weir', from })
    const anew = await people.invite(owner.person.id, { person: bo.person.id, isAnew: true })
    expect(await people.invited(anew.token)).toEqual({ name: 'Bo Heddle', isNew: true })
    await expect(people.join(anew.token, { from })).rejects.toThrow('At least 12')
    const back = await people.join(anew.token, { passphrase: 'brass kettle under ivy', from })
    expect(back.person.id).toBe(bo.person.id)
    expect([await people.at(bo.device.id), (await people.at(back.device.id))?.person.role]).toEqual([
      undefined,
      'technician',
    ])
    const signIn = (passphrase: string) => people.signIn({ name: 'Bo Heddle', passphrase, from })
    await expect(signIn('seven herons by the weir')).rejects.toThrow('Nobody of that name')
    expect((await signIn('brass kettle under ivy')).person.id).toBe(bo.person.id)
    expect((await people.all()).people).toHaveLength(2)
    await expect(people.invite(owner.person.id, { person: 'x', isAnew: true })).rejects.toThrow('nobody of that id')
  })

  it('a calendar has a key, which is ended like a device', async () => {
    const { person } = await people.begin({ ...OWNER, from })
    const key = await people.giveKey(person.id)
    expect((await people.withKey(key))?.id).toBe(person.id)
    expect(await people.withKey(`${key}x`)).toBeUndefined()
    const calendar = (await people.all()).devices.find(({ name }) => name === 'A calendar')
    expect(JSON.stringify(calendar)).not.toContain('key')
    await people.end(person.id, calendar?.id ?? '', 'shut-out')
    expect(await people.withKey(key)).toBeUndefined()
  })

  it('another passphrase puts all other devices out', async () => {
    const first = await people.begin({ ...OWNER, from })
    const other = await people.signIn({ ...OWNER, from })
    await expect(people.changePassphrase(first, 'wrong', 'nine lanterns over gravel')).rejects.toThrow(
      'not the passphrase',
    )
    await people.changePassphrase(first, OWNER.passphrase, 'nine lanterns over gravel')
    expect(await people.at(other.device.id)).toBeUndefined()
    expect(await people.at(first.device.id)).toBeDefined()
    await expect(people.signIn({ ...OWNER, from })).rejects.toThrow('Nobody of that name')
  })

  it('the last owner stays one; who leaves leaves nothing but what they wrote', async () => {
    const { person } = await people.begin({ ...OWNER, from })
    await expect(people.changeRole(person.id, person.id, 'technician')).rejects.toThrow('needs an owner')
    await expect(people.remove(person.id, person.id)).rejects.toThrow('needs an owner')
    const { token } = await people.invite(person.id, { name: 'Bo Heddle', role: 'office' })
    const joined = await people.join(token, { passphrase: 'seven herons by the weir', from })
    await people.remove(person.id, joined.person.id)
    expect(await people.at(joined.device.id)).toBeUndefined()
    expect((await people.all()).people.map(({ name }) => name)).toEqual(['Ada Weir'])
    expect((await people.noted(10)).map(({ what }) => what)).toEqual(['removed', 'joined', 'invited', 'first-owner'])
  })

  it('a list that cannot be read lets nobody in, and is not written over', async () => {
    writeFileSync(join(folder, PEOPLE_NAME), '{"people":[]}')
    await expect(people.isAnybody()).rejects.toThrow('cannot be read')
    await expect(people.begin({ ...OWNER, from })).rejects.toThrow('cannot be read')
  })
})

describe('people in a backup', () => {
  it('are there again with their passphrases, and everybody signs in anew', async () => {
    const { person, device } = await people.begin({ ...OWNER, from })
    const kept = await peopleToKeep(new PeopleFile(folder))
    const other = mkdtempSync(join(tmpdir(), 'pike-lamp-people-'))
    try {
      const keeper = new PeopleFile(other)
      await restorePeople(JSON.stringify(kept), keeper)
      const restored = new People(keeper, quick, () => now)
      expect(await restored.at(device.id)).toBeUndefined()
      expect((await restored.signIn({ ...OWNER, from })).person.id).toBe(person.id)
      expect((await restored.noted(10)).map(({ what }) => what)).toEqual(['signed-in', 'first-owner'])
      await expect(restorePeople('{"people":[{"name":"x"}],"audit":[]}', keeper)).rejects.toThrow('cannot be read')
    } finally {
      rmSync(other, { recursive: true, force: true })
    }
  })
  it('nothing where nobody was written down', async () => {
    expect(await peopleToKeep(new PeopleFile(folder))).toBeUndefined()
  })
})

describe('the slow hash', () => {
  it('knows the passphrase again, however its letters are composed, and no other; each hash is another', async () => {
    const [one, two] = [await slowHash.hash('otter länter gravel'), await slowHash.hash('otter länter gravel')]
    expect(one).not.toBe(two)
    expect(one).toMatch(/^\$scrypt\$n=32768,r=8,p=3\$/)
    expect(await slowHash.verify(one, 'otter la\u0308nter gravel')).toBe(true)
    expect(await slowHash.verify(one, 'otter lantern gravel')).toBe(false)
    expect(await slowHash.verify('', 'otter länter gravel')).toBe(false)
  })
})
