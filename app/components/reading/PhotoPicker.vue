<script setup lang="ts">
/** Takes a picture from file or camera, makes it small enough to send, and writes it in the journal. */
const { of = undefined, caption = undefined } = defineProps<{ of?: string; caption?: string }>()
const { visit } = useVisitContext()
const input = useTemplateRef<HTMLInputElement>('input')
const problem = ref('')
const LONGEST_SIDE = 1800

async function shrink(file: File): Promise<Blob> {
  const bitmap = await createImageBitmap(file)
  const scale = Math.min(1, LONGEST_SIDE / Math.max(bitmap.width, bitmap.height))
  if (scale === 1 && file.size < 1_500_000) return file
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale))
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 })
}

async function picked(): Promise<void> {
  const file = input.value?.files?.[0]
  if (input.value) input.value.value = ''
  if (!file) return
  problem.value = ''
  const picture = await shrink(file).catch(() => undefined)
  if (!picture) {
    problem.value = `${file.name} is not a picture that can be read: a JPEG, PNG or WebP is needed.`
    return
  }
  try {
    const response = await fetch('/api/photos', {
      method: 'POST',
      headers: { 'content-type': picture.type || 'image/jpeg' },
      body: picture,
    })
    const stored = (await response.json()) as { hash: string; type: string; bytes: number; title?: string }
    if (!response.ok) throw new Error(stored.title)
    visit.append('photo', {
      hash: stored.hash,
      type: stored.type,
      bytes: stored.bytes,
      name: file.name.slice(0, 200),
      ...(of ? { of } : {}),
      ...(caption ? { caption } : {}),
    })
  } catch (error) {
    problem.value =
      error instanceof TypeError
        ? 'The server does not answer, and a picture cannot wait here: take it again when it is back.'
        : (error as Error).message
  }
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
