import { Workbox } from 'workbox-window'

/** Held, shared, by each tab in which somebody is in a visit. */
const AT_WORK = 'pike-lamp.at-work'
/** A page may stay open for days: so often it is asked whether there is a newer one, milliseconds. */
const LOOK_AGAIN = 3_600_000

/**
 * The page itself on the device: it opens without a server. A newer one waits until no tab of this device is in a
 * visit, or until it is asked for.
 */
export default defineNuxtPlugin(() => {
  const isWaiting = ref(false)
  const newer: { isWaiting: typeof isWaiting; take: () => void } = { isWaiting, take: () => undefined }
  if ('serviceWorker' in navigator && !import.meta.dev) {
    const worker = new Workbox('/sw.js')
    worker.addEventListener('waiting', () => {
      isWaiting.value = true
      void takeIfFree()
    })
    // Every tab goes on with the newer one: the older one's files are gone.
    worker.addEventListener('controlling', ({ isUpdate }) => {
      if (isUpdate) location.reload()
    })
    newer.take = () => worker.messageSkipWaiting()

    let leave: (() => void) | undefined
    const router = useRouter()
    const isInVisit = () => router.currentRoute.value.path.startsWith('/visits/')
    async function takeIfFree(): Promise<void> {
      if (!isWaiting.value || isInVisit()) return
      if (!('locks' in navigator)) return newer.take()
      await navigator.locks.request(AT_WORK, { ifAvailable: true }, (lock) => {
        if (lock) newer.take()
      })
    }
    function hold(): void {
      leave?.()
      leave = undefined
      if (!isInVisit()) return void takeIfFree()
      if (!('locks' in navigator)) return
      void navigator.locks.request(
        AT_WORK,
        { mode: 'shared' },
        () =>
          new Promise<void>((done) => {
            leave = done
            if (!isInVisit()) done()
          }),
      )
    }
    router.afterEach(hold)
    // A page that cannot have one works as it did, with its server.
    onNuxtReady(() => {
      hold()
      void worker.register().catch(() => undefined)
      setInterval(() => void worker.update().catch(() => undefined), LOOK_AGAIN)
    })
  }
  return { provide: { newer } }
})
