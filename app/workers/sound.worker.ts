import { expose } from 'comlink'
import { bearingInside } from '#core/knowledge/mechanical/bearing-insides'
import { pictureOf, type SoundPicture } from '#core/sound/picture'
import { readWav, writeWav, type Recording } from '#core/sound/recording'
import { listenTo } from '#core/sound/listen'
import type { HeardInRecording } from '#core/visit/entry'
import { InputError } from '#core/validation/input-error'

/** What a recording is listened to with. */
export interface Listening {
  rpm: number
  mainsHertz: number
  bearing?: string
  vanes?: number
}
/** What was heard, and how it looks; or why it cannot be listened to. */
export type Listened =
  | { wav: Uint8Array<ArrayBuffer>; seconds: number; heard: HeardInRecording; picture: SoundPicture }
  | { problem: string }

const listener = {
  wavOf: (recording: Recording): Uint8Array<ArrayBuffer> => writeWav(recording),

  listen(bytes: Uint8Array, { bearing, ...turning }: Listening): Listened {
    try {
      const recording = readWav(bytes)
      const inside = bearing === undefined ? undefined : bearingInside(bearing)
      const heard = listenTo(recording, turning, inside)
      const { doubts, shaftHertz, strongestHertz, levels, bearing: bearings, water } = heard
      return {
        // Written anew: what else a file from elsewhere carries is nobody's business here.
        wav: writeWav(recording),
        seconds: recording.values.length / recording.hertz,
        heard: {
          bearing: bearings,
          water,
          doubts,
          ...(shaftHertz === undefined ? {} : { shaftHertz }),
          strongestHertz,
          ...levels,
        },
        picture: pictureOf(recording, heard, turning, inside),
      }
    } catch (error) {
      if (error instanceof InputError) return { problem: error.message }
      throw error
    }
  },
}
export type Listener = typeof listener

expose(listener)
