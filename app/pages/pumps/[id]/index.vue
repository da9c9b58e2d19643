<script setup lang="ts">
import { differenceInYears } from 'date-fns'
import { cardNext } from '#core/pumps/card-next'
import { siteWords } from '#core/pumps/search-lines'
import { CONSTRUCTIONS } from '#core/knowledge/vocabulary'

/** The card of a machine: its section, its life part by part, what to remember, and the one thing worth doing. */
const route = useRoute()
const id = computed(() => String(route.params.id))
const { view, problem, load } = useCard(id)
const card = computed(() => view.value?.card)
const asking = ref<'correct' | 'end' | undefined>()
const done = ref<{ words: string; ids: string[] }>()
const register = useRegister()
const next = computed(() => (card.value && view.value ? cardNext(card.value, view.value.now) : undefined))
const litRow = computed(() => (next.value?.is === 'reading' ? next.value.row : undefined))
const about = computed(() => {
  const { machine } = card.value ?? {}
  if (!machine) return ''
  const years = machine.installedOn
    ? differenceInYears(new Date(view.value?.now ?? ''), new Date(machine.installedOn))
    : undefined
  return [
    CONSTRUCTIONS[machine.construction],
    `${machine.nameplate.volts} V`,
    years === undefined ? undefined : counted(years, 'year'),
  ]
    .filter(Boolean)
    .join(' · ')
})
const where = computed(() => {
  const { customer, site } = card.value ?? {}
  return [site?.address ?? customer?.place, site && siteWords(site)].filter(Boolean).join(' · ')
})
async function saved(): Promise<void> {
  asking.value = undefined
  await load()
}
async function ended(words: string, ids: string[]): Promise<void> {
  done.value = { words, ids }
  await saved()
}
async function undone(): Promise<void> {
  done.value = undefined
  await load()
}
async function part(entryId: string): Promise<void> {
  await register.takeBack([entryId])
  await undone()
}
/** A record that was merged into another leads to that one. */
watch(view, (now) => {
  if (now && now.card.machine.id !== id.value) void navigateTo(`/pumps/${now.card.machine.id}`, { replace: true })
})
function scrollTo(part: string): void {
  document.querySelector(`[data-testid="card-row-${part}"]`)?.scrollIntoView({ block: 'center', behavior: 'smooth' })
}
function print(): void {
  window.print()
}
useHead({
  title: computed(() =>
    card.value ? `${card.value.machine.name}, ${card.value.customer.name} · Pike Lamp` : 'Pike Lamp',
  ),
})
</script>

<template>
  <div class="card">
    <PlaceHeader title="">
      <template #title>
        <div class="min-w-0 shrink leading-tight">
          <h1 class="truncate text-[1.15rem]" data-testid="card-title">
            <template v-if="card"
              >{{ card.machine.name }},
              <NuxtLink class="underline underline-offset-4" :to="`/pumps/customers/${card.customer.id}`">{{
                card.customer.name
              }}</NuxtLink></template
            ><template v-else>Machine</template>
          </h1>
          <p class="truncate text-[0.9rem] text-slate max-sm:hidden" data-testid="card-where">
            {{ about }} · {{ where }}
          </p>
        </div>
      </template>
    </PlaceHeader>
    <main v-if="problem" class="middle p-6">
      <p class="mb-3 font-bold">{{ problem }}</p>
      <NuxtLink class="button" to="/pumps">To the pumps</NuxtLink>
    </main>
    <main v-else-if="!view || !card" class="middle p-6 text-slate">Reading the card</main>
    <template v-else>
      <CardLife :card="card" class="life" />
      <main class="middle">
        <UndoNote v-if="done" :words="done.words" :ids="done.ids" @undone="undone" />
        <p class="px-5 pt-2 text-slate sm:hidden">{{ about }}<br />{{ where }}</p>
        <p v-for="each in view.merged" :key="each.id" class="no-print flex items-center gap-4 px-5">
          <span>Was written down twice, as {{ each.name }} too.</span
          ><button type="button" class="button button-quiet" data-testid="part" @click="part(each.entryId)">
            Make two of it again
          </button>
        </p>
        <PumpCutaway :of="card" :lit="litRow?.part" compact class="px-4 pt-2" @part="scrollTo" />
        <CardTable :card="card" :now="view.now" :lit="litRow?.key" class="px-4 pb-4" />
      </main>
      <aside class="right" aria-label="what is worth doing, and what to remember">
        <CardLamp :card="card" :now="view.now" />
        <CardRemember :card="card" class="remember" />
      </aside>
      <footer class="foot no-print">
        <NuxtLink
          class="button"
          :to="{ path: '/visits/new', query: { machine: card.machine.id } }"
          data-testid="card-visit-new"
          >New visit</NuxtLink
        ><button type="button" class="button" @click="print">Print the card</button
        ><NuxtLink class="button" :to="`/pumps/${card.machine.id}/label`" data-testid="card-label">Label</NuxtLink
        ><NuxtLink class="button" :to="{ path: '/shelf', query: { machine: card.machine.id } }" data-testid="card-fits"
          >What fits</NuxtLink
        ><button type="button" class="button" data-testid="card-correct" @click="asking = 'correct'">Correct</button
        ><button
          v-if="!card.retired"
          type="button"
          class="button button-quiet"
          data-testid="card-end-open"
          @click="asking = 'end'"
        >
          It is gone
        </button>
      </footer>
      <SmallDialog
        v-if="asking === 'correct'"
        title="Correct the machine"
        test="correct-machine"
        wide
        @close="asking = undefined"
      >
        <MachineCorrection
          :machine="card.machine"
          :customer="card.customer"
          :sites="view.sites"
          :open="view.open"
          @saved="saved"
          @cancel="asking = undefined"
        />
      </SmallDialog>
      <SmallDialog v-if="asking === 'end'" title="It is gone" test="end-machine" wide @close="asking = undefined">
        <MachineEnd :view="view" @done="ended" @cancel="asking = undefined" />
      </SmallDialog>
    </template>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  height: 100dvh;
  grid-template:
    'head head head' auto 'life middle right' minmax(0, 1fr)
    'foot foot foot' auto / 176px minmax(0, 1fr) 392px;
}
.card > :first-child {
  grid-area: head;
  min-width: 0;
}
.life {
  grid-area: life;
  overflow-y: auto;
}
.middle {
  grid-area: middle;
  overflow-y: auto;
}
.right {
  grid-area: right;
  overflow-y: auto;
  border-left: 1px solid var(--rule);
}
.foot {
  grid-area: foot;
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  justify-content: flex-end;
  padding: 0.6rem 1.2rem;
  border-top: 1.5px solid var(--ink);
  background: var(--sheet);
}
@media (max-width: 1100px) {
  .card {
    grid-template-columns: 150px minmax(0, 1fr) 320px;
  }
}
@media (max-width: 900px) {
  .card {
    display: flex;
    flex-direction: column;
    height: auto;
  }
  .life,
  .middle,
  .right {
    overflow: visible;
  }
  /* The lamp first, then the section and its parts, then what to remember. */
  .right {
    display: contents;
  }
  .right > :first-child {
    order: 1;
  }
  .remember {
    order: 3;
    border-top: 1px solid var(--rule);
  }
  .middle {
    order: 2;
  }
  .life {
    order: 4;
    border-top: 1px solid var(--rule);
  }
  .foot {
    order: 5;
    justify-content: flex-start;
  }
}
@media print {
  .card {
    display: block;
    height: auto;
  }
  .life,
  .middle,
  .right {
    overflow: visible;
    border: 0;
  }
}
</style>
