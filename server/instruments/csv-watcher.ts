import { open, stat } from 'node:fs/promises'
import { errorOf, meterFunction, type FunctionName } from '../../core/instruments/functions'
import { LineReader } from '../../core/instruments/line-reader'
import { accuracyOf, type InstrumentSetting } from '../../core/instruments/settings'
import { readUnit } from '../../core/quantity/units'
import type { Driver, Listener } from './driver'

/** How often it is looked whether the file has grown, milliseconds. */
const LOOK = 300
/** Of what came since the last look no more is read: what is older is no reading of now. */
const MOST_NEW = 64 * 1024
const MOST_HEAD = 4 * 1024

/** Hears a logger by the file that it writes: each line that is added is a reading, by its last column. */
export class CsvWatcher implements Driver {
  #timer: ReturnType<typeof setTimeout> | undefined
  #isStopped = false
  #from: number | undefined
  #lines = new LineReader()
  /** The first line that ends is the end of one. */
  #isHalf = false
  /** How many of the program’s unit one of its last column is. */
  #toUnit: ((value: number) => number) | undefined
  #stood: string | undefined

  constructor(
    private readonly setting: InstrumentSetting,
    private readonly path: string,
    private readonly listener: Listener,
    private readonly now: () => number = Date.now,
  ) {
    void this.#look()
  }

  /** A logger has no dial. */
  want(): void {
    return undefined
  }

  stop(): void {
    this.#isStopped = true
    clearTimeout(this.#timer)
  }

  async #look(): Promise<void> {
    try {
      await this.#readNew()
    } catch (error) {
      const isMissing = (error as NodeJS.ErrnoException).code === 'ENOENT'
      this.#stand('away', isMissing ? `There is no file ${this.setting.file} yet.` : 'Its file cannot be read.')
      this.#from = undefined
    }
    if (!this.#isStopped) this.#timer = setTimeout(() => void this.#look(), LOOK)
  }

  #stand(is: 'connected' | 'away', says?: string): void {
    if (this.#stood === `${is} ${says}`) return
    this.#stood = `${is} ${says}`
    this.listener.stands({ is, ...(says ? { says } : {}) })
  }

  async #readNew(): Promise<void> {
    const { size } = await stat(this.path)
    this.#stand('connected')
    // What it held before it was looked at is no reading of now; a file that was begun anew is read from its beginning.
    if (this.#from === undefined || size < this.#from) {
      this.#toUnit = unitIn(await this.#part(0, Math.min(size, MOST_HEAD)), this.setting.function)
      await this.#begin(this.#from === undefined ? size : 0)
    }
    if (size === this.#from) return
    if (size - (this.#from as number) > MOST_NEW) await this.#begin(size - MOST_NEW)
    const from = this.#from as number
    const text = await this.#part(from, size - from)
    this.#from = size
    for (const line of this.#lines.push(text)) {
      // The end of a line whose beginning was passed over is no number.
      if (this.#isHalf) this.#isHalf = false
      else this.#hear(line)
    }
  }

  /** Reads on from here, which may be in the middle of a line. */
  async #begin(from: number): Promise<void> {
    this.#lines = new LineReader()
    this.#isHalf = from > 0 && (await this.#part(from - 1, 1)) !== '\n'
    this.#from = from
  }

  async #part(from: number, length: number): Promise<string> {
    const file = await open(this.path, 'r')
    try {
      const { buffer, bytesRead } = await file.read(Buffer.alloc(length), 0, length, from)
      return buffer.subarray(0, bytesRead).toString('latin1')
    } finally {
      await file.close()
    }
  }

  #hear(line: string): void {
    const { id, name, function: set } = this.setting
    const last =
      line
        .split(/[,;\t]/)
        .at(-1)
        ?.trim() ?? ''
    if (!set || !/^[+-]?\d+(\.\d+)?$/.test(last)) return
    const { unit } = meterFunction(set)
    const value = this.#toUnit?.(Number(last)) ?? Number(last)
    this.listener.heard({
      instrument: id,
      name,
      function: set,
      unit,
      value,
      error: errorOf(value, accuracyOf(this.setting, set)),
      at: this.now(),
    })
  }
}

/** What the head of the last column says of its unit, such as `pressure (kPa)`. */
function unitIn(text: string, name: FunctionName | undefined): ((value: number) => number) | undefined {
  const head =
    text
      .split('\n')[0]
      ?.split(/[,;\t]/)
      .at(-1) ?? ''
  const spelled = /[([]\s*([^)\]]+?)\s*[)\]]/.exec(head)?.[1]
  const unit = spelled && name ? readUnit(spelled, meterFunction(name).unit) : undefined
  return unit?.toCanonical
}
