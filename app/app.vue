<script setup lang="ts">
import { useEventListener } from '@vueuse/core'

/** A file that is dropped anywhere is taken in at the one place for it. */
const dropped = useDroppedFile()
const holdsFile = (event: DragEvent) => event.dataTransfer?.types.includes('Files') === true
useEventListener('dragover', (event: DragEvent) => {
  if (holdsFile(event)) event.preventDefault()
})
useEventListener('drop', (event: DragEvent) => {
  const file = event.dataTransfer?.files[0]
  if (!file || event.defaultPrevented) return
  event.preventDefault()
  dropped.value = file
  void navigateTo('/pumps/files')
})

/** What finds everything knows every word of the trade: it is read once the page stands, or when it is asked for. */
const { open: isFinding } = useFinder()
const isAtRest = ref(false)
useFinderKey()
onNuxtReady(() => (isAtRest.value = true))
</script>

<template>
  <NuxtPage />
  <LazyFindLine v-if="isAtRest || isFinding" />
</template>
