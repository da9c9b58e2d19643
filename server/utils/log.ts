import { serverLog, type ServerLog } from '../services/watch/log'

/** What this server says while it runs. */
export const log = opened()

function opened(): ServerLog {
  try {
    return serverLog(process.env.PIKE_LAMP_LOG)
  } catch (error) {
    console.error((error as Error).message)
    process.exit(1)
  }
}
