<script setup lang="ts">
import { GROUP_LABELS, type FoundGroup, type FoundLine } from '~/utils/pumps-found'
import { pathOf } from '~/composables/useFound'

/** The register: one line finds customers, places, machines, and all that was said and read of them. */
const { query, kind, what, found, problem, search } = usePumps()
const input = useTemplateRef<HTMLInputElement>('input')
onMounted(() => {
  if (window.matchMedia('(pointer: fine)').matches) input.value?.focus()
})
const words = computed(() => found.value?.words ?? [])
/** Streets stand after the machines. */
const groups = computed(() => found.value?.groups ?? [])
const lines = computed(() => groups.value.flatMap((group) => group.lines))
const at = ref(0)
watch(found, () => {
  at.value = 0
})
const lit = computed((): FoundLine | undefined => lines.value[at.value])
const answers = computed(() => groups.value.reduce((sum, { count }) => sum + count, 0))
const done = ref<{ words: string; ids: string[] }>()
const isEmpty = computed(() => found.value && found.value.customers === 0 && words.value.length === 0)

function byKey(event: KeyboardEvent): void {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (step !== undefined && lines.value.length > 0) {
    event.preventDefault()
    at.value = Math.max(0, Math.min(lines.value.length - 1, at.value + step))
    nextTick(() => document.querySelector('.is-lit')?.scrollIntoView({ block: 'nearest' }))
  } else if (event.key === 'Enter' && lit.value) void navigateTo(pathOf(lit.value))
  else if (event.key === 'Escape') query.value = ''
}
function more(group: FoundGroup): void {
  what.value = what.value === group.what ? '' : group.what
}
const shown = computed(() => (what.value ? groups.value.filter((group) => group.what === what.value) : groups.value))
function decided(words: string, ids: string[]): void {
  done.value = { words, ids }
  void search()
}
async function undone(): Promise<void> {
  done.value = undefined
  await search()
}
useHead({ title: 'Pumps · Pike Lamp' })
</script>

<template>
  <div class="pumps">
    <PlaceHeader title="Pumps">
      <p v-if="found" class="text-slate max-lg:hidden" data-testid="pumps-count">
        {{ counted(found.customers, 'customer') }}, {{ counted(found.machines, 'machine') }}
      </p>
    </PlaceHeader>
    <main class="found">
      <UndoNote v-if="done" :words="done.words" :ids="done.ids" @undone="undone" />
      <div v-if="problem" class="p-6">
        <p class="mb-3 font-bold">{{ problem }}</p>
        <button type="button" class="button" @click="search">Try again</button>
      </div>
      <p v-else-if="!found" class="p-6 text-slate">Reading the register</p>
      <section v-else-if="isEmpty" class="p-6" data-testid="pumps-empty">
        <h2 class="text-2xl">Nobody is written down yet</h2>
        <p class="my-3 max-w-xl">
          A customer and a machine are written down with the first visit, or by themselves: from then on every reading
          of it is kept here, and found by any word of it.
        </p>
        <div class="flex flex-wrap gap-3">
          <NuxtLink class="button" to="/visits/new">First machine and visit</NuxtLink
          ><NuxtLink class="button" to="/pumps/files">Take in a list of customers</NuxtLink>
        </div>
      </section>
      <template v-else>
        <div class="py-2 pr-5 pl-5 lg:pl-[10.5rem]">
          <PumpFilterLine v-model:query="query" v-model:kind="kind" :filter="found.filter" />
        </div>
        <section v-for="group in shown" :key="group.what" class="group" :aria-label="GROUP_LABELS[group.what]">
          <h2 class="head">
            <span class="count number">{{ group.count }}</span><span>{{ GROUP_LABELS[group.what] }}</span>
          </h2>
          <div class="lines">
            <FoundRow
              v-for="(line, index) in group.lines"
              :key="`${group.what}${index}`"
              :line="line"
              :words="words"
              :lit="line === lit"
            /><button
              v-if="group.count > group.lines.length || what === group.what"
              type="button"
              class="button button-quiet"
              @click="more(group)"
            >
              {{ what === group.what ? 'All groups' : `All ${group.count}` }}
            </button>
          </div>
        </section>
        <section v-if="found.streets.length > 0 && !what" class="group" aria-label="Streets">
          <h2 class="head">
            <span class="count number">{{ found.streets.length }}</span><span>{{ GROUP_LABELS.street }}</span>
          </h2>
          <div class="lines">
            <button
              v-for="street in found.streets"
              :key="street.street"
              type="button"
              class="street"
              data-testid="found-street"
              @click="query = street.street"
            >
              <strong><MatchedText :text="street.street" :words="words" /></strong
              ><span class="text-slate">{{ counted(street.machines, 'machine') }}</span>
            </button>
          </div>
        </section>
        <p v-if="groups.length === 0" class="p-6" data-testid="pumps-none">
          Nothing has all these words. Fewer letters find more: <span class="number">wei</span> finds Weir Street.
        </p>
      </template>
    </main>
    <aside class="beside" aria-label="what is chosen">
      <CustomerPeek v-if="lit?.customerId" :id="lit.customerId" />
      <TwinsNote
        v-for="twins in found?.twins ?? []"
        :key="`${twins.one.id}${twins.other.id}`"
        :twins="twins"
        @done="decided"
      />
    </aside>
    <div class="ask">
      <input
        ref="input"
        v-model="query"
        class="input number"
        aria-label="a name, a street, a telephone, a part"
        placeholder="a name, a street, a part"
        autocomplete="off"
        spellcheck="false"
        data-testid="pumps-query"
        @keydown="byKey"
      />
      <p class="min-w-0 grow leading-tight max-lg:sr-only">
        <strong role="status" data-testid="answers"
          >{{ found?.isCut ? 'over ' : '' }}{{ counted(answers, 'answer')
          }}<template v-if="found && found.behind > 0"
            >, {{ found.behind }} visits are still being read</template
          ></strong
        ><span class="block text-slate">type on to narrow it: tired, due, over 8 years, a name</span>
      </p>
      <NuxtLink class="button" to="/pumps/customers/new">New customer</NuxtLink
      ><NuxtLink class="button max-lg:hidden" to="/pumps/files" data-testid="files">In and out</NuxtLink>
    </div>
  </div>
</template>

<style scoped>
.pumps {
  display: grid;
  height: 100dvh;
  grid-template: 'head head' auto 'found beside' minmax(0, 1fr) 'ask ask' auto / minmax(0, 1fr) 408px;
}
.pumps > :first-child {
  grid-area: head;
}
.found {
  grid-area: found;
  overflow-y: auto;
}
.beside {
  grid-area: beside;
  overflow-y: auto;
  border-left: 1px solid var(--rule);
}
.group {
  position: relative;
  display: grid;
  grid-template-columns: 10.5rem minmax(0, 1fr);
  padding-right: 1rem;
}
.group::before {
  content: '';
  position: absolute;
  left: 23px;
  top: 0;
  bottom: 0;
  width: 10px;
  border-inline: 2px solid var(--ink);
}
.head {
  position: relative;
  display: flex;
  gap: 0.6rem;
  align-items: center;
  align-self: start;
  min-height: 52px;
  padding-left: 12px;
  font-weight: 400;
}
.count {
  min-width: 32px;
  padding: 0.15rem 0.3rem;
  border-radius: 6px;
  background: var(--ink);
  color: var(--on-ink);
  font-weight: 700;
  text-align: center;
}
.lines {
  min-width: 0;
  border-top: 1px solid var(--rule);
}
.street {
  display: flex;
  gap: 1rem;
  justify-content: space-between;
  align-items: center;
  width: 100%;
  min-height: 52px;
  padding-inline: 0.7rem;
  text-align: left;
}
.ask {
  grid-area: ask;
  display: flex;
  gap: 1rem;
  align-items: center;
  padding: 0.6rem 0.8rem;
  border-top: 1.5px solid var(--ink);
  background: var(--sheet);
}
.input {
  width: 21rem;
  min-width: 0;
  min-height: 54px;
  padding-inline: 0.7rem;
  border: 2px solid var(--river);
  border-radius: 4px;
  background: var(--paper);
  font-size: 1.35rem;
}
@media (max-width: 900px) {
  .pumps {
    display: block;
    height: auto;
    padding-bottom: 5rem;
  }
  .found,
  .beside {
    overflow: visible;
  }
  .beside {
    border-left: 0;
  }
  .beside :deep(> section:first-child:not([data-testid='twins'])) {
    display: none;
  }
  .group {
    grid-template-columns: minmax(0, 1fr);
    padding-right: 0;
  }
  .group::before {
    display: none;
  }
  .ask {
    position: fixed;
    inset-inline: 0;
    bottom: var(--places);
    z-index: 10;
  }
  .input {
    flex: 1;
  }
}
</style>
