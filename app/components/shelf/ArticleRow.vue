<script setup lang="ts">
import type { ShelfPlace } from '#core/fits/shelf-place'
import { countWords, type ListedArticle } from '#core/shelf/listing'
import { CONDITIONS } from '#core/knowledge/shelf/moves'
import { useShelf } from '~/stores/shelf'

/** One article in the list: how many, what it measures, where it lies. */
const { line, place = undefined } = defineProps<{ line: ListedArticle; place?: ShelfPlace }>()
const shelf = useShelf()
const count = computed(() => (place ? (line.places.find((each) => each.place === place)?.count ?? 0) : line.total))
const where = computed(() =>
  line.places.map((each) => `${shelf.shortName(each.place)}: ${countWords(each.count)}`).join(' · '),
)
const about = computed(() =>
  [
    line.told,
    line.article.condition ? CONDITIONS[line.article.condition] : '',
    line.oldOn ? `too old from ${line.oldOn}` : '',
  ]
    .filter(Boolean)
    .join(' · '),
)
</script>

<template>
  <li class="border-b border-rule">
    <NuxtLink :to="`/shelf/${line.article.id}`" class="row" :data-testid="`article-${line.article.id}`">
      <span class="number count" :class="{ 'text-rust': count < 0 }">{{ countWords(count) }}</span>
      <span class="min-w-0"
        ><strong class="number block truncate">{{ line.article.name }}</strong
        ><span class="block truncate text-slate">{{ about }}</span></span
      >
      <span class="min-w-0 text-right text-slate max-sm:hidden">{{ where || 'nowhere' }}</span>
    </NuxtLink>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 3.5rem minmax(0, 3fr) minmax(0, 2fr);
  gap: 0.75rem;
  align-items: center;
  min-height: 56px;
  padding-inline: 0.5rem;
  color: var(--ink);
  text-decoration: none;
}
.row:hover strong {
  text-decoration: underline;
}
.count {
  font-size: 1.35rem;
  font-weight: 700;
  text-align: right;
}
@media (max-width: 639px) {
  .row {
    grid-template-columns: 3rem minmax(0, 1fr);
  }
}
</style>
