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
</script>

<template>
  <NuxtPage />
  <FindLine />
</template>
