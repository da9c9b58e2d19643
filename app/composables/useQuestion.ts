import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { ask } from '#core/questions/ask'
import type { Answer, Taken } from '#core/questions/question'
import { questionById } from '#core/questions/questions'
import { usualInput } from '#core/questions/fields'
import { InputError, type FieldProblem } from '#core/validation/input-error'
import { knownHere } from '#core/visit/known-here'
import { useVisit } from '~/stores/visit'
import { useCansInVan } from './useCansInVan'

type Input = Record<string, unknown>

/** The question whose stock is what lies in the van. */
const FROM_VAN = 'capacitor-from-van'

/** One question on its page: what it was asked with, what came of it, and the address that asks it again. */
export function useQuestion(id: Ref<string>, visitId: Ref<string | undefined>, written: Ref<string | undefined>) {
  const visit = useVisit()
  const inVan = useCansInVan(() => id.value === FROM_VAN)
  const question = computed(() => questionById(id.value))
  const linkProblem = ref('')
  const taken = computed<Taken<Input>>(() => {
    const state = visitId.value && visit.visitId === visitId.value ? visit.state : undefined
    const known = state && question.value.take ? question.value.take(knownHere(state)) : { input: {}, sources: {} }
    const stock = id.value === FROM_VAN ? inVan.cans() : []
    return stock.length === 0
      ? known
      : { input: { ...known.input, stock }, sources: { ...known.sources, stock: 'the van' } }
  })
  const input = shallowRef<Input>({})
  /** The numbers of the link, else of the machine, else the usual ones. */
  watch(
    [
      id,
      visitId,
      () => visit.visitId === visitId.value && visit.state !== undefined,
      () => id.value === FROM_VAN && inVan.isRead(),
    ],
    () => {
      linkProblem.value = ''
      const start = { ...usualInput<Input>(question.value.fields), ...taken.value.input }
      input.value = start
      if (!written.value) return
      try {
        const given = JSON.parse(written.value) as Input
        ask(question.value, given)
        input.value = { ...usualInput<Input>(question.value.fields), ...given }
      } catch (error) {
        linkProblem.value =
          `The numbers in this link could not be used${error instanceof InputError ? `: ${error.message}` : ''}. ` +
          'These are the usual ones.'
      }
    },
    { immediate: true },
  )

  const asked = computed<{ answer?: Answer; problems: FieldProblem[] }>(() => {
    try {
      return { answer: ask(question.value, input.value), problems: [] }
    } catch (error) {
      if (error instanceof InputError) return { problems: error.problems }
      throw error
    }
  })
  /** The newest answer that was one: it stays on the screen, dimmed, while a number is being corrected. */
  const answer = shallowRef<Answer>()
  watch(
    asked,
    ({ answer: next }) => {
      if (next) answer.value = next
    },
    { immediate: true },
  )
  watch(id, () => {
    answer.value = asked.value.answer
  })
  const picture = computed(() =>
    answer.value ? question.value.draw(answer.value.input as never, answer.value.solved as never) : undefined,
  )
  const source = (name: string) =>
    taken.value.sources[name] !== undefined &&
    JSON.stringify(input.value[name]) === JSON.stringify(taken.value.input[name])
      ? taken.value.sources[name]
      : undefined
  /** What was written into a field and is no value of it: the answer on the screen is then not that field's answer. */
  const misread = shallowRef<Record<string, string>>({})
  watch([id, visitId], () => {
    misread.value = {}
  })
  function setMisread(name: string, problem: string): void {
    const { [name]: _, ...rest } = misread.value
    misread.value = problem ? { ...rest, [name]: problem } : rest
  }
  function set(name: string, value: unknown): void {
    const { [name]: _, ...rest } = input.value
    input.value = value === undefined ? rest : { ...rest, [name]: value }
  }
  return {
    question,
    input,
    answer,
    picture,
    problems: computed(() => asked.value.problems),
    /** The answer that stands is of other numbers than those that are written. */
    stale: computed(() => asked.value.problems.length > 0 || Object.keys(misread.value).length > 0),
    setMisread,
    linkProblem,
    source,
    set,
    reset: () => {
      misread.value = {}
      input.value = { ...usualInput<Input>(question.value.fields), ...taken.value.input }
    },
  }
}
