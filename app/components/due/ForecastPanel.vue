<script setup lang="ts">
import { format } from 'date-fns'
import { KINDS } from '#core/knowledge/vocabulary'
import { formatNumber, formatPercent } from '#core/quantity/format'
import type { DueItem } from '#core/pumps/due-list'
import type { ForecastView } from '~/composables/useDue'

/** How many failures of which kind the coming season brings, as spans, and the machines that are likeliest to fail. */
const { forecast, ahead, chosen } = defineProps<{
  forecast: ForecastView
  ahead: readonly { probability: number; likeliest: string; item: DueItem }[]
  chosen: ReadonlySet<string>
}>()
const emit = defineEmits<{ choose: [items: readonly DueItem[], isIn: boolean] }>()
const [MOST_GROUPS, FEW_AHEAD] = [8, 5]
const isOpen = ref(false)
const day = (at: number) => format(new Date(at), 'd MMMM')
const groups = computed(() => forecast.groups.slice(0, MOST_GROUPS))
const most = computed(() => Math.max(1, ...groups.value.map(({ count }) => count.high)))
const others = computed(() => forecast.groups.slice(MOST_GROUPS).reduce((sum, { count }) => sum + count.mean, 0))
const shown = computed(() => (isOpen.value ? ahead : ahead.slice(0, FEW_AHEAD)))
const rounded = (value: number, to: number) => formatNumber(Math.round(value * to) / to)
const learned = computed(() => {
  const { failed, expected, factor } = forecast.learned
  if (expected < 1) return 'From ages and the usual rates: this shop has seen too little yet to move them.'
  return (
    `From ages and the usual rates. ${counted(failed, 'failure')} confirmed here where the rates say ` +
    `${rounded(expected, 10)}: they are taken times ${rounded(factor, 100)}.`
  )
})
</script>

<template>
  <section aria-labelledby="forecast-title" data-testid="forecast">
    <h2 id="forecast-title" class="text-[1.1rem]">What may fail, {{ day(forecast.from) }} to {{ day(forecast.to) }}</h2>
    <p class="mt-1">
      About <strong class="number" data-testid="forecast-total">{{ countWords(forecast.total) }}</strong> failures among
      {{ counted(forecast.machines, 'machine') }}, <strong class="number">{{ spanWords(forecast.total) }}</strong> in
      four seasons of five.
    </p>
    <p class="text-[0.92rem] text-slate">{{ learned }}</p>
    <ul class="mt-2">
      <li class="group text-[0.88rem] text-slate">
        <span /><span /><span class="text-right">about</span><span class="text-right">mostly</span>
      </li>
      <li v-for="{ key, count } in groups" :key="key" class="group">
        <span class="truncate">{{ groupLabel(key) }}</span><SpanBar :span="count" :most="most" /><span
          class="number text-right"
          >{{ countWords(count) }}</span
        ><span class="number text-right text-slate">{{ spanWords(count) }}</span>
      </li>
      <li v-if="others > 0.05" class="group">
        <span class="text-slate">all else</span><span /><span class="number text-right">{{
          countWords({ mean: others })
        }}</span>
      </li>
    </ul>
    <p class="mt-2 text-[0.92rem] text-slate">
      {{
        forecast.kinds
          .filter(({ count }) => count.mean >= 0.05)
          .map(({ kind, machines, count }) => `${KINDS[kind]} ${countWords(count)} of ${machines}`)
          .join('; ')
      }}
    </p>
    <template v-if="ahead.length > 0">
      <h3 class="mt-4 text-[1rem]">Likeliest to fail</h3>
      <ul>
        <li v-for="{ item, probability, likeliest } in shown" :key="item.key">
          <button
            type="button"
            class="ahead"
            role="checkbox"
            :aria-checked="chosen.has(item.key)"
            data-testid="ahead"
            @click="emit('choose', [item], !chosen.has(item.key))"
          >
            <TickBox :on="chosen.has(item.key)" /><span class="min-w-0"
              ><strong class="block truncate">{{ item.machine.name }}, {{ item.customer.name }}</strong
              ><span class="block truncate text-[0.9rem] text-slate">most likely {{ likeliest }}</span></span
            ><span class="number text-right">{{ formatPercent(probability) }}</span>
          </button>
        </li>
      </ul>
      <button v-if="ahead.length > FEW_AHEAD" type="button" class="button button-quiet" @click="isOpen = !isOpen">
        {{ isOpen ? 'The first of them' : `All ${ahead.length}` }}
      </button>
    </template>
  </section>
</template>

<style scoped>
.group {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 84px 2.4rem 3.4rem;
  gap: 0.6rem;
  align-items: center;
  min-height: 32px;
  border-top: 1px solid var(--rule);
}
.ahead {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) 3rem;
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 52px;
  border-top: 1px solid var(--rule);
  text-align: left;
}
</style>
