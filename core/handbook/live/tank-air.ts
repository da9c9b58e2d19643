import { cycleOf, judgePrecharge, tankDrawdown } from '../../hydraulics/tank'
import { PRESSURES } from '../../knowledge/water/pressures'
import { fromShown } from '../../quantity/measures'
import { q, say } from '../../quantity/sentence'
import { defineLive, slider } from './live'

const psi = (value: number) => fromShown(value, 'pressure', 'us')
const gpm = (value: number) => fromShown(value, 'flow', 'us')
const gallons = (value: number) => fromShown(value, 'volume', 'us')
const PUMP = gpm(10)
/** Between cut-in and cut-out. */
const SPREAD = psi(20)

/** What is left of a tank’s drawdown as its air goes. */
export const tankAir = defineLive(
  [
    slider(
      'precharge',
      'Air, with the tank empty of water',
      [0, psi(48)],
      psi(6),
      (value) => say`${q(value, 'pressure', 2)}`,
    ),
    slider('cutIn', 'The switch closes at', [psi(20), psi(40)], psi(30), (value) => say`${q(value, 'pressure', 2)}`),
    slider('tank', 'The tank', [gallons(20), gallons(120)], gallons(44), (value) => say`${q(value, 'volume', 2)}`),
    slider('draw', 'What the house draws', [gpm(0.5), gpm(9)], gpm(3), (value) => say`${q(value, 'flow', 2)}`),
  ],
  ({ precharge, cutIn, tank, draw }) => {
    const judged = judgePrecharge(precharge, cutIn)
    const { drawdownLitres } = tankDrawdown({
      tankLitres: tank,
      prechargeKpa: Math.min(precharge, cutIn + SPREAD - 1),
      cutInKpa: cutIn,
      cutOutKpa: cutIn + SPREAD,
    })
    const cycle = cycleOf({ drawLitresPerSecond: draw, pumpLitresPerSecond: PUMP, storedLitres: drawdownLitres })
    const between = cycle.onSeconds + cycle.offSeconds
    const { low } = PRESSURES.cycleSeconds
    return {
      figures: [
        {
          id: 'precharge',
          label: 'the air',
          told: say`${q(precharge, 'pressure', 2)} of ${q(judged.wantedKpa, 'pressure', 2)}`,
          verdict: judged.verdict,
        },
        { id: 'drawdown', label: 'the tank gives', told: say`${q(drawdownLitres, 'volume', 2)}` },
        {
          id: 'between',
          label: 'from start to start',
          told: say`${q(between, 'seconds', 2)}`,
          verdict: between < low ? 'failed' : 'sound',
        },
        { id: 'starts', label: 'starts', told: say`${q(cycle.startsPerHour, 'perHour', 2)}` },
      ],
      says: judged.emptyBeforeCutIn
        ? 'More air than the switch closes at: the tank is empty before the pump is asked, and the taps stop for a moment.'
        : between < low
          ? 'It starts and stops like that all day, and contacts, capacitor and motor pay for it. Charge the tank, empty.'
          : 'The tank gives what it should; where it still cycles, look for a leak or a check valve.',
    }
  },
)
