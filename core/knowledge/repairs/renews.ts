import { WELLS, type Kind, type Part } from '../vocabulary'

/** What a new motor brings with it, whatever it drives. */
const IN_MOTOR: readonly Part[] = [
  'bearings',
  'bearing-retainer',
  'wave-washer',
  'run-winding',
  'start-winding',
  'insulation',
  'thermal-protector',
  'start-switch',
  'switch-springs',
  'rotor',
  'shaft',
  'fan',
  'fan-cover',
  'terminal-board',
  'selector',
  'drive-electronics',
]
const CAPACITORS: readonly Part[] = ['run-capacitor', 'start-capacitor']
const IN_WELL_MOTOR: readonly Part[] = [...IN_MOTOR, 'thrust-bearing', 'lead-connector']
const WET_END: readonly Part[] = [
  'shaft-seal',
  'shaft-o-ring',
  'housing-o-ring',
  'diffuser',
  'diffuser-o-ring',
  'impeller',
  'seal-plate',
  'volute',
  'coupling',
  'shims',
]
const PUMP_END: readonly Part[] = ['stages', 'stack-clip', 'coupling', 'intake-screen']

/** What holds what: the parts that are new with a new one. The capacitors of a 3-wire well are in its box. */
function within(part: string, kind: Kind): readonly Part[] {
  const inWell = WELLS.includes(kind)
  const motor: readonly Part[] =
    kind === 'well-three-wire' ? IN_WELL_MOTOR : [...(inWell ? IN_WELL_MOTOR : IN_MOTOR), ...CAPACITORS]
  switch (part) {
    case 'motor':
      return motor
    case 'pump-end':
      return PUMP_END
    case 'control-box':
      return [...CAPACITORS, 'start-relay', 'start-module']
    case 'pump':
      return [
        'motor',
        ...motor,
        ...(inWell ? [...PUMP_END, 'pump-end' as const] : WET_END),
        ...(kind === 'sump' ? ['float-switch' as const, 'lead-connector' as const] : []),
      ]
    default:
      return []
  }
}

/** Every part that is new on a machine once these were replaced, those inside them too. */
export function renewedParts(replaced: readonly string[], kind: Kind): ReadonlySet<string> {
  return new Set(replaced.flatMap((part) => [part, ...within(part, kind)]))
}
