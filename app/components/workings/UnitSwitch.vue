<script setup lang="ts">
import { Ruler } from '@lucide/vue'

/** `bare` where room is short: its name is still said. */
const { bare = false } = defineProps<{ bare?: boolean }>()
const { other, toggle } = useUnits()
</script>

<template>
  <button
    type="button"
    class="inline-flex min-h-12 min-w-12 items-center justify-center gap-2 px-2"
    :aria-label="`switch to ${other === 'us' ? 'US' : 'metric'} units`"
    data-testid="units"
    @click="toggle"
  >
    <Ruler :size="18" aria-hidden="true" /><span v-if="!bare" class="number max-2xl:hidden">{{
      other === 'us' ? 'US' : 'metric'
    }}</span>
  </button>
</template>
