import { CAPACITOR, CURRENT, INSULATION, INSULATION_TEST, WINDING } from '../../knowledge/electrical/limits'
import { STARTING } from '../../knowledge/electrical/typical-motor'
import { ABSORPTION } from '../../knowledge/electrical/wire'
import { IDEA_INFO } from '../../knowledge/practice/ideas'
import { q, r, say } from '../../quantity/sentence'
import { list, text, type Chapter } from '../page'

const share = (of: number) => q(100 * of, 'percent', 2)
const insulation = (setup: keyof typeof INSULATION) =>
  say`${r(INSULATION[setup].soundMegohms, 'Mohm')} and more is sound, under
  ${r(INSULATION[setup].failedMegohms, 'Mohm')} has failed`

export const MOTORS: Chapter = {
  title: 'The motor',
  pages: [
    {
      id: 'windings',
      title: 'Reading windings',
      rule: IDEA_INFO.windings.rule,
      idea: 'windings',
      live: 'three-leads',
      body: [
        text(
          'Dead and bled, everything off the leads, the meter’s own leads touched together first: what they have is ' +
            'taken off. Then each pair. A winding that is open reads nothing; one with shorted turns reads low, and ' +
            'often only when it is warm.',
        ),
        text(
          say`Of three leads the largest pair is both windings in a row, and the lead that is not in it is common. The
            largest is the sum of the other two, within ${WINDING.sumTolerancePercent} %: where it is not, there is a
            shorted winding, a bad joint, or a reading to repeat.`,
        ),
        list(
          'Copper has more ohms when it is warm: let it cool, or reckon with it.',
          'Through a cable, take the cable’s ohms off.',
          'A protector that is open looks like an open winding. Wait half an hour, or read around it.',
          'Even ohms clear nothing to ground: that is another test.',
        ),
      ],
      see: ['insulation', 'splitting', 'lesson-three-leads'],
    },
    {
      id: 'insulation',
      title: 'Insulation and its limits',
      rule: IDEA_INFO.insulation.rule,
      idea: 'insulation',
      live: 'ohmmeter',
      body: [
        text(
          say`The insulation tester asks with ${r(INSULATION_TEST.usualVolts, 'V')} what leaks from the winding to the
            shell. An ohmmeter asks with a few volts, and what breaks down only under volts does not answer it. Below
            ${r(INSULATION_TEST.leastVolts, 'V')} a good reading says nothing.`,
        ),
        text('What hangs on the leads sets the limit:'),
        list(
          say`Surface motor, taken to 40 °C: ${insulation('surface-motor')}.`,
          say`Submersible out of the well: ${insulation('motor-alone')}.`,
          say`Motor and cable in the well: ${insulation('motor-and-cable')}.`,
          say`Cable alone: ${insulation('cable-alone')}.`,
        ),
        text(
          say`Ten-fold lower than last time is a warning above any limit. Where it is near one, read at a minute and at
            half a minute: an absorption of less than ${ABSORPTION.ratioFailed} means water, more than
            ${ABSORPTION.ratioSound} a dry winding.`,
        ),
        text('Never with electronics on the leads: drives, timers, soft boxes die of it. Discharge the winding after.'),
      ],
      see: ['ground', 'splitting', 'lesson-ohmmeter'],
    },
    {
      id: 'capacitors',
      title: 'Capacitors, and what they carry',
      rule: IDEA_INFO.capacitors.rule,
      idea: 'capacitors',
      live: 'can-or-bound',
      body: [
        text(
          say`Bleed it, take one wire off, read microfarads. A run capacitor holds its printed tolerance, or
            ${CAPACITOR.runTolerancePercent} % where none can be read; a start type anything from its lower figure to a
            fifth above. One that bulges, leaks or is burnt has failed whatever it reads.`,
        ),
        text(
          say`A pump breaks away at about ${share(STARTING.breakawayShare)} of its rated torque. A weak can and a bound
            shaft both hum and both draw the amps of a locked rotor: by hand, power off, they differ at once.`,
        ),
        list(
          'Under load: amps in the capacitor’s own lead and volts across it give its microfarads, without taking ' +
            'it out.',
          'A new one of the wrong rating runs, warm, for a summer.',
          'Volts of the new one are at least those of the old. A start type never stands in for a run type.',
          'A start capacitor that died took its switch along, or the switch took it.',
        ),
      ],
      see: ['charged', 'amps', 'lesson-can-or-bound'],
    },
    {
      id: 'amps',
      title: 'Amps, full and locked',
      rule: 'Amps say how hard it works, not why. Held against the plate, with the water known.',
      body: [
        text(
          say`Round one wire, never round both. Over the plate’s service-factor amps it works too hard: low volts, a
            rubbing wheel, a failing bearing, or it moves more than it is made for. Under
              ${share(CURRENT.lowFraction)} of
            full load with the shaft turning it has nothing to do: dry, air-bound, throttled, or uncoupled.`,
        ),
        text(
          say`Held fast it draws ${CURRENT.lockedFraction[0]} to ${CURRENT.lockedFraction[1]} times full load, for the
            second that it may. A motor that draws that for longer is off at once: nothing seized is left under power.`,
        ),
      ],
      see: ['volts', 'capacitors', 'curve'],
    },
    {
      id: 'splitting',
      title: 'Half-splitting',
      rule: IDEA_INFO.splitting.rule,
      idea: 'splitting',
      drawing: 'parting',
      body: [
        text(
          'Everything between the breaker and the water stands in one row. A reading in the middle halves what ' +
            'is left: ' +
            'good here, it lies behind; bad here, before. Four readings find one of sixteen.',
        ),
        list(
          'Volts into the switch and out of it. Into the box and out of it. At the cable’s end.',
          'A float aside, the pump straight on: does it run?',
          'Coupling apart: does the motor run, does the pump turn by hand?',
          'Splice cut: the cable alone, the motor alone. Two things that hang together share one number.',
        ),
        text(
          'Begin where it costs least and halves most, not where it is likeliest: an hour’s pull for a thing that a ' +
            'two-minute reading at the box would have cleared is the dearest mistake of the trade.',
        ),
      ],
      see: ['order', 'insulation', 'lesson-switch-or-pump'],
    },
    {
      id: 'bearings',
      title: 'Bearings, shafts and how they sound',
      rule: 'A bearing dies of something. Find it, or the new one dies of the same.',
      live: 'new-bearings',
      body: [
        text(
          'Life goes with the third power of load, and water in the grease takes most of what is left. A front ' +
            'bearing ' +
            'that died early sat behind a seal that dripped; a rear one behind a fan cover that was shut.',
        ),
        list(
          'Turn it by hand, off: gritty, tight, or free. Rock it: what clicks is worn.',
          'Pressed on by its inner ring, pulled off by the ring that sits tight. A blow through the balls marks ' +
            'both races.',
          'Its number is on its side: bore, width and play follow from it.',
          'Ten seconds of its sound give the tones of its races, its balls and its cage, each by its own count.',
        ),
        text(
          'A whine that follows speed is mostly bearings; gravel is air or starved water; a hum at twice mains ' +
            'is iron.',
        ),
      ],
      see: ['seals', 'suction', 'lesson-new-bearings'],
    },
    {
      id: 'motor-fit',
      title: 'Another motor, another plate',
      rule: 'From the moment a new plate is on, every limit is judged by the new one.',
      body: [
        list(
          'Volts, hertz, flange, shaft, speed, direction. Each wrong one is a second trip.',
          'Horsepower times service factor is at least what the pump can ask for. Two of one horsepower can ' +
            'differ by half.',
          'Frame letters fix the face and the shaft: hold both to the old ones all the same.',
          'A foreign plate on an old pump says what the motor is, not what the pump wants.',
        ),
        text(
          'A plate that cannot be read is filled from what is usual for the machine, and everything judged by it ' +
            'says so.',
        ),
      ],
      see: ['amps', 'curve'],
    },
  ],
}
