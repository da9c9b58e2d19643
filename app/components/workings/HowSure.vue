<script setup lang="ts">
import { proxy } from 'comlink'
import type { NumberField } from '#core/questions/fields'
import type { Answer, Question } from '#core/questions/question'
import type { Spread, SweepPoint } from '#core/questions/spread'
import { VERDICT_WORDS, type Verdict } from '#core/judgement/judgement'
import { formatNumber, formatPercent } from '#core/quantity/format'
import { toShown, unitOf } from '#core/quantity/measures'
import { q, renderAmount } from '#core/quantity/sentence'

/**
 * How sure the answer is: every assumption shaken at once, or one followed from end to end. In a worker, and it can be
 * stopped.
 */
const { question, input, solved } = defineProps<{
  question: Question
  input: Readonly<Record<string, unknown>>
  solved: Answer['solved']
}>()
const { system, reader } = useUnits()
const { Chart, css, scheme, look } = useChartLook()
const RUNS = 10_000
const STEPS = 41
const doubt = ref(20)
const done = ref<number>()
const spread = shallowRef<Spread>()
const sweep = shallowRef<SweepPoint[]>()
const numbers = computed(() =>
  question.fields.filter(
    (field): field is NumberField =>
      field.as === 'number' && typeof input[field.name] === 'number' && (input[field.name] as number) !== 0,
  ),
)
const field = ref('')
watch(
  () => question.id,
  () => {
    field.value = numbers.value[0]?.name ?? ''
  },
  { immediate: true },
)
watch([() => question.id, () => JSON.stringify(input)], () => {
  spread.value = sweep.value = undefined
  if (done.value !== undefined) stop()
})
async function shake(): Promise<void> {
  done.value = 0
  const plain = JSON.parse(JSON.stringify(input)) as object
  const found = await useAsker().spread(
    question.id,
    plain,
    Object.fromEntries(numbers.value.map(({ name }) => [name, doubt.value])),
    RUNS,
    1,
    proxy((so: number) => {
      if (done.value !== undefined) done.value = so
    }),
  )
  done.value = undefined
  if (found) spread.value = found
}
function stop(): void {
  void useAsker().stop()
  done.value = undefined
}
const followed = computed(() => numbers.value.find(({ name }) => name === field.value))
async function follow(): Promise<void> {
  const at = input[field.value] as number
  if (!followed.value) return
  const { min = followed.value.above ?? 0, max } = followed.value
  sweep.value = await useAsker().sweep(
    question.id,
    JSON.parse(JSON.stringify(input)) as object,
    field.value,
    Math.max(min, at * 0.4),
    Math.min(max, at * 1.8),
    STEPS,
  )
}
const measure = computed(() => question.follow.amount(solved)?.measure ?? 'count')
const shown = (value: number) => toShown(value, measure.value, system.value)
const base = computed(() => ({ ...look.value, colors: [css('--river')], legend: { show: false } }))
const histogram = computed(() => ({
  ...base.value,
  plotOptions: { bar: { columnWidth: '94%' } },
  xaxis: {
    categories: spread.value?.bins.map(({ from, to }) => formatNumber(shown((from + to) / 2))),
    tickAmount: 6,
    labels: { rotate: 0, hideOverlappingLabels: true },
    title: { text: [question.follow.label, unitOf(measure.value, system.value)].filter(Boolean).join(', ') },
  },
  yaxis: { show: false },
  tooltip: { y: { formatter: (value: number) => `${value} of ${RUNS}` } },
}))
const line = computed(() => ({
  ...base.value,
  stroke: { width: 3 },
  xaxis: {
    type: 'numeric' as const,
    tickAmount: 6,
    labels: { formatter: (value: string) => formatNumber(Number(value)) },
    title: { text: followed.value ? `${followed.value.label}, ${unitOf(followed.value.measure, system.value)}` : '' },
  },
  yaxis: { labels: { formatter: (value: number) => formatNumber(value) } },
  annotations: {
    xaxis: [
      {
        x: toShown(Number(input[field.value]), followed.value?.measure ?? 'count', system.value),
        borderColor: css('--ink'),
        label: { text: 'now', orientation: 'horizontal', style: { background: css('--sheet'), color: css('--ink') } },
      },
    ],
  },
  tooltip: {
    x: { formatter: (value: number) => formatNumber(value) },
    y: { formatter: (value: number) => formatNumber(value) },
  },
}))
const points = computed(() => [
  {
    name: question.follow.label,
    data: (sweep.value ?? []).map(({ x, y }) => ({
      x: toShown(x, followed.value?.measure ?? 'count', system.value),
      y: y === undefined ? null : shown(y),
    })),
  },
])
const shares = computed(() =>
  (Object.entries(spread.value?.share ?? {}) as [Verdict | 'none', number][]).filter(([, share]) => share > 0),
)
</script>

<template>
  <section data-testid="how-sure">
    <h2 class="text-xl">How sure is it?</h2>
    <div class="mt-2 flex flex-wrap items-end gap-2">
      <label class="w-60"
        ><span class="label">each number off by up to</span
        ><select v-model.number="doubt" class="field">
          <option v-for="each in [5, 10, 20, 30, 50]" :key="each" :value="each">± {{ each }} %</option>
        </select></label
      >
      <button v-if="done === undefined" type="button" class="button" data-testid="shake" @click="shake">
        Try {{ RUNS.toLocaleString('en-US') }} ways
      </button>
      <template v-else
        ><progress class="h-12 w-40" :value="done" :max="RUNS" aria-label="tries done" /><button
          type="button"
          class="button"
          data-testid="stop"
          @click="stop"
        >
          Stop
        </button></template
      >
    </div>
    <div v-if="spread" class="mt-2" data-testid="spread">
      <p class="flex flex-wrap gap-x-5">
        <span v-for="[verdict, share] in shares" :key="verdict" class="inline-flex items-center gap-2"
          ><StateMark :verdict="verdict === 'none' ? undefined : verdict" /> {{ formatPercent(share) }}
          {{ verdict === 'none' ? 'no answer' : VERDICT_WORDS[verdict] }}</span
        >
      </p>
      <p v-if="spread.middle !== undefined" class="text-slate">
        {{ question.follow.label }}: {{ renderAmount(q(spread.middle, measure), reader) }}, four of five tries between
        {{ renderAmount(q(spread.low ?? 0, measure), reader) }} and
        {{ renderAmount(q(spread.high ?? 0, measure), reader) }}
      </p>
      <component
        :is="Chart"
        v-if="spread.bins.length > 1"
        :key="`${scheme} ${system}`"
        type="bar"
        height="190"
        :options="histogram"
        :series="[{ name: 'tries', data: spread.bins.map(({ count }) => count) }]"
      />
    </div>
    <div class="mt-3 flex flex-wrap items-end gap-2">
      <label class="min-w-0 flex-1 basis-48"
        ><span class="label">follow one number</span
        ><select v-model="field" class="field" @change="sweep = undefined">
          <option v-for="each in numbers" :key="each.name" :value="each.name">{{ each.label }}</option>
        </select></label
      >
      <button type="button" class="button" data-testid="follow" :disabled="!field" @click="follow">Follow it</button>
    </div>
    <div v-if="sweep" class="mt-2" data-testid="sweep">
      <p class="text-slate">
        {{ question.follow.label }}{{ unitOf(measure, system) ? `, ${unitOf(measure, system)}` : '' }}
      </p>
      <component :is="Chart" :key="`${scheme} ${system}`" type="line" height="220" :options="line" :series="points" />
    </div>
  </section>
</template>
