<script setup lang="ts">
import { CHAPTERS, mustPage } from '#core/handbook/handbook'
import { HandbookSearch } from '#core/handbook/search'

/** Short pages by idea, the lessons, and one line that finds in all of it. */
const { reader } = useUnits()
const route = useRoute()
const router = useRouter()
const typed = ref(typeof route.query.q === 'string' ? route.query.q : '')
const search = computed(() => new HandbookSearch(reader.value))
const found = computed(() => search.value.find(typed.value))
watch(typed, (now) => void router.replace({ query: now ? { q: now } : {} }))
useHead({ title: 'Handbook · Pike Lamp' })
</script>

<template>
  <div>
    <PlaceHeader title="Handbook"
      ><NuxtLink
        to="/practice"
        class="inline-flex min-h-12 items-center text-slate underline underline-offset-4 max-sm:hidden"
        >Practice</NuxtLink
      ></PlaceHeader
    >
    <main class="mx-auto grid max-w-5xl gap-6 p-5 max-sm:p-3">
      <label
        ><span class="label">Find a page: by a word of it, a caution, a standard</span
        ><input
          v-model="typed"
          type="search"
          class="field max-w-xl"
          autocomplete="off"
          placeholder="bubbles, absorption, IEEE 43"
          data-testid="handbook-find"
      /></label>
      <section v-if="typed.trim()" aria-live="polite" data-testid="handbook-found">
        <p v-if="found.length === 0">
          No page has that. Try fewer words, or another for the same: a handbook of {{ CHAPTERS.length }} chapters
          stands below.
        </p>
        <ul class="ruled">
          <li v-for="page in found" :key="page.id">
            <NuxtLink :to="`/practice/handbook/${page.id}`" class="row"
              ><span class="number text-slate">{{ page.number }}</span
              ><span
                ><strong class="underline underline-offset-4">{{ page.title }}</strong
                ><span class="block text-[0.95rem]">{{ page.rule }}</span></span
              ></NuxtLink
            >
          </li>
        </ul>
      </section>
      <div class="chapters">
        <section v-for="chapter in CHAPTERS" :key="chapter.title">
          <h2 class="border-b border-ink pb-1 text-xl">{{ chapter.title }}</h2>
          <ul class="ruled">
            <li v-for="page in chapter.pages" :key="page.id">
              <NuxtLink :to="`/practice/handbook/${page.id}`" class="row" :data-testid="`page-${page.id}`"
                ><span class="number text-slate">{{ mustPage(page.id).number }}</span
                ><span class="underline underline-offset-4">{{ page.title }}</span></NuxtLink
              >
            </li>
          </ul>
        </section>
      </div>
      <p class="text-[0.92rem] text-slate">
        Own words, own drawings; where a figure comes from stands on its page, and all of them under
        <NuxtLink to="/workings/sources" class="underline underline-offset-4">Where the figures come from</NuxtLink>. It
        is on this device, and needs no signal. The plate, the maker’s sheet and local codes win over it.
      </p>
    </main>
  </div>
</template>

<style scoped>
.chapters {
  columns: 19rem 2;
  column-gap: 2.5rem;
}
.chapters section {
  margin-bottom: 1.5rem;
  break-inside: avoid;
}
.row {
  display: grid;
  grid-template-columns: 3.4rem minmax(0, 1fr);
  align-items: center;
  min-height: 48px;
  text-decoration: none;
}
</style>
