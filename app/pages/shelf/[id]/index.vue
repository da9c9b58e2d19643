<script setup lang="ts">
import { format, formatISO } from 'date-fns'
import { isShelfPlace, type AnyPlace } from '#core/fits/shelf-place'
import { FAMILIES } from '#core/knowledge/fits/families'
import { CONDITIONS, MOVES, OUTSIDE } from '#core/knowledge/shelf/moves'
import { PARTS } from '#core/knowledge/vocabulary'
import { isOldPrice } from '#core/shelf/prices'
import { countWords, toldMeasures } from '#core/shelf/listing'
import type { Entry } from '#core/visit/entry'
import { liveEntries } from '#core/visit/supersession'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'

/** One article: what it measures, where it lies, what came and went. */
const [shelf, self, route] = [useShelf(), useSelf(), useRoute()]
const { reader } = useUnits()
onMounted(shelf.read)
const id = computed(() => String(route.params.id))
const article = computed(() => shelf.stock.articles.get(id.value))
const measures = computed(() => (article.value ? toldMeasures(article.value, reader.value) : []))
const lying = computed(() =>
  [...shelf.stock.at.values()].filter((each) => each.article === id.value && each.count !== 0),
)
const nameOf = (place: AnyPlace) => (isShelfPlace(place) ? shelf.placeName(place) : OUTSIDE[place])
/** The newest first: what came, went and was counted. */
const MOST_SHOWN = 30
interface Came {
  line: Entry
  text: string
  note?: string
}
const history = computed(() =>
  liveEntries(shelf.lines)
    .flatMap((line): Came[] => {
      if (line.kind === 'stock-moved' && line.body.article === id.value) {
        const { count, from, to, why, note } = line.body
        return [
          {
            line,
            text: `${countWords(count)} ${MOVES[why].label}: ${nameOf(from)} to ${nameOf(to)}`,
            ...(note ? { note } : {}),
          },
        ]
      }
      if (line.kind === 'stock-counted' && line.body.article === id.value)
        return [
          {
            line,
            text: `${nameOf(line.body.place)} counted: ${countWords(line.body.counted)}`,
            ...(line.body.why ? { note: line.body.why } : {}),
          },
        ]
      return []
    })
    .sort((a, b) => (a.line.at < b.line.at ? 1 : -1))
    .slice(0, MOST_SHOWN),
)
/** Put together by the shop of what is long ago: nothing to take back. */
const isTold = (line: string) => !line.startsWith('together ')
const { money } = useShelfMoney()
const isChanging = ref(false)
const today = formatISO(new Date(), { representation: 'date' })
useHead({ title: computed(() => `${article.value?.name ?? 'Article'} · Pike Lamp`) })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader :title="article?.name ?? 'Article'" />
    <main class="mx-auto grid max-w-6xl gap-8 p-5 max-sm:p-3 lg:grid-cols-[1fr_24rem]">
      <p v-if="!article && !shelf.isRead" class="text-slate">Reading the shelves</p>
      <p v-else-if="!article" class="font-bold">There is no such article on the shelves.</p>
      <template v-else>
        <section class="min-w-0">
          <template v-if="isChanging">
            <ArticleForm :article="article" @kept="isChanging = false"
              ><button type="button" class="button button-quiet" @click="isChanging = false">
                Leave it as it was
              </button></ArticleForm
            >
          </template>
          <template v-else>
            <p class="number text-xl font-bold sm:hidden">{{ article.name }}</p>
            <p class="text-slate">
              {{
                article.part
                  ? PARTS[article.part]
                  : article.family
                    ? FAMILIES[article.family].name
                    : 'known by its name'
              }}<template v-if="article.condition">, {{ CONDITIONS[article.condition] }}</template>
            </p>
            <ul class="my-2 flex flex-wrap gap-x-5 gap-y-1" data-testid="measures">
              <li v-for="each in measures" :key="each" class="number">{{ each }}</li>
            </ul>
            <p v-if="article.note" class="my-2 max-w-[68ch]">{{ article.note }}</p>
            <p v-if="article.price !== undefined" class="my-2" data-testid="price">
              The shop pays <strong class="number">{{ money(article.price / 100) }}</strong>, as of
              {{ format(new Date(`${article.pricedOn}T12:00`), 'd MMM yyyy')
              }}<template v-if="isOldPrice(article, today)">: <strong>older than a season, ask again</strong></template
              >.
            </p>
            <div class="flex flex-wrap gap-3">
              <button
                v-if="self.may('write')"
                type="button"
                class="button"
                data-testid="change-article"
                @click="isChanging = true"
              >
                Change it</button
              ><NuxtLink class="button button-quiet" :to="`/shelf/${id}/label`">Its label</NuxtLink>
            </div>
          </template>
          <h2 class="mt-6 border-b border-ink pb-1 text-xl">Where it lies</h2>
          <p v-if="lying.length === 0" class="py-3 text-slate" data-testid="lies-nowhere">Nowhere.</p>
          <ul class="ruled" data-testid="lying">
            <li v-for="each in lying" :key="each.place" class="flex min-h-12 items-center gap-4">
              <strong class="number w-14 text-right text-[1.35rem]" :class="{ 'text-rust': each.count < 0 }">{{
                countWords(each.count)
              }}</strong><span>{{ shelf.placeName(each.place) }}</span
              ><span v-if="each.count < 0">more was taken than anybody brought: count it</span
              ><span v-else class="text-slate">{{
                each.lots
                  .filter(({ until }) => until)
                  .map(({ count, until }) => `${countWords(count)} until ${until}`)
                  .join(' · ')
              }}</span>
            </li>
          </ul>
          <h2 class="mt-6 border-b border-ink pb-1 text-xl">What came and went</h2>
          <ul class="ruled" data-testid="came-and-went">
            <li
              v-for="{ line, text, note } in history"
              :key="line.id"
              class="flex min-h-12 items-center gap-x-4 max-sm:flex-wrap"
            >
              <span class="number shrink-0 text-slate">{{ format(new Date(line.at), 'd MMM, HH:mm') }}</span><span
                class="min-w-0 grow"
                >{{ text }}<template v-if="note">: {{ note }}</template></span
              ><span class="text-slate">{{ line.author }}</span
              ><button
                v-if="self.may('write') && isTold(line.id)"
                type="button"
                class="button button-quiet"
                :aria-label="`take back: ${text}`"
                @click="shelf.takeBack(line.id)"
              >
                take back
              </button>
            </li>
          </ul>
        </section>
        <aside v-if="self.may('write')" aria-labelledby="moves">
          <h2 id="moves" class="mb-3 border-b border-ink pb-1 text-xl">Move some</h2>
          <MoveForm :article="article" />
        </aside>
      </template>
    </main>
  </div>
</template>
