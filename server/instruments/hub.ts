import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { FunctionName } from '../../core/instruments/functions'
import type { InstrumentReading, InstrumentState } from '../../core/instruments/reading'
import { checkInstruments, InstrumentsInput, type InstrumentSetting } from '../../core/instruments/settings'
import { InputError } from '../../core/validation/input-error'
import { validated } from '../../core/validation/validated'
import { isNear } from '../services/addresses'
import { writeWhole } from '../services/whole-file'
import { CsvWatcher } from './csv-watcher'
import type { Driver } from './driver'
import { ScpiDriver } from './scpi-driver'
import { StandIns } from './stand-ins/stand-ins'

const SETTINGS_NAME = 'instruments.json'
const FOLDER_NAME = 'instruments'
/** Whoever follows is told at most so often, whatever comes, milliseconds. */
const TELL = 100
/** So long after nobody follows any more the instruments are let go, milliseconds. */
const LET_GO = 5_000

/** What a follower is told. */
export interface Follower {
  readings: (readings: readonly InstrumentReading[]) => void
  states: (states: readonly InstrumentState[]) => void
}

/**
 * The instruments of a shop, heard while somebody looks at a visit, and kept nowhere: what is not taken is forgotten.
 * Of a flood of readings each follower gets the newest of each instrument, ten times a second at most.
 */
export class Instruments {
  #settings: readonly InstrumentSetting[] | undefined
  #standIns: StandIns | undefined
  #turningStandIns: Promise<void> = Promise.resolve()
  readonly #drivers = new Map<string, Driver>()
  readonly #states = new Map<string, InstrumentState>()
  readonly #followers = new Map<Follower, FunctionName | undefined>()
  readonly #fresh = new Map<string, InstrumentReading>()
  #telling: ReturnType<typeof setInterval> | undefined
  #lettingGo: ReturnType<typeof setTimeout> | undefined

  constructor(
    private readonly dataDir: string,
    private readonly now: () => number = Date.now,
  ) {}

  /** The shop’s own, as they are kept. */
  async settings(): Promise<readonly InstrumentSetting[]> {
    this.#settings ??= await readKept(join(this.dataDir, SETTINGS_NAME))
    return this.#settings
  }
  /** The shop’s own and the simulated ones. */
  async all(): Promise<readonly InstrumentSetting[]> {
    return [...(await this.settings()), ...(this.#standIns?.settings ?? [])]
  }
  get hasStandIns(): boolean {
    return this.#standIns !== undefined
  }
  async states(): Promise<InstrumentState[]> {
    return (await this.all()).map(
      ({ id, name }) => this.#states.get(id) ?? { instrument: id, name, is: 'off' as const },
    )
  }

  /**
   * Keeps another list of them.
   *
   * @throws InputError naming the field
   */
  async set(plain: unknown): Promise<readonly InstrumentSetting[]> {
    const { instruments } = validated(InstrumentsInput, plain as object)
    checkInstruments(instruments)
    const far = instruments.findIndex(({ by, host }) => by === 'scpi' && host !== 'localhost' && !isNear(host ?? ''))
    if (far >= 0)
      throw new InputError([
        {
          field: `instruments.${far}.host`,
          value: instruments[far]?.host,
          expected: 'localhost, or an address of this machine or of a private network, such as 192.168.1.40',
        },
      ])
    const kept = JSON.parse(JSON.stringify(instruments)) as InstrumentSetting[]
    await writeWhole(join(this.dataDir, SETTINGS_NAME), JSON.stringify({ instruments: kept }))
    this.#settings = kept
    await this.#begin()
    return kept
  }

  /** Turns the simulated ones on or off. */
  turnStandIns(on: boolean): Promise<void> {
    this.#turningStandIns = this.#turningStandIns
      .catch(() => undefined)
      .then(async () => {
        if (on === this.hasStandIns) return
        if (on) this.#standIns = await StandIns.start({ folder: join(this.dataDir, FOLDER_NAME) })
        else {
          const before = this.#standIns
          this.#standIns = undefined
          await before?.stop()
        }
        await this.#begin()
      })
    return this.#turningStandIns
  }

  /**
   * Tells of readings until it is ended.
   *
   * @param want what the lit check is read with, for instruments whose dial is turned from here
   */
  async follow(follower: Follower, want: FunctionName | undefined, signal: AbortSignal): Promise<void> {
    if (signal.aborted) return
    clearTimeout(this.#lettingGo)
    this.#followers.set(follower, want)
    signal.addEventListener('abort', () => this.#unfollow(follower), { once: true })
    if (this.#drivers.size === 0) await this.#begin()
    for (const driver of this.#drivers.values()) driver.want(want)
    follower.states(await this.states())
  }

  #unfollow(follower: Follower): void {
    this.#followers.delete(follower)
    if (this.#followers.size > 0) return
    this.#lettingGo = setTimeout(() => this.#end(), LET_GO)
    this.#lettingGo.unref()
  }

  /** Hears all that there are now, where somebody follows. */
  async #begin(): Promise<void> {
    const all = await this.all()
    // From here on in one breath: two that begin at once leave no driver behind.
    this.#end()
    if (this.#followers.size === 0) return
    const want = [...this.#followers.values()].at(-1)
    for (const setting of all) {
      const { id, name } = setting
      const listener = {
        heard: (reading: InstrumentReading) => void this.#fresh.set(id, reading),
        stands: (state: Pick<InstrumentState, 'is' | 'says'>) => {
          this.#states.set(id, { instrument: id, name, ...state })
          void this.#tellStates()
        },
      }
      const driver =
        setting.by === 'scpi'
          ? new ScpiDriver(setting, listener, this.now)
          : new CsvWatcher(setting, join(this.dataDir, FOLDER_NAME, setting.file ?? ''), listener, this.now)
      driver.want(want)
      this.#drivers.set(id, driver)
    }
    this.#telling ??= setInterval(() => this.#tell(), TELL)
    await this.#tellStates()
  }

  #tell(): void {
    if (this.#fresh.size === 0) return
    const readings = [...this.#fresh.values()]
    this.#fresh.clear()
    for (const follower of this.#followers.keys()) follower.readings(readings)
  }
  async #tellStates(): Promise<void> {
    const states = await this.states()
    for (const follower of this.#followers.keys()) follower.states(states)
  }

  #end(): void {
    clearInterval(this.#telling)
    this.#telling = undefined
    for (const driver of this.#drivers.values()) driver.stop()
    this.#drivers.clear()
    this.#states.clear()
    this.#fresh.clear()
  }

  async close(): Promise<void> {
    clearTimeout(this.#lettingGo)
    this.#followers.clear()
    this.#end()
    await this.turnStandIns(false)
  }
}

async function readKept(path: string): Promise<readonly InstrumentSetting[]> {
  const text = await readFile(path, 'utf8').catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return undefined
    throw error
  })
  if (text === undefined) return []
  try {
    return validated(InstrumentsInput, JSON.parse(text) as object).instruments
  } catch {
    // A list that is none any more is none: the owner sees it empty, and enters it anew.
    return []
  }
}
