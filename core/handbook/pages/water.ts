import { PRESSURES } from '../../knowledge/water/pressures'
import { COOLING_FLOW, NPSH_MARGIN } from '../../knowledge/water/water'
import { IDEA_INFO } from '../../knowledge/practice/ideas'
import { q, r, say } from '../../quantity/sentence'
import { list, text, type Chapter } from '../page'

const { precharge, vacuum, jetVacuum, jetLift, cycleSeconds, filterHighPsi, shutoff, usualSwitch } = PRESSURES

export const WATERS: Chapter = {
  title: 'The water',
  pages: [
    {
      id: 'suction',
      title: 'The suction side',
      rule: IDEA_INFO.suction.rule,
      idea: 'suction',
      live: 'suction-air',
      body: [
        text(
          say`No pump pulls: the air pushes, and at sea level a jet on one pipe lifts about
          ${q(jetLift.feet * 0.3048, 'head')}.
            Lift, friction and warm water all take from the same purse, and ${q(NPSH_MARGIN.metres, 'head', 1)}
              is kept in
            hand.`,
        ),
        text(
          say`A vacuum gauge before the wheel: between ${r(vacuum.lowInHg, 'inHg')} and
          ${r(vacuum.highInHg, 'inHg')} a pool
            pump is content. High, and the water is held back: basket, skimmer, a shut valve, a collapsed hose.
              Low, with
            bubbles under the lid, and air comes in.`,
        ),
        list(
          'Air is drawn in where nothing drips: lid ring, drain plug, valve stem, the union before the pump.',
          'Water on the joints, one after the other, with it running: where the bubbles stop, that was it.',
          'A line that will not hold its prime overnight has a foot valve, or a pinhole above the water.',
          'Gravel in the wheel that comes and goes is starved water before it is a bearing.',
        ),
        text(
          say`Of a jet: ${jetVacuum.inHgPerFoot} inHg for each foot of lift, and an inch or two of friction. Much
          more is a
            blocked foot valve; much less is air.`,
        ),
      ],
      see: ['curve', 'lesson-suction-air'],
    },
    {
      id: 'pressure',
      title: 'Switch, tank and pump',
      rule: IDEA_INFO.pressure.rule,
      idea: 'pressure',
      live: 'tank-air',
      body: [
        text(
          say`The switch asks, the pump answers, the tank keeps them apart. Open a tap and watch the gauge: at which
            pressure does it close, at which does it open? The usual is ${r(usualSwitch.cutInPsi, 'psi')} and
            ${r(usualSwitch.cutOutPsi, 'psi')}.`,
        ),
        text(
          say`The tank’s air is read with the tank empty of water: ${r(precharge.belowCutInPsi, 'psi')} under
          cut-in, give or
            take ${r(precharge.tolerancePsi, 'psi')}. With its air gone it gives a cup of water and the pump
              starts for every
            glass: at least ${q(cycleSeconds.low, 'seconds')} from start to start.`,
        ),
        list(
          'Never asked: nipple plugged, contacts burnt, cut-in above what the pump can make.',
          'Asked, and does not answer: everything behind the load side.',
          'Answers, and never stops: a leak, a worn pump, cut-out set above its shut-off.',
          'Stops, and starts without a tap open: check valve, or a leak in the house.',
          'Water at the tank’s air valve: its bladder is torn.',
        ),
        text('A log of the gauge over a day tells all of these apart; the program reads one.'),
      ],
      see: ['wells', 'lesson-tank-air', 'lesson-switch-or-pump'],
    },
    {
      id: 'curve',
      title: 'What a pump can do',
      rule: 'A pump and its pipes meet at one point. Find where it runs before it is called weak.',
      live: 'up-thrust',
      body: [
        text(
          say`Head falls as flow grows. With the outlet shut for a moment a sound wheel makes its shut-off within about
            ${q(100 * (1 - shutoff.soundFraction), 'percent')} of the curve; only where everything before it bears that
            pressure, and never against a filter.`,
        ),
        list(
          say`A filter above about ${r(filterHighPsi.value, 'psi')} wants cleaning, or is throttled.`,
          'Speed: flow goes with it, head with its square, power with its cube.',
          'Lower than the curve everywhere: worn wheel or air. Lower at high flow alone: something before it, or ' +
            'the pipe.',
          'Pipes one size up often give more than a pump one size up.',
        ),
        text('Where the water goes, what a speed saves and what pipe is wanted are worked out under Workings.'),
      ],
      see: ['suction', 'wells', 'lesson-up-thrust'],
    },
    {
      id: 'wells',
      title: 'Wells, strings and thrust',
      rule: 'Read at the surface everything that can be read there, before anything is pulled.',
      body: [
        text(
          say`A submersible is cooled by the water that passes it, at least
          ${q(COOLING_FLOW.metresPerSecond, 'velocity', 1)},
            and carried by a thrust bearing that wants its load from above. Pumping against nothing lifts its wheels;
            pumping against a shut valve presses them down and boils the water.`,
        ),
        list(
          'Water level at rest and pumping, and how it comes back: the well, or the pump?',
          'Volts, amps, ohms and insulation at the box first: together they tell a motor from a cable from a pump.',
          'Sand wears stages and thrust together: slow pumping, and the intake off the bottom.',
          'What is pulled once is renewed as far as it would have to be pulled for again: splice, check valve, guards.',
        ),
      ],
      see: ['lifting', 'splitting', 'lesson-up-thrust'],
    },
    {
      id: 'pits',
      title: 'Pits, floats and backups',
      rule: 'Pour water in, and let it do by itself what it is there for.',
      body: [
        text(
          say`A float switches at two heights, and the water between them is one run: too little, and it starts
          more often
            than every ${q(cycleSeconds.sumpLow, 'seconds')}; what runs back out of the riser counts as part of it.`,
        ),
        list(
          'By hand first, then by water: a float that hangs on its cord works in the hand.',
          'The check valve keeps the riser; without one the pit fills from above.',
          'A backup is read on its battery, with the mains off, and is unplugged before a hand goes in.',
          'The alarm is heard before it is trusted.',
        ),
      ],
      see: ['served', 'ground'],
    },
  ],
}
