<script setup lang="ts">
import QRCode from 'qrcode'

/** A label to stick on the machine: its code opens its card, and its words serve without one. */
const route = useRoute()
const id = computed(() => String(route.params.id))
const { view, problem } = useCard(id)
/** A name that means the very computer that asks. */
const isHereOnly = ['localhost', '127.0.0.1', '[::1]'].includes(window.location.hostname)
const code = ref('')
const address = computed(() => `${window.location.origin}/pumps/${id.value}`)
watch(
  address,
  async (text) => {
    // Wet, scratched and read at an angle: a quarter of it may be gone.
    code.value = await QRCode.toString(text, { type: 'svg', errorCorrectionLevel: 'Q', margin: 2 })
  },
  { immediate: true },
)
const picture = computed(() => `data:image/svg+xml,${encodeURIComponent(code.value)}`)
function print(): void {
  window.print()
}
useHead({ title: 'Label · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Label" />
    <main class="p-6 max-sm:p-3">
      <p v-if="problem" class="font-bold">{{ problem }}</p>
      <template v-else-if="view">
        <section class="label-paper" data-testid="label">
          <img
            v-if="code"
            :src="picture"
            alt="a code that opens the card of this machine"
            class="code"
            data-testid="label-code"
          />
          <div class="min-w-0">
            <p class="name">{{ view.card.machine.name }}</p>
            <p class="line">{{ view.card.customer.name }}</p>
            <p class="line number">{{ id.slice(-8) }}</p>
            <p v-if="view.shop.name" class="line small">{{ view.shop.name }}</p>
          </div>
        </section>
        <div class="no-print mt-5 flex flex-wrap gap-3">
          <button type="button" class="button" @click="print">Print the label</button
          ><NuxtLink class="button button-quiet" :to="`/pumps/${id}`">To its card</NuxtLink>
        </div>
        <p class="no-print mt-3 max-w-xl text-slate">
          70 × 36 mm. The code holds the address under which this page was opened:
          <span class="number break-all">{{ address }}</span>
          <template v-if="isHereOnly"
            >. That is this computer’s own name for itself, which no telephone finds: open this page by the name under
            which the others reach it, then print.</template
          >
        </p>
      </template>
      <p v-else class="text-slate">Reading the card</p>
    </main>
  </div>
</template>

<style scoped>
.label-paper {
  display: flex;
  gap: 3mm;
  align-items: center;
  width: 70mm;
  height: 36mm;
  padding: 2mm;
  overflow: hidden;
  border: 1px solid #14242b;
  background: #fff;
  color: #000;
}
.code {
  flex: none;
  width: 32mm;
  height: 32mm;
}
.name {
  display: -webkit-box;
  overflow: hidden;
  font-size: 4mm;
  font-weight: 700;
  line-height: 1.15;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
}
.line {
  display: -webkit-box;
  overflow: hidden;
  margin-top: 0.8mm;
  font-size: 3.2mm;
  line-height: 1.15;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
.small {
  font-size: 2.8mm;
}
</style>
