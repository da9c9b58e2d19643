import { parentPort, workerData } from 'node:worker_threads'
import { madeUpShop } from './made-up-shop'
import { byNeed, fixedDozen, minMax, nothing, type Policy } from './policies'
import { callsOf, usualDozen, years, type YearsRow } from './years'

export interface Task {
  machines: number
  vans: number
  seed: number
  /** Years. */
  length: number
}
export type Row = YearsRow & Task

const START = Date.parse('2026-01-01')

for (const task of (workerData as { tasks: Task[] }).tasks) {
  const { machines, vans, seed, length } = task
  const shop = madeUpShop(machines, vans, START, seed)
  const dozen = usualDozen(shop, START)
  const calls = callsOf(shop, START, length, seed + 1)
  const kept = (policy: Policy) => years(shop, policy, calls, { start: START, length, seed: seed + 2 })
  const habit = kept(minMax(shop, dozen))
  const others = [nothing(), fixedDozen(shop, dozen), byNeed(shop, START, habit.tied), byNeed(shop, START)].map(kept)
  for (const row of [habit, ...others]) parentPort?.postMessage({ ...task, ...row })
}
