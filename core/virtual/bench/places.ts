import { benchViewOf } from '../../knowledge/electrical/bench-views'
import { HOUSE_WATER, SUBMERGED, WELLS } from '../../knowledge/vocabulary'
import type { Question } from '../answer'
import type { VirtualMachine } from '../machine'
import type { Parted } from './hands'
import type { Probing } from './meter'

/** Where the leads go for a check, how the dial stands, and what is parted or turned off for it. */
export interface Places {
  probing: Probing
  parted?: readonly Parted[]
  /** The pump is asked for, or it is not; either where absent. */
  asked?: boolean
}

/**
 * Where a check is read on a machine.
 *
 * @returns undefined for a check that this bench has no place for
 */
export function placesFor(question: Question, machine: VirtualMachine): Places | undefined {
  const places = placesOf(question, machine)
  if (!places) return undefined
  const { kind } = machine
  const view = benchViewOf(kind)
  const nodes = new Set([...view.terminals.map(({ node }) => node), ...view.jaws.map(({ id }) => id)])
  const { a, b } = places.probing
  return [a, b].every((node) => node === undefined || nodes.has(node)) ? places : undefined
}

function placesOf(
  { check, part, leads, setup, half }: Question,
  { kind, motor, motorType }: VirtualMachine,
): Places | undefined {
  const three = kind === 'well-three-wire'
  const apart = WELLS.includes(kind) && (half === 'motor' || setup === 'motor-alone')
  const [common, run, start] = three
    ? apart
      ? ['ym', 'km', 'rm']
      : ['y2', 'k2', 'r2']
    : WELLS.includes(kind) && !apart
      ? ['h1', 'h2', 's']
      : kind === 'sump'
        ? ['h1', 'h2', 's']
        : ['m1', 'm2', 's']
  const split: readonly Parted[] = ['splice']
  switch (check) {
    case 'breaker-voltage':
      return { probing: { dial: 'volts', a: 'b1', b: 'b2' }, asked: false }
    case 'outlet-voltage':
      return { probing: { dial: 'volts', a: 'o1', b: 'o2' }, asked: false }
    case 'battery-voltage':
      return { probing: { dial: 'volts', a: 'battery-plus', b: 'battery-minus' } }
    case 'supply-voltage':
      return { probing: { dial: 'volts', ...ends('c1', 'c2', 't1', 't2') }, asked: false }
    case 'supply-voltage-loaded':
      return {
        probing: { dial: 'volts', ...(kind === 'sump' ? { a: 'o1', b: 'o2' } : { a: 't1', b: 't2' }) },
        asked: true,
      }
    case 'load-side-voltage':
      return {
        probing: { dial: 'volts', ...(kind === 'sump' ? { a: 'h1', b: 'h2' } : { a: 't1', b: 't2' }) },
        asked: true,
      }
    case 'drop-test':
      // Behind a drive no line of the supply goes on.
      return motorType === 'electronic' ? undefined : { probing: { dial: 'volts', ...dropOf() }, asked: true }
    case 'running-current':
      return { probing: { dial: 'amps', a: 'jaw-one' }, asked: true }
    case 'locked-current':
      return { probing: { dial: 'amps', a: 'jaw-one', peak: true }, asked: true }
    case 'capacitance':
      return part === 'start-capacitor'
        ? { probing: { dial: 'microfarads', a: 'sc1', b: 'sc2' }, parted: ['start-can'] }
        : { probing: { dial: 'microfarads', a: 'rc1', b: 'rc2' }, parted: ['run-can'] }
    case 'winding-resistance':
      return {
        probing: { dial: 'ohms', a: common, b: leads?.includes('start') ? start : run },
        ...(apart ? { parted: split } : {}),
      }
    case 'thermal-protector-continuity':
      return { probing: { dial: 'ohms', a: 'm1', b: 'p' } }
    case 'ground-ohmmeter':
      return { probing: { dial: 'ohms', a: fromGround(), b: 'ground' } }
    case 'insulation-resistance':
      if (setup === 'cable-alone')
        return { probing: { dial: 'volts-500', a: three ? 'kx' : 'x2', b: 'ground' }, parted: split }
      return {
        probing: { dial: 'volts-500', a: apart ? run : fromGround(), b: 'ground' },
        ...(apart ? { parted: split } : {}),
      }
    default:
      return undefined
  }

  // Behind an open winding its run end hangs by itself: the other end is the motor’s.
  function fromGround(): string {
    return motor.runOpen && !SUBMERGED.includes(kind) ? common : run
  }
  function ends(lineA: string, lineB: string, a: string, b: string) {
    return HOUSE_WATER.includes(kind) ? { a: lineA, b: lineB } : { a, b }
  }
  function dropOf() {
    if (kind === 'sump') return { a: 'o1', b: 'h1' }
    if (WELLS.includes(kind)) return { a: 'b1', b: 'h1' }
    return kind === 'spa' || kind === 'circulation' || kind === 'utility' ? { a: 'o1', b: 'm1' } : { a: 'b1', b: 'm1' }
  }
}
