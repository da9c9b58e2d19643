import { expose } from 'comlink'
import { optionsFor, type Option } from '#core/decision/options'
import { diagnose, type Diagnosis } from '#core/diagnosis/diagnose'
import type { DiagnosisCase } from '#core/diagnosis/finding'
import type { Rates } from '#core/knowledge/rates'
import { prepare, type Preparation } from '#core/planning/preparation'

/** Everything that follows from a case, computed away from the page. */
export interface Thought {
  diagnosis: Diagnosis
  options: Option[]
  preparation: Preparation
}

const thinker = {
  think(
    input: DiagnosisCase,
    rates: Rates,
    earlier: Record<string, number>,
    experience: Record<string, number>,
    chosen?: string,
  ): Thought {
    return {
      diagnosis: diagnose(input, { rates, earlier, experience }),
      options: optionsFor(input, rates, experience, chosen),
      preparation: prepare(input, experience),
    }
  },
}
export type Thinker = typeof thinker

expose(thinker)
