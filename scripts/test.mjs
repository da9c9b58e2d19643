// The whole check: installs what is missing; the production build beside format, lint and types; unit, reference and
// server tests with coverage; browser tests.
import { existsSync, readFileSync } from 'node:fs'
import { mkdir } from 'node:fs/promises'
import { join } from 'node:path'
import { spawn } from 'node:child_process'
import { installPackages, needNode, root } from './lib/setup.mjs'
import { installSystemPackages } from './lib/system.mjs'

needNode()
let passed = 0
let failed = 0
const results = join(root, '.cache/results')

await installPackages()
await installSystemPackages()
await mkdir(results, { recursive: true })

// Each of these keeps one core busy, and neither lane reads what the other writes.
await Promise.all([
  inTurn(['build', 'node', ['scripts/build.mjs']], ['types of app and server', 'npx', ['nuxt', 'typecheck']]),
  inTurn(
    ['format', 'npx', ['prettier', '--check', '.', '--log-level', 'warn']],
    ['lint', 'npx', ['eslint', '.', '--max-warnings', '0']],
    ['types of core', 'npx', ['tsc', '-p', 'core/tsconfig.json']],
    ['types of tests', 'npx', ['tsc', '-p', 'tests/tsconfig.json']],
  ),
])
await counted(
  'unit, reference and server tests',
  'npx',
  [
    'vitest',
    'run',
    '--coverage',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${join(results, 'vitest.json')}`,
  ],
  () => {
    const report = read('vitest.json')
    return (
      report && {
        passed: report.numPassedTests,
        failed: report.numFailedTests + report.numFailedTestSuites * (report.numFailedTests === 0 ? 1 : 0),
      }
    )
  },
)
await counted('browser tests', 'npx', ['playwright', 'test'], () => {
  const report = read('playwright.json')
  if (report?.stats.flaky > 0)
    console.log(`${report.stats.flaky} browser tests passed only at their second try: named above as flaky`)
  return report && { passed: report.stats.expected + report.stats.flaky, failed: report.stats.unexpected }
})
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed > 0 ? 1 : 0)

function read(name) {
  const file = join(results, name)
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined
}

/** Steps one after the other, each of which holds or does not; a step that does not stops no other. */
async function inTurn(...steps) {
  for (const [name, command, args] of steps) {
    const code = await run(name, command, args)
    if (code === 0) passed++
    else failed++
  }
}

/**
 * A runner that counts for itself. A runner that ends badly without a failed test (a crash, a missed coverage) counts
 * as one failure.
 */
async function counted(name, command, args, count) {
  const { rmSync } = await import('node:fs')
  rmSync(join(results, command === 'npx' && args[0] === 'vitest' ? 'vitest.json' : 'playwright.json'), { force: true })
  const code = await run(name, command, args)
  const counts = count() ?? { passed: 0, failed: 0 }
  passed += counts.passed
  failed += counts.failed + (code !== 0 && counts.failed === 0 ? 1 : 0) + (code === 0 && counts.passed === 0 ? 1 : 0)
}

function run(name, command, args) {
  const started = Date.now()
  console.log(`\n── ${name}`)
  return new Promise((done) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: {
        ...process.env,
        NUXT_TELEMETRY_DISABLED: '1',
        PLAYWRIGHT_JSON_OUTPUT_NAME: join(results, 'playwright.json'),
      },
    })
    child.on('error', () => done(1))
    child.on('close', (code) => {
      console.log(
        `── ${name}: ${code === 0 ? 'held' : `ended with ${code}`}, ${Math.round((Date.now() - started) / 1000)} s`,
      )
      done(code ?? 1)
    })
  })
}
