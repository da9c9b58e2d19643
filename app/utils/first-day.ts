import { startOfDay } from 'date-fns'
import { useLocalStorageRef } from '~/composables/useLocalStorageRef'
import { dayPath } from './day-hours'
import { mayHere, SESSION_KEY, type Session } from './self'

/**
 * What the Day is asked by that this page opens with.
 *
 * @returns nothing where it opens with something else, on a device that is new, or for somebody who may not look at it
 */
export function firstDay(): string | undefined {
  if (location.pathname !== '/' || location.search || localStorage.getItem(SESSION_KEY) === null) return undefined
  const session = useLocalStorageRef<Session>(SESSION_KEY, { is: 'alone' }).value
  return mayHere(session, 'look') ? dayPath(startOfDay(new Date())) : undefined
}
