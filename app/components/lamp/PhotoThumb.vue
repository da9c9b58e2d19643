<script setup lang="ts">
import { usePhotos } from '~/stores/photos'

const { photo } = defineProps<{
  photo: { hash: string; name: string; caption?: string; entryId: string; at: string }
}>()
const photos = usePhotos()
const words = computed(() => photo.caption ?? photo.name)
</script>

<template>
  <a :href="photos.urlOf(photo.hash)" target="_blank" rel="noopener" class="inline-block" :title="words">
    <img
      :src="photos.urlOf(photo.hash)"
      :alt="words"
      class="h-16 w-20 rounded border border-rule object-cover"
      loading="lazy"
      width="80"
      height="64"
    />
  </a>
</template>
