<script setup lang="ts">
import type { PlannedLine } from '#core/pumps/register-import'

/** What would become of each line of a file; the bad ones first, with what is wrong. */
const { lines } = defineProps<{ lines: readonly PlannedLine[] }>()
const FATE: Readonly<Record<PlannedLine['is'], string>> = {
  new: 'new',
  fills: 'fills a gap',
  known: 'known already',
  bad: 'stays out',
}
</script>

<template>
  <ul data-testid="import-lines">
    <li v-for="each in lines" :key="each.line" class="line" :data-fate="each.is">
      <span class="number text-right text-slate">{{ each.line }}</span>
      <span :class="{ 'font-bold text-rust': each.is === 'bad' }">{{ FATE[each.is] }}</span>
      <span class="min-w-0"
        >{{ each.words || 'nothing to read'
        }}<span v-if="each.like" class="block text-slate"
          >same telephone or address as {{ each.like }}: two records, which can be made one in Pumps</span
        ><span v-for="problem in each.problems" :key="problem.field" class="block" role="alert"
          ><strong>{{ problem.field }}</strong
          ><template v-if="problem.value"> “{{ problem.value }}”</template>: {{ problem.expected }}</span
        ></span
      >
    </li>
  </ul>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 3rem 8rem minmax(0, 1fr);
  gap: 0 1rem;
  padding-block: 0.4rem;
  border-top: 1px solid var(--rule);
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: 2.4rem minmax(0, 1fr);
  }
  .line > :last-child {
    grid-column: 2;
  }
}
</style>
