<script setup lang="ts">
import type { DayVisit } from '#core/planning/day'
import { ODD_SHELF, SHELVES } from '#core/knowledge/shop/shelves'
import { morningLoad, type DayLoadOf, type Loading } from '#core/planning/morning'
import { visitsOf } from '#core/planning/stops'
import { formatPercent } from '#core/quantity/format'

/** What goes into the van for the whole day, shelf by shelf: ticked once for all visits that want it. */
const { load, visits } = defineProps<{ load: Record<string, DayLoadOf>; visits: readonly DayVisit[] }>()
const emit = defineEmits<{ load: [thing: Loading, loaded: boolean] }>()

/** Tools have no shelf, and are many: they are shown when they are asked for. */
const TOOLS = ''
const things = computed(() => morningLoad(load))
const shelves = computed(() =>
  [...SHELVES, ODD_SHELF, { id: TOOLS, name: 'tools' }]
    .map((shelf) => ({ ...shelf, things: things.value.filter((thing) => thing.shelf === shelf.id) }))
    .filter((shelf) => shelf.things.length > 0),
)
const isOpen = ref(false)
const inVan = computed(() => things.value.filter(({ isLoaded }) => isLoaded).length)
const nameOf = computed(() => new Map(visits.flatMap(visitsOf).map(({ id, customer }) => [id, customer.name])))
function forWhom({ wanted, kind }: Loading): string {
  if (kind === 'tool' && wanted.length > 1) return counted(wanted.length, 'visit')
  return wanted
    .toSorted((a, b) => b.probability - a.probability)
    .map(({ visitId, probability }) => {
      const share = probability < 1 ? `, ${formatPercent(probability)}` : ''
      return `${nameOf.value.get(visitId) ?? ''}${share}`
    })
    .join('; ')
}
</script>

<template>
  <section v-if="things.length > 0" aria-labelledby="load-title" data-testid="morning">
    <div class="flex items-baseline justify-between gap-3">
      <h2 id="load-title" class="text-[1.1rem]">Load, shelf by shelf</h2>
      <span class="text-slate" data-testid="loaded-count">{{ inVan }} of {{ things.length }}</span>
    </div>
    <template v-for="shelf in shelves" :key="shelf.id">
      <h3 class="mt-2 text-[0.88rem] font-normal text-slate">
        <button
          v-if="shelf.id === TOOLS"
          type="button"
          class="flex min-h-12 w-full items-center justify-between border-t border-rule text-[1rem] text-ink"
          :aria-expanded="isOpen"
          data-testid="load-tools"
          @click="isOpen = !isOpen"
        >
          {{ counted(shelf.things.length, 'tool')
          }}<span class="underline">{{ isOpen ? 'close' : 'show' }}</span></button
        ><template v-else
          ><span class="number">{{ shelf.id }}</span> {{ shelf.name }}</template
        >
      </h3>
      <ul v-if="shelf.id !== TOOLS || isOpen">
        <li v-for="thing in shelf.things" :key="thing.kind + thing.label">
          <button
            type="button"
            class="thing"
            role="checkbox"
            :aria-checked="thing.isLoaded"
            @click="emit('load', thing, !thing.isLoaded)"
          >
            <TickBox :on="thing.isLoaded" />
            <span class="min-w-0"
              ><span class="block">{{ thing.label }}</span
              ><span class="block truncate text-[0.84rem] text-slate">{{ forWhom(thing) }}</span></span
            >
            <span v-if="thing.kind === 'part'" class="number text-right">{{ thing.count }}</span>
          </button>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.thing {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) 2rem;
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 48px;
  border-top: 1px solid var(--rule);
  text-align: left;
}
</style>
