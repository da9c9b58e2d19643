<script setup lang="ts">
import { codeOf, toldMeasures } from '#core/shelf/listing'
import { useShelf } from '~/stores/shelf'

/** A label for a box or a bag: counting reads its code. */
const [shelf, route] = [useShelf(), useRoute()]
const { reader } = useUnits()
onMounted(shelf.read)
const id = computed(() => String(route.params.id))
const article = computed(() => shelf.stock.articles.get(id.value))
function print(): void {
  window.print()
}
useHead({ title: 'Label · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Label" />
    <main class="p-6 max-sm:p-3">
      <template v-if="article">
        <LabelPaper :code="codeOf(id)" :name="article.name" about="a code by which this article is counted">
          <p class="line small">{{ toldMeasures(article, reader).join(', ') }}</p>
        </LabelPaper>
        <div class="no-print mt-5 flex flex-wrap gap-3">
          <button type="button" class="button" @click="print">Print the label</button
          ><NuxtLink class="button button-quiet" :to="`/shelf/${id}`">To the article</NuxtLink>
        </div>
      </template>
      <p v-else class="text-slate">{{ shelf.isRead ? 'There is no such article.' : 'Reading the shelves' }}</p>
    </main>
  </div>
</template>
