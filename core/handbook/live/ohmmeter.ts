import { judgeInsulation } from '../../electrical/insulation'
import { INSULATION, INSULATION_TEST, type InsulationSetup } from '../../knowledge/electrical/limits'
import { q, r, say } from '../../quantity/sentence'
import { choice, defineLive, slider } from './live'

const SETUPS = Object.keys(INSULATION) as InsulationSetup[]
/** Above this the display of an ohmmeter has no figures. */
export const OHMMETER_MOST_MEGOHMS = 40
/** Where a handheld ohmmeter is taken to sound to ground. */
const SOUNDS_MEGOHMS = 0.3
/** A film of water or carbon that breaks down leaks so many times more under hundreds of volts than under a few. */
const UNDER_FEW_VOLTS = 200
const MAINS = 240
/** What a class A ground-fault interrupter lets go at: 4 to 6 mA (UL 943, from memory). */
const LETS_GO_MILLIAMPS = 5

/** A leak that only shows when it is asked with enough volts. */
export const ohmmeter = defineLive(
  [
    slider('leak', 'What leaks, asked with 500 V', [0.02, 2000], 0.8, (value) => say`${r(value, 'Mohm')}`, 'log'),
    choice('shy', 'How it leaks', ['the same at any volts', 'only under volts'], 1),
    choice(
      'setup',
      'What is on the leads',
      SETUPS.map((setup) => setup.replaceAll('-', ' ')),
      3,
    ),
  ],
  ({ leak, shy, setup }) => {
    const asked = leak * (shy === 1 ? UNDER_FEW_VOLTS : 1)
    const isSilent = asked > OHMMETER_MOST_MEGOHMS
    const judged = judgeInsulation({ megohms: leak, setup: SETUPS[setup] as InsulationSetup })
    const milliamps = MAINS / (leak * 1000)
    return {
      figures: [
        {
          id: 'ohmmeter',
          label: 'ohmmeter, a few volts',
          told: isSilent ? 'nothing' : say`${r(asked, 'Mohm')}`,
          verdict: asked < SOUNDS_MEGOHMS ? 'failed' : 'unclear',
        },
        {
          id: 'tester',
          label: `insulation tester, ${INSULATION_TEST.usualVolts} V`,
          told: say`${r(leak, 'Mohm')}`,
          verdict: judged.verdict,
        },
        {
          id: 'mains',
          label: `to ground on ${MAINS} V`,
          told: say`${milliamps} mA`,
          verdict: milliamps > LETS_GO_MILLIAMPS ? 'failed' : 'sound',
        },
      ],
      says:
        isSilent && judged.verdict !== 'sound'
          ? say`The ohmmeter shows nothing, and ${judged.because}. Whoever trusted it would have put power on this.`
          : isSilent
            ? say`Both are content here: ${judged.because}. The ohmmeter would have said the same of a bad one.`
            : say`So bad that even ${q(9, 'volts')} find it: ${judged.because}.`,
    }
  },
)
