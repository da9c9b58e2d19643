import type { Check } from '../checks/checks'
import type { Part } from '../vocabulary'

/**
 * Where a part that is found damaged on the way has a look of its own: what is seen then is a finding, and the causes
 * move with it.
 */
export const DAMAGE_LOOKS: Readonly<Partial<Record<Part, Check>>> = {
  'seal-plate': 'plate-look',
  bracket: 'plate-look',
  shaft: 'shaft-look',
  'shaft-seal': 'seal-look',
  'housing-o-ring': 'o-ring-look',
  'diffuser-o-ring': 'o-ring-look',
  'lid-o-ring': 'o-ring-look',
  impeller: 'impeller-look',
  fan: 'fan-look',
  stages: 'stack-look',
  'start-relay': 'relay-look',
  'lead-connector': 'connector-look',
  'start-switch': 'start-switch-look',
  'run-capacitor': 'capacitor-look',
  'start-capacitor': 'capacitor-look',
  union: 'thread-look',
}
