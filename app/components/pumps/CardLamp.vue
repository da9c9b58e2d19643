<script setup lang="ts">
import { format } from 'date-fns'
import { cardNext } from '#core/pumps/card-next'
import type { MachineCard } from '#core/pumps/card'

/** The one thing worth doing about this machine. */
const { card, now } = defineProps<{ card: MachineCard; now: string }>()
const next = computed(() => cardNext(card, now))
const newVisit = computed(() => ({ path: '/visits/new', query: { machine: card.machine.id } }))
const title = computed(() => {
  const thing = next.value
  if (thing.is === 'open') return 'A visit is open'
  if (thing.is === 'due') return thing.late ? 'Something is overdue' : 'Something comes due'
  return thing.is === 'reading' ? `Read the ${thing.row.label}` : ''
})
const words = computed(() => {
  const thing = next.value
  if (thing.is === 'open') return `${format(new Date(thing.scheduledAt), 'EEEE d MMMM, H:mm')}: ${thing.words}`
  if (thing.is === 'due') return `${format(new Date(`${thing.due.on}T12:00:00`), 'EEEE d MMMM')}: ${thing.due.what}`
  if (thing.is !== 'reading') return ''
  return thing.row.crossing.is === 'past'
    ? 'Its last reading is past its limit.'
    : `By its own readings the line meets its limit about ${crossingWords(thing.row).when}.`
})
</script>

<template>
  <section v-if="next.is !== 'nothing'" class="lamp-field p-5" aria-labelledby="card-lamp" data-testid="card-lamp">
    <h2 id="card-lamp" class="text-[1.4rem]">{{ title }}</h2>
    <p class="mt-1">{{ words }}</p>
    <NuxtLink
      class="button button-lit no-print mt-3 w-full"
      :to="next.is === 'open' ? `/visits/${next.visitId}` : newVisit"
      data-testid="card-lit"
      >{{ next.is === 'open' ? 'Open the visit' : 'Open a visit' }}</NuxtLink
    >
  </section>
  <p v-else class="p-5 text-slate" data-testid="card-quiet">
    {{ card.retired ? 'It is no longer there.' : 'Nothing is due, and no line is near its limit.' }}
  </p>
</template>
