import type { WorkStep } from '../constructions/joint'
import { about } from '../constructions/shared'

const MEGOHMS = 'The megohmmeter puts out 500 V: hands off, discharged after.'

/** A submersible on trial: what decides on power comes before any. */
export const BARREL_TRIAL: readonly WorkStep[] = [
  { id: 'dry', text: 'Shell, leads and ground wiped dry', minutes: about(2) },
  { id: 'prove-meter', text: 'Meter proved: tips together, tips apart', tool: 'ohmmeter', minutes: about(1) },
  {
    id: 'to-shell',
    text: 'Each lead to the bright shell: a few volts condemn, they never clear',
    tool: 'ohmmeter',
    minutes: about(2),
    reads: { check: 'ground-ohmmeter' },
  },
  {
    id: 'lead-to-lead',
    text: 'Lead to lead',
    tool: 'ohmmeter',
    minutes: about(2),
    reads: { check: 'winding-resistance' },
  },
  {
    id: 'megohms',
    text: 'Each lead to the shell at 500 V',
    tool: 'megohmmeter',
    minutes: about(4),
    caution: MEGOHMS,
    reads: { check: 'insulation-resistance', setup: 'motor-alone' },
  },
  {
    id: 'gauge',
    text: 'Gauge over the shaft at the motor’s face: it swings free',
    tool: 'shaft gauge',
    minutes: about(3),
    reads: { check: 'thrust-gauge' },
  },
  { id: 'halves', text: 'Turn each half by hand', minutes: about(2), reads: { check: 'shaft-turn' } },
  {
    id: 'rig',
    text: 'Outlet with gauge, throttle open and return hose; the barrel covers the intake',
    minutes: about(6),
    caution: 'Seconds dry fuse the stages: never dry.',
  },
  {
    id: 'run',
    text: 'Hots to the leads, ground to ground, hands clear: run; volts and amps',
    tool: 'clamp meter',
    minutes: about(4),
    caution: 'Water and mains: ground proved, a GFCI before it, nobody touches the barrel.',
    reads: { check: 'running-current' },
  },
  {
    id: 'throttle',
    text: 'Throttle slowly: pressure and flow at one point of its curve',
    minutes: about(4),
    reads: { check: 'discharge-pressure' },
  },
  { id: 'off', text: 'Off, discharged; lifted by pipe or rope, never by its leads', minutes: about(2) },
]

/** A surface pump brought back: its complaint reproduced, primed first. */
export const BENCH_TRIAL: readonly WorkStep[] = [
  {
    id: 'fill-suction',
    text: 'Hose with its foot valve in the barrel: filled, held, the level watched',
    minutes: about(4),
    reads: { check: 'prime-hold' },
  },
  { id: 'couple', text: 'Hose coupled to the inlet, wedged straight', minutes: about(2) },
  { id: 'fill-body', text: 'Body filled through the outlet port to the brim', minutes: about(2) },
  { id: 'outlet-hose', text: 'Outlet hose on: tight enough if the prime holds', minutes: about(1) },
  {
    id: 'selector',
    text: 'Rear plate off: read the voltage arrow against the supply; plate on',
    tool: 'screwdriver',
    minutes: about(3),
    caution: '115 V selection on 230 V destroys the motor.',
    reads: { check: 'selector-setting' },
  },
  {
    id: 'switch',
    text: 'Pressure switch: each hot on its own contact, line side and motor side; green to the lug',
    minutes: about(4),
    caution: 'Its lid stays off only with hands away.',
  },
  {
    id: 'run',
    text: 'Run it under power, look and listen at motor and volute, with the suction half shut',
    minutes: about(5),
    reads: { check: 'listen' },
  },
  {
    id: 'off',
    text: 'Off, dead; lead off, drained, plugs in; note and film of the noise in the parcel',
    minutes: about(5),
  },
]

/** A motor that leaves its place: what stays behind is dead, capped and covered. */
export const FETCH_MOTOR: readonly WorkStep[] = [
  {
    id: 'leave-site',
    text: 'Bare wires capped, band or bolts taped to the pot, the open half covered, a sign on the breaker',
    minutes: about(4),
  },
]

/** A motor opened to be read; the job may end open. */
export const STRIP_MOTOR: readonly WorkStep[] = [
  { id: 'windings', text: 'Windings looked at and smelled', minutes: about(2), reads: { check: 'winding-look' } },
  {
    id: 'switch-parts',
    text: 'Weights, springs and contacts of the start switch looked at',
    minutes: about(2),
    only: { motor: 'start-switch' },
    reads: { check: 'start-switch-look' },
  },
  {
    id: 'rings',
    text: 'Numbers read off both rings; unreadable: bore, outside and width measured',
    minutes: about(3),
    identifies: 'bearings',
  },
  { id: 'tray', text: 'The tray counted aloud, bagged and marked', minutes: about(2) },
]

/** An old well pump opened for its cause. */
export const POST_MORTEM: readonly WorkStep[] = [
  {
    id: 'each-half',
    text: 'Each shaft turned by hand before anything is forced: which half is bound',
    minutes: about(2),
    at: 'pump-end',
    reads: { check: 'shaft-turn' },
    before: ['down:submersible-joined.locking-pin', 'down:submersible-joined.discharge-head'],
  },
  {
    id: 'plug-photo',
    text: 'Lead plug photographed before it turns, its seal looked at: the crack is the evidence',
    minutes: about(3),
    at: 'pump-end',
    reads: { check: 'connector-look' },
    before: ['down:submersible-joined.leads'],
  },
  {
    id: 'stack',
    text: 'Each stage turned on the hex: rub, heat, fusing',
    minutes: about(6),
    at: 'stages',
    reads: { check: 'stack-look' },
  },
  {
    id: 'valve',
    text: 'Check valve moved by hand: it seats',
    minutes: about(2),
    at: 'stages',
    reads: { check: 'check-valve' },
  },
  { id: 'sort', text: 'Parts sorted: kept, scrap; the cause written back', minutes: about(4), at: 'stages' },
]
