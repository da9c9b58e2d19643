<script setup lang="ts">
import { PARTS } from '#core/knowledge/vocabulary'
import { formatPercent } from '#core/quantity/format'
import { readNumber } from '#core/quantity/read-number'
import { countWords } from '#core/shelf/listing'
import type { ArticleLevel } from '#core/shelf/levels/plan'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'
import { rateWords, whyLevel } from '~/utils/level-words'

/** How much of what to keep, why, and what it does: second trips against money that lies. */
const [shelf, self] = [useShelf(), useSelf()]
const { money, about } = useShelfMoney()
const { plan, problem, load } = useShelfPlan()
onMounted(shelf.ensure)
const shown = ref<'short' | 'kept' | 'all'>('short')
const countOf = ({ level, fixed }: ArticleLevel) => fixed ?? level
const rows = computed(() =>
  (plan.value?.levels ?? [])
    .filter((each) => (shown.value === 'short' ? each.order > 0 : shown.value === 'kept' ? countOf(each) > 0 : true))
    .toSorted(
      (a, b) =>
        b.perYear * b.shortNow - a.perYear * a.shortNow ||
        (shelf.articleName(a.article) < shelf.articleName(b.article) ? -1 : 1),
    ),
)
const short = computed(() => (plan.value?.levels ?? []).filter(({ order }) => order > 0).length)
const typed = reactive<Record<string, string>>({})
const trouble = ref('')
async function fix(each: ArticleLevel): Promise<void> {
  const text = (typed[each.article] ?? '').trim()
  const level = text === '' ? undefined : readNumber(text)
  if (text !== '' && (level === undefined || !(level >= 0))) {
    const name = shelf.articleName(each.article)
    trouble.value = `${name}: “${text}” is no count; a number from 0 on, or nothing for what is needed.`
    return
  }
  trouble.value = ''
  await shelf.write({ kind: 'level-set', body: { article: each.article, ...(level === undefined ? {} : { level }) } })
  await load()
}
const most = ref('')
watch(
  () => shelf.bought.most,
  (cents) => {
    most.value = cents === undefined ? '' : String(cents / 100)
  },
  { immediate: true },
)
async function limit(): Promise<void> {
  const text = most.value.trim()
  const amount = text === '' ? undefined : readNumber(text)
  if (text !== '' && (amount === undefined || !(amount >= 0))) {
    trouble.value = `“${text}” is no amount; a number from 0 on, or nothing for as much as is worth it.`
    return
  }
  trouble.value = ''
  await shelf.write({ kind: 'keeping-set', body: amount === undefined ? {} : { most: Math.round(amount * 100) } })
  await load()
}
const trips = (count: number) => (count < 0.95 ? rateWords(count) : `${countWords(Math.round(count))} a year`)
useHead({ title: 'How much to keep · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="How much to keep" short="To keep" />
    <ShelfNav />
    <main class="mx-auto max-w-6xl p-5 max-sm:p-3">
      <div v-if="problem">
        <p class="mb-3 font-bold">{{ problem }}</p>
        <button type="button" class="button" @click="load">Try again</button>
      </div>
      <p v-else-if="!plan" class="text-slate">Reckoning with every machine</p>
      <template v-else>
        <section aria-label="what it does" class="sums" data-testid="level-sums">
          <p>
            <span class="label">Second trips for want of a part</span
            ><span
              ><strong class="figure number">{{ trips(plan.now.trips) }}</strong> with what is there</span
            ><span
              ><strong class="figure number">{{ trips(plan.at.trips) }}</strong> at these levels</span
            ><span v-if="plan.beyond >= 0.05" data-testid="beyond"
              ><strong class="number">{{ trips(plan.beyond) }}</strong> besides for what is not on the list</span
            >
          </p>
          <p>
            <span class="label">Money that lies</span
            ><span
              ><strong class="figure number">{{ money(plan.now.tied) }}</strong> now</span
            ><span
              ><strong class="figure number">{{ money(plan.at.tied) }}</strong> at these levels</span
            >
          </p>
          <form v-if="self.writes('keeping-set')" class="flex items-end gap-2" @submit.prevent="limit">
            <label
              ><span class="label">At most may lie</span
              ><input
                v-model="most"
                class="field number w-32"
                inputmode="decimal"
                placeholder="no limit"
                data-testid="most"
            /></label>
            <button type="submit" class="button" data-testid="keep-most">Keep it</button>
          </form>
        </section>
        <p v-if="trouble" role="alert" class="my-2 font-bold text-rust" data-testid="level-problem">{{ trouble }}</p>
        <div role="group" aria-label="which articles" class="my-3 flex flex-wrap gap-2">
          <button type="button" class="toggle" :aria-pressed="shown === 'short'" @click="shown = 'short'">
            {{ counted(short, 'short', 'short') }}</button><button
            type="button"
            class="toggle"
            :aria-pressed="shown === 'kept'"
            data-testid="show-kept"
            @click="shown = 'kept'"
          >
            what is kept</button
          ><button
            type="button"
            class="toggle"
            :aria-pressed="shown === 'all'"
            data-testid="show-all"
            @click="shown = 'all'"
          >
            everything
          </button>
        </div>
        <p v-if="rows.length === 0" class="py-3" data-testid="none-short">
          {{
            shown === 'short'
              ? 'Nothing is short: what is wanted lies there or is ordered.'
              : 'Nothing is worth keeping.'
          }}
        </p>
        <ul class="ruled" data-testid="levels">
          <li
            v-for="each in rows"
            :key="each.article"
            class="level"
            :data-testid="`level-${shelf.articleName(each.article)}`"
          >
            <p class="min-w-0">
              <NuxtLink :to="`/shelf/${each.article}`" class="inline-flex min-h-12 items-center font-bold underline">{{
                shelf.articleName(each.article)
              }}</NuxtLink><span class="block text-slate">{{ whyLevel(each, plan, money, about) }}</span>
            </p>
            <p class="number text-right">
              <strong class="figure">{{ countWords(each.have) }}</strong> of {{ countWords(countOf(each))
              }}<span class="block text-[0.92rem] text-slate"
                ><template v-if="each.onOrder > 0">{{ countWords(each.onOrder) }} ordered</template
                ><template v-if="each.onOrder > 0 && each.order > 0">, </template
                ><template v-if="each.order > 0">{{ countWords(each.order) }} to order</template
                ><template v-if="each.onOrder === 0 && each.order === 0"
                  >short {{ formatPercent(each.shortAt) }}</template
                ></span
              >
            </p>
            <form v-if="self.writes('level-set')" class="flex items-center gap-2" @submit.prevent="fix(each)">
              <input
                :value="typed[each.article] ?? (each.fixed === undefined ? '' : countWords(each.fixed))"
                class="field number w-20"
                inputmode="decimal"
                :placeholder="countWords(each.level)"
                :aria-label="`how many ${shelf.articleName(each.article)} to keep, by hand`"
                @input="typed[each.article] = ($event.target as HTMLInputElement).value"
              /><button type="submit" class="button button-quiet">Fix</button>
            </form>
          </li>
        </ul>
        <section v-if="plan.unmet.length > 0" class="mt-6" aria-labelledby="unmet" data-testid="unmet">
          <h2 id="unmet" class="border-b border-ink pb-1 text-xl">Wanted, and nothing on the list may serve</h2>
          <ul class="ruled">
            <li v-for="each in plan.unmet" :key="each.part" class="flex min-h-12 items-center justify-between gap-4">
              <span>{{ PARTS[each.part] }}</span><span class="number text-slate"
                >{{ rateWords(each.perYear) }} on {{ counted(each.machines, 'machine') }}</span
              >
            </li>
          </ul>
        </section>
        <HandbookLink page="keeping" class="mt-4 inline-flex min-h-12 items-center" />
      </template>
    </main>
  </div>
</template>

<style scoped>
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem 2.5rem;
  align-items: end;
  padding-bottom: 0.8rem;
  border-bottom: 1.5px solid var(--ink);
}
.sums p {
  display: grid;
  gap: 0.1rem;
}
.figure {
  font-size: 1.3rem;
}
.level {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 11rem auto;
  gap: 1rem;
  align-items: center;
  padding-block: 0.35rem;
}
@media (max-width: 700px) {
  .level {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.3rem 1rem;
  }
}
</style>
