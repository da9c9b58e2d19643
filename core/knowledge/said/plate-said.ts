/** The fields of the nameplate that a line can say. */
export type NameplateField =
  | 'volts'
  | 'hertz'
  | 'horsepower'
  | 'serviceFactor'
  | 'fullLoadAmps'
  | 'serviceFactorAmps'
  | 'lockedRotorAmps'
  | 'codeLetter'
  | 'poles'
  | 'rpm'
  | 'frame'
  | 'runCapacitorMicrofarads'
  | 'runCapacitorVolts'
  | 'startCapacitorMicrofarads'
  | 'startCapacitorVolts'

/** What a field is called, and the unit it is printed in. */
export const PLATE_LABELS: Readonly<Record<NameplateField, { label: string; unit?: string }>> = {
  volts: { label: 'volts', unit: 'V' },
  hertz: { label: 'mains', unit: 'Hz' },
  horsepower: { label: 'power', unit: 'hp' },
  serviceFactor: { label: 'service factor' },
  fullLoadAmps: { label: 'full load', unit: 'A' },
  serviceFactorAmps: { label: 'service-factor amps', unit: 'A' },
  lockedRotorAmps: { label: 'locked rotor', unit: 'A' },
  codeLetter: { label: 'code letter' },
  poles: { label: 'poles' },
  rpm: { label: 'speed', unit: 'rpm' },
  frame: { label: 'frame' },
  runCapacitorMicrofarads: { label: 'run capacitor', unit: 'μF' },
  runCapacitorVolts: { label: 'run capacitor', unit: 'V' },
  startCapacitorMicrofarads: { label: 'start capacitor', unit: 'μF' },
  startCapacitorVolts: { label: 'start capacitor', unit: 'V' },
}
