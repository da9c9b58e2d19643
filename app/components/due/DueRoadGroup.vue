<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'
import type { DueItem } from '#core/pumps/due-list'
import type { RoadRow } from '~/composables/useDue'

/** What comes due on one road: chosen one by one, or all together. */
const { row, chosen, today, isChoosable } = defineProps<{
  row: RoadRow
  chosen: ReadonlySet<string>
  today: string
  isChoosable: (item: DueItem) => boolean
}>()
const emit = defineEmits<{ choose: [items: readonly DueItem[], isIn: boolean] }>()
const choosable = computed(() => row.items.filter(isChoosable))
const isWhole = computed(() => choosable.value.length > 0 && choosable.value.every(({ key }) => chosen.has(key)))
const way = computed(() =>
  [
    row.drive === undefined ? 'on no map' : `${Math.round(row.drive)} min from the shop`,
    row.near === undefined || isWhole.value ? '' : `${Math.round(row.near)} from what is chosen`,
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <section :aria-label="row.road || 'without an address'" data-testid="due-road">
    <header class="flex flex-wrap items-center gap-x-4 border-b border-rule">
      <h2 class="text-[1.1rem]">{{ row.road || 'Without an address' }}</h2>
      <span class="text-slate">{{ way }}</span>
      <button
        v-if="choosable.length > 1"
        type="button"
        class="button button-quiet ml-auto"
        data-testid="choose-road"
        @click="emit('choose', choosable, !isWhole)"
      >
        {{ isWhole ? 'None of them' : `All ${choosable.length}` }}
      </button>
    </header>
    <ul>
      <li v-for="item in row.items" :key="item.key" class="border-b border-rule">
        <component
          :is="isChoosable(item) ? 'button' : 'div'"
          :type="isChoosable(item) ? 'button' : undefined"
          class="due"
          :role="isChoosable(item) ? 'checkbox' : undefined"
          :aria-checked="isChoosable(item) ? chosen.has(item.key) : undefined"
          :data-due="item.kind"
          @click="isChoosable(item) && emit('choose', [item], !chosen.has(item.key))"
        >
          <TickBox v-if="isChoosable(item)" :on="chosen.has(item.key)" /><span v-else />
          <span class="day number" :class="{ 'font-bold': item.on < today }"
            >{{ dueDay(item.on, today) }}<span v-if="item.on < today" class="late">late</span></span
          >
          <span class="min-w-0"
            ><strong>{{ item.machine.name }}, {{ item.customer.name }}</strong
            ><span class="block text-slate">{{ item.what }}</span></span
          >
          <span class="number text-right">{{ formatMinutes(item.minutes) }}</span>
        </component>
        <NuxtLink
          class="more"
          :to="item.kind === 'claim' ? `/visits/${item.visitId}/hand-over` : `/pumps/${item.machineId}`"
          :aria-label="item.kind === 'claim' ? `the claim of ${item.machine.name}` : `the card of ${item.machine.name}`"
          >{{ item.kind === 'claim' ? 'claim' : 'card' }}</NuxtLink
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
}
.due {
  display: grid;
  grid-template-columns: 22px 7.5rem minmax(0, 1fr) 3rem;
  gap: 0 12px;
  align-items: center;
  min-height: 52px;
  padding-block: 0.3rem;
  text-align: left;
}
.more {
  display: inline-flex;
  align-items: center;
  min-width: 48px;
  min-height: 48px;
  padding-inline: 0.6rem;
}
.late {
  display: block;
  font-weight: 400;
}
@media (max-width: 700px) {
  .late {
    display: inline;
    margin-left: 0.6rem;
  }
  .due {
    grid-template-columns: 22px minmax(0, 1fr) 3rem;
  }
  .day {
    grid-column: 2;
    grid-row: 1;
  }
  .due > :nth-child(3) {
    grid-column: 2;
  }
  .due > :nth-child(4) {
    grid-column: 3;
    grid-row: 1;
  }
}
</style>
