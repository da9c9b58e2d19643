<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { toString as qrSvg } from 'qrcode'

/** A way in, as a code for a phone's camera and as an address to send. */
const { token, until, words } = defineProps<{ token: string; until: string; words: string }>()
const address = computed(() => `${location.origin}/join#${token}`)
const code = ref('')
watch(
  address,
  async (text) => {
    code.value = await qrSvg(text, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' })
  },
  { immediate: true },
)
const card = useTemplateRef<HTMLElement>('card')
// Asked for elsewhere on the page.
watch([card, () => token], () => card.value?.scrollIntoView({ block: 'nearest' }))
const { copy, copied } = useClipboard({ legacy: true })
</script>

<template>
  <section ref="card" class="flex gap-5 max-sm:flex-col border-l-4 border-river pl-4" data-testid="invitation">
    <!-- The code is drawn by the library from the address above, of letters and figures alone. -->
    <!-- eslint-disable-next-line vue/no-v-html -->
    <div class="w-48 shrink-0 self-start bg-white" role="img" :aria-label="`code of ${words}`" v-html="code" />
    <div class="min-w-0 flex-1">
      <p class="font-bold">{{ words }}</p>
      <p class="text-slate">
        Good once, until {{ new Date(until).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' }) }}.
      </p>
      <p class="number break-all text-[0.92rem]" data-testid="invitation-address">{{ address }}</p>
      <button type="button" class="button mt-2" @click="copy(address)">{{ copied ? 'Copied' : 'Copy' }}</button>
    </div>
  </section>
</template>
