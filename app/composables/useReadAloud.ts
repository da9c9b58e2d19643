import { onScopeDispose, ref } from 'vue'

/** Reads a step aloud by the browser's own speech, where it has one: hands are wet or gloved. */
export function useReadAloud() {
  const speech = typeof window !== 'undefined' && 'speechSynthesis' in window ? window.speechSynthesis : undefined
  const reading = ref(false)
  function say(words: string): void {
    speech?.cancel()
    speech?.speak(new SpeechSynthesisUtterance(words))
  }
  onScopeDispose(() => speech?.cancel())
  return { speaks: speech !== undefined, reading, say }
}
