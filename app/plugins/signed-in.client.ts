import { useDevice } from '~/stores/device'
import { useSelf } from '~/stores/self'

const OPEN = new Set(['/sign-in', '/join'])

/** Where people sign in nobody gets past the door; a device that the shop knows no more keeps nothing of it. */
export default defineNuxtPlugin(() => {
  const [self, router] = [useSelf(), useRouter()]
  const isOut = () => self.session.is === 'out' || self.session.is === 'unclaimed'
  router.beforeEach((to) => (isOut() && !OPEN.has(to.path) ? { path: '/sign-in', query: { then: to.fullPath } } : true))
  watch(isOut, (out) => {
    if (!out) return
    void useDevice().forget()
    const { path, fullPath } = router.currentRoute.value
    if (!OPEN.has(path)) void navigateTo({ path: '/sign-in', query: { then: fullPath } })
  })
  onNuxtReady(() => void self.look())
})
