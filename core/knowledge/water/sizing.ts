import type { Basis } from '../../judgement/judgement'

/** When a sump pump is the right one. */
export const SUMP_LIMITS = {
  reserve: 1.25,
  shortRunSeconds: 10,
  mostStartsPerHour: 60,
  basis: {
    kind: 'common-practice',
    name:
      'a quarter more than comes in, runs of at least 10 s, starts within what the maker allows (60 an hour, shop ' +
      'estimate)',
  } as Basis,
}
/** What a house wants at its taps. */
export const HOUSE_FLOW = {
  gallonsPerMinute: 5,
  basis: { kind: 'common-practice', name: 'a house wants about 5 gpm (0.3 L/s) at its pressure' } as Basis,
}
/** A pump between its cut-in and cut-out runs at least a minute. */
export const TANK_RUN = {
  seconds: 60,
  tiredSeconds: 45,
  basis: { kind: 'common-practice', name: 'a tank gives at least a minute of running between starts' } as Basis,
}
/** What a motor wants at its terminals as it starts: below this it may only hum. */
export const START_VOLTS = {
  tiredFraction: 0.85,
  failedFraction: 0.75,
  basis: {
    kind: 'common-practice',
    name: 'start torque goes with volts squared: at 75 % of its volts little more than half is left',
  } as Basis,
}
/** What a drive and a lightly loaded motor lose against their best. */
export const SLOW_EFFICIENCY = {
  share: 0.85,
  basis: {
    kind: 'common-practice',
    name: 'wire-to-water at reduced speed about 85 % of that at full speed, shop estimate',
  } as Basis,
}
/** What is lifted by hand alone. */
export const HAND_LIFT = {
  oneKilograms: 20,
  twoKilograms: 40,
  basis: { kind: 'shop', name: 'what is lifted by hand, shop rule' } as Basis,
}
/** Room a motor keeps above what the pump asks of it. */
export const MOTOR_ROOM = {
  basis: {
    kind: 'common-practice',
    name: 'horsepower × service factor at least the most the pump can ask for',
  } as Basis,
}
