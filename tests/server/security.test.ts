import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'

const root = join(import.meta.dirname, '../..')
const page = readFileSync(join(root, 'docs/security.md'), 'utf8')
const named = [...page.matchAll(/`((?:tests|app|core)\/[\w./-]+) › ([^`]+)`/g)].map(([, file = '', title = '']) => ({
  file,
  title,
}))

describe('the security page', () => {
  it('names tests enough to be held against', () => {
    expect(named.length).toBeGreaterThan(25)
  })
  it.each(named)('$file › $title', ({ file, title }) => {
    expect(existsSync(join(root, file))).toBe(true)
    expect(readFileSync(join(root, file), 'utf8')).toContain(title)
  })
})
