<script setup lang="ts">
import { usePhotos } from '~/stores/photos'

/** The pictures of a paper, each with its words. */
const { photos, small = false } = defineProps<{
  photos: readonly { hash: string; caption: string; at: string }[]
  small?: boolean
}>()
const kept = usePhotos()
</script>

<template>
  <section v-if="photos.length > 0">
    <h3>Pictures</h3>
    <div class="flex flex-wrap gap-4">
      <figure v-for="photo in photos" :key="photo.hash + photo.at" class="m-0" :class="small ? 'max-w-48' : 'max-w-64'">
        <img
          :src="kept.urlOf(photo.hash)"
          :alt="photo.caption"
          class="border border-rule"
          :class="small ? 'max-h-36' : 'max-h-48'"
        />
        <figcaption class="text-[0.88rem]">{{ photo.caption }}</figcaption>
      </figure>
    </div>
  </section>
</template>
