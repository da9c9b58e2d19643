import { parentPort, workerData } from 'node:worker_threads'
import type { Fault, Kind } from '#core/knowledge/vocabulary'
import { drawCase, worldOf } from '#core/practice/cases'
import { followChecklist, followLamp, followSymptom, swapTheLot } from './technicians'

export interface Task {
  seed: number
  world: number
  kind: Kind
  fault?: Fault
  withOthers: boolean
}
export type Done = Task & {
  lamp: ReturnType<typeof followLamp>
  checklist?: ReturnType<typeof followChecklist>
  symptom?: ReturnType<typeof followSymptom>
  lot: number
}

for (const task of (workerData as { tasks: Task[] }).tasks) {
  const each = drawCase(task.seed, task.kind, worldOf(task.world), task.fault)
  if (!each) {
    parentPort?.postMessage({ ...task, lamp: undefined })
    continue
  }
  parentPort?.postMessage({
    ...task,
    lamp: followLamp(each),
    ...(task.withOthers ? { checklist: followChecklist(each), symptom: followSymptom(each) } : {}),
    lot: swapTheLot(each),
  })
}
