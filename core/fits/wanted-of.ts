import { START_CAN, SUBMERGED } from '../knowledge/fits/electric'
import { readOf, type Spec } from '../knowledge/fits/family'
import { familyOf, type FamilyId } from '../knowledge/fits/families'
import { VALVE_FIT } from '../knowledge/fits/water'
import { HOUSE_WATER, type Kind, type Part } from '../knowledge/vocabulary'
import { neededHead, type Duty } from '../motor/match-duty'
import type { Installation, Nameplate } from '../motor/nameplate'
import { fromShown } from '../quantity/measures'
import { readSpec } from './read-spec'

/** What is known of a machine, as its card keeps it. */
export interface KnownMachine {
  kind: Kind
  nameplate: Nameplate
  installation?: Installation
  fitted?: readonly { part: Part; identity?: string; duty?: Duty; until?: string }[]
}
/** A part of a machine that can be asked for: its measures, and where they were read. */
export interface WantedPart {
  part: Part
  family: FamilyId
  spec: Spec
  /** What was read of it, in words, where it was written down: a bearing at one end. */
  written?: string
}

/**
 * Every part of a machine of which anything is known that it could be replaced by: from its plate, from its place, and
 * from what was written down when it was fitted. A part whose two pieces are named apart is asked for twice.
 */
export function wantedOf(machine: KnownMachine): WantedPart[] {
  const read = fittedParts(machine)
  const isRead = new Set(read.map(({ part }) => part))
  // What stands on the part that is in speaks before what follows from the plate; both together where they agree.
  const known = ratedParts(machine)
  return [
    ...read.map((each) => ({ ...each, spec: { ...known.find(({ part }) => part === each.part)?.spec, ...each.spec } })),
    ...known.filter(({ part }) => !isRead.has(part)),
  ]
}

function fittedParts({ fitted = [] }: KnownMachine): WantedPart[] {
  return fitted.flatMap(({ part, identity, duty, until }) => {
    const family = familyOf(part)
    if (!family || until !== undefined) return []
    const written = (identity ?? '').split(/[;,]\s+/).filter((each) => part === 'bearings' && /\d/.test(each))
    const texts = written.length > 0 ? written : identity ? [identity] : []
    const specs = texts.map((text) => ({ spec: readSpec(family, text), written: text }))
    const ofDuty: Spec = duty ? { flow: duty.flowLitresPerSecond, head: duty.headMetres } : {}
    return specs.length > 0
      ? specs.map(({ spec, written: text }) => ({ part, family, spec: { ...ofDuty, ...spec }, written: text }))
      : duty
        ? [{ part, family, spec: ofDuty }]
        : []
  })
}

const psi = (value: number | undefined) => (value === undefined ? undefined : fromShown(value, 'pressure', 'us'))

function ratedParts({ kind, nameplate: plate, installation = {} }: KnownMachine): WantedPart[] {
  const { serviceFactorAmps, fullLoadAmps } = plate
  const start = plate.startCapacitorMicrofarads
  const specs: Partial<Record<Part, Spec>> = {
    motor: readOf({
      volts: plate.volts,
      otherVolts: plate.otherVolts,
      hertz: plate.hertz,
      horsepower: plate.horsepower,
      serviceFactor: plate.serviceFactor,
      serviceFactorAmps,
      rpm: plate.rpm,
      frame: plate.frame,
      flange: plate.flange,
    }),
    ...(plate.runCapacitorMicrofarads === undefined
      ? {}
      : { 'run-capacitor': readOf({ microfarads: plate.runCapacitorMicrofarads, volts: plate.runCapacitorVolts }) }),
    ...(start === undefined
      ? {}
      : {
          'start-capacitor': readOf({
            microfarads: typeof start === 'number' ? start * START_CAN.middleOfLow : (start[0] + start[1]) / 2,
            volts: plate.startCapacitorVolts,
          }),
        }),
    ...(kind === 'well-three-wire'
      ? { 'control-box': readOf({ horsepower: plate.horsepower, volts: plate.volts }) }
      : {}),
    ...(kind === 'sump'
      ? { 'float-switch': readOf({ amps: serviceFactorAmps ?? fullLoadAmps, volts: plate.volts, action: 'pump-down' }) }
      : {}),
    ...(HOUSE_WATER.includes(kind) ? houseWater(plate, installation) : {}),
    ...(installation.cableAwg === undefined || !Object.hasOwn(SUBMERGED.conductors, kind)
      ? {}
      : { cable: underWater(kind, installation.cableAwg), splice: underWater(kind, installation.cableAwg) }),
    ...(neededHead(kind, installation) === undefined
      ? {}
      : { pump: readOf({ head: neededHead(kind, installation), volts: plate.volts }) }),
  }
  return Object.entries(specs).flatMap(([part, spec]) => {
    const family = familyOf(part as Part)
    return family && Object.keys(spec).length > 0 ? [{ part: part as Part, family, spec }] : []
  })
}

function houseWater(plate: Nameplate, { cutInPsi, cutOutPsi, tankLitres }: Installation): Partial<Record<Part, Spec>> {
  return {
    ...(cutInPsi === undefined && cutOutPsi === undefined
      ? {}
      : { 'pressure-switch': readOf({ cutIn: psi(cutInPsi), cutOut: psi(cutOutPsi), horsepower: plate.horsepower }) }),
    ...(cutOutPsi === undefined
      ? {}
      : { 'pressure-gauge': readOf({ range: (psi(cutOutPsi) as number) * VALVE_FIT.gaugeShare }) }),
    ...(tankLitres === undefined ? {} : { tank: { litres: tankLitres } }),
  }
}

const underWater = (kind: Kind, wire: string): Spec => ({
  wire,
  conductors: SUBMERGED.conductors[kind as keyof typeof SUBMERGED.conductors],
  where: 'submersible',
})
