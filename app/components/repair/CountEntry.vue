<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import type { JointPlace } from '#core/knowledge/constructions/joint'
import { COUNT_WORDS, type Counts } from '~/utils/count-words'

/** How many came out, or go in: one number, or one for each place where they belong. */
const {
  expected,
  cameOut = undefined,
  counts,
  note = '',
} = defineProps<{ expected: number; cameOut?: readonly JointPlace[]; counts: Counts; note?: string }>()
const back = computed(() => counts === 'put-back' || counts === 'marks-met')
const count = defineModel<number | undefined>('count', { required: true })
const counted = defineModel<JointPlace[] | undefined>('places', { required: true })
const other = ref('')
const choices = computed(() =>
  [...new Set([expected - 2, expected - 1, expected, expected + 1, expected + 2])]
    .filter((number) => number >= 0)
    .slice(0, 5),
)
function choose(number: number): void {
  count.value = number
  other.value = ''
}
function typed(): void {
  count.value = other.value.trim() === '' ? expected : Number(other.value)
}
function step(index: number, by: number): void {
  const next = (counted.value ?? []).map((place, at) =>
    at === index ? { ...place, count: Math.max(0, place.count + by) } : place,
  )
  counted.value = next
  count.value = next.reduce((sum, place) => sum + place.count, 0)
}
</script>

<template>
  <fieldset class="m-0 border-0 p-0">
    <legend class="mb-1">{{ COUNT_WORDS[counts](expected) }}{{ note && !back ? `: ${note}` : '' }}</legend>
    <ul v-if="cameOut && counted" class="flex flex-col gap-1">
      <li
        v-for="(place, index) in counted"
        :key="place.place"
        class="flex items-center justify-between gap-3"
        data-testid="place"
      >
        <span class="min-w-0"
          >{{ place.place
          }}<span v-if="back" class="block text-[0.88rem]"
            >{{ cameOut[index]?.count }} {{ counts === 'marks-met' ? 'set' : 'came out' }} here</span
          ></span
        >
        <span class="flex items-center gap-1"
          ><button
            type="button"
            class="button min-w-12 text-xl"
            :aria-label="`one less, ${place.place}`"
            @click="step(index, -1)"
          >
            −</button
          ><output class="number w-10 text-center text-xl font-bold" :aria-label="`${place.place}, counted`">{{
            place.count
          }}</output
          ><button
            type="button"
            class="button min-w-12 text-xl"
            :aria-label="`one more, ${place.place}`"
            @click="step(index, 1)"
          >
            +
          </button></span
        >
      </li>
    </ul>
    <div v-else class="flex flex-wrap gap-1.5">
      <RadioGroup :model-value="count" class="contents" aria-label="how many" @update:model-value="choose"
        ><RadioGroupOption v-for="number in choices" :key="number" v-slot="{ checked }" :value="number" as="template"
          ><button type="button" class="button number min-w-12 px-2 text-xl" :class="{ 'is-count': checked }">
            {{ number }}
          </button></RadioGroupOption
        ></RadioGroup
      >
      <input
        v-model="other"
        class="field number max-w-14 px-2"
        inputmode="numeric"
        aria-label="another count"
        placeholder="…"
        @input="typed"
      />
    </div>
  </fieldset>
</template>

<style scoped>
.is-count {
  background: var(--lamp-ink) !important;
  color: #fff !important;
}
</style>
