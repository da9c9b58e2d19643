import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { coursesIn, isFor, type Course } from '#core/practice/courses'
import { nextUp, standingsOf } from '#core/practice/next-up'
import { skillsOf, triedIn, whoWrote } from '#core/practice/skills'
import { PRACTICE_KINDS, type CourseSet, type Entry, type PracticeTried } from '#core/visit/entry'
import { useWriter } from '~/composables/useWriter'
import { practiceTold, type ToldOfPractice } from '~/utils/told-store'
import { writeLine } from '~/utils/write-line'
import { useOutbox } from './outbox'

const KINDS: ReadonlySet<string> = new Set(PRACTICE_KINDS)

/** What tries at practice pumps say of whoever made them, and the courses that are set. */
export const useSkills = defineStore('skills', () => {
  const [outbox, writer, store] = [useOutbox(), useWriter(), practiceTold()]
  const told = shallowRef<ToldOfPractice>({ lines: [], people: [] })
  /** Written here since the shop told last. */
  const here = shallowRef<readonly Entry[]>([])
  /** What is shown is what the shop told last: nobody answers now. */
  const isOld = ref(false)
  const now = ref(Date.now())
  // Acknowledged after the shop was asked what it knows: it stands in neither answer.
  outbox.onAccepted((entries) => {
    here.value = [...here.value, ...entries.filter(({ kind }) => KINDS.has(kind))]
  })

  const lines = computed(() => {
    const waiting = outbox.pending.filter(({ kind }) => KINDS.has(kind))
    return [...new Map([...told.value.lines, ...here.value, ...waiting].map((line) => [line.id, line])).values()]
  })
  const everybody = computed(() => triedIn(lines.value))
  const me = computed(() => whoWrote(writer.value))
  const mine = computed(() => everybody.value.filter(({ who }) => who === me.value))
  const courses = computed((): Course[] => coursesIn(lines.value))

  /** Asks the shop; where nobody answers it is as it was told last. */
  async function read(): Promise<void> {
    now.value = Date.now()
    const response = await fetch('/api/practice').catch(() => undefined)
    if (response?.ok) {
      told.value = (await response.json()) as ToldOfPractice
      isOld.value = false
      await store.keep(told.value)
      return
    }
    isOld.value = true
    told.value = (await store.told()) ?? told.value
  }

  async function add(line: Entry): Promise<void> {
    here.value = [...here.value, line]
    now.value = Date.now()
    await outbox.add([line])
  }

  const isTold = (tryId: string) => lines.value.some(({ id }) => id === tryId)
  /**
   * Tells what came of a try that is over. It has the try’s own id, so that it is said once however often it is told.
   */
  async function tell(tryId: string, body: PracticeTried, endedAt: number): Promise<void> {
    if (isTold(tryId)) return
    const line = writeLine({ visitId: null, ...writer.value }, 'practice-tried', body, new Date(endedAt))
    await add({ ...line, id: tryId })
  }

  /** Sets a course, or says it anew. */
  const setCourse = (body: CourseSet) => add(writeLine({ visitId: null, ...writer.value }, 'course-set', body))

  return {
    mine,
    everybody,
    courses,
    mineToDo: computed(() => courses.value.filter((course) => isFor(course, writer.value.author))),
    people: computed(() => told.value.people),
    skills: computed(() => skillsOf(mine.value)),
    standings: computed(() => standingsOf(mine.value, now.value)),
    next: computed(() => nextUp(mine.value, now.value)),
    isOld,
    now,
    read,
    isTold,
    tell,
    setCourse,
  }
})
