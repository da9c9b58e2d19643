<script setup lang="ts">
import { pageOfKnownWords } from '#core/handbook/where'
import { candidatesIn } from '#core/shelf/candidates'
import { whatFits } from '#core/fits/what-fits'
import type { Spec } from '#core/knowledge/fits/family'
import { FAMILIES, type FamilyId } from '#core/knowledge/fits/families'
import { formatNumber } from '#core/quantity/format'
import { useShelf } from '~/stores/shelf'

/** What of the shop's articles fits what is wanted, and what can be made of several. */
const { family, spec } = defineProps<{ family: FamilyId; spec: Spec }>()
defineEmits<{ change: [spec: Spec] }>()
const shelf = useShelf()
const answer = computed(() => whatFits({ family, spec }, candidatesIn(shelf.stock)))
const caution = computed(() => ('caution' in FAMILIES[family] ? FAMILIES[family].caution : undefined))
const none = computed(() => answer.value.fits.length + answer.value.fitsWith.length === 0)
</script>

<template>
  <section class="px-5 pb-4 max-sm:px-3" :aria-label="`what fits: ${FAMILIES[family].name}`" data-testid="fit-answer">
    <h2 class="py-2 text-xl">What fits, as a {{ FAMILIES[family].name }}</h2>
    <SpecFields :family="family" :spec="spec" class="mb-3" @change="$emit('change', $event)" />
    <p v-if="caution" class="my-3 border-l-4 border-ink pl-3 font-bold">
      {{ caution }} <HandbookLink :page="pageOfKnownWords(caution) ?? 'fits'" class="font-normal" />
    </p>
    <p v-if="none" class="my-3 font-bold" role="status" data-testid="nothing-fits">
      Nothing that the shop has fits for certain{{ answer.made.length > 0 ? '; several together do.' : '.' }}
    </p>
    <FitRow v-for="each in answer.fits" :key="each.candidate.id" :answered="each" />
    <FitRow v-for="each in answer.fitsWith" :key="each.candidate.id" :answered="each" />
    <div v-if="answer.made.length > 0" class="border-t border-rule py-2" data-testid="made-of">
      <h3 class="font-bold">Made of several, until the right one is there</h3>
      <p v-for="(made, index) in answer.made" :key="index" class="py-1">
        <span class="number">{{ made.of.map(({ name }) => name).join(' + ') }}</span>
        {{ made.together }}: <span class="number">{{ formatNumber(made.microfarads) }} μF</span>, good for
        <span class="number">{{ formatNumber(made.volts) }} V</span>, off by
        <span class="number">{{ formatNumber(Math.abs(made.deviationPercent), 2) }} %</span>
      </p>
    </div>
    <FitRow v-for="each in answer.notRead" :key="each.candidate.id" :answered="each" />
    <FitRow v-for="each in answer.doesNot" :key="each.candidate.id" :answered="each" />
  </section>
</template>
