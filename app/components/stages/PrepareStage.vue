<script setup lang="ts">
import { useShelf } from '~/stores/shelf'
import type { LoadItem } from '#core/planning/preparation'
import { partWants } from '#core/visit/ahead'
import { formatPercent } from '#core/quantity/format'

const emit = defineEmits<{ photo: [caption: string] }>()
const { visit, state, preparation } = useVisitContext()
const atBench = computed(() => state.value.standing !== 'installed')
const groups = computed(() => [
  { title: 'Parts', items: preparation.value?.parts ?? [] },
  { title: 'Tools', items: preparation.value?.tools ?? [] },
])
const shelf = useShelf()
const { van, vans } = useMyVan()
const shelves = useShelfLoad()
onMounted(shelf.ensure)
/** A pump for practice takes nothing off the shop’s shelves. */
const wantsOf = (item: LoadItem) => (visit.isPractice ? [] : partWants(state.value, item))
async function toggle(item: LoadItem): Promise<void> {
  const isIn = state.value.loaded.has(item.id)
  visit.append('loaded', { item: item.id, loaded: !isIn })
  if (visit.isPractice) return
  const forVisit = { visitId: state.value.id, item: item.id }
  await (isIn ? shelves.unload([forVisit]) : shelves.load(forVisit, wantsOf(item), van.value))
}
</script>

<template>
  <div class="p-5">
    <SiteNote v-if="!atBench" />
    <h2 class="mb-1 text-xl">{{ atBench ? 'Lay it out' : 'Load the van' }}</h2>
    <p class="mb-3 text-slate">
      {{
        state.agreed.length > 0
          ? 'For what is agreed: the parts and tools of its plan.'
          : 'From the complaint alone. Each thing is there for its suspect.'
      }}
    </p>
    <VanChoice v-if="!visit.isPractice && vans.length > 1" v-model="van" :vans="vans" class="mb-3" />
    <NewParts class="mb-4 border-t" @photo="(caption) => emit('photo', caption)" />
    <div class="grid gap-x-8 gap-y-5 md:grid-cols-2">
      <section v-for="group in groups" :key="group.title" :aria-label="group.title">
        <h3 class="border-b border-rule pb-1">{{ group.title }}</h3>
        <p v-if="group.items.length === 0" class="py-2 text-slate">Nothing to load for this.</p>
        <ul class="ruled">
          <li v-for="item in group.items" :key="item.id">
            <button
              type="button"
              role="checkbox"
              :aria-checked="state.loaded.has(item.id)"
              class="flex min-h-14 w-full items-center gap-3 py-1 text-left"
              :data-testid="`load-${item.id}`"
              @click="toggle(item)"
            >
              <TickBox :on="state.loaded.has(item.id)" />
              <span class="min-w-0"
                >{{ item.label
                }}<span class="block text-[0.88rem] text-slate"
                  >{{ item.because.toLowerCase()
                  }}<template v-if="item.fault">, {{ formatPercent(item.probability) }}</template></span
                ><LoadPlace
                  v-if="!state.loaded.has(item.id) && wantsOf(item).length > 0"
                  :wants="wantsOf(item)"
                  :van="van"
              /></span>
            </button>
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>
