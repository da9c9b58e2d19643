import { parentPort, workerData } from 'node:worker_threads'
import type { Fault, Kind } from '#core/knowledge/vocabulary'
import { drawCase } from './cases'
import { followChecklist, followLamp, swapTheLot } from './technicians'

export interface Task {
  seed: number
  kind: Kind
  fault?: Fault
  withChecklist: boolean
}
export type Done = Task & {
  lamp: ReturnType<typeof followLamp>
  checklist?: ReturnType<typeof followChecklist>
  lot: number
}

for (const task of (workerData as { tasks: Task[] }).tasks) {
  const each = drawCase(task.seed, task.kind, task.fault)
  if (!each) {
    parentPort?.postMessage({ ...task, lamp: undefined })
    continue
  }
  parentPort?.postMessage({
    ...task,
    lamp: followLamp(each),
    ...(task.withChecklist ? { checklist: followChecklist(each) } : {}),
    lot: swapTheLot(each),
  })
}
