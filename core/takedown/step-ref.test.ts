import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  closing,
  inAnyAssembly,
  inAssembly,
  isFreeing,
  isOpening,
  jointOf,
  opening,
  parseJoint,
  parseStep,
  printJoint,
  printStep,
  type StepRef,
} from './step-ref'

const name = fc.stringMatching(/^[a-z][a-z0-9-]{0,12}$/)
const joint = fc
  .record({ assembly: fc.option(name, { nil: undefined }), joint: name })
  .map(({ assembly, joint }) => ({ ...(assembly === undefined ? {} : { assembly }), joint }))
const ref: fc.Arbitrary<StepRef> = fc.oneof(
  fc
    .tuple(joint, fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined }))
    .map(([at, attempt]): StepRef => ({ phase: 'down', ...at, ...(attempt === undefined ? {} : { attempt }) })),
  joint.map((at): StepRef => ({ phase: 'back', ...at })),
  fc.tuple(name, name).map(([part, step]): StepRef => ({ phase: 'work', work: `${part}:${step}` })),
)

describe('the address of a step', () => {
  it('is read as it was written, whatever it names', () => {
    fc.assert(
      fc.property(ref, (each) => {
        expect(parseStep(printStep(each))).toEqual(each)
      }),
    )
    fc.assert(
      fc.property(joint, (each) => {
        expect(parseJoint(printJoint(each))).toEqual(each)
      }),
    )
  })

  // The ids of stored journals: they never change.
  it.each<[string, StepRef | undefined]>([
    ['down:valves', { phase: 'down', joint: 'valves' }],
    ['down:motor-bench.rear-cover:free', { phase: 'down', assembly: 'motor-bench', joint: 'rear-cover', attempt: 1 }],
    ['down:impeller:free2', { phase: 'down', joint: 'impeller', attempt: 2 }],
    ['back:submersible-sealed.base', { phase: 'back', assembly: 'submersible-sealed', joint: 'base' }],
    ['work:lid-o-ring:ring', { phase: 'work', work: 'lid-o-ring:ring' }],
    ['work:leave', { phase: 'work', work: 'leave' }],
    ['back:impeller:free', undefined],
    ['sideways:lid', undefined],
    ['down:', undefined],
    ['', undefined],
  ])('%s', (id, expected) => expect(parseStep(id)).toEqual(expected))

  it('opening and closing meet at their joint, and freeing is neither', () => {
    expect([opening('motor-bench.springs'), closing('lid')]).toEqual(['down:motor-bench.springs', 'back:lid'])
    expect(['down:lid', 'back:lid', 'down:lid:free3', 'work:motor:fit', 'lid'].map(jointOf)).toEqual([
      'lid',
      'lid',
      'lid',
      undefined,
      undefined,
    ])
    expect(['down:lid', 'back:lid', 'down:lid:free'].map(isOpening)).toEqual([true, false, false])
    expect(['down:lid', 'back:lid', 'down:lid:free'].map(isFreeing)).toEqual([false, false, true])
    expect(['lid', 'work:leave'].map((id) => [isOpening(id), isFreeing(id)])).toEqual([
      [false, false],
      [false, false],
    ])
  })

  it('carries the name of its assembly, and loses it', () => {
    expect(['down:lid:free', 'back:lid', 'work:lid:fit', 'what?'].map((id) => inAssembly(id, 'motor-bench'))).toEqual([
      'down:motor-bench.lid:free',
      'back:motor-bench.lid',
      'work:lid:fit',
      'what?',
    ])
    expect(['down:motor-bench.lid:free', 'back:motor-bench.lid', 'work:lid:fit', 'what?'].map(inAnyAssembly)).toEqual([
      'down:lid:free',
      'back:lid',
      'work:lid:fit',
      'what?',
    ])
  })
})
