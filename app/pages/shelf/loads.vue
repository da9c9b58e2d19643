<script setup lang="ts">
import { format, parseISO } from 'date-fns'
import { formatPercent } from '#core/quantity/format'
import { countWords } from '#core/shelf/listing'
import type { VanPlan } from '#core/shelf/levels/van-plan'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'

/** What should ride in each van, and how likely its visits are then finished at once. */
const [shelf, self] = [useShelf(), useSelf()]
const { plan, problem, load } = useShelfPlan()
onMounted(shelf.ensure)
const span = ref<'today' | 'week'>('today')
const vans = computed(() => plan.value?.[span.value] ?? [])
const mean = (visits: VanPlan['visits'], of: 'before' | 'after') =>
  visits.reduce((sum, visit) => sum + visit[of], 0) / visits.length
const isBringing = ref(false)
async function bring({ van, bring: things }: VanPlan): Promise<void> {
  isBringing.value = true
  await shelf.move(
    ...things.map(({ article, count, from }) => ({
      article,
      count,
      from,
      to: `van:${van}` as const,
      why: 'loaded' as const,
    })),
  )
  await load()
  isBringing.value = false
}
useHead({ title: 'What rides · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="What rides" />
    <ShelfNav />
    <main class="mx-auto max-w-6xl p-5 max-sm:p-3">
      <div v-if="problem">
        <p class="mb-3 font-bold">{{ problem }}</p>
        <button type="button" class="button" @click="load">Try again</button>
      </div>
      <p v-else-if="!plan" class="text-slate">Reckoning with every visit</p>
      <template v-else>
        <div role="group" aria-label="for when" class="mb-3 flex gap-2">
          <button type="button" class="toggle" :aria-pressed="span === 'today'" @click="span = 'today'">today</button
          ><button
            type="button"
            class="toggle"
            :aria-pressed="span === 'week'"
            data-testid="load-week"
            @click="span = 'week'"
          >
            seven days
          </button>
        </div>
        <div class="grid gap-8 lg:grid-cols-2">
          <section v-for="each in vans" :key="each.van" :data-testid="`ride-${each.van}`" class="min-w-0">
            <h2 class="flex items-baseline justify-between gap-3 border-b border-ink pb-1 text-xl">
              {{ shelf.placeName(`van:${each.van}`)
              }}<span class="number text-base text-slate">{{ Math.round(each.room) }} of {{ each.litres }} litres</span>
            </h2>
            <p v-if="each.visits.length === 0" class="py-2">Nowhere to go: only what comes unforeseen rides.</p>
            <template v-else>
              <p class="py-2" data-testid="finished">
                Finished at the first trip:
                <strong class="number">{{ formatPercent(mean(each.visits, 'before')) }}</strong> with what is in the
                van, <strong class="number">{{ formatPercent(mean(each.visits, 'after')) }}</strong> with the load
                below.
              </p>
              <ul class="ruled">
                <li v-for="visit in each.visits" :key="visit.visitId" class="flex min-h-12 items-center gap-4">
                  <NuxtLink
                    :to="`/visits/${visit.visitId}`"
                    class="flex min-h-12 min-w-0 grow items-center underline"
                    >{{ visit.name }}</NuxtLink><span v-if="span === 'week'" class="shrink-0 text-slate">{{
                    format(parseISO(visit.on), 'EEE d')
                  }}</span
                  ><span class="number shrink-0"
                    >{{ formatPercent(visit.before) }} → <strong>{{ formatPercent(visit.after) }}</strong></span
                  >
                </li>
              </ul>
            </template>
            <h3 class="mt-4 font-bold">Bring</h3>
            <p v-if="each.bring.length === 0" class="py-2 text-slate">Nothing: all that helps is in it.</p>
            <ul v-else class="ruled">
              <li
                v-for="thing in each.bring"
                :key="`${thing.article} ${thing.from}`"
                class="flex min-h-10 items-center gap-4"
              >
                <span class="number w-12 text-right font-bold">{{ countWords(thing.count) }}</span><span
                  class="min-w-0 grow"
                  >{{ shelf.articleName(thing.article) }}</span
                ><span class="text-slate">{{ shelf.shortName(thing.from) }}</span>
              </li>
            </ul>
            <button
              v-if="self.may('write') && each.bring.length > 0"
              type="button"
              class="button mt-3"
              :disabled="isBringing"
              :data-testid="`bring-${each.van}`"
              @click="bring(each)"
            >
              All of it is in
            </button>
            <template v-if="each.leave.length > 0">
              <h3 class="mt-4 font-bold">Leave in the shop, there is no room for it</h3>
              <ul class="ruled">
                <li v-for="thing in each.leave" :key="thing.article" class="flex min-h-10 items-center gap-4">
                  <span class="number w-12 text-right font-bold">{{ countWords(thing.count) }}</span><span>{{
                    shelf.articleName(thing.article)
                  }}</span>
                </li>
              </ul>
            </template>
          </section>
        </div>
      </template>
    </main>
  </div>
</template>
