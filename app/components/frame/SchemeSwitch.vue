<script setup lang="ts">
import { Moon, Sun } from '@lucide/vue'

/** `bare` where room is short: its name is still said. */
const { bare = false } = defineProps<{ bare?: boolean }>()
const { other, toggle } = useScheme()
</script>

<template>
  <button
    type="button"
    class="inline-flex min-h-12 items-center gap-2 px-2"
    :aria-label="`switch to ${other}`"
    @click="toggle"
  >
    <component :is="other === 'cellar' ? Moon : Sun" :size="18" aria-hidden="true" /><span
      v-if="!bare"
      class="number max-2xl:hidden"
      >{{ other }}</span
    >
  </button>
</template>
