import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client'
import type { Answered } from './log'

/** Seconds up to which answers are counted together: what is felt as at once, as prompt, as slow, as hanging. */
const BOUNDS = [0.01, 0.03, 0.1, 0.3, 1, 3, 10]

/** Numbers of a running server, as they are asked for. */
export interface Running {
  /** The newest line’s arrival. */
  arrival: () => number
  /** Devices that hear lines as they arrive. */
  followers: () => number
  isOpen: () => boolean
}

/**
 * Counts what a server does, for whoever collects it.
 *
 * @source the text format for exposing metrics, as the client package writes it
 */
export class Metrics {
  private readonly registry = new Registry()
  private readonly answers: Histogram<'method' | 'route' | 'status'>

  constructor({ arrival, followers, isOpen }: Running) {
    const registers = [this.registry]
    collectDefaultMetrics({ register: this.registry })
    this.answers = new Histogram({
      name: 'pike_lamp_answer_seconds',
      help: 'How long answers took, by method, route and status.',
      labelNames: ['method', 'route', 'status'],
      buckets: BOUNDS,
      registers,
    })
    const gauge = (name: string, help: string, read: () => number) =>
      new Gauge({
        name: `pike_lamp_${name}`,
        help,
        registers,
        collect() {
          this.set(read())
        },
      })
    gauge('open', 'Whether the shop is open: 1, or 0 while it takes in its journal.', () => Number(isOpen()))
    gauge('newest_arrival', 'The number of the newest line that this server has read.', arrival)
    gauge('live_followers', 'Devices that hear lines as they arrive.', followers)
  }

  answered({ method, route, status, milliseconds }: Answered): void {
    this.answers.observe({ method, route, status: `${status}` }, milliseconds / 1_000)
  }

  get contentType(): string {
    return this.registry.contentType
  }

  text(): Promise<string> {
    return this.registry.metrics()
  }
}
