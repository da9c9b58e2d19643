import { LinkProperty, Project, Workspace } from 'epanet-js'
import { bench, describe } from 'vitest'
import { colebrook, type Pipe } from '../core/hydraulics/pipe'
import { operatingPoint, pumpCurve } from '../core/hydraulics/pump-curve'
import { runStore } from '../core/hydraulics/store-day'
import { usualInput } from '../core/questions/fields'
import { questionById } from '../core/questions/questions'
import { spreadOf } from '../core/questions/spread'

const POINTS = [
  { flowLitresPerSecond: 0, headMetres: 30 },
  { flowLitresPerSecond: 2, headMetres: 24 },
  { flowLitresPerSecond: 3.5, headMetres: 10 },
]
const CURVE_ROWS = POINTS.map((point) => `C ${point.flowLitresPerSecond} ${point.headMetres}`).join('\n')
const PIPE: Pipe = {
  insideMillimetres: 40,
  lengthMetres: 60,
  method: 'hazen-williams',
  hazenWilliamsC: 140,
  minorLossK: 4,
}
const STATIC = 8
const curve = pumpCurve({ points: POINTS })
const workspace = new Workspace()
await workspace.loadModule()
const model = new Project(workspace)
workspace.writeFile(
  'net.inp',
  `[TITLE]\nbench\n[JUNCTIONS]\nJ 0 0\n[RESERVOIRS]\nLOW 0\nHIGH ${STATIC}\n[PIPES]\nP J HIGH ` +
    `${PIPE.lengthMetres} ${PIPE.insideMillimetres} 140 4 OPEN\n[PUMPS]\nPUMP LOW J HEAD ` +
    `C\n[CURVES]\n${CURVE_ROWS}\n[OPTIONS]\nUNITS LPS\nHEADLOSS H-W\nACCURACY 0.00001\n[TIMES]\nDURATION 0\n[END]\n`,
)
model.open('net.inp', 'report.rpt', 'out.bin')
model.openH()
const pump = model.getLinkIndex('PUMP')

describe('a friction factor (aim: under 1 μs)', () => {
  let reynolds = 4000
  bench('Colebrook’s root', () => {
    colebrook((reynolds = ((reynolds * 1.01) % 1e7) + 4000), 0.0004)
  })
})

const YEAR = Float64Array.from(
  { length: 525_600 },
  (_, minute) => 0.05 + 0.25 * Math.max(0, Math.sin(minute / 3000)) ** 3,
)
const PIT = { onLitres: 66, offLitres: 25, brimLitres: 110, pumpLitresPerSecond: 1.5 }

describe('a year of a sump, its inflow by the minute (aim: under 200 ms)', () => {
  bench('event by event', () => {
    runStore(PIT, YEAR, { stepSeconds: 60 })
  })
})

const sump = questionById('which-sump-pump')
const shaken = { inflowLitresPerSecond: 20, liftMetres: 10, pipeMetres: 20, onLevelMetres: 5 }

describe('ten thousand tries of a question', () => {
  bench(
    'which sump pump, four pumps each',
    () => {
      const asking = spreadOf(sump, usualInput(sump.fields), shaken, { runs: 10_000, seed: 1 })
      while (!asking.next().done);
    },
    { iterations: 5, warmupIterations: 1 },
  )
})

describe('an operating point on one line (aim: under 50 μs, twenty times EPANET)', () => {
  bench('ours', () => {
    operatingPoint(curve, STATIC, [PIPE])
  })
  bench('EPANET’s own engine, from its file', () => {
    const fresh = new Project(workspace)
    fresh.open('net.inp', 'report2.rpt', 'out2.bin')
    fresh.openH()
    fresh.initH(11)
    fresh.runH()
    fresh.getLinkValue(fresh.getLinkIndex('PUMP'), LinkProperty.Flow)
    fresh.closeH()
    fresh.close()
  })
  bench('ours, from the points of the curve', () => {
    operatingPoint(pumpCurve({ points: POINTS }), STATIC, [PIPE])
  })
  bench('EPANET’s own engine, network already open', () => {
    model.initH(11)
    model.runH()
    model.getLinkValue(pump, LinkProperty.Flow)
  })
})
