<script setup lang="ts">
import { format } from 'date-fns'
import { HARDNESS, readCode } from '#core/knowledge/practice/case-code'
import { KINDS } from '#core/knowledge/vocabulary'
import { caseStanding, type CaseStanding } from '#core/practice/courses'
import { useSkills } from '~/stores/skills'

/** Courses that are set for whoever is here, and how far each is. */
const skills = useSkills()
const WORDS: Readonly<Record<CaseStanding, string>> = { open: 'to do', tried: 'tried, not found', found: 'found' }
const courses = computed(() =>
  skills.mineToDo.map((course) => {
    const cases = course.cases.flatMap((code) => {
      const read = readCode(code)
      return read
        ? [{ code, title: `${KINDS[read.kind]}, ${HARDNESS[read.hardness]}`, is: caseStanding(code, skills.mine) }]
        : []
    })
    return { ...course, own: cases, found: cases.filter(({ is }) => is === 'found').length }
  }),
)
</script>

<template>
  <section v-if="courses.length > 0" aria-labelledby="courses" data-testid="courses">
    <h2 id="courses" class="mb-1 border-b border-ink pb-1 text-xl">Set for you</h2>
    <details v-for="course in courses" :key="course.course" :open="course.found < course.own.length" class="py-1">
      <summary class="flex min-h-12 cursor-pointer flex-wrap items-center gap-x-4">
        <strong>{{ course.title }}</strong><span class="number">{{ course.found }} of {{ course.own.length }}</span
        ><span class="text-slate"
          >by {{ course.setBy
          }}<template v-if="course.by">, until {{ format(new Date(course.by), 'd MMM yyyy') }}</template></span
        >
      </summary>
      <p v-if="course.note" class="mb-1">{{ course.note }}</p>
      <ul class="ruled">
        <li v-for="each in course.own" :key="each.code" class="flex min-h-12 flex-wrap items-center gap-x-4">
          <NuxtLink :to="`/practice/case/${each.code}`" class="min-w-0 flex-1 underline underline-offset-4">{{
            each.title
          }}</NuxtLink><span :class="each.is === 'found' ? 'text-moss' : 'text-slate'">{{ WORDS[each.is] }}</span>
        </li>
      </ul>
    </details>
  </section>
</template>
