<script setup lang="ts">
import type { Article } from '#core/fits/article'
import { isShelfPlace, type AnyPlace, type ShelfPlace } from '#core/fits/shelf-place'
import { shelfMonthsOf } from '#core/knowledge/fits/families'
import { MOVES, OUTSIDE, type MoveWhy } from '#core/knowledge/shelf/moves'
import { readNumber } from '#core/quantity/read-number'
import { homeOf } from '#core/shelf/places'
import { addMonths, formatISO } from 'date-fns'
import { useShelf } from '~/stores/shelf'

/** Some of an article goes from one place to another. */
const { article } = defineProps<{ article: Article }>()
const shelf = useShelf()
const { checked } = useEntryRules()
/** What a repair uses is written by the repair. */
const WHYS = (Object.keys(MOVES) as MoveWhy[]).filter((why) => why !== 'used' && why !== 'taken-back')
const why = ref<MoveWhy>('received')
const count = ref('1')
const lying = computed(() =>
  [...shelf.stock.at.values()]
    .filter((each) => each.article === article.id && each.count > 0)
    .map(({ place }) => place),
)
const inside = computed(() => shelf.places.map(({ id }) => id))
const from = ref<AnyPlace>('supplier')
const to = ref<AnyPlace>('bench')
const sides = computed(() => {
  const { from: whence, to: where } = MOVES[why.value]
  return {
    from: whence === 'inside' ? inside.value : (whence as readonly AnyPlace[]),
    to: where === 'inside' ? inside.value : (where as readonly AnyPlace[]),
  }
})
watch(
  [why, inside, () => article.id],
  () => {
    const { from: froms, to: tos } = sides.value
    const usual = homeOf(article, shelf.stock)
    from.value = (froms.find((place) => lying.value.includes(place as ShelfPlace)) ?? froms[0]) as AnyPlace
    const rest = tos.filter((place) => place !== from.value)
    to.value = (rest.find((place) => place === usual) ?? rest[0]) as AnyPlace
  },
  { immediate: true },
)
const shelfMonths = computed(() => shelfMonthsOf(article.family))
const until = ref('')
watch(
  [why, shelfMonths],
  () => {
    until.value =
      why.value === 'received' && shelfMonths.value
        ? formatISO(addMonths(new Date(), shelfMonths.value), { representation: 'date' })
        : ''
  },
  { immediate: true },
)
const problem = ref('')
const nameOf = (place: AnyPlace) => (isShelfPlace(place) ? shelf.placeName(place) : OUTSIDE[place])
const there = computed(() => (isShelfPlace(from.value) ? shelf.countOf(article.id, from.value) : undefined))
async function move(): Promise<void> {
  const body = {
    article: article.id,
    count: readNumber(count.value) ?? Number.NaN,
    from: from.value,
    to: to.value,
    why: why.value,
    ...(until.value ? { until: until.value } : {}),
  }
  const [wrong] = Object.entries(await checked('stock-moved', body))
  problem.value = wrong ? `${wrong[0]}: ${wrong[1]}` : ''
  if (wrong) return
  await shelf.move(body)
  count.value = '1'
}
</script>

<template>
  <form class="grid gap-3 sm:grid-cols-2" data-testid="move-form" @submit.prevent="move">
    <label
      ><span class="label">What happens</span
      ><select v-model="why" class="field" data-testid="move-why">
        <option v-for="each in WHYS" :key="each" :value="each">{{ MOVES[each].label }}</option>
      </select></label
    ><label
      ><span class="label">How many</span
      ><input v-model="count" class="field number" inputmode="decimal" data-testid="move-count"
    /></label>
    <label
      ><span class="label"
        >From<template v-if="there !== undefined">, where there are {{ there }}</template></span
      ><select v-model="from" class="field" data-testid="move-from">
        <option v-for="each in sides.from" :key="each" :value="each">{{ nameOf(each) }}</option>
      </select></label
    ><label
      ><span class="label">To</span
      ><select v-model="to" class="field" data-testid="move-to">
        <option v-for="each in sides.to" :key="each" :value="each">{{ nameOf(each) }}</option>
      </select></label
    >
    <label v-if="shelfMonths"
      ><span class="label">It may lie until</span><input v-model="until" type="date" class="field number"
    /></label>
    <p v-if="problem" role="alert" class="font-bold text-rust sm:col-span-2" data-testid="move-problem">
      {{ problem }}
    </p>
    <div class="sm:col-span-2">
      <button type="submit" class="button" data-testid="move">Write it down</button>
    </div>
  </form>
</template>
