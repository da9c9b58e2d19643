import { runTask } from './tasks'

/** The entry of a worker thread. */
export default runTask
