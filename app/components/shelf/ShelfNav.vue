<script setup lang="ts">
/** The pages of the shelf. */
const PAGES = [
  { to: '/shelf', label: 'where' },
  { to: '/shelf/levels', label: 'how much' },
  { to: '/shelf/loads', label: 'what rides' },
  { to: '/shelf/orders', label: 'orders' },
  { to: '/shelf/count', label: 'count' },
  { to: '/shelf/bays', label: 'bays' },
]
const route = useRoute()
</script>

<template>
  <nav aria-label="the shelf" class="flex gap-1 overflow-x-auto border-b border-rule px-5 max-sm:px-1">
    <NuxtLink
      v-for="page in PAGES"
      :key="page.to"
      class="button button-quiet shrink-0"
      :class="{ 'is-here': route.path === page.to }"
      :aria-current="route.path === page.to ? 'page' : undefined"
      :to="page.to"
      >{{ page.label }}</NuxtLink
    >
  </nav>
</template>

<style scoped>
.is-here {
  font-weight: 700;
  text-decoration: underline;
  text-underline-offset: 0.35em;
}
</style>
