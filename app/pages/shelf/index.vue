<script setup lang="ts">
import { readAsked } from '#core/fits/read-spec'
import type { Wanted } from '#core/fits/what-fits'
import { FAMILIES } from '#core/knowledge/fits/families'
import { isShelfPlace, type ShelfPlace } from '#core/fits/shelf-place'
import { groupedBy } from '#core/quantity/grouped'
import { listArticles } from '#core/shelf/listing'
import { formatISO } from 'date-fns'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'

/** What lies where; and what fits, from a number, a measure or a machine. */
const [shelf, self, route] = [useShelf(), useSelf(), useRoute()]
const { reader } = useUnits()
const words = ref(typeof route.query.q === 'string' ? route.query.q : '')
const place = ref<ShelfPlace | undefined>(isShelfPlace(route.query.place) ? route.query.place : undefined)
const wanted = shallowRef<Wanted>()
onMounted(shelf.read)
watch(
  words,
  (typed) => {
    wanted.value = readAsked(typed)
  },
  { immediate: true },
)
/** The machine whose parts are asked for. */
const machineId = computed(() => (typeof route.query.machine === 'string' ? route.query.machine : ''))
const today = formatISO(new Date(), { representation: 'date' })
const list = computed(() =>
  listArticles(shelf.stock, {
    words: words.value,
    ...(place.value ? { place: place.value } : {}),
    today,
    reader: reader.value,
  }),
)
const groups = computed(() =>
  [...groupedBy(list.value, ({ article }) => article.family ?? 'other')].map(([family, lines]) => ({
    family,
    label: family === 'other' ? 'by name' : FAMILIES[family].name,
    lines,
  })),
)
const isEmpty = computed(() => shelf.isRead && shelf.stock.articles.size === 0)
useHead({ title: 'Shelf · Pike Lamp' })
</script>

<template>
  <div class="shelf">
    <PlaceHeader title="Shelf"
      ><p v-if="shelf.isRead" class="text-slate max-lg:hidden" data-testid="shelf-count">
        {{ counted(shelf.stock.articles.size, 'article') }}
      </p></PlaceHeader
    ><ShelfNav />
    <main class="found">
      <p v-if="shelf.isOld" class="px-5 pt-2 text-slate" role="status">
        No way to the shop: this is how it was told last, with what was written here since.
      </p>
      <MachineWants v-if="machineId" :id="machineId" :chosen="wanted?.spec" @choose="wanted = $event" />
      <FitAnswer
        v-if="wanted"
        :family="wanted.family"
        :spec="wanted.spec"
        @change="wanted = { ...wanted, spec: $event }"
      />
      <PlaceChips v-if="!isEmpty && !wanted" v-model="place" />
      <p v-if="shelf.unexplained.length > 0 && !wanted" class="px-5 pb-2 max-sm:px-3">
        <NuxtLink to="/shelf/count" class="inline-flex min-h-12 items-center underline" data-testid="unexplained"
          >{{ counted(shelf.unexplained.length, 'count') }} came out otherwise than the lines before it, without a
          reason yet</NuxtLink
        >
      </p>
      <template v-if="!wanted">
        <p v-if="!shelf.isRead" class="p-6 text-slate">Reading the shelves</p>
        <section v-else-if="isEmpty" class="p-6" data-testid="shelf-empty">
          <h2 class="text-2xl">Nothing lies here yet</h2>
          <p class="my-3 max-w-xl">
            Write down what is in the van, one article at a time: its name says most of it. From then on the program
            knows what fits which machine, and whether it is there.
          </p>
          <NuxtLink class="button" to="/shelf/new">First article</NuxtLink>
        </section>
        <p v-else-if="list.length === 0" class="p-6" data-testid="shelf-none">
          Nothing here has all these words. A number or a measure finds what fits: <span class="number">6203</span>,
          <span class="number">-242</span>, <span class="number">30 uF 370 V</span>.
        </p>
        <section v-for="group in groups" :key="group.family" class="group" :aria-label="group.label">
          <h2 class="head">
            <span class="count number">{{ group.lines.length }}</span><span>{{ group.label }}</span>
          </h2>
          <ul class="lines">
            <ArticleRow v-for="line in group.lines" :key="line.article.id" :line="line" :place="place" />
          </ul>
        </section>
      </template>
    </main>
    <div class="ask">
      <input
        v-model="words"
        class="input number"
        aria-label="a number, a measure, a word"
        placeholder="6203, -242, 30 uF 370 V"
        autocomplete="off"
        spellcheck="false"
        data-testid="shelf-query"
      />
      <p class="min-w-0 grow leading-tight text-slate max-lg:sr-only">
        a number or a measure finds what fits, a word what has it
      </p>
      <template v-if="self.may('write')"
        ><NuxtLink class="button" to="/shelf/count" data-testid="to-count">Count</NuxtLink
        ><NuxtLink
          class="button"
          :to="{ path: '/shelf/new', query: words ? { name: words } : {} }"
          data-testid="new-article"
          >New</NuxtLink
        ></template
      >
    </div>
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  height: 100dvh;
  grid-template: auto auto minmax(0, 1fr) auto / minmax(0, 1fr);
}
.found {
  overflow-y: auto;
}
.group {
  position: relative;
  display: grid;
  grid-template-columns: 12rem minmax(0, 1fr);
  padding-right: 1rem;
}
.head {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  align-self: start;
  min-height: 52px;
  padding-left: 1.25rem;
  font-weight: 400;
}
.count {
  min-width: 32px;
  padding: 0.15rem 0.3rem;
  border-radius: 6px;
  background: var(--ink);
  color: var(--on-ink);
  font-weight: 700;
  text-align: center;
}
.lines {
  min-width: 0;
  border-top: 1px solid var(--rule);
}
.ask {
  display: flex;
  gap: 1rem;
  align-items: center;
  padding: 0.6rem 0.8rem;
  border-top: 1.5px solid var(--ink);
  background: var(--sheet);
}
.input {
  width: 26rem;
  min-width: 0;
  min-height: 54px;
  padding-inline: 0.7rem;
  border: 2px solid var(--river);
  border-radius: 4px;
  background: var(--paper);
  font-size: 1.35rem;
}
@media (max-width: 900px) {
  .shelf {
    display: block;
    height: auto;
    padding-bottom: 9.5rem;
  }
  .found {
    overflow: visible;
  }
  .group {
    grid-template-columns: minmax(0, 1fr);
    padding-right: 0;
  }
  .head {
    padding-left: 0.75rem;
  }
  .ask {
    position: fixed;
    inset-inline: 0;
    bottom: var(--places);
    z-index: 10;
    gap: 0.5rem;
  }
  .input {
    flex: 1;
    font-size: 1.1rem;
  }
}
</style>
