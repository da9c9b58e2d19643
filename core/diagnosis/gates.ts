import { checkInfo } from '../knowledge/checks/checks'
import { BESIDE_A_CAPACITOR } from '../knowledge/checks/safety'
import { PULLING, SUMP_CHECKS_OUT, UNPRIMED, WELL_CHECKS_OUT, WITH_BOX } from '../knowledge/checks/reach'
import {
  CAN_IN_REACH,
  GATES,
  SITE_GATES,
  SUBMERGED,
  WELLS,
  type Gate,
  type Kind,
  type Standing,
} from '../knowledge/vocabulary'
import { MOTOR_HAS, type CompletePlate, type Pump } from '../motor/nameplate'
import type { Asked } from './finding'

/** What stands between a technician and the inside: the wet end of a surface pump, the water over a submerged one. */
export type AccessGate = Extract<Gate, 'wet-end-open' | 'pulled'>

export function accessGateOf(kind: Kind): AccessGate {
  return SUBMERGED.includes(kind) ? 'pulled' : 'wet-end-open'
}

/** Is the place of a check behind the access gate on this kind? */
function reachesInside({ check, part, setup, half }: Asked, kind: Kind): boolean {
  const asks = checkInfo(check)?.gates.includes('wet-end-open') ?? false
  if (WELLS.includes(kind))
    return (
      asks ||
      (WELL_CHECKS_OUT.has(check) && !(kind === 'well-three-wire' && check.startsWith('capacit'))) ||
      setup === 'cable-alone' ||
      setup === 'motor-alone' ||
      (check === 'winding-resistance' && half === 'motor')
    )
  if (kind === 'sump') return asks || SUMP_CHECKS_OUT.has(check)
  // The eye is reached through the pot where there is one, and the lid ring lies under the lid.
  if ((check === 'impeller-look' || check === 'coupling-turn') && (kind === 'pool' || kind === 'utility')) return false
  if (check === 'o-ring-look' && part === 'lid-o-ring') return false
  return asks || half === 'motor' || half === 'pump-end'
}

/**
 * The gates a check needs on this machine, in order: the access gate of its kind, electronics only where there are any,
 * discharge only where a capacitor is within reach,
 * priming only where a pump is primed; those of the site only where it stands in its place.
 */
export function gatesFor(
  asked: Asked,
  kind: Kind,
  plate: Pick<CompletePlate, 'motorType'>,
  standing: Standing = 'installed',
): Gate[] {
  const gates = gatesInPlace(asked, kind, plate)
  return standing === 'installed' ? gates : gates.filter((gate) => !SITE_GATES.has(gate))
}

function gatesInPlace(asked: Asked, kind: Kind, plate: Pick<CompletePlate, 'motorType'>): Gate[] {
  const type = plate.motorType
  const access = accessGateOf(kind)
  const inside = reachesInside(asked, kind)
  const submerged = access === 'pulled'
  const charged =
    type === 'electronic' ||
    ((MOTOR_HAS.runCapacitor(type) || MOTOR_HAS.startCapacitor(type)) &&
      (CAN_IN_REACH.includes(kind) || asked.check.startsWith('capacit')))
  const beside = BESIDE_A_CAPACITOR[kind === 'well-three-wire' ? 'box' : 'motor'].has(asked.check)
  const listed = checkInfo(asked.check)?.gates ?? []
  // A hand goes into no space that holds a charged capacitor, whatever it is there for.
  const asks: readonly Gate[] =
    beside && listed.includes('proved-dead') && !listed.includes('discharged')
      ? listed.flatMap((gate) => (gate === 'proved-dead' ? [gate, 'discharged' as const] : [gate]))
      : listed
  const gates = asks.flatMap<Gate>((gate) => {
    switch (gate) {
      case 'electronics-disconnected':
        return type === 'electronic' || WITH_BOX.has(kind) ? [gate] : []
      case 'discharged':
        return !charged ? [] : type === 'electronic' ? ['drive-discharged'] : [gate]
      case 'primed':
        return UNPRIMED.has(kind) ? [] : [gate]
      case 'guards-on':
        return submerged ? [] : [gate]
      case 'valves-shut':
        return submerged ? [] : [gate]
      case 'depressurised':
        return kind === 'sump' ? [] : [gate]
      case 'wet-end-open':
        return inside && !submerged ? [gate] : []
      default:
        return [gate]
    }
  })
  if (inside && submerged) {
    const before: Gate[] = kind === 'sump' ? ['battery-disconnected', 'pulled'] : ['string-secured', 'pulled']
    const dead: Gate[] = ['power-off', ...(kind === 'sump' ? [] : ['proved-dead' as const])]
    return [...new Set<Gate>([...dead, ...gates.filter((gate) => gate !== 'power-on'), ...before])]
  }
  if (inside && !gates.includes(access)) {
    // Nothing is opened under pressure, whatever is to be looked at behind it.
    const before = (['valves-shut', 'depressurised'] as const).filter((gate) => !gates.includes(gate))
    return [...gates, ...before, access]
  }
  return gates
}

/**
 * Minutes to bring an access gate about on this machine: a wet end, a sump pump, or so many metres of drop pipe.
 */
export function accessMinutes(pump: Pump): number {
  if (pump.kind === 'sump') return PULLING.sumpMinutes
  if (!WELLS.includes(pump.kind)) return GATES['wet-end-open'].minutes
  const metres = pump.installation?.wellDepthMetres ?? pump.installation?.liftMetres ?? PULLING.usualWellMetres
  return PULLING.wellMinutes + PULLING.wellMinutesPerMetre * metres
}

/** Minutes to bring a gate about from its opposite, on this machine. */
export function gateMinutes(gate: Gate, pump: Pump): number {
  if (gate === accessGateOf(pump.kind)) return accessMinutes(pump)
  // Securing the string is part of pulling it.
  return gate === 'string-secured' ? 0 : GATES[gate].minutes
}

/**
 * The gates that make a machine safe to touch, in the order they are shut: what its kind has, and nothing it has not.
 */
export function safeGates(
  kind: Kind,
  plate: Pick<CompletePlate, 'motorType'>,
  standing: Standing = 'installed',
): Gate[] {
  const gates = safeInPlace(kind, plate)
  return standing === 'installed' ? gates : gates.filter((gate) => !SITE_GATES.has(gate))
}

function safeInPlace(kind: Kind, { motorType }: Pick<CompletePlate, 'motorType'>): Gate[] {
  if (kind === 'sump') return ['power-off', 'battery-disconnected', 'proved-dead']
  const charged: Gate[] =
    motorType === 'electronic'
      ? ['drive-discharged']
      : CAN_IN_REACH.includes(kind) && (MOTOR_HAS.runCapacitor(motorType) || MOTOR_HAS.startCapacitor(motorType))
        ? ['discharged']
        : []
  return [
    'power-off',
    'proved-dead',
    ...charged,
    ...(WELLS.includes(kind)
      ? ['depressurised' as const]
      : ['cool' as const, 'valves-shut' as const, 'depressurised' as const]),
  ]
}
