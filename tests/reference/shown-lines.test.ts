import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { understand } from '#core/language/understand'
import { completePlate } from '#core/motor/nameplate'
import type { Kind } from '#core/knowledge/vocabulary'

/** The lines that the README shows, between its headings about the reading line and the repair. */
function shown(): string[] {
  const text = readFileSync(fileURLToPath(new URL('../../README.md', import.meta.url)), 'utf8')
  const section = text.slice(text.indexOf('## The reading line'), text.indexOf('## Repair'))
  return section
    .split('\n')
    .filter((line) => line.startsWith('- `'))
    .flatMap((line) => [...line.matchAll(/`([^`]+)`/g)].map(([, shownLine]) => shownLine as string))
}

const heard = (line: string, kind: Kind) => {
  const nameplate = { volts: 230, motorType: kind === 'pool' ? 'permanent-split' : 'capacitor-start' } as const
  return understand(line, {
    kind,
    plate: completePlate({ kind, nameplate }),
    printed: nameplate,
    standing: 'installed',
    gates: new Set(),
  })
}

describe('the lines that the README shows', () => {
  it('are there', () => expect(shown().length).toBeGreaterThan(15))

  it.each(shown())('%s is understood, with nothing left over', (line) => {
    const { findings, other, ask, left } = heard(line, /\b[byr]-|\b[byr] 0/.test(line) ? 'well-three-wire' : 'pool')
    expect(ask).toBeNull()
    expect(left).toEqual([])
    expect(findings.length + other.length).toBeGreaterThan(0)
  })

  it('asks what it says that it asks', () => expect(heard('supply 23.6 v', 'pool').ask).not.toBeNull())
})
