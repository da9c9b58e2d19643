import { expect, it } from 'vitest'
import { inOrder, oneClockOnePrice, play, without } from './job'

/** 9. Manse pool: 1½-horse that buzzes. The motor is fetched to the shop; the visit ends open. */
const visit = play({
  machine: {
    kind: 'pool',
    construction: 'band-clamp',
    nameplate: { volts: 230, hertz: 60, horsepower: 1.5, motorType: 'permanent-split' },
  },
  call: { complaints: ['noise-buzz', 'runs-hot'], says: 'loud buzz for weeks, moves water fine' },
  do: [
    { gate: 'power-off' },
    { gate: 'proved-dead' },
    'shaft gritty',
    { choose: ['fetch-motor'] },
    { tick: 'down' },
    { tick: 'work' },
  ],
})

it('the halves before the cover, bled before a hand is in, conduit before carrying', () =>
  inOrder(
    visit,
    'down:valves',
    'down:drain',
    'down:clamp',
    'down:part-halves',
    'down:rear-cover',
    'down:discharge',
    'down:bonding',
    'down:photograph',
    'down:terminals',
    'down:conduit',
    'down:motor-out',
  ))
it('opens neither impeller nor motor, and leaves the site capped and covered', () => {
  without(visit, 'down:impeller', /motor-bench/)
  inOrder(visit, 'down:motor-out', 'work:pump:leave-site')
})
it('stays open: what is out is in the tray, the way back waits', () => {
  expect(visit.plan.tray.map(({ part }) => part)).toEqual(
    expect.arrayContaining(['clamp-band', 'bonding-lug', 'terminal-board', 'motor']),
  )
  expect(visit.plan.left[0]).toMatch(/^(back|work):/)
  expect(visit.after[0]?.top[0]?.fault).toMatch(/bearings-worn|bearing-loose-on-shaft/)
  oneClockOnePrice(visit)
})
