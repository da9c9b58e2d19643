import type { FunctionName } from '#core/instruments/functions'
import type { InstrumentReading, InstrumentState } from '#core/instruments/reading'
import { ScpiTalk } from '#core/instruments/talk'

/** What of the browser’s serial ports is used. @source Web Serial API (W3C Community Group draft) */
interface SerialPort {
  open: (options: { baudRate: number }) => Promise<void>
  close: () => Promise<void>
  readable: ReadableStream<Uint8Array> | null
  writable: WritableStream<Uint8Array> | null
}
interface Serial {
  requestPort: () => Promise<SerialPort>
}
const serialOf = (): Serial | undefined => (navigator as Navigator & { serial?: Serial }).serial

const BAUD = 9_600
const TICK = 50

/** A meter on a cable of this device, where the browser lets one be asked for. */
export class SerialMeter {
  static readonly ID = 'by-cable'
  static readonly NAME = 'meter on the cable'
  #talk: ScpiTalk | undefined
  #want: FunctionName | undefined

  constructor(
    private readonly heard: (readings: readonly InstrumentReading[]) => void,
    private readonly stands: (state: InstrumentState) => void,
  ) {}

  /** Can this browser do it at all? */
  static isPossible(): boolean {
    return serialOf() !== undefined
  }
  want(name: FunctionName | undefined): void {
    this.#want = name
    if (this.#talk) this.#talk.want = name
  }

  /** @returns what went wrong, in a sentence; nothing where it is connected, or nobody chose one */
  async connect(): Promise<string | undefined> {
    const port = await serialOf()
      ?.requestPort()
      .catch(() => undefined)
    if (!port) return undefined
    try {
      await port.open({ baudRate: BAUD })
    } catch {
      return 'The cable is there and cannot be opened: another program may hold it.'
    }
    void this.#talkOn(port)
    return undefined
  }

  async #talkOn(port: SerialPort): Promise<void> {
    const [reader, writer] = [port.readable?.getReader(), port.writable?.getWriter()]
    const talk = new ScpiTalk({ id: SerialMeter.ID, name: SerialMeter.NAME, turns: true })
    talk.want = this.#want
    this.#talk = talk
    const state = { instrument: SerialMeter.ID, name: SerialMeter.NAME }
    this.stands({ ...state, is: 'connected' })
    const encoder = new TextEncoder()
    const ticking = setInterval(() => {
      const line = talk.next(Date.now())
      if (line !== undefined) void writer?.write(encoder.encode(`${line}\n`)).catch(() => undefined)
    }, TICK)
    const decoder = new TextDecoder('latin1')
    try {
      for (;;) {
        const { done, value } = (await reader?.read()) ?? { done: true as const, value: undefined }
        if (done) break
        const readings = talk.push(decoder.decode(value), Date.now())
        if (readings.length > 0) this.heard(readings)
      }
    } catch {
      // Pulled out in the middle: what was heard stays heard, and nothing more comes.
    } finally {
      clearInterval(ticking)
      this.#talk = undefined
      this.stands({ ...state, is: 'away', says: 'The cable is out.' })
      await port.close().catch(() => undefined)
    }
  }
}
