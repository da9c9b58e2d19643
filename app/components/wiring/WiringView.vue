<script setup lang="ts">
import { checkTitle } from '#core/diagnosis/words/check-title'
import { checkKey, type Asked } from '#core/diagnosis/finding'
import { gatesFor } from '#core/diagnosis/gates'
import { motorHas } from '#core/diagnosis/model'
import { windingPair } from '#core/diagnosis/winding-reading'
import { checkInfo, partOfFinding } from '#core/knowledge/checks/checks'
import { GATES } from '#core/knowledge/vocabulary'
import { WIRING_VIEWS, type PointCheck, type TestPoint, type WiringView } from '#core/knowledge/electrical/wiring'
import { worstVerdict, type Verdict } from '#core/judgement/judgement'
import { valueText } from '#core/visit/describe'
import { usualSetup } from '#core/diagnosis/judge-finding'

/** The machine with its covers off: wires, boxes, and the places for the probes. Tapping a place offers its checks. */
const { lit = undefined } = defineProps<{ lit?: Asked }>()
const emit = defineEmits<{ ask: [line: string] }>()
const { visit, state } = useVisitContext()
const { reader } = useUnits()

const kind = computed(() => state.value.machine.kind)
const has = (needs: TestPoint['needs']) => motorHas(state.value.plate.motorType, needs)
const views = computed(() =>
  WIRING_VIEWS.filter(({ kinds }) => kinds.includes(kind.value)).map((view): WiringView => ({
    ...view,
    boxes: view.boxes.filter(({ needs }) => has(needs)),
    wires: view.wires.filter(({ needs }) => has(needs)),
    points: view.points.filter(({ needs }) => has(needs)),
  })),
)
const open = ref<{ view: string; point: string }>()
const panel = useTemplateRef<HTMLElement[]>('panel')
async function choose(view: string, point: string): Promise<void> {
  open.value = { view, point }
  await nextTick()
  panel.value?.[0]?.scrollIntoView({ block: 'nearest' })
}
const chosen = computed(() =>
  views.value.find(({ id }) => id === open.value?.view)?.points.find(({ id }) => id === open.value?.point),
)
const keyOf = (check: Asked) =>
  checkKey(
    check.check === 'insulation-resistance' ? { ...check, setup: check.setup ?? usualSetup(state.value.pump) } : check,
  )
const isLit = (check: PointCheck) => lit !== undefined && keyOf(check) === keyOf(lit)
const litView = computed(() => views.value.find(({ points }) => points.some(({ checks }) => checks.some(isLit)))?.id)

/** The newest finding that answers this check. */
function newest(check: PointCheck) {
  return state.value.findings.findLast(({ finding }) => {
    if (finding.check !== check.check) return false
    if (check.leads)
      return (
        windingPair(finding, kind.value) === windingPair(check, kind.value) &&
        (finding.half === 'motor') === (check.half === 'motor')
      )
    if (check.setup) return (finding.setup ?? usualSetup(state.value.pump)) === check.setup
    return check.part === undefined || (finding.part ?? partOfFinding(finding)) === check.part
  })
}
const verdictOf = (point: TestPoint): Verdict | undefined => {
  const verdicts = point.checks.flatMap((check) => newest(check)?.judgement.verdict ?? [])
  return verdicts.length > 0 ? worstVerdict(verdicts) : undefined
}
const lastOf = (point: TestPoint) => point.checks.map((check) => newest(check)).find((judged) => judged !== undefined)
const gateWords = (check: PointCheck) =>
  gatesFor(check, kind.value, state.value.plate, state.value.standing)
    .map((gate) => GATES[gate].label)
    .join(', ') || 'no gate to turn'
/** The story of this point's reading, where the machine has one. */
const before = computed(() =>
  visit.history.filter(({ check, part }) =>
    chosen.value?.checks.some((each) => each.check === check && (each.part === undefined || each.part === part)),
  ),
)
const charted = computed(
  () =>
    chosen.value?.checks.find(
      ({ check }) => before.value.filter((reading) => reading.check === check && reading.value !== null).length > 1,
    )?.check,
)
const write = (check: PointCheck) => emit('ask', `${lineSubject(check)} `)
</script>

<template>
  <div data-testid="wiring">
    <figure v-for="view in views" :key="view.id" class="m-0 mb-4" :data-testid="`wiring-${view.id}`">
      <figcaption class="text-[1.05rem] font-bold">
        {{ view.title.charAt(0).toUpperCase() + view.title.slice(1)
        }}<span v-if="view.id === litView" class="sr-only">, the lit check is here</span>
      </figcaption>
      <div class="scroller" tabindex="0" role="group" :aria-label="`${view.title}, diagram`">
        <svg
          viewBox="0 0 760 300"
          fill="none"
          stroke="var(--ink)"
          stroke-width="2"
          stroke-linejoin="round"
          role="group"
          :aria-label="view.title"
        >
          <g v-for="box in view.boxes" :key="`${box.label}${box.at}`">
            <rect :x="box.at[0]" :y="box.at[1]" :width="box.size[0]" :height="box.size[1]" rx="4" class="box" />
            <text :x="box.at[0] + 8" :y="box.at[1] + (box.size[1] < 70 ? -6 : 18)" class="box-label">
              {{ box.label }}
            </text>
          </g>
          <g v-for="wire in view.wires" :key="wire.path" :class="['wire', wire.kind]">
            <path :d="wire.path" />
            <text v-if="wire.label && wire.labelAt" :x="wire.labelAt[0]" :y="wire.labelAt[1]" class="wire-label">
              {{ wire.label }}
            </text>
          </g>
          <g
            v-for="point in view.points"
            :key="point.id"
            class="point"
            role="button"
            tabindex="0"
            :aria-label="`test point ${point.label}: ${verdictOf(point) ?? 'not checked'}`"
            :aria-pressed="open?.view === view.id && open?.point === point.id"
            :data-testid="`point-${view.id}-${point.id}`"
            @click="choose(view.id, point.id)"
            @keydown.enter.prevent="choose(view.id, point.id)"
            @keydown.space.prevent="choose(view.id, point.id)"
          >
            <circle v-if="point.checks.some(isLit)" :cx="point.at[0]" :cy="point.at[1]" r="26" class="is-lit" />
            <rect :x="point.at[0] - 24" :y="point.at[1] - 24" width="48" height="48" class="touch" />
            <circle :cx="point.at[0]" :cy="point.at[1]" r="13" class="ring" />
            <foreignObject :x="point.at[0] - 10" :y="point.at[1] - 10" width="20" height="20" class="overflow-visible"
              ><StateMark :verdict="verdictOf(point)"
            /></foreignObject>
            <text v-if="lastOf(point)" :x="point.at[0] + 17" :y="point.at[1] + 5" class="value">
              {{ valueText(lastOf(point)!, reader) }}
            </text>
          </g>
        </svg>
      </div>
      <p v-if="view.note" class="text-[0.95rem] text-slate">{{ view.note }}</p>
      <section
        v-if="open?.view === view.id && chosen"
        ref="panel"
        class="mt-2 border-l-4 border-river pl-4"
        aria-live="polite"
        data-testid="point-panel"
      >
        <h3 class="text-[1.1rem]">{{ chosen.label.charAt(0).toUpperCase() + chosen.label.slice(1) }}</h3>
        <p><strong>Meter:</strong> {{ chosen.meter }}. <strong>Leads:</strong> {{ chosen.leads }}.</p>
        <ul class="ruled">
          <li
            v-for="check in chosen.checks"
            :key="checkKey(check)"
            class="flex flex-wrap items-center gap-x-3 gap-y-1 py-2"
          >
            <StateMark :verdict="newest(check)?.judgement.verdict" />
            <span class="min-w-0 flex-1"
              ><strong>{{ checkTitle(check) }}</strong
              ><span class="block text-[0.9rem] text-slate"
                >{{ gateWords(check) }} · {{ checkInfo(check.check)?.minutes }} min<template
                  v-if="checkInfo(check.check)?.caution"
                >
                  · <CautionText :text="checkInfo(check.check)!.caution!" /></template></span
            ></span>
            <span v-if="newest(check)" class="number">{{ valueText(newest(check)!, reader) }}</span>
            <button
              type="button"
              class="button"
              :class="{ 'button-lit': isLit(check) }"
              :data-testid="`write-${checkKey(check)}`"
              @click="write(check)"
            >
              write
            </button>
          </li>
        </ul>
        <HistoryChart
          v-if="charted"
          :key="charted"
          :check="charted"
          :before="before"
          :now="state.findings.filter(({ finding }) => finding.check === charted)"
          class="mt-2"
        />
      </section>
    </figure>
    <p v-if="views.length === 0" class="text-slate">There is nothing to probe on this machine.</p>
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  min-width: 560px;
  height: auto;
  max-height: 20rem;
}
.scroller {
  overflow-x: auto;
}
.box {
  fill: var(--sheet);
  fill-opacity: 0.75;
  stroke-width: 1.6;
}
.box-label {
  fill: var(--ink);
  stroke: none;
  font-size: 13px;
  font-weight: 700;
}
.wire-label {
  fill: var(--slate);
  stroke: none;
  font-size: 12px;
}
.value {
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 4px;
  paint-order: stroke;
  font: 700 13px var(--font-mono);
}
.wire path {
  stroke-width: 2.4;
}
.neutral path {
  stroke-width: 1.6;
}
.ground path {
  stroke: var(--moss);
  stroke-dasharray: 10 5;
}
.signal path {
  stroke: var(--river);
  stroke-width: 1.6;
}
.point {
  cursor: pointer;
}
.touch {
  fill: transparent;
  stroke: none;
}
.ring {
  fill: var(--paper);
  stroke-width: 1.6;
}
.is-lit {
  fill: var(--lamp);
  stroke: none;
}
.point:focus {
  outline: none;
}
.point:focus-visible .ring,
.point[aria-pressed='true'] .ring {
  stroke: var(--river);
  stroke-width: 4;
}
</style>
