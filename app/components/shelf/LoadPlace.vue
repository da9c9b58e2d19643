<script setup lang="ts">
import type { PartWant } from '#core/fits/for-part'
import type { ShelfPlace } from '#core/fits/shelf-place'
import { loadWords } from '~/utils/shelf-words'
import { useShelf } from '~/stores/shelf'

/** Where a thing of a loading list lies. */
const { wants, van, most = 1 } = defineProps<{ wants: readonly PartWant[]; van: ShelfPlace; most?: number }>()
const shelf = useShelf()
const { loadsOf } = useShelfLoad()
const words = computed(() =>
  loadsOf(wants, van, most)
    .map((load) => loadWords(load, shelf.shortName))
    .join('; '),
)
</script>

<template>
  <span v-if="shelf.isRead && shelf.stock.articles.size > 0 && words" class="block text-[0.88rem]" data-testid="lies">{{
    words
  }}</span>
</template>
