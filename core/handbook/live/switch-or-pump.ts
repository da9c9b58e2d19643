import { PRESSURES } from '../../knowledge/water/pressures'
import { r, say } from '../../quantity/sentence'
import { choice, defineLive, slider } from './live'

const { cutInPsi: CUT_IN, cutOutPsi: CUT_OUT } = PRESSURES.usualSwitch
const SUPPLY = 238
const [NOTHING, NIPPLE, CONTACTS] = [0, 1, 2]

/** No water: does the switch not ask, or does the pump not answer? */
export const switchOrPump = defineLive(
  [
    slider('gauge', 'The gauge', [0, 70], 12, (value) => say`${r(Math.round(value), 'psi')}`),
    choice('trouble', 'What is wrong', ['nothing', 'its nipple is plugged', 'its contacts are burnt', 'the pump'], 1),
  ],
  ({ gauge, trouble }) => {
    // What a plugged nipple holds is the pressure at which it closed.
    const feels = trouble === NIPPLE ? Math.max(gauge, CUT_OUT) : gauge
    const closes = feels <= CUT_IN
    const load = closes && trouble !== CONTACTS ? SUPPLY : 0
    const wants = gauge <= CUT_IN
    return {
      figures: [
        { id: 'gauge', label: 'gauge', told: say`${r(gauge, 'psi', 2)}`, verdict: wants ? 'failed' : 'sound' },
        { id: 'feels', label: 'what the switch feels', told: say`${r(feels, 'psi', 2)}` },
        { id: 'line', label: 'volts on the line side', told: say`${r(SUPPLY, 'V')}`, verdict: 'sound' },
        {
          id: 'load',
          label: 'volts on the load side',
          told: say`${r(load, 'V')}`,
          verdict: wants && load === 0 ? 'failed' : 'sound',
        },
        { id: 'contacts', label: 'its contacts', told: closes ? 'closed' : 'open' },
      ],
      says: !wants
        ? say`Above its cut-in of ${r(CUT_IN, 'psi')} nothing is asked of the pump: open a tap and watch the gauge.`
        : load > 0
          ? trouble === NOTHING
            ? 'The switch asks, and volts leave it: it runs.'
            : 'The switch asks, and volts leave it. What is wrong lies behind it: cable, box, pump.'
          : closes
            ? 'The contacts are shut, and nothing passes them: burnt. The pump was never asked.'
            : 'The house wants water and the switch feels none of that: its nipple is plugged. The pump was ' +
              'never asked.',
    }
  },
)
