<script setup lang="ts">
/** What is ticked, as a box that is full: what stands around it says to whom it belongs and is pressed. */
const { on } = defineProps<{ on: boolean }>()
</script>

<template>
  <span class="tick-box" :class="{ 'is-on': on }" aria-hidden="true" />
</template>

<style scoped>
.tick-box {
  flex: none;
  width: 22px;
  height: 22px;
  border: 2px solid var(--ink);
  border-radius: 5px;
}
.is-on {
  background: var(--ink);
}
</style>
