<script setup lang="ts">
import { JOINT_LABELS, JOINTS, type Joint } from '#core/knowledge/vocabulary'
import { formatMinutes } from '#core/quantity/format'

const { viewed } = defineProps<{ viewed: Joint }>()
const { state } = useVisitContext()

/** Minutes spent on a joint: from the end of the one before to its own end. */
const spent = computed(() => {
  const times = new Map<Joint, string>()
  let from = state.value.startedAt ?? state.value.entries.find(({ kind }) => kind === 'call')?.at
  for (const joint of JOINTS) {
    const at = state.value.jointsDone.get(joint)
    if (at && from) {
      const minutes = (Date.parse(at) - Date.parse(from)) / 60_000
      if (minutes >= 0 && minutes < 24 * 60) times.set(joint, formatMinutes(minutes))
    }
    if (at) from = at
  }
  return times
})
const lit = computed(() => (state.value.handedOver ? undefined : state.value.joint))
</script>

<template>
  <nav aria-label="the joints of the visit" class="drop-line no-print">
    <ol>
      <li v-for="joint in JOINTS" :key="joint">
        <NuxtLink
          :to="{ name: 'visits-id-joint', params: { id: state.id, joint } }"
          :aria-current="joint === viewed ? 'step' : undefined"
          class="joint"
          :class="{ 'is-viewed': joint === viewed }"
        >
          <span
            class="coupling"
            :class="{ 'is-done': state.jointsDone.has(joint), 'is-lit': joint === lit }"
            aria-hidden="true"
          />
          <span class="name"
            >{{ JOINT_LABELS[joint]
            }}<span class="sr-only">{{
              state.jointsDone.has(joint) ? ', done' : joint === lit ? ', the lit joint' : ''
            }}</span>
            <span class="number spent">{{ spent.get(joint) ?? '' }}</span>
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
.joint {
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
@media (max-width: 900px) {
  ol {
    flex-direction: row;
    height: auto;
    padding: 6px 6px 2px;
    overflow-x: auto;
    gap: 2px;
  }
  ol::before {
    left: 0;
    right: 0;
    top: 15px;
    bottom: auto;
    width: auto;
    height: 8px;
    border-inline: 0;
    border-block: 2px solid var(--ink);
  }
  .joint {
    flex-direction: column;
    min-width: 48px;
    min-height: 52px;
    gap: 2px;
  }
  .coupling {
    width: 24px;
    height: 24px;
  }
  .name {
    font-size: 0.72rem;
    text-align: center;
  }
  .spent {
    display: none !important;
  }
  li {
    flex: 1 0 auto;
  }
}
</style>
