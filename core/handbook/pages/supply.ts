import { SUPPLY } from '../../knowledge/electrical/limits'
import { q, say } from '../../quantity/sentence'
import { list, text, type Chapter } from '../page'

const share = (of: number) => q(100 * of, 'percent')

export const SUPPLIES: Chapter = {
  title: 'Supply and wires',
  pages: [
    {
      id: 'volts',
      title: 'Volts at rest and under load',
      rule: 'A joint that is nearly gone shows every volt until something is asked of it.',
      live: 'rest-and-loaded',
      body: [
        text(
          say`At the motor’s terminals the plate’s volts hold within ${share(SUPPLY.toleranceFraction)}. Read them at
            rest, then with the pump running: what is lost between the two lies in wire, contacts and joints. More than
            ${share(SUPPLY.dropFraction)} of it points at wire size, length, or one poor joint.`,
        ),
        text(
          say`Then go along the line with both leads on it: between two ends of one sound wire there is next to nothing.
            The piece that keeps ${share(SUPPLY.jointDropFraction)} of the plate for itself is the one that is warm.`,
        ),
        list(
          'Low volts under load cook capacitors and stall motors: torque goes with the square.',
          say`Where the supply lies ${share(1 - SUPPLY.noAmpsBelowFraction)} or more under the plate no amps are
          read: the
            motor stalls, and cooks meanwhile.`,
          'A motor set for 230 V on 115 V hums; one set for 115 V on 230 V smokes.',
        ),
      ],
      see: ['wire', 'amps', 'lesson-rest-and-loaded'],
    },
    {
      id: 'wire',
      title: 'Wire, cable and what they keep',
      rule: 'A long cable is a resistor. Reckon it before the pump is blamed for being weak.',
      body: [
        text(
          'Copper has a resistance that goes with length and inversely with cross-section, and two conductors ' +
            'carry the ' +
            'current there and back. Ohms of a cable taken off a reading at the surface leave those of the motor.',
        ),
        list(
          'Size by what it carries and by what it loses: the larger of the two wins.',
          'Starting takes five times the amps: a cable that is fine while it runs can be too thin to start.',
          'A splice that is wet is read as a bad motor until the two are parted.',
        ),
        text(
          'The drop of a run, and the size that keeps it small, are worked out under Workings. Local code ' +
            'decides on wiring.',
        ),
      ],
      see: ['volts', 'splitting'],
    },
  ],
}
