import { LinkProperty, NodeProperty, Project, Workspace } from 'epanet-js'
import { beforeAll, describe, expect, it } from 'vitest'
import { operatingPoint, pumpCurve } from '#core/hydraulics/pump-curve'
import { splitFlow, type Pipe } from '#core/hydraulics/pipe'
import { chance } from '#core/quantity/random'

/** Pipe networks and operating points against EPANET's own engine: 200 seeded systems by each method. */
const SYSTEMS = 200
const WITHIN = 0.005
/**
 * With Darcy EPANET takes Swamee and Jain's explicit factor, which itself leaves Colebrook's root by up to 2 %; half of
 * that shows in the flow.
 */
const WITHIN_SWAMEE_JAIN = 0.01
/** EPANET's viscosity of 1.0 is 1.1e-5 ft²/s, 1.0219e-6 m²/s: that of water at 19.25 °C. */
const CELSIUS_OF_EPANET = 19.25

interface System {
  method: Pipe['method']
  staticMetres: number
  points: { flowLitresPerSecond: number; headMetres: number }[]
  pipes: Pipe[]
}

function systemOf(seed: number, method: Pipe['method']): System {
  const dice = chance(seed)
  const shut = dice.between(12, 90)
  const flow = dice.between(0.4, 6)
  const pipes = Array.from({ length: 1 + Math.floor(dice.next() * 3) }, (): Pipe => ({
    // Pipes as one would lay them for the flow.
    insideMillimetres: dice.between(22, Math.min(78, 28 + 16 * flow)),
    lengthMetres: dice.between(5, 160),
    method,
    minorLossK: dice.hit(0.6) ? dice.between(0.5, 12) : 0,
    ...(method === 'darcy'
      ? { roughnessMillimetres: dice.pick([0.0015, 0.015, 0.15]), celsius: CELSIUS_OF_EPANET }
      : { hazenWilliamsC: dice.between(100, 150) }),
  }))
  return {
    method,
    staticMetres: shut * dice.between(0.05, 0.6),
    points: [
      { flowLitresPerSecond: 0, headMetres: shut },
      { flowLitresPerSecond: flow, headMetres: shut * dice.between(0.68, 0.8) },
      { flowLitresPerSecond: flow * 1.7, headMetres: shut * dice.between(0.2, 0.4) },
    ],
    pipes,
  }
}

const roughness = (pipe: Pipe) =>
  pipe.method === 'darcy' ? (pipe.roughnessMillimetres as number) : (pipe.hazenWilliamsC as number)
const header = (method: Pipe['method']) =>
  `[OPTIONS]\nUNITS LPS\nHEADLOSS ${method === 'darcy' ? 'D-W' : 'H-W'}\nVISCOSITY 1.0\nACCURACY 0.00001\nTRIALS ` +
  '200\n[TIMES]\nDURATION 0\n[REPORT]\nSTATUS NO\n[END]\n'

const workspace = new Workspace()
beforeAll(() => workspace.loadModule())

function engine(text: string): Project {
  const model = new Project(workspace)
  workspace.writeFile('net.inp', text)
  model.open('net.inp', 'report.rpt', 'out.bin')
  model.openH()
  model.initH(11)
  model.runH()
  return model
}

function epanetPoint({ method, staticMetres, points, pipes }: System): { flow: number; head: number } {
  const last = pipes.length
  const junctions = Array.from({ length: last }, (_, index) => `J${index} 0 0`).join('\n')
  const links = pipes
    .map(
      (pipe, index) =>
        `P${index} J${index} ${index === last - 1 ? 'HIGH' : `J${index + 1}`} ${pipe.lengthMetres} ` +
        `${pipe.insideMillimetres} ${roughness(pipe)} ${pipe.minorLossK ?? 0} OPEN`,
    )
    .join('\n')
  const curveRows = points.map((point) => `C ${point.flowLitresPerSecond} ${point.headMetres}`).join('\n')
  const model = engine(
    `[TITLE]\nseeded\n[JUNCTIONS]\n${junctions}\n[RESERVOIRS]\nLOW 0\nHIGH ` +
      `${staticMetres}\n[PIPES]\n${links}\n[PUMPS]\nPUMP LOW J0 HEAD ` +
      `C\n[CURVES]\n${curveRows}\n${header(method)}`,
  )
  const flow = model.getLinkValue(model.getLinkIndex('PUMP'), LinkProperty.Flow)
  const head = model.getNodeValue(model.getNodeIndex('J0'), NodeProperty.Head)
  model.close()
  return { flow, head }
}

describe('against EPANET', () => {
  it.each([
    ['hazen-williams', WITHIN],
    ['darcy', WITHIN_SWAMEE_JAIN],
  ] as const)(`meets the same operating point on ${SYSTEMS} systems of one to three pipes, %s`, (method, within) => {
    const off: string[] = []
    for (let seed = 1; seed <= SYSTEMS; seed++) {
      const system = systemOf(seed, method)
      const theirs = epanetPoint(system)
      const ours = operatingPoint(pumpCurve({ points: system.points }), system.staticMetres, system.pipes)
      const error = Math.max(
        Math.abs(ours.flowLitresPerSecond / theirs.flow - 1),
        Math.abs(ours.headMetres / theirs.head - 1),
      )
      if (!(error < within))
        off.push(
          `${seed}: ${ours.flowLitresPerSecond.toFixed(4)} and ${theirs.flow.toFixed(4)} L/s, ` +
            `${ours.headMetres.toFixed(3)} and ${theirs.head.toFixed(3)} m`,
        )
    }
    expect(off).toEqual([])
  })

  it('splits a flow over branches as it does', () => {
    for (let seed = 900; seed < 930; seed++) {
      const dice = chance(seed)
      const total = dice.between(1, 5)
      const branches = Array.from({ length: 2 + Math.floor(dice.next() * 2) }, (): Pipe => ({
        insideMillimetres: dice.between(30, 60),
        lengthMetres: dice.between(20, 120),
        method: 'hazen-williams',
        hazenWilliamsC: 140,
        minorLossK: dice.between(0, 5),
      }))
      const links = branches
        .map(
          (pipe, index) =>
            `B${index} SOURCE SINK ${pipe.lengthMetres} ${pipe.insideMillimetres} 140 ${pipe.minorLossK} OPEN`,
        )
        .join('\n')
      const model = engine(
        `[TITLE]\nsplit\n[JUNCTIONS]\nSINK 0 ${total}\n[RESERVOIRS]\nSOURCE ` +
          `500\n[PIPES]\n${links}\n${header('hazen-williams')}`,
      )
      const ours = splitFlow(branches, total).flowsLitresPerSecond
      branches.forEach((_, index) =>
        expect(
          Math.abs(
            (ours[index] as number) / model.getLinkValue(model.getLinkIndex(`B${index}`), LinkProperty.Flow) - 1,
          ),
        ).toBeLessThan(WITHIN),
      )
      model.close()
    }
  })
})
