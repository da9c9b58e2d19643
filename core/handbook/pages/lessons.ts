import { list, text, type Chapter } from '../page'

/** Ten lessons, each with a pump that shows it. */
export const LESSONS: Chapter = {
  title: 'Ten short lessons',
  pages: [
    {
      id: 'lesson-ohmmeter',
      title: 'The ohmmeter that clears nothing',
      rule: 'Silence under a few volts is no answer to what happens under two hundred.',
      idea: 'insulation',
      live: 'ohmmeter',
      case: 'well-two-wire.one.f',
      body: [
        text(
          'It tripped twice. Somebody put an ohmmeter from the leads to the well casing, it showed nothing, and ' +
            'they put ' +
            'the power on a third time. Push the leak about: over most of its range the ohmmeter stays silent ' +
            'while the ' +
            'tester fails it, and while enough leaks at mains to let a ground-fault device go.',
        ),
        text('Then take the cable off in your mind: what limit holds depends on what hangs on the leads.'),
      ],
      see: ['insulation', 'ground'],
    },
    {
      id: 'lesson-three-leads',
      title: 'Three leads, no colours',
      rule: 'Three readings name three leads; no colour is needed, and none is to be trusted.',
      idea: 'windings',
      live: 'three-leads',
      case: 'well-three-wire.one.u',
      body: [
        text(
          'The splice was made with whatever cable was in the van, and the colours end there. Read each pair. ' +
            'The largest ' +
            'is both windings in a row; the lead that is not in it is common; of the two others the one with ' +
            'more ohms ' +
            'to common is the start.',
        ),
        text('Change how they lie in the box, and name them before the words do. Then open a winding, and say which.'),
      ],
      see: ['windings'],
    },
    {
      id: 'lesson-can-or-bound',
      title: 'Weak capacitor, or bound pump',
      rule: 'Both hum, both draw the same amps. A hand on the shaft tells them apart.',
      idea: 'capacitors',
      live: 'can-or-bound',
      case: 'pool.one.y',
      body: [
        text(
          'It hums and does not turn. Weaken the capacitor, and the torque it starts with falls under what the shaft ' +
            'takes. Hold the shaft instead, and a sound capacitor hums just so: the amps hardly differ.',
        ),
        list(
          'Dead, bled, fan cover off: does it turn by hand?',
          'If it does, one wire off the can and microfarads.',
          'If it does not, no power at all: motor and pump apart, and see which of them holds.',
        ),
      ],
      see: ['capacitors', 'splitting'],
    },
    {
      id: 'lesson-new-bearings',
      title: 'Why new bearings failed in a week',
      rule: 'The bearing was new. The seal in front of it was not.',
      idea: 'order',
      live: 'new-bearings',
      case: 'pool.redone.1',
      body: [
        text(
          'Bearings were noisy, bearings were changed, and a week later they are noisy again. Bring water into ' +
            'the grease ' +
            'and watch what is left of the years. A drip that nobody sees is thousands of parts in a million.',
        ),
        text(
          'The other way to do it is a hammer: a bearing driven on through its balls has a mark in the race for ' +
            'each of ' +
            'them, and sings from the first minute.',
        ),
        list(
          'Ask what the first failure came from.',
          'Look at the weep hole before the bearing is ordered.',
          'Seal and bearings go together, or neither lasts.',
        ),
      ],
      see: ['bearings', 'seals'],
    },
    {
      id: 'lesson-rest-and-loaded',
      title: 'Rest volts and loaded volts',
      rule: 'Volts are read twice: with nothing asked, and with everything.',
      idea: 'splitting',
      live: 'rest-and-loaded',
      case: 'jet.one.s',
      body: [
        text(
          'Two hundred and thirty-six at the switch, and the motor will not pull. A joint with an ohm or two ' +
            'passes every ' +
            'volt while nothing flows. Let the pump run, and look at what is left, and at the heat that one ' +
            'joint makes.',
        ),
        text(
          'Then both leads on one line, from end to end, piece by piece: the one that keeps volts for itself is ' +
            'the one.',
        ),
      ],
      see: ['volts', 'wire'],
    },
    {
      id: 'lesson-switch-or-pump',
      title: 'Switch, or pump',
      rule: 'Gauge, line side, load side: three readings, and nothing was pulled.',
      idea: 'pressure',
      live: 'switch-or-pump',
      case: 'jet.one.2',
      body: [
        text(
          'No water. The gauge stands low, so the switch should ask. Volts on its line side say that it could; ' +
            'volts on ' +
            'its load side say that it does. With the gauge low and the contacts open, what the switch feels is ' +
            'not what ' +
            'the gauge shows: the nipple between them is a sixteenth of an inch of rust.',
        ),
        text('Set each trouble, lower the pressure, and say what you would do before you read the words.'),
      ],
      see: ['pressure', 'splitting'],
    },
    {
      id: 'lesson-suction-air',
      title: 'Air on the suction side',
      rule: 'Little flow with much vacuum is a blockage. Little flow with little vacuum is air.',
      idea: 'suction',
      live: 'suction-air',
      case: 'pool.one.18',
      body: [
        text(
          'Weak at the returns, and the pump gets the blame. Block the basket: flow falls and the vacuum climbs. ' +
            'Let air ' +
            'in instead: flow falls and the vacuum goes with it, until at a few parts in a hundred it loses its water.',
        ),
        text('One gauge, one look under the lid, and the pump stays closed.'),
      ],
      see: ['suction'],
    },
    {
      id: 'lesson-tank-air',
      title: 'The tank that lost its air',
      rule: 'A pump that starts for every glass of water is not too big. Its tank is full of water.',
      idea: 'pressure',
      live: 'tank-air',
      case: 'well-two-wire.one.1b',
      body: [
        text(
          'A tank of forty-four gallons, and it lets out next to nothing. Take the air away and watch the ' +
            'seconds from start ' +
            'to start. Then give it too much, and see the other mistake: it is empty before the switch closes.',
        ),
        list(
          'Power off, a tap open until the gauge is at zero, then the air valve.',
          'Water at it: the bladder is torn, and air is lost work.',
          'Charge it with the tank empty, a little under cut-in.',
        ),
      ],
      see: ['pressure'],
    },
    {
      id: 'lesson-up-thrust',
      title: 'Up-thrust',
      rule: 'A pump for a deep well in a shallow one runs off the end of its curve, and lifts itself to pieces.',
      idea: 'splitting',
      live: 'up-thrust',
      case: 'well-three-wire.one.o',
      body: [
        text(
          'Head presses the wheels down onto their thrust washers; water that is turned upwards lifts them. ' +
            'Where there is ' +
            'hardly any head, lift wins. Bring the house nearer to the water, and the point slides out of the ' +
            'band in ' +
            'which this pump may run; close the valve a little, and it comes back.',
        ),
        text(
          'That is why a well is started against a valve that is nearly shut, and why a bigger pump can be the ' +
            'shorter-lived one.',
        ),
      ],
      see: ['curve', 'wells'],
    },
    {
      id: 'lesson-safe-hands',
      title: 'Safe hands',
      rule: 'Three readings to ground and across, one on the capacitor, and the meter proved twice.',
      idea: 'order',
      live: 'safe-hands',
      case: 'spa.one.d',
      body: [
        text(
          'The breaker is off. Choose which one it was. Line to line can read nothing while one line stands at ' +
            'full volts ' +
            'to ground; and with both dead the capacitor holds what it had at the top of the wave.',
        ),
        text(
          'Bleed it, and watch how long it takes. The hand goes in when all four are down, and not when the handle is.',
        ),
      ],
      see: ['dead', 'charged'],
    },
  ],
}
