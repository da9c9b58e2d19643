// Mutants of core: every one (`npm run mutants`, many hours), one folder (`npm run mutants -- electrical`), or a share
// of its lines drawn by chance (`npm run mutants -- --share 0.1 --seed 3 diagnosis takedown`).
import { spawn } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'
import { mersenne } from 'pure-rand/generator/mersenne'

const FOLDERS = ['electrical', 'hydraulics', 'decision', 'diagnosis', 'takedown', 'visit']
/** Lines drawn together: most mutants stand within one such piece. */
const PIECE = 15

const { values, positionals } = parseArgs({
  options: { share: { type: 'string', default: '1' }, seed: { type: 'string', default: '1' } },
  allowPositionals: true,
})
const unknown = positionals.filter((folder) => !FOLDERS.includes(folder))
if (unknown.length > 0) throw new Error(`no such folder: ${unknown.join(', ')}; there are ${FOLDERS.join(', ')}`)
const share = Number(values.share)
if (!(share > 0 && share <= 1)) throw new Error(`--share ${values.share}: a number above 0, at most 1`)

// The pieces drawn can be drawn again.
const generator = mersenne(Number(values.seed))
const files = (positionals.length > 0 ? positionals : FOLDERS)
  .flatMap((folder) => readdirSync(join('core', folder), { recursive: true }).map((file) => join('core', folder, file)))
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.endsWith('test-journal.ts'))
  .sort()
const mutate = share === 1 ? files : files.flatMap(pieces)
console.log(`${mutate.length} ${share === 1 ? 'files' : `pieces of ${PIECE} lines`} out of ${files.length} files`)
spawn('npx', ['stryker', 'run', '--mutate', mutate.join(',')], { stdio: 'inherit' }).on('close', (code) =>
  process.exit(code ?? 1),
)

function pieces(file) {
  const lines = readFileSync(file, 'utf8').split('\n').length
  return Array.from({ length: Math.ceil(lines / PIECE) }, (_, index) => index * PIECE + 1)
    .filter(() => uniformFloat64(generator) < share)
    .map((from) => `${file}:${from}-${Math.min(from + PIECE - 1, lines)}`)
}
