<script setup lang="ts">
import { CornerDownLeft, X } from '@lucide/vue'
import { judgeFinding } from '#core/diagnosis/judge-finding'
import { VERDICT_WORDS } from '#core/judgement/judgement'
import { render } from '#core/quantity/sentence'
import { valueText } from '#core/visit/describe'

/** A reading that an instrument, or a hand, has ready: what it is and how it is judged, to be taken or left. */
const { stage } = defineProps<{ stage: 'test' | 'prove' }>()
const { visit, state } = useVisitContext()
const { reader } = useUnits()
const offered = computed(() => visit.offered)
const judgement = computed(() =>
  offered.value
    ? judgeFinding(offered.value.finding, {
        pump: state.value.pump,
        plate: state.value.plate,
        findings: state.value.findings.map(({ finding }) => finding),
        earlier: visit.earlier,
      })
    : undefined,
)
function take(): void {
  const taken = offered.value?.finding
  if (!taken) return
  // Before it is written: what is asked for next may change with the line, and this is no reading of that.
  visit.settleOffer()
  visit.append('finding', { ...taken, stage })
}
defineExpose({ take })
</script>

<template>
  <div v-if="offered && judgement" class="offered" data-testid="offered">
    <p class="number said" :class="{ 'is-long': offered.text.length > 20 }">{{ offered.text }}</p>
    <div class="flex min-w-0 items-start gap-3">
      <StateMark :verdict="judgement.verdict" class="mt-1" />
      <p class="min-w-0 leading-snug" aria-live="polite">
        <strong>{{ judgement.subject }} {{ valueText({ judgement }, reader) }}</strong
        >: {{ VERDICT_WORDS[judgement.verdict] }}.
        <span class="block text-[0.92rem] text-slate"
          >{{ render(judgement.because, reader) }} · offered by {{ offered.source
          }}{{ visit.isPractice ? '; kept in this practice alone' : '' }}</span
        >
      </p>
    </div>
    <div class="flex gap-2">
      <button type="button" class="button taking" data-testid="take-reading" @click="take">
        Take it <CornerDownLeft :size="20" aria-hidden="true" />
      </button>
      <button type="button" class="button max-sm:px-3" aria-label="leave it" @click="visit.settleOffer()">
        <X :size="20" aria-hidden="true" />
      </button>
    </div>
  </div>
</template>

<style scoped>
.offered {
  display: grid;
  grid-template-columns: minmax(12rem, 1fr) minmax(0, 2fr) auto;
  gap: 0 14px;
  align-items: center;
  min-height: 76px;
  padding: 6px 16px;
}
.said {
  border-bottom: 2px dotted var(--slate);
  font-size: 1.5rem;
  line-height: 1.3;
}
.said.is-long {
  font-size: 1.1rem;
}
.taking {
  border-color: var(--ink);
  background: var(--ink);
  color: var(--on-ink);
}
.taking:hover {
  background: var(--slate);
}
@media (max-width: 900px) {
  .offered {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 4px 8px;
    padding: 8px 12px;
  }
  .offered > :nth-child(2) {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .said {
    font-size: 1.2rem;
  }
}
</style>
