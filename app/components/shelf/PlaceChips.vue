<script setup lang="ts">
import type { ShelfPlace } from '#core/fits/shelf-place'
import { useShelf } from '~/stores/shelf'

/** The places of the shop: one is looked at, or all. */
const place = defineModel<ShelfPlace | undefined>({ required: true })
const { all = true } = defineProps<{ all?: boolean }>()
const shelf = useShelf()
</script>

<template>
  <div role="group" aria-label="where it lies" class="flex gap-2 overflow-x-auto px-5 py-2 max-sm:px-3" tabindex="-1">
    <button v-if="all" type="button" class="toggle shrink-0" :aria-pressed="!place" @click="place = undefined">
      everywhere
    </button>
    <button
      v-for="each in shelf.places"
      :key="each.id"
      type="button"
      class="toggle shrink-0"
      :aria-pressed="place === each.id"
      :title="each.name"
      :data-testid="`place-${each.id}`"
      @click="place = each.id"
    >
      {{ each.short }}
    </button>
  </div>
</template>
