import { IDEA_INFO } from '../../knowledge/practice/ideas'
import { SKILL_MODEL } from '../../knowledge/practice/skill-model'
import { list, text, type Chapter } from '../page'

export const WORK: Chapter = {
  title: 'The work',
  pages: [
    {
      id: 'order',
      title: 'Order of work',
      rule: IDEA_INFO.order.rule,
      idea: 'order',
      drawing: 'ladder',
      body: [
        list(
          'Safe: off, proved, bled, let down.',
          'Looked at and asked about: what cost nothing and was seen by somebody.',
          'Dead readings: ohms, insulation, microfarads, the shaft by hand.',
          'Live readings: volts, amps, pressures, with guards on and hands away.',
          'Opened, pulled, taken apart: what costs an hour, and what cannot be undone.',
        ),
        text(
          'Within each of these the next is the one that would change your mind most for its minutes. A reading ' +
            'whose ' +
            'outcome you know already is needless, however usual it is.',
        ),
        text('A second cause is found by asking what the first does not explain. A repair is over when it is proved.'),
      ],
      see: ['splitting', 'proving', 'chances'],
    },
    {
      id: 'seals',
      title: 'Seals and what they keep out',
      rule: 'Faces clean, springs square, never dry. Water under the motor is a seal until it is shown to be a joint.',
      body: [
        list(
          'Two faces, polished flat: a fingerprint is a leak. Rubber slides on with water or soap, never with ' +
            'oil or grease.',
          'Shaft bare of burrs and rust; its sleeve or O-ring is changed with the seal.',
          'Seconds without water score the faces: fill, open, then power.',
          'A new seal that drips within the hour is mounted askew, or its other half is the old one.',
          'What wept on the front bearing has already begun on the next repair.',
        ),
      ],
      see: ['bearings', 'force', 'lesson-new-bearings'],
    },
    {
      id: 'fits',
      title: 'What fits',
      rule: 'A part is held against the old one point by point before the drive home, not after it.',
      body: [
        list(
          'Never fewer volts or amps than the old one. Capacitance within its tolerance: more is as wrong as less.',
          'A bearing by bore, outside and width, whatever the number says; sealed where there is water.',
          'An O-ring by its section first: what lay in a groove is flat and stretched. A little too small is ' +
            'stretched on; too large lies loose and is pinched.',
          'A shaft seal by shaft, seat, head and height. The one that looked the same is the dearest part there is.',
          'An impeller of the other hand throws little water and screws itself off.',
          'A float in one piece up to its outlet; a splice made for that wire, and for water where it lies in water.',
        ),
        text(
          'What fits with something done about it is said with what that is: another strap, a setting, a bushing. ' +
            'Each adapter is one more place to leak: three at most, and the fewest.',
        ),
        text(
          'Rubber, capacitors, grease and cement grow old on the shelf. What lies longest is used first, and ' +
            'measured before it goes in.',
        ),
      ],
      see: ['motor-fit', 'seals', 'capacitors'],
    },
    {
      id: 'keeping',
      title: 'How much to keep',
      rule: 'The second trip is the dearest part of the trade; a part that lies costs a fifth of its price a year.',
      body: [
        list(
          'A part is kept where what it saves in second trips is more than what it costs to lie there.',
          'How often it is wanted comes from the machines there are, their ages, and what failed here before.',
          'A machine whose own readings near their limit wants its part sooner than its years say.',
          'It is kept for as long as a delivery takes, and for its delay: twice the time is not twice the stock.',
          'What is dear and seldom is ordered when it is wanted; what is cheap is kept though it is seldom.',
          'What may not lie long is kept the less: what is thrown away was bought for nothing.',
        ),
        text(
          'A van has little room: what rides is what today’s visits are likely to take, whole repairs before halves, ' +
            'then what comes unforeseen. Where less money may lie than would be worth it, what saves least for its ' +
            'money is left out first.',
        ),
        text(
          'A level is a reckoning from rates that nobody knows for certain. Whoever knows better fixes it by hand, ' +
            'and the program says beside it what it would have kept.',
        ),
      ],
      see: ['fits', 'chances', 'shop'],
    },
    {
      id: 'take-down',
      title: 'Down, and the way back',
      rule: 'What goes back the way it came: photographed, counted, laid in the order it came off.',
      body: [
        list(
          'Mark halves across their joint before they part. Photograph wires before the first is off.',
          'Screws by joint, in a tray, by count. One left over at the end is one missing.',
          'Bolts of a round joint crosswise, in two turns; plastic by hand and a quarter.',
          'Left-handed threads are there so that running tightens them.',
          'Every ring that was opened is renewed: it costs less than the way.',
        ),
        text(
          'How many of what a construction has is usual, not known: count your own, and the machine’s card ' +
            'remembers it.',
        ),
      ],
      see: ['force', 'seals', 'proving'],
    },
    {
      id: 'proving',
      title: 'Proved, and told',
      rule: 'A repair is what the readings after it say, and nothing before.',
      body: [
        list(
          'Free by hand, full of water, air out, then power.',
          'Volts and amps against the plate that is fitted now. Pressures at which it closes and opens.',
          'Dry under it, wiped, after minutes of running: a drip takes its time.',
          'What complained is asked again. What was not there is said as not there.',
        ),
        text(
          'The owner is told what was found, what was done, what it reads now, and what to watch; never a chance ' +
            'of a ' +
            'thing that was in the hand. What does not prove goes back to the test with all that is known.',
        ),
      ],
      see: ['order', 'served'],
    },
    {
      id: 'chances',
      title: 'How the lamp weighs causes',
      rule: 'Every cause begins with how usual it is. Every reading moves it by how well it fits.',
      body: [
        text(
          'What is usual for the machine, its age and its kind comes first; what callers say moves that a little, a ' +
            'reading a lot. Each check is then worth what it would change, less what it costs in minutes, parts ' +
            'and risk. ' +
            'The one that is worth most is lit.',
        ),
        list(
          'Figures that nobody has published are called shop estimates, and give way to what the shop’s own ' +
            'visits show.',
          'Chances are of what was not seen. What was in the hand has none.',
          'Two causes that are mended alike are one to whoever mends.',
        ),
        text(
          'Skill in practice is reckoned in the same way: an estimate with the span in which it lies four times ' +
            'of five. ' +
            `Tries in which the lamp was on count ${100 * SKILL_MODEL.countsWithLamp.on} parts in a hundred.
              Certificates are ` +
            'not ours to give.',
        ),
      ],
      see: ['order', 'shop'],
    },
    {
      id: 'shop',
      title: 'Days, money and the shop’s own numbers',
      rule: 'What the shop has entered wins; where it has not, an estimate stands and says that it is one.',
      body: [
        text(
          'Minutes, prices, journeys, seasons and how long a household can do without water are needed to weigh ' +
            'one day, ' +
            'one repair or one load of the van against another. They begin as estimates and are moved by the shop’s ' +
            'settings and by its own visits.',
        ),
        list(
          'What was agreed by name stands; a difference at the end is explained.',
          'People and beasts without water come before what can wait.',
          'A second trip is the dearest part of a repair.',
        ),
      ],
      see: ['chances', 'proving'],
    },
  ],
}
