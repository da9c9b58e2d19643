import { Workbox } from 'workbox-window'

/** Held, shared, by each tab in which somebody is in a visit. */
const AT_WORK = 'pike-lamp.at-work'
/** A page may stay open for days: so often it is asked whether there is a newer one, milliseconds. */
const LOOK_AGAIN = 3_600_000
/** By then a page that was gone to has its files, milliseconds. */
const REST = 2_000
/** Any file that is kept with the page. */
const OF_THE_APP = '/lamp.svg'

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
    // The older one is to be awake and at rest when it is told to end: asked while it is being started, or while it is
    // asked for files, a browser lets it go on until it has rested for half a minute.
    newer.take = () =>
      void fetch(OF_THE_APP)
        .catch(() => undefined)
        .then(() => worker.messageSkipWaiting())
    let leave: (() => void) | undefined
    let soon: ReturnType<typeof setTimeout> | undefined
    let wish: AbortController | undefined
    const router = useRouter()
    const isInVisit = () => /^\/(visits|practice)\/./.test(router.currentRoute.value.path)
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
      clearTimeout(soon)
      leave = undefined
      if (!isInVisit()) {
        soon = setTimeout(() => void takeWhenFree(), REST)
        return
      }
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
