import { useDebounceFn } from '@vueuse/core'
import { addDays, format, startOfDay } from 'date-fns'
import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { KEPT_DAYS } from '#core/pumps/device-window'
import { REGISTER_KINDS, type Entry, type EntryKind } from '#core/visit/entry'
import { mergedJournal } from '#core/visit/merged'
import { ofKind } from '#core/visit/of-kind'
import { spanOf } from '~/utils/day-hours'
import type { DeviceAnswers } from '~/utils/device-answers'
import { DeviceStore, type KeptWindow, type Opening } from '~/utils/device-store'
import { dropPictures, keepPictures } from '~/utils/kept-pictures'
import { readable } from '~/utils/readable'
import { readWindow, type Reading } from '~/utils/read-window'
import { useLive, type Heard } from './live'
import { useOutbox } from './outbox'

/** After so long without a word on what changed, the window is read again, milliseconds. */
const OLD = 30 * 60_000
const SOON = 4_000
const LONGEST = 30_000
/** Lines that change what stands in the window, beyond the visit that they are of. */
const WIDER: ReadonlySet<EntryKind> = new Set<EntryKind>([
  ...REGISTER_KINDS,
  'visit-opened',
  'planned',
  'cancelled',
  'together',
  'handed-over',
  'customer-forgotten',
])
/** The shop's own lines that the window holds. */
const OF_SHOP: ReadonlySet<EntryKind> = new Set<EntryKind>(['shop-set', 'shop-forget', 'day-order', 'retracted'])

/** What of the shop is on this device: read from it while there is a way, and answered from where there is none. */
export const useDevice = defineStore('device', () => {
  const store = new DeviceStore()
  const outbox = useOutbox()
  let answers: Promise<DeviceAnswers> | undefined
  let preparing: ReturnType<typeof setTimeout> | undefined
  /** All that judges a journal is large: a page that the shop answers begins without it. */
  function answering(): Promise<DeviceAnswers> {
    answers ??= import('~/utils/device-answers').then(
      (own) =>
        new own.DeviceAnswers(
          store,
          () => outbox.pending,
          () => new Date().toISOString(),
        ),
    )
    answers.catch(() => (answers = undefined))
    return answers
  }
  const window = shallowRef<KeptWindow>()
  /** How far a reading under way is. */
  const reading = shallowRef<Reading>()
  /** The device would not keep it: it has no room, or no store. */
  const isFull = ref(false)
  /** Lines of a newer app have come, which this one cannot read. */
  const isOutdated = ref(false)
  /** The shop has said something since this page was opened that may not be on this device. */
  const isBehind = ref(false)
  let refreshing: Promise<void> | undefined
  /** Heard while the window is read: what is read may be older, and these are put on top of it. */
  let meanwhile: Heard[] = []

  const look = () =>
    store.window().then((kept) => {
      window.value = kept
    })
  const ready = look()

  function refresh(): Promise<void> {
    refreshing ??= inOneTab(readOn).finally(() => {
      refreshing = undefined
      reading.value = undefined
    })
    return refreshing
  }
  async function readOn(): Promise<void> {
    const today = startOfDay(new Date())
    const span = {
      from: addDays(today, -KEPT_DAYS.before).toISOString(),
      to: addDays(today, KEPT_DAYS.after).toISOString(),
    }
    try {
      const kept = await readWindow(store, span, new Date().toISOString(), (now) => (reading.value = now))
      isFull.value = kept === undefined
      if (kept) isBehind.value = false
    } catch {
      // The way was lost: what came stays, and it is read again once there is one.
    }
    const heard = meanwhile
    meanwhile = []
    for (const each of heard) await store.hear(each.arrival, each.entries, isOfShop)
    await look()
    if (!window.value) return
    await askToStay()
    await keepPlans(today)
    await keepPictures(await store.pictures())
  }
  /** Hours, ways and loads of the days that are looked at first without a signal; those looked at since are newer. */
  async function keepPlans(today: Date): Promise<void> {
    for (const day of [today, addDays(today, 1)]) {
      const on = format(day, 'yyyy-MM-dd')
      if (await store.fact(`plan:${on}`)) continue
      const response = await fetch(`/api/plan?${spanOf(day, on)}`).catch(() => undefined)
      if (response?.ok) await store.keepFact(`plan:${on}`, await response.json())
    }
  }
  const refreshSoon = useDebounceFn(refresh, SOON, { maxWait: LONGEST })

  const isOfShop = ({ visitId, kind }: Entry) => visitId === null && OF_SHOP.has(kind)
  async function hear({ entries, arrival }: Heard): Promise<void> {
    const lines = readable(entries)
    if (lines.length < entries.length) isOutdated.value = true
    if (refreshing) meanwhile.push({ entries: lines, arrival })
    await store.hear(arrival, lines, isOfShop)
    // What was removed at the shop goes here too, before anything is read anew.
    const removed = ofKind(lines, 'customer-forgotten')
    for (const { body } of removed) await store.drop(body)
    if (removed.length > 0) await dropPictures()
    await look()
    if (lines.some(({ kind }) => WIDER.has(kind))) void refreshSoon()
  }
  outbox.onAccepted((lines) => store.keepSent(lines))
  const live = useLive()
  live.onHeard((heard) => void hear(heard))
  live.onMissed(() => {
    isBehind.value = true
    void refreshSoon()
  })
  // Listening goes on from what this device has heard: once there is a way, it lacks nothing.
  watch(
    () => live.isConnected,
    (connected) => {
      if (connected && window.value) isBehind.value = false
    },
  )

  /** The shop has answered: it is listened to, and what is old here is read anew, a moment later. */
  function reached(arrival: number): void {
    // By the time that the way is lost, this device can answer; what is shown first is not kept waiting by that.
    preparing ??= setTimeout(() => void answering().catch(() => undefined), SOON)
    void ready.then(() => {
      if (!live.isConnected) isBehind.value = true
      live.follow(Math.min(arrival, window.value?.heard ?? arrival))
      if (refreshing || (window.value && Date.now() - Date.parse(window.value.at) < OLD)) return
      void refreshSoon()
    })
  }

  /** Nobody answers: what this device has heard is where it goes on from. */
  async function answer(path: string): Promise<object | undefined> {
    await Promise.all([outbox.ready, ready])
    const own = await (await answering().catch(() => undefined))?.answer(path)
    if (own && window.value) live.follow(window.value.heard)
    return own
  }

  /** A visit's journal as it is known here; nothing where that may be less than what is on the screen. */
  async function journalOf(visitId: string): Promise<readonly Entry[] | undefined> {
    if (isBehind.value) return undefined
    const [kept, sent] = await Promise.all([store.visit(visitId), store.sent()])
    return (
      kept &&
      mergedJournal(
        kept.entries,
        sent.filter((line) => line.visitId === visitId),
      )
    )
  }

  /** Read before the page was put together. */
  let read: Pick<Opening, 'path' | 'answer'> | undefined
  async function readOpening(path: string): Promise<void> {
    const answer = await opening(path)
    read = answer && { path, answer }
  }
  /** What was read of it before the page was put together, once. */
  function opened(path: string): object | undefined {
    const first = read?.path === path ? read.answer : undefined
    read = undefined
    return first
  }

  /** What the shop answered last, as long as nothing was heard and nothing written here since. */
  async function opening(path: string): Promise<object | undefined> {
    const [kept] = await Promise.all([store.opening(), outbox.ready, ready])
    if (kept?.path !== path || outbox.pending.length > 0) return undefined
    return window.value && window.value.heard <= kept.arrival ? kept.answer : undefined
  }

  return {
    window,
    reading,
    opening,
    readOpening,
    opened,
    keepOpening: (opening: Opening) => store.keepOpening(opening),
    isFull,
    isOutdated,
    reached,
    refresh,
    journalOf,
    keepFact: (name: string, fact: unknown) => store.keepFact(name, fact),
    answer,
    outdated: () => {
      isOutdated.value = true
    },
    forget: async () => {
      await Promise.all([store.clear(), dropPictures()])
      await look()
    },
  }
})

/** One tab reads for all of a device; the others find what it read. */
async function inOneTab(work: () => Promise<void>): Promise<void> {
  if (!('locks' in navigator)) return work()
  await navigator.locks.request('pike-lamp.window', { ifAvailable: true }, async (lock) => {
    if (lock) await work()
  })
}

/** A browser that is short of room throws away what did not ask to stay. */
async function askToStay(): Promise<void> {
  if ('storage' in navigator && !(await navigator.storage.persisted())) await navigator.storage.persist()
}
