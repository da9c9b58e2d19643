<script setup lang="ts">
import { readNumber } from '#core/quantity/read-number'
import type { Verdict } from '#core/judgement/judgement'
import { IDENTITIES } from '#core/knowledge/repairs/identities'
import { MOTOR_TYPES, PARTS } from '#core/knowledge/vocabulary'
import { matchVerdict, type MatchVerdict } from '#core/motor/match'
import type { Nameplate } from '#core/motor/nameplate'
import { fromShown, toShown, unitOf } from '#core/quantity/measures'
import { render } from '#core/quantity/sentence'
import { matchNewPart, type PartGoingIn } from '#core/visit/new-parts'
import { MATCH_SENTENCES, MATCH_WORDS } from '~/utils/match-words'
import { emptyToUndefined, PLATE_FIELDS, plateText, readPlate } from '~/utils/plate-form'

/** The plate of a new motor or pump, held against the old one point by point while it is typed. */
const { part } = defineProps<{ part: PartGoingIn }>()
const emit = defineEmits<{ done: []; photo: [caption: string] }>()
const { state } = useVisitContext()
const { keep } = useNewParts()
const old = computed(() => state.value.machine.nameplate)
const known = part.known
const text = reactive<Record<string, string>>(
  known?.nameplate ? plateText(known.nameplate) : { volts: String(old.value.volts) },
)
/** A pump is chosen by duty: so much water to such a height. */
const isPump = part.part === 'pump'
const { reader, system } = useUnits()
const dutyText = (value: number | undefined, measure: 'flow' | 'head') =>
  value === undefined ? '' : shortNumber(toShown(value, measure, system.value))
const duty = reactive({
  flow: dutyText(known?.duty?.flowLitresPerSecond, 'flow'),
  head: dutyText(known?.duty?.headMetres, 'head'),
})
watch(system, (now, was) => {
  for (const measure of ['flow', 'head'] as const) {
    const typed = readNumber(duty[measure])
    if (typed !== undefined) duty[measure] = shortNumber(toShown(fromShown(typed, measure, was), measure, now))
  }
})
const dutyRead = computed(() => {
  const [flow, head] = [readNumber(duty.flow), readNumber(duty.head)]
  return flow === undefined || head === undefined
    ? undefined
    : { flowLitresPerSecond: fromShown(flow, 'flow', system.value), headMetres: fromShown(head, 'head', system.value) }
})
const more = reactive({
  motorType: known?.nameplate?.motorType ?? '',
  identity: known?.identity ?? '',
  warrantyUntil: known?.warrantyUntil ?? '',
})
/** The same motor again is entered all the same: taken over by one press, and read against its plate. */
function same(): void {
  Object.assign(text, plateText(old.value))
  more.motorType = old.value.motorType ?? ''
}
const read = computed(() => readPlate(text))
const plate = computed(() => emptyToUndefined({ ...read.value.plate, motorType: more.motorType }) as Partial<Nameplate>)
const points = computed(() =>
  plate.value.volts === undefined
    ? []
    : matchNewPart({ part: part.part, nameplate: plate.value as Nameplate, duty: dutyRead.value }, state.value),
)
const whole = computed(() => matchVerdict(points.value))
const problems = ref<Record<string, string>>({})
const { problemsOf } = useEntryRules()
function write(): void {
  problems.value = read.value.problems
  if (Object.keys(problems.value).length > 0) return
  const body = emptyToUndefined({
    part: part.part,
    nameplate: plate.value as Nameplate,
    identity: more.identity.trim(),
    ...(isPump && dutyRead.value ? { duty: dutyRead.value } : {}),
    warrantyUntil: more.warrantyUntil,
  })
  const refused = Object.entries(problemsOf('new-part', body))
  problems.value = Object.fromEntries(refused.map(([path, expected]) => [path.split('.').at(-1) as string, expected]))
  if (refused.length > 0) return
  keep(part, body)
  emit('done')
}
/** What a new plate says; tolerances and windings are read from the motor, not from its plate. */
const FIELDS = PLATE_FIELDS.filter(
  ({ key }) => !['capacitorTolerancePercent', 'runWindingOhms', 'startWindingOhms'].includes(key),
)
const MARKS: Readonly<Record<MatchVerdict, Verdict | undefined>> = {
  fits: 'sound',
  'fits-with': 'tired',
  'does-not': 'failed',
  'not-read': undefined,
}
const label = PARTS[part.part]
</script>

<template>
  <form class="grid gap-3 py-2" :data-testid="`new-plate-${part.part}`" @submit.prevent="write">
    <p class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <span class="text-slate">From the new {{ label }}’s own plate; what it does not say stays empty.</span>
      <button type="button" class="button" data-testid="same-plate" @click="same">The same as the old one</button>
      <button type="button" class="button" @click="emit('photo', `plate of the new ${label}`)">
        Photo of its plate
      </button>
    </p>
    <div class="grid grid-cols-2 gap-3 lg:grid-cols-4">
      <label v-for="field in FIELDS" :key="field.key"
        ><span class="label">{{ field.label }}</span
        ><input
          v-model="text[field.key]"
          class="field number"
          :inputmode="field.text || field.range ? 'text' : 'decimal'"
          maxlength="40"
          :aria-invalid="problems[field.key] ? true : undefined"
          :placeholder="plateText(old)[field.key] ? `old: ${plateText(old)[field.key]}` : 'not read'"
          :data-testid="`new-${field.key}`"
        /><span v-if="problems[field.key]" class="text-[0.9rem] text-rust" role="alert">{{
          problems[field.key]
        }}</span></label
      >
      <template v-if="isPump">
        <label v-for="measure in ['flow', 'head'] as const" :key="measure"
          ><span class="label"
            >{{ measure === 'flow' ? 'Rated flow' : 'at a head of' }}, {{ unitOf(measure, system) }}</span
          ><input
            v-model="duty[measure]"
            class="field number"
            inputmode="decimal"
            placeholder="not read"
            :data-testid="`new-${measure}`"
        /></label>
      </template>
      <label class="col-span-2"
        ><span class="label">Motor type</span
        ><select v-model="more.motorType" class="field" data-testid="new-motorType">
          <option value="">cannot be read</option>
          <option v-for="(words, id) in MOTOR_TYPES" :key="id" :value="id">{{ words }}</option>
        </select></label
      >
      <label
        ><span class="label">Warranty until</span><input v-model="more.warrantyUntil" type="date" class="field" /><span
          v-if="problems.warrantyUntil"
          class="text-[0.9rem] text-rust"
          role="alert"
          >{{ problems.warrantyUntil }}</span
        ></label
      >
      <label
        ><span class="label">{{ IDENTITIES[part.part]?.asks }}</span
        ><input v-model="more.identity" class="field" maxlength="200" :placeholder="IDENTITIES[part.part]?.example"
      /></label>
    </div>
    <table class="w-full text-[0.95rem]" data-testid="match">
      <caption class="text-left font-bold">
        {{
          MATCH_SENTENCES[whole]
        }}
      </caption>
      <tbody>
        <tr
          v-for="point in points"
          :key="point.point"
          class="border-t border-rule align-top"
          :data-testid="`match-${point.point}`"
        >
          <td class="w-8 py-1"><StateMark :verdict="MARKS[point.verdict]" /></td>
          <th scope="row" class="py-1 pr-3 text-left font-normal">
            {{ point.label }}<span class="block font-bold">{{ MATCH_WORDS[point.verdict] }}</span>
          </th>
          <td class="py-1">
            <span v-if="point.old || point.new" class="number"
              >{{ render(point.old ?? 'not read', reader) }} → {{ render(point.new ?? 'not read', reader) }}</span
            ><span class="block text-slate">{{ point.because }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="whole === 'does-not'" class="font-bold" role="status">
      It does not fit: nothing is opened for it. Another is ordered, or another way agreed with the owner.
    </p>
    <div class="flex flex-wrap gap-3">
      <button type="submit" class="button button-lit" data-testid="keep-plate">
        {{ part.isIn ? 'It is in: this plate judges' : 'Keep it' }}</button><button
        type="button"
        class="button"
        @click="emit('done')"
      >
        Not now
      </button>
      <span v-if="problems.other" class="text-rust" role="alert">{{ problems.other }}</span>
    </div>
  </form>
</template>
