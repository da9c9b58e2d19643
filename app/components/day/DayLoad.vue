<script setup lang="ts">
import type { DayVisit } from '#core/planning/day'
import { ODD_SHELF, SHELVES } from '#core/knowledge/shop/shelves'
import { bayHolds } from '#core/shelf/bays'
import { morningLoad, type DayLoadOf, type Loading } from '#core/planning/morning'
import { visitsOf } from '#core/planning/stops'
import { formatPercent } from '#core/quantity/format'
import { useShelf } from '~/stores/shelf'

/** What goes into the van for the whole day, shelf by shelf: ticked once for all visits that want it. */
const {
  load,
  visits,
  vanOf = {},
} = defineProps<{
  load: Record<string, DayLoadOf>
  visits: readonly DayVisit[]
  /** The van that goes to each of them. */
  vanOf?: Record<string, string>
}>()
const emit = defineEmits<{ load: [thing: Loading, loaded: boolean] }>()
const shelf = useShelf()
const { van, vans } = useMyVan()
const shelves = useShelfLoad()
onMounted(shelf.ensure)

/** Tools have no shelf, and are many: they are shown when they are asked for. */
const TOOLS = ''
/** Each van has its own list; where nobody has said which goes, it stands with the first. */
const ridden = computed(() => {
  const going = new Set(Object.keys(load).map((id) => `van:${vanOf[id] ?? ''}`))
  return vans.value.filter(({ id }) => going.has(id))
})
const loaded = computed(() => (ridden.value.some(({ id }) => id === van.value) ? van.value : ridden.value[0]?.id))
const chosen = computed({
  get: () => loaded.value ?? van.value,
  set: (id) => {
    van.value = id
  },
})
const things = computed(() =>
  morningLoad(
    ridden.value.length < 2
      ? load
      : Object.fromEntries(Object.entries(load).filter(([id]) => `van:${vanOf[id] ?? ''}` === loaded.value)),
  ),
)
const rows = computed(() =>
  [...SHELVES.map(asHere), ODD_SHELF, { id: TOOLS, name: 'tools' }]
    .map((bay) => ({ ...bay, things: things.value.filter((thing) => thing.shelf === bay.id) }))
    .filter((bay) => bay.things.length > 0),
)
/** As the shop calls it, where it has a bay of this mark. */
function asHere({ id, name }: (typeof SHELVES)[number]): { id: string; name: string } {
  const own = shelf.stock.bays.get(id.toLowerCase())
  return { id, name: own ? bayHolds(own) : name }
}
const isOpen = ref(false)
const inVan = computed(() => things.value.filter(({ isLoaded }) => isLoaded).length)
const nameOf = computed(() => new Map(visits.flatMap(visitsOf).map(({ id, customer }) => [id, customer.name])))
async function tick(thing: Loading): Promise<void> {
  const [first] = thing.wanted
  if (first && loaded.value && !thing.isLoaded) await shelves.load(first, thing.wants, loaded.value, thing.count)
  if (thing.isLoaded) await shelves.unload(thing.wanted)
  emit('load', thing, !thing.isLoaded)
}
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
    <VanChoice v-if="loaded && ridden.length > 1" v-model="chosen" :vans="ridden" class="py-2" />
    <template v-for="bay in rows" :key="bay.id">
      <h3 class="mt-2 text-[0.88rem] font-normal text-slate">
        <button
          v-if="bay.id === TOOLS"
          type="button"
          class="flex min-h-12 w-full items-center justify-between border-t border-rule text-[1rem] text-ink"
          :aria-expanded="isOpen"
          data-testid="load-tools"
          @click="isOpen = !isOpen"
        >
          {{ counted(bay.things.length, 'tool') }}<span class="underline">{{ isOpen ? 'close' : 'show' }}</span></button
        ><template v-else
          ><span class="number">{{ bay.id }}</span> {{ bay.name }}</template
        >
      </h3>
      <ul v-if="bay.id !== TOOLS || isOpen">
        <li v-for="thing in bay.things" :key="thing.kind + thing.label + thing.wanted[0]?.visitId">
          <button type="button" class="thing" role="checkbox" :aria-checked="thing.isLoaded" @click="tick(thing)">
            <TickBox :on="thing.isLoaded" />
            <span class="min-w-0"
              ><span class="block">{{ thing.label }}</span
              ><span class="block truncate text-[0.84rem] text-slate">{{ forWhom(thing) }}</span
              ><LoadPlace
                v-if="loaded && !thing.isLoaded && thing.wants.length > 0"
                :wants="thing.wants"
                :van="loaded"
                :most="thing.count"
            /></span>
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
