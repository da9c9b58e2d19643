<script setup lang="ts">
import { format } from 'date-fns'
import { IDENTITIES } from '#core/knowledge/repairs/identities'
import { PARTS } from '#core/knowledge/vocabulary'
import type { PartGoingIn } from '#core/visit/new-parts'

/** What goes in: each new part by what identifies it, its plate held against the old one before anything is opened. */
const { lit = undefined } = defineProps<{ lit?: string }>()
const emit = defineEmits<{ photo: [caption: string] }>()
const { parts, keep } = useNewParts()
const { state } = useVisitContext()
const open = ref(false)
const reading = ref<string>()
const typed = reactive<Record<string, string>>({})
/** The step that matches a new motor brings its plate up; passed unread, it gives way to the steps again. */
const broughtUp = ref(false)
watch(
  () => lit,
  (step) => {
    const at = parts.value.find((each) => each.plated && !each.known && step === `work:${each.part}:match`)
    if (at) {
      broughtUp.value = true
      open.value = true
      reading.value = at.part
    } else if (broughtUp.value) {
      broughtUp.value = false
      open.value = false
      reading.value = undefined
    }
  },
  { immediate: true },
)
const missing = computed(() => parts.value.filter(({ plated, known }) => plated && !known))
const summary = computed(() => {
  const known = parts.value.filter((each) => each.known).length
  const unread = missing.value[0] ? `, ${PARTS[missing.value[0].part]} not read` : ''
  return `${known} of ${parts.value.length} known${unread}`
})
const textOf = ({ part, known, before }: PartGoingIn) => typed[part] ?? known?.identity ?? before ?? ''
const isChanged = (each: PartGoingIn) => textOf(each).trim() !== '' && textOf(each).trim() !== each.known?.identity
function write(each: PartGoingIn): void {
  keep(each, { ...each.known, part: each.part, identity: textOf(each).trim().slice(0, 200) })
}
/** What the number stands for, beside what is measured on the old ring. */
const sizesOf = (each: PartGoingIn) => (each.part === 'bearings' ? bearingSizes(textOf(each)) : [])
const plateWords = ({ known }: PartGoingIn) => {
  const plate = known?.nameplate
  if (!plate) return known?.identity ?? ''
  const power = plate.horsepower === undefined ? '' : `${plate.horsepower} hp`
  const factor = plate.serviceFactor === undefined ? '' : ` × ${plate.serviceFactor}`
  return [`${power}${factor}`, `${plate.volts} V`, plate.frame, known?.identity].filter(Boolean).join(', ')
}
const since = (part: string) => {
  const entry = state.value.entries.findLast((each) => each.kind === 'fitted' && each.body.part === part)
  return entry ? format(new Date(entry.at), 'HH:mm') : ''
}
</script>

<template>
  <section
    v-if="parts.length > 0"
    id="what-goes-in"
    class="border-b border-rule"
    aria-label="what goes in"
    data-testid="new-parts"
  >
    <button
      type="button"
      class="flex min-h-12 w-full items-center justify-between gap-3 text-left"
      :aria-expanded="open"
      data-testid="new-parts-open"
      @click="open = !open"
    >
      <span class="font-bold">What goes in</span><span class="text-slate">{{ open ? 'less' : summary }}</span>
    </button>
    <ul v-if="open" class="ruled pb-3">
      <li v-for="each in parts" :key="each.part" class="py-2" :data-testid="`new-part-${each.part}`">
        <template v-if="each.plated">
          <p class="flex flex-wrap items-center gap-x-4 gap-y-1">
            <strong>{{ PARTS[each.part] }}</strong><span v-if="each.known" class="number">{{ plateWords(each) }}</span
            ><span v-else class="text-slate">its plate is not read</span
            ><span v-if="each.isFitted" class="text-slate">in since {{ since(each.part) }}: it judges</span
            ><button
              v-if="reading !== each.part"
              type="button"
              class="button ml-auto"
              :data-testid="`read-plate-${each.part}`"
              @click="reading = each.part"
            >
              {{ each.known ? 'Correct' : 'Read its plate' }}
            </button>
          </p>
          <NewPlate
            v-if="reading === each.part"
            :part="each"
            @done="reading = undefined"
            @photo="(caption) => emit('photo', caption)"
          />
        </template>
        <form v-else class="flex flex-wrap items-end gap-3" @submit.prevent="write(each)">
          <label class="min-w-60 flex-1"
            ><span class="label"
              ><strong>{{ PARTS[each.part] }}</strong
              >: {{ IDENTITIES[each.part]?.asks }}</span
            ><input
              :value="textOf(each)"
              class="field"
              maxlength="200"
              :placeholder="IDENTITIES[each.part]?.example"
              :data-testid="`identity-${each.part}`"
              @input="typed[each.part] = ($event.target as HTMLInputElement).value" /></label
          ><button type="submit" class="button" :disabled="!isChanged(each)">
            {{ each.isIn ? 'It is in' : 'Keep it' }}</button
          ><span v-if="each.isFitted" class="self-center text-slate">in since {{ since(each.part) }}</span>
          <p v-if="sizesOf(each).length > 0 || (each.before && !each.known)" class="number basis-full text-[0.9rem]">
            <span v-for="size in sizesOf(each)" :key="size" class="mr-4">{{ size }}</span><span
              v-if="each.before && !each.known"
              >as it was: {{ each.before }}</span
            >
          </p>
        </form>
      </li>
    </ul>
  </section>
</template>
