import { useLocalStorageRef } from '~/composables/useLocalStorageRef'
import { mayHere, SESSION_KEY, type Session } from './self'

/** Does this page open with the Day, on a device that was here before, for somebody who may look at it? */
export function opensWithDay(): boolean {
  if (location.pathname !== '/' || location.search || localStorage.getItem(SESSION_KEY) === null) return false
  return mayHere(useLocalStorageRef<Session>(SESSION_KEY, { is: 'alone' }).value, 'look')
}
