import { expect, it } from 'vitest'
import { allBack, found, inOrder, oneClockOnePrice, parts, play, step, without } from './job'

/** 3. Orchard cottage: sealed well pump that hums, pulled by its owner; the can inside is swollen. */
const visit = play({
  machine: {
    kind: 'well-two-wire',
    construction: 'submersible-sealed',
    nameplate: {
      volts: 230,
      hertz: 60,
      horsepower: 0.75,
      motorType: 'permanent-split',
      runCapacitorMicrofarads: 30,
      runCapacitorVolts: 450,
      capacitorTolerancePercent: 5,
    },
    standing: 'bench',
  },
  call: { complaints: ['hums-no-start'], says: 'hums, pulled by the owner' },
  do: [
    'shaft free',
    { choose: ['sealed-capacitor'] },
    { tick: 'down:submersible-sealed.strap' },
    { tick: 'down:submersible-sealed.screen' },
    { tick: 'down:submersible-sealed.base' },
    // One thick and one thin here, not two.
    { tick: 'down:submersible-sealed.stack-clip', count: 3 },
    { tick: 'down' },
    'run cap 0.21',
    // The step at hand is the new one’s.
    { until: 'work:run-capacitor:measure' },
    'new 29.7',
    { tick: 'work' },
    { tick: 'back:submersible-sealed.capacitor-leads:sleeve' },
    { tick: 'all' },
    { prove: 'meg 80' },
    { handOver: { watch: 'call if the water turns cloudy' } },
  ],
})

it('opens no well for a pump on the bench', () => without(visit, /make-dead|pull|cap$|secure/))
it('the cord before the motor; bled before the can; measured, joined, tried for a second, then the motor', () =>
  inOrder(
    visit,
    'down:submersible-sealed.draw-cord',
    'down:submersible-sealed.motor-out',
    'down:submersible-sealed.discharge',
    'down:submersible-sealed.capacitor-leads',
    'work:run-capacitor:measure',
    'back:submersible-sealed.capacitor-leads',
    'work:run-capacitor:trial',
    'back:submersible-sealed.motor-out',
    'back:submersible-sealed.draw-cord',
    'back:submersible-sealed.leads-cut',
    'back:submersible-sealed.cable-plate',
    'back:submersible-sealed.motor-ring',
    'back:submersible-sealed.sealed-stage',
    'back:submersible-sealed.stages-out',
    'back:submersible-sealed.stack-clip',
    'work:shaft:turn',
    'back:submersible-sealed.base',
    'back:submersible-sealed.screen',
  ))
it('never more than a second dry, straps and no vise, no lever on the shaft', () => {
  expect(step(visit, 'work:run-capacitor:trial').text).toMatch(/one second/)
  expect(step(visit, 'down:submersible-sealed.strap').text).toMatch(/no vise/)
  expect(step(visit, 'down:submersible-sealed.sealed-stage').caution).toMatch(/Never a lever/)
})
it('the can at 0.21 of 30 is failed, and the capacitor leads', () => {
  expect(found(visit)).toContainEqual(expect.objectContaining({ check: 'capacitance', value: 0.21 }))
  expect(visit.after.at(1)?.top[0]?.fault).toBe('run-capacitor-failed')
  // What the new one reads clears nothing of the old one.
  expect(found(visit)).toContainEqual(expect.objectContaining({ check: 'capacitance', value: 29.7, of: 'new' }))
  expect(visit.after.at(2)?.top[0]?.fault).toBe('run-capacitor-failed')
})
it('the clip and its washers go back as they were counted on this machine', () => {
  allBack(visit)
  expect(visit.card.joints).toContainEqual({ joint: 'submersible-sealed.stack-clip', count: 3 })
  expect(parts(visit)).toEqual(expect.arrayContaining(['run-capacitor', 'splice']))
  oneClockOnePrice(visit)
})
