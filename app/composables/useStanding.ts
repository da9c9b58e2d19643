import { formatDistanceToNowStrict } from 'date-fns'
import { refDebounced, useTimestamp } from '@vueuse/core'
import { useDevice } from '~/stores/device'
import { useLive } from '~/stores/live'
import { useOutbox } from '~/stores/outbox'

/** How things stand between this device and the shop, in one word and one sentence. */
export interface Standing {
  is: 'at-shop' | 'on-its-way' | 'here-only' | 'not-kept'
  word: string
  sentence: string
}

const MINUTE = 60_000
/** A line that is acknowledged within so long was never anywhere but at the shop, milliseconds. */
const BREATH = 800

/** Where what was written is: at the shop, on its way, or here only; with how much and since when. */
export function useStanding() {
  const [outbox, device, live] = [useOutbox(), useDevice(), useLive()]
  const now = useTimestamp({ interval: 15_000 })
  const lines = (count: number) => (count === 1 ? '1 line' : `${count} lines`)
  const waits = computed(() => outbox.waiting > 0)
  const waitsLong = refDebounced(waits, BREATH)
  const oldest = computed(() => outbox.pending.reduce((at, entry) => Math.min(at, Date.parse(entry.at)), Infinity))
  const age = computed(() =>
    now.value - oldest.value < MINUTE ? '' : `, the oldest of ${formatDistanceToNowStrict(oldest.value)} ago`,
  )
  const known = computed(() => {
    const at = device.window?.at
    return at ? `This device knows the shop as of ${formatDistanceToNowStrict(new Date(at))} ago.` : ''
  })
  const standing = computed((): Standing => {
    const { waiting, reach, onlyHere } = outbox
    if (onlyHere > 0)
      return {
        is: 'not-kept',
        word: 'on this page only',
        sentence:
          `This device has no room left: ${lines(onlyHere)} on this page alone. ` +
          'Leave it open until they are sent, or make room.',
      }
    if (reach.is === 'failing' && waiting > 0)
      return {
        is: 'here-only',
        word: `${waiting} here only`,
        sentence:
          `The shop answers and cannot keep lines just now: ${reach.title} ` +
          `${lines(waiting)} kept here${age.value}, and tried again.`,
      }
    if (live.isAway || reach.is === 'unreachable')
      return {
        is: 'here-only',
        word: waiting > 0 ? `${waiting} here only` : 'away',
        sentence:
          'No way to the shop just now. ' +
          (waiting > 0 ? `${lines(waiting)} kept here${age.value}, sent when there is one. ` : 'Nothing waits here. ') +
          known.value,
      }
    if (waiting > 0 && waitsLong.value)
      return { is: 'on-its-way', word: `${waiting} on its way`, sentence: `${lines(waiting)} on the way to the shop.` }
    return { is: 'at-shop', word: 'at the shop', sentence: 'Everything written here is at the shop.' }
  })
  return { standing }
}
