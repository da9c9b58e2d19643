import { expect, it } from 'vitest'
import { allBack, inOrder, play, step, without } from './job'

const ORCHARD: Parameters<typeof play>[0] = {
  machine: {
    kind: 'well-three-wire',
    construction: 'submersible-joined',
    nameplate: { volts: 230, hertz: 60, horsepower: 1, motorType: 'capacitor-start' },
    standing: 'bench',
  },
  call: { complaints: ['low-pressure'], says: 'kit or not?' },
  do: [],
}
/** 16. Post-mortem and offer: stage stack from a deep orchard well, kit or not. */
const visit = play({
  ...ORCHARD,
  do: [
    { choose: ['post-mortem'] },
    { tick: 'down' },
    'stack fused',
    { tick: 'all' },
    { job: 'stage-kit', state: 'left', why: 'dearer by the year than a new end' },
  ],
})

it('1 first: each half turned; the guard’s screws before the thread; the pin before force', () =>
  inOrder(
    visit,
    'down:submersible-joined.guard',
    'down:submersible-joined.head-nuts',
    'down:submersible-joined.locking-pin',
    'down:submersible-joined.discharge-head',
    'down:submersible-joined.stages-out',
  ))
it('straps first, light; reverse threads by no force; stages in their order', () => {
  expect(step(visit, 'down:submersible-joined.discharge-head').caution).toMatch(/try gently both ways/)
  expect(step(visit, 'down:submersible-joined.stages-out').text).toMatch(/one by one/)
})
it('buys nothing, has no gates of the mains, and says what is left', () => {
  without(visit, /make-dead|pull/)
  expect(visit.plan.parts.filter((each) => 'part' in each)).toEqual([])
  expect(visit.sheet.left.join()).toMatch(/stage kit.*dearer by the year/i)
})
it('stays apart and sorted: no hour is priced for putting scrap together, and nothing is still out', () => {
  without(visit, /^back:/)
  expect(visit.plan.tray).toEqual([])
})
it('with the kit agreed after all it goes back, in the same round', () => {
  const closed = play({
    ...ORCHARD,
    do: [{ choose: ['post-mortem'] }, { tick: 'all' }, { job: 'stage-kit', state: 'agreed' }, { tick: 'all' }],
  })
  inOrder(closed, 'down:submersible-joined.stages-out', 'back:submersible-joined.stages-out')
  allBack(closed)
})
