<script setup lang="ts">
import type { Handle } from '#core/questions/picture'

/**
 * A point of a picture that can be pulled, by finger, mouse or arrow keys. It says where it was pulled to; the picture
 * knows what that means.
 */
const { x, y, handle, value, text } = defineProps<{
  x: number
  y: number
  handle: Handle
  value: number
  text: string
}>()
const emit = defineEmits<{ pull: [{ x: number; y: number }]; set: [number]; hold: [boolean] }>()
const mark = useTemplateRef<SVGGElement>('mark')
const held = ref(false)
let latest: PointerEvent | undefined
let frame = 0
function grab(event: PointerEvent): void {
  held.value = true
  emit('hold', true)
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
function move(event: PointerEvent): void {
  if (!held.value) return
  latest = event
  // One picture a frame, however fast the finger reports.
  frame ||= requestAnimationFrame(() => {
    frame = 0
    const matrix = mark.value?.ownerSVGElement?.getScreenCTM()?.inverse()
    if (!matrix || !latest) return
    const point = new DOMPoint(latest.clientX, latest.clientY).matrixTransform(matrix)
    emit('pull', { x: point.x, y: point.y })
  })
}
function release(): void {
  held.value = false
  emit('hold', false)
}
const STRIDE = 10
function key(event: KeyboardEvent): void {
  const { min, max, step } = handle
  const way = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: STRIDE, PageDown: -STRIDE }[event.key]
  const to =
    event.key === 'Home'
      ? min
      : event.key === 'End'
        ? max
        : way === undefined
          ? undefined
          : Math.min(max, Math.max(min, value + way * step))
  if (to === undefined) return
  event.preventDefault()
  emit('set', to)
}
onBeforeUnmount(() => cancelAnimationFrame(frame))
</script>

<template>
  <g
    ref="mark"
    class="pull"
    role="slider"
    tabindex="0"
    :aria-label="`pull ${handle.label}`"
    :aria-valuenow="value"
    :aria-valuemin="handle.min"
    :aria-valuemax="handle.max"
    :aria-valuetext="text"
    :transform="`translate(${x} ${y})`"
    :data-testid="`pull-${handle.label.replaceAll(' ', '-')}`"
    @pointerdown="grab"
    @pointermove="move"
    @pointerup="release"
    @pointercancel="release"
    @keydown="key"
  >
    <circle r="24" fill="transparent" />
    <circle r="10" fill="var(--paper)" stroke="var(--river)" stroke-width="3" />
    <path
      :transform="handle.axis === 'up' ? undefined : 'rotate(90)'"
      d="M-4.500 -14 0 -20 4.500 -14M-4.500 14 0 20 4.500 14"
      fill="none"
      stroke="var(--river)"
      stroke-width="2.500"
      stroke-linecap="round"
    />
  </g>
</template>

<style scoped>
.pull {
  cursor: grab;
  touch-action: none;
}
.pull:active {
  cursor: grabbing;
}
.pull:focus-visible {
  outline: none;
}
.pull:focus-visible circle:nth-child(2) {
  stroke-width: 6;
}
</style>
