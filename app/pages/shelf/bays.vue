<script setup lang="ts">
import { bayHolds, bayNamed, type Bay } from '#core/shelf/bays'
import { bayOf, type ShelfPlace } from '#core/fits/shelf-place'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'

/** The bays of the shop: the mark on each and what lies in it. One in which something lies is not taken away. */
const [shelf, self] = [useShelf(), useSelf()]
const { problemsOf } = useEntryRules()
onMounted(shelf.ensure)
const articlesIn = (place: ShelfPlace) =>
  [...shelf.stock.at.values()].filter((lying) => lying.place === place && lying.count !== 0).length
const rows = computed(() =>
  shelf.places.flatMap(({ id, short }) => {
    const bay = bayOf(id)
    if (bay === undefined) return []
    const own = shelf.stock.bays.get(bay)
    return [{ id, bay, short, own, holds: own ? bayHolds(own) : '', articles: articlesIn(id) }]
  }),
)
const typed = reactive<Record<string, string>>({})
const [mark, holds] = [ref(''), ref('')]
const trouble = ref('')

async function keep(bay: Bay): Promise<boolean> {
  const [wrong] = Object.entries(problemsOf('bay-set', bay))
  trouble.value = wrong ? `${wrong[0] === 'bay' ? 'The mark' : 'What lies in it'}: ${wrong[1]}.` : ''
  if (wrong) return false
  await shelf.write({ kind: 'bay-set', body: bay })
  return true
}
async function rename({ id, bay }: { id: string; bay: string }): Promise<void> {
  const text = typed[id]
  if (text !== undefined && (await keep(bayNamed(bay, text)))) Reflect.deleteProperty(typed, id)
}
async function add(): Promise<void> {
  const bay = bayNamed(mark.value, holds.value)
  if (shelf.stock.bays.has(bay.bay)) {
    trouble.value = `Bay ${bay.bay.toUpperCase()} is there already.`
    return
  }
  if (!(await keep(bay))) return
  mark.value = ''
  holds.value = ''
}
const takeAway = (own: Bay) => shelf.write({ kind: 'bay-set', body: { ...own, gone: true } })
useHead({ title: 'Bays · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Bays of the shop" short="Bays" />
    <ShelfNav />
    <main class="mx-auto max-w-4xl p-5 max-sm:p-3">
      <p v-if="!shelf.isRead" class="text-slate">Reading the shelves</p>
      <template v-else>
        <p v-if="trouble" role="alert" class="mb-2 font-bold text-rust" data-testid="bay-problem">{{ trouble }}</p>
        <ul class="ruled" data-testid="bays">
          <li v-for="row in rows" :key="row.id" class="bay" :data-testid="row.id">
            <strong class="number">{{ row.short }}</strong>
            <form v-if="row.own && self.writes('bay-set')" class="flex gap-2" @submit.prevent="rename(row)">
              <input
                :value="typed[row.id] ?? row.holds"
                class="field"
                maxlength="60"
                :aria-label="`what lies in ${row.short}`"
                @input="typed[row.id] = ($event.target as HTMLInputElement).value"
              /><button v-if="(typed[row.id] ?? row.holds) !== row.holds" type="submit" class="button">Keep</button>
            </form>
            <span v-else>{{ row.own ? row.holds : 'no longer kept' }}</span>
            <NuxtLink
              v-if="row.articles > 0"
              class="inline-flex min-h-12 items-center underline"
              :to="{ path: '/shelf', query: { place: row.id } }"
              >{{ counted(row.articles, 'article') }}</NuxtLink><span v-else class="text-slate">empty</span>
            <template v-if="self.writes('bay-set')"
              ><button v-if="!row.own" type="button" class="button button-quiet" @click="keep(bayNamed(row.bay, ''))">
                Keep it again
              </button>
              <button
                v-else-if="row.articles === 0"
                type="button"
                class="button button-quiet"
                :aria-label="`take away ${row.short}`"
                @click="takeAway(row.own)"
              >
                Take away
              </button></template
            >
          </li>
        </ul>
        <form
          v-if="self.writes('bay-set')"
          class="mt-6 grid items-end gap-3 sm:grid-cols-[8rem_1fr_auto]"
          data-testid="new-bay"
          @submit.prevent="add"
        >
          <label
            ><span class="label">mark on it</span
            ><input v-model="mark" class="field number" maxlength="20" placeholder="K" data-testid="bay-mark" /></label
          ><label
            ><span class="label">what lies in it</span
            ><input
              v-model="holds"
              class="field"
              maxlength="60"
              placeholder="floats and cords"
              data-testid="bay-holds" /></label
          ><button type="submit" class="button" :disabled="mark.trim() === ''">Add a bay</button>
        </form>
        <p class="mt-4 text-slate">
          What comes in is put where its like lies. A bay in which something lies stays: move it out first.
        </p>
      </template>
    </main>
  </div>
</template>

<style scoped>
.bay {
  display: grid;
  grid-template-columns: 5rem minmax(0, 1fr) 7rem 8rem;
  gap: 0.3rem 1rem;
  align-items: center;
  min-height: 56px;
  padding-block: 0.25rem;
}
@media (max-width: 700px) {
  .bay {
    grid-template-columns: 4.5rem minmax(0, 1fr) auto;
  }
  .bay > form,
  .bay > strong + span {
    grid-column: 2 / -1;
  }
  .bay > form + a,
  .bay > form + span,
  .bay > strong + span + a {
    grid-column: 2;
  }
}
</style>
