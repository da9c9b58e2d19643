import { resolve } from 'node:path'
import { buildIfNeeded, fail, installPackages, needFreePort, needNode, root, startServer } from './lib/setup.mjs'

needNode()
await installPackages()
await buildIfNeeded()
const host = process.env.HOST ?? '127.0.0.1'
const port = process.env.PORT ?? '4173'
await needFreePort(host, port)
const { child, address } = await startServer({
  host,
  port,
  dataDir: resolve(root, process.env.PIKE_LAMP_DATA ?? 'data'),
}).catch((error) => fail(error.code === 1 ? 'Pike Lamp did not start; the sentence above says why.' : error.message))
console.log(`Pike Lamp is open at ${address}`)
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => child.kill(signal))
child.once('exit', (code) => process.exit(code ?? 0))
