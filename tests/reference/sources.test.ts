import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { sources } from '#core/knowledge/sources'

describe('where the figures come from', () => {
  const told = sources()

  it('names every source that stands in a file of the knowledge', () => {
    const files = readdirSync('core/knowledge', { recursive: true })
      .map((file) => join('core/knowledge', String(file)))
      .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    const written = files.flatMap((file) =>
      [
        ...readFileSync(file, 'utf8').matchAll(
          /kind: '(standard|handbook|maker|common-practice|shop)',\s*name:\s*'([^']+)'/g,
        ),
      ].map(([, kind, name]) => `${kind} ${name}`),
    )
    expect(written.length).toBeGreaterThan(100)
    const listed = told.map(({ kind, name }) => `${kind} ${name}`)
    for (const source of written)
      expect(
        listed.some((whole) => whole.startsWith(source)),
        source,
      ).toBe(true)
  })

  it('says each once, the published before the estimated', () => {
    expect(new Set(told.map(({ kind, name }) => kind + name)).size).toBe(told.length)
    const electricity = told.filter(({ trade }) => trade === 'Electricity').map(({ kind }) => kind)
    expect(electricity[0]).toBe('standard')
    expect(electricity.at(-1)).toBe('shop')
    expect(electricity.lastIndexOf('standard')).toBeLessThan(electricity.indexOf('common-practice'))
  })

  it('marks what was written from memory', () => {
    const of = (start: string) => told.find(({ name }) => name.startsWith(start))
    expect(of('NEC table 430.248')?.fromMemory).toBe(true)
    expect(of('NEMA MG 1: ±10 %')?.fromMemory).toBe(false)
  })
})
