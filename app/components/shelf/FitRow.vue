<script setup lang="ts">
import type { Article } from '#core/fits/article'
import type { Answered, Candidate } from '#core/fits/what-fits'
import { render } from '#core/quantity/sentence'
import { useShelf } from '~/stores/shelf'

/** One article against what is wanted: fits, fits with, or does not, and why, point by point. */
const { answered } = defineProps<{ answered: Answered<Candidate & { article: Article }> }>()
const shelf = useShelf()
const { reader } = useUnits()
const WORDS = { fits: 'fits', 'fits-with': 'fits with', 'does-not': 'does not', 'not-read': 'not known yet' } as const
const told = (telling: Parameters<typeof render>[0] | undefined) =>
  telling === undefined ? '' : render(telling, reader.value)
const where = computed(() =>
  [...shelf.stock.at.values()]
    .filter(({ article, count }) => article === answered.candidate.id && count > 0)
    .map(({ place, count }) => `${shelf.shortName(place)}: ${count}`)
    .join(' · '),
)
/** What decides stands first. */
const ORDER = ['does-not', 'not-read', 'fits-with', 'fits'] as const
const points = computed(() => [...answered.points].sort((a, b) => ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict)))
</script>

<template>
  <details class="border-t border-rule" :data-testid="`fit-${answered.verdict}`">
    <summary class="flex min-h-12 cursor-pointer flex-wrap items-center gap-x-4 py-2">
      <span class="mark" :class="`is-${answered.verdict}`" aria-hidden="true" /><strong>{{
        answered.candidate.name
      }}</strong
      ><span class="font-bold" :class="{ 'text-rust': answered.verdict === 'does-not' }">{{
        WORDS[answered.verdict]
      }}</span
      ><span class="min-w-0 grow text-slate">{{ where || 'none of it anywhere' }}</span>
      <span v-if="answered.needs.length > 0" class="basis-full pl-9">{{ answered.needs.join('; ') }}</span><span
        v-else-if="answered.verdict === 'does-not'"
        class="basis-full pl-9"
        >{{ points[0]?.because }}</span
      >
      <span
        v-for="(chain, index) in answered.chains"
        :key="index"
        class="basis-full pl-9 font-bold"
        data-testid="adapters"
        >{{ chain.pieces.map(({ id }) => shelf.articleName(id)).join(', then ') }}</span
      >
    </summary>
    <div
      class="overflow-x-auto pb-3"
      tabindex="0"
      role="group"
      :aria-label="`${answered.candidate.name}, point by point`"
    >
      <table class="w-full border-collapse">
        <thead>
          <tr class="border-b border-ink text-left">
            <th scope="col" class="py-1">point</th>
            <th scope="col" class="pl-3">wanted</th>
            <th scope="col" class="pl-3">this one</th>
            <th scope="col" class="pl-3">why</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="point in points" :key="point.point" class="border-b border-rule align-top">
            <th scope="row" class="py-1.5 text-left font-normal">{{ point.label }}</th>
            <td class="number pl-3">{{ told(point.wanted) || '–' }}</td>
            <td class="number pl-3">{{ told(point.offered) || '–' }}</td>
            <td class="pl-3">
              <span :class="{ 'font-bold': point.verdict !== 'fits' }">{{ point.because }}</span><BasisLine
                :basis="point.basis"
                class="block text-[0.92rem]"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <NuxtLink :to="`/shelf/${answered.candidate.id}`" class="mt-2 inline-flex min-h-12 items-center underline"
        >To {{ answered.candidate.name }}</NuxtLink
      >
    </div>
  </details>
</template>

<style scoped>
.mark {
  width: 20px;
  height: 20px;
  border: 2px solid var(--ink);
  border-radius: 50%;
}
.mark.is-fits {
  background: var(--ink);
}
.mark.is-fits-with {
  background: linear-gradient(90deg, var(--ink) 50%, transparent 50%);
}
.mark.is-does-not {
  border-radius: 2px;
  background: repeating-linear-gradient(45deg, var(--ink) 0 2px, transparent 2px 6px);
}
.mark.is-not-read {
  border-style: dotted;
}
</style>
