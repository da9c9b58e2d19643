<script setup lang="ts">
import type { PaperName } from '#core/visit/entry'

/** A paper of the open visit as PDF, whether there is a way to the shop or not. */
defineOptions({ inheritAttrs: false })
const { name, issue = undefined } = defineProps<{ name: PaperName; issue?: number }>()
const paper = usePaper()
</script>

<template>
  <a
    v-bind="$attrs"
    class="button"
    :href="paper.pathOf(name, issue)"
    target="_blank"
    rel="noopener"
    :aria-busy="paper.isPrinting.value"
    @click="paper.open($event, name, issue)"
    ><template v-if="paper.isPrinting.value">Writing it</template><slot v-else /></a
  ><span v-if="paper.problem.value" role="alert" class="font-bold">{{ paper.problem.value }}</span>
</template>
