import type { Asked, Finding } from '../diagnosis/finding'
import { checkInfo } from '../knowledge/checks/checks'
import { isIdOf, PARTS, type Construction, type Gate, type Kind, type Standing } from '../knowledge/vocabulary'
import { MOTOR_HAS, type CompletePlate, type Nameplate } from '../motor/nameplate'

/** Where a line is said: of which machine, in what state, with which check lit. */
export interface Scene {
  kind: Kind
  construction?: Construction
  plate: CompletePlate
  /** What is really printed on the plate; the rest of `plate` is assumed. */
  printed: Partial<Nameplate>
  standing: Standing
  gates: ReadonlySet<Gate>
  lit?: (Asked & { lead?: string; of?: Finding['of'] }) | null
  /** What this visit has already, newest last. */
  findings?: readonly Finding[]
}

const hasSwitch = ({ plate }: Scene) => MOTOR_HAS.startSwitch(plate.motorType)

/** Checks that a motor type decides, besides the kinds of the table. */
const FITTED: Readonly<Record<string, (scene: Scene) => boolean>> = {
  'start-switch-look': (scene) => hasSwitch(scene) && scene.kind !== 'well-three-wire',
  'relay-look': (scene) => scene.kind === 'well-three-wire' || hasSwitch(scene),
  // Elsewhere a gap is that of a cover that is being pried.
  'impeller-gap': ({ kind, lit }) => kind === 'utility' || lit?.check === 'impeller-gap',
  'drive-error': ({ plate }) => plate.motorType === 'electronic',
  'impeller-look': ({ kind }) => kind !== 'well-two-wire' && kind !== 'well-three-wire',
  'pot-look': ({ kind }) => kind === 'pool' || kind === 'booster' || kind === 'spa' || kind === 'utility',
  'basket-look': ({ kind }) => kind === 'pool' || kind === 'spa' || kind === 'utility' || kind === 'booster',
  'filter-pressure': ({ kind }) => kind === 'pool' || kind === 'spa' || kind === 'booster',
}

/** Can this check be made on this machine? */
export function isHere(check: string, scene: Scene): boolean {
  const info = checkInfo(check)
  if (!info) return false
  if (info.kinds && !info.kinds.includes(scene.kind)) return false
  return FITTED[check]?.(scene) ?? true
}

/** Which capacitor is meant when none is named: the only one, the one that is lit, or both. */
export function capacitorsHere({ plate, kind, lit }: Scene): ('run-capacitor' | 'start-capacitor')[] {
  if (lit?.part === 'run-capacitor' || lit?.part === 'start-capacitor') return [lit.part]
  const run = MOTOR_HAS.runCapacitor(plate.motorType)
  const start = MOTOR_HAS.startCapacitor(plate.motorType)
  if (run && start) return ['run-capacitor', 'start-capacitor']
  if (start) return ['start-capacitor']
  // A can of a type that nobody has read: the kind’s usual one.
  return run || kind !== 'well-three-wire' ? ['run-capacitor'] : ['start-capacitor']
}

/** Is there such a capacitor on this machine? A plate that nobody has read denies nothing. */
export function capacitorFits(part: string, { plate, printed }: Scene): boolean {
  if (printed.motorType === undefined) return true
  if (part === 'run-capacitor') return MOTOR_HAS.runCapacitor(plate.motorType)
  if (part === 'start-capacitor') return MOTOR_HAS.startCapacitor(plate.motorType)
  return isIdOf(PARTS, part)
}

/** Has this motor one pair of leads or one winding that people mean, so that it needs no name? */
export function oneWinding(scene: Scene): boolean {
  return scene.kind === 'well-two-wire' || (scene.kind !== 'well-three-wire' && !hasSwitch(scene))
}
