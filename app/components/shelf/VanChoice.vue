<script setup lang="ts">
import type { ShelfPlace } from '#core/fits/shelf-place'
import type { NamedPlace } from '#core/shelf/places'

/** Which of the vans is meant. */
const van = defineModel<ShelfPlace>({ required: true })
const { vans } = defineProps<{ vans: readonly NamedPlace[] }>()
</script>

<template>
  <div role="group" aria-label="which van" class="flex flex-wrap gap-2">
    <button
      v-for="each in vans"
      :key="each.id"
      type="button"
      class="toggle"
      :aria-pressed="each.id === van"
      :data-testid="`ride-${each.id}`"
      @click="van = each.id"
    >
      {{ each.name }}
    </button>
  </div>
</template>
