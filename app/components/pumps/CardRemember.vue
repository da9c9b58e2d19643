<script setup lang="ts">
import { format } from 'date-fns'
import type { MachineCard } from '#core/pumps/card'
import { plateWords } from '#core/pumps/search-lines'
import { monthWords } from '#core/quantity/day'
import { usePhotos } from '~/stores/photos'

/** What to remember: pieces as they were counted, what was left, what is warranted, what the bench found. */
const { card } = defineProps<{ card: MachineCard }>()
/** What lies otherwise here stands first, then what is most. */
const FEW = 6
const all = ref(false)
const photos = usePhotos()
const pieces = computed(() => {
  const sorted = [...card.counts.counted].sort(
    (a, b) => Number(b.detail !== undefined) - Number(a.detail !== undefined) || b.count - a.count,
  )
  return all.value ? sorted : sorted.slice(0, FEW)
})
const today = new Date().toISOString().slice(0, 10)
const until = (day: string) => `${day < today ? 'ended' : 'to'} ${format(new Date(`${day}T12:00:00`), 'd MMM yyyy')}`
</script>

<template>
  <div class="space-y-5 p-5">
    <section v-if="card.retired || card.postMortem" aria-labelledby="end-title" data-testid="card-end">
      <h2 id="end-title" class="text-[1.05rem]">{{ card.retired ? 'How it ended' : 'What the bench found' }}</h2>
      <p v-if="card.retired?.why">{{ card.retired.why }}</p>
      <template v-if="card.postMortem">
        <p>{{ card.postMortem.words }}: {{ card.postMortem.why }}</p>
        <p v-if="card.postMortem.keeping" class="text-slate">worth keeping: {{ card.postMortem.keeping }}</p>
      </template>
    </section>
    <section v-if="card.counts.counted.length > 0 || card.measured.length > 0" aria-labelledby="counts-title">
      <div class="flex items-baseline justify-between gap-3">
        <h2 id="counts-title" class="text-[1.05rem]">At the next take-down</h2>
        <span v-if="card.counts.on" class="text-slate">counted {{ monthWords(card.counts.on) }}</span>
      </div>
      <ul data-testid="card-counts">
        <li v-for="each in pieces" :key="each.words" class="flex gap-3 py-0.5">
          <span class="number w-8 shrink-0 text-right text-[1.15rem] font-bold">{{ each.count }}</span><span
            >{{ each.words }}<template v-if="each.detail">, {{ each.detail }}</template></span
          >
        </li>
        <li v-for="each in card.measured" :key="each" class="pl-11">{{ each }}</li>
      </ul>
      <button
        v-if="card.counts.counted.length > FEW"
        type="button"
        class="button button-quiet no-print"
        @click="all = !all"
      >
        {{ all ? 'The first only' : `All ${card.counts.counted.length}` }}
      </button>
    </section>
    <section v-if="card.left.length > 0" aria-labelledby="left-title">
      <h2 id="left-title" class="text-[1.05rem]">Left</h2>
      <ul data-testid="card-left">
        <li v-for="each in card.left" :key="each.text + each.on" class="flex justify-between gap-4">
          <span class="min-w-0">{{ each.text }}</span><span class="number shrink-0 text-slate">{{
            monthWords(each.on)
          }}</span>
        </li>
      </ul>
    </section>
    <section v-if="card.warranty.length > 0" aria-labelledby="warranty-title">
      <h2 id="warranty-title" class="text-[1.05rem]">Warranty</h2>
      <p v-for="each in card.warranty" :key="each.what" class="flex justify-between gap-4">
        <span class="min-w-0">{{ each.what }}</span><span class="number shrink-0 text-slate">{{
          until(each.until)
        }}</span>
      </p>
    </section>
    <section aria-labelledby="plate-title">
      <h2 id="plate-title" class="text-[1.05rem]">Plate</h2>
      <p class="number text-[0.92rem]" data-testid="card-plate">
        {{ card.machine.plateUnreadable ? 'cannot be read' : plateWords(card.machine.nameplate) }}
      </p>
    </section>
    <section v-if="card.photos.length > 0" aria-labelledby="photos-title">
      <h2 id="photos-title" class="text-[1.05rem]">Photos</h2>
      <ul class="mt-1 grid grid-cols-3 gap-2">
        <li v-for="photo in card.photos.slice(0, 9)" :key="photo.hash + photo.on">
          <NuxtLink :to="`/visits/${photo.visitId}/hand-over`" :title="`${photo.caption}, ${monthWords(photo.on)}`"
            ><img :src="photos.urlOf(photo.hash)" :alt="photo.caption" class="h-20 w-full object-cover" loading="lazy"
          /></NuxtLink>
        </li>
      </ul>
    </section>
  </div>
</template>
