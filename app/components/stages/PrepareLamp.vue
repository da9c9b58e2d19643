<script setup lang="ts">
const { state, preparation } = useVisitContext()
const end = useStageEnd()
const atBench = computed(() => state.value.standing !== 'installed')
const all = computed(() => [...(preparation.value?.parts ?? []), ...(preparation.value?.tools ?? [])])
const left = computed(() => all.value.filter(({ id }) => !state.value.loaded.has(id)))
</script>

<template>
  <LampCard
    :title="
      left.length > 0
        ? `${atBench ? 'Lay out' : 'Load'}: ${left[0]?.label ?? ''}`
        : atBench
          ? 'Everything is at hand'
          : 'Everything is in the van'
    "
    :because="
      left.length === 0
        ? atBench
          ? 'Make it safe.'
          : 'Go, and make it safe there.'
        : `${all.length - left.length} of ${all.length} are in. ` +
          'A seal set of another pump is no seal set: by part, not by look.'
    "
  >
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="end('prepare')">
        {{ atBench ? 'At hand: make it safe' : 'Loaded, on site: make it safe' }}
      </button></template
    >
  </LampCard>
</template>
