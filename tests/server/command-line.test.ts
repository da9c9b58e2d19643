import { spawnSync } from 'node:child_process'
import { createServer, type AddressInfo } from 'node:net'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ESLint } from 'eslint'
import { afterAll, describe, expect, it } from 'vitest'
import { runByName } from '#core/workings/registry'
import { CORE_LAYERS } from '../../scripts/lib/layers.mjs'

const root = join(import.meta.dirname, '../..')
const folder = mkdtempSync(join(tmpdir(), 'pike-lamp-cli-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const lamp = (args: string[], input?: string) =>
  spawnSync('node', ['scripts/lamp.mjs', ...args], { cwd: root, encoding: 'utf8', input })

describe('the command line', () => {
  const bleed = { microfarads: 30, volts: 523, ohms: 20000 }

  it('gives the registry’s own answer, from a file and from standard input', () => {
    const file = join(folder, 'bleed.json')
    writeFileSync(file, JSON.stringify(bleed))
    const expected = runByName('capacitor-bleed', bleed)
    expect(JSON.parse(lamp(['capacitor-bleed', file]).stdout)).toEqual(expected)
    expect(JSON.parse(lamp(['capacitor-bleed', '-'], JSON.stringify(bleed)).stdout)).toEqual(expected)
  })

  it('prints the problem and exits 2 on bad input, with nothing on standard output', () => {
    for (const [args, input] of [
      [['capacitor-bleed', '-'], '{"microfarads":-1}'],
      [['capacitor-bleed', '-'], '{'],
      [['nope', '-'], '{}'],
      [['capacitor-bleed', '/no/such/file'], undefined],
      [['capacitor-bleed'], undefined],
      [['batch', '/no/such/file'], undefined],
    ] as const) {
      const { status, stdout, stderr } = lamp([...args], input)
      expect(status).toBe(2)
      expect(stdout).toBe('')
      expect((JSON.parse(stderr) as { problems: unknown[] }).problems.length).toBeGreaterThan(0)
    }
  })

  it('answers a batch line for line, in order', () => {
    const { status, stdout } = lamp(
      ['batch', '-'],
      [
        JSON.stringify({ working: 'capacitor-bleed', input: bleed }),
        'rubbish',
        JSON.stringify({
          working: 'diagnose',
          input: { pump: { kind: 'pool', nameplate: { volts: 230 } }, complaints: ['dead'] },
        }),
      ].join('\n'),
    )
    expect(status).toBe(0)
    expect(
      stdout
        .trim()
        .split('\n')
        .map((line) => Object.keys(JSON.parse(line) as object)[0]),
    ).toEqual(['output', 'error', 'output'])
  })
})

describe('starting', () => {
  const start = (script: string, env: Record<string, string>) =>
    spawnSync('node', [`scripts/${script}.mjs`], {
      cwd: root,
      encoding: 'utf8',
      env: { ...process.env, ...env },
      timeout: 60_000,
    })
  const oneSentence = (output: string) =>
    output
      .trim()
      .split('\n')
      .filter((line) => !line.startsWith('npm warn'))

  it('says in one sentence that the port is taken', async () => {
    const taken = createServer()
    const port = await new Promise<number>((resolve) => {
      taken.listen(0, '127.0.0.1', () => resolve((taken.address() as AddressInfo).port))
    })
    for (const script of ['demo', 'start']) {
      const { status, stderr } = start(script, { PORT: String(port), PIKE_LAMP_DATA: folder })
      expect(status).toBe(1)
      expect(oneSentence(stderr)).toEqual([expect.stringContaining(`Port ${port} is taken`)])
    }
    taken.close()
  })

  it('says in one sentence that the data folder cannot be written', () => {
    const { status, stderr } = start('demo', { PORT: '0', PIKE_LAMP_DATA: '/dev/null/nowhere' })
    expect(status).toBe(1)
    expect(oneSentence(stderr)).toEqual([expect.stringContaining('cannot be written')])
  })

  it('says in one sentence that Node is too old', () => {
    const { status, stderr } = spawnSync(
      'node',
      ['-e', "import('./scripts/lib/setup.mjs').then(({ needNode }) => needNode('18.4.0'))"],
      { cwd: root, encoding: 'utf8' },
    )
    expect(status).toBe(1)
    expect(oneSentence(stderr)).toEqual(['Pike Lamp needs Node 20.19 or newer; this is Node 18.4.0.'])
  })
})

describe('the layers of core', () => {
  const eslint = new ESLint({ cwd: root })
  const messages = async (code: string, filePath: string) =>
    (await eslint.lintText(code, { filePath: join(root, filePath) })).flatMap((result) =>
      result.messages.map(({ ruleId }) => ruleId),
    )

  it('fail the lint when a folder imports from above it, from a framework, or reads the clock', async () => {
    expect(
      await messages("import { diagnose } from '../diagnosis/diagnose'\ndiagnose\n", 'core/electrical/supply.ts'),
    ).toContain('no-restricted-imports')
    expect(
      await messages("import { foldVisit } from '../visit/fold'\nfoldVisit\n", 'core/diagnosis/model.ts'),
    ).toContain('no-restricted-imports')
    expect(
      await messages("import { foldVisit } from '../../visit/fold'\nfoldVisit\n", 'core/diagnosis/words/explain.ts'),
      'from a folder of its own too',
    ).toContain('no-restricted-imports')
    expect(await messages("import { ref } from 'vue'\nref\n", 'core/visit/fold.ts')).toContain('no-restricted-imports')
    expect(await messages("import { readFileSync } from 'node:fs'\nreadFileSync\n", 'core/visit/fold.ts')).toContain(
      'no-restricted-imports',
    )
    expect(await messages('export const now = () => Date.now()\n', 'core/visit/fold.ts')).toContain(
      'no-restricted-properties',
    )
    expect(await messages('export const now = () => new Date()\n', 'core/visit/fold.ts')).toContain(
      'no-restricted-syntax',
    )
    expect(await messages("import { x } from '../../server/database/schema'\nx\n", 'app/stores/visit.ts')).toContain(
      'no-restricted-imports',
    )
  })

  it('let a folder import from below it', async () => {
    expect(
      await messages(
        "import { METALS } from '../electrical/limits'\nexport const metals = METALS\n",
        'core/knowledge/water/pipes.ts',
      ),
      'and from a sister of a name that a folder above has too',
    ).toEqual([])
    expect(
      await messages(
        "import { judgeRange } from '../judgement/judgement'\njudgeRange(1, {})\n",
        'core/diagnosis/model.ts',
      ),
    ).toEqual([])
  })

  it('cover every folder of core', async () => {
    const { readdirSync } = await import('node:fs')
    expect(
      readdirSync(join(root, 'core'), { withFileTypes: true })
        .filter((each) => each.isDirectory())
        .map(({ name }) => name)
        .sort(),
    ).toEqual(CORE_LAYERS.flat().sort())
  })
})
