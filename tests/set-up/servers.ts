import { afterAll } from 'vitest'
import { endServers } from '../server/serve'

// A worker may be ended without its exit being told: a file ends its own.
afterAll(endServers)
