<script setup lang="ts">
import { format, parseISO } from 'date-fns'
import { formatMinutes, formatNumber } from '#core/quantity/format'
import type { NowOrLater, PartSource } from '#core/shelf/now-or-later'
import { useShelf } from '~/stores/shelf'

/** The repair that can be finished now beside the right one later: where its parts are, and what getting them adds. */
const shelf = useShelf()
const money = useMoney()
const { options } = useVisitContext()
const { isOn, ways, made, van, vans } = useNowOrLater()
const labelOf = (id: string) => options.value.find((option) => option.id === id)?.label ?? id
const isAllNow = computed(() => ways.value.every(({ isNow }) => isNow))
function where({ from, place, at, minutes, supplier, on, name, isUnsure }: PartSource): string {
  const what = `${name}${isUnsure ? ', if it fits: it was held against nothing yet' : ''}`
  const way = minutes === undefined ? 'how far is not known' : `${formatMinutes(minutes)} there and back`
  if (from === 'nowhere') return 'nobody is known who has it'
  if (from === 'supplier') return `${supplier}, ${format(parseISO(on as string), 'EEE d MMM')}: ${what}`
  const lies = place ? shelf.shortName(place) : ''
  return `${lies}${at ? ` at ${at}` : ''}, ${way}: ${what}`
}
const adds = ({ fetch, later }: NowOrLater) =>
  [
    ...(fetch ? [`fetched meanwhile ${money(fetch.cost)}`] : []),
    ...(later
      ? [`another journey${later.on ? ` on ${format(parseISO(later.on), 'EEE d MMM')}` : ''} ${money(later.cost)}`]
      : []),
  ].join(', or ')
/** How far a capacitor made of several is from the one that is wanted. */
const offBy = (percent: number) =>
  Math.abs(percent) < 0.5 ? 'as much as it should be' : `off by ${formatNumber(Math.abs(percent), 2)} %`
</script>

<template>
  <section v-if="isOn" class="border-t border-rule py-3" aria-labelledby="now-or-later" data-testid="now-or-later">
    <div class="flex flex-wrap items-center justify-between gap-3">
      <h3 id="now-or-later" class="font-bold">Now, or later</h3>
      <VanChoice v-if="vans.length > 1" v-model="van" :vans="vans" />
    </div>
    <p v-if="isAllNow" class="py-1">All that any of them takes is in the van.</p>
    <ul v-else class="ruled">
      <li v-for="way in ways" :key="way.option" class="py-2" :data-testid="`now-${way.option}`">
        <p class="flex flex-wrap items-baseline gap-x-4">
          <span class="min-w-0 grow">{{ labelOf(way.option) }}</span><strong v-if="way.isNow"
            >can be finished now</strong
          ><span v-else class="font-bold">not with what is in the van</span
          ><span class="number">{{ money(way.total) }}</span>
        </p>
        <template v-if="!way.isNow">
          <ul class="text-[0.95rem]">
            <li v-for="{ part, source } in way.missing" :key="part">
              {{ part }}: {{ where(source)
              }}<template v-if="source.needs.length > 0">; {{ source.needs.join('; ') }}</template>
            </li>
          </ul>
          <p class="text-[0.95rem] text-slate">{{ adds(way) }}</p>
        </template>
        <p v-if="made && way.option === 'replace-run-capacitor'" class="text-[0.95rem]" data-testid="made-here">
          Until then: <span class="number">{{ made.of.map(({ name }) => name).join(' + ') }}</span> {{ made.together }},
          {{ offBy(made.deviationPercent) }}: tell the owner that the right one is to follow.
        </p>
      </li>
    </ul>
    <p v-if="!isAllNow" class="text-[0.92rem] text-slate">
      Each with its expected cost, the risk that it is not the whole cure in it, and the cheaper way to its parts.
    </p>
  </section>
</template>
