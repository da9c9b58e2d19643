<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import { HARDNESS, MOST_SEED, readCode, writeCode, type Hardness } from '#core/knowledge/practice/case-code'
import { KINDS, type Kind } from '#core/knowledge/vocabulary'
import type { CourseSet } from '#core/visit/entry'
import { bodyProblems } from '#core/visit/entry-rules'
import { useSkills } from '~/stores/skills'

/** A course of cases for people of the shop: set here, seen by them under Practice. */
const skills = useSkills()
const fresh = (): CourseSet => ({ course: uuidv7(), title: '', cases: [], for: [] })
const course = ref(fresh())
const [kind, hardness] = [ref<Kind>('pool'), ref<Hardness>('one')]
const link = ref('')
const problem = ref('')
const caseTitle = (code: string) => {
  const read = readCode(code)
  return read ? `${KINDS[read.kind]}, ${HARDNESS[read.hardness]}` : code
}
function addDrawn(): void {
  const seed = crypto.getRandomValues(new Uint32Array(1))[0]! % MOST_SEED
  course.value.cases = [...course.value.cases, writeCode({ kind: kind.value, hardness: hardness.value, seed })]
}
/** A case that was met in practice: its link, or its code alone. */
function addLinked(): void {
  const code = link.value.trim().split('/').at(-1) ?? ''
  problem.value = readCode(code) ? '' : `“${link.value}” is no case: its link ends as jet.two.1k9f does.`
  if (problem.value || course.value.cases.includes(code)) return
  course.value.cases = [...course.value.cases, code]
  link.value = ''
}
const drop = (code: string) => {
  course.value.cases = course.value.cases.filter((each) => each !== code)
}
function turn(name: string): void {
  const { for: names } = course.value
  course.value.for = names.includes(name) ? names.filter((each) => each !== name) : [...names, name]
}
async function save(): Promise<void> {
  const { by, note, cases, for: names, ...rest } = course.value
  const body: CourseSet = {
    ...rest,
    cases: [...cases],
    for: [...names],
    ...(by ? { by } : {}),
    ...(note?.trim() ? { note: note.trim() } : {}),
  }
  const wrong = bodyProblems('course-set', body)[0]
  problem.value = wrong ? `${wrong.field}: ${String(wrong.expected)}` : ''
  if (wrong) return
  await skills.setCourse(body)
  course.value = fresh()
}
const end = ({ course: id, title, cases, for: names }: CourseSet) =>
  skills.setCourse({ course: id, title, cases: [...cases], for: [...names], ended: true })
</script>

<template>
  <section aria-labelledby="set-course" data-testid="course-form">
    <h2 id="set-course" class="border-b border-ink pb-1 text-xl">Courses</h2>
    <ul v-if="skills.courses.length > 0" class="ruled">
      <li v-for="each in skills.courses" :key="each.course" class="flex min-h-12 flex-wrap items-center gap-x-4">
        <strong class="min-w-0 flex-1">{{ each.title }}</strong><span class="text-slate"
          >{{ each.cases.length }} cases, for {{ each.for.length > 0 ? each.for.join(', ') : 'everybody' }}</span
        ><button type="button" class="button button-quiet" :aria-label="`end ${each.title}`" @click="end(each)">
          end it
        </button>
      </li>
    </ul>
    <form class="mt-3 grid max-w-2xl gap-3" @submit.prevent="save">
      <label
        ><span class="label">What it is called</span
        ><input v-model="course.title" class="field" maxlength="120" data-testid="course-title"
      /></label>
      <fieldset>
        <legend class="label">Its cases, in their order</legend>
        <ol v-if="course.cases.length > 0" class="ruled mb-2">
          <li v-for="(code, index) in course.cases" :key="code" class="flex min-h-12 items-center gap-3">
            <span class="number w-6 text-right text-slate">{{ index + 1 }}</span><span class="min-w-0 flex-1">{{
              caseTitle(code)
            }}</span
            ><NuxtLink :to="`/practice/case/${code}`" class="number underline underline-offset-4">{{ code }}</NuxtLink
            ><button type="button" class="button button-quiet" :aria-label="`without ${code}`" @click="drop(code)">
              without
            </button>
          </li>
        </ol>
        <div class="flex flex-wrap items-end gap-2">
          <label
            ><span class="label">kind</span
            ><select v-model="kind" class="field" data-testid="course-kind">
              <option v-for="(label, id) in KINDS" :key="id" :value="id">{{ label }}</option>
            </select></label
          >
          <label
            ><span class="label">how hard</span
            ><select v-model="hardness" class="field">
              <option v-for="(label, id) in HARDNESS" :key="id" :value="id">{{ label }}</option>
            </select></label
          >
          <button type="button" class="button" data-testid="course-draw" @click="addDrawn">Draw one</button>
        </div>
        <div class="mt-2 flex flex-wrap items-end gap-2">
          <label class="min-w-0 flex-1"
            ><span class="label">or the link of a case that you know</span
            ><input v-model="link" class="field number" data-testid="course-link" @keydown.enter.prevent="addLinked"
          /></label>
          <button type="button" class="button" @click="addLinked">Add it</button>
        </div>
      </fieldset>
      <fieldset v-if="skills.people.length > 0">
        <legend class="label">For whom; nobody chosen is everybody</legend>
        <div class="flex flex-wrap gap-2">
          <button
            v-for="name in skills.people"
            :key="name"
            type="button"
            class="toggle"
            :aria-pressed="course.for.includes(name)"
            @click="turn(name)"
          >
            {{ name }}
          </button>
        </div>
      </fieldset>
      <div class="flex flex-wrap gap-3">
        <label
          ><span class="label">until, if at all</span><input v-model="course.by" type="date" class="field"
        /></label>
        <label class="min-w-0 flex-1"
          ><span class="label">a word with it</span><input v-model="course.note" class="field" maxlength="500"
        /></label>
      </div>
      <p v-if="problem" role="alert" class="font-bold text-rust">{{ problem }}</p>
      <div><button type="submit" class="button" data-testid="course-save">Set the course</button></div>
    </form>
  </section>
</template>
