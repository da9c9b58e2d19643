<script setup lang="ts">
import type { DayGrounds } from '#core/planning/day-plan'
import type { MapPoint, MapSketch } from '#core/planning/map'
import type { TourRow } from '~/utils/day-rows'
import { placeLabels, smoothPath } from '~/utils/map-labels'

/** The valley with the day's tours, where each stop is, and the calls that wait. */
const {
  sketch,
  grounds,
  tours,
  waiting,
  litId = undefined,
  fitId = undefined,
} = defineProps<{
  sketch: MapSketch
  grounds: DayGrounds
  /** The rows of each van, and where it starts from now: rows of the travel table. */
  tours: { van: string; rows: TourRow[]; from: number }[]
  waiting: { id: string; letter: string; name: string }[]
  litId?: string
  /** The call that is lit, and the place before it in its tour. */
  fitId?: { id: string; after: number }
  units: 'us' | 'metric'
}>()
const SCALE = 31
const TEXT = 13
const size = computed(() => ({ width: sketch.width * SCALE, height: sketch.height * SCALE, size: TEXT }))
const at = ({ x, y }: MapPoint) => ({ x: x * SCALE, y: y * SCALE })
const line = (points: readonly MapPoint[]) => `M${points.map(({ x, y }) => `${x * SCALE} ${y * SCALE}`).join('L')}`
const placeOf = (id: string) => grounds.places[grounds.work[id]?.place ?? -1]

/** The way between two rows of the table: along the roads, or as the crow flies. */
function way(from: number, to: number): string {
  const known = grounds.travel.ways[from]?.[to] ?? []
  if (known.length > 0)
    return `M${known.map((each, index) => `${index > 0 && index % 2 === 0 ? 'L' : ' '}${each * SCALE}`).join('')}`
  const [a, b] = [grounds.places[from], grounds.places[to]]
  return a && b ? line([a, b]) : ''
}
const ways = computed(() =>
  tours.flatMap(({ rows, from }) => {
    let here = from
    const legs: string[] = []
    for (const { is, visit } of rows.filter((row) => row.is === 'ahead' || row.is === 'errand')) {
      const next = is === 'errand' ? grounds.shop : (grounds.work[visit.id]?.place ?? here)
      legs.push(way(here, next))
      here = next
    }
    if (legs.length > 0) legs.push(way(here, grounds.shop))
    return legs.filter(Boolean)
  }),
)
const fitWay = computed(() => {
  const to = fitId && grounds.work[fitId.id]?.place
  return fitId && to !== undefined ? way(fitId.after, to) : ''
})

interface Mark {
  key: string
  x: number
  y: number
  text: string
  sign: string
  is: 'stop' | 'done' | 'call' | 'shop'
  isRound: boolean
}
/** What stands at one place shares its mark: two machines of one house are one stop on the map. */
const marks = computed(() => {
  const found: Mark[] = []
  const put = (
    key: string,
    place: MapPoint | undefined,
    { text, sign, is, isRound = false }: Pick<Mark, 'text' | 'sign' | 'is'> & { isRound?: boolean },
  ) => {
    if (!place) return
    const point = at(place)
    const same = found.find((each) => Math.hypot(each.x - point.x, each.y - point.y) < 4)
    if (!same) found.push({ key, ...point, text, sign, is, isRound })
    else if (same.is !== 'shop' && sign) same.sign = same.sign ? `${same.sign},${sign}` : sign
  }
  put('shop', grounds.places[grounds.shop], { text: 'shop', sign: '', is: 'shop' })
  for (const [index, { rows }] of tours.entries())
    for (const { id, is, visit, number } of rows)
      if (is !== 'errand')
        put(id, placeOf(visit.id), {
          text: visit.customer.name,
          sign: is === 'done' ? '' : `${number}`,
          is: is === 'done' ? 'done' : 'stop',
          isRound: index > 0,
        })
  for (const { id, letter, name } of waiting) put(id, placeOf(id), { text: name, sign: letter, is: 'call' })
  return found
})
const villages = computed(() => sketch.villages.map((each) => ({ ...each, ...at(each) })))
const named = computed(() => placeLabels(marks.value, villages.value, size.value))
const labels = computed(() => named.value.labels)
const isLit = (key: string) => key === litId || key === fitId?.id
const widthOf = (sign: string) => Math.max(24, 12 + sign.length * 8)
const spoken = computed(
  () => `map of the day: ${marks.value.map(({ text, sign }) => (sign ? `${sign} ${text}` : text)).join(', ')}`,
)
</script>

<template>
  <svg :viewBox="`0 0 ${size.width} ${size.height}`" role="img" :aria-label="spoken" class="map" data-testid="day-map">
    <path :d="smoothPath(sketch.river.map(at))" class="river-bank" />
    <path :d="smoothPath(sketch.river.map(at))" class="river" />
    <path
      v-for="(road, index) in sketch.roads"
      :key="index"
      :d="line(road.line)"
      class="road"
      :class="{ 'is-track': road.isTrack }"
    />
    <path v-for="(bridge, index) in sketch.bridges" :key="`b${index}`" :d="line(bridge)" class="bridge" />
    <text v-for="{ name, x, y } in named.areas" :key="name" :x="x" :y="y" class="village">{{ name }}</text>
    <path v-for="(each, index) in ways" :key="`w${index}`" :d="each" class="tour" />
    <path v-for="(each, index) in ways" :key="`i${index}`" :d="each" class="tour-inside" />
    <template v-if="fitWay">
      <path :d="fitWay" class="fit" />
      <path :d="fitWay" class="fit-inside" />
    </template>
    <g v-for="(mark, index) in marks" :key="mark.key" :class="[`is-${mark.is}`, { 'is-lit': isLit(mark.key) }]">
      <rect
        :x="mark.x - widthOf(mark.sign) / 2"
        :y="mark.y - 12"
        :width="widthOf(mark.sign)"
        height="24"
        :rx="mark.isRound ? 12 : 5"
        class="mark"
      />
      <text :x="mark.x" :y="mark.y + 5" class="sign">{{ mark.sign }}</text>
      <text
        v-if="labels[index]"
        :x="labels[index].x"
        :y="labels[index].y"
        :text-anchor="labels[index].anchor"
        class="name"
      >
        {{ mark.text }}
      </text>
    </g>
    <path
      :d="`M12 ${size.height - 14}h${(units === 'us' ? 1.609344 : 2) * SCALE}m0 -4v8M12 ${size.height - 18}v8`"
      class="scale"
    />
    <text :x="18 + (units === 'us' ? 1.609344 : 2) * SCALE" :y="size.height - 9" class="name soft">
      {{ units === 'us' ? '1 mi' : '2 km' }}
    </text>
  </svg>
</template>

<style scoped>
.map {
  width: 100%;
  height: auto;
  max-height: 26rem;
}
path {
  fill: none;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.river-bank {
  stroke: var(--slate);
  stroke-width: 23;
}
.river {
  stroke: var(--water);
  stroke-width: 20;
}
.road {
  stroke: var(--rule);
  stroke-width: 3;
}
.is-track {
  stroke-dasharray: 3 5;
}
.bridge {
  stroke: var(--slate);
  stroke-width: 6;
}
.tour,
.fit {
  stroke: var(--ink);
  stroke-width: 7;
}
.tour-inside {
  stroke: var(--paper);
  stroke-width: 3.4;
}
.fit {
  stroke: var(--lamp);
}
.fit-inside {
  stroke: var(--lamp-ink);
  stroke-width: 2;
  stroke-dasharray: 5 5;
}
.mark {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.is-done .mark,
.is-shop .mark {
  fill: var(--ink);
}
.is-call .mark {
  stroke: var(--slate);
  stroke-dasharray: 3 2;
}
.is-lit .mark {
  fill: var(--lamp);
  stroke: var(--lamp-ink);
}
text {
  fill: var(--ink);
  font-size: 13px;
}
.sign {
  text-anchor: middle;
  font-family: var(--font-mono);
  font-weight: 700;
}
.is-lit .sign {
  fill: var(--lamp-ink);
}
.name {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  stroke-linejoin: round;
}
.is-call .name,
.is-call .sign,
.soft {
  fill: var(--slate);
}
.village {
  fill: var(--slate);
  font-size: 11.5px;
  letter-spacing: 0.09em;
  text-transform: uppercase;
}
.scale {
  stroke: var(--ink);
  stroke-width: 1.6;
}
</style>
