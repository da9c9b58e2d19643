import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'

const root = join(import.meta.dirname, '../..')
const read = (path: string) => readFileSync(join(root, path), 'utf8')
/** Set by the scripts that start a server, not by whoever runs it. */
const OWN = new Set(['PIKE_LAMP_SERVER_DIR', 'PIKE_LAMP_NOW'])
const named = (text: string) => [...text.matchAll(/\b(?:PIKE_LAMP_[A-Z_]+|DATABASE_URL)\b/g)].map(([name]) => name)

describe('the settings of a server', () => {
  const asked = new Set(
    readSources().flatMap((text) =>
      [...text.matchAll(/(?:process\.env|told)\.((?:PIKE_LAMP_[A-Z_]+)|DATABASE_URL)/g)].map(
        ([, name]) => name as string,
      ),
    ),
  )

  it('all stand in the README, and no others', () => {
    const wanted = [...asked].filter((name) => !OWN.has(name)).sort()
    expect(wanted.length).toBeGreaterThan(5)
    expect([...new Set(named(read('README.md')))].sort()).toEqual(wanted)
  })

  it('are those that the files of a deployment set', () => {
    for (const file of ['compose.yaml', 'Dockerfile', 'pike-lamp.service', 'README.md'])
      for (const name of named(read(`docs/server/${file}`))) expect(asked, `${file}: ${name}`).toContain(name)
  })
})

function readSources(): string[] {
  return readdirSync(join(root, 'server'), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts'))
    .map((name) => read(join('server', name)))
}
