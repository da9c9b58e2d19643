import { expect, it } from 'vitest'
import { allBack, inOrder, play, step, without } from './job'

/** 5. Shop barrel: two-wire ¾-horse on trial. The grower asks whether it is still good. */
const visit = play({
  machine: {
    kind: 'well-two-wire',
    construction: 'submersible-joined',
    nameplate: { volts: 230, hertz: 60, horsepower: 0.75, motorType: 'permanent-split' },
    standing: 'bench',
  },
  call: { says: 'is it still good?' },
  do: [
    { choose: ['barrel-trial'] },
    { tick: 'all' },
    'meg 180',
    { handOver: { watch: 'running dry can melt its stages', next: '2027-06-01' } },
  ],
})

it('lead to shell, lead to lead, megohmmeter, gauge, and only then the barrel', () =>
  inOrder(
    visit,
    'work:pump:prove-meter',
    'work:pump:to-shell',
    'work:pump:lead-to-lead',
    'work:pump:megohms',
    'work:pump:gauge',
    'work:pump:rig',
    'work:pump:run',
  ))
it('rigged before it runs: seconds dry fuse the stages; no step of a well', () => {
  expect(step(visit, 'work:pump:rig').caution).toMatch(/never dry/)
  without(visit, /make-dead|pull|control-box|box-/)
})
it('ends with nothing open, and the reading judged as of a used motor out of its well', () => {
  allBack(visit)
  expect(visit.after[0]?.understood.findings).toMatchObject([{ check: 'insulation-resistance', value: 180 }])
})
