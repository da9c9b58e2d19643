<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import type { DayGrounds } from '#core/planning/day-plan'
import type { ShopVan } from '#core/knowledge/shop/van'
import type { Fit } from '#core/planning/order/day-order'
import type { Walk } from '#core/planning/order/walk'
import type { TourRow } from '~/utils/day-rows'
import { clock } from '~/utils/day-hours'
import { roadLength } from '~/utils/day-rows'

/** One van's day as a drop pipe: where it leaves, each stop with its hour, where it comes back. */
const {
  van,
  rows,
  walk = undefined,
  grounds = undefined,
  midnight,
  litId = undefined,
  fit = undefined,
  fitName = undefined,
  named,
  round,
  dark = undefined,
  units,
  leaves = undefined,
} = defineProps<{
  van: ShopVan
  rows: TourRow[]
  walk?: Walk
  grounds?: DayGrounds
  midnight: number
  litId?: string
  /** Where the call that is lit would go in this tour, and what it is called. */
  fit?: Fit
  fitName?: string
  /** The van is named: there are several. */
  named: boolean
  /** Not the first van: its marks are round. */
  round: boolean
  dark?: number
  units: 'us' | 'metric'
  /** When it leaves, minutes; absent where it is on its way. */
  leaves?: number
}>()
const isDragging = useDragging()
const emit = defineEmits<{ order: [route: string[]]; open: [visitId: string] }>()

const fixed = computed(() => rows.filter(({ is }) => !['ahead', 'errand'].includes(is)))
const ahead = computed({
  get: () => rows.filter(({ is }) => ['ahead', 'errand'].includes(is)),
  set: (next: TourRow[]) =>
    emit(
      'order',
      next.map(({ id }) => id),
    ),
})
function move(id: string, by: -1 | 1): void {
  const ids = ahead.value.map((row) => row.id)
  const from = ids.indexOf(id)
  const to = from + by
  if (to < 0 || to >= ids.length) return
  emit('order', ids.with(from, ids[to] as string).with(to, id))
  // The grip goes along with its row, and keeps the focus.
  void nextTick(() => document.querySelector<HTMLElement>(`[data-visit="${id}"] [data-testid=grip]`)?.focus())
}
</script>

<template>
  <section :aria-label="named ? van.name : 'the day'">
    <h2 v-if="named" class="px-4 pt-3 text-[1.05rem]">
      {{ van.name }}<span v-if="van.people > 1" class="text-slate font-normal">, two in it</span>
    </h2>
    <div class="tour">
      <p v-if="leaves !== undefined && ahead.length > 0" class="end">
        <span class="number text-right">{{ clock(leaves) }}</span><span class="shop" aria-hidden="true" /><span
          class="text-slate"
          >leave the shop<template v-if="van.people > 1">, two in the van</template></span
        >
      </p>
      <TourStop
        v-for="row in fixed"
        :key="row.id"
        :row="row"
        :work="grounds?.work[row.visit.id]"
        :midnight="midnight"
        :lit="row.id === litId"
        :people="van.people"
        :round="round"
        @open="emit('open', row.visit.id)"
      />
      <VueDraggable
        v-model="ahead"
        :data-van="van.id"
        group="tours"
        handle=".grip"
        :animation="140"
        :force-fallback="true"
        ghost-class="is-ghost"
        class="list"
        @start="isDragging = true"
        @end="isDragging = false"
      >
        <div v-for="(row, place) in ahead" :key="row.id" class="leg">
          <CallFits v-if="fit?.place === place" :fit="fit" :name="fitName ?? ''" />
          <p v-if="row.hours" class="drive" :class="{ 'has-break': row.hours.breakBefore }">
            <span class="number">{{ Math.round(row.hours.drive) }} min</span
            ><span v-if="row.hours.breakBefore" class="rest">the break on the way</span>
          </p>
          <TourStop
            :row="row"
            :work="grounds?.work[row.visit.id]"
            :midnight="midnight"
            :lit="row.id === litId"
            :people="van.people"
            :round="round"
            @move="move(row.id, $event)"
            @open="emit('open', row.visit.id)"
          />
        </div>
      </VueDraggable>
      <CallFits v-if="fit && fit.place >= ahead.length" :fit="fit" :name="fitName ?? ''" />
      <p v-if="walk && walk.stops.length > 0" class="end" data-testid="home">
        <span class="number text-right">{{ clock(walk.home.mean) }}</span><span class="shop" aria-hidden="true" /><span
          class="text-slate"
          >back at the shop, {{ roadLength(walk.km, units)
          }}<template v-if="dark !== undefined">, sun till {{ clock(dark) }}</template></span
        >
      </p>
    </div>
  </section>
</template>

<style scoped>
.tour {
  position: relative;
  padding-block: 0.5rem;
}
.tour::before {
  content: '';
  position: absolute;
  left: 88px;
  top: 24px;
  bottom: 24px;
  width: 10px;
  border-inline: 2px solid var(--ink);
}
.list {
  min-height: 24px;
}
.end {
  position: relative;
  display: grid;
  grid-template-columns: 56px 36px minmax(0, 1fr) auto;
  gap: 0 8px;
  align-items: center;
  min-height: 36px;
  padding-inline: 12px 12px;
}
.shop {
  width: 34px;
  height: 20px;
  border-radius: 3px;
  background: var(--ink);
}
.drive {
  position: relative;
  display: grid;
  grid-template-columns: 56px 36px minmax(0, 1fr);
  gap: 0 8px;
  padding-left: 12px;
  margin-block: -5px;
  color: var(--slate);
  font-size: 0.82rem;
  line-height: 1.2;
  text-align: right;
  white-space: nowrap;
}
.has-break {
  margin-block: 2px;
}
/* A lit row is coloured up to its edge, and would cover half of the line above it. */
.drive:has(+ .is-lit) {
  margin-bottom: 2px;
}
.rest {
  grid-column: 3;
  text-align: left;
}
.is-ghost {
  opacity: 0.45;
}
@media (max-width: 700px) {
  .tour::before {
    left: 77px;
  }
  .end {
    grid-template-columns: 50px 36px minmax(0, 1fr) auto;
    padding-inline: 6px;
    font-size: 0.98rem;
  }
  .drive {
    grid-template-columns: 50px 36px minmax(0, 1fr);
    padding-left: 6px;
  }
}
</style>
