import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, parts, play } from './job'

/** 18. Mill Row cellar: alarm sounds, main sump silent; the backup’s float hangs too low. */
const visit = play({
  machine: {
    kind: 'sump',
    construction: 'sump-sealed',
    nameplate: { volts: 115, hertz: 60, horsepower: 0.33, motorType: 'permanent-split' },
    installation: { liftMetres: 2.4 },
    plateUnreadable: true,
  },
  call: { complaints: ['alarm-sounding'], says: 'alarm on, main silent' },
  do: [
    'outlet 118',
    'float bypass silent',
    'backup float below main',
    { choose: ['swap-sump-pump', 'set-float-heights'] },
    { tick: 'work:pump:match' },
    { tick: 'down:make-dead' },
    { tick: 'down:backup-off' },
    { tick: 'down:unplug' },
    { tick: 'down:bucket' },
    { tick: 'down:check-valve' },
    { tick: 'down:lift-out' },
    { tick: 'outlet-adapter', wontOpen: true },
    { tick: 'outlet-adapter', wontOpen: true },
    { tick: 'down' },
    { tick: 'work' },
    { tick: 'all' },
    { prove: 'float starts and stops' },
    { handOver: { watch: 'pour in a bucket of water each spring' } },
  ],
})

it('a silent pump on a live outlet is the pump; the float is the second fault', () => {
  expect(visit.after.at(-2)?.top.map(({ fault }) => fault)).toContain('float-heights-wrong')
})
it('two jobs share one way down; the backup’s battery first off, last on', () => {
  expect(visit.price.lines.map(({ id }) => id)).toEqual(['swap-sump-pump', 'set-float-heights'])
  inOrder(visit, 'down:backup-off', 'down:bucket', 'down:check-valve', 'down:lift-out')
  inOrder(visit, 'back:lift-out', 'back:unplug', 'back:backup-off', 'back:make-dead')
})
it('the adapter that will not turn is sawn, dry-fitted, cemented; its cure holds the water', () => {
  inOrder(
    visit,
    'down:outlet-adapter:free',
    'down:outlet-adapter:free2',
    'back:outlet-adapter:dry-fit',
    'back:outlet-adapter:cement',
    'back:outlet-adapter',
  )
  expect(parts(visit)).toEqual(expect.arrayContaining(['pump', 'adapter', 'primer and cement']))
})
it('no grit into a new pump; water poured in after the power', () => {
  inOrder(visit, 'work:intake-screen:clean-pit', 'back:lift-out')
  inOrder(visit, 'back:make-dead', 'work:float-switch:pour')
})
it('one clock, one price, and the tray is empty', () => {
  oneClockOnePrice(visit)
  allBack(visit)
})
