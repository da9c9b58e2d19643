<script setup lang="ts">
import { CONSTRUCTION_GRAPHS } from '#core/knowledge/constructions'
import { PARTS } from '#core/knowledge/vocabulary'
import { explodedOf } from '#core/takedown/exploded'
import { parseJoint } from '#core/takedown/step-ref'
import { shapeOf, sizeOf } from '~/utils/piece-shape'

/**
 * The machine drawn apart along its axis: what is off stands away from it in the order it came, the joint at hand is
 * lit.
 */
const emit = defineEmits<{ part: [part: string] }>()
const { steps, records, current } = useRepair()
const { state } = useVisitContext()
const WIDTH = 760
const HEIGHT = 296
const AXIS = 112
const ROWS = 5
const GAP = { on: 3, lit: 24, off: 20 }
const apart = computed(() => explodedOf(steps.value, records.value, current.value?.id))
const label = computed(
  () =>
    CONSTRUCTION_GRAPHS.find(({ id }) => id === (apart.value.assembly || state.value.machine.construction))?.label ??
    '',
)
/** A motor or a pump that comes off is a piece, and leaves only its place. */
const away = computed(() => placed.value.some(({ shape }) => shape === 'motor'))
/** What everything comes off from, at the right end of the axis. */
const base = computed(() =>
  away.value && state.value.machine.kind !== 'sump'
    ? 'foot'
    : apart.value.assembly === 'motor-bench'
      ? 'rotor'
      : apart.value.assembly.startsWith('submersible') || state.value.machine.kind.startsWith('well')
        ? 'shell'
        : state.value.machine.kind === 'sump'
          ? 'pit'
          : 'motor',
)
const BASE_WIDTH = 176

/** From the machine outwards: the first to come off stands farthest out. */
const placed = computed(() => {
  const outward = [...apart.value.pieces].reverse()
  const natural = outward.reduce(
    (sum, { part, joint, state: how }) => sum + sizeOf(shapeOf(part, joint))[0] + GAP[how],
    0,
  )
  const scale = Math.min(1, (WIDTH - BASE_WIDTH - 34) / Math.max(1, natural))
  let right = WIDTH - BASE_WIDTH - 6
  return outward.map((piece, index) => {
    const shape = shapeOf(piece.part, piece.joint)
    const width = (sizeOf(shape)[0] + GAP[piece.state]) * scale
    right -= width
    const x = right + (sizeOf(shape)[0] * scale) / 2
    const times = piece.count !== undefined && piece.count > 1 ? ` × ${piece.count}` : ''
    const name = `${nameOf(piece)}${times}${piece.state === 'off' ? ', off' : ''}`
    const half = name.length * 3.8
    const row = index % ROWS
    // The first rows of names stand beside what everything comes off from, the others below it.
    const end = row < 2 ? WIDTH - BASE_WIDTH : WIDTH - 4
    return {
      ...piece,
      shape,
      x,
      scale,
      name,
      textX: Math.min(end - half, Math.max(half + 4, x)),
      textY: AXIS + 86 + row * 20,
    }
  })
})
/** Bolts, screws and wires go by the name of their joint: what they hold is not what comes off. */
const BY_JOINT = new Set(['bolt', 'screw', 'wire-terminal', 'wire-splice', 'thread'])
function nameOf({ key, part, joint }: { key: string; part: keyof typeof PARTS; joint?: string }): string {
  return joint && BY_JOINT.has(joint) ? parseJoint(key).joint.replaceAll('-', ' ') : PARTS[part]
}
const piecesWords = computed(() =>
  apart.value.pieces.map(({ part, state: how }) => `${PARTS[part]} ${how === 'lit' ? 'at hand' : how}`).join(', '),
)
const frame = useTemplateRef<HTMLElement>('frame')
watch(
  () => current.value?.id,
  async () => {
    await nextTick()
    const [box, lit] = [frame.value, frame.value?.querySelector('[data-state=lit]')]
    if (box && lit)
      box.scrollLeft += lit.getBoundingClientRect().left - box.getBoundingClientRect().left - box.clientWidth / 2
  },
  { immediate: true },
)
</script>

<template>
  <figure ref="frame" class="exploded" tabindex="0" :aria-label="`${label}, drawn apart`" data-testid="exploded">
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      :aria-label="`${label}, drawn apart: ${piecesWords}`"
      role="img"
      color="var(--ink)"
    >
      <defs>
        <radialGradient id="piece-glow">
          <stop offset="0" stop-color="var(--lamp)" stop-opacity="0.9" />
          <stop offset="0.6" stop-color="var(--lamp)" stop-opacity="0.4" />
          <stop offset="1" stop-color="var(--lamp)" stop-opacity="0" />
        </radialGradient>
      </defs>
      <path :d="`M8 ${AXIS}H${WIDTH - 8}`" stroke="var(--slate)" stroke-width="1" stroke-dasharray="14 4 3 4" />
      <g
        :transform="`translate(${WIDTH - BASE_WIDTH} ${AXIS})`"
        fill="var(--sheet)"
        stroke="currentColor"
        stroke-width="2"
        stroke-linejoin="round"
      >
        <g v-if="base === 'motor'">
          <path d="M0 -9h20v18H0Z" />
          <rect x="16" y="-66" width="148" height="132" rx="12" />
          <path d="M46 -66v-22h76v22M58 -76h52" />
          <rect x="44" y="-50" width="94" height="26" />
          <rect x="44" y="24" width="94" height="26" />
          <path d="M44 -9h110v18H44M52 66v16h-14v8h120v-8h-14v-16" />
        </g>
        <g v-else-if="base === 'foot'"><path d="M10 66h150v18H10ZM28 84v14h24V84M118 84v14h24V84" /></g>
        <g v-else-if="base === 'rotor'">
          <path d="M0 -9h170v18H0Z" />
          <rect x="34" y="-44" width="92" height="88" />
          <path d="M34 -30h92M34 -15h92M34 15h92M34 30h92" stroke-width="1" />
        </g>
        <g v-else-if="base === 'shell'">
          <rect x="4" y="-38" width="166" height="76" rx="10" />
          <path d="M26 -38v76M44 -38v76M132 -38v76" />
          <rect x="56" y="-26" width="64" height="52" />
        </g>
        <g v-else>
          <path d="M10 -70V80h156V-70" />
          <path d="M10 26h156" stroke="var(--river)" />
          <template v-if="!away">
            <rect x="52" y="-20" width="70" height="86" rx="14" />
            <path d="M78 -20v-36h20v36" />
          </template>
        </g>
      </g>
      <g
        v-for="piece in placed"
        :key="piece.key"
        :data-state="piece.state"
        :data-piece="piece.key"
        class="piece"
        :class="`is-${piece.state}`"
        @click="emit('part', piece.part)"
      >
        <circle v-if="piece.state === 'lit'" :cx="piece.x" :cy="AXIS" r="62" fill="url(#piece-glow)" />
        <path
          :d="`M${piece.x} ${AXIS + 66}L${piece.textX} ${piece.textY - 14}`"
          stroke="var(--slate)"
          stroke-width="1"
          fill="none"
        />
        <g class="moves" :style="{ transform: `translate(${piece.x}px, ${AXIS}px) scale(${piece.scale})` }">
          <PieceGlyph :shape="piece.shape" />
        </g>
        <text :x="piece.textX" :y="piece.textY" text-anchor="middle" font-size="15" fill="currentColor">
          {{ piece.name }}
        </text>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.exploded {
  margin: 0;
  overflow-x: auto;
}
svg {
  display: block;
  width: 100%;
  min-width: 620px;
  max-height: 20rem;
}
.is-off {
  color: var(--slate);
}
/* The lines to the names below pass behind these. */
text {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  stroke-linejoin: round;
}
.is-lit text {
  font-weight: 700;
}
.piece {
  cursor: pointer;
}
.moves {
  transition: transform 0.25s ease;
}
@media (prefers-reduced-motion: reduce) {
  .moves {
    transition: none;
  }
}
@media (max-height: 860px) and (min-width: 901px) {
  svg {
    max-height: 15rem;
  }
}
</style>
