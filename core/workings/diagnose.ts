import { diagnose } from '../diagnosis/diagnose'
import { canonicalCase, DiagnoseInput } from '../diagnosis/case-rules'
import { render, US_READER } from '../quantity/sentence'
import { defineWorking } from './define-working'

export const diagnoseWorking = defineWorking({
  name: 'diagnose',
  title: 'What is wrong, and what is worth doing next?',
  input: DiagnoseInput,
  basis: { kind: 'shop', name: 'exact inference over the fault tables of knowledge/, most of them shop estimates' },
  run: (input, { models }) => {
    const of = canonicalCase(input)
    const result = diagnose(of, { model: models.modelOf(of) })
    return {
      ...result,
      judgements: result.judgements.map((judged) => ({ ...judged, because: render(judged.because, US_READER) })),
      steps: result.next ? [result.next.because] : [],
      basis: diagnoseWorking.basis,
    }
  },
}) as ReturnType<typeof defineWorking<DiagnoseInput, object>>
