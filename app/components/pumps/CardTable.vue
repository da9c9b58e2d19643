<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { MachineCard } from '#core/pumps/card'
import type { CardRow } from '#core/pumps/card-rows'
import { historyText } from '#core/visit/history'
import { isUnit } from '#core/quantity/units'
import { formatRange } from '#core/quantity/reading'

/** Part by part on one axis of years: what it last read, and when it meets its limit. */
const { card, now, lit = undefined } = defineProps<{ card: MachineCard; now: string; lit?: string }>()
const { reader, system } = useUnits()
const [WIDTH, HEIGHT] = [236, 44]
const YEAR = 365.25 * 86_400_000
/** How far ahead the axis goes, and how far back at most, years. */
const [AHEAD, BACK] = [6, 8]
const at = computed(() => Date.parse(now))
const from = computed(() => {
  const first = Math.min(
    at.value - YEAR,
    ...card.rows.flatMap(({ points }) => points.map((point) => Date.parse(point.at))),
  )
  return Math.max(first, at.value - BACK * YEAR) - YEAR / 4
})
const x = computed(() => scaleLinear([from.value, at.value + AHEAD * YEAR], [0, WIDTH]))
const years = computed(() => {
  const [first, last] = [new Date(from.value).getFullYear() + 1, new Date(at.value).getFullYear() + AHEAD]
  const step = last - first > 9 ? 4 : 2
  const today = new Date(at.value).getFullYear()
  return Array.from({ length: last - first + 1 }, (_, index) => first + index).filter(
    (year) => (year - today) % step === 0 && year !== today && year < last,
  )
})
const MOST_ROWS = 7
const all = ref(false)
const rows = computed(() => (all.value ? card.rows : card.rows.slice(0, MOST_ROWS)))
const value = ({ last }: CardRow) => {
  if (!last) return ''
  // The subject stands on the left already.
  return historyText({ ...last, subject: '' }, reader.value).trim()
}
const limits = ({ last, bounds }: CardRow) =>
  last ? formatRange(bounds, isUnit(last.unit) ? last.unit : undefined, system.value) : ''
const fitted = ({ identity, since, part }: CardRow) => {
  const age = since ? Math.floor((at.value - Date.parse(since)) / YEAR) : undefined
  const isNew = part && card.machine.installedOn !== since
  const words =
    age === undefined ? '' : age < 1 ? (isNew ? `fitted ${since}` : 'under a year') : `${counted(age, 'year')}`
  return [identity, words].filter(Boolean).join(', ')
}
</script>

<template>
  <section aria-label="parts and readings" data-testid="card-rows">
    <div class="row head" aria-hidden="true">
      <span /><span>part, as fitted</span
      ><svg :viewBox="`0 0 ${WIDTH} 20`" class="axis">
        <text v-for="year in years" :key="year" :x="x(Date.UTC(year, 6, 1))" y="15" text-anchor="middle">
          {{ year }}
        </text>
        <text :x="x(at)" y="15" text-anchor="middle" class="today">today</text></svg
      ><span>last read</span><span>meets its limit</span>
    </div>
    <div
      v-for="row in rows"
      :key="row.key"
      class="row"
      :class="{ 'is-lit': row.key === lit }"
      :data-testid="`card-row-${row.part ?? row.key}`"
    >
      <StateMark :verdict="row.verdict" :size="20" />
      <span class="min-w-0"
        ><strong class="block">{{ row.label }}</strong
        ><span class="soft block truncate">{{ fitted(row) }}</span></span
      >
      <LifeLine :row="row" :x="x" :now="at" :width="WIDTH" :height="HEIGHT" />
      <span class="min-w-0"
        ><span class="number block truncate text-[1.05rem] font-bold">{{ value(row) || 'not read' }}</span
        ><span class="soft block truncate">{{ limits(row) }}</span></span
      >
      <span class="min-w-0"
        ><strong class="block">{{ crossingWords(row).when }}</strong
        ><span class="soft block">{{ crossingWords(row).how }}</span></span
      >
    </div>
    <p v-if="card.rows.length === 0" class="py-3 text-slate">
      Nothing was read of it yet: what is measured at the first visit stands here, and next year beside it.
    </p>
    <button v-if="card.rows.length > MOST_ROWS" type="button" class="button button-quiet no-print" @click="all = !all">
      {{ all ? 'The nearest only' : `All ${card.rows.length}` }}
    </button>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 24px minmax(0, 9.2rem) minmax(0, 1fr) 6.4rem 8.4rem;
  gap: 0 0.8rem;
  align-items: center;
  min-height: 48px;
  padding: 2px 6px;
  border-bottom: 1px solid var(--rule);
  line-height: 1.25;
}
.head {
  min-height: 26px;
  border-bottom: 1.5px solid var(--ink);
  color: var(--slate);
  font-size: 0.9rem;
}
.axis text {
  fill: var(--slate);
  font: 12px var(--font-mono);
}
.axis .today {
  fill: var(--ink);
  font: 700 13px var(--font-sans);
}
.soft {
  color: var(--slate);
  font-size: 0.88rem;
}
.is-lit {
  background: var(--glow);
  color: var(--lamp-ink);
}
.is-lit .soft {
  color: var(--lamp-ink);
}
@media (max-width: 700px) {
  .head {
    display: none;
  }
  .row {
    grid-template-columns: 24px minmax(0, 1fr) minmax(0, 1fr);
    padding-block: 8px;
  }
  .row > :nth-child(3) {
    grid-column: 2 / 4;
    grid-row: 2;
  }
  .row > :nth-child(4) {
    grid-column: 3;
    grid-row: 1;
    text-align: right;
  }
  .row > :nth-child(5) {
    grid-column: 2 / 4;
    display: flex;
    gap: 0.6rem;
    align-items: baseline;
  }
}
</style>
