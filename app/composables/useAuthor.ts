import type { Ref } from 'vue'
import { SOMEBODY } from '~/utils/write-line'
import { useLocalStorageRef } from './useLocalStorageRef'

/** Who writes on this device: asked once, kept in the browser. */
export function useAuthor(): Ref<string> {
  return useLocalStorageRef('pike-lamp.author', SOMEBODY)
}
