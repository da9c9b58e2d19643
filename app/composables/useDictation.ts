import { onBeforeUnmount, ref, shallowRef } from 'vue'

/** The part of the browser’s own speech recognition that is used; it has no types of its own. */
interface Recognition {
  lang: string
  continuous: boolean
  interimResults: boolean
  processLocally?: boolean
  onresult: ((event: { results: ArrayLike<ArrayLike<{ transcript: string }>> }) => void) | null
  onerror: ((event: { error: string }) => void) | null
  onend: (() => void) | null
  start(): void
  stop(): void
  abort(): void
}
type RecognitionClass = new () => Recognition

function recognitionClass(): RecognitionClass | undefined {
  if (typeof window === 'undefined') return undefined
  const known = window as unknown as {
    SpeechRecognition?: RecognitionClass
    webkitSpeechRecognition?: RecognitionClass
  }
  return known.SpeechRecognition ?? known.webkitSpeechRecognition
}

const TROUBLE: Readonly<Record<string, string>> = {
  'not-allowed': 'The browser was not allowed to listen.',
  'service-not-allowed': 'The browser was not allowed to listen.',
  'no-speech': 'Nothing was heard.',
  network: 'The browser’s recognition needs a signal here.',
  'audio-capture': 'No microphone was found.',
}

/**
 * Dictation by the browser’s own recognition, held like a key: it writes, and never keeps.
 *
 * @param heard called with all that was heard since the key went down, each time there is more of it
 */
export function useDictation(heard: (text: string) => void) {
  const Recognizer = recognitionClass()
  const listening = ref(false)
  const trouble = ref<string>()
  const running = shallowRef<Recognition>()

  function start(): void {
    if (!Recognizer || running.value) return
    trouble.value = undefined
    const recognition = new Recognizer()
    recognition.lang = 'en'
    recognition.continuous = true
    recognition.interimResults = true
    // Where the browser can do it on the device, it is asked to.
    if ('processLocally' in recognition) recognition.processLocally = true
    recognition.onresult = ({ results }) =>
      heard(
        Array.from(results, (result) => result[0]?.transcript.trim() ?? '')
          .filter(Boolean)
          .join(' '),
      )
    recognition.onerror = ({ error }) => {
      if (error !== 'aborted') trouble.value = TROUBLE[error] ?? 'The browser could not listen.'
    }
    recognition.onend = () => {
      running.value = undefined
      listening.value = false
    }
    running.value = recognition
    listening.value = true
    recognition.start()
  }

  function stop(): void {
    running.value?.stop()
  }

  onBeforeUnmount(() => running.value?.abort())
  return { possible: Recognizer !== undefined, listening, trouble, start, stop }
}
