import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { fail, installPackages, needNode, root } from './lib/setup.mjs'

needNode()
if (!existsSync(join(root, 'node_modules'))) await installPackages()
const args = process.argv.slice(2)
const { lampBundle, backupBundle, peopleBundle } = await import('./lib/bundle.mjs')
const bundles = { backup: backupBundle, restore: backupBundle, owner: peopleBundle }
const bundle = Object.hasOwn(bundles, args[0]) ? bundles[args[0]] : lampBundle
const { main } = await import(await bundle()).catch((error) =>
  fail(`The command line could not be built: ${error.message}`),
)
process.exitCode = await main(args, { root, env: process.env, now: new Date().toISOString() })
