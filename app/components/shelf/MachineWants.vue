<script setup lang="ts">
import { wantedOf, type WantedPart } from '#core/fits/wanted-of'
import type { Spec } from '#core/knowledge/fits/family'
import { PARTS } from '#core/knowledge/vocabulary'

/** What is known of a machine that a part of it has to fit. */
const { id, chosen = undefined } = defineProps<{ id: string; chosen?: Spec }>()
const emit = defineEmits<{ choose: [part: WantedPart] }>()
const { view, problem } = useCard(computed(() => id))
const parts = computed((): WantedPart[] => (view.value ? wantedOf(view.value.card.machine) : []))
</script>

<template>
  <p v-if="problem" class="px-5 pt-3 font-bold max-sm:px-3">{{ problem }}</p>
  <section v-else-if="view" class="px-5 pt-3 max-sm:px-3" data-testid="machine-parts">
    <h2 class="text-xl">
      What is known of {{ view.card.machine.name }}, {{ view.card.customer.name }}, that has to fit
    </h2>
    <div role="group" aria-label="its parts" class="flex flex-wrap gap-2 py-2">
      <button
        v-for="(each, index) in parts"
        :key="index"
        type="button"
        class="toggle"
        :aria-pressed="chosen === each.spec"
        :data-testid="`wanted-${each.part}`"
        @click="emit('choose', each)"
      >
        {{ PARTS[each.part] }}<span v-if="each.written" class="number">{{ each.written }}</span>
      </button>
    </div>
  </section>
</template>
