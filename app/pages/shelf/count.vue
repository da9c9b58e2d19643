<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import { readAsked } from '#core/fits/read-spec'
import { isShelfPlace, type ShelfPlace } from '#core/fits/shelf-place'
import type { Article } from '#core/fits/article'
import { FAMILIES } from '#core/knowledge/fits/families'
import { readNumber } from '#core/quantity/read-number'
import { byCode, countWords, listArticles } from '#core/shelf/listing'
import { formatISO } from 'date-fns'
import { useShelf } from '~/stores/shelf'

/** What is really there, place by place: typed, tapped, or by a code. */
const [shelf, route] = [useShelf(), useRoute()]
const { reader } = useUnits()
const place = ref<ShelfPlace | undefined>(isShelfPlace(route.query.at) ? route.query.at : undefined)
onMounted(async () => {
  await shelf.read()
  place.value ??= shelf.places[0]?.id
})
/** What was counted and not yet kept, by article, as it was typed. */
const typed = ref<Record<string, string>>({})
/** What was brought to the list by hand: the shop did not know that it lies here. */
const brought = ref<string[]>([])
watch(place, () => {
  typed.value = {}
  brought.value = []
})
const today = formatISO(new Date(), { representation: 'date' })
const rows = computed(() => {
  if (!place.value) return []
  const here = listArticles(shelf.stock, { place: place.value, today, reader: reader.value })
  const known = new Set(here.map(({ article }) => article.id))
  const more = listArticles(shelf.stock, { today, reader: reader.value }).filter(
    ({ article }) => brought.value.includes(article.id) && !known.has(article.id),
  )
  return [...here, ...more].map((line) => ({
    ...line,
    about: [line.article.family ? FAMILIES[line.article.family].name : '', line.told].filter(Boolean).join(': '),
    expected: shelf.countOf(line.article.id, place.value),
  }))
})
const counted = computed(() => rows.value.filter(({ article }) => (typed.value[article.id] ?? '').trim() !== ''))
const problem = ref('')
const kept = ref('')
async function keep(): Promise<void> {
  const at = place.value
  if (!at) return
  const lines = counted.value.map(({ article }) => ({ article, pieces: readNumber(typed.value[article.id] ?? '') }))
  const wrong = lines.find(({ pieces }) => pieces === undefined || pieces < 0)
  problem.value = wrong
    ? `${wrong.article.name}: “${typed.value[wrong.article.id]}” is no count; a number from 0 on`
    : ''
  if (wrong) return
  await shelf.write(
    ...lines.map(({ article, pieces }) => ({
      kind: 'stock-counted' as const,
      body: { article: article.id, place: at, counted: pieces as number },
    })),
  )
  kept.value = `${shelf.placeName(at)}: ${lines.length} counted`
  typed.value = {}
  brought.value = []
}
function step(article: string, expected: number, by: number): void {
  const now = readNumber(typed.value[article] ?? '') ?? Math.max(0, expected)
  typed.value = { ...typed.value, [article]: countWords(Math.max(0, now + by)) }
}
function next(event: Event): void {
  const inputs = [...document.querySelectorAll<HTMLInputElement>('[data-count]')]
  inputs[inputs.indexOf(event.target as HTMLInputElement) + 1]?.focus()
}
const search = ref('')
const found = computed(() => {
  const words = search.value.trim()
  if (!words) return []
  const code = byCode(shelf.stock, words)
  const list = code
    ? [code]
    : listArticles(shelf.stock, { words, today, reader: reader.value }).map(({ article }) => article)
  return list.filter(({ id }) => !rows.value.some(({ article }) => article.id === id)).slice(0, 8)
})
/** One that lies here: one more of it, so that codes can be read one after the other. */
function take({ id }: Article): void {
  if (!brought.value.includes(id)) brought.value = [...brought.value, id]
  step(id, 0, 1)
  search.value = ''
}
function byEnter(): void {
  const code = byCode(shelf.stock, search.value)
  if (code) take(code)
  else if (found.value[0]) take(found.value[0])
  else if (search.value.trim()) void fresh()
}
function readCode(code: string): void {
  search.value = code
  byEnter()
}
const asked = computed(() => readAsked(search.value))
/** What nobody had written down yet. */
async function fresh(): Promise<void> {
  const article: Article = {
    id: uuidv7(),
    name: search.value.trim(),
    spec: { ...asked.value?.spec },
    ...(asked.value ? { family: asked.value.family } : {}),
  }
  await shelf.keepArticle(article)
  take(article)
}
const reasons = ref<Record<string, string>>({})
async function explain(line: string): Promise<void> {
  const of = shelf.unexplained.find((each) => each.line === line)
  const why = (reasons.value[line] ?? '').trim()
  if (!of || !why) return
  const { article, place: at, counted: pieces } = of
  await shelf.write({ kind: 'stock-counted', body: { article, place: at, counted: pieces, why }, supersedes: line })
}
useHead({ title: 'Count · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Count" />
    <PlaceChips v-model="place" :all="false" />
    <main class="mx-auto max-w-5xl px-5 pb-10 max-sm:px-3">
      <h2 v-if="place" class="py-2 text-xl">{{ shelf.placeName(place) }}</h2>
      <p v-if="kept" role="status" class="py-2 font-bold" data-testid="count-kept">{{ kept }}</p>
      <form data-testid="count-form" @submit.prevent="keep">
        <ul class="ruled border-y border-rule">
          <li v-for="row in rows" :key="row.article.id" class="row" :data-testid="`count-${row.article.name}`">
            <span class="min-w-0"
              ><strong class="number block">{{ row.article.name }}</strong
              ><span class="block truncate text-slate max-sm:hidden">{{ row.about }}</span></span
            >
            <span class="text-slate max-sm:hidden">written: {{ countWords(row.expected) }}</span>
            <span class="flex gap-1">
              <button
                type="button"
                class="button"
                :aria-label="`one less of ${row.article.name}`"
                @click="step(row.article.id, row.expected, -1)"
              >
                −</button
              ><input
                v-model="typed[row.article.id]"
                data-count
                class="field number w-20 text-right"
                inputmode="decimal"
                :placeholder="countWords(Math.max(0, row.expected))"
                :aria-label="`how many ${row.article.name}`"
                @keydown.enter.prevent="next"
              /><button
                type="button"
                class="button"
                :aria-label="`one more of ${row.article.name}`"
                @click="step(row.article.id, row.expected, 1)"
              >
                +</button
              ><button
                type="button"
                class="button max-sm:hidden"
                @click="typed = { ...typed, [row.article.id]: countWords(Math.max(0, row.expected)) }"
              >
                as written
              </button>
            </span>
          </li>
          <li v-if="rows.length === 0" class="py-4 text-slate" data-testid="count-empty">
            Nothing is written down here yet: type or read what lies here.
          </li>
        </ul>
        <div class="my-3 grid gap-2">
          <label class="block max-w-xl"
            ><span class="label">Something else lies here: its name, its number, its code</span>
            <input
              v-model="search"
              class="field number"
              autocomplete="off"
              spellcheck="false"
              data-testid="count-search"
              @keydown.enter.prevent="byEnter"
          /></label>
          <CodeReader @read="readCode" />
          <div class="flex flex-wrap gap-2">
            <button v-for="each in found" :key="each.id" type="button" class="toggle number" @click="take(each)">
              {{ each.name }}</button><button
              v-if="search.trim() && !byCode(shelf.stock, search)"
              type="button"
              class="toggle"
              data-testid="count-new"
              @click="fresh"
            >
              New: <span class="number">{{ search.trim() }}</span>
            </button>
          </div>
        </div>
        <p v-if="problem" role="alert" class="font-bold text-rust" data-testid="count-problem">{{ problem }}</p>
        <button type="submit" class="button" :disabled="counted.length === 0" data-testid="keep-count">
          Keep {{ counted.length }} counted
        </button>
      </form>
      <section v-if="shelf.unexplained.length > 0" class="mt-8" data-testid="differences">
        <h2 class="border-b border-ink pb-1 text-xl">Counted otherwise than written</h2>
        <p class="py-2 text-slate">
          What was counted stands. Why it was another number helps the next time: used and not written, lent, broken.
        </p>
        <ul class="ruled">
          <li
            v-for="each in shelf.unexplained"
            :key="each.line"
            class="flex flex-wrap items-center gap-x-4 gap-y-2 py-2"
          >
            <span class="min-w-0 grow"
              ><strong class="number">{{ shelf.stock.articles.get(each.article)?.name }}</strong
              >, {{ shelf.placeName(each.place) }}: written <span class="number">{{ countWords(each.expected) }}</span>,
              counted <span class="number">{{ countWords(each.counted) }}</span> by {{ each.author }}</span
            >
            <input
              v-model="reasons[each.line]"
              class="field max-w-72"
              maxlength="300"
              :aria-label="`why ${shelf.stock.articles.get(each.article)?.name} was counted otherwise`"
              placeholder="why"
              @keydown.enter="explain(each.line)"
            /><button type="button" class="button" @click="explain(each.line)">That is why</button>
          </li>
        </ul>
      </section>
    </main>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 8rem auto;
  gap: 0.75rem;
  align-items: center;
  min-height: 60px;
  padding-block: 0.3rem;
}
@media (max-width: 639px) {
  .row {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
