<script setup lang="ts">
import { IDEAS, type Idea } from '#core/knowledge/practice/harms'
import { KINDS, type Kind } from '#core/knowledge/vocabulary'
import { caseStanding, isFor } from '#core/practice/courses'
import { standingsOf } from '#core/practice/next-up'
import { skillsOf, type Tried } from '#core/practice/skills'
import { groupedBy } from '#core/quantity/grouped'
import { useSelf } from '~/stores/self'
import { useSkills } from '~/stores/skills'

/** Skill by kind and by idea: one’s own, and of everybody for whoever sees to the people of the shop. */
const [skills, self] = [useSkills(), useSelf()]
onMounted(skills.read)
const seesAll = computed(() => self.may('people'))
const people = computed(() => {
  const of = seesAll.value ? skills.everybody : skills.mine
  const found = [...groupedBy(of, ({ who }) => who)].map(([who, tried]) => personOf(who, tried))
  return found.sort((a, b) => a.name.localeCompare(b.name))
})
function personOf(who: string, tried: readonly Tried[]) {
  const { all, kinds } = skillsOf(tried)
  const weakest = standingsOf(tried, skills.now).find(({ tries }) => tries > 0)
  const courses = skills.courses.filter((course) => isFor(course, tried.at(-1)?.name ?? ''))
  return {
    who,
    name: tried.at(-1)?.name ?? who,
    tries: tried.length,
    harmed: tried.filter(({ harms }) => harms.length > 0).length,
    found: tried.filter(({ found: isFound }) => isFound).length,
    all,
    weakest: weakest && IDEAS[weakest.idea],
    kinds: (Object.keys(KINDS) as Kind[]).map((id) => ({ ...kinds[id], id, label: KINDS[id] })),
    ideas: standingsOf(tried, skills.now).map((each) => ({
      ...each,
      id: each.idea,
      label: IDEAS[each.idea as Idea],
      ...(each.tries > 0 && each.isDue ? { note: 'due' } : {}),
    })),
    courses: courses.map((course) => ({
      ...course,
      done: course.cases.filter((code) => caseStanding(code, tried) === 'found').length,
    })),
  }
}
const shown = ref<string>()
const person = computed(() => people.value.find(({ who }) => who === shown.value) ?? people.value[0])
useHead({ title: 'Skills and courses · Pike Lamp' })
</script>

<template>
  <div>
    <PlaceHeader title="Skills and courses" short="Skills"
      ><NuxtLink
        to="/practice"
        class="inline-flex min-h-12 items-center text-slate underline underline-offset-4 max-sm:hidden"
        >Practice</NuxtLink
      ></PlaceHeader
    >
    <main class="mx-auto grid max-w-5xl gap-6 p-5 max-sm:p-3">
      <p class="max-w-[68ch] text-slate">
        Estimates of skill from tries at practice pumps, of 100, each with the span in which it lies four times of five.
        They say what to practise next. They are no certificate: those are not ours to give, and who may work on what is
        said by local codes and licensed practice.
      </p>
      <p v-if="skills.isOld" role="status">Nobody answers now: this is what was told last.</p>
      <p v-if="people.length === 0" data-testid="no-skills">
        No try is over yet. The first one begins under <NuxtLink to="/practice" class="underline">Practice</NuxtLink>.
      </p>
      <section v-if="people.length > 1" aria-labelledby="people">
        <h2 id="people" class="border-b border-ink pb-1 text-xl">Who practises</h2>
        <ul class="ruled">
          <li v-for="each in people" :key="each.who">
            <button
              type="button"
              class="flex min-h-12 w-full flex-wrap items-center gap-x-5 text-left"
              :aria-pressed="each.who === person?.who"
              :data-testid="`person-${each.name}`"
              @click="shown = each.who"
            >
              <strong class="min-w-0 flex-1" :class="{ underline: each.who === person?.who }">{{
                each.name
              }}</strong><span class="number"
                >{{ Math.round(100 * each.all.estimate) }}
                <span class="text-[0.88rem] text-slate"
                  >{{ Math.round(100 * each.all.low) }} to {{ Math.round(100 * each.all.high) }}</span
                ></span
              ><span class="text-slate">{{ each.tries }} tries, weakest: {{ each.weakest }}</span>
            </button>
          </li>
        </ul>
      </section>
      <section v-if="person" :aria-label="person.name" data-testid="person">
        <h2 class="border-b border-ink pb-1 text-xl">{{ person.name }}</h2>
        <p class="py-2">
          {{ person.tries === 1 ? 'One try' : `${person.tries} tries` }}: {{ person.found }} found and mended,
          {{ person.harmed === 0 ? 'nobody hurt' : `${person.harmed} with something unsafe` }}. In all
          <strong class="number">{{ Math.round(100 * person.all.estimate) }}</strong> of 100,
          {{ Math.round(100 * person.all.low) }} to {{ Math.round(100 * person.all.high) }}.
        </p>
        <div class="grid gap-x-10 gap-y-4 md:grid-cols-2">
          <div>
            <h3 class="text-lg">By idea</h3>
            <SkillTable :rows="person.ideas" label="by idea" />
          </div>
          <div>
            <h3 class="text-lg">By kind of pump</h3>
            <SkillTable :rows="person.kinds" label="by kind of pump" />
          </div>
        </div>
        <ul v-if="person.courses.length > 0" class="mt-3">
          <li v-for="course in person.courses" :key="course.course">
            {{ course.title }}: <span class="number">{{ course.done }} of {{ course.cases.length }}</span>
          </li>
        </ul>
      </section>
      <CourseForm v-if="seesAll" />
    </main>
  </div>
</template>
