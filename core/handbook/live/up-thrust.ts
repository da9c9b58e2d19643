import { operatingPoint, pumpCurve } from '../../hydraulics/pump-curve'
import { STAGE_FAMILIES, WELL_PUMP_STAGES, type StageFamily } from '../../knowledge/water/pumps'
import { formatShare } from '../../quantity/format'
import { q, say } from '../../quantity/sentence'
import { defineLive, slider } from './live'

const FAMILY = STAGE_FAMILIES.find(({ id }) => id === 'well-10') as StageFamily
const CURVE = pumpCurve({ points: FAMILY.stage, stages: WELL_PUMP_STAGES })
/** Drop pipe and what is left open of the valve at the well head, as one loss. */
const PIPE = { insideMillimetres: 33, lengthMetres: 40, method: 'darcy' } as const
/** A gate valve nearly shut has a loss of hundreds of velocity heads; open a fraction of one (handbook, from
  memory). */
const OPEN_K = 0.2

const runsAt = (lift: number, open: number) =>
  operatingPoint(CURVE, lift, [{ ...PIPE, minorLossK: OPEN_K / open ** 4 }])

/** Past the right end of its curve the wheels lift off their thrust side and rub upwards. */
export const upThrust = defineLive(
  [
    slider('lift', 'From the water up to the house', [2, 90], 8, (value) => say`${q(value, 'head', 2)}`),
    slider('open', 'The valve at the well head, open by', [0.06, 1], 1, (value) => formatShare(value)),
  ],
  ({ lift, open }) => {
    const { flowLitresPerSecond: flow, headMetres: head } = runsAt(lift, open)
    const { from, to, ratedLitresPerSecond: rated } = FAMILY
    const verdict = flow > to ? 'failed' : flow < from ? 'tired' : 'sound'
    return {
      figures: [
        { id: 'flow', label: 'it moves', told: say`${q(flow, 'flow', 3)}`, verdict },
        { id: 'head', label: 'against', told: say`${q(head, 'head', 2)}` },
        { id: 'share', label: 'of the flow it is made for', told: formatShare(flow / rated) },
        { id: 'range', label: 'may run between', told: say`${q(from, 'flow', 2)} and ${q(to, 'flow', 2)}` },
      ],
      says:
        verdict === 'failed'
          ? 'Too little holds it back: past the end of its range the wheels rise and grind their upper washers away.'
          : verdict === 'tired'
            ? 'Nearly shut: it churns, warms its water, and its thrust bearing carries all of it.'
            : 'Within its range: the wheels are pressed down on the side that is made for it.',
    }
  },
)
/** The curve, for its picture, and the flow at which it meets the pipe. */
export const upThrustCurve = {
  headAt: CURVE.headAt,
  runoutLitresPerSecond: CURVE.runoutLitresPerSecond,
  shutoffMetres: CURVE.shutoffMetres,
  from: FAMILY.from,
  to: FAMILY.to,
  flowAt: (lift: number, open: number) => runsAt(lift, open).flowLitresPerSecond,
}
