import { storeToRefs } from 'pinia'
import type { Ref } from 'vue'
import { useSelf } from '~/stores/self'

/** Who writes on this device: whoever is signed in, or the name that was typed once where nobody signs in. */
export function useAuthor(): Ref<string> {
  return storeToRefs(useSelf()).author
}
