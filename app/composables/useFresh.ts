import { useDebounceFn } from '@vueuse/core'
import { useLive } from '~/stores/live'

/** Lines that come in one breath are looked at together, and at the latest after this, milliseconds. */
const BREATH = 300
const LONGEST = 900

/**
 * Reads what is shown anew when others have written, a moment after.
 *
 * @param isHeld something of it is in the hand: it is read anew once that is put down
 * @param isMissing it could not be read: it is once there is a way again
 */
export function useFresh(
  load: () => unknown,
  isHeld: () => boolean = () => false,
  isMissing: () => boolean = () => false,
): void {
  const live = useLive()
  const isWanted = ref(false)
  const soon = useDebounceFn(() => (isWanted.value = true), BREATH, { maxWait: LONGEST })
  const ends = [live.onLines(() => void soon()), live.onMissed(() => void soon())]
  watch(
    () => isWanted.value && !isHeld(),
    (isDue) => {
      if (!isDue) return
      isWanted.value = false
      void load()
    },
  )
  watch(
    () => live.isConnected,
    (connected) => {
      if (connected && isMissing()) void soon()
    },
  )
  onScopeDispose(() => ends.forEach(({ off }) => off()))
}
