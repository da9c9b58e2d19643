<script setup lang="ts">
import { render } from '#core/quantity/sentence'
import type { TrayItem } from '#core/takedown/tray'
import { splitStep } from '#core/takedown/split-step'

/** Everything that is out and not back, each in its own cup: what, how many, where it belongs. */
const { items } = defineProps<{ items: readonly TrayItem[] }>()
const { steps } = useRepair()
const { reader } = useUnits()
const { state } = useVisitContext()
const pieces = computed(() => items.reduce((sum, { count, temporary }) => sum + (temporary ? 0 : (count ?? 1)), 0))
const cups = computed(() =>
  [...items]
    .reverse()
    .map((item) => ({
      ...item,
      title: splitStep(render(item.text, reader.value)).title,
      shape: shapeOf(item.part, steps.value.find(({ id }) => id === item.id)?.joint),
    })),
)
const shots = (step: string) => state.value.photos.filter(({ caption }) => caption === shotOf(step))
const fit = (shape: ReturnType<typeof shapeOf>) => {
  const [width, height] = sizeOf(shape)
  const half = Math.max(width, height) / 2 + 4
  return `${-half} ${-half} ${half * 2} ${half * 2}`
}
</script>

<template>
  <section class="tray px-4 py-3" aria-label="the bolt tray" data-testid="tray">
    <h2 class="mb-2 flex items-baseline justify-between text-base">
      Bolt tray<span class="number text-[0.95rem]">{{
        items.length === 0
          ? 'empty'
          : `${pieces === 1 ? '1 piece' : `${pieces} pieces`}, ${items.length === 1 ? '1 cup' : `${items.length} cups`}`
      }}</span>
    </h2>
    <p v-if="items.length === 0">Nothing is out.</p>
    <ol v-else class="cups">
      <li v-for="cup in cups" :key="cup.id" class="cup" :class="{ 'is-temporary': cup.temporary }">
        <span class="flex items-start justify-between gap-2"
          ><svg
            v-if="!cup.temporary"
            :viewBox="fit(cup.shape)"
            width="30"
            height="30"
            aria-hidden="true"
            color="var(--ink)"
          >
            <PieceGlyph :shape="cup.shape" /></svg
          ><span v-else class="text-[0.88rem] font-bold">must be gone</span
          ><span v-if="!cup.temporary" class="number text-xl font-bold">{{ cup.count ?? 1 }}</span></span
        >
        <span class="block leading-tight">{{ cup.title }}<strong v-if="cup.hand"> · left-handed</strong></span>
        <span v-if="cup.written" class="block text-[0.95rem] font-bold">{{ cup.written }}</span>
        <span v-if="cup.places" class="block text-[0.88rem]">{{
          cup.places
            .filter(({ count }) => count > 0)
            .map(({ place, count }) => `${place}: ${count}`)
            .join(' · ')
        }}</span>
        <span v-else-if="cup.note && !cup.temporary" class="block text-[0.88rem]">{{ cup.note }}</span>
        <span v-if="shots(cup.id).length > 0" class="flex flex-wrap gap-1"
          ><PhotoThumb v-for="photo in shots(cup.id)" :key="photo.entryId" :photo="photo"
        /></span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.tray {
  background: var(--metal);
  border-top: 1.5px solid var(--ink);
}
.cups {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(10rem, 1fr));
  gap: 0.5rem;
}
.cup {
  min-width: 0;
  padding: 0.4rem 0.65rem 0.6rem;
  background: var(--sheet);
  border: 1.5px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 0.9rem 0.9rem;
  overflow-wrap: anywhere;
}
.is-temporary {
  border-style: dashed;
  border-top: 0;
}
</style>
