// Mutants of core: every one (`npm run mutants`, many hours), one folder (`npm run mutants -- electrical`), or a share
// of its lines drawn by chance (`npm run mutants -- --share 0.1 --seed 3 diagnosis takedown`).
import { spawn } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { parseArgs } from 'node:util'

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

const chance = mulberry(Number(values.seed))
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
    .filter(() => chance() < share)
    .map((from) => `${file}:${from}-${Math.min(from + PIECE - 1, lines)}`)
}

/** Numbers between 0 and 1 that are the same for the same seed: the pieces drawn can be drawn again. */
function mulberry(seed) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296
  }
}
