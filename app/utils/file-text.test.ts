import { describe, expect, it } from 'vitest'
import { isVisitFile, textOf } from './file-text'

describe('a file that is chosen', () => {
  it('is read as UTF-8, and as older programs write where it is none', async () => {
    expect(await textOf(new Blob(['Søn'], { type: 'text/csv' }))).toBe('Søn')
    expect(await textOf(new Blob([Uint8Array.from([0x53, 0xf8, 0x6e])]))).toBe('Søn')
  })
  it('is a visit by its name or type', () => {
    expect(isVisitFile(new File(['{}'], 'lido.visit.json'))).toBe(true)
    expect(isVisitFile(new File(['{}'], 'lido', { type: 'application/json' }))).toBe(true)
    expect(isVisitFile(new File(['a'], 'customers.csv', { type: 'text/csv' }))).toBe(false)
  })
})
