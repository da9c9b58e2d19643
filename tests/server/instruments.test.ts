import { appendFile, mkdir, readFile, writeFile } from 'node:fs/promises'
import { createServer, type AddressInfo, type Socket } from 'node:net'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { InstrumentReading, InstrumentState } from '#core/instruments/reading'
import type { InputError } from '#core/validation/input-error'
import { Instruments } from '../../server/instruments/hub'
import { NO_TROUBLES, StandIn, type Troubles } from '../../server/instruments/stand-ins/stand-in'
import { temporaryFolder } from './serve'

const TIMEOUT = { timeout: 15_000, interval: 20 }

describe('instruments of a shop', () => {
  const folder = temporaryFolder()
  let hub: Instruments
  const ends: (() => unknown)[] = []
  beforeEach(() => {
    hub = new Instruments(folder.path)
  })
  afterEach(async () => {
    await hub.close()
    for (const end of ends.splice(0)) await end()
    folder.remove()
  })

  /** Hears what a follower is told. */
  async function followed(want?: Parameters<Instruments['follow']>[1]) {
    const heard: InstrumentReading[] = []
    const told: { batches: number; states: readonly InstrumentState[] } = { batches: 0, states: [] }
    const ended = new AbortController()
    const follower = {
      readings: (readings: readonly InstrumentReading[]) => {
        told.batches++
        heard.push(...readings)
      },
      states: (states: readonly InstrumentState[]) => {
        told.states = states
      },
    }
    await hub.follow(follower, want, ended.signal)
    ends.push(() => ended.abort())
    return { heard, told, end: () => ended.abort() }
  }
  async function meter(troubles: Partial<Troubles> = {}, value = 236) {
    const standIn = await StandIn.start({
      name: 'multimeter',
      functions: ['VOLT:AC', 'RES'],
      value: (name) => (name === 'RES' ? 2.1 : value),
      troubles: { ...NO_TROUBLES, ...troubles },
    })
    ends.push(() => standIn.stop())
    return standIn
  }
  const listed = (port: number, more: object = {}) =>
    hub.set({ instruments: [{ id: 'm', name: 'multimeter', by: 'scpi', host: '127.0.0.1', port, ...more }] })

  it('are heard while somebody looks, and asked for what is lit', async () => {
    await listed((await meter()).port, { turns: true })
    const { heard, told } = await followed('RES')
    await vi.waitFor(() => expect(heard.at(-1)).toMatchObject({ unit: 'ohm', name: 'multimeter' }), TIMEOUT)
    expect(told.states).toMatchObject([{ instrument: 'm', is: 'connected' }])
    await vi.waitFor(() => expect(Math.abs((heard.at(-1)?.value ?? 0) - 2.1)).toBeLessThan(0.1), TIMEOUT)
  })

  it.each<[string, Partial<Troubles>]>([
    ['drop-outs', { dropOut: 0.3 }],
    ['ten megabytes without an end', { hostile: 0.1 }],
    ['another unit than it shows', { wrongUnit: 0.3 }],
    ['a flat battery', { flatBattery: 0.5 }],
    ['over range', { overRange: 0.3 }],
  ])('%s are survived', async (_, troubles) => {
    await listed((await meter(troubles)).port)
    const { heard } = await followed()
    await vi.waitFor(() => expect(heard.length).toBeGreaterThan(4), TIMEOUT)
    // What is said to be volts is volts, or nothing; what is not is what it says it is set to.
    for (const { function: set, value } of heard)
      if (set === 'VOLT:AC' && value !== null) expect(Math.abs(value - 236)).toBeLessThan(40)
    expect(process.memoryUsage().heapUsed).toBeLessThan(1_500_000_000)
  })

  it('unplugged in the middle are away, and are heard again when they are back', async () => {
    const standIn = await meter()
    const { port } = standIn
    await listed(port)
    const { heard, told } = await followed()
    await vi.waitFor(() => expect(heard.length).toBeGreaterThan(0), TIMEOUT)
    await standIn.stop()
    await vi.waitFor(() => expect(told.states[0]).toMatchObject({ is: 'away' }), TIMEOUT)
    const again = await StandIn.start({ name: 'multimeter', functions: ['VOLT:AC'], value: () => 236, port })
    ends.push(() => again.stop())
    const before = heard.length
    await vi.waitFor(() => expect(heard.length).toBeGreaterThan(before), TIMEOUT)
    expect(told.states[0]).toMatchObject({ is: 'connected' })
  })

  it('a thousand readings a second are ten a second to whoever looks, and nothing is kept', async () => {
    const sockets = new Set<Socket>()
    let sent = 0
    const server = createServer((socket) => {
      sockets.add(socket)
      socket.on('error', () => undefined)
      socket.setEncoding('latin1').on('data', (asked: string) => {
        if (asked.includes('CONF?')) socket.write('"VOLT:AC 600"\n')
        else if (asked.includes('IDN') || asked.includes('STAT')) socket.write('0\n')
      })
      const flooding = setInterval(() => {
        socket.write('+2.36E+02\n'.repeat(20))
        sent += 20
      }, 20)
      socket.once('close', () => clearInterval(flooding))
    })
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
    ends.push(() => {
      for (const socket of sockets) socket.destroy()
      server.close()
    })
    await listed((server.address() as AddressInfo).port)
    const { heard, told } = await followed()
    await vi.waitFor(() => expect(sent).toBeGreaterThan(2_000), TIMEOUT)
    expect(heard.length).toBeGreaterThan(0)
    expect(told.batches).toBeLessThan(sent / 20)
    expect(heard.every(({ value }) => value === 236 || value === 0)).toBe(true)
    const kept = await readFile(join(folder.path, 'instruments.json'), 'utf8')
    expect(kept).not.toContain('236')
  })

  it('a logger is heard by the lines that it adds, in the unit of its head', async () => {
    await mkdir(join(folder.path, 'instruments'), { recursive: true })
    const path = join(folder.path, 'instruments/log.csv')
    await writeFile(path, 'time,pressure (kPa)\n0,999\n')
    await hub.set({ instruments: [{ id: 'l', name: 'logger', by: 'csv', file: 'log.csv', function: 'PRES' }] })
    const { heard, told } = await followed()
    await vi.waitFor(() => expect(told.states[0]).toMatchObject({ is: 'connected' }), TIMEOUT)
    // What it held before is no reading of now, nonsense is none, and half a line waits for its end.
    await appendFile(path, '1,344.74\nnot,a number\n2,34')
    await vi.waitFor(() => expect(heard).toHaveLength(1), TIMEOUT)
    expect(heard[0]).toMatchObject({ function: 'PRES', unit: 'psi', name: 'logger' })
    expect(heard[0]!.value).toBeCloseTo(50, 1)
    await appendFile(path, '4.74\n')
    await vi.waitFor(() => expect(heard).toHaveLength(2), TIMEOUT)
    expect(heard[1]!.value).toBeCloseTo(50, 1)
  })
  it('the end of a line that was half written when it was first looked at is no reading', async () => {
    await mkdir(join(folder.path, 'instruments'), { recursive: true })
    const path = join(folder.path, 'instruments/log.csv')
    await writeFile(path, 'time,pressure (psi)\n0,4')
    await hub.set({ instruments: [{ id: 'l', name: 'logger', by: 'csv', file: 'log.csv', function: 'PRES' }] })
    const { heard, told } = await followed()
    await vi.waitFor(() => expect(told.states[0]).toMatchObject({ is: 'connected' }), TIMEOUT)
    await appendFile(path, '8.5\n1,48.6\n')
    await vi.waitFor(() => expect(heard.length).toBeGreaterThan(0), TIMEOUT)
    expect(heard.map(({ value }) => value)).toEqual([48.6])
    // Far more than is read at once: what is cut by that is no reading either.
    await appendFile(path, `${'2,12345678.25\n'.repeat(12_000)}3,47.5\n`)
    await vi.waitFor(() => expect(heard.at(-1)?.value).toBe(47.5), TIMEOUT)
    for (const { value } of heard) expect([48.6, 47.5, 12345678.25]).toContain(value)
  })
  it('a logger without its file says so, and is heard once there is one', async () => {
    await hub.set({ instruments: [{ id: 'l', name: 'logger', by: 'csv', file: 'late.csv', function: 'TEMP' }] })
    const { told } = await followed()
    await vi.waitFor(() => expect(told.states[0]?.says).toMatch(/no file late\.csv/), TIMEOUT)
  })

  it('are let go when nobody looks any more', async () => {
    const standIn = await meter()
    await listed(standIn.port)
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const { end, heard } = await followed()
    end()
    vi.advanceTimersByTime(6_000)
    vi.useRealTimers()
    const before = heard.length
    await new Promise((done) => setImmediate(done))
    expect(heard.length).toBe(before)
    expect(await hub.states()).toMatchObject([{ is: 'off' }])
  })

  it.each([
    [{ host: '8.8.8.8' }, 'instruments.0.host'],
    [{ host: 'example.org' }, 'instruments.0.host'],
    [{ port: 70_000 }, 'instruments.0.port'],
    [{ id: '../x' }, 'instruments.0.id'],
    [{ by: 'csv', file: '../../secret.csv', function: 'PRES' }, 'instruments.0.file'],
    [{ by: 'csv', file: 'log.csv' }, 'instruments.0.function'],
  ])('%j is refused by its field, and the list stays as it was', async (more, field) => {
    await listed(5025)
    const refused = await listed(5025, more).catch((error: unknown) => error)
    expect((refused as InputError).problems.map((problem) => problem.field)).toContain(field)
    expect(await new Instruments(folder.path).settings()).toMatchObject([{ id: 'm', host: '127.0.0.1' }])
  })

  it('simulated ones are on one switch, turned twice at once too, and none of them is kept', async () => {
    await Promise.all([hub.turnStandIns(true), hub.turnStandIns(true)])
    expect(hub.hasStandIns).toBe(true)
    expect(await hub.all()).toHaveLength(7)
    const { heard } = await followed()
    await vi.waitFor(() => {
      const seen = new Set(heard.map(({ unit }) => unit))
      for (const unit of ['V', 'A', 'uF', 'Mohm', 'psi', 'celsius'] as const) expect(seen).toContain(unit)
    }, TIMEOUT)
    await hub.turnStandIns(false)
    expect(await hub.all()).toEqual([])
    expect(await hub.settings()).toEqual([])
  })
})
