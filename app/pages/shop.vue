<script setup lang="ts">
import { format } from 'date-fns'
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import type { Learned } from '#core/diagnosis/experience'
import { ESTIMATE_WEIGHT } from '#core/knowledge/faults/thresholds'
import { FAULTS, isIdOf, KINDS, type Kind } from '#core/knowledge/vocabulary'
import { formatNumber, formatPercent, formatShare } from '#core/quantity/format'
import { DEFAULT_RATES, wholeRates } from '#core/knowledge/shop/rates'
import type { PracticeWays } from '#core/knowledge/shop/practices'
import type { LearnedStep } from '#core/takedown/own-times'
import { enteredShop, type Shop } from '#core/visit/shop'
import { useSelf } from '~/stores/self'
import type { JournalFound } from '~/utils/journal-found'

interface Taught {
  kind: Kind
  since?: string
  visits: number
  causes: Learned[]
}
interface ShopView {
  shop: Shop
  taught: Taught[]
  steps: LearnedStep[]
  journal?: JournalFound
}

const [journal, self] = [useShopJournal(), useSelf()]
const view = ref<ShopView>()
const problem = ref('')
const MOVED = 0.005
async function load(): Promise<void> {
  problem.value = ''
  try {
    const response = await ask('/api/shop')
    if (!response.ok) throw new Error(response.statusText)
    view.value = (await response.json()) as ShopView
    rememberShop(view.value.shop)
  } catch {
    problem.value = NO_WAY
  }
}
onMounted(load)
useHead({ title: 'Shop · Pike Lamp' })

const name = (fault: string) => (isIdOf(FAULTS, fault) ? FAULTS[fault] : fault)
const moved = (causes: readonly Learned[]) =>
  causes
    .filter(({ counted, estimated, learned }) => counted > 0 || Math.abs(learned - estimated) > MOVED)
    .sort((a, b) => b.counted - a.counted || b.learned - a.learned)
    .slice(0, 12)
const forgetting = ref<{ id: string; kind?: Kind }>()
async function forget(kind?: Kind): Promise<void> {
  const { id } = await journal.append('shop-forget', kind ? { pumpKind: kind } : {})
  forgetting.value = { id, kind }
  await load()
}
/** A shop that has no name yet takes one with its first word on itself. */
const named = (shop: Shop) => ({ ...enteredShop(shop), name: shop.name || 'This shop' })
async function setPractices(practices: PracticeWays): Promise<void> {
  if (!view.value) return
  await journal.append('shop-set', { ...named(view.value.shop), schools: practices })
  await load()
}
async function remember(): Promise<void> {
  if (forgetting.value) await journal.append('retracted', {}, forgetting.value.id)
  forgetting.value = undefined
  await load()
}
const rates = computed(() => wholeRates(view.value?.shop.rates ?? DEFAULT_RATES))
async function setLiveRisk(liveRisk: number): Promise<void> {
  if (!view.value) return
  const { shop } = view.value
  const known = named(shop)
  await journal.append('shop-set', { ...known, rates: { ...known.rates, liveRisk } })
  await load()
}
const prices = computed(() => Object.keys(view.value?.shop.rates.partPrices ?? {}))
const money = (amount: number) =>
  new Intl.NumberFormat('en-US', {
    style: 'currency',
    currency: view.value?.shop.rates.currency ?? 'USD',
    maximumFractionDigits: 0,
  }).format(amount)
const taughtKinds = computed(() => [...(view.value?.taught ?? [])].sort((a, b) => b.visits - a.visits))
const closed = computed(() => taughtKinds.value.reduce((sum, { visits }) => sum + visits, 0))
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Shop" />
    <p v-if="view" class="mx-auto max-w-6xl px-5 pt-5 text-slate max-sm:px-3 max-sm:pt-3">
      {{ view.shop.name || 'It has no name yet' }}<template v-if="view.shop.place">, {{ view.shop.place }}</template>
    </p>
    <main class="mx-auto grid max-w-6xl gap-x-10 gap-y-6 p-5 max-sm:p-3 lg:grid-cols-[1fr_20rem]">
      <div v-if="problem">
        <p class="mb-3 font-bold">{{ problem }}</p>
        <button type="button" class="button" @click="load">Try again</button>
      </div>
      <p v-else-if="!view" class="text-slate">Reading the shop</p>
      <template v-else>
        <section class="min-w-0" data-testid="taught">
          <h2 class="text-xl">What your visits taught</h2>
          <p class="mb-3 text-slate">
            Each closed visit with a confirmed cause, and each machine opened later at the bench, moves how likely that
            cause is here. The printed estimate counts as {{ ESTIMATE_WEIGHT.visits }} visits.
            {{ closed === 0 ? 'None is closed with its cause yet.' : `${closed} so far.` }}
          </p>
          <p v-if="forgetting" class="mb-3 border-l-4 border-river pl-3" role="status">
            Forgotten: {{ forgetting.kind ? KINDS[forgetting.kind] : 'every kind' }}.
            <button type="button" class="button button-quiet" @click="remember">Remember again</button>
          </p>
          <Disclosure
            v-for="({ kind, visits, causes, since }, index) in taughtKinds"
            :key="kind"
            v-slot="{ open }"
            as="div"
            :default-open="index === 0 && visits > 0"
            class="border-t border-rule"
            :data-testid="`taught-${kind}`"
          >
            <DisclosureButton class="flex min-h-12 w-full items-center justify-between gap-3 py-1 text-left"
              ><span class="font-bold">{{ KINDS[kind] }}</span
              ><span class="number text-slate"
                >{{ visits === 0 ? 'the estimate alone' : visits === 1 ? '1 visit' : `${visits} visits`
                }}<span class="sr-only">{{ open ? ', less' : ', more' }}</span></span
              ></DisclosureButton
            >
            <DisclosurePanel class="pb-4">
              <p v-if="since" class="text-slate">Counted since {{ format(new Date(since), 'd MMM yyyy, HH:mm') }}.</p>
              <p v-if="visits === 0" class="text-slate">Nothing has moved: the estimates stand as printed.</p>
              <div
                v-else
                class="overflow-x-auto"
                tabindex="0"
                role="group"
                :aria-label="`what ${KINDS[kind]} visits taught`"
              >
                <table class="w-full border-collapse">
                  <thead>
                    <tr class="border-b border-ink text-left">
                      <th scope="col" class="py-1">cause</th>
                      <th scope="col" class="pl-4 text-right">yours</th>
                      <th scope="col" class="pl-4 text-right">estimated</th>
                      <th scope="col" class="pl-4 text-right">now</th>
                      <th scope="col" class="w-[34%] pl-4 max-sm:hidden">from estimate to now</th>
                    </tr>
                  </thead>
                  <tbody>
                    <tr v-for="cause in moved(causes)" :key="cause.fault" class="border-b border-rule">
                      <th scope="row" class="py-1.5 text-left font-normal">{{ name(cause.fault) }}</th>
                      <td class="number text-right">{{ cause.counted }}</td>
                      <td class="number text-right text-slate">{{ formatPercent(cause.estimated) }}</td>
                      <td class="number text-right font-bold">{{ formatPercent(cause.learned) }}</td>
                      <td class="pl-4 max-sm:hidden">
                        <svg viewBox="0 0 200 16" class="h-4 w-full" aria-hidden="true">
                          <path d="M0 8h200" stroke="var(--rule)" />
                          <path
                            :d="`M${Math.min(198, cause.estimated * 500)} 8H${Math.min(198, cause.learned * 500)}`"
                            stroke="var(--river)"
                            stroke-width="3"
                          />
                          <circle
                            :cx="Math.min(196, cause.estimated * 500)"
                            cy="8"
                            r="3.500"
                            fill="var(--paper)"
                            stroke="var(--slate)"
                            stroke-width="1.500"
                          />
                          <circle :cx="Math.min(196, cause.learned * 500)" cy="8" r="4.500" fill="var(--river)" />
                        </svg>
                      </td>
                    </tr>
                  </tbody>
                </table>
                <button
                  v-if="self.may('settings')"
                  type="button"
                  class="button mt-3"
                  :data-testid="`forget-${kind}`"
                  @click="forget(kind)"
                >
                  Forget what {{ KINDS[kind] }} visits taught
                </button>
              </div>
            </DisclosurePanel>
          </Disclosure>
          <button
            v-if="closed > 0 && self.may('settings')"
            type="button"
            class="button mt-4"
            data-testid="forget-all"
            @click="forget()"
          >
            Forget all of it
          </button>
          <OwnTimes class="mt-8" :steps="view.steps" />
          <fieldset :disabled="!self.may('settings')" class="contents">
            <PracticeSettings class="mt-8" :practices="view.shop.schools" @set="setPractices" />
          </fieldset>
        </section>
        <section class="min-w-0" data-testid="rates">
          <h2 class="text-xl">What the shop charges</h2>
          <dl class="ruled mt-2">
            <div
              v-for="[label, value] in [
                ['an hour', money(view.shop.rates.hourly)],
                ['a journey', money(view.shop.rates.trip)],
                ['on parts', formatShare(view.shop.rates.partsMarkup)],
                ['a second person, an hour', money(rates.helperHourly)],
                ['after hours', `× ${formatNumber(rates.afterHours)}`],
                ['a pump down until the next visit', money(view.shop.rates.downtime)],
              ]"
              :key="label"
              class="flex justify-between gap-4 py-1.5"
            >
              <dt>{{ label }}</dt>
              <dd class="number">{{ value }}</dd>
            </div>
          </dl>
          <fieldset :disabled="!self.may('settings')" class="contents">
            <RiskSetting class="mt-3" :rates="rates" @set="setLiveRisk" />
          </fieldset>
          <div class="mt-3 flex flex-wrap gap-2 border-t border-rule pt-3">
            <template v-if="self.may('settings')"
              ><NuxtLink class="button" to="/settings" data-testid="to-settings">Settings</NuxtLink>
              <NuxtLink class="button" to="/prices" data-testid="to-prices">{{ prices.length }} part prices</NuxtLink>
              <NuxtLink class="button" to="/ledger" data-testid="to-ledger">Ledger</NuxtLink></template
            >
            <NuxtLink v-if="self.may('files')" class="button" to="/pumps/files" data-testid="to-files"
              >In and out</NuxtLink
            >
            <NuxtLink v-if="self.may('write')" class="button" to="/instruments" data-testid="to-instruments"
              >Instruments</NuxtLink
            >
            <NuxtLink class="button" to="/people" data-testid="to-people">People</NuxtLink>
          </div>
          <OnThisDevice class="mt-8" />
          <JournalReport v-if="view.journal" class="mt-8" :journal="view.journal" />
          <ImportVisit class="mt-4" />
        </section>
      </template>
    </main>
  </div>
</template>
