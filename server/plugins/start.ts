import { defineNitroPlugin } from 'nitropack/runtime'
import { useShopApp } from '../utils/app'

/** Opens the shop's data as the server starts, and closes it as the server stops. A failure is one clear sentence, not a stack. */
export default defineNitroPlugin((nitro) => {
  if ((import.meta as { prerender?: boolean }).prerender) return
  const opened = useShopApp()
  opened.catch((error: Error) => {
    console.error(error.message)
    process.exit(1)
  })
  nitro.hooks.hook('close', async () => (await opened).close())
  const stop = () => void opened.then((app) => app.close()).finally(() => process.exit(0))
  process.once('SIGTERM', stop)
  process.once('SIGINT', stop)
})
