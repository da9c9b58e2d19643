<script setup lang="ts">
const { photo } = defineProps<{
  photo: { hash: string; name: string; caption?: string; entryId: string; at: string }
}>()
const words = computed(() => photo.caption ?? photo.name)
</script>

<template>
  <a :href="`/api/photos/${photo.hash}`" target="_blank" rel="noopener" class="inline-block" :title="words">
    <img
      :src="`/api/photos/${photo.hash}`"
      :alt="words"
      class="h-16 w-20 rounded border border-rule object-cover"
      loading="lazy"
      width="80"
      height="64"
    />
  </a>
</template>
