import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, parts, play, step, without } from './job'

/** 12. Water co-operative: tower pump joined in the shop. Both halves new by wish; the old head stays as spare. */
const visit = play({
  machine: {
    kind: 'well-three-wire',
    construction: 'submersible-joined',
    nameplate: { volts: 230, hertz: 60, horsepower: 3, motorType: 'capacitor-start-run' },
    installation: { onlySupply: true, dutyHoursPerDay: 17 },
    standing: 'bench',
  },
  call: { says: 'both new, keep the old head', wishes: ['replace-well-motor', 'replace-pump-end'] },
  do: [
    { choose: ['replace-well-motor', 'replace-pump-end'] },
    { tick: 'all' },
    { handOver: { watch: 'a second set is wise' } },
  ],
})

it('1 before 4: motor read, head turned, before the faces are shut', () =>
  inOrder(
    visit,
    'work:motor:read-new',
    'work:pump-end:turn',
    'back:submersible-joined.head-nuts:spline',
    'back:submersible-joined.head-nuts',
  ))
it('6 → 7 → 10: leads flat, guard by two, screen last', () => {
  inOrder(
    visit,
    'back:submersible-joined.guard:leads',
    'back:submersible-joined.guard',
    'back:submersible-joined.screen',
  )
  expect(step(visit, 'back:submersible-joined.guard').text).toMatch(/tab/)
})
it('two jobs, one take-down, no site; both parts and no more', () => {
  without(visit, /make-dead|pull/)
  expect(parts(visit)).toEqual(['motor', 'pump-end'])
  expect(visit.plan.order.filter((id) => id === 'down:submersible-joined.head-nuts')).toHaveLength(1)
  oneClockOnePrice(visit)
  allBack(visit)
})
it('with both halves new nobody is sent to look at the other half', () => without(visit, /other-half/))
