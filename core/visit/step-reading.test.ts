import { describe, expect, it } from 'vitest'
import type { Finding } from '../diagnosis/finding'
import type { JudgedFinding } from './fold'
import { readingAt } from './step-reading'

const CLOCK = '2026-06-02T08:'
const read = (finding: Finding, minute: string): JudgedFinding => ({
  entryId: `${finding.check} ${minute}`,
  at: `${CLOCK}${minute}:00.000Z`,
  stage: 'test',
  finding,
  judgement: { subject: finding.check, value: finding.value ?? null, verdict: 'sound', because: '', basis: BASIS },
})
const BASIS = { kind: 'common-practice', name: 'for the test' } as const
const megohms = (value: number, more: Partial<Finding> = {}): Finding => ({
  check: 'insulation-resistance',
  value,
  ...more,
})

describe('the reading that a step asks for', () => {
  it('stands beside a trial that would ask for it again', () => {
    const findings = [read(megohms(180), '05'), read(megohms(170), '09')]
    const step = { reads: { check: 'insulation-resistance' }, phase: 'work' } as const
    expect(readingAt(step, findings, undefined)?.finding.value).toBe(170)
    expect(readingAt({ ...step, reads: { check: 'winding-resistance' } }, findings, undefined)).toBeUndefined()
  })

  it('is the new part’s where the new one is to be read, and never the other way', () => {
    const findings = [read(megohms(0.4), '05'), read(megohms(640, { of: 'new' }), '09')]
    const own = { reads: { check: 'insulation-resistance' }, phase: 'down' } as const
    expect(readingAt(own, findings, undefined)?.finding.value).toBe(0.4)
    expect(readingAt({ ...own, reads: { ...own.reads, of: 'new' } }, findings, undefined)?.finding.value).toBe(640)
  })

  it('on the way back is one from after the work: nothing from before proves what was done', () => {
    const step = { reads: { check: 'insulation-resistance' }, phase: 'back' } as const
    const findings = [read(megohms(180), '05')]
    expect(readingAt(step, findings, `${CLOCK}30:00.000Z`)).toBeUndefined()
    expect(readingAt(step, [...findings, read(megohms(90), '41')], `${CLOCK}30:00.000Z`)?.finding.value).toBe(90)
  })
})
