import { Workbox } from 'workbox-window'

/** Held, shared, by each tab in which somebody is in a visit. */
const AT_WORK = 'pike-lamp.at-work'
/** A page may stay open for days: so often it is asked whether there is a newer one, milliseconds. */
const LOOK_AGAIN = 3_600_000
const ASK_AGAIN = 1_000

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
      void takeWhenFree()
    })
    // Every tab goes on with the newer one: the older one's files are gone.
    worker.addEventListener('controlling', ({ isUpdate }) => {
      if (isUpdate) location.reload()
    })
    let asking: ReturnType<typeof setInterval> | undefined
    newer.take = () => {
      worker.messageSkipWaiting()
      // A browser hears it in vain while the older one is just being started: it would go on for half a minute.
      asking ??= setInterval(() => worker.messageSkipWaiting(), ASK_AGAIN)
    }

    let leave: (() => void) | undefined
    let wish: AbortController | undefined
    const router = useRouter()
    const isInVisit = () => router.currentRoute.value.path.startsWith('/visits/')
    /** Takes the newer one once no tab is in a visit; given up when somebody enters one here first. */
    async function takeWhenFree(): Promise<void> {
      if (!isWaiting.value || isInVisit()) return
      if (!('locks' in navigator)) return newer.take()
      wish = new AbortController()
      await navigator.locks.request(AT_WORK, { signal: wish.signal }, () => newer.take()).catch(() => undefined)
    }
    function hold(): void {
      leave?.()
      wish?.abort()
      leave = undefined
      if (!isInVisit()) return void takeWhenFree()
      if (!('locks' in navigator)) return
      const left = new Promise<void>((done) => {
        leave = done
      })
      void navigator.locks.request(AT_WORK, { mode: 'shared' }, () => left)
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
