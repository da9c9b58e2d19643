<script setup lang="ts">
/** A picture as wide as its place, in true pixels, so that its words stay readable on a phone. */
const { label, height = 400, least = 300 } = defineProps<{ label: string; height?: number; least?: number }>()
const box = useTemplateRef<HTMLElement>('box')
const width = defineModel<number>('width', { default: 720 })
onMounted(() => {
  const watcher = new ResizeObserver(([entry]) => {
    if (entry) width.value = Math.max(least, Math.round(entry.contentRect.width))
  })
  if (box.value) watcher.observe(box.value)
  onBeforeUnmount(() => watcher.disconnect())
})
</script>

<template>
  <figure ref="box" class="m-0 w-full overflow-hidden" data-testid="picture">
    <svg
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      :aria-label="label"
      role="group"
      class="block select-none"
      font-family="var(--font-sans)"
      font-size="15"
      fill="var(--ink)"
    >
      <slot />
    </svg>
    <slot name="below" />
  </figure>
</template>
