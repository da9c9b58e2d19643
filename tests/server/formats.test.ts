import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { toVisitFile } from '#core/visit/visit-file'
import { reading, testVisit } from './entries'

const root = join(import.meta.dirname, '../..')

describe('the published schemas', () => {
  it('are what core says', () => {
    const { status, stderr } = spawnSync('node', ['scripts/formats.mjs', '--check'], { cwd: root, encoding: 'utf8' })
    expect(stderr).toBe('')
    expect(status).toBe(0)
  })

  it('name every field that a visit file has', () => {
    const schema = JSON.parse(readFileSync(join(root, 'docs/formats/visit.schema.json'), 'utf8')) as {
      properties: {
        entries: {
          items: {
            oneOf: { properties: { kind: { const: string }; body: { properties: object; required: string[] } } }[]
          }
        }
      }
    }
    const visit = testVisit()
    const file = toVisitFile(
      visit.visitId,
      [visit.opened, reading(visit, 230), visit.write('retracted', {}, visit.opened.id)],
      [],
    )
    for (const entry of file.entries) {
      const of = schema.properties.entries.items.oneOf.find(({ properties }) => properties.kind.const === entry.kind)
      expect(Object.keys(of?.properties ?? {})).toEqual(expect.arrayContaining(Object.keys(entry)))
      expect(Object.keys(of?.properties.body.properties ?? {})).toEqual(expect.arrayContaining(Object.keys(entry.body)))
      expect(Object.keys(entry.body)).toEqual(expect.arrayContaining(of?.properties.body.required ?? []))
    }
  })
})
