import { createEventHook } from '@vueuse/core'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Entry } from '#core/visit/entry'
import { LiveLines } from '~/utils/live-lines'

/** Lines that arrived, and the arrival that they reach. */
export interface Heard {
  entries: readonly Entry[]
  arrival: number
}

/** What others write while it is looked at: their lines as they arrive, and when what is shown is to be read anew. */
export const useLive = defineStore('live', () => {
  const isConnected = ref(false)
  /** Nobody answers: it was listened to, or asked, in vain. */
  const isAway = ref(false)
  const lines = createEventHook<Heard>()
  const missed = createEventHook()
  const live = new LiveLines(
    (news) =>
      void (news.is === 'lines' ? lines.trigger({ entries: news.entries, arrival: news.arrival }) : missed.trigger()),
    (connected) => {
      isConnected.value = connected
      isAway.value = !connected
    },
  )
  return {
    isConnected,
    isAway,
    /** Begins with the first answer of the server: what came before it was read stands in it. */
    follow: (after: number) => live.follow(after),
    /** What is shown is not what the shop would say now. */
    miss: () => void missed.trigger(),
    onLines: (heard: (entries: readonly Entry[]) => void) => lines.on(({ entries }) => heard(entries)),
    onHeard: lines.on,
    onMissed: missed.on,
  }
})
