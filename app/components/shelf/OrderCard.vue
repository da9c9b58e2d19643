<script setup lang="ts">
import { readNumber } from '#core/quantity/read-number'
import { countWords } from '#core/shelf/listing'
import type { OrderDraft } from '~/composables/useBuying'
import { useShelf } from '~/stores/shelf'

/** What is to be ordered from one supplier: counts are corrected before it leaves. */
const {
  of,
  short = 0,
  busy = false,
} = defineProps<{
  of: OrderDraft & { lines: (OrderDraft['lines'][number] & { isMore?: 'pack' | 'cheaper' })[] }
  /** What is missing to the least that it delivers, cents. */
  short?: number
  busy?: boolean
}>()
const emit = defineEmits<{ order: [draft: OrderDraft] }>()
const shelf = useShelf()
const { money } = useShelfMoney()
const typed = reactive<Record<string, string>>({})
const problem = ref('')
const countOf = ({ article, count }: OrderDraft['lines'][number]) => {
  const text = typed[article]
  return text === undefined ? count : (readNumber(text) ?? Number.NaN)
}
const amountOf = (line: OrderDraft['lines'][number]) => Math.round((line.price ?? 0) * (countOf(line) || 0))
const goods = computed(() => of.lines.reduce((sum, line) => sum + amountOf(line), 0))
const MORE = { pack: 'sold in packs', cheaper: 'more costs less' }
function order(): void {
  const wrong = of.lines.find((line) => !(countOf(line) >= 0))
  problem.value = wrong ? `${shelf.articleName(wrong.article)}: “${typed[wrong.article]}” is no count.` : ''
  if (wrong) return
  const lines = of.lines
    .map(({ article, code, price, visits, ...line }) => ({
      article,
      count: countOf({ ...line, article }),
      ...(code === undefined ? {} : { code }),
      ...(price === undefined ? {} : { price }),
      ...(visits === undefined ? {} : { visits }),
    }))
    .filter(({ count }) => count > 0)
  if (lines.length > 0) emit('order', { ...of, lines })
}
</script>

<template>
  <section
    class="border-t-2 border-ink pt-2"
    :aria-label="`from ${of.supplier.name}`"
    :data-testid="`buy-${of.supplier.name}`"
  >
    <h3 class="text-lg">From {{ of.supplier.name }}</h3>
    <ul class="ruled">
      <li
        v-for="line in of.lines"
        :key="line.article"
        class="grid min-h-12 grid-cols-[5rem_minmax(0,1fr)_auto] items-center gap-x-4 py-1 sm:grid-cols-[5rem_minmax(0,1fr)_auto_6rem]"
      >
        <input
          :value="typed[line.article] ?? countWords(line.count)"
          class="field number text-right"
          inputmode="decimal"
          :aria-label="`how many ${shelf.articleName(line.article)}`"
          @input="typed[line.article] = ($event.target as HTMLInputElement).value"
        /><span class="min-w-0"
          >{{ shelf.articleName(line.article)
          }}<span class="block text-[0.92rem] text-slate"
            ><span v-if="line.code" class="number">{{ line.code }}</span
            ><template v-if="line.isMore">, {{ MORE[line.isMore] }}</template
            ><template v-if="line.visits?.length"
              >, {{ counted(line.visits.length, 'visit') }} waiting for it</template
            ></span
          ></span
        ><span v-if="line.price !== undefined" class="number text-slate max-sm:hidden">{{
          money(line.price / 100)
        }}</span
        ><span class="number text-right sm:col-start-4">{{
          line.price === undefined ? 'no price' : money(amountOf(line) / 100)
        }}</span>
      </li>
    </ul>
    <p class="flex flex-wrap items-center justify-between gap-3 py-2">
      <span
        ><template v-if="of.freight > 0"
          >freight <span class="number">{{ money(of.freight / 100) }}</span>, </template
        >in all <strong class="number">{{ money((goods + of.freight) / 100) }}</strong><strong v-if="short > 0"
          >; <span class="number">{{ money(short / 100) }}</span> short of the least that it delivers</strong
        ></span
      ><button type="button" class="button" :disabled="busy" :data-testid="`order-${of.supplier.name}`" @click="order">
        Order it
      </button>
    </p>
    <p v-if="problem" role="alert" class="font-bold text-rust">{{ problem }}</p>
  </section>
</template>
