import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { fail, installPackages, needNode, root } from './lib/setup.mjs'

needNode()
if (!existsSync(join(root, 'node_modules'))) await installPackages()
const { lampBundle } = await import('./lib/bundle.mjs')
const { main } = await import(await lampBundle()).catch((error) =>
  fail(`The command line could not be built: ${error.message}`),
)
process.exitCode = await main(process.argv.slice(2))
