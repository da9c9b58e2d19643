<script setup lang="ts">
import type { Asked } from '#core/diagnosis/finding'

/** The machine with its covers off, two leads and a meter: what the display shows is what the physics gives. */
const { lit = undefined } = defineProps<{ lit?: Asked }>()
const bench = useBench(() => lit)
const { practice, view } = bench
/** On a telephone the display may lie beside what is seen of the bench: it stands above it as well. */
const says = computed(() => {
  const { figure, unit } = shownText(bench.display.value?.shows ?? { is: 'nothing' })
  return figure ? `${figure} ${unit}` : DIAL_WORDS[practice.probing.dial]
})
</script>

<template>
  <section aria-label="the bench" class="bench" data-testid="bench">
    <GateStrip />
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2 class="text-base">{{ view.title.charAt(0).toUpperCase() + view.title.slice(1) }}</h2>
      <p class="text-[0.92rem] text-slate">drag a lead to a point, or press A, B on it</p>
    </div>
    <p class="number says" aria-hidden="true">{{ says }}</p>
    <div class="scroller" tabindex="0" role="group" :aria-label="`${view.title}, with leads and meter`">
      <svg viewBox="0 0 760 602" role="group" aria-label="bench">
        <BenchDrawing :bench="bench" />
        <BenchPlaces :bench="bench" />
        <BenchMeter :bench="bench" />
        <BenchLeads :bench="bench" />
      </svg>
    </div>
    <BenchHands :bench="bench" />
  </section>
</template>

<style scoped>
.bench {
  position: relative;
}
.says {
  display: none;
  font-size: 1.6rem;
  font-weight: 700;
}
svg {
  display: block;
  width: 100%;
  min-width: 640px;
  height: auto;
  touch-action: pan-x pan-y;
}
.scroller {
  overflow-x: auto;
}
@media (max-width: 900px) {
  .says {
    display: block;
  }
}
</style>
