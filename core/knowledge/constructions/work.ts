import type { PartWork, WorkStep } from './joint'
import { MOTOR_WORK } from './motor-work'
import { SEAL_WORK } from './seal-work'
import { about } from './shared'

const OTHER_HALF: WorkStep = {
  id: 'other-half',
  text: 'Look at the other half: {halves}',
  minutes: about(1),
  unless: 'motor',
}
/** Parts outside the motor and its seal. */
const OTHER_WORK: readonly PartWork[] = [
  {
    part: 'impeller',
    steps: [
      { id: 'clean', text: 'Clear the vanes; look for wear, rub and cracks', minutes: about(4) },
      {
        id: 'suits',
        text: 'A new one must suit the motor: horsepower × service factor; its thread and hand tried by hand',
        minutes: about(1),
        tags: ['measures-part'],
      },
    ],
  },
  { part: 'diffuser', steps: [{ id: 'fit', text: 'New diffuser, its top stamp up', minutes: about(2) }] },
  { part: 'lock-screw', steps: [{ id: 'fit', text: 'New lock screw, its small ring with it', minutes: about(2) }] },
  {
    part: 'lock-screw-gasket',
    steps: [
      { id: 'ring', text: 'New ring under the lock screw: it does not come with a new impeller', minutes: about(1) },
    ],
  },
  {
    part: 'strainer',
    steps: [{ id: 'clean', text: 'Basket emptied and rinsed; cracked, it is new', minutes: about(2) }],
  },
  {
    part: 'terminal-board',
    steps: [
      {
        id: 'remake',
        text: 'Burnt ends cut back to bright copper, new ends; a burnt board is new',
        tool: 'crimp tool',
        minutes: about(8),
      },
    ],
  },
  {
    part: 'hose-connector',
    steps: [{ id: 'fit', text: 'New connectors held against the old: size, thread, bore clear', minutes: about(2) }],
  },
  {
    part: 'foot',
    steps: [{ id: 'fit', text: 'New foot, the motor’s weight taken while it is off', minutes: about(4) }],
  },
  {
    part: 'adapter',
    steps: [{ id: 'fit', text: 'New adapter: size and thread held against the old', minutes: about(3) }],
  },
  {
    part: 'selector',
    steps: [
      {
        id: 'set',
        text: 'Set the selector to the supply',
        minutes: about(2),
        caution: '115 V selection on 230 V destroys the motor.',
      },
    ],
  },
  {
    part: 'pump',
    in: ['sump-sealed'],
    steps: [
      {
        id: 'match',
        text: 'The new pump by duty: lift and friction on its curve, outlet, float and cord against the old',
        minutes: about(4),
        early: true,
      },
      {
        id: 'height',
        text: 'Measure the new pump’s outlet against the old: pipe to cut off, or to add',
        tool: 'rule',
        minutes: about(4),
      },
      {
        id: 'hole',
        text: 'A 3 mm relief hole below the check valve where its sheet asks for one',
        tool: 'drill',
        minutes: about(2),
      },
    ],
  },
  {
    part: 'pump',
    steps: [
      {
        id: 'match',
        text: 'The new pump by duty: flow and head, volts, ports and their height',
        minutes: about(6),
        early: true,
      },
    ],
  },
  {
    part: 'pump-end',
    steps: [
      {
        id: 'match',
        text: 'The new head for this motor: same spline and flange, no more horsepower than the motor carries',
        minutes: about(4),
        early: true,
      },
      { id: 'turn', text: 'Turn the new head by hand before it is joined', minutes: about(1), tags: ['measures-part'] },
      OTHER_HALF,
    ],
  },
  {
    part: 'stages',
    steps: [
      {
        id: 'look',
        text: 'Each set: impeller, cup, diffuser; turns free on the hex, no rub, no heat marks',
        minutes: about(6),
        asks: [
          { id: 'sound', label: 'All sound', finding: { check: 'stack-look', outcome: 'sound' } },
          { id: 'worn', label: 'Worn', finding: { check: 'stack-look', outcome: 'worn' } },
          { id: 'fused', label: 'Fused or torn', finding: { check: 'stack-look', outcome: 'fused' } },
        ],
      },
      {
        id: 'kit',
        text: 'Stage kit in its order; turn the stack by hand after each: it must stay free',
        minutes: about(14),
        caution: 'Some pump ends are potted or pressed: ask before pricing a kit.',
      },
    ],
  },
  {
    part: 'shims',
    steps: [
      {
        id: 'gap',
        text: 'Measure the impeller gap; same shims only if nothing that sets the stack changed',
        tool: 'feeler gauge',
        minutes: about(8),
        mounted: ['shims', 'motor-bolts'],
      },
    ],
  },
  { part: 'switch-springs', steps: [{ id: 'fit', text: 'New springs, both', minutes: about(4) }] },
  {
    part: 'thermal-protector',
    steps: [{ id: 'fit', text: 'New protector of the same number and class', minutes: about(10) }],
  },
  { part: 'stack-clip', steps: [{ id: 'clip', text: 'New clip, closed tight', minutes: about(2) }] },
  { part: 'coupling', steps: [{ id: 'fit', text: 'New coupling, its screw on the flat', minutes: about(5) }] },
  {
    part: 'check-valve',
    steps: [
      {
        id: 'fit',
        text: 'New check valve, arrow with the flow; count one built into the pump before adding another',
        minutes: about(4),
      },
    ],
  },
  { part: 'battery', steps: [{ id: 'fit', text: 'New battery, red first on, last off', minutes: about(6) }] },
  {
    part: 'discharge-pipe',
    steps: [
      {
        id: 'join',
        text: 'Dry-fit, mark, then primer on both and cement on both',
        tool: 'primer, cement',
        minutes: about(10),
        caution: 'Vapours: air the place, no flame.',
      },
    ],
  },
  { part: 'intake-screen', steps: [{ id: 'clean', text: 'Clear the screen', minutes: about(3) }] },
  { part: 'cable-guard', steps: [{ id: 'fit', text: 'New guard, leads flat under it', minutes: about(3) }] },
  { part: 'lead-connector', steps: [{ id: 'fit', text: 'New lead connector, dry, straight', minutes: about(5) }] },
  { part: 'cable', steps: [{ id: 'fit', text: 'New cable by its length and amps: see Workings', minutes: about(15) }] },
  {
    part: 'splice',
    steps: [
      { id: 'splice', text: 'New splices {splice}; {ground}', tool: 'crimp tool, heat gun', minutes: about(20) },
      {
        id: 'read',
        text: 'Before it is lowered: motor, splice and cable together read to ground, the splice under water',
        tool: 'megohmmeter, bucket',
        minutes: about(5),
        caution: 'Hands off the leads: the megohmmeter puts out 500 V. Discharge afterwards.',
        reads: { check: 'insulation-resistance', setup: 'motor-and-cable' },
      },
    ],
  },
  { part: 'drop-pipe', steps: [{ id: 'fit', text: 'New pipe: {threads}', minutes: about(15) }] },
  {
    part: 'foot-valve',
    steps: [
      {
        id: 'fit',
        text:
          'New foot valve, its flap free, its screen clean; the line filled through the prime plug before it is ' +
          'started',
        minutes: about(6),
        caution: 'Never started dry: the seal burns.',
      },
    ],
  },
  { part: 'control-box', steps: [{ id: 'fit', text: 'New box of the same horsepower and volts', minutes: about(6) }] },
  { part: 'start-relay', steps: [{ id: 'fit', text: 'New relay of the box’s own number', minutes: about(8) }] },
  { part: 'union', steps: [{ id: 'ring', text: 'New rings in both unions', minutes: about(3) }] },
  {
    part: 'ejector',
    steps: [{ id: 'clean', text: 'Nozzle and throat cleared, worn ones replaced', minutes: about(8) }],
  },
  { part: 'fan', steps: [{ id: 'fit', text: 'New fan', minutes: about(2) }] },
  {
    part: 'pressure-switch',
    steps: [{ id: 'fit', text: 'New switch; cut-in and cut-out set and tried against the gauge', minutes: about(8) }],
  },
  { part: 'pressure-gauge', steps: [{ id: 'fit', text: 'New gauge, reading zero', minutes: about(2) }] },
  { part: 'relief-valve', steps: [{ id: 'fit', text: 'New relief valve below the tank’s rating', minutes: about(3) }] },
  {
    part: 'tank',
    steps: [
      {
        id: 'charge',
        text: 'Charge to 2 psi below cut-in while it is empty of water',
        tool: 'tyre gauge, air pump',
        minutes: about(6),
      },
    ],
  },
  { part: 'tank-tee', steps: [{ id: 'fit', text: 'New tee: {threads}', minutes: about(10) }] },
  { part: 'rotor', steps: [{ id: 'look', text: 'Look for rub marks on rotor and bore', minutes: about(3) }] },
  {
    part: 'shaft',
    steps: [{ id: 'runout', text: 'Runout at the seal with a dial gauge', tool: 'dial gauge', minutes: about(6) }],
  },
  {
    part: 'through-bolts',
    steps: [
      {
        id: 'clean',
        text: 'Threads cleaned; where one is eaten away, washers so that the nut bites sound thread',
        minutes: about(5),
      },
    ],
  },
  {
    part: 'backup-float',
    steps: [{ id: 'set', text: 'Backup float above the main, below the floor', minutes: about(3) }],
  },
  {
    part: 'float-switch',
    steps: [
      { id: 'fit', text: 'New float at the old height; lift it by hand: it starts and stops', minutes: about(4) },
    ],
  },
]

/** What is done at a part once it is reached; a row for one construction goes before the common one. */
export const PART_WORK: readonly PartWork[] = [...SEAL_WORK, ...MOTOR_WORK, ...OTHER_WORK]
