<script setup lang="ts">
import { IDEAS } from '#core/knowledge/practice/harms'
import { useSkills } from '~/stores/skills'

/** One’s own skill by idea, the weakest first, and how it is reckoned. */
const skills = useSkills()
const rows = computed(() =>
  skills.standings.map((each) => ({
    ...each,
    id: each.idea,
    label: IDEAS[each.idea],
    ...(each.tries > 0 && each.isDue ? { note: 'due' } : {}),
  })),
)
const count = computed(() => skills.mine.length)
</script>

<template>
  <section data-testid="own-skills">
    <h2 class="flex items-baseline justify-between gap-3 text-lg">
      Your skill by idea<span class="text-[0.9rem] font-normal text-slate">of 100, with its span</span>
    </h2>
    <SkillTable :rows="rows" label="your skill by idea" />
    <p class="mt-2 text-[0.9rem] text-slate">
      <template v-if="count > 0"
        >From {{ count === 1 ? 'one try' : `${count} tries` }}; four times of five it lies in the span. </template
      >What comes next is the weakest of what is due, by FSRS, a published spacing method:
      <HandbookLink page="chances" />.<template v-if="skills.isOld">
        Nobody answers now: as it was told last, and what waits here.</template
      >
    </p>
    <p class="mt-1">
      <NuxtLink to="/practice/skills" class="inline-flex min-h-11 items-center underline underline-offset-4"
        >Skill by kind of pump, and courses</NuxtLink
      >
    </p>
  </section>
</template>
