import { onBeforeUnmount, ref } from 'vue'
import type { Recording } from '#core/sound/recording'

/** What the browser would make of a voice is switched off: it takes away what a machine sounds like. */
const AS_IT_IS = { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 }
const TROUBLE: Readonly<Record<string, string>> = {
  NotAllowedError: 'The browser was not allowed to listen. Allow the microphone for this page, or take a WAV file.',
  NotFoundError: 'No microphone was found. A WAV file recorded elsewhere can be taken.',
  NotReadableError: 'The microphone is in use by something else.',
}
const UNKNOWN = 'This browser does not let the page listen. A WAV file recorded elsewhere can be taken.'

/** Records with the microphone of this device. */
export function useRecorder() {
  const isRecording = ref(false)
  /** Seconds that are on it, and how loud it is now, of full scale. */
  const seconds = ref(0)
  const level = ref(0)
  const trouble = ref<string>()
  let end: (() => void) | undefined

  /**
   * Records so many seconds, or until it is ended.
   *
   * @returns nothing where it cannot be, which `trouble` says
   */
  async function record(most: number): Promise<Recording | undefined> {
    trouble.value = undefined
    if (isRecording.value) return undefined
    isRecording.value = true
    seconds.value = level.value = 0
    let stream: MediaStream | undefined
    let context: AudioContext | undefined
    try {
      stream = await navigator.mediaDevices.getUserMedia({ audio: AS_IT_IS })
      context = new AudioContext()
      // Some browsers let it sleep until they are asked.
      await context.resume()
      await context.audioWorklet.addModule('/recorder.js')
      const recording = await recorded(context, stream, most)
      // Nobody waits for it any more.
      return isGone ? undefined : recording
    } catch (error) {
      trouble.value = TROUBLE[(error as Error).name] ?? UNKNOWN
      return undefined
    } finally {
      isRecording.value = false
      for (const track of stream?.getTracks() ?? []) track.stop()
      await context?.close()
    }
  }

  function recorded(context: AudioContext, stream: MediaStream, most: number): Promise<Recording> {
    const recorder = new AudioWorkletNode(context, 'recorder')
    // What leads nowhere is not listened to by every browser; what comes out of it is silence.
    context.createMediaStreamSource(stream).connect(recorder).connect(context.destination)
    const hertz = context.sampleRate
    const pieces: Float32Array[] = []
    let length = 0
    return new Promise((done) => {
      end = () => {
        recorder.port.onmessage = null
        const values = new Float64Array(Math.min(length, Math.round(most * hertz)))
        let at = 0
        for (const piece of pieces) {
          values.set(piece.subarray(0, values.length - at), at)
          at = Math.min(values.length, at + piece.length)
        }
        done({ hertz, values })
      }
      recorder.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
        pieces.push(data)
        length += data.length
        seconds.value = Math.min(most, length / hertz)
        level.value = data.reduce((loudest, value) => Math.max(loudest, Math.abs(value)), 0)
        if (length >= most * hertz) end?.()
      }
    })
  }

  let isGone = false
  onBeforeUnmount(() => {
    isGone = true
    end?.()
  })
  return { record, stop: () => end?.(), isRecording, seconds, level, trouble }
}
