import { createServer, type AddressInfo, type Server, type Socket } from 'node:net'
import { meterFunction, type FunctionName } from '../../../core/instruments/functions'
import { LineReader } from '../../../core/instruments/line-reader'
import { FLAT_BATTERY_BIT, writeConfiguration, writeNumber } from '../../../core/instruments/scpi'
import { chance, type Chance } from '../../../core/quantity/random'

/** How often things go wrong with a stand-in, as shares of what it is asked. */
export interface Troubles {
  /** It says nothing. */
  dropOut: number
  overRange: number
  /** It says that it is set to something else than it shows. */
  wrongUnit: number
  flatBattery: number
  /** Ten megabytes without an end. */
  hostile: number
}
export const NO_TROUBLES: Troubles = { dropOut: 0, overRange: 0, wrongUnit: 0, flatBattery: 0, hostile: 0 }
export const TROUBLES: Troubles = {
  dropOut: 0.01,
  overRange: 0.005,
  wrongUnit: 0.005,
  flatBattery: 0.02,
  hostile: 0.001,
}

const HOSTILE_BYTES = 10 * 1024 * 1024
/** A hand’s tremble at the leads, as a share of the reading. */
const NOISE = 0.0015
/** After it was turned, or taken to another place, it needs so many readings to come to rest. */
const SETTLES_IN = 3
const SETTLING = 0.12

export interface StandInOptions {
  name: string
  /** What it can be set to, the first at the start. */
  functions: readonly FunctionName[]
  /** What it would show, in the program’s unit; null over range. */
  value: (name: FunctionName) => number | null
  port?: number
  troubles?: Troubles
  seed?: number
}

/** A simulated instrument that speaks SCPI over TCP on this machine alone. */
export class StandIn {
  readonly #server: Server
  readonly #sockets = new Set<Socket>()
  readonly #chance: Chance
  #set: FunctionName
  #sinceTurned = 0

  private constructor(private readonly options: StandInOptions) {
    this.#chance = chance(options.seed ?? 7)
    this.#set = options.functions[0] as FunctionName
    this.#server = createServer((socket) => this.#serve(socket))
  }

  /** @throws where the port is taken */
  static async start(options: StandInOptions): Promise<StandIn> {
    const one = new StandIn(options)
    await new Promise<void>((done, fail) => {
      one.#server.once('error', fail)
      one.#server.listen(options.port ?? 0, '127.0.0.1', done)
    })
    return one
  }

  get port(): number {
    return (this.#server.address() as AddressInfo).port
  }

  /** Pulls its plug: whoever is connected is cut off. */
  unplug(): void {
    for (const socket of this.#sockets) socket.destroy()
  }

  async stop(): Promise<void> {
    this.unplug()
    await new Promise<void>((done) => this.#server.close(() => done()))
  }

  #serve(socket: Socket): void {
    const lines = new LineReader()
    this.#sockets.add(socket)
    socket.setEncoding('latin1').setNoDelay(true)
    socket.on('error', () => undefined)
    socket.once('close', () => this.#sockets.delete(socket))
    socket.on('data', (piece: string) => {
      for (const line of lines.push(piece)) {
        const said = this.#answer(line.trim().toUpperCase())
        if (said !== undefined && socket.writable) socket.write(said)
      }
    })
  }

  #happens = (share: number) => share > 0 && this.#chance.next() < share

  #answer(asked: string): string | undefined {
    const { name, functions, troubles = NO_TROUBLES } = this.options
    if (this.#happens(troubles.hostile)) return '9'.repeat(HOSTILE_BYTES)
    if (this.#happens(troubles.dropOut)) return undefined
    if (asked === '*IDN?') return `PIKE LAMP STAND-IN,${name},1,1\n`
    if (asked === 'STAT:QUES:COND?') return `${this.#happens(troubles.flatBattery) ? 1 << FLAT_BATTERY_BIT : 0}\n`
    if (asked === 'CONF?')
      return `${writeConfiguration({ function: this.#happens(troubles.wrongUnit) ? 'TEMP' : this.#set })}\n`
    if (asked.startsWith('CONF:')) {
      const wanted = asked.slice('CONF:'.length) as FunctionName
      if (functions.includes(wanted) && wanted !== this.#set) {
        this.#set = wanted
        this.#sinceTurned = 0
      }
      return undefined
    }
    return asked === 'READ?' ? `${writeNumber(this.#read(troubles))}\n` : undefined
  }

  #read(troubles: Troubles): number | null {
    const value = this.options.value(this.#set)
    if (value === null || this.#happens(troubles.overRange)) return null
    const unsettled = this.#sinceTurned < SETTLES_IN ? SETTLING / (this.#sinceTurned + 1) : 0
    this.#sinceTurned++
    const { perSi } = meterFunction(this.#set)
    return (value * (1 + unsettled + this.#chance.normal(0, NOISE))) / perSi
  }
}
