<script setup lang="ts">
import { format } from 'date-fns'
import type { MachineCard } from '#core/pumps/card'

/** The machine's life as a drop line: fitted, visited, and what is to come. */
const { card } = defineProps<{ card: MachineCard }>()
const day = (instant: string) => format(new Date(instant), 'd MMM yyyy')
const due = computed(() =>
  card.due.map((each) => ({ ...each, at: format(new Date(`${each.on}T12:00:00`), 'd MMM yyyy') })),
)
</script>

<template>
  <nav aria-label="its visits" class="life-line">
    <ol>
      <li v-if="card.machine.installedOn" class="stop">
        <span class="coupling is-start" aria-hidden="true" /><span
          ><span class="number soft block">{{ card.machine.installedOn.slice(0, 4) }}</span
          ><span class="soft">fitted</span></span
        >
      </li>
      <li v-for="visit in card.visits" :key="visit.id">
        <NuxtLink
          :to="`/visits/${visit.id}${visit.handedOver ? '/hand-over' : ''}`"
          class="stop"
          data-testid="card-visit"
          ><span
            class="coupling"
            :class="visit.handedOver || visit.cancelled ? 'is-done' : 'is-lit'"
            aria-hidden="true"
          /><span class="min-w-0"
            ><span class="number block text-[0.85rem]">{{ day(visit.scheduledAt) }}</span
            ><span class="words">{{ visit.words }}</span
            ><span v-if="visit.photos > 0" class="soft block">{{ counted(visit.photos, 'photo') }}</span></span
          ></NuxtLink
        >
      </li>
      <li v-if="card.retired" class="stop">
        <span class="coupling is-start" aria-hidden="true" /><span
          ><span class="number soft block">{{ day(card.retired.on) }}</span
          ><strong>retired</strong></span
        >
      </li>
      <li v-for="each in card.retired ? [] : due" :key="each.on + each.what" class="stop">
        <span class="coupling" aria-hidden="true" /><span
          ><span class="number soft block text-[0.85rem]">{{ each.at }}</span
          ><span class="soft">{{ each.what }}</span></span
        >
      </li>
    </ol>
  </nav>
</template>

<style scoped>
ol {
  position: relative;
  display: flex;
  flex-direction: column;
  gap: 0.9rem;
  min-height: 100%;
  padding: 16px 8px 16px 12px;
}
ol::before {
  content: '';
  position: absolute;
  left: 21px;
  top: 0;
  bottom: 0;
  width: 10px;
  border-inline: 2px solid var(--ink);
}
.stop {
  position: relative;
  display: flex;
  gap: 10px;
  align-items: flex-start;
  min-height: 48px;
  color: inherit;
  text-decoration: none;
  line-height: 1.2;
}
a.stop:hover .words {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.coupling {
  flex: none;
  width: 28px;
  height: 28px;
  border: 2px solid var(--ink);
  border-radius: 6px;
  background: var(--paper);
}
.is-done {
  background: var(--ink);
}
.is-lit {
  background: var(--lamp);
  border-color: var(--lamp);
}
.is-start {
  height: 6px;
  margin-block: 11px;
  border-radius: 1px;
  background: var(--ink);
}
.words {
  display: -webkit-box;
  overflow: hidden;
  font-size: 0.92rem;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
}
.soft {
  color: var(--slate);
  font-size: 0.9rem;
}
</style>
