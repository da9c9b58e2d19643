import { createEventHook } from '@vueuse/core'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Entry } from '#core/visit/entry'
import { LiveLines } from '~/utils/live-lines'

/** What others write while it is looked at: their lines as they arrive, and when what is shown is to be read anew. */
export const useLive = defineStore('live', () => {
  const isConnected = ref(false)
  const lines = createEventHook<readonly Entry[]>()
  const missed = createEventHook()
  const live = new LiveLines(
    (news) => void (news.is === 'lines' ? lines.trigger(news.entries) : missed.trigger()),
    (connected) => {
      isConnected.value = connected
    },
  )
  return {
    isConnected,
    /** Begins with the first answer of the server: what came before it was read stands in it. */
    follow: (after: number) => live.follow(after),
    onLines: lines.on,
    onMissed: missed.on,
  }
})
