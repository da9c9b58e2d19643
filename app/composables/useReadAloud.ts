import { computed } from 'vue'
import { useLocalStorageRef } from './useLocalStorageRef'

/** Reading back aloud, where the browser has a voice and the technician wants it. */
export function useReadAloud() {
  const possible = typeof window !== 'undefined' && 'speechSynthesis' in window
  const kept = useLocalStorageRef<{ on: boolean }>('pike-lamp-read-aloud', { on: false })
  const on = computed({
    get: () => possible && kept.value.on,
    set: (value: boolean) => {
      kept.value = { on: value }
      if (!value && possible) window.speechSynthesis.cancel()
    },
  })

  function speak(text: string): void {
    if (!on.value || !text) return
    window.speechSynthesis.cancel()
    const spoken = new SpeechSynthesisUtterance(text)
    spoken.lang = 'en'
    window.speechSynthesis.speak(spoken)
  }

  return { possible, on, speak }
}
