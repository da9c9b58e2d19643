import type { Basis } from '../judgement/judgement'
import type { Construction, Gate, Part } from './vocabulary'
import type { Needs } from './model-types'

/** One movement of the hands, down or back. */
export interface Movement {
  text: string
  tool?: string
  minutes: number
  caution?: string
  /** How it must lie when it goes back. */
  orientation?: string
}

/** A joint that is opened on the way down and closed on the way back. */
export interface Opening {
  id: string
  part: Part
  joint: 'bolt' | 'screw' | 'clamp-band' | 'thread' | 'press-fit' | 'snap' | 'wire-terminal' | 'o-ring-seat' | 'gate'
  /** Usual count; "measure it": the technician's count wins. */
  count?: number
  countNote?: string
  /** Hand of the thread, and the turn that opens it. */
  hand?: 'right' | 'left'
  turn?: 'clockwise' | 'counter-clockwise'
  gates?: readonly Gate[]
  down: Movement
  back: Movement
}

/** A job: what is opened, what is then done. */
export interface JobPlan {
  plan: 'capacitor' | 'shaft-seal' | 'motor-swap'
  constructions: readonly Construction[]
  openings: readonly string[]
  work: readonly (Movement & { id: string; part: Part; needs?: Needs })[]
  basis: Basis
}

const CP: Basis = { kind: 'common-practice', name: 'usual take-down order of the trade' }
const SHOCK = 'Power off, locked, each line proved dead. Local codes and licensed practice decide.'

export const OPENINGS: readonly Opening[] = [
  { id: 'make-dead', part: 'breaker', joint: 'gate', gates: ['power-off', 'proved-dead'], down: { text: 'Breaker off and locked, each line proved dead at the terminals', tool: 'meter', minutes: 4, caution: SHOCK }, back: { text: 'Covers on, guards on, stand clear: breaker on', minutes: 1, caution: 'Bonding wire and covers first. Stand clear of lid and filter.' } },
  { id: 'discharge', part: 'run-capacitor', joint: 'gate', gates: ['discharged'], down: { text: 'Bleed each capacitor through the resistor for the time shown under Safe, prove it below a few volts', tool: 'bleed resistor 20 kΩ 5 W, meter', minutes: 1, caution: 'A capacitor holds its charge with the power off. A dead short arcs and can burst the can.' }, back: { text: 'Look once more: no strand, no tool, no rag left inside', minutes: 1 } },
  { id: 'valves', part: 'discharge-pipe', joint: 'gate', gates: ['valves-shut', 'depressurised'], down: { text: 'Suction and return valves shut, air relief open, gauge at zero', minutes: 3, caution: 'Pressure first: open the relief before any clamp or lid.' }, back: { text: 'Valves open, air relief open, pot filled, lid on its ring', minutes: 5, orientation: 'lid ring clean, with a film of silicone lubricant that shines' } },
  { id: 'drain', part: 'strainer', joint: 'thread', count: 2, hand: 'right', turn: 'counter-clockwise', gates: ['drained'], down: { text: 'Drain plugs out, let the wet end empty', minutes: 4, caution: 'The halves let go a rush of water if it is not drained.' }, back: { text: 'Drain plugs in, hand-tight and a little', minutes: 2 } },
  { id: 'capacitor-cover', part: 'run-capacitor', joint: 'screw', count: 2, countNote: 'cover screws', hand: 'right', turn: 'counter-clockwise', down: { text: 'Capacitor cover off', tool: 'screwdriver', minutes: 2 }, back: { text: 'Capacitor cover on, no wire under its rim', tool: 'screwdriver', minutes: 2, orientation: 'gasket in its groove' } },
  { id: 'capacitor-leads', part: 'run-capacitor', joint: 'wire-terminal', count: 2, countNote: 'leads; photograph first', down: { text: 'Photograph, then pull the leads off the capacitor', tool: 'insulated pliers', minutes: 2, caution: 'Only after it is proved discharged.' }, back: { text: 'Leads on, each tugged', minutes: 2, orientation: 'non-polar: either lead either way' } },
  { id: 'rear-cap', part: 'rear-cap', joint: 'screw', count: 2, countNote: 'small screws', hand: 'right', turn: 'counter-clockwise', down: { text: 'Rear cap off', tool: 'small nut driver', minutes: 2 }, back: { text: 'Rear cap on', tool: 'small nut driver', minutes: 2 } },
  { id: 'motor-wires', part: 'terminal-board', joint: 'wire-terminal', count: 3, countNote: 'two hots and ground; photograph first', down: { text: 'Photograph, then take the supply wires off; back off the conduit nut and guide the wires past the edge', tool: 'screwdriver, pliers', minutes: 6, caution: SHOCK }, back: { text: 'Feed one wire at a time, ground first, nip the conduit nut, tug each wire, no stray strands', tool: 'screwdriver, pliers', minutes: 8, orientation: 'as photographed; selector set to the measured supply' } },
  { id: 'bonding', part: 'bonding-lug', joint: 'screw', count: 1, hand: 'right', turn: 'counter-clockwise', down: { text: 'Bonding wire off its lug', tool: 'screwdriver', minutes: 1 }, back: { text: 'Bonding wire on: the last connection before the breaker', tool: 'screwdriver', minutes: 1, caution: 'Never left off: it is what keeps a fault out of the water.' } },
  { id: 'clamp', part: 'clamp-band', joint: 'clamp-band', count: 1, countNote: 'band and knob', hand: 'right', turn: 'counter-clockwise', gates: ['depressurised', 'drained'], down: { text: 'Clamp band off, motor and plate drawn straight back', tool: 'hand, soft mallet evenly if it sticks', minutes: 5, caution: 'Support the motor as it comes free.' }, back: { text: 'Halves together straight; band on, tightened in stages, tapped round with a soft mallet', tool: 'soft mallet', minutes: 6, orientation: 'new housing O-ring in its groove, a film that shines, no petroleum grease' } },
  { id: 'cover-bolts', part: 'volute', joint: 'bolt', count: 6, countNote: '4 to 8: count yours. Lower ones are often long, with nuts at the sides', hand: 'right', turn: 'counter-clockwise', gates: ['depressurised', 'drained'], down: { text: 'Cover bolts out: note which are long and which carry nuts', tool: '9/16 in socket, open wrench where it does not enter', minutes: 8, caution: 'Support the motor before the last bolt leaves.' }, back: { text: 'One bolt first so that the gasket keeps its groove, then all by hand, then in a star, two or three rounds, until seated and no further', tool: '9/16 in socket', minutes: 9, orientation: 'long bolts back in their own holes; upper finger-tight, foot on base, lower, then tighten', caution: 'Plastic: a dished washer means over-tight.' } },
  { id: 'part-halves', part: 'housing-o-ring', joint: 'o-ring-seat', count: 1, down: { text: 'Draw the halves apart; housing O-ring out and set aside as spent', tool: 'flat bar, no deeper than 1/16 in', minutes: 3, caution: 'The gasket lies right behind the rim. Stand the motor on padding: the diffuser cracks.' }, back: { text: 'New housing O-ring in a clean groove', tool: 'silicone lubricant', minutes: 2, orientation: 'not twisted; never the old ring again' } },
  { id: 'diffuser-band', part: 'diffuser', joint: 'screw', count: 4, countNote: '2 to 6 screws', hand: 'right', turn: 'counter-clockwise', down: { text: 'Diffuser off, its O-ring with it', tool: 'screwdriver', minutes: 3 }, back: { text: 'Diffuser on with a new O-ring', tool: 'screwdriver', minutes: 3, orientation: 'the top stamp up; the drain hole down' } },
  { id: 'diffuser-bolted', part: 'diffuser', joint: 'screw', count: 3, countNote: '2 or 3 small hex or cross screws', hand: 'right', turn: 'counter-clockwise', down: { text: 'Diffuser off, its O-ring with it', tool: 'small hex key', minutes: 3 }, back: { text: 'Diffuser on with a new O-ring', tool: 'small hex key', minutes: 3, orientation: 'the fin mates with its slot' } },
  { id: 'lock-screw', part: 'lock-screw', joint: 'screw', count: 1, hand: 'left', turn: 'clockwise', down: { text: 'Lock screw out of the impeller eye: it is left-handed, turn it clockwise. Hold the shaft by the flats behind the rear cap', tool: 'hex key, thin 7/16 in open-end', minutes: 2, caution: 'No screwdriver through the vents: it bends the fan.' }, back: { text: 'Lock screw in: counter-clockwise to tighten, with a new small ring under its head', tool: 'hex key', minutes: 2, orientation: 'the small ring does not come with a new impeller' } },
  { id: 'impeller', part: 'impeller', joint: 'thread', count: 1, hand: 'right', turn: 'counter-clockwise', down: { text: 'Impeller off: counter-clockwise seen from the eye, shaft held by the rear flats', tool: 'thin 7/16 in open-end, strap wrench on the impeller', minutes: 6, caution: 'Hand-tight and still stuck warns of corrosion: strap wrench, never a lever on the vanes.' }, back: { text: 'Impeller on by hand, clockwise seen from the eye, to the shoulder', minutes: 3, orientation: 'spring half of the seal square on its hub where it sits there' } },
  { id: 'seal-plate', part: 'seal-plate', joint: 'bolt', count: 4, countNote: 'motor-to-plate bolts; one often takes only an open wrench', hand: 'right', turn: 'counter-clockwise', gates: ['motor-supported'], down: { text: 'Motor-to-plate bolts out; plate off, evenly', tool: '9/16 in socket, open wrench', minutes: 7, caution: 'A plate that sticks gets the mallet all round, never a pry on one side. A stuck one is bought new.' }, back: { text: 'Plate on, four bolts crosswise in two rounds', tool: '9/16 in socket', minutes: 6, orientation: 'the drain hole at the bottom' } },
]

const SEAL_COMMON = [
  { id: 'look-shaft', part: 'shaft' as const, text: 'Look at the shaft under the seal: rust comes off by hand with 320 to 400 abrasive, pitting is a reason to stop', tool: 'fine abrasive by hand', minutes: 5, caution: 'Never polish a shaft under power.' },
  { id: 'old-sleeve', part: 'shaft-seal' as const, text: 'Old seal out, ring and cup both; look for the old inner sleeve left on the shaft', tool: 'pick, by hand', minutes: 5 },
]

export const JOBS: readonly JobPlan[] = [
  {
    plan: 'capacitor', constructions: ['band-clamp', 'bolted-seal-plate'], openings: ['make-dead', 'capacitor-cover', 'discharge', 'capacitor-leads'], basis: CP,
    work: [
      { id: 'measure-new', part: 'run-capacitor', text: 'Measure the new capacitor before it is fitted, and log it', tool: 'meter on μF', minutes: 2 },
      { id: 'fit-capacitor', part: 'run-capacitor', text: 'Fit it: same microfarads, never a lower voltage rating; wedge a thinner one so that it cannot chafe', minutes: 4, caution: 'A start capacitor never replaces a run capacitor.' },
    ],
  },
  {
    plan: 'shaft-seal', constructions: ['band-clamp'], openings: ['make-dead', 'valves', 'drain', 'clamp', 'part-halves', 'rear-cap', 'diffuser-band', 'impeller', 'seal-plate'], basis: CP,
    work: [
      ...SEAL_COMMON,
      { id: 'seat-in-plate', part: 'shaft-seal', text: 'Ceramic seat into the plate, cup wetted with soapy water, pressed with a lint-free pad', tool: 'lint-free pad', minutes: 5, orientation: 'polished ceramic faces the carbon; faces never touched, greased or struck' },
      { id: 'spring-on-hub', part: 'shaft-seal', text: 'Spring half onto the impeller hub, carbon outward', tool: 'socket on the shell’s rim', minutes: 5, orientation: 'smooth carbon meets polished ceramic' },
    ],
  },
  {
    plan: 'shaft-seal', constructions: ['bolted-seal-plate'], openings: ['make-dead', 'valves', 'drain', 'cover-bolts', 'part-halves', 'rear-cap', 'diffuser-bolted', 'lock-screw', 'impeller', 'seal-plate'], basis: CP,
    work: [
      ...SEAL_COMMON,
      { id: 'spring-in-plate', part: 'shaft-seal', text: 'Spring half into the plate: driven on its metal rim only, dead square, plate resting on a hollow ring', tool: 'socket of the rim’s size, soft mallet', minutes: 6, orientation: 'carbon towards the impeller; sealant under the shell as the seal’s sheet says' },
      { id: 'seat-in-impeller', part: 'shaft-seal', text: 'Ceramic seat into the impeller, cup wetted with soapy water, pressed with a lint-free pad', tool: 'lint-free pad', minutes: 5, orientation: 'polished ceramic faces the carbon; faces never touched, greased or struck' },
    ],
  },
  {
    plan: 'motor-swap', constructions: ['band-clamp'], openings: ['make-dead', 'discharge', 'bonding', 'rear-cap', 'motor-wires', 'valves', 'drain', 'clamp', 'part-halves', 'diffuser-band', 'impeller', 'seal-plate'], basis: CP,
    work: [
      { id: 'match-motor', part: 'motor', text: 'Match the new motor: frame, flange, shaft, volts, phase, rpm; horsepower × service factor at least that of the old', minutes: 5 },
      { id: 'set-selector', part: 'selector', text: 'Set the voltage selector: a new motor usually arrives set to the higher voltage', minutes: 3, caution: '115 V selection on 230 V destroys the motor.' },
      { id: 'pull-sleeve', part: 'shaft', text: 'Pull the shaft sleeve and the conduit plug from the new motor', minutes: 2 },
      { id: 'seat-in-plate', part: 'shaft-seal', text: 'New ceramic seat into the plate, pressed with a lint-free pad', tool: 'lint-free pad', minutes: 5, orientation: 'polished ceramic faces the carbon' },
      { id: 'spring-on-hub', part: 'shaft-seal', text: 'New spring half onto the impeller hub, carbon outward', tool: 'socket on the shell’s rim', minutes: 5, orientation: 'smooth carbon meets polished ceramic' },
    ],
  },
  {
    plan: 'motor-swap', constructions: ['bolted-seal-plate'], openings: ['make-dead', 'discharge', 'bonding', 'rear-cap', 'motor-wires', 'valves', 'drain', 'cover-bolts', 'part-halves', 'diffuser-bolted', 'lock-screw', 'impeller', 'seal-plate'], basis: CP,
    work: [
      { id: 'match-motor', part: 'motor', text: 'Match the new motor: frame, flange, keyed or threaded shaft, volts, phase, rpm; horsepower × service factor at least that of the old', minutes: 5 },
      { id: 'set-selector', part: 'selector', text: 'Set the voltage selector: a new motor usually arrives set to the higher voltage', minutes: 3, caution: '115 V selection on 230 V destroys the motor.' },
      { id: 'pull-sleeve', part: 'shaft', text: 'Pull the shaft sleeve and the conduit plug from the new motor', minutes: 2 },
      { id: 'spring-in-plate', part: 'shaft-seal', text: 'New spring half into the plate, on its metal rim only, dead square', tool: 'socket of the rim’s size, soft mallet', minutes: 6, orientation: 'carbon towards the impeller' },
      { id: 'seat-in-impeller', part: 'shaft-seal', text: 'New ceramic seat into the impeller, pressed with a lint-free pad', tool: 'lint-free pad', minutes: 5, orientation: 'polished ceramic faces the carbon' },
    ],
  },
]
