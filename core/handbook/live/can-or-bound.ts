import { capacitorBand, judgeCapacitance } from '../../electrical/capacitor'
import { estimateStart, typicalMotor } from '../../electrical/typical-motor'
import { RUN_CAPACITOR_230, WINDING_MODEL } from '../../knowledge/electrical/motors'
import { STARTING } from '../../knowledge/electrical/typical-motor'
import { formatShare } from '../../quantity/format'
import { r, say } from '../../quantity/sentence'
import { defineLive, slider } from './live'

const HORSEPOWER = 1
const VOLTS = 230
const FULL_LOAD_AMPS = 8
const RATED = (RUN_CAPACITOR_230.find(([horsepower]) => horsepower === HORSEPOWER) as readonly [number, number])[1]
const MOTOR = typicalMotor(
  { volts: VOLTS, fullLoadAmps: FULL_LOAD_AMPS, motorType: 'permanent-split' },
  WINDING_MODEL.runOhmsOneHorsepower230,
  WINDING_MODEL.runOhmsOneHorsepower230 * WINDING_MODEL.startMultiple['permanent-split'],
)

/** A pump that hums: is its capacitor weak, or its shaft held? */
export const canOrBound = defineLive(
  [
    slider('can', 'What the capacitor has left', [1, RATED * 1.05], RATED * 0.35, (value) => say`${r(value, 'uF', 3)}`),
    slider('held', 'What holds the shaft, of rated torque', [0.05, 1], STARTING.breakawayShare, (value) =>
      formatShare(value),
    ),
  ],
  ({ can, held }) => {
    const start = estimateStart(MOTOR, { volts: VOLTS, hertz: 60, horsepower: HORSEPOWER, microfarads: can })
    const whole = estimateStart(MOTOR, { volts: VOLTS, hertz: 60, horsepower: HORSEPOWER, microfarads: RATED })
    const judged = judgeCapacitance('run', capacitorBand('run', RATED), can)
    const isFree = held < whole.torqueShare
    const starts = start.torqueShare > held
    return {
      figures: [
        { id: 'can', label: `capacitor of ${RATED} μF`, told: say`${r(can, 'uF', 3)}`, verdict: judged.verdict },
        {
          id: 'torque',
          label: 'starts with, of rated torque',
          told: formatShare(start.torqueShare),
          verdict: starts ? 'sound' : 'failed',
        },
        {
          id: 'hand',
          label: 'by hand, power off',
          told: isFree ? 'turns' : 'stands fast',
          verdict: isFree ? 'sound' : 'failed',
        },
        { id: 'amps', label: 'amps while it hums', told: say`${r(start.amps, 'A', 3)}` },
      ],
      says: starts
        ? 'It starts. Nothing here is bad enough to stop it today.'
        : judged.verdict === 'sound'
          ? 'It hums, and the capacitor is sound: the shaft is held. A new capacitor cures nothing.'
          : isFree
            ? 'It hums, and it turns by hand: it is the capacitor. Whoever took the pump apart did it for nothing.'
            : 'It hums, the capacitor is weak and the shaft is held: with the new capacitor alone it hums again.',
    }
  },
)
