<script setup lang="ts">
import { cautionsOf } from '#core/handbook/cautions'
import { mustPage, pageById, PAGES } from '#core/handbook/handbook'
import { harmsOf, sourcesOf } from '#core/handbook/where'
import { BASIS_WORDS } from '#core/judgement/judgement'
import type { LampHelp } from '#core/knowledge/practice/lamp-help'
import { render } from '#core/quantity/sentence'

/** A page of the handbook: what to keep, a picture, the words, and all that leads here. */
const id = computed(() => String(useRoute().params.page))
const page = computed(() => pageById(id.value))
const { reader } = useUnits()
const cautions = computed(() => cautionsOf(id.value))
const harms = computed(() => harmsOf(id.value))
const rests = computed(() => sourcesOf(id.value))
const beside = computed(() => {
  const at = PAGES.findIndex((each) => each.id === id.value)
  return { before: PAGES[at - 1], after: PAGES[at + 1] }
})
const lamp = ref<LampHelp>('off')
const isMaking = ref(false)
const begin = oneAtATime(async () => {
  const code = page.value?.case
  if (!code) return
  isMaking.value = true
  try {
    await comeToPump(code, lamp.value)
  } finally {
    isMaking.value = false
  }
})
useHead({ title: computed(() => `${page.value?.title ?? 'No such page'} · Pike Lamp`) })
</script>

<template>
  <div>
    <PlaceHeader title=""
      ><template #title
        ><NuxtLink class="button button-quiet" to="/practice/handbook">Handbook</NuxtLink></template
      ></PlaceHeader
    >
    <main v-if="!page" class="mx-auto max-w-xl p-6">
      <h1 class="text-2xl">The handbook has no such page</h1>
      <p class="my-3">“{{ id }}” is none of its pages. Perhaps the link was cut.</p>
      <NuxtLink class="button" to="/practice/handbook">All pages</NuxtLink>
    </main>
    <main v-else class="page" :data-testid="`handbook-${id}`">
      <article class="min-w-0">
        <p class="text-slate">
          <span class="number">{{ page.number }}</span> {{ page.chapter }}
        </p>
        <h1 class="text-[1.9rem] leading-tight">{{ page.title }}</h1>
        <p class="mt-2 mb-4 max-w-[60ch] text-[1.2rem] leading-snug font-bold" data-testid="rule">{{ page.rule }}</p>
        <LivePicture v-if="page.live" :id="page.live" class="mb-5" />
        <PageDrawing v-if="page.drawing" :drawing="page.drawing" class="mb-4" />
        <template v-for="(block, index) in page.body" :key="index">
          <h2 v-if="'heading' in block" class="mt-5 text-xl">{{ block.heading }}</h2>
          <ul v-else-if="'list' in block" class="points">
            <li v-for="(each, place) in block.list" :key="place">{{ render(each, reader) }}</li>
          </ul>
          <p v-else class="my-3 max-w-[68ch]">{{ render(block.text, reader) }}</p>
        </template>
        <section v-if="page.case" class="lamp-field mt-5 grid gap-3 px-5 py-4" data-testid="lesson-pump">
          <h2 class="text-[1.35rem]">A pump in which it is so</h2>
          <p>
            Come to it as to any other: the same for everybody. What it was stands here already; the way there does not.
          </p>
          <LampChoice v-model="lamp" />
          <div>
            <button type="button" class="button button-lit" data-testid="to-pump" :disabled="isMaking" @click="begin">
              {{ isMaking ? 'Making the pump' : 'Come to the pump' }}
            </button>
          </div>
        </section>
        <nav class="mt-6 flex flex-wrap justify-between gap-3" aria-label="pages beside this one">
          <NuxtLink v-if="beside.before" class="button button-quiet" :to="`/practice/handbook/${beside.before.id}`"
            >‹ {{ beside.before.number }} {{ beside.before.title }}</NuxtLink
          >
          <NuxtLink
            v-if="beside.after"
            class="button button-quiet ml-auto"
            :to="`/practice/handbook/${beside.after.id}`"
            >{{ beside.after.number }} {{ beside.after.title }} ›</NuxtLink
          >
        </nav>
      </article>
      <aside class="min-w-0">
        <section v-if="page.see?.length" class="mb-5">
          <h2 class="border-b border-ink pb-1 text-lg">From here</h2>
          <ul class="ruled">
            <li v-for="next in page.see" :key="next">
              <NuxtLink
                :to="`/practice/handbook/${next}`"
                class="grid min-h-12 grid-cols-[3.4rem_minmax(0,1fr)] items-center"
                ><span class="number text-slate">{{ mustPage(next).number }}</span
                ><span class="underline underline-offset-4">{{ mustPage(next).title }}</span></NuxtLink
              >
            </li>
          </ul>
        </section>
        <section v-if="cautions.length > 0" class="mb-5" data-testid="page-cautions">
          <h2 class="border-b border-ink pb-1 text-lg">As it is said at the step</h2>
          <ul class="ruled">
            <li v-for="each in cautions" :key="each" class="py-1.5 text-[0.95rem]">{{ each }}</li>
          </ul>
        </section>
        <section v-if="harms.length > 0" class="mb-5" data-testid="page-harms">
          <h2 class="border-b border-ink pb-1 text-lg">What it comes to in life</h2>
          <ul class="ruled">
            <li v-for="each in harms" :key="each.label" class="py-1.5 text-[0.95rem]">
              <strong class="text-rust">{{ each.label }}</strong><span class="block">{{ each.inLife }}</span
              ><span class="block">{{ each.instead }}</span>
            </li>
          </ul>
        </section>
        <section v-if="rests.length > 0" data-testid="page-sources">
          <h2 class="border-b border-ink pb-1 text-lg">What its figures rest on</h2>
          <ul class="ruled">
            <li v-for="each in rests" :key="each.kind + each.name" class="py-1.5 text-[0.95rem]">
              <span class="block text-[0.85rem] text-slate">{{ BASIS_WORDS[each.kind] }}</span>{{ each.name }}
            </li>
          </ul>
        </section>
      </aside>
    </main>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 21rem;
  gap: 2rem 2.5rem;
  max-width: 78rem;
  margin-inline: auto;
  padding: 1.1rem 1.25rem 3rem;
}
.points {
  max-width: 68ch;
  margin: 0.6rem 0;
  padding-left: 1.1rem;
  list-style: disc;
}
.points li {
  padding-block: 0.18rem;
}
@media (max-width: 900px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
    padding: 0.9rem 0.75rem 2rem;
  }
}
</style>
