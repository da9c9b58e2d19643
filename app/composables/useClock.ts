import { onScopeDispose, ref, type Ref } from 'vue'

/** The time now, refreshed every second while the caller lives. */
export function useClock(): Ref<number> {
  const now = ref(Date.now())
  const timer = setInterval(() => {
    now.value = Date.now()
  }, 1000)
  onScopeDispose(() => clearInterval(timer))
  return now
}
