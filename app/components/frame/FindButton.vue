<script setup lang="ts">
/** Opens the line by which everything is found; the key for it stands on it. `bare` where room is short. */
const { bare = false } = defineProps<{ bare?: boolean }>()
const { open } = useFinder()
</script>

<template>
  <button
    type="button"
    class="inline-flex min-h-12 min-w-12 items-center justify-center gap-2 px-1"
    aria-label="find a place, a person or a machine"
    data-testid="find"
    @click="open = true"
  >
    <kbd class="number border-[1.5px] border-ink px-2 text-[1rem] leading-6">/</kbd
    ><span v-if="!bare" class="max-2xl:hidden">find</span>
  </button>
</template>
