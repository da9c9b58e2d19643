import { BLEED, INSULATION_TEST } from '../../knowledge/electrical/limits'
import { q, r, say } from '../../quantity/sentence'
import { list, text, type Chapter } from '../page'

/** Before a hand goes in. Common practice; local codes and licensed practice decide who may do electrical work. */
export const SAFE: Chapter = {
  title: 'Safe hands',
  pages: [
    {
      id: 'dead',
      title: 'Dead, and proved dead',
      rule: 'Off is what the handle says. Dead is what the meter says.',
      live: 'safe-hands',
      body: [
        text(
          'A handle names what somebody once thought it switches. Between it and the pump lie timers, relays, a ' +
            'second ' +
            'breaker, a backup on its battery. Each of them can hold a line live while the label says off.',
        ),
        list(
          'Say who is at home that the water goes off. Off at the breaker, locked, or somebody stays beside it.',
          'Prove the meter on something that is live.',
          'Line to line, each line to ground. Three readings, none of them guessed from the others.',
          'Prove the meter again. A meter that died in between reads zero everywhere.',
        ),
        text(
          'Who comes and goes, a thunderstorm, a long pause: prove it again. Rated meter, rated leads, one hand ' +
            'where ' +
            'one is enough. Local codes and licensed practice decide who opens a panel at all.',
        ),
      ],
      see: ['charged', 'lesson-safe-hands'],
    },
    {
      id: 'charged',
      title: 'What holds a charge',
      rule: 'A resistor, its time, then the meter. Never a screwdriver across.',
      body: [
        text(
          say`A run capacitor can keep more than three hundred volts with the power off, and a drive keeps its own for
            minutes. A resistor of ${BLEED.ohms / 1000} kΩ, ${BLEED.watts} W, takes a capacitor of a small pump below
            ${r(BLEED.safeVolts, 'V')} in a few seconds; the meter says when.`,
        ),
        list(
          'Bleed each capacitor by itself: those of one motor are not one.',
          'A drive is bled by its own wait, which stands on its label. No resistor, no short.',
          'After a test with the insulation tester the winding is a capacitor too: discharge it.',
          'A capacitor that lay in a drawer can have some back. Bleed it before it is read.',
        ),
        text(
          'A short across the terminals welds the screwdriver, can burst the can, and proves nothing about the ' +
            'next one.',
        ),
      ],
      see: ['dead', 'capacitors'],
    },
    {
      id: 'ground',
      title: 'Tripped, wet, or to ground',
      rule: 'After a trip insulation is read first, dead. One reset at most, after it has passed.',
      body: [
        text(
          'A breaker that let go has said something. What it said may stand on the casing, the pipe or the ' +
            'water, and ' +
            'the next person who touches it closes the circuit.',
        ),
        list(
          'No power, no reset, until the insulation was read.',
          'What reads to ground is split off and read again, until what is left is sound.',
          'What was under water is dried and read before anything else.',
          'On a wet floor the outlet and its ground come first, from a dry place.',
        ),
        text(
          say`The insulation tester puts ${r(INSULATION_TEST.usualVolts, 'V')} on the leads: hands off, electronics off
            the winding, nobody at the other end of the cable.`,
        ),
      ],
      see: ['insulation', 'dead'],
    },
    {
      id: 'pressed',
      title: 'Pressure, rushing water, vapours',
      rule: 'Valves shut, relief open, gauge at zero. Then the clamp.',
      body: [
        text(
          'A filter with air in it throws its lid like a shot. A tank pushes its water back the moment a ' +
            'union is loose. A pot that looks empty has what stands above it in the pipe.',
        ),
        list(
          'Shut what can be shut, open the air relief, and look at a gauge that you know to move.',
          'A bucket under the lowest joint, the motor held, and the electrics covered before halves part.',
          'Stand beside a lid at the restart, never over it.',
          'Primer, cement, bleach: air the place, no flame, never two of them together.',
        ),
      ],
      see: ['lifting', 'pressure'],
    },
    {
      id: 'lifting',
      title: 'Weight, and the string in the well',
      rule: 'Reckon the weight before anything is lifted. A clamp at every joint, no hand below it.',
      body: [
        text(
          say`Plastic pipe of ${q(30, 'length')}, full of water, with its cable and its pump, weighs
          ${q(45, 'mass', 1)} and
            more; steel three times that. A string that slips goes down the well, and whoever holds on goes after.`,
        ),
        list(
          'Empty the pipe where it can be emptied: most of the weight is water.',
          'Clamp at the well head first, then lift, then clamp again.',
          'Two people beyond what one holds with one hand; a hoist beyond what two do.',
          'A motor on a bench is strapped; one that hangs on its wet end is held before the bolts go.',
        ),
        text('The weight of a string is worked out under Workings, with the pipe, its water and the pump.'),
      ],
      see: ['wells', 'force'],
    },
    {
      id: 'force',
      title: 'What is stuck, hot or brittle',
      rule: 'Never a snap, never a pry on one side, never a lever on the shaft.',
      body: [
        text(
          'What sat for ten years comes off with time: oil and an hour, gentle heat where nothing burns, turning a ' +
            'little both ways. What is forced breaks something that cannot be bought alone.',
        ),
        list(
          'Flame stays off plastic, windings, solvents and capacitors. A motor shell burns for half an hour.',
          'Chips and shavings stay out of windings and bearings. Eyes are covered.',
          'Stainless on stainless galls: slow, with lubricant, and stop when it tightens.',
          'A plate gets the mallet all round. The shaft gets none.',
          'Springs, clips and rings fly: cover them, then count them.',
        ),
      ],
      see: ['take-down', 'seals'],
    },
    {
      id: 'served',
      title: 'Who drinks, bathes and lives by it',
      rule: 'The pump serves somebody: people in the water, a house that drinks, beasts that cannot wait.',
      body: [
        list(
          'Nobody is in the water, and no hand in a pit, while anything is reset or tried.',
          'A pool does not restart with a drain cover that is missing or broken: suction holds people under.',
          'Drinking water that was opened is disinfected as local codes say, before anybody drinks.',
          'Where fish or livestock live by it, the minutes count: air or a spare pump first, and the plug is ' +
            'written down.',
          'A chlorinator that runs without flow makes gas.',
        ),
        text('Local codes and licensed practice decide on drinking water and on everything people bathe in.'),
      ],
      see: ['proving', 'dead'],
    },
  ],
}
