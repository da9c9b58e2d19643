<script setup lang="ts">
import { wayOf } from '#core/knowledge/shop/practices'
import { checkKey, pickAsked } from '#core/diagnosis/finding'
import { gateInfo, GATES } from '#core/knowledge/vocabulary'

const emit = defineEmits<{ measure: [] }>()
const { visit, state, diagnosis, options } = useVisitContext()
const end = useStageEnd()
const placeOf = useStagePlace()
const next = computed(() => diagnosis.value?.next)
/** The first gate this check still wants, which is then the thing to do. */
const wanting = computed(() => next.value?.missingGates.find((gate) => gate !== 'hands-clear'))
const best = computed(() => options.value.find(({ id }) => id === diagnosis.value?.bestAction) ?? options.value[0])
const beside = computed(() => options.value.find(({ id }) => id === diagnosis.value?.alsoDo))
function notThis(): void {
  const check = next.value
  if (check) visit.append('check-skipped', pickAsked(check))
}
/**
 * A shop of that practice takes the ohmmeter to ground first; a silent one proves nothing, and the megohmmeter follows.
 */
const groundFirst = computed(() =>
  next.value?.check === 'insulation-resistance' && wayOf('ground-test', visit.shop.schools) === 'ohmmeter-first'
    ? ' The ohmmeter to ground first; if it stays silent that proves nothing, and the megohmmeter follows.'
    : '',
)
/** What the check itself, and the gate to be turned for it, can do to a hand. */
const cautions = computed(() =>
  [
    ...new Set(
      [
        next.value?.caution,
        wanting.value && wanting.value !== 'power-on'
          ? gateInfo(wanting.value, state.value.standing).caution
          : undefined,
      ].filter(Boolean),
    ),
  ].join(' '),
)
/** The newest cause that was set aside stands again. */
function takeBackCause(): void {
  const last = state.value.entries.findLast((entry) => entry.kind === 'cause-said' && entry.body.verdict === 'not-this')
  if (last) visit.append('retracted', {}, last.id)
}
const NO_FURTHER = 'No further check is worth its cost now.'
const CLOSING = { 'wet-end-open': 'close the wet end', pulled: 'pump back in' } as const
function turnGate(): void {
  if (next.value?.closeFirst) return void visit.append('gate', { gate: next.value.closeFirst, shut: false })
  if (!wanting.value) return emit('measure')
  if (wanting.value === 'proved-dead' || wanting.value === 'discharged' || wanting.value === 'drive-discharged')
    return void navigateTo(placeOf('safe'))
  visit.append('gate', { gate: wanting.value, shut: true })
}
</script>

<template>
  <!-- On a phone the lamp stands above the rest: it keeps the room that it will need, so that nothing tapped moves. -->
  <LampCard
    v-if="!diagnosis"
    title="Thinking"
    because="The causes are being ranked."
    class="max-[900px]:min-h-[36rem]"
  />
  <LampCard
    v-else-if="next"
    :data-check="checkKey(next)"
    :title="next.title"
    :because="`${next.because}${groundFirst}`"
    :tool="next.tool"
    :caution="cautions"
    :barred="diagnosis.safety"
  >
    <template #gates>
      <p class="flex flex-wrap gap-x-4 gap-y-1 text-[0.95rem]" data-testid="lamp-gates">
        <GateHandle
          v-for="gate in next.gates"
          :key="gate"
          :shut="gate === 'power-on' ? !state.gates.has(gate) : state.gates.has(gate)"
          :label="GATES[gate].label"
          :class="{ 'font-bold underline': next.missingGates.includes(gate) }"
        />
        <span v-if="next.gates.length === 0">no gate to turn</span><span class="number">{{ next.minutes }} min</span>
      </p>
    </template>
    <table class="w-full text-[0.95rem]">
      <caption class="sr-only">
        what each answer would say
      </caption>
      <tbody>
        <tr v-for="outcome in next.outcomes" :key="outcome.if" class="border-t border-[#14242b33] align-baseline">
          <th scope="row" class="number py-1.5 pr-3 text-left whitespace-nowrap">{{ outcome.if }}</th>
          <td class="py-1.5">{{ outcome.then }}</td>
        </tr>
      </tbody>
    </table>
    <template #buttons>
      <button type="button" class="button button-lit flex-1" data-testid="lamp-do" @click="turnGate">
        {{
          next.closeFirst
            ? `First: ${CLOSING[next.closeFirst]}`
            : wanting
              ? wanting === 'power-on'
                ? 'Power is on'
                : `First: ${GATES[wanting].label}`
              : 'Write what it reads'
        }}
      </button>
      <button type="button" class="button" data-testid="lamp-skip" @click="notThis">Not this</button>
    </template>
  </LampCard>
  <LampCard
    v-else-if="!diagnosis.settled"
    title="Every cause is set aside"
    because="Nothing known of this machine is left to explain what it does. Take one back, or look at what was read."
  >
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="take-back-cause" @click="takeBackCause">
        Take back the last “not this”
      </button></template
    >
  </LampCard>
  <LampCard
    v-else
    :title="best ? best.label : 'Decide'"
    :because="
      best
        ? `${best.because}${beside ? ` And beside it: ${beside.label.toLowerCase()}.` : ''} ${NO_FURTHER}`
        : NO_FURTHER
    "
    :barred="diagnosis.safety"
    data-settled
  >
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="end('test')">
        Settled: decide
      </button></template
    >
  </LampCard>
</template>
