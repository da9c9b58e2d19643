<script setup lang="ts">
import type { OrderState } from '#core/shelf/bought'
import { readNumber } from '#core/quantity/read-number'
import { countWords } from '#core/shelf/listing'
import { homeOf } from '#core/shelf/places'
import type { CheckedDelivery, DeliveryLine } from '#core/shelf/papers/delivery'
import type { TakenIn } from '~/composables/useBuying'
import type { ShelfPlace } from '#core/fits/shelf-place'
import { useShelf } from '~/stores/shelf'

/** A delivery, line by line: what came, how much of it, and where it goes. */
const {
  order,
  note = undefined,
  busy = false,
} = defineProps<{
  order: OrderState
  /** As the supplier said it; by hand where there is none. */
  note?: CheckedDelivery
  busy?: boolean
}>()
const emit = defineEmits<{ take: [delivery: string, taken: TakenIn[]] }>()
const shelf = useShelf()
const bayOf = (article: string): ShelfPlace => homeOf(shelf.stock.articles.get(article) ?? { id: article }, shelf.stock)
const delivery = ref('')
const typed = reactive<Record<number, string>>({})
const places = reactive<Record<number, ShelfPlace>>({})
const instead = reactive<Record<number, string>>({})
const problem = ref('')
const rows = computed((): DeliveryLine[] =>
  note
    ? note.lines
    : order.lines
        .filter(({ missing }) => missing > 0)
        .map(({ line, article, missing, code = '' }) => ({
          line,
          code,
          article,
          count: missing,
          name: shelf.articleName(article),
          is: 'right',
        })),
)
const IS = {
  right: 'as ordered',
  'too-many': 'more than was to come',
  wrong: 'something else than was ordered',
  unknown: 'nothing that the shop knows',
} as const
/** By hand, another article than was ordered is found by its name. */
const articleOf = (row: DeliveryLine, index: number) => {
  const name = instead[index]?.trim().toLowerCase()
  if (!name) return row.article
  return [...shelf.stock.articles.values()].find((each) => each.name.toLowerCase() === name)?.id
}
function take(): void {
  const taken: TakenIn[] = []
  for (const [index, row] of rows.value.entries()) {
    const count = typed[index] === undefined ? row.count : readNumber(typed[index] ?? '')
    if (count === undefined || !(count >= 0)) {
      problem.value = `${row.name}: “${typed[index]}” is no count; a number from 0 on.`
      return
    }
    const article = articleOf(row, index)
    if (article === undefined && count > 0) {
      problem.value = `${instead[index] || row.name}: write it down as an article first, or count 0 of it.`
      return
    }
    if (article !== undefined && count > 0)
      taken.push({ article, count, line: row.line, to: places[index] ?? bayOf(article) })
  }
  const number = note?.delivery ?? delivery.value.trim()
  problem.value = number ? '' : 'The number on the delivery note is missing: by it nothing is taken in twice.'
  if (!problem.value && taken.length > 0) emit('take', number, taken)
}
</script>

<template>
  <section class="border-2 border-ink p-3" aria-labelledby="delivery" data-testid="delivery">
    <h2 id="delivery" class="text-xl">
      {{ note ? `Delivery ${note.delivery}` : 'What came' }}
    </h2>
    <p v-if="note?.isKnown" class="font-bold" data-testid="delivery-known">It was taken in before.</p>
    <label v-if="!note" class="my-2 block max-w-64"
      ><span class="label">Number of the delivery note</span
      ><input v-model="delivery" class="field number" maxlength="80" data-testid="delivery-number"
    /></label>
    <ul class="ruled">
      <li
        v-for="(row, index) in rows"
        :key="`${row.line} ${row.code} ${index}`"
        class="grid gap-x-4 gap-y-1 py-2 sm:grid-cols-[5rem_minmax(0,1fr)_12rem] sm:items-center"
        :data-testid="`came-${row.is}`"
      >
        <input
          :value="typed[index] ?? countWords(row.count)"
          class="field number w-20 text-right"
          inputmode="decimal"
          :aria-label="`how many ${row.name} came`"
          @input="typed[index] = ($event.target as HTMLInputElement).value"
        />
        <span class="min-w-0"
          >{{ row.article ? shelf.articleName(row.article) : row.name
          }}<span class="block text-[0.92rem]" :class="row.is === 'right' ? 'text-slate' : 'font-bold text-rust'"
            >line {{ row.line }}, {{ IS[row.is] }}</span
          >
          <details v-if="!note">
            <summary class="min-h-12 cursor-pointer py-3 underline">something else came</summary>
            <label
              ><span class="label">What came in place of {{ row.name }}</span
              ><input v-model="instead[index]" class="field" list="articles-known" :data-testid="`instead-${row.name}`"
            /></label></details
        ></span>
        <select v-model="places[index]" class="field" :aria-label="`where ${row.name} goes`">
          <option :value="undefined">
            {{ row.article ? shelf.shortName(bayOf(row.article)) : 'its usual place' }}
          </option>
          <option v-for="place in shelf.places" :key="place.id" :value="place.id">{{ place.short }}</option>
        </select>
      </li>
    </ul>
    <datalist id="articles-known">
      <option v-for="[id, { name }] in shelf.stock.articles" :key="id" :value="name" />
    </datalist>
    <p v-if="problem" role="alert" class="py-2 font-bold text-rust" data-testid="delivery-problem">{{ problem }}</p>
    <button
      v-if="!note?.isKnown"
      type="button"
      class="button mt-2"
      :disabled="busy"
      data-testid="take-in"
      @click="take"
    >
      Take it in
    </button>
  </section>
</template>
