import { connect, type Socket } from 'node:net'
import type { FunctionName } from '../../core/instruments/functions'
import type { InstrumentSetting } from '../../core/instruments/settings'
import { ScpiTalk } from '../../core/instruments/talk'
import type { Driver, Listener } from './driver'

/** How often it is looked whether something is to be sent, milliseconds. */
const TICK = 50
/** From one try to connect to the next, at first and at most, milliseconds. */
const [FIRST_WAIT, LONGEST_WAIT] = [500, 10_000]
const CONNECTING = 3_000

/** Hears an instrument that speaks SCPI over TCP; whatever becomes of the wire, it is tried again. */
export class ScpiDriver implements Driver {
  #socket: Socket | undefined
  #talk: ScpiTalk | undefined
  #ticking: ReturnType<typeof setInterval> | undefined
  #again: ReturnType<typeof setTimeout> | undefined
  #wait = FIRST_WAIT
  #isStopped = false
  #want: FunctionName | undefined

  constructor(
    private readonly setting: InstrumentSetting,
    private readonly listener: Listener,
    private readonly now: () => number = Date.now,
  ) {
    this.#connect()
  }

  want(name: FunctionName | undefined): void {
    this.#want = name
    if (this.#talk) this.#talk.want = name
  }

  stop(): void {
    this.#isStopped = true
    clearTimeout(this.#again)
    clearInterval(this.#ticking)
    this.#socket?.destroy()
  }

  #connect(): void {
    const { host = '', port = 0 } = this.setting
    const socket = connect({ host: host === 'localhost' ? '127.0.0.1' : host, port })
    this.#socket = socket
    // Each byte one letter: what is no letter of a number is refused as a line, and nothing is lost between pieces.
    socket.setEncoding('latin1').setNoDelay(true).setTimeout(CONNECTING)
    socket.once('connect', () => {
      socket.setTimeout(0)
      this.#wait = FIRST_WAIT
      this.#begin(socket)
    })
    socket.once('timeout', () => socket.destroy())
    socket.on('error', () => undefined)
    socket.once('close', () => this.#ended())
  }

  #begin(socket: Socket): void {
    const talk = new ScpiTalk(this.setting)
    talk.want = this.#want
    this.#talk = talk
    this.listener.stands({ is: 'connected' })
    let wasSilent = false
    const send = () => {
      const line = talk.next(this.now())
      if (line !== undefined && socket.writable) socket.write(`${line}\n`)
      if (talk.isSilent === wasSilent) return
      wasSilent = talk.isSilent
      this.listener.stands(
        talk.isSilent ? { is: 'away', says: 'It is there, and does not answer.' } : { is: 'connected' },
      )
    }
    socket.on('data', (piece: string) => {
      for (const reading of talk.push(piece, this.now())) this.listener.heard(reading)
      send()
    })
    this.#ticking = setInterval(send, TICK)
    send()
  }

  #ended(): void {
    clearInterval(this.#ticking)
    this.#talk = undefined
    if (this.#isStopped) return
    const { host, port } = this.setting
    this.listener.stands({ is: 'away', says: `Nothing answers at ${host}, port ${port}.` })
    this.#again = setTimeout(() => this.#connect(), this.#wait)
    this.#wait = Math.min(LONGEST_WAIT, this.#wait * 2)
  }
}
