<script setup lang="ts">
import { usePhotos } from '~/stores/photos'

/**
 * Takes a picture from file or camera, makes it small enough to send, keeps it on the device, and writes it in the
 * journal.
 */
const { of = undefined, caption = undefined } = defineProps<{ of?: string; caption?: string }>()
const { visit } = useVisitContext()
const input = useTemplateRef<HTMLInputElement>('input')
const problem = ref('')
const photos = usePhotos()
/** As large as the server keeps one: what is sent is kept as it is, under the name that it has here. */
const LONGEST_SIDE = 1800

async function picked(): Promise<void> {
  const file = input.value?.files?.[0]
  if (input.value) input.value.value = ''
  if (!file) return
  problem.value = ''
  const picture = await scaledPicture(file, LONGEST_SIDE).catch(() => undefined)
  if (!picture) {
    problem.value = `${file.name} is not a picture that can be read: a JPEG, PNG or WebP is needed.`
    return
  }
  // It is on the device before a line speaks of it; the outbox sends it first.
  visit.append('photo', {
    ...(await photos.keep(picture)),
    name: file.name.slice(0, 200),
    ...(of ? { of } : {}),
    ...(caption ? { caption } : {}),
  })
}
defineExpose({ open: () => input.value?.click() })
</script>

<template>
  <div class="no-print">
    <input
      ref="input"
      type="file"
      accept="image/jpeg,image/png,image/webp"
      class="sr-only"
      tabindex="-1"
      aria-label="a photo"
      data-testid="photo-input"
      @change="picked"
    />
    <p
      v-if="problem"
      role="alert"
      class="fixed inset-x-0 top-0 z-30 flex items-center gap-4 bg-rust px-4 py-2 text-on-ink"
    >
      {{ problem }}<button type="button" class="min-h-12 underline" @click="problem = ''">Close</button>
    </p>
  </div>
</template>
