import { expect, it } from 'vitest'
import { found, inOrder, play, step, without } from './job'

/** 17. Post-mortem: a well set of 38 years that just stopped; a new one went in, only the cause is to be found. */
const visit = play({
  machine: {
    kind: 'well-three-wire',
    construction: 'submersible-joined',
    nameplate: { volts: 230, hertz: 60, horsepower: 0.5, motorType: 'capacitor-start' },
    standing: 'bench',
    installedOn: '1988-06-01',
  },
  call: { complaints: ['dead'], says: 'old one quit, why?' },
  do: [
    { choose: ['post-mortem'] },
    { until: 'down:submersible-joined.head-nuts' },
    'shaft wont turn mtr, head turns',
    { tick: 'down:submersible-joined.head-nuts' },
    { until: 'down:submersible-joined.leads' },
    'conn seal cracked',
    'stages good',
    'motor fill water',
    'cable not in box',
    { tick: 'work' },
    { job: 'swap-motor', state: 'left', why: 'potted, no rewind: dead at 38' },
    { handOver: { watch: 'new set: lead plug and insulation once a year', next: '2027-06-01' } },
  ],
})

it('findings as they are, each half for itself; what was not measured is not said', () => {
  const said = found(visit).map(({ check, outcome, half }) => `${check}=${outcome} ${half ?? ''}`.trim())
  expect(said).toEqual(
    expect.arrayContaining([
      'shaft-turn=seized motor',
      'shaft-turn=free pump-end',
      'connector-look=cracked',
      'stack-look=sound',
      'motor-fill-look=water',
    ]),
  )
  expect(said.join()).not.toMatch(/insulation/)
})
it('the cracked lead seal let the water in: the two stand first', () => {
  const top = visit.after
    .at(-1)
    ?.top.slice(0, 3)
    .map(({ fault }) => fault)
  expect(top?.some((fault) => fault === 'water-in-motor' || fault === 'lead-connector-leaking')).toBe(true)
})
it('down a well nobody hears it hum: told as dead, a seized motor and its cracked plug stand together', () =>
  expect(visit.after.at(-1)?.top.map(({ fault }) => fault)).toContain('motor-seized'))
it('3 before anything is forced; the plug photographed before it turns; the pin before force', () => {
  inOrder(visit, 'work:lead-connector:each-half', 'down:submersible-joined.discharge-head')
  inOrder(visit, 'work:lead-connector:plug-photo', 'down:submersible-joined.leads')
  inOrder(visit, 'down:submersible-joined.locking-pin', 'down:submersible-joined.discharge-head')
  expect(step(visit, 'work:lead-connector:plug-photo').text).toMatch(/crack is the evidence/)
})
it('no mains, no well, no new part; no repair, no proof', () => {
  without(visit, /make-dead|pull|well-installation|^back:/)
  expect(visit.plan.parts.filter((each) => 'part' in each)).toEqual([])
  expect(visit.sheet.proved).toEqual([])
})
it('what is not worth it stands on the sheet with its reason', () =>
  expect(visit.sheet.left.join()).toMatch(/dead at 38/))
