// Writes docs/formats/*.schema.json from the tables of core, so that the published schemas cannot drift from the rules.
// `--check` only compares.
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { bundle } from './lib/bundle.mjs'
import { installPackages, root } from './lib/setup.mjs'

await installPackages()
const { visitSchema, diagnoseSchema } = await import(await bundle('scripts/lib/formats.ts', 'formats'))
let drifted = false
for (const [name, schema] of [
  ['visit.schema.json', visitSchema()],
  ['diagnose.schema.json', diagnoseSchema()],
]) {
  const file = join(root, 'docs/formats', name)
  const text = `${JSON.stringify(schema, null, 2)}\n`
  if (!process.argv.includes('--check')) writeFileSync(file, text)
  else if (readFileSync(file, 'utf8') !== text) {
    console.error(`docs/formats/${name} is not what core says: run node scripts/formats.mjs`)
    drifted = true
  }
}
process.exitCode = drifted ? 1 : 0
