<script setup lang="ts">
import { siteWords } from '#core/pumps/search-lines'
import { format } from 'date-fns'
import { v7 as uuidv7 } from 'uuid'
import { STAGE_LABELS } from '#core/knowledge/vocabulary'
import type { Machine, Site } from '#core/visit/entry'

/** A customer: who it is, the places with what one must know, the machines, and what is to be put right. */
const route = useRoute()
const id = computed(() => String(route.params.id))
const { view, problem, load } = useCustomer(id)
const register = useRegister()
const asking = ref<'customer' | 'site' | 'machine' | undefined>()
const site = ref<Site>()
const done = ref<{ words: string; ids: string[] }>()
/** The own address stands first, whether anything is known of it or not. */
const places = computed((): Site[] => {
  const { customer, sites } = view.value ?? {}
  if (!customer || !sites) return []
  return sites.some((each) => each.id === customer.id)
    ? sites
    : [{ id: customer.id, customerId: customer.id }, ...sites]
})
function askSite(of?: Site): void {
  site.value = of
  asking.value = 'site'
}
const fresh = ref<Machine>()
function askMachine(): void {
  fresh.value = {
    id: uuidv7(),
    customerId: id.value,
    name: '',
    kind: 'pool',
    construction: 'band-clamp',
    nameplate: { volts: 230 },
  }
  asking.value = 'machine'
}
async function saved(): Promise<void> {
  asking.value = undefined
  await load()
}
async function decided(words: string, ids: string[]): Promise<void> {
  done.value = { words, ids }
  await load()
}
async function undone(): Promise<void> {
  done.value = undefined
  await load()
}
async function part(entryId: string): Promise<void> {
  await register.takeBack([entryId])
  done.value = undefined
  await load()
}
useHead({ title: computed(() => `${view.value?.customer.name ?? 'Customer'} · Pike Lamp`) })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader :title="view?.customer.name ?? 'Customer'" />
    <UndoNote v-if="done" :words="done.words" :ids="done.ids" @undone="undone" />
    <main class="mx-auto max-w-5xl p-5 max-sm:p-3">
      <div v-if="problem">
        <p class="mb-3 font-bold">{{ problem }}</p>
        <NuxtLink class="button" to="/pumps">To the pumps</NuxtLink>
      </div>
      <p v-else-if="!view" class="text-slate">Reading the register</p>
      <div v-else class="grid gap-8 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <section aria-labelledby="machines-title">
          <div class="flex flex-wrap items-baseline justify-between gap-3">
            <h2 id="machines-title" class="text-[1.2rem]">{{ counted(view.machines.length, 'machine') }}</h2>
            <template v-if="!view.isForgotten">
              <button type="button" class="button ml-auto" data-testid="new-machine-here" @click="askMachine">
                New machine
              </button>
              <NuxtLink
                class="button"
                :to="{ path: '/visits/new', query: { customer: view.customer.id } }"
                data-testid="new-visit-here"
                >New visit</NuxtLink
              >
            </template>
          </div>
          <MachineRows class="mt-2 border-b border-rule" :machines="view.machines" />
          <p v-if="view.machines.length === 0" class="mt-2 text-slate">
            None yet. It is written down with the first visit, whatever is known of it then.
          </p>
          <template v-if="view.visits.length > 0">
            <h2 class="mt-6 text-[1.2rem]">Visits</h2>
            <ul data-testid="customer-visits">
              <li v-for="each in view.visits" :key="each.id" class="border-t border-rule">
                <NuxtLink
                  :to="`/visits/${each.id}`"
                  class="flex min-h-12 flex-wrap items-center gap-x-4 py-1 text-inherit no-underline hover:underline"
                  ><span class="number w-28 text-slate">{{ format(new Date(each.scheduledAt), 'd MMM yyyy') }}</span
                  ><span class="min-w-0 grow">{{ [each.machine, each.words].filter(Boolean).join(': ') }}</span
                  ><span class="text-slate">{{
                    each.cancelled ? 'called off' : each.handedOver ? 'done' : `at ${STAGE_LABELS[each.stage]}`
                  }}</span></NuxtLink
                >
              </li>
            </ul>
          </template>
        </section>
        <p
          v-if="view.isForgotten"
          role="status"
          class="self-start border-l-4 border-ink pl-3"
          data-testid="is-forgotten"
        >
          The data of this customer were removed. What was measured, done and charged stays, under no name.
        </p>
        <div v-else>
          <section aria-labelledby="who-title">
            <h2 id="who-title" class="text-[1.2rem]">Who and where</h2>
            <p>{{ view.customer.place || 'no address yet' }}</p>
            <p v-if="view.customer.phone">
              <a class="number inline-flex min-h-12 items-center underline" :href="`tel:${view.customer.phone}`">{{
                view.customer.phone
              }}</a>
            </p>
            <p v-if="view.customer.mail">
              <a class="inline-flex min-h-12 items-center underline" :href="`mailto:${view.customer.mail}`">{{
                view.customer.mail
              }}</a>
            </p>
            <button type="button" class="button mt-1" data-testid="correct-customer" @click="asking = 'customer'">
              Correct
            </button>
          </section>
          <section class="mt-6" aria-labelledby="places-title">
            <h2 id="places-title" class="text-[1.2rem]">What one must know there</h2>
            <ul>
              <li v-for="each in places" :key="each.id" class="border-t border-rule py-2" data-testid="site">
                <strong class="block">{{
                  each.address ?? (view.customer.place || 'the customer’s own address')
                }}</strong>
                <span class="text-slate">{{ siteWords(each) || 'nothing written down yet' }}</span>
                <button type="button" class="button button-quiet block" @click="askSite(each)">Write it down</button>
              </li>
            </ul>
            <button type="button" class="button button-quiet" data-testid="new-site" @click="askSite()">
              Another place
            </button>
          </section>
          <section v-if="view.merged.length > 0" class="mt-6" aria-labelledby="merged-title">
            <h2 id="merged-title" class="text-[1.2rem]">Was written down twice</h2>
            <p v-for="each in view.merged" :key="each.id" class="flex flex-wrap items-center gap-x-4">
              <span>{{ each.name }}</span><button
                type="button"
                class="button button-quiet"
                data-testid="part"
                @click="part(each.entryId)"
              >
                Make two of it again
              </button>
            </p>
          </section>
          <TwinsNote v-for="twins in view.twins" :key="twins.other.id" class="mt-6" :twins="twins" @done="decided" />
          <CustomerData :view="view" @removed="load" />
        </div>
      </div>
      <SmallDialog
        v-if="asking === 'customer' && view"
        title="Correct the customer"
        test="correct-dialog"
        @close="asking = undefined"
      >
        <CustomerForm :customer="view.customer" :open="view.open" @saved="saved" @cancel="asking = undefined" />
      </SmallDialog>
      <SmallDialog
        v-if="asking === 'machine' && view && fresh"
        title="New machine"
        test="machine-dialog"
        wide
        @close="asking = undefined"
      >
        <MachineCorrection
          :machine="fresh"
          :customer="view.customer"
          :sites="view.sites"
          :open="[]"
          @saved="saved"
          @cancel="asking = undefined"
        />
      </SmallDialog>
      <SmallDialog
        v-if="asking === 'site' && view"
        title="What one must know there"
        test="site-dialog"
        wide
        @close="asking = undefined"
      >
        <SiteForm :site="site" :customer-id="view.customer.id" @saved="saved" @cancel="asking = undefined" />
      </SmallDialog>
    </main>
  </div>
</template>
