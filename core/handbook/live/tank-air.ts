import { cycleOf, judgePrecharge, tankDrawdown, wantedPrecharge } from '../../hydraulics/tank'
import { PRESSURES } from '../../knowledge/water/pressures'
import { ATMOSPHERE } from '../../knowledge/water/water'
import { formatShare } from '../../quantity/format'
import { fromShown } from '../../quantity/measures'
import { q, say } from '../../quantity/sentence'
import { defineLive, slider, type Values } from './live'

const psi = (value: number) => fromShown(value, 'pressure', 'us')
const gpm = (value: number) => fromShown(value, 'flow', 'us')
const gallons = (value: number) => fromShown(value, 'volume', 'us')
const PUMP = gpm(10)
/** Between cut-in and cut-out. */
const SPREAD = psi(20)

/** The air of a tank, absolute, as it would stand in it empty of water: its share of what it should be, kPa. */
const airKpa = (share: number, cutIn: number) => share * (wantedPrecharge(cutIn) + ATMOSPHERE.seaLevelKpa)
/** How full of air the tank is, as a share of it, at cut-out and at cut-in. */
export function airShares({ air = 1, cutIn = 0 }: Values): { atCutOut: number; atCutIn: number } {
  const at = (kpa: number) => Math.min(1, airKpa(air, cutIn) / (kpa + ATMOSPHERE.seaLevelKpa))
  return { atCutOut: at(cutIn + SPREAD), atCutIn: at(cutIn) }
}

/** What is left of a tank’s drawdown as its air goes. */
export const tankAir = defineLive(
  [
    slider('air', 'Air that is left, of what it should have', [0.02, 1.3], 0.08, (value) => formatShare(value)),
    slider('cutIn', 'The switch closes at', [psi(20), psi(40)], psi(30), (value) => say`${q(value, 'pressure', 2)}`),
    slider('tank', 'The tank', [gallons(20), gallons(120)], gallons(44), (value) => say`${q(value, 'volume', 2)}`),
    slider('draw', 'What the house draws', [gpm(0.5), gpm(9)], gpm(3), (value) => say`${q(value, 'flow', 2)}`),
  ],
  ({ air, cutIn, tank, draw }) => {
    const precharge = airKpa(air, cutIn) - ATMOSPHERE.seaLevelKpa
    const judged = judgePrecharge(precharge, cutIn)
    const { drawdownLitres } = tankDrawdown({
      tankLitres: tank,
      prechargeKpa: precharge,
      cutInKpa: cutIn,
      cutOutKpa: cutIn + SPREAD,
    })
    const cycle = cycleOf({ drawLitresPerSecond: draw, pumpLitresPerSecond: PUMP, storedLitres: drawdownLitres })
    const between = cycle.onSeconds + cycle.offSeconds
    const { low } = PRESSURES.cycleSeconds
    return {
      figures: [
        {
          id: 'air',
          label: 'its gauge, empty of water',
          told:
            precharge > 0
              ? say`${q(precharge, 'pressure', 2)} of ${q(judged.wantedKpa, 'pressure', 2)}`
              : say`nothing of ${q(judged.wantedKpa, 'pressure', 2)}`,
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
        ? 'More air than the switch closes at: the tank is empty before the pump is asked, and the taps stop for ' +
          'a moment.'
        : between < low
          ? 'It starts and stops like that all day, and contacts, capacitor and motor pay for it. Charge the ' +
            'tank, empty.'
          : 'The tank gives what it should; where it still cycles, look for a leak or a check valve.',
    }
  },
)
