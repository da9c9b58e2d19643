import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Asked } from '#core/diagnosis/finding'
import { functionFor, offerOf } from '#core/instruments/offer'
import type { InstrumentReading, InstrumentState } from '#core/instruments/reading'
import type { InstrumentSetting } from '#core/instruments/settings'
import { isOther, Settling, type Settled } from '#core/instruments/settling'
import { lineOf } from '#core/visit/line-subject'
import { SerialMeter } from '~/utils/serial-meter'
import type { OfferedReading } from './visit'

/** What the shop says of its instruments. */
export interface InstrumentsView {
  instruments: readonly InstrumentSetting[]
  states: readonly InstrumentState[]
  standIns: boolean
}

/** What has been silent for so long shows nothing any more, milliseconds. */
const STALE = 4_000

/** What instruments show while a visit is measured, and what of it is offered to the reading line. */
export const useInstruments = defineStore('instruments', () => {
  const states = shallowRef<readonly InstrumentState[]>([])
  const settled = shallowRef<ReadonlyMap<string, Settled>>(new Map())
  const lit = shallowRef<Asked>()
  /** What was taken, or left, by instrument: offered again once something else is on the leads. */
  const done = shallowRef<ReadonlyMap<string, InstrumentReading>>(new Map())
  const trouble = ref('')
  const followers = new Map<string, Settling>()
  /** By this device’s own clock, milliseconds. */
  const heardAt = new Map<string, number>()
  /** Are there any at all? Nothing is listened to where there are none. */
  const isAny = ref(false)
  const isByCable = ref(false)
  let source: EventSource | undefined
  let sweeping: ReturnType<typeof setInterval> | undefined
  const serial = new SerialMeter(
    (readings) => hear(readings),
    (state) => {
      states.value = [...states.value.filter(({ instrument }) => instrument !== state.instrument), state]
      isByCable.value = state.is === 'connected'
    },
  )

  function hear(readings: readonly InstrumentReading[]): void {
    const now = new Map(settled.value)
    for (const reading of readings) {
      const { instrument } = reading
      heardAt.set(instrument, Date.now())
      const settling = followers.get(instrument) ?? new Settling()
      followers.set(instrument, settling)
      const state = settling.push(reading)
      now.set(instrument, state)
      const taken = done.value.get(instrument)
      if (taken && isOther(taken, state.reading))
        done.value = new Map([...done.value].filter(([id]) => id !== instrument))
    }
    settled.value = now
  }

  /** Drops what has not been heard of for a while: what is on a display is of now, or it is nothing. */
  function sweep(): void {
    const since = Date.now() - STALE
    const fresh = [...settled.value].filter(([id]) => (heardAt.get(id) ?? 0) > since && isThere(id))
    if (fresh.length < settled.value.size) settled.value = new Map(fresh)
  }
  const isThere = (id: string) => states.value.some(({ instrument, is }) => instrument === id && is === 'connected')

  /** Listens, for what the lit check is read with. */
  function listen(to: Asked | undefined): void {
    lit.value = to
    // What stood on a display before it was asked for is read anew.
    followers.clear()
    settled.value = new Map()
    const want = to && functionFor(to)
    serial.want(want)
    stopListening()
    source = new EventSource(`/api/instruments/live${want ? `?want=${encodeURIComponent(want)}` : ''}`)
    source.addEventListener('readings', ({ data }: MessageEvent<string>) =>
      hear((JSON.parse(data) as { readings: InstrumentReading[] }).readings),
    )
    source.addEventListener('states', ({ data }: MessageEvent<string>) => {
      const { states: told } = JSON.parse(data) as { states: InstrumentState[] }
      states.value = [...told, ...states.value.filter(({ instrument }) => instrument === SerialMeter.ID)]
      sweep()
    })
    // Cut off: what stood there is not of now.
    source.onerror = () => {
      states.value = states.value.filter(({ instrument }) => instrument === SerialMeter.ID)
      settled.value = new Map([...settled.value].filter(([id]) => id === SerialMeter.ID))
    }
    sweeping = setInterval(sweep, 1_000)
  }
  function stopListening(): void {
    source?.close()
    source = undefined
    clearInterval(sweeping)
  }
  function stop(): void {
    stopListening()
    lit.value = undefined
    settled.value = new Map()
    done.value = new Map()
    followers.clear()
  }

  /** What stands still and is a reading of the lit check. */
  const steady = computed(() =>
    [...settled.value.values()].find(({ isSteady, reading }) => {
      if (!isSteady || done.value.has(reading.instrument)) return false
      return 'finding' in offerOf(reading, lit.value)
    }),
  )
  const offered = computed((): OfferedReading | undefined => {
    const reading = steady.value?.reading
    const offer = reading && offerOf(reading, lit.value)
    if (!reading || !offer || !('finding' in offer)) return undefined
    const { finding } = offer
    return { finding, text: lineOf(finding, { value: finding.value }), source: `${reading.name}, steady` }
  })
  /** What is offered is in the journal, or is not wanted. */
  function settle(): void {
    const reading = steady.value?.reading
    if (reading) done.value = new Map([...done.value, [reading.instrument, reading]])
  }

  /** Asks the shop whether it has any. */
  async function look(): Promise<InstrumentsView | undefined> {
    const response = await fetch('/api/instruments').catch(() => undefined)
    if (!response?.ok) return undefined
    const view = (await response.json()) as InstrumentsView
    isAny.value = view.instruments.length > 0 || view.standIns || isByCable.value
    return view
  }

  /** Asks the browser for a meter on a cable. */
  async function connectCable(): Promise<void> {
    trouble.value = (await serial.connect()) ?? ''
    isAny.value ||= isByCable.value
  }

  return {
    states,
    settled,
    lit,
    offered,
    settle,
    listen,
    stop,
    trouble,
    isByCable,
    connectCable,
    hear,
    isAny,
    look,
    /** Why what an instrument shows is not offered; nothing where it is. */
    whyNot: (reading: InstrumentReading): string | undefined => {
      const offer = offerOf(reading, lit.value)
      return 'why' in offer ? offer.why : undefined
    },
  }
})
