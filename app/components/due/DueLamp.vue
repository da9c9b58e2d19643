<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'
import type { RoadRow } from '~/composables/useDue'

/** The one thing that what comes due asks for: a road to be chosen, or the chosen ones to be written down as calls. */
const {
  lit = undefined,
  calls,
  work,
  driving,
  today,
} = defineProps<{ lit?: RoadRow; calls: number; work: number; driving: number; today: string; problem: string }>()
const emit = defineEmits<{ road: []; write: []; clear: [] }>()
const first = computed(() => lit?.items[0])
const late = computed(() => lit?.items.filter(({ on }) => on < today).length ?? 0)
const minutes = computed(() => lit?.items.reduce((sum, item) => sum + item.minutes, 0) ?? 0)
</script>

<template>
  <section class="lamp-field p-4" aria-live="polite" data-testid="due-lamp">
    <template v-if="calls > 0">
      <h2 class="text-[1.35rem]" data-testid="lamp-title">{{ counted(calls, 'call') }} to be written down</h2>
      <p>
        {{ formatMinutes(work) }} of work, {{ formatMinutes(driving) }} of driving in one round from the shop. What is
        written down waits for a day, and is put into one there.
      </p>
      <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
      <div class="mt-3 flex gap-3">
        <button type="button" class="button button-lit grow" data-testid="write-calls" @click="emit('write')">
          Write {{ calls === 1 ? 'it' : 'them' }} down
        </button>
        <button type="button" class="button" @click="emit('clear')">Choose none</button>
      </div>
    </template>
    <template v-else-if="lit && first">
      <h2 class="text-[1.35rem]" data-testid="lamp-title">{{ lit.road || first.customer.name }}</h2>
      <p>
        {{ first.machine.name }}, {{ first.customer.name }}: {{ first.what }}. {{ dueDay(first.on, today)
        }}{{ first.on < today ? ', late' : '' }}.
      </p>
      <p v-if="lit.items.length > 1">
        {{ counted(lit.items.length, 'thing') }} on this road<template v-if="late > 0">, {{ late }} late</template>:
        {{ formatMinutes(minutes) }} of work<template v-if="lit.drive !== undefined"
          >, {{ Math.round(lit.drive) }} min from the shop</template
        >.
      </p>
      <button type="button" class="button button-lit mt-3 w-full" data-testid="choose-lit" @click="emit('road')">
        {{ lit.items.length > 1 ? `Choose these ${lit.items.length}` : 'Choose it' }}
      </button>
    </template>
    <template v-else
      ><h2 class="text-[1.25rem]" data-testid="lamp-title">Nothing comes due</h2>
      <p>Look farther ahead, or at what the season may bring.</p></template
    >
  </section>
</template>
