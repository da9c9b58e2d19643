import { expect } from 'vitest'
import { runByName } from '#core/workings/registry'

interface Step {
  id: string
  text: string
  phase: string
  part: string
  count?: number
  caution?: string
  tool?: string
  turn?: string
  hand?: string
  done: boolean
}
export interface PlayedVisit {
  after: {
    line: string
    understood: { findings: Record<string, unknown>[]; other: Record<string, unknown>[]; ask: object | null }
    lit: { check?: string; action?: string } | null
    top: { fault: string; probability: number }[]
  }[]
  refused: { at: number; step: string; because: string }[]
  /** What stands shut or open at the end. */
  gates: string[]
  jobs: { id: string; state: string; from: string; why?: string }[]
  plan: {
    assemblies: string[]
    down: Step[]
    work: Step[]
    back: Step[]
    commission: Step[]
    prove: { id: string; stands: string }[]
    order: string[]
    minutes: { p50: number; p90: number }
    parts: ({ part: string } | { material: string })[]
    tools: string[]
    cautions: string[]
    left: string[]
    tray: { id: string; part: string; count?: number }[]
  }
  price: { lines: { id: string; minutes: number; amount: number }[]; total: number }
  card: {
    nameplate: Record<string, unknown>
    fitted?: { part: string; since?: string; until?: string; nameplate?: Record<string, unknown> }[]
    joints?: { joint: string; count?: number }[]
    left: string[]
  }
  sheet: {
    headline: string
    found: { verdict: string; text: string }[]
    done: { job: string; text: string }[]
    proved: { label: string; before?: string; after: string; verdict: string; limit: string }[]
    assumed?: string
    cautions: string[]
    price: { lines: { label: string; amount: number }[]; total: number }
    left: string[]
    watch: string[]
    next?: string
    record: { text: string }[]
  }
}

/** A job as a technician tells it: the machine, the call, and what is done, line by line and tick by tick. */
export interface JobScript {
  machine: object
  place?: string
  call?: object
  schools?: object
  do: readonly (string | object)[]
}

/** Plays a job through the program, as the screens do it. */
export const play = (script: JobScript): PlayedVisit => runByName('visit', script) as unknown as PlayedVisit

/** These steps stand in the plan, in this order. */
export function inOrder({ plan }: PlayedVisit, ...steps: string[]): void {
  const at = steps.map((step) => plan.order.indexOf(step))
  expect(
    steps.filter((_, index) => at[index] === -1),
    `not in the plan: ${plan.order.join(' ')}`,
  ).toEqual([])
  expect(at, steps.join(' → ')).toEqual([...at].sort((a, b) => a - b))
}

/** None of these is in the plan. */
export function without({ plan }: PlayedVisit, ...steps: (string | RegExp)[]): void {
  for (const step of steps)
    expect(
      plan.order.filter((id) => (typeof step === 'string' ? id === step : step.test(id))),
      `${step}`,
    ).toEqual([])
}

export function step({ plan }: PlayedVisit, id: string): Step {
  const found = [...plan.down, ...plan.work, ...plan.back, ...plan.commission].find((each) => each.id === id)
  expect(found, `${id} is in the plan`).toBeDefined()
  return found as Step
}

/** The price is that of the plan, the same on the plan and on the sheet, and each adds up to the cent. */
export function oneClockOnePrice({ price, sheet, plan }: PlayedVisit): void {
  expect(price.total).toBeGreaterThan(0)
  expect(sheet.price.total).toBe(price.total)
  const sum = (amounts: readonly { amount: number }[]) => amounts.reduce((total, { amount }) => total + amount, 0)
  expect(sum(price.lines)).toBeCloseTo(price.total, 1)
  expect(sum(sheet.price.lines)).toBeCloseTo(price.total, 2)
  expect(price.lines.reduce((minutes, line) => minutes + line.minutes, 0)).toBe(plan.minutes.p50)
}

/** Everything is done, the tray is empty, nothing was refused. */
export function allBack({ plan, refused }: PlayedVisit): void {
  expect(refused).toEqual([])
  expect(plan.left).toEqual([])
  expect(plan.tray).toEqual([])
}
export const parts = ({ plan }: PlayedVisit) => plan.parts.map((each) => ('part' in each ? each.part : each.material))
export const found = ({ after }: PlayedVisit) => after.flatMap(({ understood }) => understood.findings)
