<script setup lang="ts">
import QRCode from 'qrcode'

/** A label to stick on something: its code is read by a camera, and its words serve without one. 70 × 36 mm. */
const { code, name, about } = defineProps<{
  /** What the code says. */
  code: string
  name: string
  /** What the code is good for, said to who cannot see it. */
  about: string
}>()
const drawn = ref('')
watch(
  () => code,
  async (text) => {
    // Wet, scratched and read at an angle: a quarter of it may be gone.
    drawn.value = await QRCode.toString(text, { type: 'svg', errorCorrectionLevel: 'Q', margin: 2 })
  },
  { immediate: true },
)
const picture = computed(() => `data:image/svg+xml,${encodeURIComponent(drawn.value)}`)
</script>

<template>
  <section class="label-paper" data-testid="label">
    <img v-if="drawn" :src="picture" :alt="about" class="code" data-testid="label-code" />
    <div class="min-w-0">
      <p class="name">{{ name }}</p>
      <slot />
    </div>
  </section>
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
:slotted(.line) {
  display: -webkit-box;
  overflow: hidden;
  margin-top: 0.8mm;
  font-size: 3.2mm;
  line-height: 1.15;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
:slotted(.small) {
  font-size: 2.8mm;
}
</style>
