<script setup lang="ts">
import { bearingWords, waterWords } from '#core/sound/words'
import { turningOf } from '#core/sound/turning'
import { usePractice } from '~/stores/practice'
import type { Listened } from '~/workers/sound.worker'

/** What the machine sounds like now: made by the same physics as its readings, and heard as a recording would be. */
const { state } = useVisitContext()
const practice = usePractice()
const url = ref<string>()
const listened = shallowRef<Extract<Listened, { heard: unknown }>>()
const isMaking = ref(false)
const hear = oneAtATime(async () => {
  const now = practice.state
  if (!now) return
  isMaking.value = true
  const wav = await useLooker().sound(toRaw(now.machine), now.begun.body.of.seed)
  if (url.value) URL.revokeObjectURL(url.value)
  url.value = URL.createObjectURL(new Blob([wav], { type: 'audio/wav' }))
  const found = await useListener().listen(wav, { ...turningOf(state.value.plate) })
  listened.value = 'problem' in found ? undefined : found
  isMaking.value = false
})
onBeforeUnmount(() => {
  if (url.value) URL.revokeObjectURL(url.value)
})
</script>

<template>
  <div class="mt-2" data-testid="practice-sound">
    <button v-if="!url" type="button" class="button w-full" data-testid="hear" :disabled="isMaking" @click="hear">
      {{ isMaking ? 'Making its sound' : 'Hear it' }}
    </button>
    <template v-else>
      <audio :src="url" controls class="h-12 w-full" aria-label="the machine as it sounds now" />
      <template v-if="listened">
        <p class="text-[0.95rem]">{{ bearingWords(listened.heard.bearing) }} {{ waterWords(listened.heard.water) }}</p>
        <SoundChart
          :points="listened.picture.tones.points"
          :lines="listened.picture.tones.lines"
          ruler="ratios"
          unit="Hz"
          label="its tones, from low to high"
        />
      </template>
    </template>
  </div>
</template>
