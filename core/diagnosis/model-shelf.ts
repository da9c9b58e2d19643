import { pumpAsFound } from '../motor/as-found'
import type { DiagnosisCase } from './finding'
import { buildModel, type DiagnosisModel } from './model'

/**
 * The last machine's model, kept by whoever asks several times: a model hangs on the machine, on what was replaced and
 * on the shop's experience, not on the readings, and takes longer to build than to use.
 */
export class ModelShelf {
  private last: { key: string; model: DiagnosisModel } | undefined

  /** The model of this case's machine, built where it is not the last one. */
  modelOf(
    { pump: told, alreadyReplaced = [], findings = [] }: Pick<DiagnosisCase, 'pump' | 'alreadyReplaced' | 'findings'>,
    experience: Readonly<Record<string, number>> = {},
  ): DiagnosisModel {
    const pump = pumpAsFound(told, findings)
    const key = JSON.stringify([pump, alreadyReplaced, experience])
    if (this.last?.key !== key) this.last = { key, model: buildModel(pump, alreadyReplaced, experience) }
    return this.last.model
  }
}
