<script setup lang="ts">
import type { TakeDownStep } from '#core/takedown/plan'

/**
 * The joint from its front: where its pieces sit, which are long, and on the way back in which order they are brought
 * home.
 */
const { step, count } = defineProps<{
  step: Pick<TakeDownStep, 'joint' | 'places' | 'tighten' | 'phase'>
  count: number
}>()
const RINGED = ['bolt', 'screw']
const kind = computed(() =>
  step.joint === 'shims'
    ? 'corners'
    : step.joint === 'clamp-band'
      ? 'band'
      : step.joint === 'o-ring-seat'
        ? 'ring'
        : step.joint === 'union'
          ? 'union'
          : step.joint === 'glued-pipe'
            ? 'glued'
            : step.joint === 'wire-terminal' || step.joint === 'wire-splice'
              ? 'wires'
              : step.joint !== undefined && RINGED.includes(step.joint) && count > 1
                ? 'bolts'
                : undefined,
)
const shown = computed(() => Math.min(16, Math.max(2, count)))
/** Pieces of the second place (the long ones, the lower ones) sit low on the ring. */
const rowHeight = (row: number) => 14 + (92 * row) / (Math.min(6, shown.value) + 1)
const twoLines = (x: number, y: number) => `M${x} ${y}h26M${x} ${y + 4}h26`
const long = computed(() =>
  step.places && step.places.length === 2 && (step.places[1]?.count ?? 0) > 0 ? (step.places[1]?.count ?? 0) : 0,
)
const places = computed(() =>
  Array.from({ length: shown.value }, (_, index) => {
    const angle = (2 * Math.PI * (index + (shown.value === 4 ? 0.5 : 0))) / shown.value
    return { x: 60 + 42 * Math.sin(angle), y: 60 - 42 * Math.cos(angle) }
  }),
)
const lowest = computed(
  () =>
    new Set(
      places.value
        .map(({ y }, index) => ({ y, index }))
        .sort((a, b) => b.y - a.y)
        .slice(0, long.value)
        .map(({ index }) => index),
    ),
)
const order = computed(() =>
  step.phase === 'back' && step.tighten && count > 2 ? tighteningOrder(shown.value, step.tighten.pattern) : undefined,
)
const turnOf = (index: number) => (order.value?.indexOf(index) ?? -1) + 1
</script>

<template>
  <svg
    v-if="kind"
    viewBox="0 0 120 120"
    width="92"
    height="92"
    class="shrink-0"
    fill="none"
    stroke="currentColor"
    stroke-width="2"
    role="img"
    :aria-label="order ? `tighten ${step.tighten?.pattern}, in the order of the numbers` : 'the joint from its front'"
    :data-testid="order ? 'tighten' : 'joint-face'"
  >
    <template v-if="kind === 'bolts'">
      <circle cx="60" cy="60" r="57" />
      <circle cx="60" cy="60" r="24" />
      <g v-for="(place, index) in places" :key="index">
        <circle :cx="place.x" :cy="place.y" :r="order ? 11 : 8" fill="#fffdf7" />
        <circle v-if="lowest.has(index)" :cx="place.x" :cy="place.y" :r="order ? 14 : 11" />
        <text
          v-if="order"
          :x="place.x"
          :y="place.y + 5"
          text-anchor="middle"
          font-size="13"
          font-weight="700"
          fill="currentColor"
          stroke="none"
        >
          {{ turnOf(index) }}
        </text>
        <path v-else :d="`M${place.x - 4} ${place.y}h8M${place.x} ${place.y - 4}v8`" />
      </g>
    </template>
    <template v-else-if="kind === 'corners'">
      <rect x="8" y="8" width="104" height="104" />
      <circle cx="60" cy="60" r="26" />
      <g
        v-for="(corner, index) in [
          [26, 26],
          [94, 26],
          [94, 94],
          [26, 94],
        ]"
        :key="index"
      >
        <path :d="twoLines((corner[0] ?? 0) - 13, (corner[1] ?? 0) + 10)" stroke-width="3" />
        <text
          :x="corner[0]"
          :y="(corner[1] ?? 0) + 4"
          text-anchor="middle"
          font-size="17"
          font-weight="700"
          fill="currentColor"
          stroke="none"
        >
          {{ index + 1 }}
        </text>
      </g>
    </template>
    <template v-else-if="kind === 'band'">
      <circle cx="60" cy="66" r="48" stroke-width="6" />
      <rect x="52" y="4" width="16" height="20" fill="#fffdf7" />
      <circle cx="60" cy="66" r="28" />
    </template>
    <template v-else-if="kind === 'ring'">
      <circle cx="60" cy="60" r="55" />
      <circle cx="60" cy="60" r="44" stroke-width="6" />
      <circle cx="60" cy="60" r="33" />
    </template>
    <template v-else-if="kind === 'union'">
      <path d="M4 44h28v32H4ZM88 44h28v32H88Z" />
      <path d="M32 32h56v56H32ZM46 32v56M60 32v56M74 32v56" />
    </template>
    <template v-else-if="kind === 'glued'">
      <path d="M4 44h112v32H4Z" />
      <rect x="36" y="36" width="48" height="48" fill="#fffdf7" />
      <path d="M60 36v48" stroke-dasharray="5 4" />
    </template>
    <template v-else>
      <rect x="62" y="14" width="46" height="92" />
      <g v-for="row in Math.min(6, shown)" :key="row">
        <circle cx="80" :cy="rowHeight(row)" r="6" />
        <path :d="`M74 ${rowHeight(row)}C50 ${rowHeight(row)} 40 ${30 + row * 8} 10 ${24 + row * 12}`" />
      </g>
    </template>
  </svg>
</template>
