import { computed, ref, watch, type Ref } from 'vue'
import type { Finding } from '#core/diagnosis/finding'
import { judgeFinding } from '#core/diagnosis/judge-finding'
import type { Judgement } from '#core/judgement/judgement'
import { otherWords } from '#core/language/other-words'
import { understand } from '#core/language/understand'
import type { Other } from '#core/language/understanding'
import type { Scene } from '#core/language/scene'
import { sceneOf } from '#core/visit/line-scene'
import { useVisitContext } from './useVisitContext'

/** One piece of the line as it is read back: the words it came from, and what they were taken for. */
export interface HeardPiece {
  key: string
  words: string
  judgement?: Judgement
  other?: { what: string; text: string }
}

/** What the line in the making means here, judged as it would be kept. */
export function useSpokenLine(line: Ref<string>, lit: Ref<Scene['lit']>) {
  const { visit, state } = useVisitContext()
  /** The answers to this line’s questions, by question; another line has its own. */
  const answers = ref<Record<string, number>>({})
  const understood = computed(() =>
    line.value.trim() === '' ? undefined : understand(line.value, sceneOf(state.value, lit.value), answers.value),
  )
  watch(line, (text) => {
    if (text.trim() === '') answers.value = {}
  })

  function judged(finding: Finding): Judgement {
    return judgeFinding(finding, {
      pump: state.value.pump,
      plate: state.value.plate,
      findings: [...state.value.findings.map(({ finding: known }) => known), ...(understood.value?.findings ?? [])],
      earlier: visit.earlier,
    })
  }

  const pieces = computed((): HeardPiece[] => {
    const meaning = understood.value
    if (!meaning) return []
    return meaning.pieces
      .filter(({ finding, other }) => finding !== undefined || other !== undefined)
      .map(({ text, finding, other }, index) => ({
        key: `${index}${text}`,
        words: text,
        ...(finding ? { judgement: judged(finding) } : {}),
        ...(other ? { other: otherWords(other as Other) } : {}),
      }))
  })

  return { answers, understood, pieces }
}
