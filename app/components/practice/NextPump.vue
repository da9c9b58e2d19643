<script setup lang="ts">
import { format } from 'date-fns'
import { HARDNESS, MOST_SEED, writeCode } from '#core/knowledge/practice/case-code'
import { IDEAS } from '#core/knowledge/practice/harms'
import type { LampHelp } from '#core/knowledge/practice/lamp-help'
import { PAGE_OF_IDEA } from '#core/handbook/where'
import { useSkills } from '~/stores/skills'

/** The one thing worth practising next: the weakest of what is due, and a pump that asks for it. */
const { lamp } = defineProps<{ lamp: LampHelp }>()
const skills = useSkills()
const next = computed(() => skills.next)
const idea = computed(() => IDEAS[next.value.idea])
const because = computed(() => {
  const { tries, isDue, estimate, due } = next.value
  if (tries === 0) return 'No try has asked for it yet.'
  const stands = `It stands at ${Math.round(100 * estimate)} of 100, the weakest`
  return isDue
    ? `${stands} of what is due.`
    : `${stands}. Nothing is due; this one from ${format(new Date(due ?? skills.now), 'd MMM')}.`
})
const isLooking = ref(false)
const isNone = ref(false)
const begin = oneAtATime(async () => {
  isLooking.value = true
  isNone.value = false
  try {
    const { idea: wanted, kinds, hardness } = next.value
    const from = crypto.getRandomValues(new Uint32Array(1))[0]! % (MOST_SEED - 1_000)
    // Wanted once as it stands now: what is watched cannot be handed to a worker.
    const found = await useLooker().caseFor(wanted, { kinds: [...kinds], hardness }, from)
    isNone.value = found === undefined
    if (!found) return
    await comeToPump(writeCode(found), lamp)
  } finally {
    isLooking.value = false
  }
})
</script>

<template>
  <LampCard :title="`Next: ${idea}`" :because="because" data-testid="next-up">
    <p v-if="next.hardness !== 'one'">It goes well, so it is harder: {{ HARDNESS[next.hardness] }}.</p>
    <p v-if="isNone" role="status">No such pump was met among the ones looked at. Once more looks at others.</p>
    <template #buttons>
      <button type="button" class="button button-lit" data-testid="begin-next" :disabled="isLooking" @click="begin">
        {{ isLooking ? 'Looking for a pump' : 'Come to the pump' }}
      </button>
      <NuxtLink class="button" :to="`/practice/handbook/${PAGE_OF_IDEA[next.idea]}`">Read of it first</NuxtLink>
    </template>
  </LampCard>
</template>
