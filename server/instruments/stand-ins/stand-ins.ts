import { appendFile, mkdir, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { FunctionName } from '../../../core/instruments/functions'
import type { InstrumentSetting } from '../../../core/instruments/settings'
import { KPA_PER_PSI } from '../../../core/quantity/conversions'
import { chance } from '../../../core/quantity/random'
import { measured, pumpOfCode } from './measured'
import { NO_TROUBLES, StandIn, TROUBLES, type Troubles } from './stand-in'

/** The pump that they measure where no other is asked for: a pool pump that hums, its run capacitor weak. */
export const DEMO_CASE = 'pool.one.y'

const METERS: readonly { id: string; name: string; functions: readonly FunctionName[]; testVolts?: number }[] = [
  { id: 'multimeter', name: 'multimeter', functions: ['VOLT:AC', 'RES', 'VOLT:DC'] },
  { id: 'clamp', name: 'clamp', functions: ['CURR:AC'] },
  { id: 'capacitance', name: 'capacitance meter', functions: ['CAP'] },
  { id: 'insulation', name: 'insulation tester', functions: ['INS'], testVolts: 500 },
  { id: 'pressure', name: 'pressure gauge', functions: ['PRES'] },
  { id: 'thermometer', name: 'thermometer', functions: ['TEMP'] },
]
const LOG = 'stand-in-pressure.csv'
const LOG_EVERY = 500

export interface StandInsOptions {
  /** Where the pressure logger writes its file. */
  folder: string
  code?: string
  /** The port of the first; the others follow. Free ones where it is left out. */
  port?: number
  hasTroubles?: boolean
}

/** A bench of simulated instruments on one virtual pump: five that talk, and a logger that writes a file. */
export class StandIns {
  private constructor(
    readonly settings: readonly InstrumentSetting[],
    private readonly meters: readonly StandIn[],
    private readonly logging: ReturnType<typeof setInterval>,
    private readonly log: string,
  ) {}

  static async start({ folder, code = DEMO_CASE, port, hasTroubles = true }: StandInsOptions): Promise<StandIns> {
    const pump = pumpOfCode(code)
    const values = new Map<FunctionName, number | null>()
    // What a machine that stands still shows is worked out once.
    const value = (name: FunctionName) => {
      if (!values.has(name)) values.set(name, measured(pump, name))
      return values.get(name) ?? null
    }
    const troubles: Troubles = hasTroubles ? TROUBLES : NO_TROUBLES
    const meters: StandIn[] = []
    try {
      for (const [index, { name, functions }] of METERS.entries())
        meters.push(
          await StandIn.start({
            name,
            functions,
            value,
            troubles,
            seed: index + 1,
            ...(port === undefined ? {} : { port: port + index }),
          }),
        )
    } catch (error) {
      await Promise.all(meters.map((meter) => meter.stop()))
      throw error
    }
    const log = join(folder, LOG)
    await mkdir(folder, { recursive: true })
    await writeFile(log, 'seconds,pressure (kPa)\n')
    const dice = chance(99)
    let seconds = 0
    const logging = setInterval(() => {
      const psi = value('PRES')
      const kPa = psi === null ? undefined : psi * KPA_PER_PSI * (1 + dice.normal(0, 0.002))
      seconds += LOG_EVERY / 1000
      if (kPa !== undefined) void appendFile(log, `${seconds},${kPa.toFixed(2)}\n`).catch(() => undefined)
    }, LOG_EVERY)
    const settings = METERS.map(({ id, name, testVolts, functions }, index): InstrumentSetting => ({
      id: `stand-in-${id}`,
      name: `${name} (simulated)`,
      by: 'scpi',
      host: '127.0.0.1',
      port: (meters[index] as StandIn).port,
      ...(testVolts ? { testVolts } : {}),
      ...(functions.length > 1 ? { turns: true } : {}),
    }))
    const logger: InstrumentSetting = {
      id: 'stand-in-logger',
      name: 'pressure logger (simulated)',
      by: 'csv',
      file: LOG,
      function: 'PRES',
    }
    return new StandIns([...settings, logger], meters, logging, log)
  }

  async stop(): Promise<void> {
    clearInterval(this.logging)
    await Promise.all(this.meters.map((meter) => meter.stop()))
    await rm(this.log, { force: true })
  }
}
