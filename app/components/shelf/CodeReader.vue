<script setup lang="ts">
import type { IScannerControls } from '@zxing/browser'
import { Camera, X } from '@lucide/vue'

/** Reads a code by the camera: the shop's own label, or what stands on the bag. Nothing of the picture is kept. */
const emit = defineEmits<{ read: [code: string] }>()
const video = useTemplateRef<HTMLVideoElement>('video')
const isOn = ref(false)
const problem = ref('')
let controls: IScannerControls | undefined
/** The same code is seen many times a second while it lies there. */
const SAME_FOR = 1500
let last = { code: '', at: 0 }
async function start(): Promise<void> {
  problem.value = ''
  isOn.value = true
  await nextTick()
  try {
    const { BrowserMultiFormatReader } = await import('@zxing/browser')
    controls = await new BrowserMultiFormatReader().decodeFromVideoDevice(
      undefined,
      video.value ?? undefined,
      (result) => {
        if (!result) return
        const code = result.getText()
        const now = Date.now()
        if (code !== last.code || now - last.at > SAME_FOR) emit('read', code)
        last = { code, at: now }
      },
    )
    if (!isOn.value) stop()
  } catch {
    problem.value = 'The camera cannot be opened here: type the code.'
    isOn.value = false
  }
}
function stop(): void {
  controls?.stop()
  controls = undefined
  isOn.value = false
}
onBeforeUnmount(stop)
</script>

<template>
  <div>
    <button v-if="!isOn" type="button" class="button" data-testid="read-code" @click="start">
      <Camera :size="18" aria-hidden="true" />Read a code
    </button>
    <div v-else class="relative max-w-sm">
      <video ref="video" class="w-full rounded border border-ink" muted playsinline aria-label="what the camera sees" />
      <button type="button" class="button mt-2" @click="stop"><X :size="18" aria-hidden="true" />Enough</button>
    </div>
    <p v-if="problem" role="alert" class="text-rust">{{ problem }}</p>
  </div>
</template>
