import { useDevice } from '~/stores/device'
import { useOutbox } from '~/stores/outbox'
import { useSelf } from '~/stores/self'

const OPEN = new Set(['/sign-in', '/join'])

/** Where people sign in nobody gets past the door; a device that the shop knows no more keeps nothing of it. */
export default defineNuxtPlugin(async () => {
  // What this device keeps hears of every line that is sent, from the first one on.
  const [self, router, device] = [useSelf(), useRouter(), useDevice()]
  const isOut = () => self.session.is === 'out' || self.session.is === 'unclaimed'
  router.beforeEach((to) => {
    if (OPEN.has(to.path)) return true
    if (isOut()) return { path: '/sign-in', query: { then: to.fullPath } }
    if (self.may(askedAtPath(to.path))) return true
    return PLACES.find(({ asks }) => self.may(asks))?.to ?? false
  })
  watch(isOut, async (out) => {
    if (!out) return
    await device.forget()
    const { PracticeStore } = await import('~/utils/practice-store')
    await new PracticeStore().clear()
    const { practiceTold, shelfTold } = await import('~/utils/told-store')
    await practiceTold().clear()
    await shelfTold().clear()
    useOpenVisit().close()
    const { path, fullPath } = router.currentRoute.value
    if (OPEN.has(path)) return
    const door = router.resolve({ path: '/sign-in', query: { then: fullPath } })
    // What was read of the shop is in this page's memory too; a line that only the page holds is worth more.
    if (useOutbox().onlyHere > 0) await navigateTo(door)
    else location.replace(door.href)
  })
  // A browser that was never here asks before it shows anything.
  if (self.isNew) await self.look()
  else onNuxtReady(() => void self.look())
})
