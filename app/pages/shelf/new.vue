<script setup lang="ts">
import { useShelf } from '~/stores/shelf'

/** Something that was not on the shelves yet. */
const [shelf, route] = [useShelf(), useRoute()]
const name = typeof route.query.name === 'string' ? route.query.name : ''
onMounted(shelf.read)
const kept = (id: string) => navigateTo(`/shelf/${id}`)
useHead({ title: 'New article · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="New article" />
    <main class="p-5 max-sm:p-3">
      <ArticleForm :name="name" @kept="kept"
        ><NuxtLink class="button button-quiet" to="/shelf">Back to the shelf</NuxtLink></ArticleForm
      >
    </main>
  </div>
</template>
