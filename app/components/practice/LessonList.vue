<script setup lang="ts">
import { LESSON_PAGES } from '#core/handbook/handbook'
import { caseStanding } from '#core/practice/courses'
import { useSkills } from '~/stores/skills'

/** The ten lessons, and which of their pumps were found and mended. */
const skills = useSkills()
const rows = computed(() =>
  LESSON_PAGES.map((page) => ({ ...page, isFound: caseStanding(page.case as string, skills.mine) === 'found' })),
)
</script>

<template>
  <section aria-labelledby="lessons" data-testid="lessons">
    <h2
      id="lessons"
      class="mb-1 flex flex-wrap items-baseline justify-between gap-x-4 border-b border-ink pb-1 text-xl"
    >
      Ten short lessons<NuxtLink
        to="/practice/handbook"
        class="text-base font-normal underline underline-offset-4"
        data-testid="to-handbook"
        >the whole handbook</NuxtLink
      >
    </h2>
    <ul class="grid gap-x-8 sm:grid-cols-2">
      <li v-for="page in rows" :key="page.id" class="border-b border-rule">
        <NuxtLink :to="`/practice/handbook/${page.id}`" class="flex min-h-12 items-center gap-3"
          ><span class="number w-12 shrink-0 text-slate">{{ page.number }}</span
          ><span class="min-w-0 flex-1 underline underline-offset-4">{{ page.title }}</span
          ><span v-if="page.isFound" class="text-[0.9rem] text-moss">pump found</span></NuxtLink
        >
      </li>
    </ul>
  </section>
</template>
