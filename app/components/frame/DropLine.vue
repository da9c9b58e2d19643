<script setup lang="ts">
import { STAGE_LABELS, STAGES, type Stage } from '#core/knowledge/vocabulary'
import { formatMinutes } from '#core/quantity/format'

const { viewed } = defineProps<{ viewed: Stage }>()
const { state } = useVisitContext()
const placeOf = useStagePlace()

/** Minutes spent on a stage: from the end of the one before to its own end. */
const spent = computed(() => {
  const times = new Map<Stage, string>()
  let from = state.value.startedAt ?? state.value.entries.find(({ kind }) => kind === 'call')?.at
  for (const stage of STAGES) {
    const at = state.value.stagesDone.get(stage)
    if (at && from) {
      const minutes = (Date.parse(at) - Date.parse(from)) / 60_000
      if (minutes >= 0 && minutes < 24 * 60) times.set(stage, formatMinutes(minutes))
    }
    if (at) from = at
  }
  return times
})
const lit = computed(() => (state.value.handedOver ? undefined : state.value.stage))
</script>

<template>
  <nav aria-label="the joints of the visit" class="drop-line no-print">
    <ol>
      <li v-for="stage in STAGES" :key="stage">
        <NuxtLink
          :to="placeOf(stage)"
          :aria-current="stage === viewed ? 'step' : undefined"
          class="stage"
          :class="{ 'is-viewed': stage === viewed }"
        >
          <span
            class="coupling"
            :class="{ 'is-done': state.stagesDone.has(stage), 'is-lit': stage === lit }"
            aria-hidden="true"
          />
          <span class="name"
            >{{ STAGE_LABELS[stage]
            }}<span class="sr-only">{{
              state.stagesDone.has(stage) ? ', done' : stage === lit ? ', the lit stage' : ''
            }}</span>
            <span class="number spent">{{ spent.get(stage) ?? '' }}</span>
          </span>
        </NuxtLink>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.drop-line {
  position: relative;
}
ol {
  position: relative;
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  height: 100%;
  padding: 16px 0 16px 12px;
}
/* The pipe: two ink lines behind the couplings. */
ol::before {
  content: '';
  position: absolute;
  left: 21px;
  top: 0;
  bottom: 0;
  width: 10px;
  border-inline: 2px solid var(--ink);
}
.stage {
  position: relative;
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 56px;
  color: var(--slate);
  text-decoration: none;
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
.name {
  line-height: 1.1;
  font-size: 0.95rem;
}
.spent {
  display: block;
  min-height: 1.1em;
  font-size: 0.8rem;
}
.is-viewed {
  color: var(--ink);
  font-weight: 700;
}
.is-viewed .name {
  text-decoration: underline;
  text-decoration-thickness: 2px;
  text-underline-offset: 4px;
}
.is-viewed .spent {
  font-weight: 400;
  display: inline-block;
  text-decoration: none;
  width: 100%;
}
/* All eight on a phone's width: the names stand by turns above and below the pipe. */
@media (max-width: 900px) {
  ol {
    flex-direction: row;
    height: auto;
    padding: 0 4px;
    gap: 0;
  }
  ol::before {
    left: 0;
    right: 0;
    top: 34px;
    bottom: auto;
    width: auto;
    height: 8px;
    border-inline: 0;
    border-block: 2px solid var(--ink);
  }
  li {
    flex: 1 1 0;
    min-width: 0;
  }
  .stage {
    display: block;
    height: 76px;
    min-height: 76px;
  }
  .coupling {
    position: absolute;
    left: calc(50% - 13px);
    top: 25px;
    width: 26px;
    height: 26px;
  }
  .name {
    position: absolute;
    left: 50%;
    top: 3px;
    transform: translateX(-50%);
    font-size: 0.85rem;
    white-space: nowrap;
  }
  li:nth-child(even) .name {
    top: 55px;
  }
  li:last-child .name {
    left: auto;
    right: 0;
    transform: none;
  }
  .spent {
    display: none !important;
  }
}
</style>
