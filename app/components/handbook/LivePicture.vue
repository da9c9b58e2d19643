<script setup lang="ts">
import { valuesAtFirst, type Slider, type Values } from '#core/handbook/live/live'
import { liveOf, type LiveId } from '#core/handbook/live/lives'
import { render } from '#core/quantity/sentence'
import DrawCanOrBound from './drawings/DrawCanOrBound.vue'
import DrawNewBearings from './drawings/DrawNewBearings.vue'
import DrawOhmmeter from './drawings/DrawOhmmeter.vue'
import DrawRestAndLoaded from './drawings/DrawRestAndLoaded.vue'
import DrawSafeHands from './drawings/DrawSafeHands.vue'
import DrawSuctionAir from './drawings/DrawSuctionAir.vue'
import DrawSwitchOrPump from './drawings/DrawSwitchOrPump.vue'
import DrawTankAir from './drawings/DrawTankAir.vue'
import DrawThreeLeads from './drawings/DrawThreeLeads.vue'
import DrawUpThrust from './drawings/DrawUpThrust.vue'

/** A picture whose numbers can be pushed about, with what instruments and sums then say. */
const { id } = defineProps<{ id: LiveId }>()
const DRAWN = {
  ohmmeter: DrawOhmmeter,
  'three-leads': DrawThreeLeads,
  'can-or-bound': DrawCanOrBound,
  'new-bearings': DrawNewBearings,
  'rest-and-loaded': DrawRestAndLoaded,
  'switch-or-pump': DrawSwitchOrPump,
  'suction-air': DrawSuctionAir,
  'tank-air': DrawTankAir,
  'up-thrust': DrawUpThrust,
  'safe-hands': DrawSafeHands,
} as const
const { reader } = useUnits()
const live = computed(() => liveOf(id))
const values = ref<Values>({})
watch(live, (now) => (values.value = valuesAtFirst(now)), { immediate: true })
const now = computed(() => live.value.now(values.value))
const figure = (of: string) => now.value.figures.find((each) => each.id === of)
const told = (of: string) => render(figure(of)?.told ?? '', reader.value)
const verdict = (of: string) => figure(of)?.verdict
const says = computed(() => render(now.value.says, reader.value))
const set = (input: string, to: number) => {
  values.value = { ...values.value, [input]: to }
}
/** A slider goes from nought to this, however its number does. */
const STEPS = 200
const placeOf = ({ id: input, min, max, scale }: Slider) => {
  const value = values.value[input] ?? min
  const share = scale === 'log' ? Math.log(value / min) / Math.log(max / min) : (value - min) / (max - min)
  return Math.round(share * STEPS)
}
const setPlace = ({ id: input, min, max, scale }: Slider, place: number) => {
  const share = place / STEPS
  set(input, scale === 'log' ? min * (max / min) ** share : min + (max - min) * share)
}
</script>

<template>
  <section class="live" aria-label="the picture, with its numbers live" data-testid="live">
    <svg
      viewBox="0 0 420 222"
      role="img"
      :aria-label="says"
      class="drawn"
      font-family="var(--font-sans)"
      font-size="15"
      fill="var(--ink)"
    >
      <component :is="DRAWN[id]" :values="values" :told="told" :verdict="verdict" />
    </svg>
    <div class="pushed">
      <template v-for="input in live.inputs" :key="input.id">
        <label v-if="input.is === 'slider'" class="block"
          ><span class="flex justify-between gap-3"
            ><span>{{ input.label }}</span
            ><span class="number shrink-0 font-bold">{{
              render(input.told(values[input.id] ?? input.at), reader)
            }}</span></span
          ><input
            type="range"
            class="h-11 w-full accent-river"
            min="0"
            :max="STEPS"
            :value="placeOf(input)"
            :aria-valuetext="render(input.told(values[input.id] ?? input.at), reader)"
            :data-testid="`push-${input.id}`"
            @input="setPlace(input, Number(($event.target as HTMLInputElement).value))"
        /></label>
        <label v-else class="block"
          ><span class="label">{{ input.label }}</span
          ><select
            class="field"
            :value="values[input.id]"
            :data-testid="`push-${input.id}`"
            @change="set(input.id, Number(($event.target as HTMLSelectElement).value))"
          >
            <option v-for="(option, index) in input.options" :key="option" :value="index">{{ option }}</option>
          </select></label
        >
      </template>
    </div>
    <dl class="figures">
      <div v-for="each in now.figures" :key="each.id" class="flex items-center gap-2 border-b border-rule py-1">
        <dt class="flex min-w-0 flex-1 items-center gap-2 text-[0.95rem]">
          <StateMark v-if="each.verdict" :verdict="each.verdict" :size="18" /><span v-else class="w-[18px]" />{{
            each.label
          }}
        </dt>
        <dd class="number font-bold" :data-testid="`figure-${each.id}`">{{ render(each.told, reader) }}</dd>
      </div>
    </dl>
    <p class="says" aria-live="polite" data-testid="live-says">{{ says }}</p>
  </section>
</template>

<style scoped>
.live {
  display: grid;
  grid-template: 'drawn figures' auto 'pushed says' auto / minmax(0, 1.35fr) minmax(0, 1fr);
  gap: 0.75rem 1.75rem;
  padding: 0.75rem 1rem 1rem;
  border: 1px solid var(--rule);
  background: var(--sheet);
}
.drawn {
  grid-area: drawn;
  display: block;
  width: 100%;
  max-width: 36rem;
}
.pushed {
  grid-area: pushed;
  display: grid;
  align-content: start;
  gap: 0.5rem;
}
.figures {
  grid-area: figures;
  align-self: center;
}
.says {
  grid-area: says;
  font-weight: 700;
  font-size: 1.1rem;
  line-height: 1.35;
}
@media (max-width: 760px) {
  .live {
    grid-template: 'drawn' 'says' 'pushed' 'figures' / minmax(0, 1fr);
    padding: 0.5rem;
  }
}
</style>
